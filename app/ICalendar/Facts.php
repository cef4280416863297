<?php

declare(strict_types=1);

namespace App\ICalendar;

/** What an event says besides its times. */
final readonly class Facts
{
    /** A widespread property of exporters; where TRANSP is said, that holds. */
    private const BUSY_STATUS = 'X-MICROSOFT-CDO-BUSYSTATUS';

    private function __construct(public string $summary, public ?string $place, public bool $isFree, public int $sequence, public string $stamp) {}

    /**
     * @param  array<string, list<Line>>  $lines  by name
     * @param  list<string>  $own  the owner's addresses, in lower case: what was declined under one of them takes no time
     */
    public static function of(array $lines, array $own = []): self
    {
        $text = static fn (string $name): string => trim((string) preg_replace('/[\p{C}\s]+/u', ' ', isset($lines[$name]) ? $lines[$name][0]->text() : ''));
        $word = static fn (string $name): string => strtoupper(trim($lines[$name][0]->value ?? ''));

        return new self(
            mb_substr($text('SUMMARY'), 0, 500),
            $text('LOCATION') === '' ? null : mb_substr($text('LOCATION'), 0, 500),
            ($word('TRANSP') === '' ? $word(self::BUSY_STATUS) === 'FREE' : $word('TRANSP') === 'TRANSPARENT') || self::isDeclined($lines['ATTENDEE'] ?? [], $own),
            (int) $word('SEQUENCE'),
            $word('DTSTAMP'),
        );
    }

    /**
     * @param  list<Line>  $attendees
     * @param  list<string>  $own
     */
    private static function isDeclined(array $attendees, array $own): bool
    {
        foreach ($attendees as $line) {
            $addresses = array_map(static fn (string $one): string => (string) preg_replace('/^mailto:/', '', strtolower(trim($one))), [$line->value, $line->parameters['EMAIL'] ?? '']);
            if (strtoupper($line->parameters['PARTSTAT'] ?? '') === 'DECLINED' && array_intersect($addresses, $own) !== []) {
                return true;
            }
        }

        return false;
    }
}
