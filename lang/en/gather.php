<?php

declare(strict_types=1);

return [
    'empty' => 'Write at least one line.',
    'too_long' => 'That is more than fits here. Keep it to fifty lines at once.',
    'too_many' => 'Up to :most lines at once, please. Nothing was taken yet; split it in two.',
    'caught' => '{1} Caught: :title.|[2,*] :count lines caught.',
    'gloss' => [
        'estimate' => 'estimate',
        'minutes' => 'estimate :minutes',
        'due' => 'due :when',
        'importance' => 'importance',
    ],
    'problem' => [
        'no_such_date' => 'There is no such date. Type a day of the calendar.',
        'no_such_time' => 'No clock shows that time.',
        'before_now' => 'That has passed. Choose a date from now on.',
        'not_positive' => 'A duration must be longer than nothing.',
        'too_long' => 'Over 100 h: split it into smaller tasks.',
        'no_duration' => 'Write a duration such as 45 min or 1 h 30.',
    ],
    'source' => ['typed' => 'typed', 'mail' => 'mail', 'file' => 'file', 'link' => 'link', 'meeting' => 'meeting'],
];
