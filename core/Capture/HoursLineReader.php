<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\InvalidHours;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Reads one line such as "3–6 april closed", "18 april 10:00–16:00 build-up" or "next week off": which days have which hours. */
final readonly class HoursLineReader
{
    /** Days that one line can change. */
    public const MOST_DAYS = 366;

    private const TO = '\s*(?:-|–|—|to|until|till|through)\s*';

    private const NUMBER = '(?:the\s+)?\d{1,2}(?:st|nd|rd|th)?';

    private const CLOSED = '(?<![\w-])(?:(?<off>(?:a\s+)?days?\s+off|off|free|holidays?|nowhere|all\s+closed|closed\s+everywhere)|closed|none|no\s+hours)(?![\w-])';

    private DayReader $days;

    public function __construct(LocalDay $today, private bool $monthFirst = false)
    {
        $this->days = new DayReader($today, $monthFirst);
    }

    /** What the line says, or why it says nothing. */
    public function read(string $text): HoursLine|UnclearHours
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', mb_scrub($text)));
        $span = $this->span($text);
        if ($span instanceof UnclearHours) {
            return $span;
        }
        [$first, $last, $rest] = $span;
        if ($last->number < $first->number) {
            return UnclearHours::BackToFront;
        }
        if ($last->number - $first->number >= self::MOST_DAYS) {
            return UnclearHours::TooLong;
        }
        $hours = '/(?<![\w:.])'.HoursReader::STRETCH.'(?:\s*(?:,|;|and)\s*'.HoursReader::STRETCH.')*(?![\w:])/iu';
        if (preg_match($hours, $rest, $found) === 1) {
            try {
                [$stretches, $next] = HoursReader::read($found[0]);
            } catch (InvalidHours) {
                return UnclearHours::BadHours;
            }

            return new HoursLine($first, $last, $stretches, $next, false, self::name($rest, $found[0]));
        }
        if (preg_match('/'.self::CLOSED.'/iu', $rest, $found) === 1) {
            return new HoursLine($first, $last, [], [], ($found['off'] ?? '') !== '', self::name($rest, $found[0]));
        }

        return UnclearHours::NoHours;
    }

    /** @return array{LocalDay, LocalDay, string}|UnclearHours first and last day, and what follows them */
    private function span(string $text): array|UnclearHours
    {
        $lead = '/^(?:from\s+|on\s+|between\s+)?';
        $end = '(?![\w:])[,:]?\s*(?<rest>.*)$/iuD';
        try {
            if (preg_match($lead.'(?<from>'.self::NUMBER.')'.self::TO.'(?<to>'.self::NUMBER.'\s+(?:of\s+)?(?<month>'.DayReader::MONTH.')(?:,?\s+(?<year>\d{4}))?)'.$end, $text, $part) === 1) {
                $last = $this->days->read($part['to']);
                $number = (int) preg_replace('/\D/', '', $part['from']);

                return [LocalDay::of($last->year(), $last->month(), $number), $last, $part['rest']];
            }
            if (preg_match($lead.'(?<month>'.DayReader::MONTH.')\s+(?<from>\d{1,2})(?:st|nd|rd|th)?'.self::TO.'(?<to>'.self::NUMBER.')(?!\s*'.DayReader::MONTH.')'.$end, $text, $part) === 1) {
                $first = $this->days->read("{$part['month']} {$part['from']}");

                return [$first, LocalDay::of($first->year(), $first->month(), (int) preg_replace('/\D/', '', $part['to'])), $part['rest']];
            }
            $day = '(?:'.DayReader::PHRASE.')';
            if (preg_match($lead.'(?<first>'.$day.')'.'(?:'.self::TO.'|\s+and\s+)'.'(?<last>'.$day.')'.$end, $text, $part) === 1) {
                $first = $this->days->read($part['first']);

                return [$first, (new DayReader($first, $this->monthFirst))->read($part['last'], last: true), $part['rest']];
            }
            if (preg_match($lead.'(?<day>'.$day.')'.$end, $text, $part) === 1) {
                $isPeriod = preg_match('/week|month|quarter|year/i', $part['day']) === 1 && preg_match('/^in\b/i', $part['day']) !== 1;

                return [$first = $this->days->read($part['day']), $isPeriod ? $this->days->read($part['day'], last: true) : $first, $part['rest']];
            }
        } catch (InvalidTime) {
            return UnclearHours::NoSuchDay;
        }

        return UnclearHours::NoDay;
    }

    private static function name(string $rest, string $taken): string
    {
        $name = trim((string) preg_replace('/\s+/u', ' ', str_replace($taken, ' ', $rest)), " \t,;:.–—-");

        return mb_substr((string) preg_replace('/^(?:is|for|it is|we are)\s+/iu', '', $name), 0, 80);
    }
}
