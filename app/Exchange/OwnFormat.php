<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * What the own format holds of each table, and what it leaves out: described for readers in docs/own-format.md. Other rows
 * are named by what stays true elsewhere: areas, hours, groups, projects, sections and contexts by name, tasks by key.
 */
final class OwnFormat
{
    public const VERSION = 1;

    /** Columns as they are stored, by the kind of line or part. */
    public const COLUMNS = [
        'settings' => [
            'zone', 'margin_percent', 'buffer_before', 'buffer_after', 'lunch_from', 'lunch_to', 'deep_limit', 'theme', 'single_keys', 'tempo', 'month_first', 'carry_picks', 'mend_asks', 'reminds', 'remind_before',
            'remind_mail', 'close_at', 'sound', 'rhythm_work', 'rhythm_break', 'rhythm_long', 'rhythm_after', 'estimates', 'least_piece', 'offer_anew', 'day_begins', 'best_hours', 'keys_most', 'morning_until',
            'afternoon_until', 'sleep_from', 'sleep_to', 'twelve_hours', 'dates', 'week_starts', 'ask_after', 'someday_after', 'review_on', 'review_at', 'encourages',
        ],
        'hours' => ['name', 'week', 'position'],
        'date' => ['date', 'stretches', 'name', 'everywhere'],
        'group' => ['name', 'position'],
        'area' => ['name', 'hue', 'position', 'prompt', 'private'],
        'context' => ['name', 'position', 'private'],
        'project' => ['name', 'note', 'sequential', 'due_on', 'done_at', 'deleted_at', 'created_at'],
        'section' => ['name', 'sequential', 'due_on', 'position'],
        'habit' => ['title', 'minutes', 'times', 'part', 'best_at', 'from', 'until', 'position'],
        'task' => [
            'title', 'short', 'note', 'stage', 'source', 'typed', 'importance', 'push', 'due_on', 'due_at', 'due_hard', 'not_before', 'estimate', 'said', 'said_at', 'by_steps', 'estimate_begun', 'expected', 'min_chunk', 'max_chunk',
            'demand', 'carried', 'done_at', 'deleted_at', 'created_at', 'updated_at', 'occurs_on', 'position', 'picked_on', 'key', 'set_at', 'part', 'splits', 'waiting_for', 'waiting_since', 'ask_on', 'return_on',
        ],
        'subtask' => ['title', 'estimate', 'done_at', 'position'],
        'link' => ['address', 'title'],
        'repeat' => ['rule', 'after_done', 'days_off', 'begins_on', 'paused_at', 'ended_at'],
        'event' => ['what', 'facts', 'at'],
        'entry' => ['starts_at', 'ends_at', 'break', 'stopped_by'],
        'block' => ['starts_at', 'ends_at', 'anchored', 'put_back', 'state', 'reasons'],
        'reserve' => ['title', 'starts_at', 'ends_at'],
        'routine' => ['title', 'at', 'minutes', 'days', 'from', 'until', 'deep', 'parts', 'position'],
        'routine_day' => ['date', 'at', 'minutes', 'dropped', 'ticked'],
        'lunch' => ['date', 'from', 'to'],
        'promise' => ['date', 'taken_at', 'how', 'tasks'],
        'closed' => ['date', 'went_well', 'in_the_way', 'tomorrow', 'slips', 'closed_at', 'account'],
        'early_end' => ['from_at', 'until_at'],
        'view' => ['name', 'question', 'pinned', 'position'],
        'template' => ['name', 'pattern'],
        'cycle' => ['begins_on', 'weeks', 'vision', 'account', 'closed_at'],
        'goal' => ['name', 'purpose', 'unit', 'target', 'weekly', 'due_on', 'moved_by', 'position'],
        'mark' => ['date', 'value'],
        'step' => ['week_on', 'fate'],
        'review' => ['week_on', 'step', 'place', 'caught', 'kept', 'note', 'account', 'begun_at', 'closed_at'],
        'report' => ['name', 'scope', 'sections', 'to', 'remind_on', 'remind_at', 'position'],
        'chance' => ['due', 'percent', 'said_at'],
    ];

    /** Tables of these kinds. */
    public const TABLES = [
        'settings' => 'users', 'hours' => 'hours_sets', 'date' => 'hours_exceptions', 'group' => 'calendar_groups', 'area' => 'areas', 'context' => 'contexts', 'project' => 'projects', 'section' => 'sections', 'task' => 'tasks',
        'subtask' => 'subtasks', 'link' => 'links', 'repeat' => 'repeats', 'event' => 'task_events', 'entry' => 'entries', 'block' => 'blocks', 'reserve' => 'reserves', 'routine' => 'routines', 'routine_day' => 'routine_days',
        'lunch' => 'lunch_days', 'promise' => 'promises', 'closed' => 'closed_days', 'early_end' => 'early_ends', 'view' => 'saved_views', 'template' => 'templates',
        'habit' => 'habits', 'cycle' => 'cycles', 'goal' => 'goals', 'mark' => 'goal_marks', 'step' => 'goal_steps', 'review' => 'reviews', 'report' => 'reports', 'chance' => 'said_chances',
    ];

    /** Columns that hold JSON. */
    public const JSON = ['week', 'stretches', 'best_hours', 'facts', 'reasons', 'parts', 'ticked', 'tasks', 'slips', 'account', 'question', 'pattern', 'caught', 'kept'];

    /** Columns that name other rows, and are written by name; or that no other place has any use for. */
    public const NAMED_OR_LEFT = [
        'id', 'user_id', 'area_id', 'hours_set_id', 'group_id', 'project_id', 'after_id', 'section_id', 'task_id', 'repeat_id', 'block_id', 'reserve_id', 'routine_id', 'cycle_id', 'goal_id', 'habit_id', 'origin', 'pattern', 'created_at', 'updated_at',
        'name', 'email', 'password', 'remember_token', 'addresses', 'morning_on', 'looked_after_at', 'second_secret', 'second_since', 'second_step', 'recovery', 'idle_minutes', 'leaves_at', 'read_as', 'lens_id', 'first_day', 'sample_of',
    ];

    /** Kinds of lines that come after the tasks, in their order. */
    public const AFTERWARDS = ['entry', 'reserve', 'routine', 'lunch', 'promise', 'closed', 'early_end', 'view', 'template', 'cycle', 'review', 'report', 'chance'];

    /**
     * A row's own columns with their JSON read.
     *
     * @return array<string, mixed>
     */
    public static function read(string $kind, \stdClass $row): array
    {
        $columns = [];
        foreach (self::COLUMNS[$kind] as $column) {
            $value = $row->{$column} ?? null;
            if ($value !== null) {
                $columns[$column] = in_array($column, self::JSON, true) ? json_decode((string) $value, true) : $value;
            }
        }

        return $columns;
    }
}
