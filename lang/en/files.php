<?php

declare(strict_types=1);

return [
    'formats' => ['todotxt' => 'todo.txt', 'csv' => 'CSV table', 'markdown' => 'Markdown check list', 'icalendar' => 'iCalendar to-dos', 'mail' => 'mail'],
    'no_text' => 'This is no text file: nothing in it can be read. Export it as text, a table (CSV) or iCalendar first.',
    'no_mail' => 'This is no mail message. Save the message as .eml or the folder as mbox, and bring that in.',
    'no_calendar' => 'This is no iCalendar file: it does not begin with BEGIN:VCALENDAR.',
    'mail_too_deep' => 'This message is nested too deeply to be read; only its head was taken.',
    'mail_unreadable' => 'The text of this message could not be read; only its head was taken.',
    'word_not_read' => '“:words” could not be read; it stays in the title.',
    'no_list_item' => '“:words” is no list item; it is left out.',
    'no_title_column' => 'No column holds the titles. Say below which one does.',
    'no_title' => 'This row has no title; it is left out.',
    'no_estimate' => '“:words” is no duration; the estimate is left open.',
    'no_importance' => '“:words” is not low, medium, high or vital; it stays unweighed.',
    'no_date' => '“:words” is no date of the calendar; it is left out.',
    'no_todo' => 'This to-do could not be read: :why',
    'not_closed' => 'This to-do is not closed before the next one or the end of the file.',
    'untitled' => 'Without a title',
    'no_sender' => 'unknown sender',
    'no_subject' => '(no subject)',
    'empty' => 'There is nothing in it to take.',
    'choose' => 'Choose a file, or paste its text.',
    'too_large' => 'That file is larger than 5 MB. Nothing was taken; split it and bring in the parts.',
    'taken' => '{0} Nothing was new.|{1} 1 task is in the inbox.|[2,*] :count tasks are in the inbox.',
    'known' => '{1} 1 was taken before.|[2,*] :count were taken before.',
    'attachment_type' => 'Files of this kind cannot be kept here. Kept are documents, tables, pictures, text, mail and archives.',
    'attachment_size' => 'A file may have up to 10 MB. Nothing was kept.',
    'attachment_kept' => ':name is kept with the task.',
    'attachment_gone' => ':name is gone.',
];
