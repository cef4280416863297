<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\Plan\Batch;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\Reason;
use Nekto\Core\Plan\Unplaced;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\Zone;

/** Writes a plan in the format nekto-plan/1 (see FORMAT.md beside this file), with the reasons beside each block. */
final readonly class PlanWriter
{
    public function __construct(private Zone $zone) {}

    public function write(Plan $plan): string
    {
        return json_encode([
            'format' => 'nekto-plan/1',
            'blocks' => array_map($this->block(...), $plan->blocks, array_pad($plan->reasons, count($plan->blocks), [])),
            'unplaced' => array_map(
                static fn (Unplaced $task): array => ['task' => $task->task, 'minutes' => $task->minutes, 'reason' => $task->reason->value],
                $plan->unplaced,
            ),
            'breaks' => array_map($this->time(...), $plan->breaks),
            'batches' => array_map(
                fn (Batch $batch): array => ['context' => $batch->context, ...$this->time($batch->time), 'tasks' => $batch->tasks],
                $plan->batches,
            ),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /**
     * @param  list<Reason>  $reasons
     * @return array<string, mixed>
     */
    private function block(Block $block, array $reasons): array
    {
        return [
            'task' => $block->task,
            ...$this->time($block->time),
            'anchored' => $block->anchored,
            'reasons' => array_map(static fn (Reason $reason): array => ['code' => $reason->code->value, ...$reason->facts], $reasons),
        ];
    }

    /** @return array{start: string, end: string} */
    private function time(Interval $time): array
    {
        return ['start' => $this->rfc3339($time->start), 'end' => $this->rfc3339($time->end)];
    }

    private function rfc3339(int $minute): string
    {
        $offset = $this->zone->offsetAt($minute);

        return gmdate('Y-m-d\TH:i:s', 60 * ($minute + $offset))
            .sprintf('%s%02d:%02d', $offset < 0 ? '-' : '+', intdiv(abs($offset), 60), abs($offset) % 60);
    }
}
