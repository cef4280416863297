<?php

declare(strict_types=1);

/* Addresses with their name and, after a bar, further words by which they are found. */
return [
    '/gather' => 'Gather | inbox, catch, new lines',
    '/weigh' => 'Weigh | importance, unweighed',
    '/weigh/list' => 'Weigh, as a list | pull, table',
    '/shape' => 'Shape | today, day, run sheet, gauge, bank',
    '/work' => 'Work | now, clock, timer',
    '/close' => 'Close | evening, account, day over',
    '/projects' => 'Projects',
    '/views' => 'Views | questions, lists',
    '/views/build' => 'A new view | question, filter',
    '/meetings' => 'Meetings | calendar',
    '/templates' => 'Templates and repeats | what comes back',
    '/gather/files' => 'Files in and out | import, export, csv, markdown, todo.txt, icalendar',
    '/gather/export/nekto' => 'Take everything along | export, backup, download',
    '/gather/mailbox' => 'The mailbox | mail, eml',
    '/gather/tokens' => 'Bookmarklet and tokens | web page, api',
    '/outbox' => 'Outbox | mail, letters',
    '/account' => 'Your account | password, second factor, sign-ins, delete',
    '/shape?change=lay-out' => 'Lay the day out anew | plan, replan',
    '/shape?propose=1' => 'Propose a day | picks',
    '/shape?change=wait' => 'What can wait | overfull, too much',
    '/shape?morning=left' => 'Go through the morning | start the day',
    '/settings' => 'Hours | work hours, week, days off, holidays, best hours, sleep, lunch',
    '/settings/rules' => 'Rules of the day, reserved every week | margin, deep limit, key tasks, least piece, load line, routine, focus, mail time',
    '/settings/life' => 'When life interferes | replan, mend, someday, ask again, carry over',
    '/settings/areas' => 'Areas, contexts and groups | colours, order, lens',
    '/settings/take' => 'Take it all with you | export',
    '/settings/estimates' => 'Estimates | likely, careful, corrections',
    '/settings/meetings' => 'Meetings and buffers | calendars, addresses, travel',
    '/settings/rhythm' => 'Rhythm and reminders | breaks, sound, notifications',
    '/settings/looks' => 'Looks and language | dark, light, dates, 12 hours, time zone, first day of the week',
    '/settings/keys' => 'Keys | shortcuts, single keys',
];
