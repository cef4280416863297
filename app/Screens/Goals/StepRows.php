<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use App\Models\User;
use App\Models\Worked;
use App\Rows\Desk;
use App\Rows\GoalSteps;
use App\Time\Moments;
use App\Wording\Times;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Goals\CycleWeeks;
use Nekto\Core\Goals\Kept;
use Nekto\Core\Time\LocalDay;

/** Steps of goals, and the times of habits, with what became of each in its week. The one place for "steps kept". */
final readonly class StepRows
{
    public function __construct(private Desk $desk) {}

    /**
     * @param  list<int>  $goals
     * @return array<int, array<int, list<StepRow>>> by goal and number of the week
     */
    public function of(array $goals, CycleWeeks $weeks): array
    {
        $rows = [];
        foreach ($this->steps($goals) as $row) {
            $rows[(int) $row->goal_id][$this->week($weeks, $row->week_on)][] = $this->row($row, LocalDay::fromString($row->week_on));
        }
        foreach ($this->times(static fn (Builder $query): Builder => $query->whereIn('habits.goal_id', $goals)) as $row) {
            $rows[(int) $row->goal_id][$this->week($weeks, $row->week_on)][] = $this->row($row, LocalDay::fromString($row->week_on));
        }

        return array_map(static fn (array $byWeek): array => array_map(self::sorted(...), array_intersect_key($byWeek, array_flip(range(1, $weeks->weeks)))), $rows);
    }

    /**
     * Times of habits.
     *
     * @return array<int, array<string, list<StepRow>>> by habit and first day of the week
     */
    public function ofHabits(User $user, LocalDay $since): array
    {
        $rows = [];
        foreach ($this->times(static fn (Builder $query): Builder => $query->where('habits.user_id', $user->id)->where('tasks.occurs_on', '>=', $since->asString())) as $row) {
            $rows[(int) $row->habit_id][$row->week_on][] = $this->row($row, LocalDay::fromString($row->week_on));
        }

        return array_map(static fn (array $byWeek): array => array_map(self::sorted(...), $byWeek), $rows);
    }

    /**
     * @param  list<int>  $goals
     * @return list<\stdClass>
     */
    private function steps(array $goals): array
    {
        return $goals === [] ? [] : GoalSteps::judged(DB::table('goal_steps')->join('tasks', 'tasks.id', 'goal_steps.task_id')->whereIn('goal_steps.goal_id', $goals))
            ->orderBy('goal_steps.id')->get(['goal_steps.id as step', 'goal_steps.goal_id', 'goal_steps.week_on', 'goal_steps.fate', ...$this->columns()])->all();
    }

    /**
     * @param  \Closure(Builder): Builder  $which
     * @return list<\stdClass>
     */
    private function times(\Closure $which): array
    {
        return $which(DB::table('tasks')->join('habits', 'habits.id', 'tasks.habit_id'))->whereNotNull('tasks.occurs_on')->orderBy('tasks.id')
            ->get([DB::raw('null as step'), 'habits.goal_id', 'tasks.occurs_on as week_on', DB::raw('null as fate'), ...$this->columns()])->all();
    }

    /** @return list<mixed> */
    private function columns(): array
    {
        return ['tasks.id', 'tasks.habit_id', 'tasks.title', 'tasks.short', 'tasks.done_at', 'tasks.estimate', DB::raw(Worked::left($this->desk->now).' as remains')];
    }

    private function row(\stdClass $row, LocalDay $week): StepRow
    {
        $now = Moments::minute($this->desk->now);
        $user = $this->desk->user();
        $end = $this->desk->time()->zone->at($week->plusDays(7), 0);
        $done = $row->done_at === null ? null : Moments::stored($row->done_at);
        $next = $done === null ? $this->desk->planned()->next((int) $row->id, $now) : null;
        $hasBlock = $next !== null && $next < $end;
        $kept = $row->fate !== null && $done === null ? Kept::Missed : Kept::of($done, $end, $now);

        return new StepRow(
            $row->step === null ? null : (int) $row->step, (int) $row->id, (string) $row->title, (string) ($row->short ?? $row->title), $kept, $hasBlock,
            match (true) {
                $kept === Kept::Kept => Times::when($user, (int) $done, $this->desk->now),
                $hasBlock => Times::when($user, $next, $this->desk->now),
                default => '',
            },
            (int) ($done === null ? $row->remains ?? $row->estimate : $row->estimate),
            $row->habit_id === null ? null : (int) $row->habit_id,
        );
    }

    private function week(CycleWeeks $weeks, string $first): int
    {
        return $weeks->of(LocalDay::fromString($first)) ?? 0;
    }

    /**
     * What is done first, then what has a block, then the rest.
     *
     * @param  list<StepRow>  $rows
     * @return list<StepRow>
     */
    private static function sorted(array $rows): array
    {
        $rank = ['kept' => 0, 'block' => 1, 'none' => 2, 'missed' => 3];
        usort($rows, static fn (StepRow $a, StepRow $b): int => [$rank[$a->peg()], $a->task] <=> [$rank[$b->peg()], $b->task]);

        return $rows;
    }
}
