<?php

declare(strict_types=1);

namespace App\Screens\Horizon;

use App\Edits\DueDay;
use App\Models\Task;
use App\Models\User;
use App\Planning\ProblemLoader;
use App\Planning\Prospects;
use App\Rows\Candidate;
use App\Rows\Candidates;
use App\Rows\Desk;
use App\Rows\OpenTasks;
use App\Rows\WhatIf;
use App\Screens\Shape\CrunchLine;
use App\Screens\Shape\CrunchWays;
use App\Screens\Shape\LateLine;
use App\Screens\Task\TaskForesight;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Whether all of it will fit: open time and work due over the coming weeks, from the same figures as every room and pressure. */
final readonly class HorizonScreen
{
    /** Weeks that can be looked at. */
    public const WEEKS = [3, 6, 12];

    /** Tasks that are named at a due date, and among what competes. */
    private const NAMED = 4;

    public function __construct(private Desk $desk, private Prospects $prospects, private ProblemLoader $problems, private TaskForesight $foresight) {}

    /**
     * @param  int|null  $set  of hours; null: the first; 0: all together
     * @param  array{Task, LocalDay}|null  $try  a due date as it would be
     */
    public function of(User $user, int $weeks, ?int $set, bool $ways, ?array $try, CarbonImmutable $now): HorizonPage
    {
        $time = $this->desk->time();
        $first = $this->desk->today();
        $last = $first->plusDays(7 * $weeks - 1);
        $until = $time->zone->day($last)->end;
        $open = $this->desk->open();
        $then = $try === null ? $open : Candidates::of($this->desk, self::moved($try[0]->setRelation('user', $user), $try[1], $now));
        $sets = $this->sets($then);
        $set = $set === 0 && count($sets) > 1 ? 0 : (isset($sets[$set ?? 0]) ? (int) $set : (int) array_key_first($sets));
        $shown = $set === 0 ? array_keys($sets) : [$set];
        $hours = IntervalSet::empty();
        foreach ($shown as $id) {
            $hours = $hours->union($time->hours($id));
        }
        $drawing = new CurveDrawing($this->desk, HorizonAxis::of($time->zone, $first, 7 * $weeks, $hours), $until);
        $rows = $this->rows($then, $shown, $user, $try === null ? $this->prospects->chances($user, $now) : [], $now);
        $rows = [...$rows, ...$this->together($then, $shown, $rows, $user, $now)];
        usort($rows, static fn (DueRow $a, DueRow $b): int => [$a->due, -$a->set, $a->project ?? 0] <=> [$b->due, -$b->set, $b->project ?? 0]);
        $near = array_values(array_filter($rows, static fn (DueRow $row): bool => $row->due <= $until));
        $curves = $this->drawn($drawing, $then, $shown, $rows, $until);
        $crunches = $this->crunches($curves, $near, $user);

        return new HorizonPage(
            weeks: $weeks,
            set: $set,
            sets: $sets,
            span: Dates::of($user)->span($first, $last),
            curves: $curves,
            was: $try === null ? null : $this->drawn($drawing, $open, $shown, [], $until, $curves->top),
            rows: $near,
            crunches: $crunches,
            beyond: count($rows) - count($near),
            ways: $ways && $crunches !== [] && $crunches[0]->row->set !== 0 && $try === null ? $this->ways($crunches[0]) : null,
            tried: $try === null ? null : $this->tried($try[0], $try[1], $now),
        );
    }

    /** @return array<int, string> sets with due work, and the first one, by id */
    private function sets(OpenTasks $open): array
    {
        $sets = [];
        foreach ($this->desk->time()->sets as $i => $one) {
            if (isset($open->curves[$one->id]) && ($i === 0 || $open->curves[$one->id]->steps() !== [])) {
                $sets[$one->id] = $one->name;
            }
        }

        return $sets;
    }

    /**
     * @param  list<int>  $sets
     * @param  list<DueRow>  $rows
     */
    private function drawn(CurveDrawing $drawing, OpenTasks $open, array $sets, array $rows, int $until, ?int $scale = null): Curves
    {
        $named = [];
        foreach ($rows as $row) {
            isset($named[$row->due]) && $named[$row->due]->room < $row->room || $named[$row->due] = $row;
        }
        if (count($sets) < 2) {
            $curve = $open->curves[$sets[0] ?? 0] ?? null;

            return $drawing->of($curve?->supply->corners($until) ?? [], $curve?->steps() ?? [], $named, $scale);
        }

        return $drawing->of(($open->together)($sets)->corners($until), self::joined($open, $sets), $named, $scale);
    }

    /**
     * The steps of several sets as one.
     *
     * @param  list<int>  $sets
     * @return list<array{int, int}> due moments, and the minutes due by then
     */
    private static function joined(OpenTasks $open, array $sets): array
    {
        $added = [];
        foreach ($sets as $set) {
            $before = 0;
            foreach ($open->curves[$set]->steps() as [$due, $minutes]) {
                $added[$due] = ($added[$due] ?? 0) + $minutes - $before;
                $before = $minutes;
            }
        }
        ksort($added);
        $sum = 0;
        $steps = [];
        foreach ($added as $due => $minutes) {
            $steps[] = [$due, $sum += $minutes];
        }

        return $steps;
    }

    /**
     * The first due date at which sets that share time are short together, though each by itself is not.
     *
     * @param  list<int>  $sets
     * @param  list<DueRow>  $rows
     * @return list<DueRow>
     */
    private function together(OpenTasks $open, array $sets, array $rows, User $user, CarbonImmutable $now): array
    {
        $supply = count($sets) < 2 ? null : ($open->together)($sets);
        foreach ($supply === null ? [] : self::joined($open, $sets) as [$due, $minutes]) {
            $own = array_values(array_filter($rows, static fn (DueRow $row): bool => $row->due === $due));
            if ($due <= Moments::minute($now) || $own === [] || $minutes <= $supply->until($due)) {
                continue;
            }
            if (array_filter($rows, static fn (DueRow $row): bool => $row->room < 0 && $row->due <= $due) !== []) {
                return []; // that one is said already
            }
            $room = $supply->until($due) - $minutes;

            return [new DueRow($due, 0, $own[0]->day, $own[0]->when, __('horizon.hours_together'), array_merge(...array_column($own, 'tasks')), $minutes, $minutes + $room, $room, (int) round(100 * $minutes / max(1, $minutes + $room)), null, false, $minutes, $room)];
        }

        return [];
    }

    /**
     * @param  list<int>  $sets
     * @param  array<int, int>  $chances  by task
     * @return list<DueRow> by due date
     */
    private function rows(OpenTasks $open, array $sets, User $user, array $chances, CarbonImmutable $now): array
    {
        $due = $open->weighed()->filter(static fn (Candidate $one): bool => $one->due !== null && $one->demand !== null && $one->toPlan > 0 && in_array($one->set, $sets, true));
        $tasks = $this->desk->tasks($due->keys()->all());
        $projects = $user->projects()->whereKey($tasks->pluck('project_id')->filter()->unique()->all())->pluck('name', 'id')->all();
        $minute = Moments::minute($now);
        $rows = [];
        foreach ($due->groupBy(static fn (Candidate $one): string => "{$one->due} {$one->set}") as $some) {
            $some = $some->sortByDesc('toPlan');
            $first = $some->firstOrFail();
            $tight = $some->sortBy(static fn (Candidate $one): int => $one->demand?->room() ?? 0)->firstOrFail();
            $own = array_values($some->filter(static fn (Candidate $one): bool => isset($tasks[$one->id]))->map(static fn (Candidate $one): array => ['id' => $one->id, 'title' => $tasks[$one->id]->shortTitle(), 'minutes' => $one->toPlan])->all());
            $known = array_intersect_key($chances, $some->keyBy('id')->all());
            $plain = $open->curves[$first->set]->at((int) $first->due);
            $demand = $tight->demand ?? $plain;
            $rows[] = new DueRow(
                (int) $first->due,
                $first->set,
                $this->desk->time()->zone->dayOf((int) $first->due - 1)->asString(),
                Times::due($user, (int) $first->due, ($tasks[$first->id] ?? null)?->due_at !== null, $now),
                $this->name($some, $tasks, $projects),
                $own,
                $demand->demand,
                $demand->supply,
                $demand->room(),
                $demand->pressure(),
                $known === [] ? null : min($known),
                (int) $first->due <= $minute,
                $plain->demand,
                $plain->room(),
            );
        }
        foreach ($this->desk->milestones()->all($this->desk) as $one) { // due dates without work of their own
            $curve = in_array($one['set'], $sets, true) ? $open->curves[$one['set']] ?? null : null;
            if ($curve !== null && $one['due'] > $minute) {
                $at = $curve->at($one['due']);
                $rows[] = new DueRow($one['due'], $one['set'], $this->desk->time()->zone->dayOf($one['due'] - 1)->asString(), Times::due($user, $one['due'], false, $now), __('horizon.milestone', ['name' => $one['name']]), [], $at->demand, $at->supply, $at->room(), $at->pressure(), null, false, $at->demand, $at->room(), $one['project']);
            }
        }
        usort($rows, static fn (DueRow $a, DueRow $b): int => [$a->due, $a->set, $a->project ?? 0] <=> [$b->due, $b->set, $b->project ?? 0]);

        return $rows;
    }

    /**
     * The project of all that is due then, or the longest tasks by name.
     *
     * @param  Collection<int, Candidate>  $some
     * @param  Collection<int, Task>  $tasks
     * @param  array<int, string>  $names  of projects by id
     */
    private function name(Collection $some, Collection $tasks, array $names): string
    {
        $own = $some->map(static fn (Candidate $one): ?Task => $tasks[$one->id] ?? null)->filter()->values();
        $projects = $own->pluck('project_id')->unique();
        $project = $own->count() > 1 && $projects->count() === 1 ? $names[(int) $projects->first()] ?? null : null;
        if ($project !== null) {
            return trans_choice('horizon.of_project', $own->count(), ['project' => $project]);
        }
        $titles = $own->take(2)->map(static fn (Task $task): string => $task->shortTitle())->implode('; ');

        return $own->count() > 2 ? trans_choice('horizon.and_more', $own->count() - 2, ['names' => $titles]) : $titles;
    }

    /**
     * Of due dates in a row that are short only the first: it is the one that ways lead out of.
     *
     * @param  list<DueRow>  $rows
     * @return list<Crunch>
     */
    private function crunches(Curves $curves, array $rows, User $user): array
    {
        $places = array_column($curves->nodes, null, 'due');
        $crunches = $isShort = [];
        foreach ($rows as $row) {
            if ($row->isOver || $row->tasks === []) {
                continue;
            }
            $was = $isShort[$row->set] ?? false;
            $isShort[$row->set] = $row->room < 0;
            if ($was || $row->room >= 0) {
                continue;
            }
            $named = $row->tasks;
            $ends = array_map(fn (array $task): ?int => $this->desk->planned()->end($task['id']), $named);
            $node = $places[$row->due] ?? null;
            $crunches[] = new Crunch(
                $row,
                -$row->room,
                array_slice($named, 0, self::NAMED),
                max(0, count($named) - self::NAMED),
                max(0, $row->all - (int) array_sum(array_column($named, 'minutes'))),
                in_array(null, $ends, true) ? null : Times::when($user, max($ends), $this->desk->now),
                [$node['left'] ?? 1000.0, $node['top'] ?? 0.0],
            );
        }

        return $crunches;
    }

    /** The same that Shape offers for that date. */
    private function ways(Crunch $crunch): ?CrunchWays
    {
        $open = $this->desk->open()->weighed();
        $tight = $open->only(array_column($crunch->row->tasks, 'id'))->sortBy(static fn (Candidate $one): int => $one->demand?->room() ?? 0)->first();
        $point = $tight === null ? null : CrunchLine::point($tight, $open);
        [$late] = LateLine::among($this->desk, $this->desk->open()->all(), $this->prospects->slacks($this->desk->user(), $this->desk->now));

        return $point === null ? null : CrunchWays::of($this->desk, $this->problems, $point, $late->count());
    }

    private static function moved(Task $task, LocalDay $day, CarbonImmutable $now): WhatIf
    {
        $due = DueDay::columns($task, $day->asString());

        return new WhatIf($task->id, $task->importance, $due['due_on'], $due['due_at']?->toDateTimeString(), $task->minutesLeft($now));
    }

    private function tried(Task $task, LocalDay $day, CarbonImmutable $now): Tried
    {
        $foreseen = $this->foresight->of($task->setRelation('user', $this->desk->user()), DueDay::columns($task, $day->asString()), $now);

        return new Tried($task->id, $task->shortTitle(), $day, $task->due_at === null ? null : $task->user->local($task->due_at)->format('H:i'), $foreseen['change'], $foreseen['words']);
    }
}
