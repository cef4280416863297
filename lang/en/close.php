<?php

declare(strict_types=1);

return [
    'became' => ['kept' => 'Kept', 'begun' => 'Begun, not done', 'to_come' => 'Still to come', 'moved' => 'Moved away', 'due' => 'Due, neither promised nor done', 'added' => 'Added during the day'],
    'states' => ['kept' => 'done', 'begun' => 'part done', 'to_come' => 'still to come', 'moved' => 'not begun', 'due' => 'due, not done', 'added' => 'added'],
    'fate' => ['waits' => 'let wait', 'waiting' => 'waiting for somebody', 'someday' => 'someday', 'let_go' => 'let go', 'on' => 'on now', 'none' => 'no place yet'],
    'how' => ['proposal' => 'promised at :time, when its proposal was taken', 'laid_out' => 'promised at :time, when it was laid out', 'hours' => 'promised at :time, when its hours began', 'none' => 'nobody took this day: what was laid out stands for a promise'],
    'stair' => ['away' => 'moved away', 'coming' => 'still to come', 'less' => 'less than promised', 'over' => 'ran over', 'added' => 'added'],
    'keys' => '{1} :kept of 1 key task kept|[2,*] :kept of :count key tasks kept',
    'changed' => ['actual' => ':title: :from → :to worked', 'done' => ':title: done since', 'reopened' => ':title: opened again'],
];
