<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Recurrence\Instances;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Time\LocalDay;

/** The first day of a rule: how often it then comes, and until when, does not matter for that one. */
final class FirstDay
{
    private const DAY = 86_400;

    /** Days within which a rule that names a day at all names one: a leap day may be eight years away. */
    private const AHEAD = 366 * 9;

    /** The first from a day on; that day itself if the rule names no day, or none that comes. */
    public static function of(string $rule, LocalDay $from): LocalDay
    {
        try {
            $first = (new Instances(Rule::read((string) preg_replace('/(?:^|;)(?:INTERVAL|COUNT|UNTIL)=[^;]*/i', '', $rule)), self::DAY * $from->number, null))->first(self::DAY * ($from->number + self::AHEAD));
        } catch (RuleRefused) {
            return $from;
        }

        return $first === null ? $from : new LocalDay(intdiv($first, self::DAY));
    }
}
