<?php

declare(strict_types=1);

return [
    'proposed' => [
        'picked' => 'picked already',
        'left_over' => 'picked for :when, not done',
        'late' => 'late',
        'pressing' => 'due :when, pressure :pressure %',
        'carried' => '{1} carried over once|[2,*] carried over :count times',
        'due' => 'due :when',
        'pull' => 'pull :pull',
    ],
    'three_keys' => 'At most three key tasks make a day. Take one of them away.',
    'picked' => '{0} Nothing is picked for this day.|{1} 1 task is picked and laid out.|[2,*] :count tasks are picked and laid out.',
    'of_left' => 'of :left left',
    'slack_none' => 'none',
    'block_length' => 'A block is 5 minutes to 12 hours long.',
    'left_required' => 'Say how much is left, such as 30 min.',
    'gap' => [
        'lunch' => 'Lunch :range',
        'lead' => ':minutes to get there',
        'free' => ':minutes free',
    ],
    'note' => [
        'begun' => 'On now. What is left at :end is placed again.',
        'begun_late' => 'Begun :minutes min late. What is left at :end is placed again.',
        'passed' => 'Went by; placed again.',
        'kept' => 'Left here by your undo.',
    ],
    'why' => [
        'short' => 'Pull :pull: what is due by :day is :time short.',
        'due' => 'Pull :pull; due :day with :time of room.',
        'pull' => 'Pull :pull, no due date.',
    ],
    'bank' => ['due_soon' => 'Due soon', 'carried' => 'Carried over', 'best_pull' => 'Best pull'],
];
