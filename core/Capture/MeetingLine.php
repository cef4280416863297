<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Time\LocalDay;

/** A meeting as a typed line says it. */
final readonly class MeetingLine
{
    /** Minutes of a meeting that says none. */
    public const USUAL = 60;

    /** Words of a place, at the end of the title. */
    private const PLACE = '/^(?<title>.*\S)\s+(?:in|at)\s+(?<place>(?!\d+\s*(?:min|h)\b)[^,;]{2,100})$/iuD';

    /**
     * @param  int|null  $minute  of the local day; null: the whole day
     * @param  string|null  $rule  as in RFC 5545, without what it begins with
     * @param  string|null  $link  to join it
     */
    private function __construct(public string $title, public LocalDay $day, public ?int $minute, public int $minutes, public ?string $rule, public ?string $place, public ?string $link) {}

    /** From "10-11:30" to "10:00-11:30": between the words of a meeting that can be nothing else. */
    public static function prepared(string $text): string
    {
        $hour = '(?<![\w:.\/-])([01]?\d|2[0-3])';

        return (string) preg_replace([
            '/'.$hour.'(\s*[-–]\s*\d{1,2}:\d{2})(?![\w:])/u',
            '/(?<![\w:.\/-])(\d{1,2}:\d{2}\s*[-–]\s*(?:[01]?\d|2[0-3]))(?![\w:.\/])(?!\s*(?:[ap]m|'.DayReader::MONTH.')\b)/iu',
            '/'.$hour.'(\s*[-–]\s*)([01]?\d|2[0-3])(?![\w:.\/-])(?!\s+(?:of\s+)?'.DayReader::MONTH.'\b)(?!\s*(?:[ap]m|min|h|hours?|minutes?|people)\b)/iu',
        ], ['$1:00$2', '$1:00', '$1:00$2$3:00'], $text);
    }

    /**
     * Null where the line says no day on which it could be.
     *
     * @param  int  $now  minute of today
     */
    public static function of(Line $line, LocalDay $today, int $now): ?self
    {
        $repeat = $line->repeat();
        if (($repeat !== null && $repeat->rule === null) || self::hasPassed($line)) {
            return null;
        }
        $title = $line->title;
        $minute = $line->at()?->minuteOfDay;
        $day = $line->at()->day ?? $line->on()?->day;
        if ($minute === null) {
            [$title, $minute] = LooseTime::apart($title);
            $day ??= $repeat !== null || $minute === null ? null : ($minute > $now ? $today : $today->plusDays(1));
        }
        $day ??= $repeat?->rule === null ? null : FirstDay::of($repeat->rule, $minute === null || $minute > $now ? $today : $today->plusDays(1));
        if ($day === null || $title === '' || $minute === 1440) {
            return null;
        }
        [$title, $place] = self::apart($title);

        return new self($title, $day, $minute, $line->minutes() ?? self::USUAL, $repeat?->rule, $place, $line->name(Kind::Link));
    }

    /** True if the day or the time that the line says is over. */
    public static function hasPassed(Line $line): bool
    {
        return array_filter($line->parts, static fn (Understood $part): bool => $part->problem === Problem::BeforeNow) !== [];
    }

    /**
     * What a meeting is about, and where it is: "Meet Adaeze in room 2".
     *
     * @return array{string, string|null}
     */
    public static function apart(string $title): array
    {
        return preg_match(self::PLACE, $title, $part) === 1 ? [$part['title'], trim($part['place'])] : [$title, null];
    }
}
