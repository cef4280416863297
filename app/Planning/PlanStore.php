<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\User;
use App\Rows\Blocks;
use App\Rows\RowMapper;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\Reason;

/** Stores a plan. Rows of blocks that stay where they are stay the same rows. */
final readonly class PlanStore
{
    public function replace(User $user, LoadedProblem $loaded, Plan $plan, CarbonImmutable $now): void
    {
        $old = [];
        foreach ($loaded->movable as $block) {
            $old[self::key($block->task_id, RowMapper::start($block), RowMapper::end($block))] = $block;
        }
        $new = [];
        foreach ($plan->blocks as $i => $block) {
            if ($block->anchored) {
                continue;
            }
            $key = self::key((int) $block->task, $block->time->start, $block->time->end);
            if (isset($old[$key])) {
                unset($old[$key]);

                continue;
            }
            $new[] = [
                'user_id' => $user->id,
                'task_id' => (int) $block->task,
                'starts_at' => Moments::moment($block->time->start)->toDateTimeString(),
                'ends_at' => Moments::moment($block->time->end)->toDateTimeString(),
                'reasons' => json_encode(self::reasons($plan->reasons[$i] ?? []), JSON_THROW_ON_ERROR),
            ];
        }
        $past = collect(array_values(array_filter($old, static fn (Block $block): bool => $block->ends_at <= $now)));
        $future = collect(array_values(array_filter($old, static fn (Block $block): bool => $block->ends_at > $now)));
        $this->pass($user, $past, $now);
        foreach (array_chunk($future->pluck('id')->all(), 500) as $ids) {
            $user->blocks()->whereKey($ids)->delete();
        }
        foreach (array_chunk($new, 100) as $rows) {
            Block::query()->insert($rows);
        }
    }

    /**
     * What went by is over: worked in part, as far as the clock ran in it, or not at all.
     *
     * @param  Collection<int, Block>  $past
     */
    private function pass(User $user, Collection $past, CarbonImmutable $now): void
    {
        if ($past->isEmpty()) {
            return;
        }
        $until = Blocks::workedUntil($user, $past, $now);
        foreach ($past as $block) {
            $block->update(['put_back' => false, ...(isset($until[$block->id]) ? ['state' => BlockState::Part, 'ends_at' => $until[$block->id]] : ['state' => BlockState::Passed])]);
        }
    }

    /** Takes away the planned blocks of tasks that have no work to plan any more. */
    public function dropWithoutWork(User $user): void
    {
        $user->blocks()->where('state', BlockState::Planned)
            ->whereNotIn('task_id', $user->tasks()->plannable()->select('id'))->delete();
    }

    private static function key(int $task, int $start, int $end): string
    {
        return "{$task}/{$start}/{$end}";
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<array<string, int|string>>
     */
    private static function reasons(array $reasons): array
    {
        return array_map(static fn (Reason $reason): array => ['code' => $reason->code->value, ...$reason->facts], $reasons);
    }
}
