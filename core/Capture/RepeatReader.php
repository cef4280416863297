<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Recurrence\MonthDay;
use Nekto\Core\Recurrence\Rule;

/** Reads how something comes back: "every weekday", "every month on the last friday", "3 days after done". */
final readonly class RepeatReader
{
    private const EVERY = '(?<![\w’\'-])(?:every|each)\s+';

    private const DAYS = DayReader::WEEKDAY.'s?(?:(?:\s*,\s*(?:and\s+)?|\s+and\s+|\s*[&\/]\s*|\s*[-–]\s*|\s+(?:to|through)\s+|\s+)'.DayReader::WEEKDAY.'s?(?![\w’\']))*';

    /** More than one day of the month: "the 1st and 15th". */
    private const NUMBERS = '(?<numbers>'.DayReader::NUMBER.'(?:(?:\s*,\s*(?:and\s+)?|\s+and\s+|\s*&\s*)(?:the\s+)?(?:'.DayReader::NUMBER.'|last\s+day))+)';

    private const PLACE = '(?<place>'.Numbers::ORDINAL.')(?:\s+(?<day>'.DayReader::WEEKDAY.'|(?:week|work|working\s+)day|day))?';

    public function __construct(private DayReader $days) {}

    public function read(Phrase $phrase): void
    {
        $done = '(?:complet(?:ion|ing)|finish(?:ing|ed)|doing\s+it|(?:(?:it(?:\s+is|[\'’]s)?|being)\s+)?(?:done|completed))';
        $phrase->look(Kind::Repeat, '(?<!\w)(?:(?:repeat|again|every)\s+(?=\w+\s+after)|(?:(?:repeat|again|every)\s+)?(?<count>'.Numbers::COUNT.')\s+)(?<unit>day|week|month|year)s?\s+after\s+'.$done.Phrase::STOP,
            static fn (array $part): ?Recurrence => ($count = Numbers::count($part['count'] ?? 'a')) > 0 ? Recurrence::afterDone($count, $part['unit']) : null);
        foreach ($this->patterns() as $pattern => $rule) {
            $phrase->look(Kind::Repeat, '(?:(?<![\w-])due\s+)?'.$pattern.Phrase::STOP, static fn (array $part): ?Recurrence => ($found = $rule($part)) === null ? null : Recurrence::byRule($found));
        }
    }

    /** After all else that may stand between: "every day at 9:00 until 30 april". */
    public function readUntil(Phrase $phrase): void
    {
        if ($phrase->has(Kind::Repeat)) {
            $phrase->look(Kind::Until, '(?<![\w-])(?:until|till)\s+(?<day>'.DayReader::PHRASE.'|'.DayReader::MONTH.Phrase::END.')'.Phrase::STOP, fn (array $part): When => new When($this->days->read($part['day'], last: true)));
            $phrase->look(Kind::Until, '(?<![\w-])(?:for\s+)?(?<times>\d{1,3}|two|three|four|five|six|seven|eight|nine|ten|twelve)\s+times'.Phrase::STOP, static fn (array $part): int => max(1, Numbers::count($part['times'])));
        }
    }

    /** @return array<string, \Closure(array<string, string>): ?string> */
    private function patterns(): array
    {
        $nth = '(?:(?<nth>other|second|2nd|third|3rd|fourth|4th|'.Numbers::COUNT.')\s+)?';
        $of = '(?:\s+(?:of\s+)?(?:the|every|each)\s+month)';

        $plural = '(?:mon|tues|wednes|thurs|fri|satur|sun)days';
        $plurals = $plural.'(?:(?:\s*,\s*(?:and\s+)?|\s+and\s+|\s*[&\/]\s*)'.$plural.')*';
        $short = '(?:mon|tue|wed|thu|fri|sat|sun|tues|thur|thurs|weds|'.DayReader::WEEKDAY.')';
        // also at the head of a line: "weekly: …", "quarterly: …"
        $when = '(?:'.Phrase::END.'|(?<=^.{5}|^.{6}|^.{7}|^.{8}|^.{9})(?=:\s)|(?=,?\s+(?:at\s|@|from\s|in\s+the\s|mornings?\b|afternoons?\b|evenings?\b|until\s|till\s|(?:'.ClockReader::TIME.')(?:'.Phrase::STOP.'|\s*[-–—]\s*\d))))';
        $date = '(?:the\s+)?(?<date>'.DayReader::DATE.')';

        return [
            // on the 1st and 15th of each month, every month on the 1st and 15th, every 1st and 15th
            '(?<!\w)(?:on\s+)?(?:the\s+)?'.self::NUMBERS.'\s+(?:of|in)\s+(?:every|each|the)\s+month' => self::monthDays(...),
            '(?:'.self::EVERY.'month|(?<!\w)monthly),?\s+on\s+(?:the\s+)?'.self::NUMBERS => self::monthDays(...),
            self::EVERY.self::NUMBERS => self::monthDays(...),
            // the first tuesday of every month
            '(?<!\w)(?:on\s+)?(?:the\s+)?'.self::PLACE.'\s+(?:of|in)\s+(?:every|each)\s+month' => self::monthly(...),
            // every 2 weeks on tuesday, every other week
            self::EVERY.$nth.'weeks?(?:,?\s+(?:on\s+)(?<days>'.self::DAYS.'))?' => self::weekly(...),
            // every month on day 15, as it is said back
            self::EVERY.$nth.'(?<unit>month)s?,?\s+on\s+day\s+(?<place>\d{1,2})(?![\w:])' => self::monthly(...),
            // every month on the last friday, every 3 months on the 15th
            self::EVERY.$nth.'(?<unit>month|quarter)s?(?:,?\s+on\s+(?:the\s+)?'.self::PLACE.')?' => self::monthly(...),
            // every first monday of the month
            self::EVERY.self::PLACE.$of => self::monthly(...),
            '(?<!\w)(?<unit>quarter)ly,?\s+on\s+(?:the\s+)?'.self::PLACE => self::monthly(...),
            '(?<!\w)monthly(?:,?\s+on\s+(?:the\s+)?'.self::PLACE.'|'.Phrase::END.')' => self::monthly(...),
            self::EVERY.'(?<place>first|last)\s+(?<day>'.DayReader::WEEKDAY.')' => self::monthly(...),
            // every year on 14 march, every 14 march
            self::EVERY.'(?:'.$nth.'years?(?:,?\s+on\s+)|(?=\d|'.DayReader::MONTH.'\s+\d))'.$date => $this->yearly(...),
            '(?<!\w)(?:yearly|annually)(?:,?\s+on\s+'.$date.'|'.Phrase::END.')' => $this->yearly(...),
            self::EVERY.'(?<place>\d{1,2}(?:st|nd|rd|th))(?!\s+(?:days?|weeks?|months?|years?|'.DayReader::WEEKDAY.')\b)' => self::monthly(...),
            self::EVERY.$nth.'years?' => $this->yearly(...),
            '(?:'.self::EVERY.'(?:(?:week|work)|working\s+)days?|(?<!\w)on\s+weekdays|(?<![\w’\'-])weekdays'.$when.')' => static fn (): string => 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
            '(?:'.self::EVERY.'weekends?|(?<!\w)on\s+weekends|(?<![\w’\'-])weekends'.$when.')' => static fn (): string => 'FREQ=WEEKLY;BYDAY=SA,SU',
            self::EVERY.$nth.'days?' => self::daily(...),
            '(?<![\w’\'-])(?:every|each)(?=\s+(?:morning|afternoon|evening|night)\b)' => self::daily(...),
            self::EVERY.$nth.'(?<days>'.self::DAYS.')' => self::weekly(...),
            '(?<!\w)(?<!\bthe\s)(?:(?<name>fortnightly|biweekly|(?:every|each)\s+fortnight)|weekly)(?:,?\s+on\s+(?<days>'.self::DAYS.')|'.$when.')' => self::weekly(...),
            '(?<!\w)on\s+(?<days>'.$plurals.')' => self::weekly(...),
            '(?<![\w’\'-])(?<days>'.$plurals.')'.$when => self::weekly(...),
            // mon/wed/fri 7am, tue & thu 18:00, mon-fri: a list of weekdays with a time, or the whole week of work
            '(?<![\w’\'-])(?<days>mon(?:day)?\s*[-–]\s*fri(?:day)?)(?:'.Phrase::END.'|'.$when.')' => self::weekly(...),
            '(?<![\w’\'-])(?<days>'.$short.'(?:\s*[\/&]\s*'.$short.')+)'.$when => self::weekly(...),
            '(?<![\w’\'-])(?<!on\s)(?<!next\s)(?<!this\s)(?<days>'.$short.'(?:(?:\s*,\s*(?:and\s+)?|\s+and\s+|\s+)'.$short.')+)(?=,?\s+(?:at\s|(?:'.ClockReader::TIME.')'.Phrase::STOP.'))' => self::weekly(...),
            '(?<![\w’\'-])(?<days>'.$short.'\s*[-–]\s*'.$short.')(?=,?\s+(?:at\s|(?:'.ClockReader::TIME.')'.Phrase::STOP.'))' => self::weekly(...),
            '(?<!\w)(?:(?<unit>daily|quarterly)|once\s+a\s+(?<times>day|week|month|year))(?:'.$when.'|(?=\s+by\s))' => self::simple(...),
        ];
    }

    /** @param  array<string, string>  $part */
    private static function simple(array $part): string
    {
        return match ($part['unit'] ?? $part['times'] ?? '') {
            'daily', 'day' => 'FREQ=DAILY',
            'quarterly' => 'FREQ=MONTHLY;INTERVAL=3',
            'month' => 'FREQ=MONTHLY',
            'year' => 'FREQ=YEARLY',
            default => 'FREQ=WEEKLY',
        };
    }

    /** @param  array<string, string>  $part */
    private static function daily(array $part): string
    {
        return self::rule('DAILY', $part);
    }

    /** @param  array<string, string>  $part */
    private static function weekly(array $part): string
    {
        return self::rule('WEEKLY', $part, isset($part['days']) ? 'BYDAY='.self::byDay($part['days']) : '', $part['name'] === '' ? 1 : 2);
    }

    /** @param  array<string, string>  $part */
    private static function rule(string $frequency, array $part, string $by = '', int $times = 1): string
    {
        $nth = $part['nth'] ?? '';
        $interval = $times * max(1, preg_match('/^(?:other|second|third|fourth|\d(?:nd|rd|th))$/', $nth) === 1 ? Numbers::ordinal($nth) : Numbers::count($nth));

        return "FREQ={$frequency}".($interval > 1 ? ";INTERVAL={$interval}" : '').($by === '' ? '' : ";{$by}");
    }

    /** @param  array<string, string>  $part */
    private static function monthly(array $part): ?string
    {
        $times = ($part['unit'] ?? '') === 'quarter' ? 3 : 1;
        if (! isset($part['place'])) {
            return self::rule('MONTHLY', $part, '', $times);
        }
        $place = Numbers::ordinal($part['place']);
        $day = (string) preg_replace('/\s+/', ' ', $part['day'] ?? '');
        if ($day === '' && in_array($part['place'], ['first', 'second', 'third', 'fourth', 'fifth', 'last'], true) && $place !== 1 && $place !== -1) {
            return null; // "the second" of what?
        }
        if ($day === '' || $day === 'day') {
            return $place > 31 || $place === 0 ? null : self::rule('MONTHLY', $part, MonthDay::rule($place), $times);
        }
        if (str_ends_with($day, 'day') && (str_starts_with($day, 'week') || str_starts_with($day, 'work'))) {
            return self::rule('MONTHLY', $part, "BYDAY=MO,TU,WE,TH,FR;BYSETPOS={$place}", $times);
        }

        return $place > 5 ? null : self::rule('MONTHLY', $part, 'BYDAY='.$place.self::byDay($day), $times);
    }

    /** @param  array<string, string>  $part */
    private static function monthDays(array $part): ?string
    {
        preg_match_all('/\d+|last/', $part['numbers'], $found);
        $days = array_values(array_unique(array_map(static fn (string $day): int => $day === 'last' ? 31 : (int) $day, $found[0])));
        sort($days);

        return $days[0] < 1 || end($days) > 31 ? null : 'FREQ=MONTHLY;'.MonthDay::rule(...$days);
    }

    /** @param  array<string, string>  $part */
    private function yearly(array $part): string
    {
        if (! isset($part['date'])) {
            return self::rule('YEARLY', $part);
        }
        $day = $this->days->read($part['date']);

        return self::rule('YEARLY', $part, "BYMONTH={$day->month()};".($day->month() === 2 ? MonthDay::rule($day->dayOfMonth()) : "BYMONTHDAY={$day->dayOfMonth()}"));
    }

    /** "MO,TH": each day once, in the order of the week; "mon-fri" with those between. */
    private static function byDay(string $words): string
    {
        preg_match_all('/(?<to>[-–]\s*|(?:to|through)\s+)?(?<day>'.DayReader::WEEKDAY.')/iu', $words, $found, PREG_SET_ORDER);
        $days = [];
        foreach ($found as $one) {
            $day = DayReader::weekdayNumber($one['day']);
            for ($between = $one['to'] === '' || $days === [] ? $day : end($days) % 7 + 1; $between !== $day; $between = $between % 7 + 1) {
                $days[] = $between;
            }
            $days[] = $day;
        }
        $days = array_values(array_unique($days));
        sort($days);

        return implode(',', array_map(Rule::weekday(...), $days));
    }
}
