<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\BlockState;
use App\Rows\Candidate;
use App\Rows\PlannedTimes;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Time\Moments;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Pressure\BlockSlack;
use Nekto\Core\Time\Interval;

/** How far each block of a day can still slip, drawn as a tail beside it. */
final readonly class SlackTails
{
    /** Tracks beside the lane, px from it. The earliest end takes the nearest. */
    private const TRACKS = [14, 30, 44];

    public function __construct(private WorkTime $time, private Interval $span, private CarbonImmutable $now) {}

    /**
     * Of the blocks to come, those with the least slack, and the chosen one.
     *
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Candidate>  $candidates
     * @return array<int, array{from: float, to: float|null, x: int|null, label: string, kind: string}>
     */
    public function of(Collection $blocks, PlannedTimes $planned, Collection $candidates, ?Block $chosen): array
    {
        $slacks = [];
        foreach ($blocks as $block) {
            $due = ($candidates[$block->task_id] ?? null)?->due;
            if ($due !== null && $block->state === BlockState::Planned && ! $block->anchored && RowMapper::end($block) > Moments::minute($this->now)) {
                $slacks[] = [$block, $this->slack($block, $planned, $due)];
            }
        }
        usort($slacks, static fn (array $a, array $b): int => [$a[0]->id !== $chosen?->id, $a[1]->minutes] <=> [$b[0]->id !== $chosen?->id, $b[1]->minutes]);
        $late = array_filter($slacks, static fn (array $one): bool => $one[1]->minutes <= 0);
        $tails = array_slice(array_values(array_filter($slacks, static fn (array $one): bool => $one[1]->minutes > 0)), 0, count(self::TRACKS));
        usort($tails, static fn (array $a, array $b): int => $a[1]->latestEnd <=> $b[1]->latestEnd);
        $drawn = [];
        foreach ($tails as $i => [$block, $slack]) {
            $drawn[] = $this->tail($block, $slack, self::TRACKS[$i]);
        }
        foreach ($late as [$block, $slack]) {
            $drawn[] = ['from' => $this->place(RowMapper::end($block)), 'to' => null, 'x' => null, 'label' => __('shape.slack_none'), 'kind' => 'none'];
        }

        return $drawn;
    }

    private function slack(Block $block, PlannedTimes $planned, int $due): BlockSlack
    {
        $interval = RowMapper::time($block);

        return BlockSlack::of($interval->start, $interval->length(), $planned->minutesAfter($block->task_id, $interval->start), $due, $this->time->open($block->task->hoursSet()));
    }

    /** @return array{from: float, to: float|null, x: int|null, label: string, kind: string} */
    private function tail(Block $block, BlockSlack $slack, int $x): array
    {
        $end = (int) $slack->latestEnd;
        $today = $end <= $this->span->end;

        return [
            'from' => $this->place(RowMapper::end($block)),
            'to' => $today ? $this->place($end) : null,
            'x' => $x,
            'label' => $today ? Times::column($slack->minutes) : Times::when($this->time->user, $end, $this->now),
            'kind' => $today ? 'today' : 'later',
        ];
    }

    private function place(int $minute): float
    {
        return round(($minute - $this->span->start) * RunSheet::SCALE, 1);
    }
}
