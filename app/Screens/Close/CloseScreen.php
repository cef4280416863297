<?php

declare(strict_types=1);

namespace App\Screens\Close;

use App\Models\Block;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\Task;
use App\Models\User;
use App\Rows\Account;
use App\Rows\AccountRow;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\RowMapper;
use App\Screens\Frame\Ribbon;
use App\Time\Moments;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Estimate\Pair;
use Nekto\Core\Estimate\Remaining;
use Nekto\Core\Time\LocalDay;

/** The day's account like a bill: promised, actual, difference; what is unfinished and where it went; tomorrow's sketch. */
final readonly class CloseScreen
{
    public const ASK_AFTER = 4;

    public function __construct(private Desk $desk, private PastRatios $past) {}

    public function of(User $user, LocalDay $day, CarbonImmutable $now, bool $byArea = false): ClosePage
    {
        $time = $this->desk->timeOn($day);
        $this->desk->kept($day);
        $this->desk->readBlocks($day, $day->plusDays(1));
        $span = $time->zone->day($day);
        [$from, $until] = [Moments::moment($span->start), Moments::moment($span->end)];
        $entries = $this->entries($user, $day);
        $account = Account::of($this->desk, $day, $entries, $now);
        $tasks = $this->desk->tasks(array_values(array_unique([...array_column($account->rows, 'task'), ...$entries->pluck('task_id')->filter()->all()])));
        $meetings = $time->occurrences->filter(static fn (Occurrence $one): bool => $one->interrupts() && $one->starts_at < $until && $one->ends_at > $from);
        $next = $day->plusDays(1);
        $coming = $this->desk->blocksOn($next);
        $pairs = $this->past->pairs($user);

        return new ClosePage(
            now: $now,
            day: $day,
            entries: $entries,
            titles: $tasks->map(static fn (Task $task): string => $task->title)->all(),
            account: $account,
            goes: array_combine(array_column($account->rows, 'task'), array_map(static fn (AccountRow $row): string => self::goes($user, $row, $now), $account->rows)),
            keys: self::keys($account),
            byArea: $byArea,
            groups: collect($account->rows)->groupBy(static fn (AccountRow $row): string => $byArea ? $row->areaName : $row->became->value),
            stair: Stair::of($account),
            breaks: (int) $entries->where('break', true)->sum(static fn (Entry $one): int => (int) $one->starts_at->diffInMinutes($one->ends_at ?? $now)),
            meetings: $meetings,
            held: (int) $meetings->filter(static fn (Occurrence $one): bool => $one->ends_at <= $now)->sum(static fn (Occurrence $one): int => RowMapper::time($one)->length()),
            unfinished: $this->unfinished($account, $tasks),
            asks: $this->asks($user, $account, $tasks, $pairs, $now),
            taught: $this->taught($account, $tasks, $pairs, $now),
            tomorrow: Ribbon::of($this->desk->timeOn($next), $coming, $now),
            tomorrowDate: $next,
            tomorrowMinutes: (int) $coming->sum(static fn (Block $block): int => RowMapper::time($block)->length()),
        );
    }

    private static function keys(Account $account): string
    {
        $keys = array_filter($account->rows, static fn (AccountRow $row): bool => $row->key);

        return $keys === [] ? '' : trans_choice('close.keys', count($keys), ['kept' => count(array_filter($keys, static fn (AccountRow $row): bool => $row->done))]);
    }

    private static function goes(User $user, AccountRow $row, CarbonImmutable $now): string
    {
        return match (true) {
            $row->fate === 'let_go' => __('close.fate.let_go'),
            $row->done => '',
            $row->next !== null && $row->next <= Moments::minute($now) => __('close.fate.on'),
            $row->next !== null => Times::when($user, $row->next, $now),
            $row->fate !== null => __("close.fate.{$row->fate}"),
            default => __('close.fate.none'),
        };
    }

    /** What is kept of a day when it is closed. */
    public function account(User $user, LocalDay $day, CarbonImmutable $now): Account
    {
        $this->desk->forget();

        return Account::of($this->desk, $day, $this->entries($user, $day), $now);
    }

    /** @return Collection<int, Entry> of a day, by start */
    private function entries(User $user, LocalDay $day): Collection
    {
        $span = $this->desk->timeOn($day)->zone->day($day);

        return $user->entries()->where('starts_at', '>=', Moments::moment($span->start))->where('starts_at', '<', Moments::moment($span->end))->orderBy('starts_at')->get()->toBase();
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @return list<array{row: AccountRow, task: Task, next: Block|null}> what is open still
     */
    private function unfinished(Account $account, Collection $tasks): array
    {
        $unfinished = [];
        foreach ($account->rows as $row) {
            $task = $tasks[$row->task] ?? null;
            if ($row->became->isUnfinished() && $task !== null && $task->deleted_at === null) {
                $unfinished[] = ['row' => $row, 'task' => $task, 'next' => $account->next[$row->task] ?? null];
            }
        }

        return $unfinished;
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  list<Pair>  $pairs
     * @return list<array{task: Task, remaining: Remaining}> what is past its estimate: only the person can say how much is left
     */
    private function asks(User $user, Account $account, Collection $tasks, array $pairs, CarbonImmutable $now): array
    {
        $asks = [];
        foreach ($account->rows as $row) {
            $task = $row->actual > 0 ? $tasks[$row->task] ?? null : null;
            $remaining = $task === null || $task->deleted_at !== null ? null : $this->past->remaining($user, $task, $now, $pairs);
            if ($task !== null && $remaining !== null) {
                $asks[] = ['task' => $task, 'remaining' => $remaining];
            }
        }

        return $asks;
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  list<Pair>  $pairs
     * @return list<array{title: string, estimate: int, actual: int, likely: float|null}>
     */
    private function taught(Account $account, Collection $tasks, array $pairs, CarbonImmutable $now): array
    {
        $taught = [];
        foreach ($account->rows as $row) {
            $task = $tasks[$row->task] ?? null;
            $estimate = $task->estimate_begun ?? $task?->estimate;
            if ($task !== null && $row->done && $row->actual > 0 && $estimate !== null) {
                $correction = Correction::of($pairs, (string) $task->area_id, $task->demand, $estimate);
                $taught[] = ['title' => $row->title, 'estimate' => $estimate, 'actual' => $task->said_at === null ? $task->left($now)->worked ?? $row->actual : $row->actual, 'likely' => $correction->isReliable() ? $correction->median : null];
            }
        }

        return $taught;
    }
}
