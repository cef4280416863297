<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\CrunchWay;
use App\Planning\ProblemLoader;
use App\Planning\Prospects;
use App\Rows\Desk;
use App\Wording\Times;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Prospect\DuePoint;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Prospect\WayOutKind;
use Nekto\Core\Prospect\WaysOut;
use Nekto\Core\Task\Task;

/** Ways out of the first crunch, each found by planning with it: what it is and how many tasks are late by it. */
final readonly class CrunchWays
{
    /**
     * @param  list<array{way: string, says: string, late: int}>  $ways  the cheapest of each kind
     * @param  int  $lateNow  tasks that are late by the plan as it is
     * @param  int  $missing  minutes that are too much in any case
     */
    private function __construct(public array $ways, public int $lateNow, public int $missing) {}

    public static function of(Desk $desk, ProblemLoader $problems, DuePoint $crunch, int $lateNow): self
    {
        $user = $desk->user();
        $rows = $problems->read($user, $desk->now);
        $loaded = $problems->problem($rows, afresh: true);
        $out = new WaysOut($loaded->problem, Prospects::plan($problems->problem($rows)->problem), $user->margin_percent, $crunch);
        $ways = [];
        foreach ($out->all() as $way) {
            $about = $way->kind === WayOutKind::ExtraHours ? (int) $way->hours : (int) $way->task;
            $found = new CrunchWay($way->kind, $about, $way->time->start ?? $way->amount, $way->time?->length() ?? 0);
            $ways[] = ['way' => $found->asText(), 'says' => self::says($desk, $found), 'late' => self::late($loaded->problem, $way->then)];
        }

        return new self($ways, $lateNow, $out->atLeast);
    }

    /** What a way out is, as "Cut Captions by 40 min". */
    public static function says(Desk $desk, CrunchWay $way): string
    {
        $user = $desk->user();
        $isHours = $way->kind === WayOutKind::ExtraHours;

        return __("shape.crunch.{$way->kind->value}", [
            'title' => $isHours ? '' : (string) ($desk->tasks([$way->about])[$way->about] ?? null)?->shortTitle(),
            'day' => $way->kind === WayOutKind::MoveDue || $isHours ? Times::day($user, $way->amount - ($isHours ? 0 : 1), $desk->now) : '',
            'minutes' => Times::duration($isHours ? $way->minutes : $way->amount),
            'from' => $isHours ? Times::clock($user, $way->amount) : '',
            'to' => $isHours ? Times::clock($user, $way->amount + $way->minutes) : '',
            'hours' => $isHours ? (string) $desk->time()->sets->firstWhere('id', $way->about)?->name : '',
        ]);
    }

    /** What is overdue already is not counted: no plan helps it. */
    private static function late(PlanningProblem $problem, Outcome $outcome): int
    {
        return count(array_filter($problem->tasks, static fn (Task $task): bool => isset($outcome->late[$task->id]) && ($task->due->at ?? 0) > $problem->now));
    }
}
