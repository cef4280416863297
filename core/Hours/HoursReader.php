<?php

declare(strict_types=1);

namespace Nekto\Core\Hours;

/**
 * Reads hours as people write them: "09:00–12:30, 13:15–17:30", "9-12 and 1pm to 5pm", "22:00–02:00" for a night; nothing
 * or "closed" for none. What reaches over midnight belongs to the next day from there on.
 */
final class HoursReader
{
    /** A stretch of hours, for patterns; no named groups. */
    public const STRETCH = self::CLOCK.'\s*(?:-|–|—|to|until|till)\s*'.self::CLOCK;

    private const CLOCK = '(?:\d{1,2}(?:[:.]\d{2})?\s*(?:[ap]\.?m\b\.?)?)';

    /** Minutes: what is longer and ends before it starts is a slip, not a night. */
    private const LONGEST_NIGHT = 720;

    /**
     * @return array{list<Stretch>, list<Stretch>} by their start: of the day, and what reaches into the next
     *
     * @throws InvalidHours if it is none, ends before it starts, or two overlap
     */
    public static function read(string $text): array
    {
        $day = $next = [];
        foreach (preg_split('/[,;]|\band\b/u', mb_strtolower($text)) ?: [] as $part) {
            $part = trim($part);
            if ($part === '' || $part === 'closed') {
                continue;
            }
            preg_match('/^('.self::CLOCK.')\s*(?:-|–|—|to|until|till)\s*('.self::CLOCK.')$/Du', $part, $match) === 1 || throw InvalidHours::notAClockTime($part);
            [$from, $to] = [self::clock($match[1]), self::clock($match[2])];
            if ($to > $from) {
                $day[] = new Stretch($from, $to);
            } elseif ($from < 1440 && $to !== $from && 1440 - $from + $to <= self::LONGEST_NIGHT) {
                $day[] = new Stretch($from, 1440);
                $to > 0 && $next[] = new Stretch(0, $to);
            } else {
                throw InvalidHours::endNotAfterStart($from, $to);
            }
        }

        return [self::inOrder($day), self::inOrder($next)];
    }

    /**
     * A week of such texts, a line for each day.
     *
     * @param  array<string, string>  $texts  by "mon" to "sun"; a missing day is closed
     * @return array<string, list<array{string, string}>> as WeeklyHours takes it, closed days left out
     *
     * @throws InvalidHours if a line is none, or two days overlap at midnight
     */
    public static function week(array $texts): array
    {
        $days = array_fill_keys(WeeklyHours::WEEKDAYS, []);
        foreach (WeeklyHours::WEEKDAYS as $i => $key) {
            [$day, $next] = self::read($texts[$key] ?? '');
            array_push($days[$key], ...$day);
            array_push($days[WeeklyHours::WEEKDAYS[($i + 1) % 7]], ...$next);
        }

        return array_filter(array_map(static fn (array $day): array => self::pairs(self::inOrder($day)), $days));
    }

    /**
     * Stretches put together where they touch or overlap.
     *
     * @param  list<Stretch>  $stretches
     * @return list<Stretch> by their start
     */
    public static function together(array $stretches): array
    {
        usort($stretches, static fn (Stretch $a, Stretch $b): int => $a->from <=> $b->from);
        $done = [];
        foreach ($stretches as $one) {
            $last = end($done);
            if ($last !== false && $one->from <= $last->to) {
                array_pop($done);
                $one = new Stretch($last->from, max($last->to, $one->to));
            }
            $done[] = $one;
        }

        return $done;
    }

    /**
     * A week in such texts, as it is kept: a night in two.
     *
     * @param  array<string, list<array{string, string}>>  $week
     * @return array<string, string> by "mon" to "sun", "" for a closed day
     */
    public static function said(array $week): array
    {
        $said = [];
        foreach (WeeklyHours::WEEKDAYS as $key) {
            $said[$key] = implode(', ', array_map(static fn (array $pair): string => "{$pair[0]}–{$pair[1]}", $week[$key] ?? []));
        }

        return $said;
    }

    /**
     * @param  list<Stretch>  $stretches
     * @return list<array{string, string}>
     */
    public static function pairs(array $stretches): array
    {
        return array_map(static fn (Stretch $one): array => [Stretch::clock($one->from), Stretch::clock($one->to)], $stretches);
    }

    /**
     * A time of the day as it is typed: "9", "9:30", "5 pm", "24:00".
     *
     * @return int minutes since midnight, at most 1440
     *
     * @throws InvalidHours if it is none
     */
    public static function clock(string $clock): int
    {
        preg_match('/^(\d{1,2})(?:[:.](\d{2}))?\s*(?:([ap])\.?m\.?)?$/Diu', trim($clock), $part) === 1 || throw InvalidHours::notAClockTime(trim($clock));
        $hour = (int) $part[1];
        if (isset($part[3])) {
            $hour >= 1 && $hour <= 12 || throw InvalidHours::notAClockTime(trim($clock));
            $hour = $hour % 12 + (strtolower($part[3]) === 'p' ? 12 : 0);
        }

        return Stretch::minutes(sprintf('%02d:%02d', $hour, (int) ($part[2] ?? 0)));
    }

    /**
     * @param  list<Stretch>  $stretches
     * @return list<Stretch>
     *
     * @throws InvalidHours if two overlap
     */
    private static function inOrder(array $stretches): array
    {
        usort($stretches, static fn (Stretch $a, Stretch $b): int => $a->from <=> $b->from);
        foreach ($stretches as $i => $stretch) {
            $i === 0 || $stretch->from >= $stretches[$i - 1]->to || throw InvalidHours::overlap($stretch->from);
        }

        return $stretches;
    }
}
