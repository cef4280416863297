<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Reads times of the wall clock. */
final class ClockReader
{
    private const HOURS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';

    private const HALF = '(?:\s*[ap]\.?m\b\.?)';

    /** "Noon Café" is a name. */
    private const NAMED = '(?!(?-i:Noon|Midday|Midnight)\s+(?-i:\p{Lu}))(?:noon|midday|midnight)';

    private const SPOKEN = '(?:half|quarter|ten|twenty|twenty-five|five|\d{1,2})\s+past\s+(?:'.self::HOURS.'|\d{1,2}|noon|midnight)(?:'.self::HALF.'|(?!\w|[:.]\w))'
        .'|(?:a\s+)?(?:quarter|ten|twenty|twenty-five|five)\s+to\s+(?:'.self::HOURS.'|\d{1,2}|noon|midnight)(?:'.self::HALF.'|(?!\w|[:.]\w))'
        .'|(?:'.self::HOURS.'|\d{1,2})\s+o[\'’]?clock';

    /** Matches times that can be nothing else; no named groups. */
    public const TIME = self::NAMED.'|\d{1,2}[:.]\d{2}'.self::HALF.'|\d{1,2}:\d{2}(?:\s?h(?!\w))?|\d{1,2}\.\d{2}\s?h(?!\w)|\d{1,2}'.self::HALF.'|(?:1[3-9]|2[0-3])h(?:[0-5]\d)?(?!\w)|'.self::SPOKEN;

    private const BARE = '(?:[01]?\d|2[0-3]|'.self::HOURS.')';

    /** What may follow a bare hour: what ends a clause, or goes on about when. */
    private const GOES_ON = '(?=\s*(?:[,;!?)–—-]|\.(?!\d)|$|'.Phrase::TAKEN.')|,?\s+(?:on|to|until|till|and|sharp|today|tonight|next|this|in\s+the|at|for|with|w\/|about|(?:every|each)\s+\w|'.DayReader::TOMORROW.'|'.DayReader::WEEKDAY.'|'.Verbs::PHRASE.')(?!\w))';

    /** Matches also what is a time only after a word such as "at": "at 3", "at two", "at half nine", "at 15h30". */
    public const AFTER_AT = '(?:'.self::TIME.'|\d{1,2}h(?:\d{2})?(?!\w)|\d{1,2}\.\d{2}(?!\w)|half\s+(?:'.self::HOURS.')(?!\w)|'.self::BARE.self::GOES_ON.')(?:\s+at\s+night\b|\s+sharp\b)?(?!\s+or\s+\d)';

    /** Matches also what is a time after a day and such a word: "tomorrow after three about the lamps". */
    public const AFTER_DAY = self::TIME.'|half\s+(?:'.self::HOURS.')(?!\w)|'.self::BARE.'(?![\w:.,\/%-]|\s+(?:min|h|hours?|minutes?|days?|weeks?|months?|people|of)\b)';

    private const MINUTES = ['half' => 30, 'quarter' => 15, 'five' => 5, 'ten' => 10, 'twenty' => 20, 'twenty-five' => 25];

    /**
     * Minutes since midnight, 0 to 1440, or −1 if no clock shows that time.
     *
     * @param  Daytime|null  $daytime  by which hours without am or pm are read; null: figures are what they say
     */
    public static function read(string $text, ?Daytime $daytime = null): int
    {
        $text = (string) preg_replace(['/\s+/u', '/ (?:at night|sharp)$/', '/^a /'], [' ', '', ''], strtolower(strtr(trim($text), ['’' => "'", '.m' => 'm'])));
        $named = ['noon' => 720, 'midday' => 720, 'midnight' => 1440];
        if (isset($named[$text])) {
            return $named[$text];
        }
        $spoken = $daytime ?? Daytime::of('');
        if (preg_match("/^([\w-]+) (past|to) (\w+?)(?: ?([ap])m\.?)?$/D", $text, $part) === 1) {
            $minutes = self::MINUTES[$part[1]] ?? (int) $part[1];
            $hour = $named[$part[3]] ?? self::onTheHour(Numbers::count($part[3]), $part[4] ?? '', $spoken);

            return $hour < 0 || $minutes > 59 ? -1 : ($hour + ($part[2] === 'past' ? $minutes : 1440 - $minutes)) % 1440;
        }
        if (preg_match('/^half (\w+)$/D', $text, $part) === 1) {
            return self::onTheHour(Numbers::count($part[1]), '', $spoken) % 1440 + 30;
        }
        if (preg_match("/^(\w+)(?: o'?clock)?$/D", $text, $part) === 1 && preg_match('/^\d{1,2}[ap]m|^\d+h/', $text) !== 1) {
            return self::onTheHour(Numbers::count($part[1]), '', $spoken);
        }
        preg_match('/^(\d{1,2})(?:[:.h](\d{2})(?: ?h)?|h)?\s*([ap]m)?\.?$/D', $text, $part);
        $minute = (int) ($part[2] ?? 0);
        if (isset($part[3])) {
            $hour = self::onTheHour((int) $part[1], $part[3][0], $spoken);

            return $hour < 0 || $minute > 59 ? -1 : $hour + $minute;
        }
        $figures = $part[1] ?? '99';
        $hour = $daytime === null || str_contains($text, 'h') ? (int) $figures : $daytime->hourOf($figures);

        return $hour < 24 && $minute < 60 ? 60 * $hour + $minute : ($hour === 24 && $minute === 0 && $figures !== '24' ? 1440 : -1);
    }

    /**
     * The time in words of a line written for the other half of the day, "at 19:00" for "at 7"; null where only one is meant.
     *
     * @param  int  $meant  minutes since midnight, as it was understood
     */
    public static function otherHalf(string $words, int $meant, Daytime $daytime): ?string
    {
        $open = '/(?<![\w:.\/-])(?:(?<whole>(?:a\s+)?(?:half|quarter|five|ten|twenty|twenty-five)\s+(?:past|to)\s+)(?<of>'.self::HOURS.'|\d{1,2})|(?<half>half\s+)(?<spoken>'.self::HOURS.')|(?<word>'.self::HOURS.')|(?<hour>\d)(?::(?<minute>\d{2}))?)(?![\w:.\/-]|\s*(?:[ap]\.?m|st|nd|rd|th|h)\b)/iu';
        if (preg_match($open, $words, $part, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        $hour = Numbers::count((string) ($part['of'][0] ?? $part['spoken'][0] ?? $part['word'][0] ?? $part['hour'][0]));
        $read = self::read((string) $part[0][0], $daytime);
        $other = ($read + 720) % 1440;
        if ($read < 0 || $other === $meant || ! $daytime->isOpen($hour) || ($hour === 9 && isset($part['minute'][0]))) {
            return null;
        }

        return substr($words, 0, (int) $part[0][1]).sprintf('%02d:%02d', intdiv($other, 60), $other % 60).substr($words, (int) $part[0][1] + strlen((string) $part[0][0]));
    }

    /** Minutes since midnight of a full hour; −1 if no clock shows it. */
    private static function onTheHour(int $hour, string $half, Daytime $daytime): int
    {
        if ($half !== '') {
            return $hour >= 1 && $hour <= 12 ? 60 * ($hour % 12 + ($half === 'p' ? 12 : 0)) : -1;
        }

        return $hour < 24 ? 60 * $daytime->hour($hour) : -1;
    }
}
