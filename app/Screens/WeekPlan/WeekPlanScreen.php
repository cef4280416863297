<?php

declare(strict_types=1);

namespace App\Screens\WeekPlan;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\GoalSteps;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Screens\Week\WeekDay;
use App\Screens\Week\WeekScreen;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Day\WeekCandidate;
use Nekto\Core\Day\WeekProposal;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/** A week planned before it begins: each candidate with a day that has room for it, and what can wait. */
final readonly class WeekPlanScreen
{
    /** Tasks with the best pull that are offered beside what comes over and what is due. */
    private const BY_PULL = 8;

    private const MOST_LATER = 6;

    public function __construct(private Desk $desk, private WeekScreen $weeks) {}

    /** @param  array<int, int|null>  $chosen  numbers of days by task, null to wait */
    public function of(User $user, LocalDay $first, CarbonImmutable $now, array $chosen): WeekPlanPage
    {
        $week = $this->weeks->of($user, $first, $now, false);
        $rows = array_values(array_filter($week->days, static fn (WeekDay $row): bool => ! $row->isPast && ($row->main->load->open ?? 0) > 0));
        $numbers = array_map(static fn (WeekDay $row): int => $row->day->number, $rows);
        $last = $first->plusDays(WeekScreen::DAYS - 1);
        $end = $this->desk->time()->zone->day($last)->end;
        $begin = $this->desk->time()->zone->day($first)->start;
        $left = $this->desk->open()->weighed()->map(fn (Candidate $one): int => $this->desk->unplaced($one, $begin))->all(); // what is laid out before it is done by then
        $candidates = $this->desk->open()->weighed()->filter(fn (Candidate $one): bool => $one->isNext && $left[$one->id] > 0 && $this->desk->lens()->holdsArea($one->area));
        $tasks = $this->desk->tasks($candidates->keys()->all());
        $steps = $this->stepsOf($user, $first);
        $groups = $this->groups($candidates, $tasks, $end, $first, $steps);
        $offered = array_merge(...array_values($groups));
        [$lines, $deep] = $rows === [] ? [[], []] : $this->room($rows, $offered);
        $named = array_map(fn (int $id): WeekCandidate => $this->candidate($user, $candidates[$id] ?? throw new \LogicException('It is one of them.'), $left[$id], $tasks[$id], $numbers, isset($steps[$id])), $offered);
        $proposal = $rows === [] ? null : new WeekProposal($named, $lines, $deep, array_intersect_key(array_map(static fn (?int $day): ?int => $day === null || in_array($day, $numbers, true) ? $day : null, $chosen), array_flip($offered)), $last->number);
        $days = array_map(fn (WeekDay $row): PlanDay => $this->day($row, $proposal, $user), $rows);

        return new WeekPlanPage(
            Dates::of($user)->span($first, $last),
            $first,
            array_map(fn (array $ids): array => array_map(fn (int $id): PlanRow => $this->row($user, $candidates[$id] ?? throw new \LogicException('It is one of them.'), $left[$id], $tasks[$id], $proposal, array_key_exists($id, $chosen)), $ids), $groups),
            $days,
            $week->axis,
            $this->later($user, $candidates, $left, $tasks, $proposal, $last),
            $candidates->count() - count($offered),
            array_sum(array_map(static fn (PlanDay $day): int => $day->planned, $days)),
            array_sum(array_map(static fn (PlanDay $day): int => $day->line, $days)),
            array_values(array_map(static fn (PlanDay $day): string => $day->row->label, array_filter($days, static fn (PlanDay $day): bool => $day->isOver()))),
        );
    }

    /**
     * @param  Collection<int, Candidate>  $candidates
     * @param  Collection<int, Task>  $tasks
     * @param  array<int, true>  $of  steps of that week
     * @return array<string, list<int>> ids by why they are there
     */
    private function groups(Collection $candidates, Collection $tasks, int $end, LocalDay $first, array $of): array
    {
        $begins = $first->asString();
        $able = $candidates->filter(static fn (Candidate $one): bool => isset($tasks[$one->id]) && ($tasks[$one->id]->not_before === null || Moments::minute($tasks[$one->id]->not_before) < $end));
        $over = $able->filter(static fn (Candidate $one): bool => $one->carried > 0 || ($tasks[$one->id]->picked_on !== null && $tasks[$one->id]->picked_on < $begins));
        $due = $able->diffKeys($over)->filter(static fn (Candidate $one): bool => $one->due !== null && $one->due <= $end);
        $picked = $able->diffKeys($over)->diffKeys($due)->filter(static fn (Candidate $one): bool => $tasks[$one->id]->picked_on !== null && $tasks[$one->id]->picked_on >= $begins && $tasks[$one->id]->picked_on <= $first->plusDays(WeekScreen::DAYS - 1)->asString());
        $step = Candidate::byPull($able->diffKeys($over)->diffKeys($due)->diffKeys($picked)->filter(static fn (Candidate $one): bool => isset($of[$one->id])));
        $pull = Candidate::byPull($able->diffKeys($over)->diffKeys($due)->diffKeys($picked)->diffKeys($step))->take(self::BY_PULL);
        $byDue = static fn (Collection $some): array => array_values($some->sortBy(static fn (Candidate $one): array => [$one->due ?? PHP_INT_MAX, -$one->pull->total()])->pluck('id')->all());

        return array_filter(['over' => $byDue($over), 'due' => $byDue($due), 'picked' => $byDue($picked), 'step' => array_values($step->pluck('id')->all()), 'pull' => array_values($pull->pluck('id')->all())]);
    }

    /** @return array<int, true> tasks that are steps in the week that begins with that day, or still are from an earlier one */
    private function stepsOf(User $user, LocalDay $first): array
    {
        return array_fill_keys($user->tasks()->whereRaw(GoalSteps::isStep($first->plusDays(WeekScreen::DAYS - 1)))->toBase()->pluck('id')->all(), true);
    }

    /**
     * What each day has left when what the run is about is taken off it.
     *
     * @param  non-empty-list<WeekDay>  $rows
     * @param  list<int>  $offered
     * @return array{array<array<int, int>>, array<int, int>} minutes by set of hours and day, and deep ones by day
     */
    private function room(array $rows, array $offered): array
    {
        $own = array_flip($offered);
        $lines = $deep = [];
        foreach ($rows as $row) {
            $day = $row->day->number;
            $moves = $this->desk->blocksOn($row->day)->toBase()->filter(fn (Block $block): bool => isset($own[$block->task_id]) && $block->isAhead($this->desk->now) && ! $block->isFixed($this->desk->now));
            [$room, $deep[$day]] = $row->work->roomFor($moves);
            foreach ($room as $set => $minutes) {
                $lines[$set][$day] = $minutes;
            }
        }

        return [$lines, $deep];
    }

    /** @param  list<int>  $numbers  of the week's days */
    private function candidate(User $user, Candidate $one, int $left, Task $task, array $numbers, bool $isStep): WeekCandidate
    {
        $zone = $this->desk->time()->zone;
        $fixed = $planned = 0;
        $day = null;
        foreach ($numbers as $number) {
            foreach ($this->desk->blocksOn(new LocalDay($number)) as $block) {
                if ($block->task_id === $one->id && $block->state === BlockState::Planned) {
                    $block->isFixed($this->desk->now) ? $fixed += RowMapper::time($block)->length() : $day ??= $number;
                    $planned++;
                }
            }
        }
        $picked = (new Picks($user, $this->desk->today()))->day($task->setRelation('user', $user));

        return new WeekCandidate(
            (string) $one->id,
            max(1, $left - $fixed),
            $task->demand === Demand::Deep,
            $one->pull->total() + ($isStep && $one->pull->step === 0 ? Pull::STEP : 0), // its week has not come yet, and this is about that week
            (string) $one->set,
            $one->due === null ? null : $zone->dayOf($one->due - 1)->number,
            $task->not_before === null ? null : $zone->dayOf(Moments::minute($task->not_before))->number,
            $picked !== null && in_array($picked->number, $numbers, true) ? $picked->number : $day,
            $picked !== null && in_array($picked->number, $numbers, true),
        );
    }

    private function day(WeekDay $row, ?WeekProposal $proposal, User $user): PlanDay
    {
        $set = array_search($row->main, $row->work->sets, true);
        $line = $row->main->load->loadLine ?? 0;

        return new PlanDay($row, $line - ($proposal->room[$set][$row->day->number] ?? $line), $line, $user->deep_limit - ($proposal->deepRoom[$row->day->number] ?? $user->deep_limit), $user->deep_limit);
    }

    private function row(User $user, Candidate $one, int $left, Task $task, ?WeekProposal $proposal, bool $isChosen): PlanRow
    {
        $parts = $proposal->parts[$one->id] ?? [];
        $stands = array_sum($parts) === 0 ? min($left, WeekProposal::SHARE) : array_sum($parts);
        $would = [];
        foreach ($proposal->room[$one->set] ?? [] as $day => $room) {
            $would[$day] = $room + ($parts[$day] ?? 0) - $stands;
        }
        $later = $left - array_sum($parts);

        return new PlanRow(
            $one->id, $task->title, $task->area->hue, $one->importance->value ?? 0, $one->carried, $left, $parts, $would,
            $one->due === null ? '' : Times::due($user, $one->due, $task->due_at !== null, $this->desk->now),
            $one->due !== null && $one->due <= Moments::minute($this->desk->now),
            $isChosen,
            match (true) {
                $parts === [] => __('weekplan.waits'),
                $later > 0 => __('weekplan.later', ['minutes' => Times::duration($later)]),
                count($parts) > 1 => __('weekplan.several', ['days' => implode(', ', array_map(static fn (int $day, int $minutes): string => Dates::of($user)->near(new LocalDay($day)).' '.Times::duration($minutes), array_keys($parts), $parts))]),
                default => '',
            },
        );
    }

    /**
     * What waits together: at each due date after the week all that is due between, against the open time from next week on.
     *
     * @param  Collection<int, Candidate>  $candidates
     * @param  array<int, int>  $leftOf  minutes by task
     * @param  Collection<int, Task>  $tasks
     * @return list<LaterRow>
     */
    private function later(User $user, Collection $candidates, array $leftOf, Collection $tasks, ?WeekProposal $proposal, LocalDay $last): array
    {
        $time = $this->desk->time();
        $set = $time->sets->first();
        $curve = $set === null ? null : $this->desk->open()->curves[$set->id] ?? null;
        if ($set === null || $curve === null) {
            return [];
        }
        $end = $time->zone->day($last)->end;
        $byDue = [];
        foreach ($candidates as $one) {
            $left = $leftOf[$one->id] - array_sum($proposal->parts[$one->id] ?? []);
            if ($one->due !== null && $one->set === $set->id && $left > 0 && $one->due > $end) {
                $byDue[$one->due][] = [$one->id, $left];
            }
        }
        ksort($byDue);
        $rows = [];
        $all = 0;
        foreach ($byDue as $due => $some) {
            $minutes = array_sum(array_column($some, 1));
            $all += $minutes;
            $names = array_map(static fn (array $one): string => (string) ($tasks[$one[0]] ?? null)?->shortTitle(), array_slice($some, 0, 2));
            $rows[] = new LaterRow(
                count($some) > 2 ? trans_choice('horizon.and_more', count($some) - 2, ['names' => implode('; ', $names)]) : implode('; ', $names),
                Times::due($user, $due, ($tasks[$some[0][0]] ?? null)?->due_at !== null, $this->desk->now),
                $minutes,
                $all,
                $curve->supply->between($end, $due),
            );
        }

        return array_slice($rows, 0, self::MOST_LATER);
    }
}
