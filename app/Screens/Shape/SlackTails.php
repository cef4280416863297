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

    /** Pixels between two labels of this day, and of others; those stand so far above the sheet's foot. */
    private const ROW = 14;

    private const LATER_ROW = 18;

    private const FOOT = 10;

    public function __construct(private WorkTime $time, private Interval $span, private CarbonImmutable $now) {}

    /**
     * Of the blocks to come, those with the least slack, and the chosen one.
     *
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Candidate>  $candidates
     * @param  int  $height  of the sheet, pixels
     * @return list<Tail>
     */
    public function of(Collection $blocks, PlannedTimes $planned, Collection $candidates, ?Block $chosen, int $height): array
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
        $shown = array_slice(array_values(array_filter($slacks, static fn (array $one): bool => $one[1]->minutes > 0)), 0, count(self::TRACKS));
        usort($shown, static fn (array $a, array $b): int => $a[1]->latestEnd <=> $b[1]->latestEnd);

        return [...$this->drawn($shown, $height), ...array_map($this->without(...), array_column($late, 0))];
    }

    /**
     * Each on its track; labels that would meet stand lower, those of other days stand in a row at the foot.
     *
     * @param  list<array{Block, BlockSlack}>  $shown  by their latest ends
     * @return list<Tail>
     */
    private function drawn(array $shown, int $height): array
    {
        $outer = $shown === [] ? 0 : self::TRACKS[count($shown) - 1];
        $later = count(array_filter($shown, fn (array $one): bool => ! $this->isToday($one[1])));
        $tails = $ends = [];
        foreach ($shown as $i => [$block, $slack]) {
            [$x, $from] = [self::TRACKS[$i], $this->place(RowMapper::end($block))];
            if ($this->isToday($slack)) {
                $to = $this->place((int) $slack->latestEnd);
                $beside = count(array_filter($ends, static fn (float $end): bool => abs($end - $to) < self::ROW));
                $ends[] = $to;
                $tails[] = new Tail('today', "M0 {$from}H{$x}V{$to}M".($x - 6)." {$to}h12", null, $i === 0, Times::column($slack->minutes), __('shape.tail_today'), $x - 6, $to + 3 + self::ROW * $beside);
            } else {
                $y = $height - self::FOOT - self::LATER_ROW * --$later;
                $lead = $x < $outer ? "M{$x} ".($y - 2).'H'.($outer + 8) : null;
                $tails[] = new Tail('later', "M0 {$from}H{$x}V{$y}m-4 -6l4 6l4 -6", $lead, $i === 0, Times::when($this->time->user, (int) $slack->latestEnd, $this->now), __('shape.tail_later'), $outer + 10, $y - 10);
            }
        }

        return $tails;
    }

    private function without(Block $block): Tail
    {
        $from = $this->place(RowMapper::end($block));

        return new Tail('none', 'M2 '.($from - 4).'h16', null, false, __('shape.slack_none'), '', 3, $from);
    }

    private function isToday(BlockSlack $slack): bool
    {
        return (int) $slack->latestEnd <= $this->span->end;
    }

    private function slack(Block $block, PlannedTimes $planned, int $due): BlockSlack
    {
        $interval = RowMapper::time($block);

        return BlockSlack::of($interval->start, $interval->length(), $planned->minutesAfter($block->task_id, $interval->start), $due, $this->time->open($block->task->hoursSet()));
    }

    private function place(int $minute): float
    {
        return round(($minute - $this->span->start) * RunSheet::SCALE, 1);
    }
}
