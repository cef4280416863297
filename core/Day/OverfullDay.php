<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

use Nekto\Core\Time\Grid;

/** A day that is to carry more than it can: by how much, and the cheapest ways out. */
final readonly class OverfullDay
{
    /** Extra hours are opened by so many minutes. */
    private const EXTRA_STEP = 15;

    /** A task is cut to this share of its minutes at most. */
    private const MOST_CUT = 0.5;

    /**
     * @param  int  $over  minutes over the load line
     * @param  list<DayCandidate>  $waiting  the least pull that brings the day under its line, what can wait longest last
     * @param  int  $pullLeft  of what would wait
     * @param  int  $pull  of all that could move
     * @param  int|null  $longer  minutes of extra hours that would carry it; null where the margin takes everything
     * @param  DayCandidate|null  $cut  the one with the least pull that could be made shorter by $over minutes
     */
    private function __construct(
        public int $over,
        public array $waiting,
        public int $pullLeft,
        public int $pull,
        public ?int $longer,
        public ?DayCandidate $cut,
    ) {}

    /**
     * Null if the day fits. Those marked as picked stay while anything else can go.
     *
     * @param  list<DayCandidate>  $movable  what could be done on another day
     * @param  int  $fixed  minutes that stay: done, begun
     * @param  int  $fixedDeep  the deep ones of them
     */
    public static function of(array $movable, int $fixed, int $fixedDeep, int $loadLine, int $deepLimit, int $marginPercent): ?self
    {
        $minutes = $fixed + array_sum(array_map(static fn (DayCandidate $one): int => $one->minutes, $movable));
        $over = $minutes - $loadLine;
        if ($over <= 0) {
            return null;
        }
        $waiting = DayProposal::of($movable, $loadLine - $fixed, $deepLimit - $fixedDeep)->waiting;
        $longer = $marginPercent >= 100 ? null : self::EXTRA_STEP * (int) ceil($over / (1 - $marginPercent / 100) / self::EXTRA_STEP);

        return new self($over, $waiting, self::pull($waiting), self::pull($movable), $longer, self::toCut($movable, $over));
    }

    /** How many minutes the one to cut would lose: a whole number of steps. */
    public function cutBy(): int
    {
        return Grid::STEP * (int) ceil($this->over / Grid::STEP);
    }

    /** @param  list<DayCandidate>  $candidates */
    private static function pull(array $candidates): int
    {
        return array_sum(array_map(static fn (DayCandidate $one): int => $one->pull, $candidates));
    }

    /** @param  list<DayCandidate>  $movable */
    private static function toCut(array $movable, int $over): ?DayCandidate
    {
        $able = array_filter($movable, static fn (DayCandidate $one): bool => ! $one->picked && $over <= $one->minutes * self::MOST_CUT);
        usort($able, static fn (DayCandidate $a, DayCandidate $b): int => [$a->pull, $b->minutes, $a->id] <=> [$b->pull, $a->minutes, $b->id]);

        return $able[0] ?? null;
    }
}
