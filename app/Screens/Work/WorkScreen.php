<?php

declare(strict_types=1);

namespace App\Screens\Work;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\User;
use App\Models\Worked;
use App\Rows\Account;
use App\Rows\AccountRow;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\RowMapper;
use App\Rows\RunningClock;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;
use Nekto\Core\Work\Rhythm;
use Nekto\Core\Work\Spell;
use Nekto\Core\Work\Turn;

/** What Work shows: what is on, large; what comes next; the day block by block. */
final readonly class WorkScreen
{
    public function __construct(private Desk $desk, private PastRatios $past) {}

    public function of(User $user, CarbonImmutable $now): WorkPage
    {
        $today = $this->desk->today();
        $time = $this->desk->time();
        $day = $time->zone->day($today);
        $this->desk->kept($today);
        $blocks = $this->desk->blocksOn($today);
        $since = Moments::moment($day->start);
        $entries = $user->entries()->where(static fn (Builder $one) => $one->where('starts_at', '>=', $since)->orWhereNull('ends_at'))->orderBy('starts_at')->get();
        $running = $entries->whereNull('ends_at')->last();
        $entries = $entries->where('starts_at', '>=', $since)->values();
        $current = $this->current($blocks, $running, $now);
        $task = $current->task ?? ($running?->task_id === null ? null : $this->desk->tasks([$running->task_id])->first());
        $task?->load(['subtasks', 'links']);
        $meetings = $this->desk->timeOn($today)->occurrences->filter(static fn (Occurrence $one): bool => $one->interrupts() && RowMapper::start($one) < $day->end);
        $meeting = $meetings->first(static fn (Occurrence $one): bool => $one->starts_at <= $now && $one->ends_at > $now);
        $candidate = $task === null ? null : ($this->desk->open()->one($task->id));

        $own = $running?->block_id === null ? null : $blocks->firstWhere('id', $running->block_id);
        $forgotten = $running !== null && RunningClock::isForgotten($user, $running, $now, $own) ? $running : null;
        $minute = Moments::minute($now);
        $rows = $this->rows($blocks->toBase(), $entries->toBase(), $now);
        $stopped = $entries->whereNotNull('stopped_by')->last();

        return new WorkPage(
            running: $running,
            block: $current,
            task: $task,
            candidate: $candidate,
            isKey: $task !== null && array_filter($rows, static fn (AccountRow $row): bool => $row->task === $task->id && $row->key) !== [],
            meeting: $meeting === null ? null : MeetingScreen::of($user, $meeting),
            forgotten: $forgotten,
            forgottenTask: $forgotten?->task_id === null ? null : $user->tasks()->withTrashed()->find($forgotten->task_id),
            likelyEnd: $forgotten === null ? null : RunningClock::likelyEnd($user, $forgotten, $own),
            stopped: $stopped,
            wentOn: $stopped?->ends_at === null ? null : min(array_filter([$now, $meetings->first(static fn (Occurrence $one): bool => $one->starts_at <= $stopped->ends_at && $one->ends_at > $stopped->ends_at)?->ends_at, $entries->first(static fn (Entry $one): bool => $one->starts_at >= $stopped->ends_at)?->starts_at])),
            remaining: $task === null ? null : $this->past->remaining($user, $task, $now),
            turn: $forgotten === null ? $this->turn($user, $entries, $running, $now) : null,
            nextMeeting: $meetings->first(static fn (Occurrence $one): bool => $one->starts_at > $now),
            spent: $task === null ? 0 : Worked::minutes($entries->where('task_id', $task->id), $now),
            entries: $entries,
            next: $this->next($blocks->filter(fn (Block $one): bool => $this->desk->lens()->holdsArea($one->task->area_id)), $meetings->filter(fn (Occurrence $one): bool => $this->desk->lens()->holdsMeeting($one)), $current, $now),
            rows: $rows,
            ended: collect($time->ended)->first(static fn (Interval $one): bool => $one->contains($minute))?->start,
            now: $now,
        );
    }

    /** @param  Collection<int, Entry>  $entries  of today */
    private function turn(User $user, Collection $entries, ?Entry $running, CarbonImmutable $now): ?Turn
    {
        if ($user->rhythm_work === null) {
            return null;
        }
        $minute = Moments::minute($now);
        $stretches = [];
        foreach ($entries as $entry) {
            $end = $entry->ends_at === null ? $minute : RowMapper::end($entry);
            if ($end > RowMapper::start($entry)) {
                $stretches[] = new Spell(new Interval(RowMapper::start($entry), $end), $entry->break);
            }
        }
        $isOn = $running !== null && $stretches !== [] && $running->starts_at < $now;

        return (new Rhythm($user->rhythm_work, $user->rhythm_break, $user->rhythm_long, $user->rhythm_after))->at($stretches, $minute, $isOn);
    }

    /** @param  Collection<int, Block>  $blocks */
    private function current(Collection $blocks, ?Entry $running, CarbonImmutable $now): ?Block
    {
        $planned = $blocks->filter(static fn (Block $block): bool => $block->state === BlockState::Planned);
        $own = $running?->block_id === null ? null : $planned->firstWhere('id', $running->block_id);
        $on = $planned->first(static fn (Block $block): bool => $block->starts_at <= $now && $block->ends_at > $now);
        if ($running?->task_id !== null && ($own ?? $on)?->task_id !== $running->task_id) {
            return $planned->firstWhere('task_id', $running->task_id);
        }

        return $own ?? $on ?? $planned->first(static fn (Block $block): bool => $block->starts_at > $now);
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Occurrence>  $meetings
     * @return list<Block|Occurrence> the next two
     */
    private function next(Collection $blocks, Collection $meetings, ?Block $current, CarbonImmutable $now): array
    {
        $coming = [
            ...$blocks->filter(static fn (Block $block): bool => $block->state === BlockState::Planned && $block->starts_at > $now && $block->id !== $current?->id)->all(),
            ...$meetings->filter(static fn (Occurrence $one): bool => $one->starts_at > $now)->all(),
        ];
        usort($coming, static fn (Block|Occurrence $a, Block|Occurrence $b): int => $a->starts_at <=> $b->starts_at);

        return array_slice($coming, 0, 2);
    }

    /**
     * The day's account so far, by when each is laid out.
     *
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Entry>  $entries
     * @return list<AccountRow>
     */
    private function rows(Collection $blocks, Collection $entries, CarbonImmutable $now): array
    {
        $rows = Account::of($this->desk, $this->desk->today(), $entries, $now, whole: false)->rows;
        $place = array_flip($blocks->pluck('task_id')->unique()->values()->all());
        usort($rows, static fn (AccountRow $a, AccountRow $b): int => [$place[$a->task] ?? PHP_INT_MAX, $a->task] <=> [$place[$b->task] ?? PHP_INT_MAX, $b->task]);

        return $rows;
    }
}
