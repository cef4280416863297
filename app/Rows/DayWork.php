<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Block;
use App\Models\BlockState;
use Illuminate\Support\Collection;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/**
 * What is laid on a day against what it can carry, for each set of hours: the one place for "planned of load line". What
 * is anchored is no part of either; what went by without being worked is none of it.
 */
final readonly class DayWork
{
    /**
     * @param  array<int, SetWork>  $sets  by id, in the person's order
     * @param  int  $deep  minutes of deep work, anchored ones too
     */
    private function __construct(public array $sets, public int $deep, public int $deepLimit) {}

    /** @param  Collection<int, Block>  $blocks  of the day, with tasks and areas */
    public static function of(WorkTime $time, LocalDay $day, Collection $blocks): self
    {
        $anchored = Blocks::anchored($blocks);
        $laid = [];
        foreach (self::counted($blocks) as $block) {
            $laid[$block->task->hoursSet()][] = $block;
        }
        $sets = [];
        foreach ($time->sets as $set) {
            $sets[$set->id] = new SetWork($set->name, self::minutes($laid[$set->id] ?? []), $time->load($set->id, $day, $anchored), self::minutes(array_filter($laid[$set->id] ?? [], self::isDeep(...))));
        }

        return new self($sets, self::minutes($blocks->filter(static fn (Block $block): bool => $block->state !== BlockState::Passed && self::isDeep($block))), $time->user->deep_limit);
    }

    /**
     * Minutes that some of the day's blocks may take: what is under the lines and the deep limit without them.
     *
     * @param  Collection<int, Block>  $some  of the day's, not anchored
     * @return array{array<int, int>, int} by set of hours, and deep ones; negative where the others are too much
     */
    public function roomFor(Collection $some): array
    {
        $lines = array_map(static fn (SetWork $set): int => $set->load->loadLine - $set->minutes, $this->sets);
        $deep = $this->deepLimit - $this->deep;
        foreach ($some as $block) {
            $minutes = RowMapper::time($block)->length();
            $lines[$block->task->hoursSet()] += $minutes;
            $deep += self::isDeep($block) ? $minutes : 0;
        }

        return [$lines, $deep];
    }

    /**
     * Blocks that the day's load line is asked about.
     *
     * @param  Collection<int, Block>  $blocks
     * @return Collection<int, Block>
     */
    public static function counted(Collection $blocks): Collection
    {
        return $blocks->reject(static fn (Block $block): bool => $block->state === BlockState::Passed || $block->anchored);
    }

    /** The set that the day is about: the first with hours or work on it; null if there is none. */
    public function main(): ?SetWork
    {
        foreach ($this->sets as $set) {
            if ($set->load->hours > 0 || $set->minutes > 0) {
                return $set;
            }
        }

        return null;
    }

    private static function isDeep(Block $block): bool
    {
        return $block->task->demand === Demand::Deep;
    }

    /** @param  iterable<Block>  $blocks */
    private static function minutes(iterable $blocks): int
    {
        $sum = 0;
        foreach ($blocks as $block) {
            $sum += RowMapper::time($block)->length();
        }

        return $sum;
    }
}
