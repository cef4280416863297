<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** core/bin/plan as others run it: a problem in, a plan out. */
final class PlanCommandTest extends TestCase
{
    private const PROBLEM = [
        'format' => 'nekto-problem/1', 'zone' => 'Europe/Lisbon', 'now' => '2026-03-27T08:10:00+00:00', 'horizonDays' => 4, 'step' => 5,
        'hours' => ['work' => ['mon' => [['09:00', '12:30']], 'fri' => [['09:00', '10:00']], 'exceptions' => ['2026-03-28' => [['10:00', '10:30']]]]],
        'busy' => [['start' => '2026-03-27T09:15:00+00:00', 'end' => '2026-03-27T09:30:00+00:00']],
        'buffer' => ['before' => 0, 'after' => 5], 'limits' => ['dayMinutes' => null, 'deepMinutes' => 240],
        'tasks' => [[
            'id' => '7', 'minutes' => 90, 'importance' => 3, 'hours' => 'work', 'notBefore' => null, 'due' => '2026-03-30T17:30:00+01:00',
            'hard' => false, 'minChunk' => 15, 'maxChunk' => 120, 'after' => [], 'demand' => 'deep',
        ]],
        'anchored' => [], 'previous' => [],
    ];

    #[Test]
    public function a_plan_is_written_with_local_offsets_across_the_clock_change(): void
    {
        [$status, $out] = self::run_(self::PROBLEM);
        /** @var array{blocks: list<array{task: string, start: string, end: string}>, unplaced: list<mixed>} $plan */
        $plan = json_decode($out, true);

        self::assertSame(0, $status);
        self::assertSame([
            '2026-03-27T09:00:00+00:00 2026-03-27T09:15:00+00:00',
            '2026-03-27T09:35:00+00:00 2026-03-27T10:00:00+00:00',
            '2026-03-28T10:00:00+00:00 2026-03-28T10:30:00+00:00',
            '2026-03-30T09:00:00+01:00 2026-03-30T09:20:00+01:00',
        ], array_map(static fn (array $block): string => "{$block['start']} {$block['end']}", $plan['blocks']));
        self::assertSame('7', $plan['blocks'][0]['task']);
        self::assertSame([], $plan['unplaced']);
    }

    /** @param  array<string, mixed>  $change */
    #[Test]
    #[DataProvider('unusable')]
    public function unusable_input_gets_one_line_and_status_2(array $change, string $said): void
    {
        [$status, $out, $error] = self::run_([...self::PROBLEM, ...$change]);

        self::assertSame([2, ''], [$status, $out]);
        self::assertSame("plan: {$said}\n", $error);
    }

    /** @return list<array{array<string, mixed>, string}> */
    public static function unusable(): array
    {
        $task = self::PROBLEM['tasks'][0];

        return [
            [['format' => 'nekto-problem/9'], 'problem.format: is neither "nekto-problem/1" nor "nekto-problem/2"'],
            [['zone' => 'Mars/Olympus'], 'problem.zone: Unknown time zone "Mars/Olympus".'],
            [['now' => '2026-02-30T08:00:00Z'], 'problem.now: "2026-02-30T08:00:00Z" is not an RFC 3339 time with offset on a whole minute'],
            [['step' => 7], 'step: must divide 60'],
            [['hours' => ['work' => ['mon' => [['12:00', '09:00']]]]], 'problem.hours.work: Hours must end after they start: 12:00 to 09:00.'],
            [['hours' => ['work' => ['moonday' => []]]], 'problem.hours.work: unknown key "moonday"'],
            [['busy' => [['start' => '2026-03-27T09:15:00Z', 'end' => '2026-03-27T09:15:00Z']]], 'problem.busy[0]: An interval must end after it starts: 29576715 to 29576715.'],
            [['tasks' => [[...$task, 'minutes' => 92]]], 'tasks[0].minutes: must be a positive multiple of step (at most 1000000), not 92'],
            [['tasks' => [[...$task, 'demand' => 'dull']]], 'problem.tasks[0].demand: must be "light" or "deep"'],
            [['tasks' => [[...$task, 'after' => ['7']]]], 'tasks: task "7" comes after itself'],
            [['tasks' => 'none'], 'problem.tasks: must be a list'],
        ];
    }

    #[Test]
    public function what_is_no_json_is_said(): void
    {
        self::assertSame([2, '', "plan: problem: is not JSON: Syntax error\n"], self::run_('{'));
    }

    #[Test]
    public function no_framework_is_loaded(): void
    {
        exec('php -r '.escapeshellarg('require "core/autoload.php"; (new Nekto\Core\Planning\Format\ProblemReader); echo implode("\n", get_included_files());'), $files);

        self::assertSame([], array_filter($files, static fn (string $file): bool => str_contains($file, '/vendor/')));
    }

    /**
     * @param  array<string, mixed>|string  $problem
     * @return array{int, string, string} status, standard output, standard error
     */
    private static function run_(array|string $problem): array
    {
        $process = proc_open(['php', dirname(__DIR__, 2).'/core/bin/plan'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], is_string($problem) ? $problem : json_encode($problem, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        [$out, $error] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), $out, $error];
    }
}
