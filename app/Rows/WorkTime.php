<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\HoursSet;
use App\Models\LunchDay;
use App\Models\Occurrence;
use App\Models\Reserve;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Illuminate\Support\Collection;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** A person's time over some days, as core values: hours, lunch and meetings. Each is computed when it is first asked for. */
final class WorkTime
{
    public readonly Zone $zone;

    private ?IntervalSet $lunch = null;

    private ?IntervalSet $busy = null;

    private ?IntervalSet $sleep = null;

    /** @var array<int, WeeklyHours> by the set's id */
    private array $weekly = [];

    /** @var array<int, IntervalSet> by the set's id */
    private array $hours = [];

    /** @var array<int, IntervalSet> by the set's id */
    private array $open = [];

    /**
     * @param  Collection<int, HoursSet>  $sets  with their exceptions
     * @param  Collection<int, Occurrence>  $occurrences  with their meetings, by start
     * @param  list<Reserve>  $reserves  time kept free by hand, by start
     * @param  list<Interval>  $ended  ends of days that the person cleared
     * @param  list<Interval>  $more  what further meetings take, more than anybody reads
     * @param  list<RoutineTime>  $routines  time kept free every week, by start
     * @param  list<LunchDay>  $lunches  days with another lunch
     */
    public function __construct(
        public readonly User $user,
        public readonly LocalDay $first,
        public readonly int $days,
        public readonly Collection $sets,
        public readonly Collection $occurrences,
        public readonly array $reserves = [],
        public readonly array $ended = [],
        public readonly array $more = [],
        public readonly array $routines = [],
        private readonly array $lunches = [],
    ) {
        $this->zone = Zones::named($user->zone);
    }

    public function lunch(): IntervalSet
    {
        return $this->lunch ??= RowMapper::lunch($this->user, $this->lunches)->during($this->zone, $this->first, $this->days);
    }

    /** Meetings that block, each with the time kept free around it, reserves, and ends of days. */
    public function busy(): IntervalSet
    {
        if ($this->busy === null) {
            $busy = [...$this->ended, ...$this->more];
            foreach ($this->occurrences as $occurrence) {
                if ($occurrence->blocks()) {
                    $busy[] = RowMapper::withBuffers($occurrence, $this->user);
                }
            }
            $this->busy = IntervalSet::covering(...$busy, ...$this->keptFree());
        }

        return $this->busy;
    }

    /** @return list<Interval> time kept free by hand, of one day or of every week */
    public function keptFree(): array
    {
        return [
            ...array_map(RowMapper::time(...), $this->reserves),
            ...array_map(static fn (RoutineTime $one): Interval => $one->time, array_values(array_filter($this->routines, static fn (RoutineTime $one): bool => ! $one->routine->deep))),
        ];
    }

    /** Where deep work goes best; null if the person has said nothing. */
    public function bestHours(): ?IntervalSet
    {
        return RowMapper::bestHours($this->user)?->during($this->zone, $this->first, $this->days);
    }

    /** Time in which deep work may lie, and nothing else. */
    public function deepOnly(): IntervalSet
    {
        return IntervalSet::covering(...array_map(static fn (RoutineTime $one): Interval => $one->time, array_filter($this->routines, static fn (RoutineTime $one): bool => $one->routine->deep)));
    }

    /** Hours of a set, lunch and nights left out. */
    public function hours(int $set): IntervalSet
    {
        return $this->hours[$set] ??= $this->weekly($set)->during($this->zone, $this->first, $this->days)->without($this->lunch())->without($this->sleep());
    }

    private function sleep(): IntervalSet
    {
        return $this->sleep ??= RowMapper::sleep($this->user)->during($this->zone, $this->first, $this->days);
    }

    /** @return array<int, IntervalSet> the same of all sets, by id */
    public function allHours(): array
    {
        $all = [];
        foreach ($this->sets as $set) {
            $all[$set->id] = $this->hours($set->id);
        }

        return $all;
    }

    private function weekly(int $set): WeeklyHours
    {
        return $this->weekly[$set] ??= RowMapper::hours($this->sets->firstWhere('id', $set) ?? throw new \LogicException('Hours are of one of the sets.'));
    }

    /** One of its days by itself; meetings and reserves that reach into it are there whole. */
    public function on(LocalDay $day): self
    {
        $span = $this->zone->day($day);
        $around = new Interval($span->start - 720, $span->end + 720);

        return new self(
            $this->user,
            $day,
            1,
            $this->sets,
            $this->occurrences->filter(static fn (Occurrence $one): bool => RowMapper::start($one) < $around->end && RowMapper::end($one) > $around->start),
            array_values(array_filter($this->reserves, static fn (Reserve $one): bool => RowMapper::time($one)->overlaps($around))),
            array_values(array_filter($this->ended, static fn (Interval $one): bool => $one->overlaps($around))),
            array_values(array_filter($this->more, static fn (Interval $one): bool => $one->overlaps($around))),
            array_values(array_filter($this->routines, static fn (RoutineTime $one): bool => $one->time->overlaps($around))),
            $this->lunches,
        );
    }

    /** True if it reaches over all of a day. */
    public function covers(LocalDay $day): bool
    {
        return $day->number >= $this->first->number && $day->number < $this->first->number + $this->days;
    }

    public function span(): Interval
    {
        return new Interval($this->zone->at($this->first, 0), $this->zone->at($this->first->plusDays($this->days), 0));
    }

    /** Open time of a set of hours: without lunch and busy meetings; anchored blocks are still in it. */
    public function open(int $set): IntervalSet
    {
        return $this->open[$set] ??= $this->hours($set)->without($this->busy());
    }

    /** Hours of that day with lunch still in them. */
    public function hoursOn(int $set, LocalDay $day): IntervalSet
    {
        return $this->weekly($set)->during($this->zone, $day, 1)->without($this->covers($day) ? $this->sleep() : RowMapper::sleep($this->user)->during($this->zone, $day, 1));
    }

    /** True if the set has hours on that day, whatever else is on it. */
    public function isOpenOn(int $set, LocalDay $day): bool
    {
        return $this->weekly($set)->on($day) !== [];
    }

    /** What the day can carry in that set of hours. */
    public function load(int $set, LocalDay $day, IntervalSet $anchored): DayLoad
    {
        $span = $this->zone->day($day);

        return DayLoad::of(
            $this->hoursOn($set, $day),
            $this->lunch()->between($span->start, $span->end),
            $this->busy()->between($span->start, $span->end),
            $anchored->between($span->start, $span->end),
            $this->user->margin_percent,
        );
    }

    /**
     * The moment work of a set of hours is due: its time, or the end of its day's hours (of the day itself, if those
     * are closed); null if it has neither.
     *
     * @param  string|null  $on  the local day, as it is stored
     * @param  string|null  $at  the time in UTC, as it is stored
     */
    public function due(?string $on, ?string $at, int $set): ?int
    {
        if ($at !== null) {
            return Moments::stored($at);
        }
        if ($on === null) {
            return null;
        }
        $day = LocalDay::fromString($on);
        $end = 0;
        foreach ($this->weekly($set)->on($day) as $stretch) {
            $end = max($end, $stretch->to);
        }

        return $this->zone->at($day, $end === 0 ? 1440 : $end);
    }
}
