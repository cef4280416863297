<?php

declare(strict_types=1);

return [
    'empty' => 'Write at least one line.',
    'too_long' => 'That is more than fits here: up to 100,000 characters at once. Nothing was taken; bring longer lists in as a file.',
    'too_many' => 'These are :lines lines; up to :most fit at once. Nothing was taken; bring longer lists in as a file.',
    'caught' => '{1} Caught: :title.|[2,*] :count things caught.',
    'summary' => [
        'tasks' => '{1} 1 task|[2,*] :count tasks',
        'subtasks' => '{1} 1 subtask|[2,*] :count subtasks',
        'repeat' => '{1} 1 repeats|[2,*] :count repeat',
        'waiting' => '{1} 1 waits|[2,*] :count wait',
    ],
    'gloss' => [
        'subtask' => 'subtask',
        'subtask_minutes' => 'subtask, :minutes',
        'estimate' => 'estimate',
        'minutes' => 'estimate :minutes',
        'due' => 'due :when',
        'start' => 'from :when',
        'on' => 'picked for :when',
        'at' => 'set for :when',
        'repeat' => 'repeats from :when',
        'repeat_after' => 'again :how after it is done',
        'until' => 'last on :when',
        'times' => '{1} once|[2,*] :count times',
        'part' => 'in the :name',
        'importance' => 'importance',
        'demand' => 'demand',
        'project' => 'project',
        'context' => 'context',
        'waiting' => 'waits for :name',
        'ask' => 'asked about :when',
        'link' => 'link',
    ],
    'problem' => [
        'no_such_date' => 'There is no such date. Type a day of the calendar.',
        'no_such_time' => 'No clock shows that time.',
        'before_now' => 'That has passed. Choose a date from now on.',
        'not_positive' => 'A duration must be longer than nothing.',
        'too_long' => 'Over 100 h: split it into smaller tasks.',
        'no_duration' => 'Write a duration such as 45 min or 1 h 30.',
    ],
    'source' => ['typed' => 'typed', 'mail' => 'mail', 'file' => 'file', 'link' => 'link', 'meeting' => 'meeting', 'template' => 'template'],
];
