<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Occurrence;
use App\Models\PlanRevision;
use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Task\Importance;

/** A revision's moves as sentences: what moved, from when to when, and why. */
final readonly class ChangeNote
{
    /** What is told of a task with several moves comes first. */
    private const CAUSES = ['busy_took', 'hours_closed', 'ran_over', 'passed', 'waiting', 'picked', 'outside_part', 'task_took', 'predecessor_moved', 'no_place', 'earlier_free', 'rearranged', 'less_work', 'new_work'];

    /** So many late ones are named. */
    private const LATE = 3;

    public function __construct(private User $user, private CarbonImmutable $now) {}

    /**
     * One sentence a task: several blocks of one moved together.
     *
     * @return list<array{task: int, title: string, from: string|null, to: string|null, why: string, sentence: string}>
     */
    public function lines(PlanRevision $revision): array
    {
        $byTask = [];
        foreach ($revision->moves as $move) {
            $byTask[(int) $move['task']][] = $move;
        }

        return array_values(array_map($this->line(...), $byTask));
    }

    /**
     * What it made late, said before anything else, a sentence each.
     *
     * @return list<string> the heaviest first
     */
    public function late(PlanRevision $revision): array
    {
        $said = array_map(fn (array $one): string => __($one['end'] === null ? 'plan.late.no_place' : 'plan.late.ends', [
            'title' => $one['title'],
            'end' => $one['end'] === null ? '' : Times::when($this->user, $one['end'], $this->now),
            'due' => Times::due($this->user, $one['due'], $one['at'], $this->now),
            'weight' => Importance::from($one['importance'])->word().($one['hard'] ? ', hard' : ''),
        ]), array_slice($revision->late, 0, self::LATE));
        $more = count($revision->late) - count($said);

        return $more > 0 ? [...$said, trans_choice('plan.late.more', $more)] : $said;
    }

    /** Meetings that are no more in their calendar, in a sentence; empty where there are none. */
    public function went(PlanRevision $revision): string
    {
        $went = $revision->went;
        if ($went === null) {
            return '';
        }
        $more = $went['count'] - count($went['names']);

        return trans_choice('plan.went', $went['count'], ['names' => implode(', ', $went['names']).($more > 0 ? ' '.trans_choice('plan.went_more', $more) : ''), 'calendar' => $went['calendar']]);
    }

    /** Meetings that lie where the hand has put a block, in a sentence; empty where there are none. */
    public function liesOn(PlanRevision $revision): string
    {
        return $revision->liesOn === [] ? '' : __('plan.lies_on', ['meetings' => implode(', ', array_map(fn (Occurrence $one): string => $one->summary.' '.Times::range($this->user, $one->starts_at, $one->ends_at), $revision->liesOn))]);
    }

    /** The whole in a few short sentences, for the toast. */
    public function summary(PlanRevision $revision, ?string $instead = null): string
    {
        return implode(' ', array_filter([$this->went($revision), ...$this->late($revision), $instead ?? __("plan.said.{$revision->cause->value}"), $this->liesOn($revision), $this->movesOnly($revision)]));
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
     * @param  non-empty-list<array<string, mixed>>  $moves  of one task
     * @return array{task: int, title: string, from: string|null, to: string|null, why: string, sentence: string}
     */
    private function line(array $moves): array
    {
        [$were, $are] = [array_values(array_filter(array_column($moves, 'from'))), array_values(array_filter(array_column($moves, 'to')))];
        $starts = array_intersect(array_column($were, 0), array_column($are, 0)); // what begins where it began has not moved
        $elsewhere = static fn (array $times): array => array_values(array_filter($times, static fn (array $one): bool => ! in_array($one[0], $starts, true)));
        $resized = $starts !== [] && $elsewhere($were) === [] && $elsewhere($are) === [];
        $from = $this->times($elsewhere($were));
        $to = $resized ? $this->ranges($are) : $this->times($elsewhere($are));
        usort($moves, static fn (array $a, array $b): int => self::rank($a) <=> self::rank($b)); // what one block lost its place to is why the others moved
        $told = $moves[0];
        $why = $this->why($told);
        $key = match (true) {
            $resized => 'plan.move.resized',
            $starts !== [] && $from === null => 'plan.move.also',
            $starts !== [] && $to === null => 'plan.move.fewer',
            $from === null => 'plan.move.placed',
            $to === null && $told['cause'] === 'less_work' => 'plan.move.given_back',
            $to === null => 'plan.move.left_out',
            default => 'plan.move.moved',
        };

        return [
            'task' => (int) $told['task'],
            'title' => (string) $told['title'],
            'from' => $from,
            'to' => $to,
            'why' => $why,
            'sentence' => __($key, ['title' => $told['title'], 'from' => $from ?? '', 'to' => $to ?? '', 'why' => $why]),
        ];
    }

    /** @param  array<string, mixed>  $move */
    private static function rank(array $move): int
    {
        return (int) array_search($move['cause'], self::CAUSES, true);
    }

    /** @param  array<string, mixed>  $move */
    private function why(array $move): string
    {
        $unnamed = ! isset($move['by']) && in_array($move['cause'], ['busy_took', 'task_took'], true);

        $why = __('plan.cause.'.$move['cause'].($unnamed ? '_unnamed' : ''), [
            'by' => $move['by'] ?? '',
            'when' => isset($move['by_from']) ? Times::range($this->user, (int) $move['by_from'], (int) $move['by_to'], $this->now) : '',
        ]);

        return isset($move['for']) ? __('plan.makes_way', ['for' => $move['for'], 'why' => $why]) : $why;
    }

    /**
     * As "10:00" or "14:45, 16:10 and Thu 12, 09:00".
     *
     * @param  list<array{int, int}>  $intervals
     */
    private function times(array $intervals): ?string
    {
        return self::listed(array_map(fn (array $one): string => Times::when($this->user, $one[0], $this->now), $intervals));
    }

    /** @param  list<array{int, int}>  $intervals */
    private function ranges(array $intervals): ?string
    {
        return self::listed(array_map(fn (array $one): string => Times::range($this->user, $one[0], $one[1], $this->now), $intervals));
    }

    /** @param  list<string>  $words */
    private static function listed(array $words): ?string
    {
        $last = array_pop($words);

        return $words === [] ? $last : implode(', ', $words)." and {$last}";
    }
}
