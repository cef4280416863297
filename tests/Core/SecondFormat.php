<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generator;
use Eris\Generators;

/** Problems in the second format, as decoded JSON, drawn so that a failing one shrinks to few tasks and few rules. */
final class SecondFormat
{
    /** Weeks in which clocks change, one in which a year ends, and a plain one: moment of the start and zone. */
    private const WEEKS = [
        ['2026-03-11T09:52:00+00:00', 'Europe/Lisbon'], ['2026-03-27T08:10:00+00:00', 'Europe/Lisbon'], ['2026-10-23T22:31:00+01:00', 'Europe/Lisbon'],
        ['2026-03-06T23:40:00-05:00', 'America/New_York'], ['2026-04-03T12:05:00+11:00', 'Australia/Lord_Howe'], ['2026-12-30T18:00:00+05:45', 'Asia/Kathmandu'],
    ];

    private const DUE = [null, 0, 1, 2, 26, 49, 70, 95];

    private const CHUNKS = [[15, 120], [5, 30], [30, 60], [15, 90], [45, 180]];

    private const PARTS = [null, null, null, 'morning', 'afternoon', 'evening'];

    /** @return Generator<mixed> */
    public static function generator(): Generator
    {
        $task = Generators::tuple(
            Generators::choose(1, 40), // minutes by five
            Generators::choose(0, 47), // importance, demand, hours
            Generators::choose(0, count(self::DUE) - 1),
            Generators::choose(0, count(self::CHUNKS) - 1),
            Generators::choose(0, count(self::PARTS) - 1),
            Generators::choose(0, 9), // what it comes after
            Generators::choose(0, 11), // context, project
            Generators::choose(0, 14), // pick, key, waiting, earliest start
        );

        return Generators::tuple(
            Generators::bind(Generators::choose(0, 12), static fn (int $count): Generator => Generators::vector($count, $task)),
            Generators::choose(0, count(self::WEEKS) - 1),
            Generators::choose(0, 255), // rules that are on
            Generators::bind(Generators::choose(0, 5), static fn (int $count): Generator => Generators::vector($count, Generators::tuple(Generators::choose(0, 95), Generators::choose(1, 30)))), // meetings: hours from now, minutes by seven
        );
    }

    /**
     * @param  array{list<list<int>>, int, int, list<array{int, int}>}  $drawn
     * @return array<string, mixed>
     */
    public static function problem(array $drawn): array
    {
        [$tasks, $week, $rules, $meetings] = $drawn;
        [$now, $zone] = self::WEEKS[$week];
        $first = new \DateTimeImmutable($now);
        $date = static fn (int $days): string => $first->modify("+{$days} days")->format('Y-m-d');
        $problem = [
            'format' => 'nekto-problem/2', 'zone' => $zone, 'now' => $now, 'horizonDays' => 4, 'step' => $rules % 3 === 0 ? 15 : 5,
            'hours' => [
                'office' => array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], [['09:00', '12:30'], ['13:15', '17:30']]) + ['sat' => [['10:00', '14:00']], 'sun' => [['00:00', '04:00']], 'exceptions' => [$date(1) => [['08:07', '15:52']]]],
                'nights' => array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'], [['00:00', '02:30'], ['17:00', '24:00']]),
            ],
            'busy' => [], 'buffer' => ['before' => $rules & 1 ? 5 : 0, 'after' => $rules & 2 ? 10 : 0],
            'limits' => ['dayMinutes' => $rules & 4 ? 240 : null, 'deepMinutes' => $rules & 8 ? 90 : null],
            'tasks' => [], 'anchored' => [], 'previous' => [],
        ];
        foreach (array_slice($meetings, 0, 8) as $i => [$hours, $minutes]) {
            $start = $first->modify("+{$hours} hours");
            $problem['busy'][] = ['start' => $start->format(DATE_RFC3339), 'end' => $start->modify('+'.(7 * $minutes).' minutes')->format(DATE_RFC3339)] + ($i % 2 === 0 ? ['place' => 'Harrow Lane'] : []);
        }
        foreach (array_slice($tasks, 0, 12) as $i => $task) {
            $problem['tasks'][] = self::task($i, $task, $problem['step'], $first, $date);
        }

        return $problem + self::rules($rules, $date);
    }

    /**
     * @param  list<int>  $drawn
     * @param  \Closure(int): string  $date
     * @return array<string, mixed>
     */
    private static function task(int $i, array $drawn, int $step, \DateTimeImmutable $first, \Closure $date): array
    {
        [$minutes, $kind, $due, $chunks, $part, $after, $group, $extra] = $drawn;
        $hours = self::DUE[$due];

        return array_filter([
            'id' => "t{$i}",
            'minutes' => $step * $minutes,
            'importance' => 1 + $kind % 4,
            'demand' => $kind % 3 === 0 ? 'deep' : 'light',
            'hours' => $kind % 5 === 0 ? 'nights' : 'office',
            'due' => $hours === null ? null : ($hours < 3 ? $date($hours) : $first->modify("+{$hours} hours")->format(DATE_RFC3339)),
            'hard' => $kind > 36,
            'minChunk' => self::CHUNKS[$chunks][0],
            'maxChunk' => self::CHUNKS[$chunks][1],
            'part' => self::PARTS[$part],
            'after' => $after < 2 && $i > $after ? ['t'.($i - $after - 1)] : [],
            'context' => ['calls', 'papers', null, null][$group % 4],
            'project' => ['guide', 'tour', null][$group % 3],
            'pick' => $extra < 4 ? $date($extra) : null,
            'pickMinutes' => $extra === 1 || $extra === 3 ? 2 * $step * (1 + $kind % 6) : null,
            'key' => $extra < 2,
            'waiting' => $extra === 14,
            'notBefore' => $extra === 13 ? $date(1) : ($extra === 12 ? $first->modify('+19 hours')->format(DATE_RFC3339) : null),
        ], static fn (mixed $value): bool => $value !== null);
    }

    /**
     * @param  \Closure(int): string  $date
     * @return array<string, mixed>
     */
    private static function rules(int $rules, \Closure $date): array
    {
        return array_filter([
            'projects' => ['guide' => 'sequential', 'tour' => 'parallel'],
            'travel' => $rules & 2 ? 20 : null,
            'breaks' => $rules & 16 ? ['after' => 90, 'minutes' => 10] : null,
            'batches' => $rules & 32 ? ['minutes' => 45, 'small' => 20] : null,
            'bestHours' => $rules & 64 ? array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], [['09:00', '11:00']]) : null,
            'reserved' => $rules & 128 ? [
                ['name' => 'Mail', 'days' => ['mon', 'tue', 'wed', 'thu', 'fri'], 'from' => '16:10', 'to' => '16:40'],
                ['name' => 'Focus', 'days' => ['tue', 'thu', 'sat'], 'from' => '10:00', 'to' => '11:30', 'for' => 'deep'],
            ] : null,
            'habits' => $rules & 64 ? [
                ['id' => 'stretch', 'minutes' => 30, 'times' => 3, 'hours' => 'office', 'part' => 'morning'],
                ['id' => 'walk', 'minutes' => 60, 'times' => 5, 'hours' => 'nights', 'done' => [$date(0)]],
            ] : null,
        ], static fn (mixed $value): bool => $value !== null);
    }
}
