<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Planning\FixedTime;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\Blocks;
use App\Rows\RowMapper;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\Interval;

/** Blocks cut in two, put together, and made to change places. What a hand has placed is anchored. */
final readonly class BlockShape
{
    public function __construct(private Replan $replan, private WorkTimeLoader $times) {}

    /**
     * Cuts a block in two that touch, so that each can be moved by itself.
     *
     * @param  int|null  $first  minutes of the earlier one; null: half
     *
     * @throws PlanConflict if one of them would be shorter than a step
     */
    public function split(Block $block, ?int $first, CarbonImmutable $now): ?PlanRevision
    {
        $step = Grid::STEP;
        $length = RowMapper::time($block)->length();
        $first = Grid::down($first ?? intdiv($length, 2));
        if ($first < $step || $length - $first < $step || ! $block->isAhead($now)) {
            throw PlanConflict::tooShortToSplit($step);
        }

        return ($this->replan)($block->user, $now, RevisionCause::Split, first: static function () use ($block, $first): void {
            Unchanged::ensure($block);
            $middle = $block->starts_at->addMinutes($first);
            $end = $block->ends_at;
            $block->update(['ends_at' => $middle, 'anchored' => true, 'put_back' => false]);
            $rest = $block->replicate()->fill(['starts_at' => $middle, 'ends_at' => $end]);
            $rest->user_id = $block->user_id;
            $rest->save();
        });
    }

    /**
     * Puts a block and the next one of the same task together, at the earlier one's start.
     *
     * @throws PlanConflict if there is no other, or something fixed lies in the way
     */
    public function join(Block $block, CarbonImmutable $now): ?PlanRevision
    {
        $other = $block->task->blocks()->ahead($now)->whereKeyNot($block->id)
            ->orderByRaw('starts_at < ?', [$block->starts_at->toDateTimeString()])->orderBy('starts_at')->first() ?? throw PlanConflict::nothingToJoin($block->task->title);
        [$early, $late] = $block->starts_at <= $other->starts_at ? [$block, $other] : [$other, $block];
        $end = $early->ends_at->addMinutes(RowMapper::time($late)->length());

        return ($this->replan)($block->user, $now, RevisionCause::Joined, first: static function () use ($block, $early, $late, $end, $now): void {
            Unchanged::ensure($early->setRelation('user', $block->user)->setRelation('task', $block->task));
            Unchanged::ensure($late->setRelation('user', $block->user)->setRelation('task', $block->task));
            FixedTime::ensureFree($block->user, $early->starts_at, $end, $now, [$early->id, $late->id], begun: $early->starts_at < $now);
            $late->delete();
            $early->update(['ends_at' => $end, 'anchored' => true, 'put_back' => false]);
        });
    }

    /**
     * Two blocks change places: where nothing lies between them they fill the same stretch in the other order, else
     * each begins where the other began.
     *
     * @throws PlanConflict if one has begun, something fixed is in the way, or they would then overlap
     */
    public function swap(Block $block, Block $other, CarbonImmutable $now): ?PlanRevision
    {
        [$first, $second] = $block->starts_at <= $other->starts_at ? [$block, $other] : [$other, $block];
        $firstLength = RowMapper::time($first)->length();
        $secondLength = RowMapper::time($second)->length();
        $start = $this->areNeighbours($first, $second) ? $second->ends_at->subMinutes($firstLength) : $second->starts_at;
        $both = [$first->id, $second->id];
        if ($start < $first->starts_at->addMinutes($secondLength)) {
            throw PlanConflict::cannotSwap();
        }

        return ($this->replan)($block->user, $now, RevisionCause::Swapped, first: static function () use ($block, $first, $second, $firstLength, $secondLength, $start, $both, $now): void {
            Unchanged::ensure($first);
            Unchanged::ensure($second);
            FixedTime::ensureFree($block->user, $first->starts_at, $first->starts_at->addMinutes($secondLength), $now, $both);
            FixedTime::ensureFree($block->user, $start, $start->addMinutes($firstLength), $now, $both);
            $second->update(['starts_at' => $first->starts_at, 'ends_at' => $first->starts_at->addMinutes($secondLength), 'anchored' => true, 'put_back' => false]);
            $first->update(['starts_at' => $start, 'ends_at' => $start->addMinutes($firstLength), 'anchored' => true, 'put_back' => false]);
        });
    }

    /** Neither another block nor busy time lies between them. */
    private function areNeighbours(Block $first, Block $second): bool
    {
        if (RowMapper::end($first) >= RowMapper::start($second)) {
            return true;
        }
        $gap = new Interval(RowMapper::end($first), RowMapper::start($second));
        $time = $this->times->load($first->user, Moments::today($first->user, $first->starts_at), 2);

        return ! Blocks::during($first->user, $gap)->planned()->exists()
            && $time->busy()->union($time->lunch())->between($gap->start, $gap->end)->intervals === [];
    }
}
