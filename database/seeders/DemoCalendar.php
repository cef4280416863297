<?php

declare(strict_types=1);

namespace Database\Seeders;

/** Ines's meetings as a calendar file. */
final class DemoCalendar
{
    /** UID, summary, place, working day, from, to, repeats each week. */
    private const MEETINGS = [
        ['check-in', 'Designer check-in', 'Tomás', 0, '09:30', '10:00', true],
        ['committee', 'Loans committee', 'Board room', 0, '11:30', '12:15', true],
        ['lighting', 'Lighting walk-through', 'Gallery 2', 0, '14:00', '14:45', false],
        ['proofs', 'Catalogue proofs', 'Prue', 1, '10:00', '11:00', true],
        ['school', 'School-programme call', '', 1, '15:00', '15:45', false],
        ['team', 'Team hour', 'Studio', 3, '09:00', '10:00', true],
        ['lenders', 'Lender agreements', 'Adaeze', 2, '11:00', '12:00', false],
        ['transport', 'Transport briefing', 'Loading dock', 4, '14:00', '15:00', false],
        ['print', 'Printer visit', '', 6, '13:30', '15:30', false],
        ['director', 'Director’s round', 'Board room', 5, '11:00', '11:30', true],
    ];

    public static function text(DemoDates $dates): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Harrow Lane Museum//Sample//EN'];
        foreach (self::MEETINGS as [$uid, $summary, $place, $day, $from, $to, $weekly]) {
            $date = $dates->workday($day)->format('Ymd');
            $lines = [...$lines, 'BEGIN:VEVENT', "UID:{$uid}@harrow-lane.example", "SUMMARY:{$summary}", "LOCATION:{$place}",
                "DTSTART;TZID=Europe/Lisbon:{$date}T".str_replace(':', '', $from).'00',
                "DTEND;TZID=Europe/Lisbon:{$date}T".str_replace(':', '', $to).'00',
                ...($weekly ? ['RRULE:FREQ=WEEKLY'] : []), 'END:VEVENT'];
        }

        return implode("\r\n", [...$lines, 'END:VCALENDAR', '']);
    }
}
