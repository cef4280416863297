<?php

declare(strict_types=1);

return [
    'not_a_calendar' => 'This is no calendar file. Export your calendar as iCalendar (a file that ends in .ics) and choose that.',
    'no_events' => 'The calendar has no events.',
    'too_large' => 'The file is larger than :megabytes MB. Export fewer years, or one calendar at a time.',
    'choose_a_file' => 'Choose a calendar file first.',
    'lead' => 'Write minutes from 0 to 480, or nothing for the usual buffer.',
    'saved' => ':title is saved.',
    'untitled' => 'Untitled',
    'not_closed' => 'an event begins here and does not end',
    'no_start' => 'it has no start',
    'bad_time' => ':name is no date or time: “:value”',
    'ends_before_start' => 'it ends before it starts',
    'too_long' => 'it lasts longer than a year',
    'unknown_zone' => 'its time zone “:zone” is unknown and the file does not describe it',
    'prepare' => 'Prepare :title',
    'follow_up' => 'Follow up: :title',
    'note_kept' => 'The note stays with this meeting.',
    'decided' => '{1} 1 task was caught from it.|[2,*] :count tasks were caught from it.',
    'too_long_to_read' => 'its rule hardly ever comes round, so it was left out',
    'too_many_late' => 'The file was put aside at line :line: too many of its events have rules that hardly ever come round. What came before is in.',
    'reply' => [
        'accepted' => 'Going',
        'tentative' => 'Perhaps',
        'declined' => 'Not going',
        'body' => ":person answers “:words” to :title, :when (:zone).\n",
        'all' => 'all its times',
    ],
    'answered' => ':answer: :title. The answer is in your outbox.',
    'not_asked' => 'Nobody waits for an answer to this meeting.',
    'message_too_large' => 'This is a message about a meeting, and too large for one.',
    'message_unread' => 'What “:subject” says to the calendar was not taken: :why',
    'message_nothing' => 'The message changes no meeting: it is older than what is known, or of another organizer.',
    'line_left_out' => 'this line is no calendar property and was left out: “:words”',
];
