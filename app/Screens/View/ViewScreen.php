<?php

declare(strict_types=1);

namespace App\Screens\View;

use App\Find\Conditions;
use App\Find\Question;
use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\Candidate;
use App\Rows\Desk;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** The answer to a question: tasks in groups. */
final readonly class ViewScreen
{
    private const ROWS = 100;

    public function __construct(private Desk $desk, private Prospects $prospects) {}

    /** @param  bool  $sums  the table of sums by group is asked for */
    public function of(User $user, Question $question, CarbonImmutable $now, bool $all, bool $sums = false): ViewPage
    {
        $conditions = new Conditions($user, $user->local($now)->format('Y-m-d'), $now->utc()->format('Y-m-d H:i:s'));
        $query = $user->tasks()->counted($now)->getQuery()->with(['project', 'contexts', 'repeat'])->withCount('subtasks');
        $conditions->apply($query, $question);
        $choices = $conditions->choices();
        $contradicts = $question->contradicts();
        $tasks = $contradicts ? new Collection : $query->limit(5000)->get();
        $known = $this->desk->open()->all();
        foreach ($tasks as $task) {
            $task->setRelation('area', $this->desk->areas()[$task->area_id] ?? throw new \LogicException('Every task is in an area.'));
        }
        $sorted = $this->sorted($tasks, $question, $known);
        $shown = $all ? $sorted : $sorted->take(self::ROWS);

        return new ViewPage(
            chances: $this->prospects->chances($user, $now),
            sentence: Conditions::sentence($question, $choices),
            question: $question,
            contradicts: $contradicts,
            count: count($sorted),
            shown: count($shown),
            minutes: (int) $tasks->sum(static fn (Task $task): int => $task->minutesLeft($now)),
            sums: $sums ? $this->sums($user, $sorted, $question->group, $now) : [],
            groups: $shown->groupBy(static fn (Task $task): string => self::group($task, $question->group, $user, $now)),
            candidates: $known,
            choices: $choices,
        );
    }

    /**
     * Of all that the question finds, by its groups; the sums are those of the rows.
     *
     * @param  Collection<int, Task>  $tasks
     * @return array<string, array{count: int, estimated: int, left: int, worked: int}>
     */
    private function sums(User $user, Collection $tasks, string $group, CarbonImmutable $now): array
    {
        $worked = [];
        foreach ($tasks->pluck('id')->chunk(500) as $ids) {
            $worked += $user->entries()->where('break', false)->whereIn('task_id', $ids->all())->groupBy('task_id')->selectRaw('task_id, '.Worked::sum($now).' as minutes')->pluck('minutes', 'task_id')->all();
        }
        $sums = [];
        foreach ($tasks as $task) {
            $name = self::group($task, $group, $user, $now);
            $sums[$name] ??= ['count' => 0, 'estimated' => 0, 'left' => 0, 'worked' => 0];
            $sums[$name]['count']++;
            $sums[$name]['estimated'] += (int) $task->estimate;
            $sums[$name]['left'] += $task->minutesLeft($now);
            $sums[$name]['worked'] += (int) ($worked[$task->id] ?? 0);
        }

        return $sums;
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  Collection<int, Candidate>  $known
     * @return Collection<int, Task>
     */
    private function sorted(Collection $tasks, Question $question, Collection $known): Collection
    {
        $areas = array_flip($this->desk->areas()->keys()->all());
        $rank = [];
        foreach ($tasks as $i => $task) {
            $rank[$i] = [self::groupRank($task, $question->group, $areas), ...array_map(static fn (string $key): int|string => match ($key) {
                'pull' => -1 * (($known[$task->id] ?? null)?->pull->total() ?? -1),
                'due' => ($task->due_at?->format('Y-m-d H:i') ?? $task->due_on) ?? '9999',
                'importance' => -1 * ($task->importance->value ?? 0),
                'estimate' => $task->estimate ?? PHP_INT_MAX,
                'longest' => -1 * ($task->estimate ?? 0),
                'area' => $areas[$task->area_id] ?? 99,
                'context' => sprintf('%05d', $task->contexts->first()->position ?? 99999).($task->contexts->first()->name ?? ''),
                'project' => mb_strtolower($task->project->name ?? "\u{FFFF}"),
                'oldest' => $task->created_at->getTimestamp(),
                'newest' => -1 * (($task->deleted_at ?? $task->done_at ?? $task->created_at)->getTimestamp()),
                default => mb_strtolower($task->title),
            }, $question->order), $task->id];
        }
        uasort($rank, static fn (array $a, array $b): int => $a <=> $b);

        return (new Collection(array_keys($rank)))->map(static fn (int $i): Task => $tasks[$i] ?? throw new \LogicException('A rank is a task.'));
    }

    /** @param  array<int, int>  $areas  places by id */
    private static function groupRank(Task $task, string $group, array $areas): string
    {
        return match ($group) {
            'area' => sprintf('%05d', $areas[$task->area_id] ?? 99999),
            'project' => mb_strtolower($task->project->name ?? "\u{FFFF}"),
            'context' => sprintf('%05d', $task->contexts->first()->position ?? 99999).($task->contexts->first()->name ?? "\u{FFFF}"),
            'part' => (string) (['morning' => 0, 'afternoon' => 1, 'evening' => 2][$task->part] ?? 3),
            'due' => $task->due_at?->format('Y-m-d') ?? $task->due_on ?? '9999',
            'importance' => (string) (4 - ($task->importance->value ?? -1)),
            'stage' => $task->stage->value,
            default => '',
        };
    }

    private static function group(Task $task, string $group, User $user, CarbonImmutable $now): string
    {
        return match ($group) {
            'area' => $task->area->name,
            'project' => $task->project->name ?? __('find.in_no.project'),
            'context' => $task->contexts->first()->name ?? __('find.in_no.context'),
            'part' => $task->part === null ? __('find.in_no.part') : ucfirst($task->part),
            'due' => ($task->due_at === null ? $task->due_on : $user->local($task->due_at)->format('Y-m-d')) ?? __('find.in_no.due'),
            'importance' => ucfirst($task->importance?->word() ?? 'unweighed'),
            'stage' => __("find.stages.{$task->stage->value}"),
            default => '',
        };
    }
}
