<?php

declare(strict_types=1);

namespace Nekto\Core\Planning;

use Nekto\Core\Time\Zone;

/** Writes a plan in the format nekto-plan/1 (see bench/README.md), with the reasons beside each block. */
final readonly class PlanWriter
{
    public function __construct(private Zone $zone) {}

    public function write(Plan $plan): string
    {
        $blocks = [];
        foreach ($plan->blocks as $i => $block) {
            $blocks[] = [
                'task' => $block->task,
                'start' => $this->rfc3339($block->time->start),
                'end' => $this->rfc3339($block->time->end),
                'anchored' => $block->anchored,
                'reasons' => array_map(
                    static fn (Reason $reason): array => ['code' => $reason->code->value, ...$reason->facts],
                    $plan->reasons[$i] ?? [],
                ),
            ];
        }
        $unplaced = array_map(
            static fn (Unplaced $task): array => ['task' => $task->task, 'minutes' => $task->minutes, 'reason' => $task->reason->value],
            $plan->unplaced,
        );

        return json_encode(['format' => 'nekto-plan/1', 'blocks' => $blocks, 'unplaced' => $unplaced], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    private function rfc3339(int $minute): string
    {
        $offset = $this->zone->offsetAt($minute);

        return gmdate('Y-m-d\TH:i:s', 60 * ($minute + $offset))
            .sprintf('%s%02d:%02d', $offset < 0 ? '-' : '+', intdiv(abs($offset), 60), abs($offset) % 60);
    }
}
