<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\PlanRevision;
use App\Models\Reserve;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\FixedTime;
use App\Planning\PlanConflict;
use App\Planning\Replan;
use App\Rows\RowMapper;
use App\Time\GridMoments;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/**
 * Time reserved by hand. Small tasks dropped on it make it a batch: they lie in it one after the other, anchored, and
 * move with it.
 */
final readonly class Reserves
{
    /** What takes longer than this gets a block of its own. */
    public const SMALL = 60;

    public function __construct(private Replan $replan, private TaskDoor $door) {}

    /** @throws PlanConflict */
    public function add(User $user, string $title, CarbonImmutable $start, CarbonImmutable $end, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($user, $now, RevisionCause::Reserved, first: static function () use ($user, $title, $start, $end, $now): void {
            FixedTime::ensureFree($user, $start, $end, $now);
            $user->reserves()->create(['title' => $title, 'starts_at' => $start, 'ends_at' => $end]);
        });
    }

    /**
     * With what it holds; it cannot be made shorter than that.
     *
     * @throws PlanConflict
     */
    public function move(Reserve $reserve, CarbonImmutable $start, CarbonImmutable $end, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($reserve->user, $now, RevisionCause::Reserved, first: function () use ($reserve, $start, $end, $now): void {
            $held = $this->held($reserve);
            $minutes = $held->sum(static fn (Block $block): int => RowMapper::time($block)->length());
            $end = max($end, $start->addMinutes($minutes));
            FixedTime::ensureFree($reserve->user, $start, $end, $now, array_values($held->modelKeys()), begun: $reserve->starts_at < $now && $start->equalTo($reserve->starts_at));
            $reserve->update(['starts_at' => $start, 'ends_at' => $end]);
            $this->fill($reserve);
        });
    }

    /** What it held is planned again. */
    public function remove(Reserve $reserve, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($reserve->user, $now, RevisionCause::Reserved, first: static function () use ($reserve): void {
            $reserve->blocks()->update(['reserve_id' => null, 'anchored' => false]);
            $reserve->delete();
        });
    }

    /**
     * Puts a small task in. If there is not enough time left, the batch grows.
     *
     * @throws PlanConflict if the task is not small, cannot be planned, or something fixed lies in the way
     */
    public function put(Reserve $reserve, Task $task, CarbonImmutable $now): ?PlanRevision
    {
        if (! $task->isPlannable()) {
            throw PlanConflict::notPlannable();
        }
        $minutes = $task->minutesToPlan($now);
        if ($minutes > self::SMALL) {
            throw PlanConflict::notSmall($task->title, self::SMALL);
        }

        return ($this->replan)($reserve->user, $now, RevisionCause::Batched, first: function () use ($reserve, $task, $minutes, $now): void {
            $held = $this->held($reserve);
            $own = $task->blocks()->planned()->where('starts_at', '>=', $now)->pluck('id')->all();
            $start = $held->last()->ends_at ?? $reserve->starts_at;
            $begins = max($start, GridMoments::next($now));
            $end = max($reserve->ends_at, $begins->addMinutes($minutes));
            FixedTime::ensureFree($reserve->user, $begins, $end, $now, [...array_values($held->modelKeys()), ...$own]);
            $task->blocks()->whereKey($own)->delete();
            $reserve->update(['ends_at' => $end]);
            $task->not_before > $begins && $this->door->change($task, ['not_before' => null], $now);
            $block = $task->blocks()->make(['starts_at' => $begins, 'ends_at' => $begins->addMinutes($minutes), 'anchored' => true, 'reserve_id' => $reserve->id]);
            $block->user_id = $task->user_id;
            $block->save();
        });
    }

    /** Lays what it holds one after the other from its start. */
    private function fill(Reserve $reserve): void
    {
        $at = $reserve->starts_at;
        foreach ($this->held($reserve) as $block) {
            $end = $at->addMinutes(RowMapper::time($block)->length());
            $block->update(['starts_at' => $at, 'ends_at' => $end]);
            $at = $end;
        }
    }

    /** @return Collection<int, Block> what is still to be done in it */
    private function held(Reserve $reserve): Collection
    {
        return $reserve->blocks()->planned()->get();
    }
}
