<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\Task;
use App\Models\User;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Time\Moments;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** The tasks that could be done on a day and have no block on it, by why they are there and by pull. */
final readonly class Bank
{
    /** Rows that fit beside the sheet. */
    private const ROWS = 16;

    private const SOON_DAYS = 2;

    private const MOST_SOON = 6;

    private const MOST_CARRIED = 4;

    private const MOST_STEPS = 5;

    /** @param  array<int, array{name: string, rows: array<int, BankRow>, minutes: int}>  $groups */
    private function __construct(public array $groups, public int $count, public int $hidden, public int $unestimated) {}

    /**
     * @param  Collection<int, Candidate>  $candidates
     * @param  Collection<int, Block>  $blocks  of the day
     * @param  Collection<int, Task>  $untimed  picked for it, without a time on it
     * @param  list<int>  $also  tasks that the page asks for next, read with these
     */
    public static function of(Desk $desk, Collection $candidates, Collection $blocks, LocalDay $day, bool $whole, Collection $untimed, array $also = []): self
    {
        [$user, $now, $planned, $time] = [$desk->user(), $desk->now, $desk->planned(), $desk->time()];
        $onDay = $blocks->pluck('task_id')->flip();
        $minute = Moments::minute($now);
        $free = Candidate::byPull($candidates->reject(static fn (Candidate $one): bool => $onDay->has($one->id) || ! $one->isNext));
        $picked = $free->intersectByKeys($untimed->keyBy('id'));
        $free = $free->diffKeys($picked);
        $soonEnd = $time->zone->day($day->plusDays(self::SOON_DAYS))->end;
        $soon = $free->filter(static fn (Candidate $one): bool => $one->due !== null && $one->due <= $soonEnd)->sortBy('due');
        $soon = $whole ? $soon : $soon->take(self::MOST_SOON);
        $step = $free->diffKeys($soon)->filter(static fn (Candidate $one): bool => $one->pull->step > 0);
        $step = $whole ? $step : $step->take(self::MOST_STEPS);
        $rest = $free->diffKeys($soon)->diffKeys($step);
        $carried = $rest->filter(static fn (Candidate $one): bool => $one->carried > 0);
        $carried = $whole ? $carried : $carried->take(self::MOST_CARRIED);
        $best = $rest->diffKeys($carried);
        $best = $whole ? $best : $best->take(max(3, self::ROWS - $soon->count() - $step->count() - $carried->count()));
        $tasks = $desk->tasks([...$picked->keys()->all(), ...$soon->keys()->all(), ...$step->keys()->all(), ...$carried->keys()->all(), ...$best->keys()->all(), ...$also]);
        $groups = [];
        foreach (['picked' => $picked, 'due_soon' => $soon, 'step' => $step, 'carried' => $carried, 'best_pull' => $best] as $name => $some) {
            if ($some->isNotEmpty()) {
                $groups[] = [
                    'name' => __("shape.bank.{$name}"),
                    'rows' => $some->map(static fn (Candidate $one): BankRow => self::row($user, $one, $tasks[$one->id], $planned->next($one->id, $minute), $now))->values()->all(),
                    'minutes' => $some->sum(static fn (Candidate $one): int => (int) $one->left),
                ];
            }
        }

        return new self(
            $groups,
            $free->count(),
            $free->count() - $soon->count() - $step->count() - $carried->count() - $best->count(),
            $candidates->filter(static fn (Candidate $one): bool => $one->left === null)->count(),
        );
    }

    private static function row(User $user, Candidate $one, Task $task, ?int $next, CarbonImmutable $now): BankRow
    {
        return new BankRow(
            id: $one->id,
            title: $task->title,
            hue: $task->area->hue,
            area: $task->area->name,
            importance: $one->importance->value ?? 0,
            carried: $one->carried,
            left: $one->left,
            due: $one->due === null ? '' : Times::day($user, $task->due_on === null ? $one->due : $one->due - 1, $now),
            hard: $one->due !== null && $task->due_hard,
            late: $one->due !== null && $one->due < Moments::minute($now),
            room: $one->demand?->room(),
            pressure: $one->pressure(),
            pull: $one->pull->total(),
            next: $next === null ? '' : Times::when($user, $next, $now),
        );
    }
}
