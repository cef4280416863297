<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Rows\Candidate;
use App\Rows\Lens;
use App\Rows\RowMapper;
use App\Rows\Slacks;
use App\Rows\WorkTime;
use App\Time\Moments;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** A day from top to bottom, in proportion: where everything lies, in pixels from its first minute. */
final readonly class RunSheet
{
    /** Pixels a minute: ten hours seen whole. */
    public const SCALE = 1.04;

    private const AROUND = 30;

    private const DEFAULT_FROM = 510;

    private const LEAST = 600;

    /** A free stretch shorter than this is not worth a word. */
    private const NAMED_GAP = 15;

    private function __construct(
        public Interval $span,
        public int $height,
        /** @var array<int, array{top: float, label: string}> full hours */
        public array $hours,
        /** @var array<int, array{top: float, height: float}> closed time */
        public array $closed,
        /** @var array<int, array{top: float, label: string}> where a set of hours begins */
        public array $names,
        /** @var list<SheetMeeting> */
        public array $meetings,
        /** @var list<SheetBlock> */
        public array $blocks,
        /** @var list<SheetReserve> time kept free by hand, and batches */
        public array $reserves,
        /** @var array<int, array{top: float, height: float, label: string, kind: string}> lunch, free stretches, time to get there */
        public array $gaps,
        /** @var array<int, array{top: float, height: float, label: string, kind: string}> what really happened */
        public array $actual,
        /** @var list<Tail> how far blocks can still slip */
        public array $tails,
        /** @var array<int, array{top: float, text: string}> */
        public array $notes,
        public ?float $nowAt,
        public string $nowLabel,
        /** @var array<int, string> whole-day meetings */
        public array $allDay,
    ) {}

    /**
     * @param  Collection<int, Block>  $blocks  of the day, with tasks and areas, by start
     * @param  Collection<int, Candidate>  $candidates
     * @param  Collection<int, Entry>  $entries  of the day
     * @param  array<int, true>  $keys  its key tasks, by id
     */
    public static function of(
        WorkTime $time,
        LocalDay $day,
        Collection $blocks,
        Slacks $slacks,
        Collection $candidates,
        Collection $entries,
        CarbonImmutable $now,
        ?Block $chosen,
        array $keys,
        ?int $reserve = null,
        ?int $routine = null,
        ?Lens $lens = null,
    ): self {
        $lens ??= Lens::none();
        $user = $time->user;
        $whole = $time->zone->day($day);
        $hours = self::hoursOn($time, $day);
        $occurrences = $time->occurrences->filter(static fn (Occurrence $one): bool => RowMapper::start($one) < $whole->end
            && RowMapper::end($one) > $whole->start && ($one->isShown() || $one->blocks()));
        $timed = $occurrences->reject(static fn (Occurrence $one): bool => $one->all_day || RowMapper::end($one) <= RowMapper::start($one));
        $span = self::span($time, $day, $whole, $hours, $timed, $blocks);
        $place = static fn (int $minute): float => round(($minute - $span->start) * self::SCALE, 1);
        $minute = Moments::minute($now);
        $sheetBlocks = $blocks->map(static fn (Block $block): SheetBlock => self::blockPiece($block, $time, $span, $candidates, $now, $chosen, isset($keys[$block->task_id]), ! $lens->holdsArea($block->task->area_id)))->values()->all();
        $busy = $timed->filter(static fn (Occurrence $one): bool => $one->blocks());

        return new self(
            $span,
            (int) ceil($span->length() * self::SCALE),
            self::hourMarks($time, $span, $place),
            array_map(
                static fn (Interval $gap): array => ['top' => $place($gap->start), 'height' => round($gap->length() * self::SCALE, 1)],
                IntervalSet::covering($span)->without($hours)->without($time->lunch())->intervals,
            ),
            self::setNames($time, $day, $span, $place),
            $timed->map(static fn (Occurrence $one): SheetMeeting => self::meetingPiece($one, $time, $span, $blocks, $now, $lens->holdsMeeting($one)))->values()->all(),
            $sheetBlocks,
            self::reserves($time, $whole, $span, $blocks, $now, $reserve, $routine, IntervalSet::covering(...$busy->map(RowMapper::time(...))->values()->all())),
            self::gaps($time, $span, $hours, $busy, $blocks, $place, $now),
            $entries->map(static fn (Entry $entry): array => [
                'top' => $place(RowMapper::start($entry)),
                'height' => max(3.0, round((($entry->ends_at === null ? $minute : RowMapper::end($entry)) - RowMapper::start($entry)) * self::SCALE, 1)),
                'label' => Times::brief($user, $entry->starts_at),
                'kind' => match (true) {
                    $entry->ends_at === null => 'running',
                    $entry->break => 'rest',
                    $entry->task_id === null => 'meeting',
                    default => 'done',
                },
            ])->values()->all(),
            (new SlackTails($time, $span, $slacks, $now))->of($blocks, $chosen, (int) ceil($span->length() * self::SCALE)),
            self::notes($time, $blocks, $entries, $place, $now, $chosen),
            $span->contains($minute) ? $place($minute) : null,
            Times::brief($user, $minute),
            $occurrences->filter(static fn (Occurrence $one): bool => $one->all_day)->map(static fn (Occurrence $one): string => $one->shownName())->values()->all(),
        );
    }

    public function block(int $id): ?SheetBlock
    {
        return self::first($this->blocks, $id);
    }

    public function reserve(int $id): ?SheetReserve
    {
        return self::first($this->reserves, $id);
    }

    /** The routine that is chosen. */
    public function routine(): ?SheetReserve
    {
        return array_values(array_filter($this->reserves, static fn (SheetReserve $one): bool => $one->routine !== null && $one->chosen))[0] ?? null;
    }

    /** @return list<SheetMeeting|SheetBlock> from top to bottom */
    public function items(): array
    {
        $items = [...$this->meetings, ...$this->blocks];
        usort($items, static fn (SheetMeeting|SheetBlock $a, SheetMeeting|SheetBlock $b): int => $a->top <=> $b->top);

        return $items;
    }

    /** @return list<SheetBlock> that have not begun and can still be moved */
    public function ahead(): array
    {
        return array_values(array_filter($this->blocks, static fn (SheetBlock $one): bool => $one->movable && ! $one->begun));
    }

    /**
     * @template T of SheetBlock|SheetReserve
     *
     * @param  list<T>  $pieces
     * @return T|null
     */
    private static function first(array $pieces, int $id): SheetBlock|SheetReserve|null
    {
        foreach ($pieces as $piece) {
            if ($piece->id === $id) {
                return $piece;
            }
        }

        return null;
    }

    private static function hoursOn(WorkTime $time, LocalDay $day): IntervalSet
    {
        $hours = IntervalSet::empty();
        foreach ($time->sets as $set) {
            $hours = $hours->union($time->hoursOn($set->id, $day));
        }

        return $hours;
    }

    /**
     * @param  Collection<int, Occurrence>  $timed
     * @param  Collection<int, Block>  $blocks
     */
    private static function span(WorkTime $time, LocalDay $day, Interval $whole, IntervalSet $hours, Collection $timed, Collection $blocks): Interval
    {
        $edges = [];
        foreach ($hours->intervals as $interval) {
            array_push($edges, $interval->start - self::AROUND, $interval->end);
        }
        foreach ([...$timed, ...$blocks] as $row) {
            array_push($edges, RowMapper::start($row) - 10, RowMapper::end($row));
        }
        foreach ([...$time->keptFree(), ...$time->deepOnly()->intervals] as $kept) {
            $kept->overlaps($whole) && array_push($edges, $kept->start - 10, $kept->end);
        }
        $from = $edges === [] ? $time->zone->at($day, self::DEFAULT_FROM) : min($edges);
        $from = max($whole->start, intdiv($from, 30) * 30);
        $to = $edges === [] ? $from + self::LEAST : max($edges);

        return new Interval($from, max($from + 60, min($whole->end, max($from + self::LEAST, $to + (30 - $to % 30) % 30))));
    }

    /**
     * @param  \Closure(int): float  $place
     * @return array<int, array{top: float, label: string}>
     */
    private static function hourMarks(WorkTime $time, Interval $span, \Closure $place): array
    {
        $marks = [];
        for ($at = $span->start; $at <= $span->end; $at += 30) {
            if ($time->zone->minuteOfDay($at) % 60 === 0) {
                $marks[] = ['top' => $place($at), 'label' => Times::hour($time->user, $at)];
            }
        }

        return $marks;
    }

    /**
     * @param  \Closure(int): float  $place
     * @return array<int, array{top: float, label: string}>
     */
    private static function setNames(WorkTime $time, LocalDay $day, Interval $span, \Closure $place): array
    {
        $names = [];
        foreach ($time->sets as $set) {
            $first = $time->hoursOn($set->id, $day)->intervals[0] ?? null;
            if ($first !== null && $first->start >= $span->start) {
                $names[] = ['top' => $place($first->start), 'label' => $set->name];
            }
        }

        return $names;
    }

    /** @param  Collection<int, Block>  $blocks  of the day: one that is fixed may lie at the same time */
    private static function meetingPiece(Occurrence $occurrence, WorkTime $time, Interval $span, Collection $blocks, CarbonImmutable $now, bool $isSeen): SheetMeeting
    {
        $interval = RowMapper::time($occurrence);
        $shown = $interval->intersection($span) ?? $interval;
        $height = round($shown->length() * self::SCALE, 1);

        return new SheetMeeting(
            id: $occurrence->id,
            title: $isSeen ? $occurrence->shownName() : __('app.lens.outside'),
            place: $isSeen && $occurrence->isShown() ? $occurrence->place : null,
            link: $isSeen && $occurrence->isShown() && $occurrence->ends_at > $now ? $occurrence->link : null,
            hatching: (int) $occurrence->meeting->calendar->getAttributes()['hatching'],
            minutes: $interval->length(),
            range: Times::range($time->user, $interval->start, $interval->end),
            top: round(($shown->start - $span->start) * self::SCALE, 1),
            height: $height,
            size: self::size($height),
            busy: $occurrence->blocks(),
            crosses: $blocks->contains(static fn (Block $block): bool => $block->clashesWith($occurrence)),
        );
    }

    /**
     * @param  Collection<int, Candidate>  $candidates
     */
    private static function blockPiece(Block $block, WorkTime $time, Interval $span, Collection $candidates, CarbonImmutable $now, ?Block $chosen, bool $isKey, bool $isOutside): SheetBlock
    {
        $interval = RowMapper::time($block);
        $shown = $interval->intersection($span) ?? $interval;
        $height = round($shown->length() * self::SCALE, 1);
        $candidate = $candidates[$block->task_id] ?? null;
        $left = $block->task->minutesLeft($now);
        $begun = $block->state === BlockState::Planned && RowMapper::time($block)->contains(Moments::minute($now));

        return new SheetBlock(
            id: $block->id,
            task: $block->task_id,
            title: $isOutside ? __('app.lens.outside') : $block->task->title,
            outside: $isOutside,
            hue: $block->task->area->hue,
            area: $block->task->area->name,
            importance: $block->task->importance->value ?? 1,
            deep: $block->task->demand === Demand::Deep,
            key: $isKey,
            anchored: $block->anchored,
            carried: $block->task->carried,
            state: $block->state->value,
            begun: $begun,
            batched: $block->reserve_id !== null,
            movable: $block->state === BlockState::Planned && $interval->end > Moments::minute($now),
            minutes: $interval->length(),
            start: $interval->start,
            end: $interval->end,
            range: Times::range($time->user, $interval->start, $interval->end),
            extra: $block->state === BlockState::Planned && $left > $interval->length() ? __('shape.of_left', ['left' => Times::duration($left)]) : '',
            pressure: $candidate?->pressure(),
            top: round(($shown->start - $span->start) * self::SCALE, 1),
            height: $height,
            size: self::size($height),
            chosen: $chosen !== null && $chosen->id === $block->id,
            mark: $block->mark(),
        );
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @return list<SheetReserve>
     */
    private static function reserves(WorkTime $time, Interval $whole, Interval $span, Collection $blocks, CarbonImmutable $now, ?int $chosen, ?int $routine, IntervalSet $meetings): array
    {
        $reserves = [];
        foreach ($time->reserves as $reserve) {
            $shown = RowMapper::time($reserve)->intersection($span);
            if ($shown === null || ! RowMapper::time($reserve)->overlaps($whole)) {
                continue;
            }
            $held = $blocks->where('reserve_id', $reserve->id);
            $filled = $held->isEmpty() ? $shown->start : min($shown->end, max($shown->start, (int) $held->map(static fn (Block $block): int => RowMapper::end($block))->max()));
            $reserves[] = new SheetReserve(
                key: "reserve-{$reserve->id}",
                address: "/reserves/{$reserve->id}",
                id: $reserve->id,
                title: $reserve->title,
                count: $held->count(),
                minutes: RowMapper::time($reserve)->length(),
                start: RowMapper::start($reserve),
                range: Times::range($time->user, $reserve->starts_at, $reserve->ends_at),
                movable: $reserve->ends_at > $now,
                chosen: $chosen === $reserve->id,
                under: $meetings->overlaps($shown),
                top: round(($shown->start - $span->start) * self::SCALE, 1),
                height: round($shown->length() * self::SCALE, 1),
                filled: round(($filled - $shown->start) * self::SCALE, 1),
            );
        }
        foreach ($time->routines as $one) {
            $shown = $one->time->intersection($span);
            if ($shown !== null && $one->time->overlaps($whole)) {
                $reserves[] = new SheetReserve(
                    key: "routine-{$one->routine->id}",
                    address: "/routines/{$one->routine->id}/days/{$one->day->asString()}",
                    id: null,
                    title: $one->routine->title,
                    count: 0,
                    minutes: $one->time->length(),
                    start: $one->time->start,
                    range: Times::range($time->user, $one->time->start, $one->time->end),
                    movable: $one->time->end > Moments::minute($now),
                    chosen: $routine === $one->routine->id,
                    under: $meetings->overlaps($shown),
                    top: round(($shown->start - $span->start) * self::SCALE, 1),
                    height: round($shown->length() * self::SCALE, 1),
                    filled: 0,
                    routine: $one,
                );
            }
        }

        return $reserves;
    }

    /** Two lines, one line, or a narrow one: how much text a piece of that height can hold. */
    private static function size(float $height): string
    {
        return match (true) {
            $height >= 46 => 'tall',
            $height >= 24 => 'line',
            $height >= 18 => 'narrow',
            $height >= 10 => 'sliver',
            default => 'hair', // no line of text fits: its name is in its label
        };
    }

    /**
     * @param  Collection<int, Occurrence>  $busy
     * @param  Collection<int, Block>  $blocks
     * @param  \Closure(int): float  $place
     * @return array<int, array{top: float, height: float, label: string, kind: string}>
     */
    private static function gaps(WorkTime $time, Interval $span, IntervalSet $hours, Collection $busy, Collection $blocks, \Closure $place, CarbonImmutable $now): array
    {
        $times = $blocks->reject(static fn (Block $block): bool => $block->state === BlockState::Passed)
            ->map(static fn (Block $block): Interval => RowMapper::time($block))->values()->all();
        $taken = IntervalSet::covering(...$times)->union($time->busy())->union($time->lunch());
        $bare = IntervalSet::covering(
            ...$busy->map(static fn (Occurrence $one): Interval => RowMapper::time($one))->values()->all(),
            ...$time->keptFree(),
        );
        $lead = $time->busy()->without($bare)->intersection($hours)->without(IntervalSet::covering(...$times));
        $gaps = [];
        $add = static function (IntervalSet $set, string $kind) use (&$gaps, $span, $place, $time): void {
            foreach ($set->between($span->start, $span->end)->intervals as $gap) {
                $gaps[] = [
                    'top' => $place($gap->start),
                    'height' => round($gap->length() * self::SCALE, 1),
                    'label' => __("shape.gap.{$kind}", ['minutes' => Times::column($gap->length()), 'range' => Times::range($time->user, $gap->start, $gap->end)]),
                    'kind' => $kind,
                ];
            }
        };
        $add($time->lunch(), 'lunch');
        $add($lead, 'lead');
        $free = $hours->without($taken)->between(max($span->start, Moments::minute($now)), $span->end);
        $add(IntervalSet::covering(...array_filter($free->intervals, static fn (Interval $gap): bool => $gap->length() >= self::NAMED_GAP)), 'free');

        return $gaps;
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Entry>  $entries
     * @param  \Closure(int): float  $place
     * @return array<int, array{top: float, text: string}>
     */
    private static function notes(WorkTime $time, Collection $blocks, Collection $entries, \Closure $place, CarbonImmutable $now, ?Block $chosen): array
    {
        $notes = [];
        foreach ($blocks as $block) {
            $text = null;
            if ($block->state === BlockState::Passed) {
                $text = __('shape.note.passed');
            } elseif ($block->isPlanned() && $block->isOn($now)) {
                $text = self::begun($block, $entries, $time);
            } elseif ($block->hasPassed($now)) {
                $text = __('shape.note.went_by');
            } elseif ($block->isPlanned() && ! $block->isAhead($now)) {
                $text = __('shape.note.kept');
            }
            if ($text !== null && $block->id !== $chosen?->id) {
                $notes[] = ['top' => $place(RowMapper::start($block)), 'text' => $text];
            }
        }

        return $notes;
    }

    /** @param  Collection<int, Entry>  $entries */
    private static function begun(Block $block, Collection $entries, WorkTime $time): string
    {
        $entry = $entries->first(static fn (Entry $entry): bool => $entry->task_id === $block->task_id && ($entry->ends_at === null || $entry->ends_at > $block->starts_at));
        $late = $entry === null ? 0 : RowMapper::start($entry) - RowMapper::start($block);
        $end = Times::clock($time->user, $block->ends_at);

        return match (true) {
            $entry === null => __('shape.note.now', ['end' => $end]),
            $late > 0 => __('shape.note.begun_late', ['minutes' => $late, 'end' => $end]),
            default => __('shape.note.begun', ['end' => $end]),
        };
    }
}
