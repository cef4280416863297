<?php

declare(strict_types=1);

namespace App\Undo;

/** The tables whose changes can be undone, and what of them cannot. */
final class Guarded
{
    /**
     * Columns that undo leaves as they are, by table; all others are journaled. A table that others refer to comes before
     * them. What is the person's text, or says where a row comes from, stays; so does what only the worker keeps.
     */
    public const TABLES = [
        'users' => ['name', 'email', 'password', 'remember_token', 'addresses', 'morning_on', 'looked_after_at', 'read_as', 'second_secret', 'second_since', 'second_step', 'recovery', 'idle_minutes', 'leaves_at', 'lens_id', 'first_day', 'sample_of', 'created_at', 'updated_at'],
        'hours_sets' => ['user_id', 'created_at', 'updated_at'],
        'hours_exceptions' => ['hours_set_id'],
        'calendar_groups' => ['user_id'],
        'areas' => ['user_id', 'created_at', 'updated_at'],
        'projects' => ['user_id', 'note', 'created_at', 'updated_at'],
        'sections' => ['user_id'],
        'repeats' => ['user_id', 'created_at', 'updated_at'],
        'cycles' => ['user_id'],
        'goals' => ['user_id'],
        'goal_marks' => ['user_id'],
        'habits' => ['user_id'],
        'tasks' => ['user_id', 'short', 'note', 'source', 'typed', 'origin', 'expected', 'created_at', 'updated_at'],
        'subtasks' => ['user_id'],
        'goal_steps' => ['user_id'],
        'calendars' => ['user_id', 'kind', 'named', 'file_name', 'address', 'etag', 'modified', 'digest', 'every', 'fetched_at', 'tried_at', 'next_at', 'failures', 'failing_since', 'why', 'created_at', 'updated_at'],
        'meetings' => ['user_id', 'calendar_id', 'uid', 'summary', 'source', 'expanded_until', 'missing', 'messaged', 'organizer', 'sequence', 'invited', 'created_at', 'updated_at'],
        'meeting_notes' => ['user_id'],
        'reserves' => ['user_id'],
        'routines' => ['user_id'],
        'routine_days' => ['user_id'],
        'lunch_days' => ['user_id'],
        'blocks' => ['user_id'],
        'entries' => ['user_id'],
        'early_ends' => ['user_id'],
        'promises' => ['user_id'],
        'reports' => ['user_id'],
    ];

    /** Columns that undo sets by itself: what they hold is nobody's change. */
    public const MARKS = ['put_back'];

    /** What a column refers to, by its name. */
    public const REFERENCES = [
        'hours_set_id' => 'hours_sets', 'area_id' => 'areas', 'project_id' => 'projects', 'after_id' => 'projects', 'section_id' => 'sections', 'repeat_id' => 'repeats',
        'task_id' => 'tasks', 'meeting_id' => 'meetings', 'calendar_id' => 'calendars', 'group_id' => 'calendar_groups', 'reserve_id' => 'reserves', 'routine_id' => 'routines', 'cycle_id' => 'cycles', 'goal_id' => 'goals', 'habit_id' => 'habits',
    ];

    /** Tables whose rows are let go before they are gone: nothing is brought back into one that was. */
    public const LET_GO = ['projects', 'tasks'];
}
