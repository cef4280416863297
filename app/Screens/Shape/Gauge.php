<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Occurrence;
use App\Models\Task;
use App\Rows\Candidate;
use App\Rows\DayWork;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** A day's work stacked up against its load line, in the person's first set of hours. */
final readonly class Gauge
{
    /** Pixels a minute where the day is of usual length; longer days are drawn smaller. */
    private const SCALE = 1.3;

    private const HEIGHT = 448;

    /** Pixels above the uppermost minute. */
    private const HEAD = 14;

    /**
     * @param  list<GaugePiece>  $pieces  from the foot up
     * @param  int  $planned  minutes that are laid out: the sum of its blocks
     * @param  int  $waiting  minutes of picks without a time on the day
     * @param  int  $yielding  minutes of $planned that would make way for them: neither picked nor due nor begun
     * @param  array<int, array{name: string, minutes: int, line: int}>  $others  what the other sets of hours carry
     */
    private function __construct(
        public string $hoursName,
        public DayLoad $load,
        public array $pieces,
        public int $planned,
        public int $waiting,
        private int $yielding,
        public int $deep,
        public int $deepLimit,
        public int $lead,
        public int $reserved,
        public array $others,
        public float $scale,
        public ?float $chosenAt,
    ) {}

    /**
     * @param  Collection<int, Block>  $blocks  of the day, with tasks and areas
     * @param  Collection<int, Candidate>  $candidates
     * @param  Collection<int, Task>  $untimed  picked for the day, without a time on it
     */
    public static function of(WorkTime $time, LocalDay $day, Collection $blocks, Collection $candidates, CarbonImmutable $now, ?Block $chosen, Collection $untimed): self
    {
        $work = DayWork::of($time, $day, $blocks);
        $main = $time->sets->first();
        $mine = DayWork::counted($blocks)->filter(static fn (Block $block): bool => $block->task->hoursSet() === $main?->id);
        $load = $main === null
            ? DayLoad::of(IntervalSet::empty(), IntervalSet::empty(), IntervalSet::empty(), IntervalSet::empty(), 0)
            : $work->sets[$main->id]->load;
        $picks = new Picks($time->user, Moments::today($time->user, $now));
        $waiting = $untimed->filter(static fn (Task $task): bool => $task->hoursSet() === $main?->id);
        $planned = $main === null ? 0 : $work->sets[$main->id]->minutes;
        $waits = (int) $waiting->sum(static fn (Task $task): int => $picks->minutes($task, $day, $now));
        $scale = min(self::SCALE, self::HEIGHT / max(60, $load->open, $planned + $waits));
        $pieces = self::stack($picks, $mine, $candidates, $time, $day, $now, $load->loadLine, $scale, 100 / max(60, $load->open, $planned + $waits), $waiting);

        return new self(
            $main->name ?? '',
            $load,
            $pieces,
            $planned,
            $waits,
            self::minutes($mine->filter(static fn (Block $block): bool => self::yields($block, $picks, $day, $now))),
            $work->deep,
            $work->deepLimit,
            self::lead($time, $day),
            self::reserved($time, $day),
            self::others($work),
            $scale,
            collect($pieces)->where('id', $chosen->id ?? 0)->map(static fn (GaugePiece $piece): float => $piece->bottom + $piece->height / 2)->first(),
        );
    }

    /** Minutes of the main hours that were reserved by hand; where a meeting lies on them they are the meeting's. */
    private static function reserved(WorkTime $time, LocalDay $day): int
    {
        $main = $time->sets->first();
        if ($main === null || $time->keptFree() === []) {
            return 0;
        }
        $span = $time->zone->day($day);
        $meetings = $time->occurrences->filter(static fn (Occurrence $one): bool => $one->blocks())->map(static fn (Occurrence $one): Interval => RowMapper::withBuffers($one, $time->user));

        return IntervalSet::covering(...$time->keptFree())
            ->between($span->start, $span->end)->intersection($time->hours($main->id))->without(IntervalSet::covering(...$meetings->values()->all()))->length();
    }

    private static function isOn(Block $block, CarbonImmutable $now): bool
    {
        return RowMapper::time($block)->contains(Moments::minute($now));
    }

    /** True for what is laid out on the day and would make way for its picks. */
    public static function yields(Block $block, Picks $picks, LocalDay $day, CarbonImmutable $now): bool
    {
        return $block->isPlanned() && $block->starts_at > $now && ! $block->isPinned() && ! $picks->isFor($block->task, $day) && ! $picks->isDueBy($block->task, $day);
    }

    /** How far the day is over its line, with its picks that have no time yet in place of what would make way for them; 0 if it is not. */
    public function over(): int
    {
        return max(0, $this->planned - $this->load->loadLine, $this->waiting === 0 ? 0 : $this->planned + $this->waiting - $this->yielding - $this->load->loadLine);
    }

    /** Minutes that the gauge reaches up to. */
    public function top(): int
    {
        return max($this->load->open, $this->planned + $this->waiting);
    }

    /** Pixels. */
    public function height(): int
    {
        return (int) ceil($this->top() * $this->scale) + self::HEAD;
    }

    /** Pixels that so many minutes take. */
    public function pixels(int $minutes, int $precision = 1): float
    {
        return round($minutes * $this->scale, $precision);
    }

    /** Percent of the width that so many minutes take where the gauge lies. */
    public function percent(int $minutes): float
    {
        return round(100 * $minutes / max(60, $this->top()), 2);
    }

    /** What still fits under the line. */
    public function free(): int
    {
        return max(0, $this->load->loadLine - $this->planned);
    }

    /**
     * From the foot: done, begun, due that day, then by pull – so what lies over the line is what can wait.
     *
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Candidate>  $candidates
     * @param  float  $scale  pixels a minute
     * @param  float  $lying  percent of the width a minute where the gauge lies
     * @param  Collection<int, Task>  $untimed  on top: they have no time yet
     * @return list<GaugePiece>
     */
    private static function stack(Picks $picks, Collection $blocks, Collection $candidates, WorkTime $time, LocalDay $day, CarbonImmutable $now, int $line, float $scale, float $lying, Collection $untimed): array
    {
        $end = $time->zone->day($day)->end;
        $rank = static fn (Block $block): array => [
            match (true) {
                $block->state === BlockState::Done, $block->state === BlockState::Part => 0,
                self::isOn($block, $now) => 1,
                ($candidates[$block->task_id]->due ?? PHP_INT_MAX) <= $end => 2,
                default => 3,
            },
            -($candidates[$block->task_id] ?? null)?->pull->total(),
            RowMapper::start($block),
        ];
        $pieces = [];
        $sum = 0;
        foreach ($blocks->sort(static fn (Block $a, Block $b): int => $rank($a) <=> $rank($b)) as $block) {
            $length = RowMapper::time($block)->length();
            $begun = $block->state === BlockState::Planned && self::isOn($block, $now);
            $pieces[] = new GaugePiece(
                id: $block->id,
                task: $block->task_id,
                label: $block->task->shortTitle(),
                minutes: $length,
                bottom: round($sum * $scale, 1),
                height: round($length * $scale, 1),
                hue: $block->task->area->hue,
                deep: $block->task->demand === Demand::Deep,
                state: $block->state->value,
                spent: $begun ? round((Moments::minute($now) - RowMapper::start($block)) * $scale, 1) : 0,
                over: $sum + $length > $line,
                from: round($sum * $lying, 2),
                share: round($length * $lying, 2),
            );
            $sum += $length;
        }
        foreach ($untimed as $task) {
            $length = $picks->minutes($task, $day, $now);
            $pieces[] = new GaugePiece(
                id: null, task: $task->id, label: $task->shortTitle(), minutes: $length, bottom: round($sum * $scale, 1), height: round($length * $scale, 1),
                hue: $task->area->hue, deep: $task->demand === Demand::Deep, state: 'untimed', spent: 0, over: $sum + $length > $line,
                from: round($sum * $lying, 2), share: round($length * $lying, 2),
            );
            $sum += $length;
        }

        return $pieces;
    }

    /** Minutes of that day's meetings that are time to get there or away. */
    private static function lead(WorkTime $time, LocalDay $day): int
    {
        $span = $time->zone->day($day);
        $bare = $time->keptFree();
        foreach ($time->occurrences as $occurrence) {
            if ($occurrence->blocks()) {
                $bare[] = RowMapper::time($occurrence);
            }
        }
        $main = $time->sets->first();

        return $main === null ? 0 : $time->busy()->without(IntervalSet::covering(...$bare))
            ->between($span->start, $span->end)->intersection($time->hours($main->id))->length();
    }

    /** @return array<int, array{name: string, minutes: int, line: int}> */
    private static function others(DayWork $work): array
    {
        $others = [];
        foreach (array_slice($work->sets, 1) as $set) {
            if ($set->load->loadLine > 0 || $set->minutes > 0) {
                $others[] = ['name' => $set->name, 'minutes' => $set->minutes, 'line' => $set->load->loadLine];
            }
        }

        return $others;
    }

    /** @param  Collection<int, Block>  $blocks */
    private static function minutes(Collection $blocks): int
    {
        return $blocks->sum(static fn (Block $block): int => RowMapper::time($block)->length());
    }
}
