<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Importance;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/**
 * Understands a typed line such as "Draft the wall text for 90 min by friday": how long, by when, of what importance.
 * It never fails: what it does not understand stays in the title.
 */
final readonly class LineParser
{
    /** Longer lines are cut here before they are looked at; a title has 200 characters. */
    private const MOST_CHARACTERS = 2000;

    private const TIME = 'noon|midday|midnight|\d{1,2}:\d{2}(?:\s*[ap]m)?|\d{1,2}\s*[ap]m';

    private DayReader $days;

    /** @param  int  $minuteOfDay  the present wall-clock time */
    public function __construct(private LocalDay $today, private int $minuteOfDay)
    {
        $this->days = new DayReader($today);
    }

    /** @param  list<Kind>  $refused  kinds the person wants left as plain words */
    public function parse(string $text, array $refused = []): Line
    {
        $text = mb_substr(trim((string) preg_replace('/[\p{C}\s]+/u', ' ', mb_scrub($text))), 0, self::MOST_CHARACTERS);
        $parts = [];
        foreach ([Kind::Due, Kind::Minutes, Kind::Importance] as $kind) {
            $part = in_array($kind, $refused, true) ? null : match ($kind) {
                Kind::Due => $this->due($text),
                Kind::Minutes => DurationReader::find($text),
                Kind::Importance => self::importance($text),
            };
            if ($part !== null && ! self::meetsAny($part, $parts)) {
                $parts[] = $part;
            }
        }
        usort($parts, static fn (Understood $a, Understood $b): int => $a->start <=> $b->start);

        return new Line($text, self::title($text, $parts), $parts);
    }

    private function due(string $text): ?Understood
    {
        $pattern = '/(?<![\w-])(?:due\s+(?:by\s+|on\s+)?|by\s+)(?<day>'.DayReader::PHRASE.')(?:,?\s+(?:at\s+)?(?<time>'.self::TIME.'))?(?![\w-])/iu';
        if (preg_match($pattern, $text, $match, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        [$start, $length] = self::place($text, $match[0]);
        try {
            $day = $this->days->read($match['day'][0]);
        } catch (InvalidTime) {
            return new Understood(Kind::Due, $start, $length, problem: Problem::NoSuchDate);
        }
        $time = isset($match['time']) ? self::clock($match['time'][0]) : null;
        if ($time === -1) {
            return new Understood(Kind::Due, $start, $length, problem: Problem::NoSuchTime);
        }
        $passed = $day->number < $this->today->number
            || ($day->equals($this->today) && $time !== null && $time <= $this->minuteOfDay);

        return $passed
            ? new Understood(Kind::Due, $start, $length, problem: Problem::BeforeNow)
            : new Understood(Kind::Due, $start, $length, due: new Due($day, $time));
    }

    /** A level with the word importance, or alone at the end of the line or between commas, where it is no adjective. */
    private static function importance(string $text): ?Understood
    {
        $level = 'low|medium|high|vital';
        $pattern = "/(?<!\\w)(?:(?:of\\s+)?(?<a>{$level})\\s+importance|importance\\s+(?<b>{$level})|(?<=,\\s|,)(?<c>{$level})(?=\\s*(?:,|\$))|(?<d>vital)(?=\\s*\$))(?!\\w)/iu";
        if (preg_match($pattern, $text, $match, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        foreach (['a', 'b', 'c', 'd'] as $group) {
            $importance = Importance::fromWord($match[$group][0] ?? '');
            if ($importance !== null) {
                [$start, $length] = self::place($text, $match[0]);

                return new Understood(Kind::Importance, $start, $length, importance: $importance);
            }
        }

        return null;
    }

    /** Minutes since midnight, or −1 if no clock shows that time. */
    private static function clock(string $text): int
    {
        $text = strtolower($text);
        $named = ['noon' => 720, 'midday' => 720, 'midnight' => 1440];
        if (isset($named[$text])) {
            return $named[$text];
        }
        preg_match('/^(\d{1,2})(?::(\d{2}))?\s*([ap]m)?$/D', $text, $part);
        $hour = (int) ($part[1] ?? 0);
        $minute = (int) ($part[2] ?? 0);
        if (isset($part[3])) {
            return $hour >= 1 && $hour <= 12 && $minute < 60 ? 60 * ($hour % 12 + ($part[3] === 'pm' ? 12 : 0)) + $minute : -1;
        }

        return $hour < 24 && $minute < 60 ? 60 * $hour + $minute : -1;
    }

    /**
     * @param  array{string, int}  $match  text and its byte offset
     * @return array{int, int} start and length in characters
     */
    private static function place(string $text, array $match): array
    {
        return [mb_strlen(substr($text, 0, $match[1])), mb_strlen($match[0])];
    }

    /** @param  list<Understood>  $parts */
    private static function meetsAny(Understood $part, array $parts): bool
    {
        foreach ($parts as $other) {
            if ($part->start < $other->start + $other->length && $other->start < $part->start + $part->length) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Understood>  $parts  by their place */
    private static function title(string $text, array $parts): string
    {
        $title = '';
        $at = 0;
        foreach ($parts as $part) {
            if ($part->problem === null) {
                $title .= mb_substr($text, $at, $part->start - $at).' ';
                $at = $part->start + $part->length;
            }
        }
        $title .= mb_substr($text, $at);
        $title = (string) preg_replace(['/\s+/u', '/\s+([,;.])/u', '/([,;])(?:\s*[,;])+/u'], [' ', '$1', '$1'], $title);
        $title = trim($title, " ,;\t");

        return $title === '' ? $text : $title;
    }
}
