<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** Reads times of the wall clock. */
final class ClockReader
{
    /** Matches times that can be nothing else; no named groups. */
    public const TIME = 'noon|midday|midnight|\d{1,2}:\d{2}(?:\s*[ap]\.?m\b\.?)?|\d{1,2}\s*[ap]\.?m\b\.?|'.self::SPOKEN;

    /** Matches also what is a time only after a word such as "at": "at 3", "at two", "at 15h30". */
    public const AFTER_AT = self::TIME.'|\d{1,2}h(?:\d{2})?(?!\w)|\d{1,2}\.\d{2}(?!\w)|(?:[01]?\d|2[0-3]|'.self::HOURS.')(?=\s*(?:[,;!?)–—-]|\.(?!\d)|$|'.Phrase::TAKEN.')|,?\s+(?:on|to|until|till|and|sharp|today|tomorrow|next|'.DayReader::WEEKDAY.')\b)';

    /** Matches also what is a time after a day and such a word: "tomorrow after three about the lamps". */
    public const AFTER_DAY = self::TIME.'|(?:[01]?\d|2[0-3]|'.self::HOURS.')(?![\w:.,\/%-]|\s+(?:min|h|hours?|minutes?|days?|weeks?|months?|people|of)\b)';

    private const HOURS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';

    private const SPOKEN = '(?:(?:half|quarter|ten|twenty|five)\s+(?:past|to)\s+)(?:'.self::HOURS.'|noon|midnight)(?!\w)|(?:'.self::HOURS.'|\d{1,2})\s+o[\'’]?clock';

    private const MINUTES = ['half' => 30, 'quarter' => 15, 'five' => 5, 'ten' => 10, 'twenty' => 20];

    /** Minutes since midnight, 0 to 1440, or −1 if no clock shows that time. Without a sign of morning, one to six are afternoon. */
    public static function read(string $text): int
    {
        $text = (string) preg_replace('/\s+/u', ' ', strtolower(strtr(trim($text), ['’' => "'", '.m' => 'm'])));
        $named = ['noon' => 720, 'midday' => 720, 'midnight' => 1440];
        if (isset($named[$text])) {
            return $named[$text];
        }
        if (preg_match('/^(\w+) (past|to) (\w+)$/D', $text, $part) === 1) {
            $minutes = self::MINUTES[$part[1]] ?? 0;
            $hour = $named[$part[3]] ?? 60 * self::spoken(Numbers::count($part[3]));

            return ($hour + ($part[2] === 'past' ? $minutes : 1440 - $minutes)) % 1440;
        }
        if (preg_match("/^(\w+)(?: o'?clock)?$/D", $text, $part) === 1 && preg_match('/^\d{1,2}[ap]m|^\d+h/', $text) !== 1) {
            $hour = Numbers::count($part[1]);

            return $hour < 24 ? 60 * self::spoken($hour) : -1;
        }
        preg_match('/^(\d{1,2})(?:[:.h](\d{2})|h)?\s*([ap]m)?\.?$/D', $text, $part);
        $hour = (int) ($part[1] ?? 99);
        $minute = (int) ($part[2] ?? 0);
        if (isset($part[3])) {
            return $hour >= 1 && $hour <= 12 && $minute < 60 ? 60 * ($hour % 12 + ($part[3] === 'pm' ? 12 : 0)) + $minute : -1;
        }

        return $hour < 24 && $minute < 60 ? 60 * $hour + $minute : -1;
    }

    private static function spoken(int $hour): int
    {
        return $hour >= 1 && $hour <= 6 ? $hour + 12 : $hour;
    }
}
