<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** Reads until when something is due, from when it may begin, and for which day or time it is set. */
final readonly class MomentReader
{
    private const TIME = ClockReader::TIME;

    private const AT = ClockReader::AFTER_AT;

    /** A day that follows one of these belongs to what is said, not to when it is done. */
    private const NOT_AFTER = '(?<!\bfor\s)(?<!\bof\s)(?<!\babout\s)(?<!\bthe\s)(?<!\bfrom\s)(?<!\bsince\s)(?<!\buntil\s)(?<!\btill\s)(?<!\bbefore\s)(?<!\bafter\s)(?<!\blast\s)(?<!\bevery\s)(?<!\beach\s)(?<!\band\s)(?<!\bor\s)(?<!\bto\s)(?<!\bby\s)(?<!\bthan\s)(?<!\bwith\s)(?<!\bat\s)(?<!\ba\s)(?<!\bbetween\s)(?<![\w’\'-])';

    private const PARTS = ['morning' => 720, 'afternoon' => 1080, 'evening' => 1320];

    public function __construct(private DayReader $days, private LocalDay $today, private int $minuteOfDay) {}

    public function readDue(Phrase $phrase): void
    {
        $lead = '(?<![\w-])(?<lead>due(?:\s+date)?(?:\s*:\s*|\s+)(?:by\s+|on\s+|at\s+)?|deadline(?:\s*:\s*|\s+)(?:is\s+|on\s+|by\s+)?|(?:no|not)\s+later\s+than\s+|at\s+the\s+latest\s+(?:on\s+|by\s+)?|by\s+|(?<!not\s)before\s+)';
        $day = '(?<day>'.DayReader::PHRASE.'|'.DayReader::MONTH.Phrase::END.')';
        $late = '(?:,?\s+at\s+the\s+latest)?';
        $read = $this->due(...);
        $phrase->look(Kind::Due, $lead.$day.'(?:,?\s+(?:at\s+)?(?<time>'.self::TIME.')|,?\s+at\s+(?<spoken>'.self::AT.')|\s+(?<part>morning|afternoon|evening))?'.$late.Phrase::STOP, $read);
        $phrase->look(Kind::Due, $lead.'(?:at\s+)?(?<time>'.self::TIME.')(?:,?\s+(?:on\s+)?(?<day>'.DayReader::PHRASE.'))?'.$late.Phrase::STOP, $read);
        $phrase->look(Kind::Due, '(?<![\w-])within\s+(?:the\s+next\s+)?(?<count>'.Numbers::COUNT.')\s+(?<unit>day|week|month)s?'.Phrase::STOP,
            fn (array $part): When => new When(DayReader::later($this->today, Numbers::count($part['count']), $part['unit'])));
        $phrase->look(Kind::Due, '(?<![\w-])within\s+(?:the\s+next\s+)?(?<count>'.Numbers::COUNT.')\s+hours?'.Phrase::STOP, function (array $part): When {
            $minute = $this->minuteOfDay + 60 * Numbers::count($part['count']);

            return new When($this->today->plusDays(intdiv($minute, 1440)), $minute % 1440);
        });
        $phrase->look(Kind::Due, '(?<![\w-])(?<day>'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.'|tomorrow|today)\s+at\s+the\s+latest'.Phrase::STOP, $read);
    }

    public function readStart(Phrase $phrase): void
    {
        $lead = '(?<![\w-])(?<lead>(?<!day\s)(?<!days\s)(?<!week\s)(?<!weeks\s)(?<!month\s)(?<!months\s)from\s+|starting(?:\s+(?:on|from|at))?\s+|starts\s+(?:on\s+)?|not\s+(?:before|until)\s+|(?:no|not)\s+(?:earlier|sooner)\s+than\s+|earliest\s+(?:on\s+)?|as\s+of\s+)';
        $day = '(?<day>'.DayReader::PHRASE.'|'.DayReader::MONTH.Phrase::END.')';
        $read = $this->start(...);
        // from monday to friday: from when, and by when
        $phrase->look(Kind::Start, $lead.$day.'(?=\s+(?:to|until|till|through)\s+(?:'.DayReader::PHRASE.')'.Phrase::STOP.')', $read);
        $phrase->look(Kind::Start, '(?<![\w-])between\s+(?<day>'.DayReader::PHRASE.')(?=\s+and\s+(?:'.DayReader::PHRASE.')'.Phrase::STOP.')', $read);
        if ($phrase->has(Kind::Start)) {
            $phrase->look(Kind::Due, '(?<='.Phrase::TAKEN.'\s)(?:to|until|till|through|and)\s+(?<day>'.DayReader::PHRASE.')'.Phrase::STOP, fn (array $part): When|Problem => $this->due(['lead' => 'by'] + $part));
        }
        $phrase->look(Kind::Start, $lead.$day.'(?:,?\s+(?:at\s+)?(?<time>'.self::TIME.')|,?\s+at\s+(?<spoken>'.self::AT.')|\s+(?<part>morning|afternoon|evening)|(?=\s+on(?:wards?)?\b))?(?:\s+on(?:wards?)?(?!\s+\w))?'.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])(?<day>'.DayReader::PHRASE.'),?\s+(?:after|not\s+before|from)\s+(?<spoken>'.ClockReader::AFTER_DAY.')(?!\s*(?:-|–|to|until|till)\s*\d)'.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])(?:not\s+before|not\s+until|(?:no|not)\s+earlier\s+than|from|after)\s+(?<spoken>'.self::AT.')(?:,?\s+(?:on\s+)?(?<day>'.DayReader::PHRASE.'))?(?:\s+onwards?)?(?!\s*(?:-|–|to|until)\s*\d)'.Phrase::STOP, $read);
        $phrase->look(Kind::Start, '(?<![\w-])(?<!day\s)(?<lead>after)\s+(?<day>'.DayReader::NEAR.'|'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.')'.Phrase::STOP, $read);
    }

    /** A set time, with its end (which tells how long it takes) or without; and the day something is picked for. */
    public function readPick(Phrase $phrase): void
    {
        $day = '(?<day>'.DayReader::PHRASE.')';
        $on = '(?:on\s+)?';
        $to = '\s*(?:-|–|—|to|until|till)\s*';
        $read = $this->moment(...);
        foreach ([
            '(?<![\w-])(?:'.$on.$day.',?\s+)?(?:from\s+|at\s+)?(?<time>'.self::TIME.')(?='.$to.'(?:'.self::TIME.')(?![\w:]))',
            '(?<![\w-])(?:'.$on.$day.',?\s+)?(?:from|between)\s+(?<spoken>'.self::AT.')(?='.$to.'(?:'.self::AT.')(?![\w:])|\s+and\s+(?:'.self::AT.'))',
        ] as $range) {
            $phrase->look(Kind::At, $range, $read);
            $this->readEnd($phrase);
        }
        $bare = '(?<day>'.DayReader::NEAR.'|'.DayReader::PHRASE.')';
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')'.$bare.',?\s+at\s+(?<spoken>'.self::AT.')'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<![\w-])at\s+'.$bare.',?\s+(?:at\s+)?(?<time>'.self::TIME.')'.Phrase::STOP, $read); // a slip for "on friday"
        $phrase->look(Kind::At, '(?<![\w-])at\s+(?<spoken>'.self::AT.')(?:,?\s+'.$on.$day.')?'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?:(?<![\w-])on\s+|'.self::NOT_AFTER.')'.$bare.',?\s+(?<time>'.self::TIME.')'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<![\w-])(?<time>'.self::TIME.')\s+(?:on\s+)?'.$day.Phrase::STOP, $read);
        $phrase->look(Kind::On, '(?<![\w-])on\s+'.$day.Phrase::STOP, $read);
        $phrase->look(Kind::On, '(?<![\w-])(?:for\s+)(?<day>today|tonight|tomorrow)'.Phrase::END.Phrase::STOP, $read);
        $phrase->look(Kind::On, '(?<![\w-])this(?=\s+(?:morning|afternoon|evening)'.Phrase::STOP.')', fn (): When => new When($this->today));
        $phrase->look(Kind::On, self::NOT_AFTER.'(?<day>'.DayReader::NEAR.')'.Phrase::STOP, $read);
        $phrase->look(Kind::On, self::NOT_AFTER.'(?:^|(?<!^))(?<day>(?:next|this|coming)\s+(?:'.DayReader::WEEKDAY.'|week|weekend|month)|'.DayReader::ON_WEEKDAY.'|'.DayReader::DATE.'|\d{1,2}[\/.]\d{1,2}[\/.]\d{4})(?:'.Phrase::END.'|(?=\s*:)|(?=\s+(?:morning|afternoon|evening)'.Phrase::END.'))'.Phrase::STOP, $read);
        $phrase->look(Kind::At, '(?<![\w:.-])(?<time>\d{1,2}:\d{2}(?:\s*[ap]\.?m\b)?|\d{1,2}\s*[ap]m)'.Phrase::END.Phrase::STOP, $read);
    }

    private function readEnd(Phrase $phrase): void
    {
        foreach ($phrase->parts() as $part) {
            if ($part->kind === Kind::At && $part->value instanceof When && $part->value->minuteOfDay !== null) {
                $from = $part->value->minuteOfDay;
                $phrase->look(Kind::Minutes, '(?:'.Phrase::TAKEN.'|'.Phrase::TAKEN.'\s|'.Phrase::TAKEN.'\s\s)\K(?:-|–|—|to|until|till|and)\s*(?<spoken>'.self::AT.')(?![\w:])', static function (array $part) use ($from): ?int {
                    $until = ClockReader::read($part['spoken']);
                    $minutes = $until - $from + ($until > $from ? 0 : ($until + 720 > $from && $until < 720 ? 720 : 1440));

                    return $until < 0 || $minutes < 1 || $minutes > 720 ? null : $minutes;
                });
            }
        }
    }

    /** @param  array<string, string>  $part */
    private function due(array $part): When|Problem
    {
        $lead = $part['lead'] ?? '';
        $before = str_starts_with($lead, 'before');
        $time = $this->time($part);
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

        return $this->fromNowOn(new When($day, $time));
    }

    /** @param  array<string, string>  $part */
    private function start(array $part): When|Problem
    {
        $time = isset($part['part']) ? ['morning' => null, 'afternoon' => 720, 'evening' => 1080][$part['part']] : $this->time($part);
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
    private function moment(array $part): When|Problem
    {
        $time = $this->time($part);
        if ($time === -1) {
            return Problem::NoSuchTime;
        }

        return isset($part['day']) ? $this->fromNowOn(new When($this->days->read($part['day']), $time)) : new When(null, $time);
    }

    /**
     * @param  array<string, string>  $part
     * @return int|null minutes since midnight; −1 if no clock shows that time; null without a time
     */
    private function time(array $part): ?int
    {
        $words = $part['time'] ?? $part['spoken'] ?? null;

        return $words !== null ? ClockReader::read($words) : (isset($part['part']) ? self::PARTS[$part['part']] : null);
    }

    private function fromNowOn(When $when): When|Problem
    {
        $day = $when->day ?? throw InvalidTime::notADate('');
        $passed = $day->number < $this->today->number || ($day->equals($this->today) && $when->minuteOfDay !== null && $when->minuteOfDay <= $this->minuteOfDay);

        return $passed ? Problem::BeforeNow : $when;
    }
}
