<?php

declare(strict_types=1);

namespace App\ICalendar;

/** What an event says besides its times. */
final readonly class Facts
{
    /** A widespread property of exporters; where TRANSP is said, that holds. */
    private const BUSY_STATUS = 'X-MICROSOFT-CDO-BUSYSTATUS';

    /** Words of it that keep nobody from other work. */
    private const FREE = ['FREE', 'WORKINGELSEWHERE'];

    /**
     * @param  bool  $isFree  it takes nobody's time, by what it says itself
     * @param  bool  $isTentative  it is not sure that it will be
     * @param  string|null  $partstat  the owner's own, in capitals; null: nobody asked
     * @param  string|null  $organizer  mail address, in lower case
     * @param  string|null  $link  to join it
     */
    private function __construct(
        public string $summary,
        public ?string $place,
        public bool $isFree,
        public bool $isTentative,
        public bool $isPrivate,
        public ?string $partstat,
        public ?string $organizer,
        public ?string $link,
        public int $sequence,
        public string $stamp,
    ) {}

    /**
     * @param  array<string, list<Line>>  $lines  by name
     * @param  list<string>  $own  the owner's addresses, in lower case
     */
    public static function of(array $lines, array $own = []): self
    {
        $text = static fn (string $name): string => trim((string) preg_replace('/[\p{C}\s]+/u', ' ', isset($lines[$name]) ? $lines[$name][0]->text() : ''));
        $word = static fn (string $name): string => strtoupper(trim($lines[$name][0]->value ?? ''));
        $status = $word(self::BUSY_STATUS);
        $organizer = $lines['ORGANIZER'][0] ?? null;

        return new self(
            mb_substr($text('SUMMARY'), 0, 500),
            $text('LOCATION') === '' ? null : mb_substr($text('LOCATION'), 0, 500),
            $word('TRANSP') === '' ? in_array($status, self::FREE, true) : $word('TRANSP') === 'TRANSPARENT',
            $word('STATUS') === 'TENTATIVE' || ($word('STATUS') === '' && $status === 'TENTATIVE'),
            in_array($word('CLASS'), ['PRIVATE', 'CONFIDENTIAL'], true),
            $organizer !== null && array_intersect(self::addresses($organizer), $own) !== [] ? null : self::partstat($lines['ATTENDEE'] ?? [], $own), // who calls a meeting asks himself nothing
            $organizer === null ? null : self::mailbox($organizer),
            isset($lines[JoinLink::PROPERTY]) ? mb_substr(trim($lines[JoinLink::PROPERTY][0]->value), 0, JoinLink::LONGEST) : null,
            (int) $word('SEQUENCE'),
            $word('DTSTAMP'),
        );
    }

    /**
     * Who somebody is, as an attendee or organizer names him: the address itself, and what EMAIL= says of a urn.
     *
     * @return list<string> in lower case, without mailto:
     */
    public static function addresses(Line $who): array
    {
        $bare = static fn (string $one): string => (string) preg_replace(['/^mailto:/', '/^.*<([^<>]+)>$/'], ['', '$1'], strtolower(rawurldecode(trim($one))));

        return array_values(array_filter([$bare($who->parameters['EMAIL'] ?? ''), $bare($who->value)]));
    }

    /** The address that mail to somebody goes to; null if there is none. */
    public static function mailbox(Line $who): ?string
    {
        foreach (self::addresses($who) as $address) {
            if (filter_var($address, FILTER_VALIDATE_EMAIL) !== false) {
                return $address;
            }
        }

        return null;
    }

    /**
     * @param  list<Line>  $attendees
     * @param  list<string>  $own
     */
    private static function partstat(array $attendees, array $own): ?string
    {
        foreach ($attendees as $line) {
            if (array_intersect(self::addresses($line), $own) !== []) {
                return strtoupper($line->parameters['PARTSTAT'] ?? 'NEEDS-ACTION');
            }
        }

        return null;
    }
}
