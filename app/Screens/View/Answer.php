<?php

declare(strict_types=1);

namespace App\Screens\View;

use App\Find\Conditions;
use App\Find\Question;
use App\Models\User;
use App\Models\Worked;
use App\Rows\Desk;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Task\Importance;

/**
 * Which tasks answer a question, in its order and groups, as plain rows: what of them is drawn becomes models elsewhere.
 * A view and its line among the views go by the same answer.
 */
final readonly class Answer
{
    /** Tasks of one answer, the newest. */
    private const MOST = 5000;

    public function __construct(private Desk $desk) {}

    /**
     * Without an order.
     *
     * @return list<int>
     */
    public static function ids(User $user, Conditions $conditions, Question $question): array
    {
        return array_map(intval(...), array_values(self::found($user, $conditions, $question)->pluck('id')->all()));
    }

    /**
     * The answer to one question, in its order.
     *
     * @return array<int, \stdClass> by id
     */
    public function of(User $user, Conditions $conditions, Question $question, CarbonImmutable $now): array
    {
        return $this->sorted(self::rows($user, self::found($user, $conditions, $question), $now), $question);
    }

    private static function found(User $user, Conditions $conditions, Question $question): Builder
    {
        $query = $user->tasks()->getQuery()->select('tasks.id');
        $question->contradicts() ? $query->whereRaw('1 = 0') : $conditions->apply($query, $question);

        return $query->orderByDesc('tasks.id')->limit(self::MOST)->toBase(); // no models for numbers
    }

    /**
     * What order, groups and sums go by; "left" in minutes, 0 where it is done or nothing was said.
     *
     * @param  list<int>|Builder  $ids
     * @return array<int, \stdClass> by id
     */
    public static function rows(User $user, array|Builder $ids, CarbonImmutable $now): array
    {
        $first = static fn (string $column): string => "(select {$column} from context_task join contexts on contexts.id = context_task.context_id where context_task.task_id = tasks.id order by contexts.position, contexts.name limit 1)";

        return DB::table('tasks')->leftJoin('projects', 'projects.id', 'tasks.project_id')->where('tasks.user_id', $user->id)
            ->where(static fn (Builder $query) => $ids instanceof Builder ? $query->whereIn('tasks.id', $ids) : $query->whereIntegerInRaw('tasks.id', $ids))
            ->select(['tasks.id', 'tasks.title', 'tasks.area_id', 'tasks.stage', 'tasks.importance', 'tasks.estimate', 'tasks.part', 'tasks.due_on', 'tasks.due_at', 'tasks.created_at', 'tasks.done_at', 'tasks.deleted_at'])
            ->selectRaw("case when projects.deleted_at is null then projects.name end as project, {$first('contexts.name')} as context, {$first('contexts.position')} as place, coalesce(case when tasks.done_at is null then ".Worked::left($now).' end, 0) as left')
            ->get()->keyBy('id')->all();
    }

    /**
     * @param  array<int, \stdClass>  $rows
     * @return array<int, \stdClass> by id, in the question's order
     */
    public function sorted(array $rows, Question $question): array
    {
        $areas = array_flip($this->desk->areas()->keys()->all());
        $known = $this->desk->open();
        $rank = array_map(static fn (\stdClass $row): array => [self::groupRank($row, $question->group, $areas), ...array_map(static fn (string $key): int|string => match ($key) {
            'pull' => -1 * ($known->one((int) $row->id)?->pull->total() ?? -1),
            'due' => $row->due_at !== null ? substr($row->due_at, 0, 16) : $row->due_on ?? '9999',
            'importance' => -1 * (int) $row->importance,
            'estimate' => $row->estimate ?? PHP_INT_MAX,
            'longest' => -1 * (int) $row->estimate,
            'area' => $areas[$row->area_id] ?? 99,
            'context' => sprintf('%05d', $row->place ?? 99999).$row->context,
            'project' => mb_strtolower($row->project ?? "\u{FFFF}"),
            'oldest' => $row->created_at,
            'newest' => -1 * (int) strtotime($row->deleted_at ?? $row->done_at ?? $row->created_at),
            default => mb_strtolower($row->title),
        }, $question->order), (int) $row->id], $rows);
        uasort($rank, static fn (array $a, array $b): int => $a <=> $b);

        return array_map(static fn (int $id): \stdClass => $rows[$id], array_combine(array_keys($rank), array_keys($rank)));
    }

    /** The heading that a task stands under. */
    public function group(\stdClass $row, string $group, User $user): string
    {
        return match ($group) {
            'area' => ($this->desk->areas()[$row->area_id] ?? throw new \LogicException('Every task is in an area.'))->name,
            'project' => $row->project ?? __('find.in_no.project'),
            'context' => $row->context ?? __('find.in_no.context'),
            'part' => $row->part === null ? __('find.in_no.part') : ucfirst($row->part),
            'due' => ($row->due_at === null ? $row->due_on : $user->local(CarbonImmutable::parse($row->due_at, 'UTC'))->format('Y-m-d')) ?? __('find.in_no.due'),
            'importance' => ucfirst(Importance::tryFrom((int) $row->importance)?->word() ?? 'unweighed'),
            'stage' => __("find.stages.{$row->stage}"),
            default => '',
        };
    }

    /** @param  array<int, int>  $areas  places by id */
    private static function groupRank(\stdClass $row, string $group, array $areas): string
    {
        return match ($group) {
            'area' => sprintf('%05d', $areas[$row->area_id] ?? 99999),
            'project' => mb_strtolower($row->project ?? "\u{FFFF}"),
            'context' => sprintf('%05d', $row->place ?? 99999).($row->context ?? "\u{FFFF}"),
            'part' => (string) (['morning' => 0, 'afternoon' => 1, 'evening' => 2][$row->part] ?? 3),
            'due' => substr($row->due_at ?? $row->due_on ?? '9999', 0, 10),
            'importance' => (string) (4 - ($row->importance ?? -1)),
            'stage' => $row->stage,
            default => '',
        };
    }
}
