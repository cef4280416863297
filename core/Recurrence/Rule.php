<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/** An RRULE as RFC 5545, section 3.3.10, has it. */
final readonly class Rule
{
    private const WEEKDAYS = ['MO' => 1, 'TU' => 2, 'WE' => 3, 'TH' => 4, 'FR' => 5, 'SA' => 6, 'SU' => 7];

    /** By part: smallest and largest value, and whether it may count from the end. */
    private const RANGES = [
        'BYSECOND' => [0, 60, false], 'BYMINUTE' => [0, 59, false], 'BYHOUR' => [0, 23, false], 'BYMONTHDAY' => [1, 31, true], 'BYYEARDAY' => [1, 366, true],
        'BYWEEKNO' => [1, 53, true], 'BYMONTH' => [1, 12, false], 'BYSETPOS' => [1, 366, true],
    ];

    /**
     * @param  int|null  $until  the last moment, inclusive, as $untilIsUtc says
     * @param  bool  $untilIsUtc  seconds since 1970 in UTC; else by the wall clock of the event
     * @param  list<int>  $bySecond
     * @param  list<int>  $byMinute
     * @param  list<int>  $byHour
     * @param  list<array{int, int}>  $byDay  which of them in the month or year (0: each; negative from the end), and the weekday, 1 Monday to 7 Sunday
     * @param  list<int>  $byMonthDay
     * @param  list<int>  $byYearDay
     * @param  list<int>  $byWeekNo
     * @param  list<int>  $byMonth
     * @param  list<int>  $bySetPos
     * @param  int  $weekStart  1 Monday to 7 Sunday
     */
    private function __construct(
        public Frequency $frequency,
        public int $interval,
        public ?int $count,
        public ?int $until,
        public bool $untilIsUtc,
        public array $bySecond,
        public array $byMinute,
        public array $byHour,
        public array $byDay,
        public array $byMonthDay,
        public array $byYearDay,
        public array $byWeekNo,
        public array $byMonth,
        public array $bySetPos,
        public int $weekStart,
    ) {}

    /**
     * In any case of letters and any order of parts; parts that the standard does not name are left aside.
     *
     * @throws RuleRefused if it is outside the grammar
     */
    public static function read(string $text): self
    {
        $parts = [];
        foreach (explode(';', strtoupper(trim($text))) as $part) {
            if (trim($part) !== '') {
                [$name, $value] = [...explode('=', $part, 2), ''];
                $parts[trim($name)] = trim($value);
            }
        }
        $frequency = Frequency::read($parts['FREQ'] ?? '') ?? throw new RuleRefused('its rule has no frequency');
        [$until, $isUtc] = isset($parts['UNTIL']) ? self::moment($parts['UNTIL']) : [null, false];
        $by = static fn (string $name): array => isset($parts[$name]) ? self::numbers($name, $parts[$name]) : [];
        $rule = new self(
            $frequency,
            isset($parts['INTERVAL']) ? self::positive('INTERVAL', $parts['INTERVAL']) : 1,
            isset($parts['COUNT']) ? self::positive('COUNT', $parts['COUNT']) : null,
            $until,
            $isUtc,
            $by('BYSECOND'), $by('BYMINUTE'), $by('BYHOUR'),
            isset($parts['BYDAY']) ? self::weekdays($parts['BYDAY']) : [],
            $by('BYMONTHDAY'), $by('BYYEARDAY'), $by('BYWEEKNO'), $by('BYMONTH'), $by('BYSETPOS'),
            isset($parts['WKST']) ? (self::WEEKDAYS[$parts['WKST']] ?? throw new RuleRefused("its rule begins weeks with “{$parts['WKST']}”")) : 1,
        );

        return $rule;
    }

    private static function positive(string $name, string $value): int
    {
        return preg_match('/^\+?0*[1-9]\d{0,8}$/D', $value) === 1 ? (int) ltrim($value, '+') : throw new RuleRefused("its rule has “{$value}” for {$name}");
    }

    /** @return list<int> each once */
    private static function numbers(string $name, string $value): array
    {
        [$least, $most, $fromEnd] = self::RANGES[$name];
        $numbers = [];
        foreach (explode(',', $value) as $one) {
            $number = preg_match('/^[+-]?\d{1,3}$/D', trim($one)) === 1 ? (int) trim($one) : null;
            if ($number === null || abs($number) < $least || abs($number) > $most || ($number < 0 && ! $fromEnd)) {
                throw new RuleRefused("its rule has “{$one}” for {$name}");
            }
            $numbers[$number] = $number;
        }

        return array_values($numbers);
    }

    /** @return list<array{int, int}> */
    private static function weekdays(string $value): array
    {
        $days = [];
        foreach (explode(',', $value) as $one) {
            if (preg_match('/^\s*([+-]?\d{1,2})?\s*(MO|TU|WE|TH|FR|SA|SU)\s*$/D', $one, $part) !== 1 || abs((int) $part[1]) > 53 || ($part[1] !== '' && (int) $part[1] === 0)) {
                throw new RuleRefused("its rule has “{$one}” for a weekday");
            }
            $days[$one] = [(int) $part[1], self::WEEKDAYS[$part[2]]];
        }

        return array_values($days);
    }

    /** A weekday, 1 Monday to 7 Sunday, as rules name it: "TH". */
    public static function weekday(int $number): string
    {
        return array_flip(self::WEEKDAYS)[$number];
    }

    /** @return array{int, bool} seconds, and whether they are UTC; a day stands for its last second */
    private static function moment(string $value): array
    {
        if (preg_match('/^(\d{4})(\d{2})(\d{2})(?:T(\d{2})(\d{2})(\d{2})(Z)?)?$/D', $value, $part) !== 1 || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            throw new RuleRefused("its rule ends at “{$value}”");
        }
        $isDay = ! isset($part[4]);

        return [(int) gmmktime($isDay ? 23 : (int) $part[4], $isDay ? 59 : (int) ($part[5] ?? 0), $isDay ? 59 : (int) ($part[6] ?? 0), (int) $part[2], (int) $part[3], (int) $part[1]), ! $isDay && isset($part[7])];
    }
}
