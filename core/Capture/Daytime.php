<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/**
 * The part of the day that a line speaks of, by which an hour without am or pm is read: "every morning at 6", "dinner
 * at 8". Where it says none, hours are the usual ones of a working day.
 */
final readonly class Daytime
{
    private const SAID = '/\b(?:every|each|in\s+the|this|(?:to|2)morrow|tmr?w?|today|yesterday|'.DayReader::WEEKDAY.'s?|weekday)\s+(?<part>morning|afternoon|evening|night)s?\b|\b(?<night>tonight|at\s+night)\b/iu';

    private const HINTED = [
        'morning' => '/\b(?:morning|breakfast|dawn|sunrise|wakes?|get\s+up)\b/iu',
        'afternoon' => '/\b(?:afternoon)\b/iu',
        'evening' => '/\b(?:evening|dinner|supper|party|concert|cinema|theatre|opera|bedtime)\b/iu',
    ];

    /** Hours that are worth showing with their other half: the rest is hardly ever meant. */
    private const EITHER = [6, 7, 8, 9];

    private function __construct(private string $part, private bool $said) {}

    public static function of(string $line): self
    {
        preg_match_all(self::SAID, $line, $found);
        $said = array_values(array_unique(array_filter([...array_map(strtolower(...), $found['part']), ...array_map(static fn (string $word): string => $word === '' ? '' : 'night', $found['night'])])));
        if (count($said) === 1) {
            return new self($said[0], true);
        }
        $hinted = $said === [] ? array_keys(array_filter(self::HINTED, static fn (string $pattern): bool => preg_match($pattern, $line) === 1)) : [];

        return count($hinted) === 1 ? new self($hinted[0], false) : new self('', false);
    }

    /** The hour of the day, 0 to 24, that is meant by one of a clock with twelve hours. */
    public function hour(int $hour): int
    {
        return match (true) {
            $hour < 1 || $hour > 12 => $hour,
            $this->part === 'morning' && $hour < 12 && ($this->said || $hour >= 5) => $hour,
            $this->part === 'afternoon' && $hour <= 7 => $hour + 12,
            in_array($this->part, ['evening', 'night'], true) && $hour >= ($this->said ? 4 : 5) && ($hour < 12 || $this->said) => $hour + 12,
            $this->part === 'night' && $hour < 4 => $hour,
            default => $hour <= 6 ? $hour + 12 : $hour,
        };
    }

    /** The same with minutes: "6:40" by itself is what the clock shows, as it is with two figures, "06:40". */
    public function hourOf(string $figures): int
    {
        $hour = (int) $figures;

        return strlen($figures) === 2 || ($this->part === '' && $hour > 5) ? $hour : $this->hour($hour);
    }

    /** True if the other half of the day may be meant as well. */
    public function isOpen(int $hour): bool
    {
        return ! $this->said && in_array($hour, self::EITHER, true);
    }
}
