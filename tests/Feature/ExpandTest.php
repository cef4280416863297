<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Tests\TestCase;

/** 427 events with the instances that RFC 5545 gives them (tests/calendars): each is read just so, without database or account. */
final class ExpandTest extends TestCase
{
    private const FOLDER = __DIR__.'/../calendars';

    /** @return array<string, array{string, array<string, mixed>}> */
    public static function cases(): array
    {
        $all = json_decode((string) file_get_contents(self::FOLDER.'/expected.json'), true, 64, JSON_THROW_ON_ERROR);
        $cases = [];
        foreach ($all['cases'] as $name => $case) {
            $cases["{$name}: {$case['shape']}"] = [$name, $case + ['from' => $all['from'], 'to' => $all['to'], 'zone' => $all['zone']]];
        }

        return $cases;
    }

    /** @param  array<string, mixed>  $case */
    #[Test]
    #[DataProvider('cases')]
    public function an_event_takes_place_when_the_standard_says(string $name, array $case): void
    {
        $files = array_map(static fn (string $file): string => self::FOLDER."/{$file}", $case['files'] ?? [$name]);
        Artisan::call('calendar:expand', ['files' => $files, '--from' => $case['from'], '--to' => $case['to'], '--zone' => $case['zone'], '--merge' => isset($case['files'])]);
        $answer = json_decode(trim(Artisan::output()), true, 64, JSON_THROW_ON_ERROR);

        if (isset($case['anything'])) {
            self::assertIsArray($answer);

            return;
        }
        $given = self::given($answer);
        $fits = array_map(static fn (mixed $accepted): bool => $accepted === 'refused' ? $given === 'refused' : $given !== 'refused' && self::same($accepted, $given), $case['accept'] ?? [$case['expect']]);
        self::assertContains(true, $fits, ($case['why'] ?? $case['rrule'] ?? '')."\n".json_encode($answer));
    }

    /**
     * @param  array<array-key, mixed>  $answer
     * @return array<string, array<string, bool>>|'refused' by UID: instances, and whether they are busy
     */
    private static function given(array $answer): array|string
    {
        $given = [];
        foreach (array_is_list($answer) ? $answer : [$answer] as $row) {
            if (isset($row['error'])) {
                return 'refused';
            }
            $up = (int) (ceil(strtotime($row['end']) / 60) * 60);
            $given[$row['uid']][gmdate('Y-m-d\TH:i\Z', (int) strtotime($row['start'])).' '.gmdate('Y-m-d\TH:i\Z', $up).' '.($row['allDay'] ? 'day' : 'time')] = $row['busy'];
        }

        return $given;
    }

    /**
     * @param  array<string, list<array{string, string, bool, 3?: bool}>>  $expected
     * @param  array<string, array<string, bool>>  $given
     */
    private static function same(array $expected, array $given): bool
    {
        foreach (array_keys($expected + $given) as $uid) {
            $wanted = [];
            foreach ($expected[$uid] ?? [] as $row) {
                $key = "{$row[0]} {$row[1]} ".($row[2] ? 'day' : 'time');
                $wanted[$key] = $row[3] ?? $given[$uid][$key] ?? true;
            }
            $is = $given[$uid] ?? [];
            ksort($wanted);
            ksort($is);
            if ($wanted !== $is) {
                return false;
            }
        }

        return true;
    }
}
