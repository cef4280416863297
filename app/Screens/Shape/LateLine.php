<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\Slacks;
use App\Time\Moments;
use App\Wording\Times;
use Illuminate\Support\Collection;

/** The standing line above the sheet: what will be late by the plan as it is, and what is overdue, by name. */
final readonly class LateLine
{
    private const NAMED = 3;

    /**
     * @param  list<array{task: int, title: string, says: string}>  $names  those that will be late, then the overdue ones
     * @param  int  $breakAfter  so many of them will be late
     */
    private function __construct(public string $sentence, public array $names, public int $breakAfter, public int $more) {}

    /**
     * @param  Collection<int, Candidate>  $open  tasks by id
     * @return array{Collection<int, Candidate>, Collection<int, Candidate>} late by the plan, the most pull first, and overdue, the oldest first
     */
    public static function among(Desk $desk, Collection $open, Slacks $slacks): array
    {
        $now = Moments::minute($desk->now);
        $overdue = $open->filter(static fn (Candidate $one): bool => $one->due !== null && $one->due <= $now)->sortBy('due');
        $late = $desk->planned()->isEmpty() ? new Collection : $open->filter(static fn (Candidate $one): bool => $one->due !== null && $one->due > $now && isset($slacks->late[$one->id]))->sortByDesc(static fn (Candidate $one): int => $one->pull->total());

        return [$late, $overdue];
    }

    /**
     * The tasks that it names, to be read with others.
     *
     * @param  array{Collection<int, Candidate>, Collection<int, Candidate>}  $among
     * @return list<int>
     */
    public static function named(array $among): array
    {
        return array_values($among[0]->take(self::NAMED)->concat($among[1]->take(self::NAMED))->pluck('id')->all());
    }

    /**
     * Null where all is in time.
     *
     * @param  array{Collection<int, Candidate>, Collection<int, Candidate>}  $among
     */
    public static function of(Desk $desk, array $among): ?self
    {
        [$late, $overdue] = $among;
        if ($overdue->isEmpty() && $late->isEmpty()) {
            return null;
        }
        $named = $late->take(self::NAMED)->concat($overdue->take(self::NAMED));
        $tasks = $desk->tasks($named->pluck('id')->all());
        $names = [];
        foreach ($named as $one) {
            $task = $tasks[$one->id] ?? throw new \LogicException('What is open is there.');
            $end = $desk->planned()->end($one->id);
            $due = Times::due($desk->user(), (int) $one->due, $task->due_at !== null, $desk->now);
            $names[] = ['task' => $one->id, 'title' => $task->shortTitle(), 'says' => __($end === null ? 'shape.late.no_place' : 'shape.late.ends', ['end' => $end === null ? '' : Times::when($desk->user(), $end, $desk->now), 'due' => $due])];
        }
        $sentence = implode('; ', array_filter([
            $late->isEmpty() ? '' : trans_choice('shape.late.by_plan', $late->count()),
            $overdue->isEmpty() ? '' : trans_choice($late->isEmpty() ? 'shape.late.overdue_only' : 'shape.late.overdue', $overdue->count()),
        ])).'.';

        return new self($sentence, $names, min(self::NAMED, $late->count()), $late->count() + $overdue->count() - count($names));
    }
}
