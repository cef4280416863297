<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Recurrence\Frequency;
use Nekto\Core\Recurrence\Rule;
use Nekto\Core\Recurrence\RuleRefused;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/** Time that is reserved every week, as a line says it: "mail 30 min at 9:00 on weekdays", "every friday 15:00 review, 1 h". */
final readonly class RoutineLine
{
    /** Minutes of one that says none. */
    private const USUAL = 30;

    /** @param  list<string>  $days  "mon" to "sun", in their order */
    private function __construct(public string $title, public int $minute, public int $minutes, public array $days, public bool $deep, public ?LocalDay $until) {}

    /** Null where the line says no time, or days that are not the same every week. */
    public static function of(Line $line): ?self
    {
        $rule = self::weekly($line->repeat()?->rule);
        $minute = $line->at()?->minuteOfDay;
        $title = $line->title;
        if ($minute === null) {
            [$title, $minute] = LooseTime::apart($title);
        }
        if ($rule === null || $minute === null || $minute >= 1440 || $title === '') {
            return null;
        }
        $days = array_map(static fn (array $day): string => WeeklyHours::WEEKDAYS[$day[1] - 1], $rule->byDay);
        $days = $days === [] ? WeeklyHours::WEEKDAYS : array_values(array_intersect(WeeklyHours::WEEKDAYS, $days));

        return new self($title, $minute, $line->minutes() ?? self::USUAL, $days, $line->demand() === Demand::Deep, $rule->until === null ? null : new LocalDay(intdiv($rule->until, 86_400)));
    }

    /** Null where it is not the same every week. */
    private static function weekly(?string $text): ?Rule
    {
        try {
            $rule = Rule::read((string) $text);
        } catch (RuleRefused) {
            return null;
        }
        $isWeekly = $rule->frequency === Frequency::Daily || ($rule->frequency === Frequency::Weekly && $rule->byDay !== []);
        $isNarrowed = $rule->count !== null || [...$rule->byMonthDay, ...$rule->byMonth, ...$rule->bySetPos, ...array_filter(array_column($rule->byDay, 0))] !== [];

        return $isWeekly && $rule->interval === 1 && ! $isNarrowed ? $rule : null;
    }
}
