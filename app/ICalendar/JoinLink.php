<?php

declare(strict_types=1);

namespace App\ICalendar;

/**
 * The address at which a meeting is joined, of all that an event names: what is said to be one (CONFERENCE, RFC 7986, and
 * extension properties that speak of a meeting), then what stands where it takes place, then what looks like a meeting in
 * its web address or its text. The most likely one; null if none looks like it.
 */
final class JoinLink
{
    /** Under which it stays with an event when what it was found in is left out. */
    public const PROPERTY = 'X-NEKTO-JOIN';

    public const LONGEST = 2000;

    /** Addresses of one event that are looked at. */
    private const MOST = 60;

    private const LIKE = '~(?:^|[/.\-_?&=])(?:meet(?:ing)?s?|join|call|conf(?:erence)?|video|rooms?|webinar|live|talk|huddle|visit)(?:[/.\-_?&=\d]|$)~i';

    /** A long number or a code of letters in groups: a room has one. */
    private const CODE = '~(?:\d{9,}|/[a-z]{3,4}-[a-z]{3,4}-[a-z]{3,4}(?:[/?]|$))~i';

    private const UNLIKE = '~(?:unsubscribe|help|support|privacy|legal|terms|faq|maps?[./]|directions|download|install|\.(?:pdf|docx?|ics|png|jpe?g|html?)(?:$|\?)|options|numbers|dial-?in|phone|settings)~i';

    /** @param  list<Line>  $lines  of one event */
    public static function of(array $lines): ?string
    {
        $best = null;
        $most = 0;
        $seen = 0;
        foreach ($lines as $line) {
            $ground = self::ground($line);
            if ($ground === null) {
                continue;
            }
            foreach (self::links($line) as $link) {
                $worth = self::worth($link, $ground);
                if ($worth > $most) {
                    [$best, $most] = [$link, $worth];
                }
                if (++$seen >= self::MOST) {
                    return $best;
                }
            }
        }

        return $best;
    }

    /** Of an address that stands alone in a text, as a place does; null if there is none. */
    public static function ofText(string $text): ?string
    {
        preg_match('~https://[^\s<>"]+~i', $text, $link);

        return isset($link[0]) ? rtrim($link[0], '.,;)') : null;
    }

    /** What speaks for any address in that property; null: it names none. */
    private static function ground(Line $line): ?int
    {
        return match (true) {
            $line->name === 'CONFERENCE' => 100 + (preg_match('/VIDEO|AUDIO/i', $line->parameters['FEATURE'] ?? '') === 1 ? 5 : 0) - (stripos($line->parameters['FEATURE'] ?? '', 'MODERATOR') !== false ? 2 : 0),
            str_starts_with($line->name, 'X-') && preg_match('/CONFERENCE|MEETING.*URL|JOIN|CALL.*URL/', $line->name) === 1 => 90,
            $line->name === 'LOCATION' => 60,
            $line->name === 'URL', $line->name === 'DESCRIPTION' => 0,
            default => null,
        };
    }

    private static function worth(string $link, int $ground): int
    {
        if (preg_match(self::UNLIKE, $link) === 1) {
            return $ground - 55; // even where meetings are joined there are pages about it
        }
        $worth = (preg_match(self::LIKE, (string) preg_replace('~^https://~i', '/', $link)) === 1 ? 20 : 0) + (preg_match(self::CODE, $link) === 1 ? 15 : 0);

        return $ground + $worth;
    }

    /** @return list<string> */
    private static function links(Line $line): array
    {
        $text = in_array($line->name, ['CONFERENCE', 'URL'], true) ? trim($line->value) : $line->text();
        preg_match_all('~https://[^\s<>"\\\\]+~i', substr($text, 0, 100_000), $found);

        return array_values(array_filter(array_map(static fn (string $link): string => rtrim(html_entity_decode($link), '.,;)]'), $found[0]), static fn (string $link): bool => strlen($link) <= self::LONGEST));
    }
}
