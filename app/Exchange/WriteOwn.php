<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Writes everything an account has planned and done: JSON, a line for each thing, so that any length is read as it comes. */
final class WriteOwn
{
    private const AT_ONCE = 500;

    /** @var array<string, array<int, string>> names by kind and id */
    private array $names = [];

    public function __construct(private readonly User $user, private readonly CarbonImmutable $now) {}

    /** @return \Generator<string> lines */
    public function __invoke(): \Generator
    {
        $tasks = DB::table('tasks')->where('user_id', $this->user->id)->count();
        yield self::line('nekto', ['version' => OwnFormat::VERSION, 'written' => $this->now->utc()->format('Y-m-d\TH:i:s\Z'), 'tasks' => $tasks]);
        yield self::line('settings', OwnFormat::read('settings', (object) (array) DB::table('users')->find($this->user->id)));
        foreach (['hours' => 'hours_sets', 'group' => 'calendar_groups', 'area' => 'areas', 'project' => 'projects', 'section' => 'sections', 'context' => 'contexts', 'habit' => 'habits'] as $kind => $table) {
            $this->names[$kind] = DB::table($table)->where('user_id', $this->user->id)->pluck($kind === 'habit' ? 'title' : 'name', 'id')->all();
        }
        foreach (['hours', 'group', 'area', 'context', 'project', 'habit'] as $kind) {
            foreach (DB::table(OwnFormat::TABLES[$kind])->where('user_id', $this->user->id)->orderBy('id')->get() as $row) {
                yield self::line($kind, OwnFormat::read($kind, $row) + $this->beside($kind, $row));
            }
        }
        yield from $this->tasks();
        foreach (OwnFormat::AFTERWARDS as $kind) {
            $rows = DB::table(OwnFormat::TABLES[$kind])->where('user_id', $this->user->id)->orderBy('id');
            foreach (($kind === 'entry' ? $rows->whereNull('task_id') : $rows)->lazy(self::AT_ONCE) as $row) {
                yield self::line($kind, $this->elsewhere($kind, OwnFormat::read($kind, $row)) + $this->beside($kind, $row));
            }
        }
    }

    /** @return array<string, mixed> what belongs to a row, and what it belongs to */
    private function beside(string $kind, \stdClass $row): array
    {
        $some = static fn (string $part, string $column): array => array_map(static fn (\stdClass $one): array => OwnFormat::read($part, $one), DB::table(OwnFormat::TABLES[$part])->where($column, $row->id)->orderBy('id')->get()->all());

        return array_filter(match ($kind) {
            'hours' => ['dates' => $some('date', 'hours_set_id')],
            'area' => ['hours' => $this->name('hours', $row->hours_set_id), 'group' => $this->name('group', $row->group_id)],
            'project' => ['area' => $this->name('area', $row->area_id), 'after' => $this->name('project', $row->after_id), 'sections' => $some('section', 'project_id')],
            'routine' => ['other_days' => $some('routine_day', 'routine_id')],
            'habit' => ['area' => $this->name('area', $row->area_id), 'hours' => $this->name('hours', $row->hours_set_id)],
            'cycle' => ['goals' => $this->goals((int) $row->id)],
            'report' => ['project' => $this->name('project', $row->project_id)],
            'chance' => ['task' => $this->key((int) $row->task_id)],
            default => [],
        });
    }

    /** @return list<array<string, mixed>> of a cycle, with their marks, their steps and the habits that move them */
    private function goals(int $cycle): array
    {
        $goals = [];
        foreach (DB::table('goals')->where('cycle_id', $cycle)->orderBy('id')->get() as $row) {
            $marks = DB::table('goal_marks')->where('goal_id', $row->id)->orderBy('date')->get()->map(static fn (\stdClass $one): array => OwnFormat::read('mark', $one))->all();
            $steps = DB::table('goal_steps')->where('goal_id', $row->id)->orderBy('id')->get()->map(fn (\stdClass $one): array => OwnFormat::read('step', $one) + ['task' => $this->key((int) $one->task_id)])->all();
            $goals[] = OwnFormat::read('goal', $row) + array_filter(['area' => $this->name('area', $row->area_id), 'project' => $this->name('project', $row->project_id), 'task' => $row->task_id === null ? null : $this->key((int) $row->task_id), 'marks' => $marks, 'steps' => $steps, 'habits' => DB::table('habits')->where('goal_id', $row->id)->orderBy('id')->pluck('title')->all()]);
        }

        return $goals;
    }

    /** @return \Generator<string> */
    private function tasks(): \Generator
    {
        $firsts = DB::table('tasks')->where('user_id', $this->user->id)->whereNotNull('repeat_id')->groupBy('repeat_id')->selectRaw('repeat_id, min(id) as first')->pluck('first', 'repeat_id')->all();
        $origins = DB::table('tasks')->where('user_id', $this->user->id)->whereIn('id', array_values($firsts))->pluck('origin', 'id')->all();
        $repeats = DB::table('repeats')->where('user_id', $this->user->id)->get()->keyBy('id');
        foreach (DB::table('tasks')->where('user_id', $this->user->id)->orderBy('id')->lazy(self::AT_ONCE)->chunk(self::AT_ONCE) as $rows) {
            $ids = $rows->pluck('id')->all();
            $parts = [];
            foreach (['subtask', 'link', 'event', 'entry', 'block'] as $part) {
                foreach (DB::table(OwnFormat::TABLES[$part])->whereIn('task_id', $ids)->orderBy('id')->get() as $row) {
                    $parts[$row->task_id][$part][] = $this->elsewhere($part, OwnFormat::read($part, $row)) + ($part === 'entry' ? ['block' => $row->block_id] : ['id' => $row->id]);
                }
            }
            foreach (DB::table('context_task')->whereIn('task_id', $ids)->orderBy('context_id')->get() as $row) {
                $parts[$row->task_id]['contexts'][] = $this->name('context', $row->context_id);
            }
            foreach ($rows as $row) {
                $repeat = $row->repeat_id === null ? null : $repeats[$row->repeat_id] ?? null;
                $first = (int) ($firsts[$row->repeat_id ?? 0] ?? 0);
                yield self::line('task', ['key_of' => TaskKey::of($this->user, (int) $row->id, $row->origin)] + OwnFormat::read('task', $row) + array_filter([
                    'area' => $this->name('area', $row->area_id), 'project' => $this->name('project', $row->project_id), 'section' => $this->name('section', $row->section_id), 'hours' => $this->name('hours', $row->hours_set_id), 'habit' => $this->name('habit', $row->habit_id),
                    'contexts' => $parts[$row->id]['contexts'] ?? [], 'subtasks' => self::plain($parts[$row->id]['subtask'] ?? []), 'links' => self::plain($parts[$row->id]['link'] ?? []),
                    'repeat' => $repeat === null ? null : OwnFormat::read('repeat', $repeat) + ['pattern' => $this->pattern((array) json_decode((string) $repeat->pattern, true)), 'first' => TaskKey::of($this->user, $first, $origins[$first] ?? null)],
                    'blocks' => self::plain($parts[$row->id]['block'] ?? []), 'entries' => self::entries($parts[$row->id]['entry'] ?? [], $parts[$row->id]['block'] ?? []), 'history' => self::plain($parts[$row->id]['event'] ?? []),
                ]));
            }
        }
    }

    /**
     * What says ids of other rows says their names.
     *
     * @param  array<string, mixed>  $columns
     * @return array<string, mixed>
     */
    private function elsewhere(string $kind, array $columns): array
    {
        $key = fn (mixed $id): ?string => is_numeric($id) ? $this->key((int) $id) : null;

        return match ($kind) {
            'promise' => ['tasks' => OwnReferences::replaced((array) ($columns['tasks'] ?? []), 'task', $key)] + $columns,
            'closed' => ['slips' => array_combine(array_map(static fn (int|string $id): string => $key($id) ?? (string) $id, array_keys((array) ($columns['slips'] ?? []))), array_values((array) ($columns['slips'] ?? [])))]
                + (isset($columns['account']) ? ['account' => OwnReferences::replaced((array) $columns['account'], 'task', $key)] : []) + $columns,
            'template' => ['pattern' => $this->pattern((array) ($columns['pattern'] ?? []))] + $columns,
            'review' => ['caught' => array_combine(array_map(fn (int|string $id): string => $this->name('area', $id) ?? (string) $id, array_keys((array) ($columns['caught'] ?? []))), array_values((array) ($columns['caught'] ?? []))), 'kept' => array_values(array_filter(array_map($key, (array) ($columns['kept'] ?? []))))] + $columns,
            'view' => ['question' => OwnReferences::conditions((array) ($columns['question'] ?? []), fn (string $field, string $id): ?string => $this->name($field, $id))] + $columns,
            'block' => (isset($columns['reasons']) ? ['reasons' => OwnReferences::reasons((array) $columns['reasons'], fn (string $field, string $id): ?string => $field === 'task' ? $key($id) : $this->name($field, $id))] : []) + $columns,
            'event' => ['facts' => OwnReferences::facts((array) ($columns['facts'] ?? []), (string) ($columns['what'] ?? ''), fn (string $field, mixed $id): ?string => $this->name($field, $id))] + $columns,
            default => $columns,
        };
    }

    /**
     * @param  array<array-key, mixed>  $pattern
     * @return array<array-key, mixed>
     */
    private function pattern(array $pattern): array
    {
        foreach (OwnReferences::COLUMNS as $column => $kind) {
            if (isset($pattern[$column])) {
                $pattern[$kind] = $this->name($kind, $pattern[$column]);
            }
            unset($pattern[$column]);
        }

        return $pattern;
    }

    private function key(int $id): string
    {
        return TaskKey::of($this->user, $id, DB::table('tasks')->where('user_id', $this->user->id)->where('id', $id)->value('origin'));
    }

    private function name(string $kind, mixed $id): ?string
    {
        return is_numeric($id) ? $this->names[$kind][(int) $id] ?? null : null;
    }

    /**
     * @param  list<array<string, mixed>>  $parts
     * @return list<array<string, mixed>>
     */
    private static function plain(array $parts): array
    {
        return array_map(static fn (array $part): array => array_diff_key($part, ['id' => true]), $parts);
    }

    /**
     * Work of a block says which of the task's blocks that was.
     *
     * @param  list<array<string, mixed>>  $entries
     * @param  list<array<string, mixed>>  $blocks
     * @return list<array<string, mixed>>
     */
    private static function entries(array $entries, array $blocks): array
    {
        $places = array_flip(array_column($blocks, 'id'));

        return array_map(static fn (array $entry): array => array_filter(['block' => $places[$entry['block'] ?? 0] ?? null] + $entry, static fn (mixed $value): bool => $value !== null), $entries);
    }

    /** @param  array<string, mixed>  $facts */
    private static function line(string $kind, array $facts): string
    {
        return json_encode(['is' => $kind] + $facts, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE)."\n";
    }
}
