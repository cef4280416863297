<?php

declare(strict_types=1);

namespace Database\Seeders;

use Carbon\CarbonImmutable;

/** Ines's meetings, as the calendar files of five calendars. */
final class DemoCalendar
{
    public const ZONE = 'Europe/Lisbon';

    /** The calendar that cannot be fetched since last evening. */
    public const FAILING = 'Loans committee';

    /** Calendar: group, kind, hatching, blocks, buffer before, file or path of the address. */
    public const CALENDARS = [
        'Museum' => ['Work', 'address', 1, 'all', null, 'museum.ics'],
        'Loans committee' => ['Work', 'address', 2, 'all', null, 'loans.ics'],
        'Lighting' => ['Work', 'file', 3, 'all', 15, 'wim_lighting.ics'],
        'Freight and couriers' => ['Work', 'here', 4, 'all', null, null],
        'School holidays' => ['Home', 'file', 5, 'none', null, 'holidays.ics'],
    ];

    /** @var list<array{string, string, string, string, int, string, string, bool, string, bool}> UID, calendar, summary, place, working day, from, to, repeats each week, what Ines answered, joined by video. */
    private const MEETINGS = [
        ['check-in', 'Museum', 'Designer check-in', 'Tomás', 0, '09:30', '10:00', true, 'ACCEPTED', false],
        ['committee', 'Loans committee', 'Loans committee', 'Board room', 0, '11:30', '12:15', true, 'ACCEPTED', false],
        ['lighting', 'Lighting', 'Lighting walk-through', 'Gallery 2', 0, '14:00', '14:45', false, 'ACCEPTED', false],
        ['proofs', 'Museum', 'Catalogue proofs', 'Prue', 1, '10:00', '11:00', true, 'ACCEPTED', false],
        ['school', 'Museum', 'School-programme call', '', 1, '15:00', '15:45', false, 'ACCEPTED', true],
        ['team', 'Museum', 'Team hour', 'Studio', 3, '09:00', '10:00', true, 'ACCEPTED', false],
        ['lenders', 'Loans committee', 'Lender agreements', 'Adaeze', 2, '11:00', '12:00', false, 'ACCEPTED', false],
        ['transport', 'Freight and couriers', 'Transport briefing', 'Loading dock', 4, '14:00', '15:00', false, 'NEEDS-ACTION', true],
        ['print', 'Museum', 'Printer visit', '', 6, '13:30', '15:30', false, 'TENTATIVE', false],
        ['director', 'Museum', 'Director’s round', 'Board room', 5, '11:00', '11:30', true, 'ACCEPTED', false],
    ];

    public static function text(DemoDates $dates, string $calendar): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Harrow Lane Museum//Sample//EN', "NAME:{$calendar}"];
        foreach (self::MEETINGS as [$uid, $of, $summary, $place, $day, $from, $to, $weekly, $answer, $video]) {
            if ($of === $calendar) {
                $first = $dates->workday($day);
                $series = $weekly ? self::weekly($dates, $first->subWeek(), $from) : [];
                $date = $first->subWeeks($series === [] ? 0 : DemoPast::WEEKS)->format('Ymd');
                $lines = [...$lines, 'BEGIN:VEVENT', "UID:{$uid}@harrow-lane.example", "SUMMARY:{$summary}", "LOCATION:{$place}",
                    "DTSTART;TZID=Europe/Lisbon:{$date}T".str_replace(':', '', $from).'00',
                    "DTEND;TZID=Europe/Lisbon:{$date}T".str_replace(':', '', $to).'00',
                    ...$series,
                    'ORGANIZER;CN=Adaeze:mailto:adaeze@harrow-lane.example', "ATTENDEE;CN=Ines Moura;PARTSTAT={$answer};RSVP=TRUE:mailto:ines@example.org",
                    ...($video ? ["CONFERENCE;VALUE=URI;FEATURE=VIDEO:https://video.harrow-lane.example/room/{$uid}"] : []),
                    'END:VEVENT'];
            }
        }

        return implode("\r\n", [...$lines, ...($calendar === 'School holidays' ? self::holidays($dates) : []), 'END:VCALENDAR', '']);
    }

    /** @return list<string> held since the sample's past began; before its first shown day it is left out, so that the days to come are as they are shown */
    private static function weekly(DemoDates $dates, CarbonImmutable $before, string $from): array
    {
        return ['RRULE:FREQ=WEEKLY', ...($before >= $dates->day(0) ? ['EXDATE;TZID=Europe/Lisbon:'.$before->format('Ymd').'T'.str_replace(':', '', $from).'00'] : [])];
    }

    /** @return list<string> two weeks around the turn of the month, as whole days */
    private static function holidays(DemoDates $dates): array
    {
        return ['BEGIN:VEVENT', 'UID:spring@harrow-lane.example', 'SUMMARY:Spring holidays', 'TRANSP:TRANSPARENT', 'DTSTART;VALUE=DATE:'.$dates->day(19)->format('Ymd'), 'DTEND;VALUE=DATE:'.$dates->day(31)->format('Ymd'), 'END:VEVENT'];
    }
}
