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
use Nekto\Core\Prospect\WayOut;
use Nekto\Core\Prospect\WayOutKind;
use Nekto\Core\Prospect\WaysOut;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;

/** Ways out of the first crunch, each found by planning with it: what it is and how many tasks are late by it. */
final readonly class CrunchWays
{
    /**
     * @param  list<array{way: string, says: string, late: int, named: list<string>, done: string, pain: int, costs: string}>  $ways  the cheapest of each kind, the least painful first: what is late by it, when the date's own work is done, what it costs
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
            $late = self::late($loaded->problem, $way->then);
            $ways[] = ['way' => $found->asText(), 'says' => self::says($desk, $found), 'late' => count($late), 'named' => self::names($desk, $late), 'done' => self::done($desk, $crunch, $way), ...self::pain($loaded->problem, $way)];
        }
        usort($ways, static fn (array $a, array $b): int => $a['pain'] <=> $b['pain']);

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

    /** @return list<Task> what is overdue already is not counted: no plan helps it */
    private static function late(PlanningProblem $problem, Outcome $outcome): array
    {
        return array_values(array_filter($problem->tasks, static fn (Task $task): bool => isset($outcome->late[$task->id]) && ($task->due->at ?? 0) > $problem->now));
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<string>
     */
    private static function names(Desk $desk, array $tasks): array
    {
        $ids = array_map(static fn (Task $task): int => (int) $task->id, $tasks);
        $rows = $desk->tasks($ids);

        return array_values(array_filter(array_map(static fn (int $id): ?string => ($rows[$id] ?? null)?->shortTitle(), $ids)));
    }

    /** When all that is due at the date is finished by it; empty where something of it has no place. */
    private static function done(Desk $desk, DuePoint $crunch, WayOut $way): string
    {
        $ends = array_map(static fn (string $task): ?int => $way->then->finish[$task] ?? null, array_values(array_filter($crunch->tasks, static fn (string $task): bool => $way->kind !== WayOutKind::Drop || $task !== $way->task)));

        return $ends === [] || in_array(null, $ends, true) ? '' : Times::when($desk->user(), max($ends), $desk->now);
    }

    /**
     * Weight × minutes: of work that is not done, or done after the date that was promised; extra hours are the person's
     * own, as vital work is.
     *
     * @return array{pain: int, costs: string}
     */
    private static function pain(PlanningProblem $problem, WayOut $way): array
    {
        $task = $way->task === null ? null : array_values(array_filter($problem->tasks, static fn (Task $one): bool => $one->id === $way->task))[0] ?? null;
        $minutes = match ($way->kind) {
            WayOutKind::ExtraHours, WayOutKind::Cut => $way->amount,
            WayOutKind::Drop, WayOutKind::MoveDue => $task->minutes ?? 0,
        };
        $importance = $task->importance ?? Importance::Vital;

        return ['pain' => $importance->weight() * $minutes, 'costs' => __('shape.crunch.costs.'.$way->kind->value, ['minutes' => Times::duration($minutes), 'importance' => $importance->word()])];
    }
}
