<?php

declare(strict_types=1);

namespace App\Screens\View;

use App\Find\Conditions;
use App\Find\Question;
use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\Desk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** The answer to a question: tasks in groups. */
final readonly class ViewScreen
{
    private const ROWS = 100;

    public function __construct(private Desk $desk, private Answer $answer, private Prospects $prospects) {}

    /** @param  bool  $sums  the table of sums by group is asked for */
    public function of(User $user, Question $question, CarbonImmutable $now, bool $all, bool $sums = false): ViewPage
    {
        $conditions = new Conditions($user, $user->local($now)->format('Y-m-d'), $now->utc()->format('Y-m-d H:i:s'));
        $choices = $conditions->choices($this->desk->areas());
        $rows = $this->answer->of($user, $conditions, $question, $now);
        $shown = $this->tasks($user, array_keys($all ? $rows : array_slice($rows, 0, self::ROWS, true)), $now);

        return new ViewPage(
            chances: $this->prospects->chances($user, $now),
            sentence: Conditions::sentence($question, $choices),
            question: $question,
            contradicts: $question->contradicts(),
            count: count($rows),
            shown: count($shown),
            minutes: (int) array_sum(array_column($rows, 'left')),
            sums: $sums ? $this->sums($user, $rows, $question->group, $now) : null,
            groups: $shown->groupBy(fn (Task $task): string => $this->answer->group($rows[$task->id], $question->group, $user)),
            candidates: $this->desk->open()->all(),
            choices: $choices,
        );
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Task> in the order of the ids
     */
    private function tasks(User $user, array $ids, CarbonImmutable $now): Collection
    {
        $tasks = $user->tasks()->withTrashed()->counted($now)->getQuery()->with(['project', 'contexts', 'repeat'])->withCount('subtasks')->whereIntegerInRaw('id', $ids)->get()->keyBy('id');
        foreach ($tasks as $task) {
            $task->setRelation('area', $this->desk->areas()[$task->area_id] ?? throw new \LogicException('Every task is in an area.'));
        }

        return (new Collection($ids))->map(static fn (int $id): ?Task => $tasks[$id] ?? null)->filter()->values();
    }

    /**
     * Of all that the question finds, by its groups; the sums are those of the rows.
     *
     * @param  array<int, \stdClass>  $rows  by id
     * @return array<string, array{count: int, estimated: int, left: int, worked: int}>
     */
    private function sums(User $user, array $rows, string $group, CarbonImmutable $now): array
    {
        $worked = $user->entries()->where('break', false)->whereIntegerInRaw('task_id', array_keys($rows))->groupBy('task_id')->selectRaw('task_id, '.Worked::sum($now).' as minutes')->toBase()->pluck('minutes', 'task_id')->all();
        $sums = [];
        foreach ($rows as $id => $row) {
            $name = $this->answer->group($row, $group, $user);
            $sums[$name] ??= ['count' => 0, 'estimated' => 0, 'left' => 0, 'worked' => 0];
            $sums[$name]['count']++;
            $sums[$name]['estimated'] += (int) $row->estimate;
            $sums[$name]['left'] += (int) $row->left;
            $sums[$name]['worked'] += (int) ($worked[$id] ?? 0);
        }

        return $sums;
    }
}
