<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Rows\RowMapper;
use App\Rows\Slacks;
use App\Rows\WorkTime;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Prospect\Slack;
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

    public function __construct(private WorkTime $time, private Interval $span, private Slacks $slacks, private CarbonImmutable $now) {}

    /**
     * Of the blocks to come, those with the least slack, and the chosen one.
     *
     * @param  Collection<int, Block>  $blocks
     * @param  int  $height  of the sheet, pixels
     * @return list<Tail>
     */
    public function of(Collection $blocks, ?Block $chosen, int $height): array
    {
        $slacks = [];
        foreach ($blocks as $block) {
            $slack = $block->isAhead($this->now) ? $this->slacks->of($block->task_id, RowMapper::start($block)) : null;
            if ($slack?->dated === true) {
                $slacks[] = [$block, $slack];
            }
        }
        usort($slacks, static fn (array $a, array $b): int => [$a[0]->id !== $chosen?->id, $a[1]->minutes] <=> [$b[0]->id !== $chosen?->id, $b[1]->minutes]);
        $late = array_filter($slacks, static fn (array $one): bool => $one[1]->minutes <= 0);
        $shown = array_slice(array_values(array_filter($slacks, static fn (array $one): bool => $one[1]->minutes > 0)), 0, count(self::TRACKS));
        usort($shown, static fn (array $a, array $b): int => self::latestEnd($a[0], $a[1]) <=> self::latestEnd($b[0], $b[1]));

        return [...$this->drawn($shown, $height), ...array_map($this->without(...), array_column($late, 0))];
    }

    /**
     * Each on its track; labels that would meet stand lower, those of other days stand in a row at the foot.
     *
     * @param  list<array{Block, Slack}>  $shown  by their latest ends
     * @return list<Tail>
     */
    private function drawn(array $shown, int $height): array
    {
        $outer = $shown === [] ? 0 : self::TRACKS[count($shown) - 1];
        $later = count(array_filter($shown, fn (array $one): bool => ! $this->isToday(...$one)));
        $tails = $ends = [];
        foreach ($shown as $i => [$block, $slack]) {
            [$x, $from] = [self::TRACKS[$i], $this->place(RowMapper::end($block))];
            if ($this->isToday($block, $slack)) {
                $to = $this->place(self::latestEnd($block, $slack));
                $beside = count(array_filter($ends, static fn (float $end): bool => abs($end - $to) < self::ROW));
                $ends[] = $to;
                $tails[] = new Tail('today', "M0 {$from}H{$x}V{$to}M".($x - 6)." {$to}h12", null, $i === 0, Times::column($slack->minutes), __('shape.tail_today'), $x - 6, $to + 3 + self::ROW * $beside);
            } else {
                $y = $height - self::FOOT - self::LATER_ROW * --$later;
                $lead = $x < $outer ? "M{$x} ".($y - 2).'H'.($outer + 8) : null;
                $tails[] = new Tail('later', "M0 {$from}H{$x}V{$y}m-4 -6l4 6l4 -6", $lead, $i === 0, Times::when($this->time->user, self::latestEnd($block, $slack), $this->now), __('shape.tail_later'), $outer + 10, $y - 10);
            }
        }

        return $tails;
    }

    private function without(Block $block): Tail
    {
        $from = $this->place(RowMapper::end($block));

        return new Tail('none', 'M2 '.($from - 4).'h16', null, false, __('shape.slack_none'), '', 3, $from);
    }

    private function isToday(Block $block, Slack $slack): bool
    {
        return self::latestEnd($block, $slack) <= $this->span->end;
    }

    /** When the block ends if it begins at its latest start. */
    private static function latestEnd(Block $block, Slack $slack): int
    {
        return $slack->latestStart + RowMapper::time($block)->length();
    }

    private function place(int $minute): float
    {
        return round(($minute - $this->span->start) * RunSheet::SCALE, 1);
    }
}
