<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\BlockState;
use App\Models\User;
use App\Time\Moments;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/** All planned time of a person by task: no more than the screens ask about, since a plan has many blocks. */
final readonly class PlannedTimes
{
    /** @param  array<int, list<array{Interval, bool}>>  $byTask  by start; true if anchored */
    private function __construct(private array $byTask) {}

    public static function of(User $user): self
    {
        $byTask = [];
        $rows = $user->blocks()->where('state', BlockState::Planned)->orderBy('starts_at')->toBase()->get(['task_id', 'starts_at', 'ends_at', 'anchored']);
        foreach ($rows as $row) {
            $byTask[(int) $row->task_id][] = [new Interval(Moments::stored($row->starts_at), Moments::stored($row->ends_at)), (bool) $row->anchored];
        }

        return new self($byTask);
    }

    /** When the task's first block begins that has not ended by then; null if it has none. */
    public function next(int $task, int $now): ?int
    {
        foreach ($this->byTask[$task] ?? [] as [$time]) {
            if ($time->end > $now) {
                return $time->start;
            }
        }

        return null;
    }

    /** When the task's last block ends; null if it has none. */
    public function end(int $task): ?int
    {
        $blocks = $this->byTask[$task] ?? [];

        return $blocks === [] ? null : $blocks[count($blocks) - 1][0]->end;
    }

    /** Minutes of a task that are laid out and to come, seen from then; no further than until, if that is said. */
    public function minutesAhead(int $task, int $now, int $until = PHP_INT_MAX): int
    {
        $minutes = 0;
        foreach ($this->byTask[$task] ?? [] as [$time]) {
            $minutes += max(0, min($time->end, $until) - max($time->start, $now));
        }

        return $minutes;
    }

    public function isEmpty(): bool
    {
        return $this->byTask === [];
    }

    /**
     * Minutes that are taken from the limits of days: anchored blocks to come, and what is gone of blocks that are on.
     *
     * @param  array<int, \stdClass>  $tasks  with hours_set_id and demand, by id; those of others do not count
     * @return list<Taken>
     */
    public function taken(array $tasks, int $now): array
    {
        $taken = [];
        foreach ($this->byTask as $id => $blocks) {
            foreach (isset($tasks[$id]) ? $blocks : [] as [$time, $anchored]) {
                if ($time->end > $now && ($anchored || $time->start < $now)) {
                    $taken[] = new Taken((int) $tasks[$id]->hours_set_id, $tasks[$id]->demand === Demand::Deep->value, $time->start, $anchored ? $time->length() : $now - $time->start, ! $anchored);
                }
            }
        }

        return $taken;
    }

    /** Time that is anchored and has not ended by then. */
    public function anchored(int $now): IntervalSet
    {
        $times = [];
        foreach ($this->byTask as $blocks) {
            foreach ($blocks as [$time, $anchored]) {
                if ($anchored && $time->end > $now) {
                    $times[] = $time;
                }
            }
        }

        return IntervalSet::covering(...$times);
    }

    /** Minutes of a task that are anchored and to come, seen from then. */
    public function anchoredMinutes(int $task, int $now): int
    {
        $minutes = 0;
        foreach ($this->byTask[$task] ?? [] as [$time, $anchored]) {
            $minutes += $anchored ? max(0, $time->end - max($time->start, $now)) : 0;
        }

        return $minutes;
    }
}
