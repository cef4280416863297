<?php

declare(strict_types=1);

namespace Database\Seeders;

/** What Ines has to do. All people, places and works are invented. */
final class DemoTasks
{
    /** Name, colour, whether it is done at home. */
    public const AREAS = [
        ['Exhibition', 'river', false],
        ['Loans & lenders', 'ochre', false],
        ['Publications', 'plum', false],
        ['Team', 'steel', false],
        ['Home', 'clay', true],
    ];

    /**
     * Title, short title, area, importance, minutes, due (working days from today), deep, carried over, days since it was caught.
     *
     * @var list<array{string, string, string, int, int, int|null, bool, int, int}>
     */
    public const OPEN = [
        ['Invoices and replies', 'Replies', 'Team', 2, 30, 0, false, 0, 1],
        ['Wall texts, room 3', 'Wall texts, room 3', 'Exhibition', 4, 90, 1, true, 0, 6],
        ['Call the Porto lender', 'Porto', 'Loans & lenders', 3, 30, 0, false, 0, 2],
        ['Essay 2 corrections', 'Essay 2', 'Publications', 4, 300, 7, true, 0, 12],
        ['Budget revision: freight lines', 'Budget revision', 'Team', 3, 25, 1, false, 2, 9],
        ['Courier quotes, three crates', 'Courier quotes', 'Loans & lenders', 2, 20, 0, false, 0, 3],
        ['Run, canal loop', 'Run', 'Home', 1, 30, null, false, 0, 2],
        ['Reply to Maas Archive', 'Maas Archive', 'Loans & lenders', 3, 15, 1, false, 0, 2],
        ['Floor plan review', 'Floor plan', 'Exhibition', 3, 60, 2, true, 0, 5],
        ['Wall texts, room 4', 'Wall texts, room 4', 'Exhibition', 3, 180, 2, true, 0, 6],
        ['Grant report: outcomes', 'Grant report', 'Team', 3, 120, 2, true, 0, 11],
        ['Case list for Wim', 'Case list', 'Exhibition', 2, 40, 5, false, 3, 10],
        ['Condition reports, file 9', 'Condition reports', 'Loans & lenders', 1, 50, 5, false, 1, 8],
        ['Tour contract, second venue', 'Tour contract', 'Loans & lenders', 4, 480, 16, true, 0, 14],
        ['River map: check names', 'River map', 'Exhibition', 2, 90, 8, true, 0, 7],
        ['Object list: 14 loans', 'Object list', 'Loans & lenders', 4, 300, 4, false, 0, 9],
        ['Porto insurance wording', 'Porto insurance', 'Loans & lenders', 2, 90, 3, false, 0, 4],
        ['Captions, plates 1–48', 'Captions', 'Publications', 4, 480, 7, true, 0, 13],
        ['Colour proofs, sections 3–5', 'Colour proofs', 'Publications', 3, 460, 7, true, 0, 10],
        ['Ghent agreement: last clauses', 'Ghent agreement', 'Loans & lenders', 3, 180, 3, true, 0, 8],
        ['Lyon loan schedule', 'Lyon schedule', 'Loans & lenders', 3, 210, 3, true, 0, 5],
        ['Credits and index', 'Credits', 'Publications', 2, 240, 8, false, 0, 4],
        ['School activity sheet', 'School sheet', 'Exhibition', 2, 120, 11, true, 0, 3],
        ['Holiday cover plan', 'Holiday cover', 'Team', 2, 45, 18, false, 0, 5],
        ['Packing film for the loans', 'Packing film', 'Loans & lenders', 1, 75, null, false, 0, 6],
        ['Bicycle repair', 'Bicycle', 'Home', 1, 45, 2, false, 0, 4],
        ['Dentist: find a time', 'Dentist', 'Home', 2, 15, 1, false, 1, 9],
    ];

    /**
     * Title, area, stage, source, note, minutes, due (working days from today), hours since it was caught.
     *
     * @var list<array{string, string, string, string, string|null, int|null, int|null, float|int}>
     */
    public const CAUGHT = [
        ['Freight offer B', 'Loans & lenders', 'inbox', 'file', 'freight_offer_b.pdf, 2 pages', null, 7, 17.5],
        ['Reading chair for the estuary room', 'Exhibition', 'inbox', 'typed', null, null, null, 17],
        ['Plate order for sections 3 to 5, can you confirm?', 'Publications', 'inbox', 'mail', 'Prue', null, null, 2.13],
        ['River survey 1911, new scans', 'Exhibition', 'inbox', 'link', 'canal archive, sheet 14', null, null, 1.55],
        ['Insurance wording returned with two changes', 'Loans & lenders', 'inbox', 'mail', 'Porto lender', 20, null, 0.82],
        ['Tomás sends the plinth heights', 'Exhibition', 'inbox', 'meeting', 'Designer check-in', null, 2, 0.37],
        ['Ask Tomás for the blue of panel 3', 'Exhibition', 'inbox', 'typed', null, 10, null, 0.22],
        ['Mount for object 112', 'Exhibition', 'open', 'mail', 'Adaeze: “The old mount is 8 mm short. Could you decide between the two offers?”', 30, 5, 1.65],
        ['Bench for room 1', 'Exhibition', 'open', 'typed', null, null, null, 20],
        ['Loan fee letter, second version', 'Loans & lenders', 'open', 'file', null, 45, 3, 19],
    ];

    /** Today's key tasks. */
    public const KEYS = ['Wall texts, room 3', 'Essay 2'];

    /** Today's picks: short title (null: a meeting), planned from and to, anchored, when it was really begun. */
    public const TODAY = [
        ['Replies', '09:00', '09:30', false, '09:03'],
        [null, '09:30', '10:00', false, '09:31'],
        ['Wall texts, room 3', '10:00', '11:30', false, '10:05'],
        [null, '11:30', '12:15', false, '11:32'],
        ['Porto', '13:15', '13:45', true, '13:15'],
        [null, '14:00', '14:45', false, '14:02'],
        ['Essay 2', '14:45', '15:45', false, '14:48'],
        ['Budget revision', '15:45', '16:10', false, '15:46'],
        ['Courier quotes', '16:30', '16:50', false, '16:31'],
        ['Run', '17:45', '18:15', false, '17:50'],
    ];
}
