<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\Change;
use App\Edits\ChangeKind;
use App\Models\Block;
use App\Models\BlockState;
use App\Planning\Tried;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Wording\ChangeNote;
use App\Wording\Times;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;

/** A change before it is taken: what comes, goes and moves, from when to when and why; and the day as it would be. */
final readonly class Difference
{
    /** So many are named; the others are taken or left with the whole. */
    private const NAMED = 24;

    /**
     * @param  list<array{task: int, title: string, from: string|null, to: string|null, why: string, late: string|null, hue: string, importance: int}>  $lines
     * @param  list<string>  $late  what it would make late, to be said first
     * @param  list<array{top: float, height: float, title: string, range: string}>  $ghosts  blocks that would come
     * @param  list<int>  $going  blocks that would go
     * @param  string  $nothing  said where nothing would move
     */
    private function __construct(public Change $change, public array $lines, public array $late, public int $more, public array $ghosts, public array $going, public ?Gauge $gauge, public string $nothing) {}

    /**
     * @param  Collection<int, Block>  $blocks  of the day as it is
     * @param  Collection<int, Candidate>  $candidates
     */
    public static function of(Desk $desk, Change $change, Tried $tried, Collection $blocks, Collection $candidates, Interval $span, ?Gauge $gauge): self
    {
        [$user, $now] = [$desk->user(), $desk->now];
        $lines = $tried->revision === null ? [] : (new ChangeNote($user, $now))->lines($tried->revision);
        $still = $change->kind === ChangeKind::Wait ? array_diff($change->tasks, array_column($lines, 'task')) : [];
        $tasks = $desk->tasks([...array_column($lines, 'task'), ...array_values($still)]);
        foreach ($still as $id) { // it has its time on another day already, and only leaves this one's list
            $next = $desk->planned()->next($id, Moments::minute($now));
            $lines[] = ['task' => $id, 'title' => $tasks[$id]->title ?? '', 'from' => null, 'to' => $next === null ? null : Times::when($user, $next, $now), 'why' => __('shape.change.no_time_here'), 'sentence' => ''];
        }
        $named = [];
        foreach (array_slice($lines, 0, self::NAMED) as $line) {
            $task = $tasks[$line['task']] ?? null;
            $due = $candidates[$line['task']]->due ?? null;
            $end = $tried->ends[$line['task']] ?? null;
            $named[] = [
                ...$line,
                'late' => $due !== null && $end !== null && $end > $due && $due > Moments::minute($now) ? Times::duration($end - $due) : null,
                'hue' => $task->area->hue ?? 'slate',
                'importance' => $task->importance->value ?? 0,
            ];
        }
        $key = static fn (Block $block): string => "{$block->task_id}/".RowMapper::start($block).'/'.RowMapper::end($block);
        $before = $blocks->mapWithKeys(static fn (Block $block): array => [$key($block) => $block->id]);
        $after = $tried->blocks->filter(static fn (Block $block): bool => $block->state !== BlockState::Passed)->keyBy($key);

        return new self(
            $change,
            $named,
            $tried->revision === null ? [] : (new ChangeNote($user, $now))->late($tried->revision),
            count($lines) - count($named),
            array_values($after->reject(static fn (Block $block, string $place): bool => isset($before[$place]))->map(static fn (Block $block): array => [
                'top' => round((RowMapper::start($block) - $span->start) * RunSheet::SCALE, 1),
                'height' => round(RowMapper::time($block)->length() * RunSheet::SCALE, 1),
                'title' => $block->task->shortTitle(),
                'range' => Times::range($user, $block->starts_at, $block->ends_at),
            ])->all()),
            array_values($before->reject(static fn (int $id, string $place): bool => isset($after[$place]))->all()),
            $gauge,
            __($change->kind === ChangeKind::LayOut && $candidates->isEmpty() ? 'plan.nothing_to_lay_out' : 'shape.change.nothing'),
        );
    }
}
