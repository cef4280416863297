<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\Change;
use App\Edits\ChangeKind;
use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Rows\Candidate;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Day\DayCandidate;
use Nekto\Core\Day\OverfullDay;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/** Ways out of a day that is to carry more than its load line, in the person's first set of hours. */
final readonly class Overfull
{
    /** @param  array<int, string>  $titles  of the tasks that could move, by id */
    private function __construct(public OverfullDay $day, private WorkTime $time, private array $titles) {}

    /**
     * Null if the day fits.
     *
     * @param  Collection<int, Block>  $blocks  of the day
     * @param  Collection<int, Task>  $untimed  picked for it, without a time on it
     * @param  Collection<int, Candidate>  $candidates
     */
    public static function of(WorkTime $time, LocalDay $day, Collection $blocks, Collection $untimed, Collection $candidates, Gauge $gauge, CarbonImmutable $now): ?self
    {
        if ($gauge->over() <= 0) {
            return null;
        }
        $end = $time->zone->day($day)->end;
        $counted = $blocks->filter(static fn (Block $block): bool => $block->state !== BlockState::Passed && ! $block->anchored && $block->task->hoursSet() === $time->sets->first()?->id);
        [$able, $fixed] = $counted->partition(static fn (Block $block): bool => $block->state === BlockState::Planned && $block->starts_at > $now);
        $minutes = static fn (Collection $some): int => (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length());
        $movable = [];
        $picks = new Picks($time->user, Moments::today($time->user, $now));
        if ($untimed->isNotEmpty()) { // what makes way for picks by itself need not be asked
            $able = $able->reject(static fn (Block $block): bool => Gauge::yields($block, $picks, $day, $now));
        }
        foreach ($able->groupBy('task_id') as $id => $some) {
            $movable[] = self::candidate((int) $id, $minutes($some), $some->first()?->task->demand === Demand::Deep, $candidates[$id] ?? null, $end);
        }
        foreach ($untimed->filter(static fn (Task $task): bool => $task->hoursSet() === $time->sets->first()?->id) as $task) {
            $movable[] = self::candidate($task->id, $picks->minutes($task, $day, $now), $task->demand === Demand::Deep, $candidates[$task->id] ?? null, $end);
        }
        $overfull = OverfullDay::of(
            $movable,
            $minutes($fixed),
            $minutes($fixed->filter(static fn (Block $block): bool => $block->task->demand === Demand::Deep)),
            $gauge->load->loadLine,
            $time->user->deep_limit,
            $time->user->margin_percent,
        );

        return $overfull === null ? null : new self(
            $overfull,
            $time,
            $able->mapWithKeys(static fn (Block $block): array => [$block->task_id => $block->task->shortTitle()])->all()
                + $untimed->mapWithKeys(static fn (Task $task): array => [$task->id => $task->shortTitle()])->all(),
        );
    }

    /** The change with its figures; null if there is no such way. */
    public function change(ChangeKind $kind): ?Change
    {
        return match (true) {
            $kind === ChangeKind::Wait && $this->day->waiting !== [] => new Change($kind, tasks: array_map(static fn (DayCandidate $one): int => (int) $one->id, $this->day->waiting)),
            $kind === ChangeKind::Longer && $this->day->longer !== null && $this->time->sets->isNotEmpty() => new Change($kind, minutes: $this->day->longer),
            $kind === ChangeKind::Cut && $this->day->cut !== null => new Change($kind, tasks: [(int) $this->day->cut->id], minutes: $this->day->cutBy()),
            default => null,
        };
    }

    /** The tasks a way is about, by name. */
    public function names(ChangeKind $kind): string
    {
        return implode(', ', array_map(fn (int $id): string => $this->titles[$id] ?? '', $this->change($kind)->tasks ?? []));
    }

    /** What is due on the day itself stays while anything else can go. */
    private static function candidate(int $id, int $minutes, bool $deep, ?Candidate $one, int $end): DayCandidate
    {
        return new DayCandidate((string) $id, $minutes, $one?->pull->total() ?? 0, $deep, ($one->due ?? PHP_INT_MAX) <= $end);
    }
}
