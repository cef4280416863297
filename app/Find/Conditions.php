<?php

declare(strict_types=1);

namespace App\Find;

use App\Files\Tidy;
use App\Models\Area;
use App\Models\Task;
use App\Models\User;
use App\Rows\Picks;
use App\Time\Weeks;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** The conditions a view can ask for: their words, and what they mean for the rows. */
final readonly class Conditions
{
    /** A task has one of these at a time. */
    public const SINGLE = ['area', 'project', 'part', 'demand', 'stage'];

    /** By heading. */
    private const FIXED = [
        'due' => ['due:overdue', 'due:today', 'due:tomorrow', 'due:week', 'due:fortnight', 'due:any', 'due:none', 'due:hard'],
        'day' => ['picked:today', 'picked:any', 'set:any', 'start:later'],
        'estimate' => ['estimate:5', 'estimate:15', 'estimate:30', 'estimate:60', 'estimate:120', 'estimate:none'],
        'importance' => ['importance:4', 'importance:3', 'importance:2', 'importance:1', 'importance:none'],
        'demand' => ['demand:deep', 'demand:light'],
        'part' => ['part:morning', 'part:afternoon', 'part:evening', 'part:any'],
        'stage' => ['stage:inbox', 'stage:open', 'stage:waiting', 'stage:someday', 'stage:reference', 'done:yes', 'let_go:yes'],
        'waiting' => ['ask:due', 'waiting:any'],
        'other' => ['carried:1', 'carried:4', 'repeats:yes', 'push:urgent', 'push:back', 'files:any', 'subtasks:any', 'new:week', 'project:none', 'context:none'],
    ];

    private const DAYS = ['today' => 0, 'tomorrow' => 1, 'week' => 7, 'fortnight' => 14];

    public function __construct(private User $user, private string $today, private string $now) {}

    public static function knows(string $what): bool
    {
        foreach (self::FIXED as $some) {
            if (in_array($what, $some, true)) {
                return true;
            }
        }

        return preg_match('/^(?:area|project|context):\d+$/D', $what) === 1;
    }

    /**
     * @param  Collection<int, Area>  $areas  the person's, by id
     * @return array<string, array<string, string>> words by heading and condition
     */
    public function choices(Collection $areas): array
    {
        $named = static fn (string $field, iterable $names): array => collect($names)->mapWithKeys(static fn (string $name, int $id): array => ["{$field}:{$id}" => $name])->all();

        $fixed = [];
        foreach (array_keys(self::FIXED) as $heading) {
            $words = (array) __("find.conditions.{$heading}");
            $fixed[$words['heading']] = array_diff_key($words, ['heading' => 0]);
        }

        return $fixed + [
            __('find.headings.area') => $named('area', $areas->map(static fn (Area $one): string => $one->name)),
            __('find.headings.project') => $named('project', $this->user->projects()->whereNull('done_at')->pluck('name', 'id')),
            __('find.headings.context') => $named('context', $this->user->contexts()->pluck('name', 'id')),
        ];
    }

    /**
     * "due within 7 days and not a routine, or picked for today".
     *
     * @param  array<string, array<string, string>>  $choices  as choices() gives them
     */
    public static function sentence(Question $question, array $choices): string
    {
        $words = array_merge(...array_values($choices));
        $say = static function (array $one) use ($words): string {
            [$field, $value] = explode(':', $one['what']);
            $said = (is_numeric($value) && in_array($field, ['area', 'project', 'context'], true) ? __("find.prefix.{$field}") : '').($words[$one['what']] ?? __('find.gone'));

            return $one['not'] ? __('find.not', ['what' => $said]) : $said;
        };
        $groups = array_map(static fn (array $group): string => implode(__('find.and'), array_map($say, $group)), $question->groups);
        $said = implode(__('find.or'), array_filter($groups, static fn (string $group): bool => $group !== ''));

        return __($question->group === 'none' ? 'find.sentence_plain' : 'find.sentence', [
            'what' => $said === '' ? __('find.all_kinds') : $said,
            'group' => __("find.groups.{$question->group}"),
            'order' => implode(__('find.then'), array_map(static fn (string $key): string => __("find.orders.{$key}"), $question->order)),
        ]);
    }

    /** @param  Builder<Task>  $query */
    public function apply(Builder $query, Question $question): void
    {
        $asks = static fn (string $field): bool => str_contains((string) json_encode($question->groups), "\"{$field}:");
        $asks('let_go') && $this->withLetGo($query);
        $asks('done') || $asks('let_go') || $query->whereNull('tasks.done_at');
        $asks('stage') || $asks('let_go') || $asks('done') || $asks('waiting') || $asks('ask') || $query->whereIn('stage', ['inbox', 'open']);
        $query->where(function (Builder $any) use ($question): void {
            foreach ($question->groups as $group) {
                $any->orWhere(function (Builder $all) use ($group): void {
                    foreach ($group as $one) {
                        $one['not'] ? $all->whereNot(fn (Builder $inner) => $this->condition($inner, $one['what'])) : $all->where(fn (Builder $inner) => $this->condition($inner, $one['what']));
                    }
                });
            }
        });
    }

    /**
     * @param  Builder<Task>  $query
     * @return Builder<Task>
     */
    private function pickedToday(Builder $query): Builder
    {
        $today = LocalDay::fromString($this->today);

        return (new Picks($this->user, $today))->of($query, $today);
    }

    /**
     * With what can be brought back: not a habit's time of a week that is over, which was missed, nor what is only kept for the sums.
     *
     * @param  Builder<Task>  $query
     */
    private function withLetGo(Builder $query): void
    {
        $week = Weeks::first($this->user, LocalDay::fromString($this->today))->asString();
        $since = CarbonImmutable::parse($this->now)->subDays(Tidy::DAYS)->toDateTimeString();
        $query->withTrashed()->where(static fn (Builder $one): Builder => $one->whereNull('tasks.deleted_at')->orWhere(static fn (Builder $gone): Builder => $gone->where('tasks.deleted_at', '>=', $since)
            ->where(static fn (Builder $time): Builder => $time->whereNull('habit_id')->orWhere('occurs_on', '>=', $week))));
    }

    /** @param  Builder<Task>  $query */
    private function condition(Builder $query, string $what): void
    {
        [$field, $value] = explode(':', $what);
        match ($field) {
            'due' => $this->due($query, $value),
            'picked' => $value === 'today' ? $this->pickedToday($query) : $query->whereNotNull('picked_on'),
            'set' => $query->whereNotNull('set_at'),
            'start' => $query->whereNotNull('not_before')->where('not_before', '>', $this->now),
            'estimate' => $value === 'none' ? $query->whereNull('estimate') : $query->whereNotNull('estimate')->where('estimate', '<=', (int) $value),
            'importance' => $value === 'none' ? $query->whereNull('importance') : $query->whereNotNull('importance')->where('importance', '>=', (int) $value),
            'demand' => $query->where('demand', $value),
            'part' => $value === 'any' ? $query->whereNotNull('part') : $query->whereNotNull('part')->where('part', $value),
            'stage' => $query->where('stage', $value),
            'done' => $query->whereNotNull('tasks.done_at'),
            'let_go' => $query->whereNotNull('tasks.deleted_at'),
            'ask' => $query->whereNotNull('waiting_for')->where(fn (Builder $inner) => $inner->where('stage', 'inbox')->orWhere(fn (Builder $old) => $old->where('stage', 'waiting')->where('ask_on', '<=', $this->today))),
            'waiting' => $query->whereNotNull('waiting_for'),
            'carried' => $query->where('carried', '>=', (int) $value),
            'repeats' => $query->whereNotNull('repeat_id'),
            'push' => $query->where('push', $value === 'urgent' ? 1 : -1),
            'files' => $query->whereHas('attachments'),
            'subtasks' => $query->whereHas('subtasks'),
            'new' => $query->where('tasks.created_at', '>=', date('Y-m-d H:i:s', (int) strtotime($this->now.' -7 days'))),
            'area' => $query->where('area_id', (int) $value),
            'project' => $value === 'none' ? $query->whereNull('project_id') : $query->whereNotNull('project_id')->where('project_id', (int) $value),
            'context' => $value === 'none' ? $query->whereDoesntHave('contexts') : $query->whereHas('contexts', static fn (Builder $inner) => $inner->whereKey((int) $value)),
            default => null,
        };
    }

    /** @param  Builder<Task>  $query */
    private function due(Builder $query, string $value): void
    {
        if ($value === 'hard') {
            $query->where('due_hard', true)->whereRaw('coalesce(tasks.due_on, due_at) is not null');
        } elseif ($value === 'none' || $value === 'any') {
            $query->whereRaw('coalesce(tasks.due_on, due_at) is '.($value === 'none' ? 'null' : 'not null'));
        } elseif ($value === 'overdue') {
            $query->whereRaw('coalesce(tasks.due_on < ?, due_at < ?, 0)', [$this->today, $this->now]);
        } else {
            $last = date('Y-m-d', (int) strtotime($this->today.' +'.(self::DAYS[$value] ?? 0).' days'));
            $end = $this->user->local(CarbonImmutable::parse($last.' 12:00', $this->user->zone))->endOfDay()->utc()->format('Y-m-d H:i:s');
            $query->whereRaw('coalesce(tasks.due_on <= ?, due_at <= ?, 0)', [$last, $end]);
        }
    }
}
