<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\Slacks;
use App\Rows\WorkTime;
use App\Time\Moments;
use App\Wording\Figures;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Day\DayCandidate;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Day\DayProposal;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** A day that fits: what to pick with the reason each is there, and what can wait, with how long. */
final readonly class ProposalPanel
{
    private const SHOWN_WAITING = 12;

    private const NAMED = 4;

    /**
     * @param  list<array{task: Task, minutes: int, key: bool, why: string, picked: bool}>  $picks  most pull first
     * @param  list<array{task: Task, minutes: int, until: int|null, late: bool}>  $waiting  what can wait least first
     * @param  int  $minutes  of the main hours, as $line: the same sums as the gauge's, of what is left of the day
     * @param  list<array{name: string, minutes: int, line: int}>  $others  what the other sets of hours carry
     * @param  string  $together  whether all that waits can wait until the next day, in a sentence
     */
    private function __construct(public array $picks, public array $waiting, public int $more, public int $minutes, public int $line, public int $deep, public int $deepLimit, public array $others, public string $together) {}

    /** @param  Collection<int, Candidate>  $candidates */
    public static function of(Desk $desk, LocalDay $day, WorkTime $time, Collection $candidates, Slacks $slacks): self
    {
        [$user, $now] = [$desk->user(), $desk->now];
        $able = $candidates->filter(static fn (Candidate $one): bool => $one->isNext && $one->left !== null);
        $tasks = $desk->tasks($able->keys()->all());
        $able = $able->filter(static fn (Candidate $one): bool => isset($tasks[$one->id]) && ($tasks[$one->id]->not_before === null || Moments::minute($tasks[$one->id]->not_before) < $time->zone->day($day)->end));
        $picked = new Picks($user, Moments::today($user, $now));
        $able = $able->reject(static fn (Candidate $one): bool => ($picked->day($tasks[$one->id])->number ?? 0) > $day->number && ($one->due ?? PHP_INT_MAX) > $time->zone->day($day)->end); // picked for a later day it stays there
        $picks = $waiting = $others = $late = $today = [];
        $line = $minutes = $deep = $left = 0;
        $keys = $user->keys_most - $picked->of($user->tasks()->where('key', true)->whereNotNull('done_at')->getQuery(), $day)->count();
        $deepLeft = $user->deep_limit;
        $stands = $desk->blocksOn($day)->filter(static fn (Block $block): bool => $block->state !== BlockState::Passed);
        $fixed = $stands->filter(static fn (Block $block): bool => $block->isFixed($now) && ! $block->anchored)->pluck('task_id')->flip()->all();
        $anchored = $stands->filter(static fn (Block $block): bool => $block->anchored);
        $taken = IntervalSet::covering(...$anchored->map(static fn (Block $block): Interval => RowMapper::time($block))->values()->all());
        $deepLeft -= (int) $stands->filter(static fn (Block $block): bool => $block->task->demand === Demand::Deep && ($block->anchored || ! $block->isPlanned()))->sum(static fn (Block $block): int => RowMapper::time($block)->length());
        $pinned = $anchored->filter(static fn (Block $block): bool => $block->isAhead($now))->groupBy('task_id')->map(static fn (Collection $some): int => (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()))->all();
        $able = $able->reject(static fn (Candidate $one): bool => isset($pinned[$one->id]) && $one->toPlan <= $pinned[$one->id]); // its time is its own already
        $end = $time->zone->day($day)->end; // what is due by then cannot wait: like a pick, it comes before all others
        foreach ($time->sets as $set) {
            $load = self::line($time, $set->id, $day, $taken, $now);
            $mine = $able->filter(static fn (Candidate $one): bool => $one->set === $set->id);
            $proposal = DayProposal::of(array_values($mine->map(static fn (Candidate $one): DayCandidate => self::candidate($one, $tasks[$one->id], max(0, $picked->minutes($tasks[$one->id], $day, $now) - ($pinned[$one->id] ?? 0)), $picked->isFor($tasks[$one->id], $day) || isset($fixed[$one->id]) || ($one->due ?? PHP_INT_MAX) <= $end, self::waitsUntil($one, $desk, $slacks)))->all()), $load, $deepLeft, $user->keys_most);
            if ($set->id === $time->sets->first()?->id) {
                [$line, $minutes] = [$load, $proposal->minutes];
            } elseif ($proposal->minutes > 0) {
                $others[] = ['name' => $set->name, 'minutes' => $proposal->minutes, 'line' => $load];
            }
            $deep += $proposal->deepMinutes;
            $deepLeft -= $proposal->deepMinutes;
            foreach ($proposal->picks as $id) {
                $one = $able[(int) $id];
                $isKey = in_array($id, $proposal->keys, true) && $keys-- > 0;
                $picks[] = ['task' => $tasks[$one->id], 'minutes' => $proposal->minutesOf[$id], 'key' => $isKey, 'why' => self::why($user, $one, $tasks[$one->id], $picked, $day, $now), 'picked' => $picked->isFor($tasks[$one->id], $day)];
            }
            foreach ($proposal->waiting as $one) {
                $isLate = isset($slacks->late[(int) $one->id]);
                $isLate && $late[] = $tasks[(int) $one->id]->shortTitle();
                ! $isLate && $one->waitsUntil !== null && $one->waitsUntil < $end && $today[] = [$tasks[(int) $one->id]->shortTitle(), $one->waitsUntil];
                count($waiting) < self::SHOWN_WAITING ? $waiting[] = ['task' => $tasks[(int) $one->id], 'minutes' => $one->minutes, 'until' => $one->waitsUntil, 'late' => $isLate] : $left++;
            }
        }

        return new self($picks, $waiting, $left, $minutes, $line, $deep, $user->deep_limit, $others, self::together($user, $late, $today, $now));
    }

    /**
     * Whether all that waits can wait until the next day together.
     *
     * @param  list<string>  $late  titles of what is late as it is
     * @param  list<array{string, int}>  $today  titles and latest starts of what must begin on the day itself
     */
    private static function together(User $user, array $late, array $today, CarbonImmutable $now): string
    {
        return match (true) {
            $today !== [] => __('shape.together.not_all', ['titles' => implode(', ', array_map(static fn (array $one): string => "{$one[0]} (".Times::when($user, $one[1], $now).')', $today))]),
            $late !== [] => __('shape.together.save', ['titles' => implode(', ', array_slice($late, 0, self::NAMED)).(count($late) > self::NAMED ? ' …' : '')]),
            default => __('shape.together.all'),
        };
    }

    /** The load line of the day, or of what is left of it. */
    private static function line(WorkTime $time, int $set, LocalDay $day, IntervalSet $anchored, CarbonImmutable $now): int
    {
        $span = $time->zone->day($day);
        $left = $time->open($set)->without($anchored)->between(max($span->start, min($span->end, Moments::minute($now))), $span->end)->length();

        return min($time->load($set, $day, $anchored)->loadLine, DayLoad::line($left, $time->user->margin_percent));
    }

    /** The latest start of its next block, at which all that waits can begin together; null where no date hurries it. */
    private static function waitsUntil(Candidate $one, Desk $desk, Slacks $slacks): ?int
    {
        $now = Moments::minute($desk->now);
        $next = $desk->planned()->next($one->id, $now);
        $slack = $next === null ? $slacks->first($one->id) : $slacks->of($one->id, $next);

        return match (true) {
            $slack?->dated === true => $slack->latestStart,
            $slack === null && $one->due !== null => $next ?? $now,
            default => null,
        };
    }

    private static function candidate(Candidate $one, Task $task, int $minutes, bool $isPicked, ?int $waitsUntil): DayCandidate
    {
        return new DayCandidate((string) $one->id, $minutes, $one->pull->total(), $task->demand === Demand::Deep, $isPicked, $waitsUntil, $minutes > Picks::share($one->toPlan) ? $minutes : Picks::least($one->toPlan), $one->importance?->weight() ?? 1);
    }

    /** The reason a candidate is there. */
    public static function why(User $user, Candidate $one, Task $task, Picks $picked, LocalDay $day, CarbonImmutable $now): string
    {
        return match (true) {
            $picked->isLeftOver($task) => __('shape.proposed.left_over', ['when' => Times::day($user, CarbonImmutable::parse("{$task->picked_on} 12:00", $user->zone), $now)]),
            $picked->isFor($task, $day) => __('shape.proposed.picked'),
            $one->due !== null && $one->due < Moments::minute($now) => __('shape.proposed.late'),
            $one->due !== null && $one->pressure() >= 70 => __('shape.proposed.pressing', ['when' => Times::day($user, $one->due - 1, $now), 'pressure' => Figures::pressure($one->pressure())]),
            $one->carried > 0 => trans_choice('shape.proposed.carried', $one->carried),
            $one->due !== null => __('shape.proposed.due', ['when' => Times::day($user, $one->due - 1, $now)]),
            default => __('shape.proposed.pull', ['pull' => $one->pull->total()]),
        };
    }
}
