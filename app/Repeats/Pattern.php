<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Edits\TaskDraft;
use App\Models\Context;
use App\Models\Link;
use App\Models\Subtask;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** What a task is made of, without its dates of one time: for repeats, templates and copies. Dates count from a day. */
final class Pattern
{
    private const COLUMNS = ['title', 'short', 'note', 'area_id', 'project_id', 'section_id', 'hours_set_id', 'push', 'due_hard', 'min_chunk', 'max_chunk', 'part', 'splits', 'estimate'];

    /**
     * @param  LocalDay  $day  from which dates count
     * @return array<string, mixed>
     */
    public static function of(Task $task, LocalDay $day): array
    {
        $task->loadMissing(['subtasks', 'contexts', 'links', 'user']);
        $zone = Zones::named($task->user->zone);
        $dueMinute = $task->due_at === null ? null : Moments::minute($task->due_at);
        $setMinute = $task->set_at === null ? null : Moments::minute($task->set_at);
        $startMinute = $task->not_before === null ? null : Moments::minute($task->not_before);
        $due = $task->due_on !== null ? LocalDay::fromString($task->due_on) : ($dueMinute === null ? null : $zone->dayOf($dueMinute));

        return [
            ...$task->only(self::COLUMNS),
            'push' => $task->push->value,
            'importance' => $task->importance?->value,
            'demand' => $task->demand->value,
            'stage' => $task->stage->value,
            'due_days' => $due === null ? null : $due->number - $day->number,
            'due_minute' => $dueMinute === null ? null : $zone->minuteOfDay($dueMinute),
            'set_minute' => $setMinute === null ? null : $zone->minuteOfDay($setMinute),
            'start_days' => $startMinute === null ? null : max(0, $zone->dayOf($startMinute)->number - $day->number),
            'start_minute' => $startMinute === null ? null : $zone->minuteOfDay($startMinute),
            'subtasks' => $task->subtasks->map(static fn (Subtask $one): array => ['title' => $one->title, 'estimate' => $one->estimate])->all(),
            'contexts' => $task->contexts->map(static fn (Context $one): string => $one->name)->all(),
            'links' => $task->links->map(static fn (Link $one): array => ['address' => $one->address, 'title' => $one->title])->all(),
        ];
    }

    /** @param  array<string, mixed>  $pattern */
    public static function draft(User $user, array $pattern, LocalDay $day): TaskDraft
    {
        $zone = Zones::named($user->zone);
        $at = static fn (int $days, int $minute): CarbonImmutable => Moments::moment($zone->at($day->plusDays($days), $minute));
        $number = static fn (string $name): ?int => isset($pattern[$name]) && is_numeric($pattern[$name]) ? (int) $pattern[$name] : null;
        $due = $number('due_days');
        $own = array_intersect_key($pattern, array_flip([...self::COLUMNS, 'importance', 'demand', 'stage']));
        foreach (['project_id' => $user->projects(), 'section_id' => $user->sections(), 'hours_set_id' => $user->hoursSets()] as $column => $rows) {
            $own[$column] = isset($own[$column]) ? $rows->whereKey($own[$column])->value('id') : null; // it may be gone by now
        }
        $own['area_id'] = $user->areas()->whereKey($own['area_id'] ?? 0)->value('id');
        if (! in_array($own['stage'] ?? null, [TaskStage::Inbox->value, TaskStage::Open->value], true)) {
            $own['stage'] = TaskStage::Open->value;
        }

        return new TaskDraft(
            $own + [
                'due_on' => $due !== null && $number('due_minute') === null ? $day->plusDays($due)->asString() : null,
                'due_at' => $due !== null && $number('due_minute') !== null ? $at($due, $number('due_minute')) : null,
                'set_at' => $number('set_minute') === null ? null : $at(0, $number('set_minute')),
                'not_before' => $number('start_days') === null ? null : $at($number('start_days'), $number('start_minute') ?? 0),
            ],
            array_map(static fn (array $one): array => ['title' => (string) ($one['title'] ?? ''), 'estimate' => isset($one['estimate']) ? (int) $one['estimate'] : null, 'done' => false], self::rows($pattern, 'subtasks')),
            array_values(array_filter(is_array($pattern['contexts'] ?? null) ? $pattern['contexts'] : [], is_string(...))),
            array_map(static fn (array $one): array => ['address' => (string) ($one['address'] ?? ''), 'title' => isset($one['title']) ? (string) $one['title'] : null], self::rows($pattern, 'links')),
        );
    }

    /**
     * @param  array<string, mixed>  $pattern
     * @return list<array<string, mixed>>
     */
    private static function rows(array $pattern, string $name): array
    {
        return array_values(array_filter(is_array($pattern[$name] ?? null) ? $pattern[$name] : [], is_array(...)));
    }
}
