<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Models\Repeat;
use App\Rows\RowMapper;
use Nekto\Core\Capture\DayReader;
use Nekto\Core\Capture\FirstDay;
use Nekto\Core\Recurrence\Instances;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Time\LocalDay;

/** The days on which something comes back. */
final class Calendar
{
    /** Days within which a rule that names a day at all names one: a leap day may be eight years away. */
    private const AHEAD = 366 * 40;

    /** Looked ahead for an open day; longer closures end the search. */
    private const SHIFT = 60;

    /** The first day of a rule from a day on; null if there is none any more. */
    public static function firstFrom(string $rule, LocalDay $begin, LocalDay $from): ?LocalDay
    {
        try {
            $begin = FirstDay::of($rule, $begin); // what begins a rule is its first instance
            $read = Rule::read($rule);
            foreach ((new Instances($read, 86_400 * $begin->number, $read->until))->between(86_400 * $from->number, 86_400 * ($from->number + self::AHEAD)) as $moment) {
                if ($moment >= 86_400 * $from->number) {
                    return new LocalDay(intdiv($moment, 86_400));
                }
            }
        } catch (RuleRefused) {
            return null;
        }

        return null;
    }

    /** The next day after another on which an occurrence belongs, by what is wanted for closed days. */
    public static function next(Repeat $repeat, LocalDay $after, LocalDay $today): ?LocalDay
    {
        $begin = LocalDay::fromString($repeat->begins_on);
        $from = new LocalDay(max($after->number + 1, $today->number));
        for ($i = 0; $i < self::SHIFT; $i++) {
            $day = self::firstFrom((string) $repeat->rule, $begin, $from);
            if ($day === null || $repeat->days_off === 'keep' || self::isOpen($repeat, $day)) {
                return $day;
            }
            if ($repeat->days_off === 'shift') {
                return self::openFrom($repeat, $day);
            }
            $from = $day->plusDays(1);
        }

        return null;
    }

    /** So long after it was done; an open day if that is wanted. */
    public static function afterDone(Repeat $repeat, LocalDay $done): LocalDay
    {
        $units = ['D' => 'day', 'W' => 'week', 'M' => 'month', 'Y' => 'year'];
        $day = preg_match('/^P(\d+)([DWMY])$/D', (string) $repeat->after_done, $part) === 1
            ? DayReader::later($done, (int) $part[1], $units[$part[2]])
            : LocalDay::fromString((new \DateTimeImmutable($done->asString()))->add(new \DateInterval((string) $repeat->after_done))->format('Y-m-d'));

        return $repeat->days_off === 'keep' ? $day : (self::openFrom($repeat, $day) ?? $day);
    }

    private static function openFrom(Repeat $repeat, LocalDay $day): ?LocalDay
    {
        for ($i = 0; $i < self::SHIFT; $i++) {
            if (self::isOpen($repeat, $day->plusDays($i))) {
                return $day->plusDays($i);
            }
        }

        return null;
    }

    private static function isOpen(Repeat $repeat, LocalDay $day): bool
    {
        $pattern = $repeat->pattern;
        $set = $repeat->user->hoursSets()->with('exceptions')->get()->keyBy('id');
        $area = $repeat->user->areas()->find($pattern['area_id'] ?? 0);
        $hours = $set[$pattern['hours_set_id'] ?? $area->hours_set_id ?? 0] ?? $set->first();

        return $hours === null || RowMapper::hours($hours)->on($day) !== [];
    }
}
