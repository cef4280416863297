<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Finds a duration such as "90 min", "1h30", "two hours" or "half an hour" in a text. */
final class DurationReader
{
    /** A task longer than 100 hours is a project, or a slip of the finger. */
    public const MOST_MINUTES = 6000;

    private const WORDS = ['a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5,
        'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'fifteen' => 15, 'twenty' => 20, 'thirty' => 30,
        'forty-five' => 45, 'forty' => 40, 'fifty' => 50, 'ninety' => 90];

    /** Takes the first duration of a line. */
    public static function readFrom(Phrase $phrase): void
    {
        foreach (self::patterns() as $name => $pattern) {
            $phrase->look(Kind::Minutes, $pattern, static fn (array $part): int|Problem => self::minutes($name, $part));
        }
    }

    /** @param  array<string, string>  $part */
    private static function minutes(string $name, array $part): int|Problem
    {
        $minutes = self::amount($name, $part);

        return match (true) {
            ($part['sign'] ?? '') !== '' || $minutes < 1 => Problem::NotPositive,
            $minutes > self::MOST_MINUTES => Problem::TooLong,
            default => (int) round($minutes),
        };
    }

    /** @return array{string, int|null} a text without its duration, and that in minutes */
    public static function apart(string $text): array
    {
        $phrase = new Phrase($text, []);
        self::readFrom($phrase);
        foreach ($phrase->parts() as $part) {
            if (is_int($part->value)) {
                $rest = trim((string) preg_replace('/\s+/u', ' ', mb_substr($text, 0, $part->start).mb_substr($text, $part->start + $part->length)), ' ,;');

                return $rest === '' ? [$text, null] : [$rest, $part->value];
            }
        }

        return [$text, null];
    }

    /** Minutes of a text that is a duration and nothing else, where a bare number means minutes; or what is wrong with it. */
    public static function read(string $text): int|Problem
    {
        $text = trim($text);
        if (preg_match('/^[-−]?\d+$/Du', $text) === 1) {
            $text .= ' min';
        }
        $phrase = new Phrase($text, []);
        self::readFrom($phrase);
        $found = $phrase->parts()[0] ?? null;
        if ($found === null || $found->length !== mb_strlen($text)) {
            return Problem::NoDuration;
        }

        return $found->problem ?? (is_int($found->value) ? $found->value : Problem::NoDuration);
    }

    /** @return array<string, string> */
    private static function patterns(): array
    {
        $not = '(?<!\bin\s)(?<!\bevery\s)(?<!\bafter\s)(?<!\bwithin\s)(?<!\bevery\sother\s)(?<!\bat\s)(?<!@\s)(?<!@)';
        // "the 5 minute intro" speaks of what is done
        $noun = '(?<!\bthe\s)(?<!\ba\s)(?<!\ban\s)(?<!\bthis\s)(?<!\bthat\s)(?<!\bour\s)(?<!\bmy\s)(?<!\byour\s)(?<!\bhis\s)(?<!\bher\s)(?<!\btheir\s)(?<!\bnew\s)';
        $for = '(?<first>^)?(?:(?:takes\s+)?(?:for\s+)?(?:about\s+|around\s+|roughly\s+|max(?:imum)?\.?\s+|at\s+most\s+|~\s?|ca\.?\s+)?)';
        $words = implode('|', array_keys(self::WORDS));
        $range = '(?:(?:\d+|'.$words.')\s*(?:-|–|to|or)\s*)?'; // of two the longer
        $lead = $not.$noun.'(?<![\w.,\/:])'.$for.$range.'(?<sign>[-−](?=\d))?';
        $more = '(?:\s+(?:or\s+so|max(?:imum)?|tops|at\s+most)\b\.?)?(?(first)(?:\s+of(?=\s+\S))?)'; // "half an hour of filing"
        $stop = '(?![\w-])(?!\s+(?:after|before|later|ago|per|a\s+(?:day|week|month)|more|late|early|earlier|ahead|worth|old|away|to\s+(?:the|my|our|it|this)|into)\b)'.$more;
        // "24 hour plan": in the singular it tells what kind of thing follows, unless the line goes on about when
        $one = '(?:(?<=1\shour)|(?<=1hour)|(?<!hour)(?<!minute)|(?!\s+\p{L})|(?=\s+(?:by|on|at|for|from|due|and|in|every|each|today|tonight|or|not|before|after|this|next|'.DayReader::TOMORROW.'|'.DayReader::WEEKDAY.')\b))';
        $clock = '(?!(?<!for\s)(?:(?:1[3-9]|2[0-3])(?:\.\d{2})?|1[0-2]\.\d{2})h)'; // 17h is a time
        $end = '(?=\s*(?:[,;.!?)\]–—-]|$|'.Phrase::TAKEN.')|\s+(?:by|on|at|due|and|every|each|today|tonight|next|'.DayReader::TOMORROW.'|'.DayReader::WEEKDAY.')\b)';

        return [
            'halves' => $not.'(?<!\w)'.$for.'(?<word>'.$words.'|\d+)\s+(?:and\s+a\s+half\s+hours?|hours?\s+and\s+a\s+half)'.$stop,
            'fraction' => $not.$noun.'(?<![\w.,\/:])'.$for.'(?:(?<word>\d{1,2})(?:\s+|(?=½)))?(?:1\/2|½)\s?h(?:(?:ou)?rs?)?'.$stop,
            'hours' => $lead.$clock.'(?<hours>\d+(?:[.,]\d+)?)\s?h(?:(?:ou)?rs?)?(?:\s?(?:and\s+)?(?<minutes>[0-5]?\d)(?:\s?m(?:in(?:ute)?s?)?)?(?![\w:]))?(?![\w:])'.$one.$stop,
            'minutes' => $lead.'(?<minutes>\d+)(?:\s?min(?:ute)?s?\.?|-min(?:ute)?s?(?!\s+\p{L}))(?!\w)'.$one.$stop,
            // a bare m, or the sign for minutes, may be a measure
            'short' => $lead.'(?<minutes>\d+)(?:m|′|\')(?!\w)(?:(?<=for\s\dm|for\s\d\dm|for\s\d\d\dm)|'.$end.'|(?=\s+'.Verbs::PHRASE.'))'.$stop,
            'half' => $not.'(?<!\w)'.$for.'half\s+(?:an\s+)?hour'.$stop,
            'quarter' => $not.'(?<!\w)'.$for.'(?<word>a|three)\s+quarters?\s+(?:of\s+)?an\s+hour'.$stop,
            'both' => $not.'(?<!\w)'.$for.'(?<word>'.$words.')\s+hours?\s+(?:and\s+)?(?<minutes>\d+|'.$words.'|fifteen|twenty|thirty|forty)\s+min(?:ute)?s?'.$stop,
            'words' => $not.$noun.'(?<!\bhalf\s)(?<!\w)'.$for.'(?<word>'.$words.')\s+hours?'.$one.$stop,
            'couple' => $not.'(?<!\w)'.$for.'(?:a\s+)?couple\s+of\s+hours'.$stop,
            'few' => $not.$noun.'(?<!\w)'.$for.$range.'(?<word>'.$words.'|fifteen|twenty|thirty|forty|forty-five|fifty|ninety)\s+min(?:ute)?s?'.$one.$stop,
        ];
    }

    /** @param  array<array-key, string>  $part */
    private static function amount(string $name, array $part): float
    {
        $word = strtolower($part['word'] ?? '');

        return match ($name) {
            'hours' => 60 * (float) strtr($part['hours'] ?? '', ',', '.') + (float) ($part['minutes'] ?? 0),
            'minutes', 'short' => (float) ($part['minutes'] ?? 0),
            'fraction' => 60.0 * self::count($word) + 30,
            'couple' => 120.0,
            'half' => 30.0,
            'quarter' => $word === 'three' ? 45.0 : 15.0,
            'halves' => 60.0 * self::count($word) + 30,
            'both' => 60.0 * self::count($word) + self::count(strtolower($part['minutes'] ?? '')),
            'few' => (float) self::count($word),
            default => 60.0 * self::count($word),
        };
    }

    /** Of "two", "fifteen" or "20". */
    public static function count(string $word): int
    {
        return self::WORDS[strtolower($word)] ?? Numbers::count($word);
    }
}
