<?php

declare(strict_types=1);

namespace Tests\Core;

use Bench\Checker;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** A checker that finds nothing would be no checker: faults are planted one by one. */
final class CheckerTest extends TestCase
{
    private const PROBLEM = [
        'format' => 'nekto-problem/2', 'zone' => 'UTC', 'now' => '2026-03-02T08:00:00Z', 'horizonDays' => 5, 'step' => 5, 'freeze' => 60,
        'hours' => ['office' => ['mon' => [['09:00', '12:00'], ['13:00', '17:00']], 'tue' => [['09:00', '17:00']], 'wed' => [['08:00', '08:30']]]],
        'busy' => [['start' => '2026-03-02T11:00:00Z', 'end' => '2026-03-02T11:30:00Z', 'place' => 'Harrow Lane']], 'buffer' => ['before' => 0, 'after' => 5], 'travel' => 10,
        'limits' => ['dayMinutes' => 240, 'deepMinutes' => 90, 'hours' => ['office' => ['days' => ['2026-03-03' => 120]]]],
        'breaks' => ['after' => 90, 'minutes' => 10], 'batches' => ['minutes' => 30, 'small' => 15],
        'reserved' => [['name' => 'Focus', 'days' => ['mon'], 'from' => '15:00', 'to' => '16:00', 'for' => 'deep']],
        'habits' => [['id' => 'walk', 'minutes' => 30, 'times' => 1, 'hours' => 'office']],
        'tasks' => [
            ['id' => 'essay', 'minutes' => 90, 'hours' => 'office', 'demand' => 'deep', 'maxChunk' => 60],
            ['id' => 'print', 'minutes' => 30, 'hours' => 'office', 'after' => ['essay'], 'part' => 'afternoon', 'notBefore' => '2026-03-02T13:15:00Z'],
            ['id' => 'call', 'minutes' => 15, 'hours' => 'office', 'context' => 'calls'], ['id' => 'ask', 'minutes' => 15, 'hours' => 'office', 'waiting' => true],
        ],
        'anchored' => [['task' => 'call', 'start' => '2026-03-02T16:00:00Z', 'end' => '2026-03-02T16:15:00Z']], 'previous' => [],
    ];

    private const PLAN = [
        'blocks' => [
            ['essay', '02T09:00', '02T10:00'], ['essay', '02T10:20', '02T10:50'], ['print', '02T13:15', '02T13:45'], ['call', '02T16:00', '02T16:15'], ['walk#2026-03-02#1', '03T09:00', '03T09:30'],
        ],
        'unplaced' => [['task' => 'ask', 'minutes' => 15, 'reason' => 'waiting']],
    ];

    #[Test]
    public function a_good_plan_has_no_faults(): void
    {
        self::assertSame([], (new Checker(self::PROBLEM))->faults(self::plan([])));
    }

    /** @param  array<int, array{string, string, string}|null>  $changes  blocks by place; null takes one away */
    #[Test]
    #[DataProvider('planted')]
    public function each_planted_fault_is_found(array $changes, string $said): void
    {
        self::assertStringContainsString($said, implode("\n", (new Checker(self::PROBLEM))->faults(self::plan($changes))));
    }

    /** @return list<array{array<int, array{string, string, string}|null>, string}> */
    public static function planted(): array
    {
        return [
            [[2 => ['print', '02T10:30', '02T11:00']], 'overlaps another'],
            [[2 => ['print', '01T13:15', '01T13:45']], 'begins in the past'],
            [[2 => ['print', '07T13:15', '07T13:45']], 'ends after the horizon'],
            [[2 => ['print', '02T13:17', '02T13:47']], 'is off the grid'],
            [[2 => ['print', '02T12:15', '02T12:45']], 'lies outside its hours'],
            [[1 => ['essay', '02T10:25', '02T10:55']], 'lies in busy or reserved time'],
            [[2 => ['print', '02T15:15', '02T15:45']], 'is light and lies in deep time'],
            [[2 => ['print', '02T11:40', '02T12:10']], 'leaves its part of the day'],
            [[2 => ['print', '02T13:10', '02T13:40']], 'begins before its earliest start'],
            [[1 => ['essay', '02T14:00', '02T14:30']], 'print 2026-03-02T13:15Z to 2026-03-02T13:45Z begins before essay is finished'],
            [[1 => ['essay', '02T10:00', '02T10:30']], 'is too long with what touches it'],
            [[1 => ['essay', '02T10:20', '02T10:30']], 'is too short'],
            [[1 => null], 'essay lacks other minutes than it says'],
            [[3 => null], 'anchored block call 2026-03-02T16:00Z to 2026-03-02T16:15Z is missing'],
            [[1 => ['essay', '02T10:05', '02T10:45']], 'needs a break before it'],
            [[5 => ['ask', '03T10:00', '03T10:15']], 'waits for an answer'],
            [[5 => ['walk#2026-03-02#2', '03T10:00', '03T10:30']], 'walk is done 2 times on 2026-03-03'],
            [[5 => ['nobody', '03T10:00', '03T10:30']], 'belongs to no task'],
            [[0 => ['essay', '03T10:00', '03T11:00'], 1 => ['essay', '03T11:10', '03T12:10']], 'min are over deepMinutes'],
            [[5 => ['essay', '03T10:00', '03T11:00'], 6 => ['essay', '03T11:10', '03T11:50']], 'min are over hours office'],
            [[2 => ['print', '02T13:15', '02T13:45'], 5 => ['print', '02T14:00', '02T14:30']], 'print has more than its minutes'],
        ];
    }

    #[Test]
    public function what_is_new_where_the_plan_is_frozen_is_found(): void
    {
        $faults = (new Checker(['freeze' => 90] + self::PROBLEM))->faults(self::plan([]));

        self::assertSame(['essay 2026-03-02T09:00Z to 2026-03-02T10:00Z is new where the plan is frozen'], $faults);
    }

    #[Test]
    public function a_batch_of_what_does_not_belong_together_is_found(): void
    {
        $batch = ['context' => 'calls', 'start' => '2026-03-02T16:00:00Z', 'end' => '2026-03-02T16:20:00Z', 'tasks' => ['call', 'print']];
        $faults = implode("\n", (new Checker(self::PROBLEM))->faults(self::plan([]) + ['batches' => [$batch]]));

        foreach (['print does not belong into a batch calls', 'print does not lie where its batch does', 'batch calls is not as long as it says or may be'] as $said) {
            self::assertStringContainsString($said, $faults);
        }
    }

    /**
     * @param  array<int, array{string, string, string}|null>  $changes
     * @return array<string, mixed>
     */
    private static function plan(array $changes): array
    {
        $blocks = array_filter($changes + self::PLAN['blocks'], is_array(...));

        return ['blocks' => array_map(
            static fn (array $block): array => ['task' => $block[0], 'start' => "2026-03-{$block[1]}:00Z", 'end' => "2026-03-{$block[2]}:00Z"],
            array_values($blocks),
        )] + self::PLAN;
    }
}
