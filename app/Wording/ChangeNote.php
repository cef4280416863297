<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\PlanRevision;
use App\Models\User;
use Carbon\CarbonImmutable;

/** A revision's moves as sentences: what moved, from when to when, and why. */
final readonly class ChangeNote
{
    public function __construct(private User $user, private CarbonImmutable $now) {}

    /**
     * One sentence a move.
     *
     * @return list<array{title: string, from: string|null, to: string|null, why: string, sentence: string}>
     */
    public function lines(PlanRevision $revision): array
    {
        return array_map($this->line(...), $revision->moves);
    }

    /** The whole in one short sentence, for the toast. */
    public function summary(PlanRevision $revision): string
    {
        return trim(__("plan.said.{$revision->cause->value}").' '.$this->movesOnly($revision));
    }

    /** What moved: one move in full, several by their number, none not at all. */
    public function movesOnly(PlanRevision $revision): string
    {
        $lines = $this->lines($revision);

        return match (count($lines)) {
            0 => '',
            1 => $lines[0]['sentence'],
            default => trans_choice('plan.moves', count($lines)),
        };
    }

    /**
     * @param  array<string, mixed>  $move
     * @return array{title: string, from: string|null, to: string|null, why: string, sentence: string}
     */
    private function line(array $move): array
    {
        $from = isset($move['from']) ? Times::when($this->user, (int) $move['from'][0], $this->now) : null;
        $to = isset($move['to']) ? Times::when($this->user, (int) $move['to'][0], $this->now) : null;
        $why = __('plan.cause.'.$move['cause'].(isset($move['by']) || ! in_array($move['cause'], ['busy_took', 'task_took'], true) ? '' : '_unnamed'), [
            'by' => $move['by'] ?? '',
            'when' => isset($move['by_from']) ? Times::range($this->user, (int) $move['by_from'], (int) $move['by_to'], $this->now) : '',
        ]);
        $key = match (true) {
            $from === null => 'plan.move.placed',
            $to === null => 'plan.move.left_out',
            default => 'plan.move.moved',
        };

        return [
            'title' => (string) $move['title'],
            'from' => $from,
            'to' => $to,
            'why' => $why,
            'sentence' => __($key, ['title' => $move['title'], 'from' => $from ?? '', 'to' => $to ?? '', 'why' => $why]),
        ];
    }
}
