<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Models\User;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Wording\Times;
use Nekto\Core\Task\Demand;

/** Work that has no time yet, or not for all of it: what is due the soonest first, and then by pull. */
final readonly class NoPlace
{
    /** Tasks that are drawn. */
    private const MOST = 5;

    /**
     * @param  list<array{task: int, title: string, minutes: int, due: string, hue: string, deep: bool, importance: int}>  $tasks
     * @param  int  $minutes  of all
     * @param  int  $more  tasks that are not drawn
     */
    private function __construct(public array $tasks, public int $minutes, public int $more) {}

    public static function of(Desk $desk): self
    {
        $missing = [];
        $all = $desk->open()->weighed()->filter(static fn (Candidate $one): bool => $one->toPlan > 0 && $one->isNext && $desk->lens()->holdsArea($one->area));
        foreach ($all as $one) {
            $left = $desk->unplaced($one);
            $left > 0 && $missing[$one->id] = $left;
        }
        $order = array_keys($missing);
        usort($order, static function (int $a, int $b) use ($all): int {
            $rank = static fn (?Candidate $one): array => [$one === null || $one->due === null ? PHP_INT_MAX : $one->due, -($one?->pull->total() ?? 0), $one->id ?? 0];

            return $rank($all[$a]) <=> $rank($all[$b]);
        });
        $shown = array_slice($order, 0, self::MOST);
        $rows = $desk->tasks($shown);
        $tasks = [];
        foreach ($shown as $id) {
            $row = $rows[$id] ?? null;
            $row === null || $tasks[] = [
                'task' => $id, 'title' => $row->shortTitle(), 'minutes' => $missing[$id], 'due' => self::due($desk->user(), $desk, $all[$id] ?? null, $row->due_at !== null),
                'hue' => $row->area->hue, 'deep' => $row->demand === Demand::Deep, 'importance' => $row->importance->value ?? 0,
            ];
        }

        return new self($tasks, array_sum($missing), count($missing) - count($tasks));
    }

    private static function due(User $user, Desk $desk, ?Candidate $one, bool $hasTime): string
    {
        return $one?->due === null ? '' : Times::due($user, $one->due, $hasTime, $desk->now);
    }
}
