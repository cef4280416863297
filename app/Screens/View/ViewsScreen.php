<?php

declare(strict_types=1);

namespace App\Screens\View;

use App\Find\Conditions;
use App\Find\Question;
use App\Find\Shipped;
use App\Models\SavedView;
use App\Models\Task;
use App\Models\User;
use App\Rows\Desk;
use App\Time\Moments;
use Illuminate\Database\Eloquent\Builder;

/** All views of a person: each with its sentence, how many it finds, their hours, and the first of them. */
final readonly class ViewsScreen
{
    /** Tasks that are shown of a view. */
    private const FIRST = 3;

    public function __construct(private Desk $desk) {}

    /** @return array{views: list<array<string, mixed>>, open: int, widest: int} */
    public function of(User $user): array
    {
        $now = $this->desk->now;
        $conditions = new Conditions($user, $user->local($now)->format('Y-m-d'), $now->utc()->format('Y-m-d H:i:s'));
        $choices = $conditions->choices();
        $known = $this->desk->open();
        $asked = [
            ...array_map(static fn (SavedView $one): array => [(string) $one->id, $one->name, Question::of($one->question), $one], array_values($user->savedViews()->get()->all())),
            ...array_map(static fn (string $address, string $name): array => [$address, $name, Shipped::question($address) ?? throw new \LogicException('A shipped view asks something.'), null], array_keys(Shipped::names()), array_values(Shipped::names())),
        ];
        $views = [];
        foreach ($asked as [$address, $name, $question, $saved]) {
            $query = $user->tasks()->getQuery();
            $conditions->apply($query, $question);
            $ids = $question->contradicts() ? [] : array_map(intval(...), array_values(self::ordered($query, $question)->toBase()->pluck('tasks.id')->all())); // plain rows: thousands of models for a number each are slow
            if (in_array('pull', $question->order, true)) {
                $pull = array_map(static fn (int $id): int => $known->one($id)?->pull->total() ?? -1, $ids);
                array_multisort($pull, SORT_DESC, $ids);
            }
            $minutes = array_sum(array_map(static fn (int $id): int => (int) $known->one($id)?->left, $ids));
            $views[] = ['address' => $address, 'name' => $name, 'sentence' => Conditions::sentence($question, $choices), 'count' => count($ids), 'minutes' => $minutes, 'first' => array_slice($ids, 0, self::FIRST), 'saved' => $saved];
        }
        $tasks = $user->tasks()->withTrashed()->counted($now)->getQuery()->with('area')->whereKey(array_merge([], ...array_column($views, 'first')))->get()->keyBy('id');
        foreach ($views as $i => $view) {
            $views[$i]['tasks'] = array_values(array_filter(array_map(static fn (int $id): ?Task => $tasks[$id] ?? null, $view['first'])));
        }
        $open = $this->openThisWeek($user);

        return ['views' => $views, 'open' => $open, 'widest' => max([60, 2 * $open, ...array_column($views, 'minutes')])];
    }

    /**
     * @param  Builder<Task>  $query
     * @return Builder<Task>
     */
    private static function ordered(Builder $query, Question $question): Builder
    {
        foreach ($question->order as $order) {
            match ($order) {
                'newest' => $query->orderByRaw('coalesce(tasks.deleted_at, tasks.done_at, tasks.created_at) desc'),
                'oldest' => $query->orderBy('tasks.created_at'),
                'due' => $query->orderByRaw("coalesce(tasks.due_at, tasks.due_on, '9999')"),
                'estimate' => $query->orderByRaw('coalesce(tasks.estimate, 99999)'),
                default => $query->orderBy('tasks.id'),
            };
        }

        return $query;
    }

    /** Minutes of the main hours from now to the end of the person's week, meetings and breaks taken off. */
    private function openThisWeek(User $user): int
    {
        $today = $this->desk->today();
        $last = $today->plusDays(6 - ($today->weekday() - $user->week_starts + 7) % 7);
        $time = $this->desk->time();
        $set = $time->sets->first();

        return $set === null ? 0 : $time->open($set->id)->minutesBetween(Moments::minute($this->desk->now), $time->zone->day($last)->end);
    }
}
