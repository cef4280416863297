<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\ClosedDay;
use App\Models\Entry;
use App\Models\Promise;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Models\Worked;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/**
 * A day set against its promise: what was promised, what was worked, what came in later. The one place for planned and
 * actual of a day. A closed day is as it was when it was closed.
 */
final readonly class Account
{
    /**
     * @param  list<AccountRow>  $rows  by what became of them, then the most promised first
     * @param  Promise|null  $promise  null: nobody took the day; what was laid out stands for it
     * @param  Collection<int, Block>  $next  the next block of each that has one, by task id
     * @param  list<array{title: string, what: string, from: int|null, to: int|null}>  $changes  since it was last closed: promised or actual minutes; null where it was not in it
     */
    private function __construct(public array $rows, public ?Promise $promise, public ?ClosedDay $closed, public Collection $next, public array $changes) {}

    /**
     * @param  Collection<int, Entry>  $entries  of the day, by start
     * @param  bool  $whole  false: only what was promised, laid out or worked, and not where it goes
     */
    public static function of(Desk $desk, LocalDay $day, Collection $entries, CarbonImmutable $now, bool $whole = true): self
    {
        $user = $desk->user();
        [$promise, $closed] = $desk->kept($day);
        $were = array_map(AccountRow::from(...), $closed->account['rows'] ?? []);
        if ($closed?->closed_at !== null && $closed->account !== null) {
            return new self($were, $promise, $closed, $whole ? self::next($user, array_column($were, 'task'), $now) : new Collection, []);
        }
        [$rows, $next] = self::rows($desk, $day, $promise, $entries, $now, $whole);

        return new self($rows, $promise, $closed, $next, $closed?->account === null ? [] : self::changes($were, $rows));
    }

    public function promised(): int
    {
        return array_sum(array_column($this->rows, 'promised'));
    }

    public function actual(): int
    {
        return array_sum(array_column($this->rows, 'actual'));
    }

    public function isClosed(): bool
    {
        return $this->closed?->closed_at !== null;
    }

    /** @return array{rows: list<array<string, int|string|bool|null>>} what is kept of it when the day is closed */
    public function toKeep(): array
    {
        return ['rows' => array_map(static fn (AccountRow $row): array => $row->toArray(), $this->rows)];
    }

    /**
     * @param  Collection<int, Entry>  $entries
     * @return array{list<AccountRow>, Collection<int, Block>} and the next block of each
     */
    private static function rows(Desk $desk, LocalDay $day, ?Promise $promise, Collection $entries, CarbonImmutable $now, bool $whole): array
    {
        $user = $desk->user();
        $span = Zones::named($user->zone)->day($day);
        [$from, $until] = [Moments::moment($span->start), Moments::moment($span->end)];
        $blocks = $desk->blocksOn($day)->toBase()->groupBy('task_id');
        $promised = array_column($promise->tasks ?? [], null, 'task');
        $worked = $entries->where('break', false)->whereNotNull('task_id')->groupBy('task_id');
        $ids = array_values(array_unique([...array_keys($promised), ...$blocks->keys()->all(), ...$worked->keys()->all(), ...($whole ? self::alsoOf($user, $day, $from, $until, $now) : [])]));
        $tasks = $desk->tasks($ids);
        $next = $whole ? self::next($user, $ids, $now) : new Collection;
        $picks = new Picks($user, Moments::today($user, $now));
        $keys = $picks->keys($tasks, $day);
        $rows = [];
        foreach ($ids as $id) {
            $task = $tasks[$id] ?? null;
            $own = $blocks[$id] ?? new Collection;
            $line = $promised[$id] ?? null;
            if ($task === null && $line === null) {
                continue;
            }
            $minutes = $promise === null ? ($task === null ? 0 : self::laidOut($task, $own, $now)) : (int) ($line['minutes'] ?? 0);
            $actual = Worked::minutes($worked[$id] ?? [], $now);
            $due = $line['due'] ?? ($task !== null && $picks->isDueBy($task, $day));
            $done = $task?->done_at !== null && $task->done_at < $until;
            $isPicked = $task !== null && ($task->picked_on === $day->asString() || $picks->isFor($task, $day));
            $isPromised = $line !== null || ($promise === null && ($minutes > 0 || $isPicked));
            $ahead = $own->contains(static fn (Block $block): bool => $block->isAhead($now)) || ($isPicked && ! isset($next[$id]));
            $rows[] = new AccountRow(
                $id,
                $task->title ?? (string) ($line['title'] ?? ''),
                $task->area_id ?? 0,
                $task->area->name ?? '',
                $task->area->hue ?? 'slate',
                $minutes,
                $actual,
                match (true) {
                    ! $isPromised && $due && ! $done && $actual === 0 && ! ($ahead && $now < $until) => Became::Due,
                    ! $isPromised => Became::Added,
                    $done => Became::Kept,
                    $actual > 0 => Became::Begun,
                    $ahead && $now < $until => Became::ToCome,
                    default => Became::Moved,
                },
                $line['key'] ?? isset($keys[$id]),
                $due,
                $done,
                $task?->done_at === null && isset($next[$id]) ? RowMapper::start($next[$id]) : null,
                $task === null ? 'let_go' : self::fate($task, $until),
            );
        }
        $rank = array_flip(array_column(Became::cases(), 'value'));
        usort($rows, static fn (AccountRow $a, AccountRow $b): int => [$rank[$a->became->value], -$a->promised, -$a->actual, $a->title] <=> [$rank[$b->became->value], -$b->promised, -$b->actual, $b->title]);

        return [$rows, $next];
    }

    /**
     * @param  list<int>  $tasks
     * @return Collection<int, Block> by task id
     */
    private static function next(User $user, array $tasks, CarbonImmutable $now): Collection
    {
        return $user->blocks()->ahead($now)->whereIn('task_id', $tasks)->orderByDesc('starts_at')->get()->keyBy('task_id')->toBase();
    }

    /**
     * What belongs to the day without a block, an entry or a promise: what was due on it and is not done by its end, and
     * its key tasks.
     *
     * @return list<int> ids
     */
    private static function alsoOf(User $user, LocalDay $day, CarbonImmutable $from, CarbonImmutable $until, CarbonImmutable $now): array
    {
        $keys = (new Picks($user, Moments::today($user, $now)))->of($user->tasks()->where('key', true)->getQuery(), $day)->select('tasks.id');

        return array_values(array_map(intval(...), $user->tasks()->whereIn('stage', [TaskStage::Open, TaskStage::Waiting])
            ->where(static fn (Builder $one): Builder => $one
                ->where(static fn (Builder $due): Builder => $due->where('due_on', $day->asString())->orWhere(static fn (Builder $at): Builder => $at->where('due_at', '>', $from)->where('due_at', '<=', $until)))
                ->where(static fn (Builder $open): Builder => $open->whereNull('done_at')->orWhere('done_at', '>=', $until))
                ->orWhereIn('id', $keys))
            ->toBase()->pluck('id')->all()));
    }

    private static function fate(Task $task, CarbonImmutable $until): ?string
    {
        return match (true) {
            $task->deleted_at !== null => 'let_go',
            $task->done_at !== null => null,
            $task->stage === TaskStage::Waiting => 'waiting',
            $task->stage === TaskStage::Someday => 'someday',
            $task->not_before !== null && $task->not_before >= $until => 'waits',
            default => null,
        };
    }

    /**
     * Of a day that nobody took: what was laid out. What was placed again that day counts once, also where that went by
     * as well.
     *
     * @param  Collection<int, Block>  $own
     */
    public static function laidOut(Task $task, Collection $own, CarbonImmutable $now): int
    {
        $length = static fn (Block $block): int => RowMapper::time($block)->length();
        $stood = $own->reject(static fn (Block $block): bool => $block->state === BlockState::Passed);
        if ($stood->isNotEmpty()) {
            return (int) $stood->sum($length);
        }
        $whole = (int) $own->sum($length);

        return $task->done_at === null && $task->said !== null ? min($whole, max($task->minutesToPlan($now), (int) $own->max($length))) : $whole;
    }

    /**
     * @param  list<AccountRow>  $were
     * @param  list<AccountRow>  $are
     * @return list<array{title: string, what: string, from: int|null, to: int|null}>
     */
    private static function changes(array $were, array $are): array
    {
        $byTask = static fn (array $rows): array => array_combine(array_map(static fn (AccountRow $row): int => $row->task, $rows), $rows);
        [$were, $are] = [$byTask($were), $byTask($are)];
        $changes = [];
        foreach ($are + $were as $id => $row) {
            [$was, $is] = [$were[$id] ?? null, $are[$id] ?? null];
            if ($was?->actual !== $is?->actual) {
                $changes[] = ['title' => $row->title, 'what' => 'actual', 'from' => $was?->actual, 'to' => $is?->actual];
            } elseif ($was?->done !== $is?->done) {
                $changes[] = ['title' => $row->title, 'what' => $is?->done === true ? 'done' : 'reopened', 'from' => null, 'to' => null];
            }
        }

        return $changes;
    }
}
