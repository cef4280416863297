<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Edits\NewTasks;
use App\Edits\TaskDraft;
use App\Models\Task;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Takes lines of the own format into an account. An account that holds no task yet becomes as the file says: its rules,
 * hours and areas too. In one that has its own, rules stay, and what has the same name is the same.
 */
final class TakeOwn
{
    /** @var array<string, array<string, int>> ids by kind and name */
    private array $ids = [];

    private bool $isFresh = false;

    /** @var array<int, list<array<array-key, mixed>>> of blocks, which may speak of tasks that come later */
    private array $reasons = [];

    private CarbonImmutable $now;

    public function __construct(private readonly User $user, private readonly NewTasks $births) {}

    /** @param  list<Draft>  $drafts */
    public function __invoke(array $drafts, CarbonImmutable $now): void
    {
        $this->now = $now;
        $this->isFresh = $this->user->tasks()->withTrashed()->doesntExist();
        foreach (['hours', 'group', 'area', 'context', 'project'] as $kind) {
            $this->ids[$kind] = array_map(intval(...), array_flip(DB::table(OwnFormat::TABLES[$kind])->where('user_id', $this->user->id)->orderByDesc('id')->pluck('name', 'id')->all()));
        }
        $this->ids['habit'] = array_map(intval(...), array_flip($this->user->habits()->orderByDesc('id')->pluck('title', 'id')->all()));
        $lines = array_map(static fn (Draft $draft): array => $draft->own ?? [], $drafts);
        foreach (['settings', 'hours', 'group', 'area', 'context', 'project'] as $kind) {
            foreach (self::of($kind, $lines) as $place => $line) {
                $this->plain($kind, $line, $place);
            }
        }
        $this->projectsInOrder(self::of('project', $lines));
        foreach (self::of('habit', $lines) as $line) {
            $this->habit($line);
        }
        $this->tasks(array_values(array_filter($drafts, static fn (Draft $draft): bool => ($draft->own['is'] ?? '') === 'task')));
        foreach (OwnFormat::AFTERWARDS as $kind) {
            foreach (self::of($kind, $lines) as $line) {
                $this->afterwards($kind, $line);
            }
        }
    }

    /** @param  array<string, mixed>  $line */
    private function habit(array $line): void
    {
        $columns = OwnValues::columns('habit', $line);
        $title = (string) ($columns['title'] ?? '');
        if ($title === '' || isset($this->ids['habit'][$title]) || ! isset($columns['minutes'], $columns['times'], $columns['from'])) {
            return;
        }
        $this->ids['habit'][$title] = DB::table('habits')->insertGetId(['user_id' => $this->user->id, 'area_id' => $this->id('area', $line['area'] ?? null) ?? $this->user->usualArea(), 'hours_set_id' => $this->id('hours', $line['hours'] ?? null)] + $columns + ['position' => 0]);
    }

    /**
     * Which begins after which, when all are there.
     *
     * @param  list<array<string, mixed>>  $lines
     */
    private function projectsInOrder(array $lines): void
    {
        foreach ($lines as $line) {
            [$id, $after] = [$this->id('project', $line['name'] ?? null), $this->id('project', $line['after'] ?? null)];
            if ($id !== null && $after !== null && $id !== $after) {
                DB::table('projects')->where('id', $id)->whereNull('after_id')->update(['after_id' => $after]);
            }
        }
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return list<array<string, mixed>>
     */
    private static function of(string $kind, array $lines): array
    {
        return array_values(array_filter($lines, static fn (array $line): bool => ($line['is'] ?? '') === $kind));
    }

    /** @param  array<string, mixed>  $line */
    private function plain(string $kind, array $line, int $place): void
    {
        $columns = array_filter(OwnValues::columns($kind, $line), static fn (mixed $value): bool => $value !== null);
        if ($kind === 'settings') {
            $this->isFresh && $this->user->forceFill($this->settings($columns))->save();

            return;
        }
        $name = (string) ($columns['name'] ?? '');
        if ($name === '') {
            return;
        }
        $id = $this->ids[$kind][$name] ?? null;
        $isNew = $id === null;
        $columns = match ($kind) {
            'hours' => $columns + ['week' => '{}', 'created_at' => $this->now, 'updated_at' => $this->now],
            'area' => ['hue' => $columns['hue'] ?? 'river', 'hours_set_id' => $this->id('hours', $line['hours'] ?? null) ?? $this->firstHours(), 'group_id' => $this->id('group', $line['group'] ?? null), 'updated_at' => $this->now] + $columns,
            'project' => ['area_id' => $this->id('area', $line['area'] ?? null) ?? $this->user->usualArea(), 'created_at' => $columns['created_at'] ?? $this->now, 'updated_at' => $this->now, 'sequential' => $columns['sequential'] ?? 0] + $columns,
            default => $columns,
        };
        $defaults = $this->isFresh && in_array($kind, ['hours', 'area'], true) ? DB::table(OwnFormat::TABLES[$kind])->where('user_id', $this->user->id)->orderBy('id')->pluck('id')->all() : [];
        if (isset($defaults[$place])) { // what an account begins with makes room
            $id = (int) $defaults[$place];
            unset($this->ids[$kind][(string) DB::table(OwnFormat::TABLES[$kind])->where('id', $id)->value('name')]);
        }
        if ($id === null) {
            $id = DB::table(OwnFormat::TABLES[$kind])->insertGetId(['user_id' => $this->user->id] + $columns + ($kind === 'project' ? [] : ['position' => 0]) + ($kind === 'area' ? ['created_at' => $this->now] : []));
        } elseif ($this->isFresh) {
            DB::table(OwnFormat::TABLES[$kind])->where('id', $id)->update($columns);
        }
        $this->ids[$kind][$name] = (int) $id;
        if ($kind === 'hours' && ($isNew || $this->isFresh)) {
            foreach (self::parts($line, 'dates') as $date) {
                $one = OwnValues::columns('date', $date);
                isset($one['date'], $one['stretches']) && DB::table('hours_exceptions')->updateOrInsert(['hours_set_id' => $id, 'date' => $one['date']], ['everywhere' => $one['everywhere'] ?? 0] + $one);
            }
        }
        if ($kind === 'project') {
            foreach (self::parts($line, 'sections') as $section) {
                $one = OwnValues::columns('section', $section);
                isset($one['name']) && DB::table('sections')->updateOrInsert(['user_id' => $this->user->id, 'project_id' => $id, 'name' => $one['name']], ['sequential' => $one['sequential'] ?? 0, 'due_on' => $one['due_on'] ?? null, 'position' => $one['position'] ?? 0]);
            }
        }
    }

    /**
     * @param  array<string, int|string>  $columns
     * @return array<string, mixed>
     */
    private function settings(array $columns): array
    {
        $optional = ['lunch_from', 'lunch_to', 'close_at', 'rhythm_work', 'sleep_from', 'sleep_to', 'someday_after', 'best_hours'];
        isset($columns['best_hours']) && $columns['best_hours'] = json_decode((string) $columns['best_hours'], true);

        return $columns + array_fill_keys($optional, null);
    }

    /** @param  list<Draft>  $drafts */
    private function tasks(array $drafts): void
    {
        if ($drafts === []) {
            return;
        }
        $tasks = $this->births->all($this->user, array_map($this->born(...), $drafts), $this->now);
        $ids = array_map(static fn (Task $task): int => $task->id, $tasks);
        foreach (['task_events', 'blocks'] as $table) { // its history and places are those of the file
            foreach (array_chunk($ids, 500) as $some) {
                DB::table($table)->whereIn('task_id', $some)->delete();
            }
        }
        foreach ($drafts as $i => $draft) {
            $this->complete($ids[$i], $draft);
        }
        foreach ($this->reasons as $block => $reasons) {
            DB::table('blocks')->where('id', $block)->update(['reasons' => json_encode(OwnReferences::reasons($reasons, fn (string $kind, string $name): ?int => $kind === 'task' ? $this->task($name) : $this->id($kind, $name)), JSON_THROW_ON_ERROR)]);
        }
        $this->reasons = [];
    }

    private function born(Draft $draft): TaskDraft
    {
        $line = $draft->own ?? [];
        $columns = OwnValues::columns('task', $line);
        $section = $this->section($line);
        $given = array_filter($columns, static fn (mixed $value): bool => $value !== null);

        return new TaskDraft([
            ...array_diff_key($given, array_flip(['said', 'expected', 'updated_at', 'deleted_at'])),
            'title' => $draft->title, 'origin' => $draft->key, 'stage' => $given['stage'] ?? 'inbox', 'source' => $given['source'] ?? 'file',
            'created_at' => isset($given['created_at']) ? CarbonImmutable::parse((string) $given['created_at'], 'UTC') : null,
            'area_id' => $this->id('area', $line['area'] ?? null), 'project_id' => $this->id('project', $line['project'] ?? null), 'section_id' => $section, 'hours_set_id' => $this->id('hours', $line['hours'] ?? null),
        ], contexts: array_values(array_filter(is_array($line['contexts'] ?? null) ? $line['contexts'] : [], static fn (mixed $one): bool => is_string($one) && trim($one) !== '')));
    }

    private function complete(int $id, Draft $draft): void
    {
        $line = $draft->own ?? [];
        $columns = OwnValues::columns('task', $line);
        $repeat = is_array($line['repeat'] ?? null) ? $this->repeat($draft->key, $line['repeat']) : null;
        DB::table('tasks')->where('id', $id)->update([
            'said' => $columns['said'] ?? $columns['estimate'] ?? null, 'expected' => $columns['expected'] ?? null, 'deleted_at' => $columns['deleted_at'] ?? null, 'updated_at' => $columns['updated_at'] ?? $this->now,
            'repeat_id' => $repeat, 'habit_id' => $this->id('habit', $line['habit'] ?? null), 'ask_on' => $columns['ask_on'] ?? DB::raw('ask_on'),
        ]);
        $own = ['user_id' => $this->user->id, 'task_id' => $id];
        foreach (['subtask' => 'subtasks', 'link' => 'links', 'event' => 'history'] as $kind => $part) {
            foreach (self::parts($line, $part) as $one) {
                $row = OwnValues::columns($kind, $kind === 'event' ? $this->event($one) : $one);
                $needs = ['subtask' => ['title'], 'link' => ['address'], 'event' => ['what', 'at']][$kind];
                if (array_filter($needs, static fn (string $column): bool => ! isset($row[$column])) === []) {
                    DB::table(OwnFormat::TABLES[$kind])->insert($own + $row + ['subtask' => ['position' => 0], 'event' => ['facts' => '{}'], 'link' => []][$kind]);
                }
            }
        }
        $blocks = [];
        foreach (self::parts($line, 'blocks') as $place => $one) {
            $row = array_filter(OwnValues::columns('block', $one), static fn (mixed $value): bool => $value !== null);
            $isAhead = ($row['state'] ?? 'planned') === 'planned';
            if (isset($row['starts_at'], $row['ends_at']) && $row['starts_at'] < $row['ends_at'] && ($this->isFresh || ! $isAhead)) {
                $blocks[$place] = DB::table('blocks')->insertGetId($own + array_diff_key($row, ['reasons' => true]));
                isset($row['reasons']) && $this->reasons[$blocks[$place]] = (array) json_decode((string) $row['reasons'], true);
            }
        }
        foreach (self::parts($line, 'entries') as $one) {
            $row = array_filter(OwnValues::columns('entry', $one), static fn (mixed $value): bool => $value !== null);
            $runs = $this->isFresh && ! isset($row['ends_at']) && DB::table('entries')->where('user_id', $this->user->id)->whereNull('ends_at')->doesntExist(); // the clock goes on
            if (isset($row['starts_at']) && ($runs || $row['starts_at'] < ($row['ends_at'] ?? ''))) {
                DB::table('entries')->insert($own + ['block_id' => is_int($one['block'] ?? null) ? $blocks[$one['block']] ?? null : null] + $row);
            }
        }
    }

    /** @param  array<string, mixed>  $line */
    private function repeat(string $key, array $line): ?int
    {
        $first = is_string($line['first'] ?? null) ? $line['first'] : $key;
        $known = $first === $key ? null : $this->task($first);
        $id = $known === null ? null : DB::table('tasks')->where('id', $known)->value('repeat_id');
        if ($id !== null) {
            return (int) $id;
        }
        $columns = array_filter(OwnValues::columns('repeat', $line), static fn (mixed $value): bool => $value !== null);
        if (! isset($columns['begins_on']) || (! isset($columns['rule']) && ! isset($columns['after_done']))) {
            return null;
        }

        return DB::table('repeats')->insertGetId($columns + ['user_id' => $this->user->id, 'days_off' => 'keep', 'pattern' => json_encode($this->pattern(is_array($line['pattern'] ?? null) ? $line['pattern'] : []), JSON_THROW_ON_ERROR), 'created_at' => $this->now, 'updated_at' => $this->now]);
    }

    /** @param  array<string, mixed>  $line */
    private function afterwards(string $kind, array $line): void
    {
        $task = fn (mixed $key): int => is_string($key) ? $this->task($key) ?? 0 : 0;
        $line = match ($kind) {
            'promise' => ['tasks' => OwnReferences::replaced(is_array($line['tasks'] ?? null) ? $line['tasks'] : [], 'task', $task)] + $line,
            'closed' => ['slips' => $this->slips(is_array($line['slips'] ?? null) ? $line['slips'] : [])] + (is_array($line['account'] ?? null) ? ['account' => OwnReferences::replaced($line['account'], 'task', $task)] : []) + $line,
            'template' => ['pattern' => $this->pattern(is_array($line['pattern'] ?? null) ? $line['pattern'] : [])] + $line,
            'view' => ['question' => OwnReferences::conditions(is_array($line['question'] ?? null) ? $line['question'] : [], fn (string $field, string $name): ?int => $this->id($field, $name))] + $line,
            'review' => ['caught' => $this->byArea(is_array($line['caught'] ?? null) ? $line['caught'] : []), 'kept' => array_values(array_filter(array_map(fn (mixed $key): ?int => is_string($key) ? $this->task($key) : null, is_array($line['kept'] ?? null) ? $line['kept'] : [])))] + $line,
            default => $line,
        };
        $columns = array_filter(OwnValues::columns($kind, $line), static fn (mixed $value): bool => $value !== null);
        $same = ['entry' => ['starts_at', 'ends_at'], 'reserve' => ['title', 'starts_at', 'ends_at'], 'routine' => ['title', 'at', 'days', 'minutes', 'from'], 'lunch' => ['date'], 'promise' => ['date', 'taken_at', 'how'], 'closed' => ['date'], 'early_end' => ['from_at', 'until_at'], 'view' => ['name', 'question'], 'template' => ['name', 'pattern'], 'cycle' => ['begins_on', 'weeks'], 'review' => ['week_on', 'begun_at'], 'report' => ['name', 'scope', 'sections'], 'chance' => ['due', 'percent', 'said_at']][$kind];
        $table = OwnFormat::TABLES[$kind];
        if ($kind === 'chance') {
            $columns['task_id'] = $task($line['task'] ?? null) ?: null;
        }
        if (($kind === 'chance' && $columns['task_id'] === null) || ($kind === 'report' && ($columns['scope'] ?? '') === 'project' && $this->id('project', $line['project'] ?? null) === null)) {
            return;
        }
        $known = array_intersect_key($columns, array_flip(array_slice([...$same, 'task_id'], 0, in_array($kind, ['view', 'template', 'promise', 'cycle', 'review', 'report'], true) ? 1 : 5)));
        if (count(array_intersect_key($columns, array_flip($same))) < count($same) || DB::table($table)->where(['user_id' => $this->user->id] + $known)->exists()) {
            return;
        }
        $stamps = in_array($table, ['saved_views', 'templates'], true) ? ['created_at' => $this->now, 'updated_at' => $this->now] : [];
        $more = ['routine' => ['parts' => '[]', 'deep' => 0, 'position' => 0], 'closed' => ['slips' => '{}'], 'promise' => ['tasks' => '[]'], 'view' => ['position' => 0, 'pinned' => 0], 'review' => ['caught' => '[]', 'kept' => '[]'], 'report' => ['position' => 0, 'project_id' => $this->id('project', $line['project'] ?? null)]][$kind] ?? [];
        $id = DB::table($table)->insertGetId(['user_id' => $this->user->id] + $columns + $more + $stamps);
        foreach ($kind === 'routine' ? self::parts($line, 'other_days') : [] as $day) {
            $row = array_filter(OwnValues::columns('routine_day', $day), static fn (mixed $value): bool => $value !== null);
            isset($row['date']) && DB::table('routine_days')->insert(['user_id' => $this->user->id, 'routine_id' => $id] + $row + ['dropped' => 0]);
        }
        foreach ($kind === 'cycle' ? self::parts($line, 'goals') : [] as $goal) {
            $this->goal((int) $id, $goal);
        }
    }

    /** @param  array<string, mixed>  $line */
    private function goal(int $cycle, array $line): void
    {
        $columns = array_filter(OwnValues::columns('goal', $line), static fn (mixed $value): bool => $value !== null);
        if (! isset($columns['name'], $columns['target'])) {
            return;
        }
        $own = ['user_id' => $this->user->id];
        $task = is_string($line['task'] ?? null) ? $this->task($line['task']) : null;
        $id = DB::table('goals')->insertGetId($own + ['cycle_id' => $cycle, 'area_id' => $this->id('area', $line['area'] ?? null) ?? $this->user->usualArea(), 'project_id' => $this->id('project', $line['project'] ?? null), 'task_id' => $task] + $columns);
        foreach (self::parts($line, 'marks') as $one) {
            $mark = OwnValues::columns('mark', $one);
            isset($mark['date'], $mark['value']) && DB::table('goal_marks')->insertOrIgnore($own + ['goal_id' => $id] + $mark);
        }
        foreach (self::parts($line, 'steps') as $one) {
            $step = OwnValues::columns('step', $one);
            $of = is_string($one['task'] ?? null) ? $this->task($one['task']) : null;
            isset($step['week_on']) && $of !== null && DB::table('goal_steps')->insertOrIgnore($own + ['goal_id' => $id, 'task_id' => $of] + $step);
        }
        foreach (is_array($line['habits'] ?? null) ? $line['habits'] : [] as $title) {
            DB::table('habits')->where('id', $this->id('habit', $title) ?? 0)->update(['goal_id' => $id]);
        }
    }

    /**
     * @param  array<array-key, mixed>  $caught  by the area's name
     * @return array<int, mixed>
     */
    private function byArea(array $caught): array
    {
        $own = [];
        foreach ($caught as $name => $count) {
            $id = $this->id('area', $name);
            $id === null || $own[$id] = $count;
        }

        return $own;
    }

    /**
     * @param  array<array-key, mixed>  $slips
     * @return array<array-key, mixed>
     */
    private function slips(array $slips): array
    {
        $own = [];
        foreach ($slips as $key => $why) {
            $id = $this->task((string) $key);
            $id === null || $own[$id] = $why;
        }

        return $own;
    }

    /**
     * @param  array<array-key, mixed>  $pattern
     * @return array<array-key, mixed>
     */
    private function pattern(array $pattern): array
    {
        foreach (OwnReferences::COLUMNS as $column => $kind) {
            $pattern[$column] = $kind === 'section' ? null : $this->id($kind, $pattern[$kind] ?? null);
            unset($pattern[$kind]);
        }

        return $pattern;
    }

    /**
     * @param  array<string, mixed>  $event
     * @return array<string, mixed>
     */
    private function event(array $event): array
    {
        return ['facts' => OwnReferences::facts(is_array($event['facts'] ?? null) ? $event['facts'] : [], is_string($event['what'] ?? null) ? $event['what'] : '', fn (string $kind, mixed $name): ?int => $this->id($kind, $name))] + $event;
    }

    private function task(string $key): ?int
    {
        $id = DB::table('tasks')->where('user_id', $this->user->id)->where('origin', $key)->value('id') ?? TaskKey::own($this->user, [$key])[$key] ?? null;

        return $id === null ? null : (int) $id;
    }

    /** @param  array<string, mixed>  $line */
    private function section(array $line): ?int
    {
        $project = $this->id('project', $line['project'] ?? null);
        $id = $project === null || ! is_string($line['section'] ?? null) ? null : DB::table('sections')->where('project_id', $project)->where('name', $line['section'])->value('id');

        return $id === null ? null : (int) $id;
    }

    private function id(string $kind, mixed $name): ?int
    {
        return is_string($name) ? $this->ids[$kind][$name] ?? null : null;
    }

    private function firstHours(): int
    {
        return (int) DB::table('hours_sets')->where('user_id', $this->user->id)->orderBy('id')->value('id');
    }

    /**
     * @param  array<string, mixed>  $line
     * @return array<int, array<string, mixed>>
     */
    private static function parts(array $line, string $name): array
    {
        return array_filter(is_array($line[$name] ?? null) ? $line[$name] : [], is_array(...));
    }
}
