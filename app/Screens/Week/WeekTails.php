<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Models\Block;
use App\Models\User;
use App\Rows\RowMapper;
use App\Rows\Slacks;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** The slack of a week's blocks as tails below the tapes, from a block's end to its latest end, over as many days as it takes. */
final class WeekTails
{
    /** That many run side by side in a row. */
    private const TRACKS = 2;

    /** Of one day at most so many begin: those with the least slack. */
    private const OF_A_DAY = 3;

    /** Where a tail that leaves the week ends on its last row, and where it comes in. */
    private const EDGE = 1000.0;

    /** @var array<int, list<WeekTail>> by day */
    private array $tails = [];

    private function __construct(private readonly User $user, private readonly Zone $zone, private readonly WeekAxis $axis, private readonly Slacks $slacks, private readonly CarbonImmutable $now) {}

    /**
     * @param  list<LocalDay>  $days  one after another
     * @param  \Closure(LocalDay): Collection<int, Block>  $blocksOn
     * @return array<int, list<WeekTail>> by the day's number
     */
    public static function of(User $user, Zone $zone, WeekAxis $axis, array $days, \Closure $blocksOn, Slacks $slacks, CarbonImmutable $now): array
    {
        $tails = new self($user, $zone, $axis, $slacks, $now);
        $last = end($days) ?: throw new \LogicException('A week has days.');
        foreach ($days as $day) {
            $tails->begin($day, $last, $blocksOn($day));
        }

        return $tails->tails;
    }

    /** @param  Collection<int, Block>  $blocks */
    private function begin(LocalDay $day, LocalDay $last, Collection $blocks): void
    {
        $slacks = [];
        foreach ($blocks as $block) {
            $slack = $block->isAhead($this->now) && $this->zone->dayOf(RowMapper::start($block))->equals($day) ? $this->slacks->of($block->task_id, RowMapper::start($block)) : null;
            if ($slack?->dated === true) {
                $slacks[] = [$block, $slack];
            }
        }
        usort($slacks, static fn (array $a, array $b): int => $a[1]->minutes <=> $b[1]->minutes);
        foreach (array_slice($slacks, 0, self::OF_A_DAY) as [$block, $slack]) {
            $slack->minutes <= 0
                ? $this->add($day, new WeekTail($block->task_id, 0, $this->at($day, RowMapper::end($block)), 0.0, true, 'none', __('shape.slack_none')))
                : $this->draw($day, $last, $block, $slack->latestStart + RowMapper::time($block)->length());
        }
    }

    private function draw(LocalDay $day, LocalDay $last, Block $block, int $latestEnd): void
    {
        $until = $this->zone->dayOf($latestEnd - 1);
        $from = $this->at($day, RowMapper::end($block));
        $rows = [];
        for ($on = $day; $on->number <= min($until->number, $last->number); $on = $on->plusDays(1)) {
            $left = $on->equals($day) ? $from : 0.0;
            $right = $on->equals($until) ? $this->at($on, $latestEnd) : self::EDGE;
            $rows[] = [$on, $left, max(0.0, $right - $left)];
        }
        $track = $this->track($rows);
        if ($track === null) {
            return;
        }
        foreach ($rows as $i => [$on, $left, $width]) {
            $isLast = $i === count($rows) - 1;
            $end = match (true) {
                ! $isLast => 'runs',
                $on->equals($until) => 'closed',
                default => 'leaves',
            };
            $isElsewhere = ! $on->equals($day);
            $this->add($on, new WeekTail($block->task_id, $track, $left, $width, $i === 0, $end, match ($end) {
                'runs' => '',
                'closed' => $isElsewhere ? __('week.latest_end', ['title' => $block->task->shortTitle(), 'time' => Times::clock($this->user, $latestEnd)]) : '',
                default => Times::day($this->user, $latestEnd - 1, $this->now),
            }));
        }
    }

    /**
     * The first that is free in all of these rows.
     *
     * @param  list<array{LocalDay, float, float}>  $rows
     */
    private function track(array $rows): ?int
    {
        for ($track = 0; $track < self::TRACKS; $track++) {
            $isFree = true;
            foreach ($rows as [$on, $left, $width]) {
                foreach ($this->tails[$on->number] ?? [] as $other) {
                    $isFree = $isFree && ($other->track !== $track || $other->end === 'none' || $left + $width < $other->left || $other->left + $other->width + ($other->label === '' ? 0 : 250) < $left);
                }
            }
            if ($isFree) {
                return $track;
            }
        }

        return null;
    }

    private function add(LocalDay $day, WeekTail $tail): void
    {
        $this->tails[$day->number][] = $tail;
    }

    private function at(LocalDay $day, int $minute): float
    {
        [$left, $width] = $this->axis->stretch($this->zone, $day, new Interval($this->zone->day($day)->start, $minute));

        return $left + $width;
    }
}
