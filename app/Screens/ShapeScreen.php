<?php

declare(strict_types=1);

namespace App\Screens;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\User;
use App\Planning\Blocks;
use App\Planning\RowMapper;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** The run sheet of a day, what it carries, and what else could be done. */
final readonly class ShapeScreen
{
    public function __construct(private Candidates $candidates) {}

    /** @return array<string, mixed> the view's data */
    public function data(User $user, LocalDay $day, CarbonImmutable $now, ?int $selected, bool $wholeBank, bool $propose = false): array
    {
        $today = RowMapper::today($user, $now);
        $first = new LocalDay(min($day->number, $today->number));
        $time = $this->candidates->time($user, $first);
        $span = $time->zone->day($day);
        $planned = PlannedTimes::of($user);
        $blocks = Blocks::during($user, $span)->with('task.area')->get();
        $candidates = $this->candidates->of($user, $planned, $time, $now)->filter(static fn (Candidate $one): bool => $one->importance !== null);
        $chosen = $blocks->firstWhere('id', $selected);
        $gauge = Gauge::of($time, $day, $blocks, $candidates, $now, $chosen);

        return [
            'user' => $user,
            'now' => $now,
            'day' => $day,
            'isToday' => $day->equals($today),
            'isPast' => $day->number < $today->number,
            'sheet' => RunSheet::of($time, $day, $blocks, $planned, $candidates, $this->entries($user, $span->start, $span->end), $now, $chosen),
            'gauge' => $gauge,
            'bank' => Bank::of($user, $candidates, $blocks, $planned, $day, $time, $now, $wholeBank),
            'proposal' => $propose ? Proposal::of($user, $day, $time, $candidates, $now) : null,
            'chosen' => $chosen,
            'why' => $chosen === null ? null : (new WhyHere($user, $now))->of($chosen, $candidates[$chosen->task_id] ?? null),
            'chosenCandidate' => $chosen === null ? null : $candidates[$chosen->task_id] ?? null,
            'areas' => $this->areaTotals($blocks),
        ];
    }

    /** @return Collection<int, \App\Models\Entry> */
    private function entries(User $user, int $start, int $end): Collection
    {
        return $user->entries()->where('starts_at', '>=', RowMapper::moment($start))->where('starts_at', '<', RowMapper::moment($end))
            ->orderBy('starts_at')->get();
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @return array<int, array{name: string, hue: string, minutes: int}>
     */
    private function areaTotals(Collection $blocks): array
    {
        return $blocks->reject(static fn (Block $block): bool => $block->state === BlockState::Passed)
            ->groupBy(static fn (Block $block): int => $block->task->area_id)
            ->map(static fn (Collection $some): array => [
                'name' => $some[0]->task->area->name,
                'hue' => $some[0]->task->area->hue,
                'minutes' => $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()),
            ])->sortByDesc('minutes')->values()->all();
    }
}
