<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Reads until when something is due, from when it may begin, when it is asked about, and for which day or time it is set. */
final readonly class MomentReader
{
    private const TIME = ClockReader::TIME;

    private const AT = ClockReader::AFTER_AT;

    /** Leads to a time. */
    private const LEAD_AT = '(?:(?<![\w-])at\s+|(?<![^\s,;(])@\s*)';

    private const TO = '\s*(?:-|–|—|to|until|till)\s*';

    /** A day that follows one of these belongs to what is said, not to when it is done. */
    private const NOT_AFTER = '(?<!\bfor\s)(?<!\bof\s)(?<!\babout\s)(?<!\bthe\s)(?<!\bfrom\s)(?<!\bsince\s)(?<!\buntil\s)(?<!\btill\s)(?<!\bbefore\s)(?<!\bafter\s)(?<!\blast\s)(?<!\bevery\s)(?<!\beach\s)(?<!\band\s)(?<!\bor\s)(?<!\bto\s)(?<!\bby\s)(?<!\bthan\s)(?<!\bwith\s)(?<!\bat\s)(?<!\ba\s)(?<!\bbetween\s)(?<![\w’\'-])';

    /** What two hours beside it are surely the time of. */
    private const EVENTS = 'appointment|breakfast|call|class|coffee|concert|course|dinner|focus|gym|lunch|meet|meeting|meetup|party|rehearsal|seminar|session|shift|supper|swim|training|visit|walk|workshop|yoga';

    private const PARTS = ['morning' => 720, 'afternoon' => 1080, 'evening' => 1320];

    private const DAY = '(?<day>'.DayReader::PHRASE.')';

    /** A day that ends something, also by its month or number alone. */
    private const LAST_DAY = '(?<day>'.DayReader::PHRASE.'|'.DayReader::NUMBER.'|'.DayReader::MONTH.Phrase::END.')';

    public function __construct(private DayReader $days, private LocalDay $today, private int $minuteOfDay) {}

    /** When what is somebody else's turn is asked about, and what begins so long before a day. */
    public function readAsk(Phrase $phrase): void
    {
        $again = '(?:,?\s+(?:and\s+)?|(?<=^)|'.Phrase::TAKEN.'\s*)\K';
        $name = '(?<name>(?-i:\p{Lu}[\p{L}’\'-]*))';
        $waiting = self::name(...);
        $read = $this->day(...);
        $phrase->look(Kind::Waiting, $again.'ask\s+'.$name.'(?=(?:\s+again)?\s+(?:on\s+)?(?:'.DayReader::PHRASE.')'.Phrase::END.')', $waiting);
        $phrase->look(Kind::Waiting, '(?<!\w)(?:(?:i\s+am\s+|am\s+|is\s+)?waiting\s+(?:for|on)|wait\s+(?:for|on))\s+'.$name.'(?=\s+(?:until|till)\s+(?:'.DayReader::PHRASE.')'.Phrase::END.')', $waiting);
        $phrase->look(Kind::Ask, '(?:(?<=[,;–-]\s)|(?<=and\s)|(?<=^)|(?<='.Phrase::TAKEN.'\s))(?:(?:ask|check)(?:\s+again|\s+back)?|again|follow(?:\s+|-)up|chase)\s+(?:on\s+)?'.self::DAY.Phrase::END, $read);
        if ($phrase->has(Kind::Waiting)) {
            $phrase->look(Kind::Ask, '(?<='.Phrase::TAKEN.'\s)(?:until|till)\s+'.self::DAY.Phrase::END, $read);
        }
        $phrase->look(Kind::Ask, '(?<!\w)(?:ask|check)\s+again\s+(?:on\s+)?'.self::DAY.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])(?<count>'.Numbers::COUNT.')\s+(?<unit>day|week|month)s?\s+before\s+'.self::DAY.Phrase::STOP, function (array $part): When|Problem {
            return $this->fromNowOn(new When(DayReader::later($this->days->read($part['day']), -Numbers::count($part['count']), $part['unit'])));
        });
    }

    public function readDue(Phrase $phrase): void
    {
        $lead = '(?<![\w-])(?<lead>due(?:\s+date)?(?:\s*:\s*|\s+)(?:by\s+|on\s+|at\s+)?|deadline(?:\s*:\s*|\s+)(?:is\s+|on\s+|by\s+)?|(?:no|not)\s+later\s+than\s+|at\s+the\s+latest\s+(?:on\s+|by\s+)?|by\s+|(?<!not\s)before\s+)';
        $late = '(?:,?\s+at\s+the\s+latest)?';
        $close = '(?:(?:(?:the\s+)?(?:end|close)\s+of\s+(?:the\s+)?(?:day|business)|eod|cob)\s+(?:on\s+)?(?!the\b))?';
        $part = '(?:\s+(?<part>morning|afternoon|evening))';
        $read = $this->due(...);
        $phrase->look(Kind::Due, $lead.$close.self::LAST_DAY.'(?:,?\s+(?:at\s+|@\s*)?(?<time>'.self::TIME.')|,?\s+(?:at\s+|@\s*)(?<spoken>'.self::AT.')|'.$part.')?(?:\s+(?:eod|cob|eob|(?:end|close)\s+of\s+(?:day|business)))?'.$late.Phrase::STOP, $read);
        $phrase->look(Kind::Due, $lead.'(?:at\s+)?(?<time>'.self::TIME.')(?:,?\s+(?:on\s+)?'.self::DAY.')?'.$late.Phrase::STOP, $read);
        $phrase->look(Kind::Due, $lead.'(?:at\s+)?(?<spoken>'.ClockReader::AFTER_DAY.')(?:,?\s+(?:on\s+)?'.self::DAY.'(?:\s+(?:morning|afternoon|evening|night))?|\s+(?:this|in\s+the)\s+(?:morning|afternoon|evening))'.$late.Phrase::STOP, $read);
        if (! $phrase->mentions('\b(?:cut|reduce|shorten|raise|increase|multiply|divide|lower|grow|shrink|extend|lift|move|lengthen)\b')) {
            $phrase->look(Kind::Due, $lead.'(?<spoken>'.ClockReader::AFTER_DAY.')'.Phrase::END, $read);
        }
        $phrase->look(Kind::Due, '(?<![\w-])within\s+(?:the\s+next\s+)?(?<count>'.Numbers::COUNT.')\s+(?<unit>day|week|month)s?'.Phrase::STOP,
            fn (array $part): When => new When(DayReader::later($this->today, Numbers::count($part['count']), $part['unit'])));
        $phrase->look(Kind::Due, '(?<![\w-])within\s+(?:the\s+next\s+)?(?<count>'.Numbers::COUNT.')\s+hours?'.Phrase::STOP, fn (array $part): When => $this->fromNow(60 * Numbers::count($part['count'])));
        $phrase->look(Kind::Due, '(?<![\w-])(?<day>'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.'|'.DayReader::TOMORROW.'|today)\s+at\s+the\s+latest'.Phrase::STOP, $read);
    }

    public function readStart(Phrase $phrase): void
    {
        $lead = '(?<![\w-])(?<lead>(?<!day\s)(?<!days\s)(?<!week\s)(?<!weeks\s)(?<!month\s)(?<!months\s)from\s+|starting(?:\s+(?:on|from|at))?\s+|starts\s+(?:on\s+)?|not\s+(?:before|until)\s+|(?:no|not)\s+(?:earlier|sooner)\s+than\s+|earliest\s+(?:on\s+)?|as\s+of\s+|(?<=[,;(]\s|[,;(])(?:start|begin)\s+(?:on\s+|from\s+)?)';
        $day = '(?<day>'.DayReader::PHRASE.'|'.DayReader::MONTH.Phrase::END.')';
        $read = $this->start(...);
        // from monday to friday: from when, and by when
        $phrase->look(Kind::Start, $lead.$day.'(?=\s+(?:to|until|till|through)\s+(?:'.DayReader::PHRASE.')'.Phrase::STOP.')', $read);
        $phrase->look(Kind::Start, '(?<![\w-])between\s+'.self::DAY.'(?=\s+and\s+(?:'.DayReader::PHRASE.')'.Phrase::STOP.')', $read);
        if ($phrase->has(Kind::Start)) {
            $phrase->look(Kind::Due, '(?<='.Phrase::TAKEN.'\s)(?:to|until|till|through|and)\s+'.self::DAY.Phrase::STOP, fn (array $part, Daytime $daytime): When|Problem => $this->due(['lead' => 'by'] + $part, $daytime));
        }
        $phrase->look(Kind::Start, $lead.$day.'(?:,?\s+(?:at\s+)?(?<time>'.self::TIME.')|,?\s+at\s+(?<spoken>'.self::AT.')|\s+(?<part>morning|afternoon|evening)|(?=\s+on(?:wards?)?\b))?(?:\s+on(?:wards?)?(?!\s+\w))?'.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])'.self::DAY.',?\s+(?:after|not\s+before|from)\s+(?<spoken>'.ClockReader::AFTER_DAY.')(?!'.self::TO.'\d)'.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])(?:not\s+before|not\s+until|(?:no|not)\s+earlier\s+than|from|after)\s+(?<spoken>'.self::AT.')(?:,?\s+(?:on\s+)?'.self::DAY.')?(?:\s+onwards?)?(?!'.self::TO.'\d)'.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])(?<!day\s)(?<lead>after)\s+(?<day>'.DayReader::NEAR.'|'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.')'.Phrase::STOP, $read);
    }

    /** A set time, with its end (which tells how long it takes) or without; and the day something is picked for. */
    public function readPick(Phrase $phrase): void
    {
        $day = self::DAY;
        $on = '(?:on\s+)?';
        $about = '(?:(?:around|about|ca\.?)\s+)?';
        $read = $this->moment(...);
        $phrase->look(Kind::At, '(?<![\w-])in\s+(?:(?<half>half\s+an\s+hour)|(?<count>'.Numbers::COUNT.'|fifteen|twenty|thirty|forty|forty-five|ninety)\s+(?<unit>min(?:ute)?|hour)s?)(?:[\'’]s?\s+time)?'.Phrase::END, fn (array $part): When => $this->fromNow(
            isset($part['half']) ? 30 : ($part['unit'] === 'hour' ? 60 : 1) * DurationReader::count($part['count'])));
        $hour = '\d{1,2}(?:[:.]\d{2})?';
        foreach ([
            '(?<![\w:.\/-])(?:'.$on.$day.',?\s+)?(?:(?:from|at|@|between)\s*)?(?<time>'.self::TIME.')(?='.self::TO.'(?<end>'.self::TIME.'|'.$hour.')(?![\w:.\/-]))',
            '(?<![\w:.\/-])(?:'.$on.$day.',?\s+)?(?:(?:from|at|@|between)\s*)?(?<spoken>'.$hour.')(?='.self::TO.'(?<end>'.self::TIME.')(?![\w:.\/-]))',
            '(?<![\w:.\/-])(?:'.$on.$day.',?\s+)(?<spoken>'.$hour.')(?='.self::TO.'(?<end>'.$hour.')'.Phrase::END.')',
            '(?<![\w-])(?:'.$on.$day.',?\s+)?(?:from|between)\s+(?<spoken>'.self::AT.')(?='.self::TO.'(?<end>'.self::AT.')(?![\w:])|\s+and\s+(?:'.self::AT.'))',
        ] as $range) {
            $phrase->look(Kind::At, $range, $this->beginning(...));
            $this->readEnd($phrase);
        }
        if ($phrase->mentions('\b(?:'.self::EVENTS.')\b')) {
            $phrase->look(Kind::At, '(?<![\w:.\/-])(?<spoken>'.$hour.')(?='.self::TO.'(?<end>'.$hour.')(?:'.Phrase::END.'|\s+(?:on\s+)?(?:'.DayReader::PHRASE.')'.Phrase::STOP.'))', $this->beginning(...));
            $this->readEnd($phrase);
        }
        $bare = '(?<day>'.DayReader::NEAR.'|'.DayReader::PHRASE.')';
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')'.$bare.',?\s+(?:at\s+|@\s*)(?<spoken>'.self::AT.')'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<![\w-])at\s+'.$bare.',?\s+(?:at\s+)?(?<time>'.self::TIME.')'.Phrase::STOP, $read); // a slip for "on friday"
        $phrase->look(Kind::At, '(?<=morning\s|evening\s|afternoon\s|night\s|'.Phrase::TAKEN.'\s)at\s+(?<spoken>'.ClockReader::AFTER_DAY.')'.Phrase::STOP, $read);
        $phrase->look(Kind::At, self::LEAD_AT.$about.'(?<spoken>'.self::AT.')(?:,?\s+'.$on.$day.')?'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')'.$bare.',?\s+'.$about.'(?<time>'.self::TIME.')'.Phrase::STOP, $read);
        // 9.30 after a weekday, unless that is the date of one
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')'.$bare.',?\s+(?<time>(?<date>(?:[01]?\d|2[0-3])\.[0-5]\d))(?!\w)'.Phrase::STOP, fn (array $part, Daytime $daytime): When|Problem|null => $this->isDate($part['date'], $part['day']) ? null : $read($part, $daytime));
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')'.$bare.',?\s+(?<time>(?:[7-9]|1\d|2[0-3])h(?:[0-5]\d)?)'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')(?<day>'.DayReader::TOMORROW.'|'.DayReader::WEEKDAY.'),?\s+(?<spoken>1[0-2]|[1-9])(?:'.Phrase::END.'|(?=\s+(?:in\s+the\s+(?:morning|afternoon|evening)|at\s+night)\b))'.Phrase::STOP, fn (array $part, Daytime $daytime): When|Problem|null => $this->days->read($part['day'])->dayOfMonth() === (int) $part['spoken'] ? null : $read($part, $daytime));
        $phrase->look(Kind::At, '(?<![\w-])(?<!\bor\s)'.$about.'(?<time>'.self::TIME.')\s+(?:on\s+)?'.$day.Phrase::STOP, $read);
        $phrase->look(Kind::Part, '(?<![\w-])first\s+thing(?:\s+in\s+the\s+morning)?(?=\s+(?:on\s+)?(?:'.DayReader::PHRASE.')'.Phrase::STOP.')', static fn (): string => 'morning');
        $sometime = '(?:(?:later|some\s?time)\s+)?';
        $phrase->look(Kind::On, self::NOT_AFTER.$sometime.'(?<day>'.DayReader::NEAR.')'.Phrase::STOP, $read);
        $phrase->look(Kind::On, '(?<![\w-])'.$sometime.'on\s+(?<day>'.DayReader::PHRASE.'|'.DayReader::NUMBER.')'.Phrase::STOP, $read);
        $phrase->look(Kind::On, '(?<![\w-])(?:for\s+)(?<day>today|tonight|'.DayReader::TOMORROW.')'.Phrase::END.Phrase::STOP, $read);
        $phrase->look(Kind::On, '(?<![\w-])this(?=\s+(?:morning|afternoon|evening)'.Phrase::STOP.')', fn (): When => new When($this->today));
        $phrase->look(Kind::On, '(?<![\w-])(?:over|at|on|during)\s+(?<day>the\s+weekend)'.Phrase::STOP, $read);
        $phrase->look(Kind::On, '^(?<day>(?:next|this|coming)\s+(?:'.DayReader::WEEKDAY.'|week|weekend|month|quarter|year)|'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.')(?=,?\s+(?:(?:morning|afternoon|evening),?\s+)?(?:'.Verbs::PHRASE.'|(?:'.self::EVENTS.')\b))', $read);
        $phrase->look(Kind::On, self::NOT_AFTER.'(?<day>(?:next|this|coming)\s+(?:'.DayReader::WEEKDAY.'|week|weekend|month|quarter|year)|'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.'|'.DayReader::OF_PERIOD.'|\d{1,2}[\/.]\d{1,2}[\/.]\d{4})(?:'.Phrase::END.'|(?=\s*:)|(?=\s+(?:[-–—&]|and)\s+'.Phrase::TAKEN.')|(?=\s+(?:morning|afternoon|evening|night)'.Phrase::END.'))'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<![\w:.-])(?<!\bor\s)'.$about.'(?<time>(?:'.self::TIME.')(?:\s+sharp\b)?)'.Phrase::END.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<='.Phrase::TAKEN.'\s)(?<time>(?:[01]?\d|2[0-3])\.[0-5]\d)'.Phrase::END.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<='.Phrase::TAKEN.'\s)(?<time>\d{1,2}:\d{2}(?:\s*[ap]\.?m\b)?|\d{1,2}\s*[ap]m)(?=[,:]?\s+\p{L})'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '^(?<time>\d{1,2}:\d{2}(?:\s*[ap]\.?m\b)?|\d{1,2}\s*[ap]m)(?=[,:]?\s+\p{L})'.Phrase::STOP, $read);
    }

    private function readEnd(Phrase $phrase): void
    {
        foreach ($phrase->parts() as $part) {
            if ($part->kind === Kind::At && $part->value instanceof When && $part->value->minuteOfDay !== null) {
                $from = $part->value->minuteOfDay;
                $phrase->look(Kind::Minutes, '(?:'.Phrase::TAKEN.'|'.Phrase::TAKEN.'\s|'.Phrase::TAKEN.'\s\s)\K(?:-|–|—|to|until|till|and)\s*(?<spoken>'.self::AT.'|\d{1,2}(?:[:.]\d{2})?)(?![\w:])', static function (array $part) use ($from): ?int {
                    $until = ClockReader::read($part['spoken']);
                    $minutes = $until - $from + ($until > $from ? 0 : ($until + 720 > $from && $until < 720 ? 720 : 1440));

                    return $until < 0 || $minutes < 1 || $minutes > 720 ? null : $minutes;
                });
            }
        }
    }

    /**
     * Of a stretch of time: "2-4pm" begins in the half of the day that its end is in, unless it would begin after it.
     *
     * @param  array<string, string>  $part
     */
    private function beginning(array $part, ?Daytime $daytime): When|Problem
    {
        $from = $part['time'] ?? $part['spoken'] ?? '';
        $end = $part['end'] ?? '';
        if ($end !== '' && preg_match('/^\d{1,2}(?:[:.]\d{2})?$/D', $from) === 1 && preg_match('/([ap])\.?m\.?$/Di', $end, $half) === 1) {
            $minute = ClockReader::read("{$from}{$half[1]}m");
            $until = ClockReader::read($end);
            $part['time'] = $minute < 0 || $minute < $until ? "{$from}{$half[1]}m" : $from.(strtolower($half[1]) === 'p' ? 'am' : 'pm');
            if ($minute < 0) {
                $part['time'] = $from;
            }
        } elseif ($end !== '' && preg_match('/^(?:1[3-9]|2[0-3])/', $end) === 1 && preg_match('/^\d{1,2}$/D', $from) === 1) {
            $part['time'] = "{$from}:00"; // by the clock of 24 hours, as its end is
            $daytime = null;
        }
        unset($part['end']);

        return $this->moment($part, $daytime);
    }

    /** @param  array<string, string>  $part */
    private static function name(array $part): string
    {
        return $part['name'];
    }

    /** @param  array<string, string>  $part */
    private function day(array $part): When|Problem
    {
        return $this->fromNowOn(new When($this->days->read($part['day'])));
    }

    /** @param  array<string, string>  $part */
    private function due(array $part, Daytime $daytime): When|Problem
    {
        $lead = $part['lead'] ?? '';
        $before = str_starts_with($lead, 'before');
        $time = $this->time($part, $daytime);
        if ($time === -1) {
            return Problem::NoSuchTime;
        }
        if (! isset($part['day'])) {
            return new When($time !== null && $time > $this->minuteOfDay ? $this->today : $this->today->plusDays(1), $time);
        }
        $day = $this->days->read($part['day'], last: ! $before);
        if ($before && $time === null) {
            $day = $day->plusDays(-1);
        }

        return $this->fromNowOn(new When($day, $this->stillToCome($day, $time, $part)));
    }

    /** @param  array<string, string>  $part */
    private function start(array $part, Daytime $daytime): When|Problem
    {
        $time = isset($part['part']) ? ['morning' => null, 'afternoon' => 720, 'evening' => 1080][$part['part']] : $this->time($part, $daytime);
        if ($time === -1) {
            return Problem::NoSuchTime;
        }
        if (! isset($part['day'])) {
            return new When(null, $time);
        }
        $day = $this->days->read($part['day']);
        if (($part['lead'] ?? '') === 'after') {
            $day = $this->days->read($part['day'], last: true)->plusDays(1);
        }

        return $day->number < $this->today->number ? Problem::BeforeNow : new When($day, $time);
    }

    /** @param  array<string, string>  $part */
    private function moment(array $part, ?Daytime $daytime): When|Problem
    {
        $time = $this->time($part, $daytime);
        if ($time === -1) {
            return Problem::NoSuchTime;
        }
        if (! isset($part['day'])) {
            return new When(null, $time);
        }
        $day = $this->days->read($part['day']);

        return $this->fromNowOn(new When($day, $this->stillToCome($day, $time, $part)));
    }

    /**
     * Of today a time that has passed is one of the other half of the day, where it may be: "today at 9", said at ten.
     *
     * @param  array<string, string>  $part
     */
    private function stillToCome(LocalDay $day, ?int $time, array $part): ?int
    {
        $isOpen = preg_match('/^(?:[1-9]|1[01]|half \w+|[a-z]+)$/Di', $part['time'] ?? $part['spoken'] ?? '') === 1;

        return $time !== null && $isOpen && $day->equals($this->today) && $time <= $this->minuteOfDay && $time < 720 ? $time + 720 : $time;
    }

    /**
     * @param  array<string, string>  $part
     * @return int|null minutes since midnight; −1 if no clock shows that time; null without a time
     */
    private function time(array $part, ?Daytime $daytime): ?int
    {
        $words = $part['time'] ?? $part['spoken'] ?? null;

        return $words !== null ? ClockReader::read($words, $daytime) : (isset($part['part']) ? self::PARTS[$part['part']] : null);
    }

    /** True if figures such as "13.03" are the date of the day beside them. */
    private function isDate(string $figures, string $day): bool
    {
        try {
            return $this->days->read($figures)->equals($this->days->read($day)) || $this->days->read($figures)->weekday() === $this->days->read($day)->weekday();
        } catch (InvalidTime) {
            return false;
        }
    }

    private function fromNow(int $minutes): When
    {
        $minute = $this->minuteOfDay + $minutes;

        return new When($this->today->plusDays(intdiv($minute, 1440)), $minute % 1440);
    }

    private function fromNowOn(When $when): When|Problem
    {
        $day = $when->day ?? throw InvalidTime::notADate('');
        $passed = $day->number < $this->today->number || ($day->equals($this->today) && $when->minuteOfDay !== null && $when->minuteOfDay <= $this->minuteOfDay);

        return $passed ? Problem::BeforeNow : $when;
    }
}
