<?php

declare(strict_types=1);

return [
    'started' => 'The clock runs for :title.',
    'paused' => 'Paused.',
    'resting' => 'A break; the clock counts it as one.',
    'how_many' => 'Choose from 5 to 240 minutes.',
    'ends_before' => 'It must end after it begins.',
    'not_yet' => 'That time has not come yet. Enter what was, not what will be.',
    'overlaps' => 'At :when there is already :title. Change that entry, or choose a time beside it.',
    'nothing_forgotten' => 'No clock of an earlier day is running.',
    'stopped_when' => 'Say a time after :start and before now, such as 17:30.',
    'guess' => 'Guess, from :count of your tasks that had run this far: about :left more.',
    'guess_few' => '{0} Guess: work that has run this far goes on for about a quarter of it, so :left.|{1} Guess: :left, drawn from one task of yours that had run this far and from work in general.|[2,*] Guess: :left, drawn from :count of your tasks that had run this far and from work in general.',
    'other_since' => 'Something else was begun before that. Say a time before it, or change that entry.',
    'break' => 'a break',
    'other' => 'another entry',
    'goes_on' => 'The rest of the day is open again.',
    'closed' => 'The day is closed.',
    'lines_kept' => 'The lines are kept.',
    'opened_again' => 'The day is open again.',
    'entry_kept' => 'The minutes are kept.',
    'entry_gone' => 'The entry is gone.',
];
