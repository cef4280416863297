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
use App\Time\Weeks;

/** All views of a person: each with its sentence, how many it finds, their hours, and the first of them. */
final readonly class ViewsScreen
{
    /** Tasks that are shown of a view. */
    private const FIRST = 3;

    public function __construct(private Desk $desk, private Answer $answer) {}

    /** @return array{views: list<array<string, mixed>>, open: int, widest: int} */
    public function of(User $user): array
    {
        $now = $this->desk->now;
        $conditions = new Conditions($user, $user->local($now)->format('Y-m-d'), $now->utc()->format('Y-m-d H:i:s'));
        $choices = $conditions->choices($this->desk->areas());
        $asked = [
            ...array_map(static fn (SavedView $one): array => [(string) $one->id, $one->name, Question::of($one->question), $one], array_values($user->savedViews()->get()->all())),
            ...array_map(static fn (string $address, string $name): array => [$address, $name, Shipped::question($address) ?? throw new \LogicException('A shipped view asks something.'), null], array_keys(Shipped::names()), array_values(Shipped::names())),
        ];
        $found = array_map(static fn (array $one): array => Answer::ids($user, $conditions, $one[2]), $asked);
        $rows = Answer::rows($user, array_values(array_unique(array_merge(...$found))), $now);
        $views = [];
        foreach ($asked as $i => [$address, $name, $question, $saved]) {
            $own = array_intersect_key($rows, array_flip($found[$i]));
            $views[] = [
                'address' => $address, 'name' => $name, 'sentence' => Conditions::sentence($question, $choices), 'count' => count($own), 'minutes' => (int) array_sum(array_column($own, 'left')),
                'first' => array_slice(array_keys($this->answer->sorted($own, $question)), 0, self::FIRST), 'saved' => $saved,
            ];
        }
        $tasks = $user->tasks()->withTrashed()->counted($now)->getQuery()->with('area')->whereKey(array_merge([], ...array_column($views, 'first')))->get()->keyBy('id');
        foreach ($views as $i => $view) {
            $views[$i]['tasks'] = array_values(array_filter(array_map(static fn (int $id): ?Task => $tasks[$id] ?? null, $view['first'])));
        }
        $open = $this->openThisWeek($user);

        return ['views' => $views, 'open' => $open, 'widest' => max([60, 2 * $open, ...array_column($views, 'minutes')])];
    }

    /** Minutes of the main hours from now to the end of the person's week, meetings and breaks taken off. */
    private function openThisWeek(User $user): int
    {
        $today = $this->desk->today();
        $last = Weeks::first($user, $today)->plusDays(6);
        $time = $this->desk->time();
        $set = $time->sets->first();

        return $set === null ? 0 : $time->open($set->id)->minutesBetween(Moments::minute($this->desk->now), $time->zone->day($last)->end);
    }
}
