<?php

declare(strict_types=1);

return [
    'over' => 'The first day is put away. What it did, each screen does by itself.',
    'sample' => 'This is a filled sample: the day of Ines Moura, who produces an exhibition. Change what you like; nothing of it is kept.',
    'left' => 'left out',
    'takes' => ['hours' => '1 min', 'calendar' => '1 min', 'gather' => '3 min', 'weigh' => '4 min', 'shape' => '10 s'],
    'figures' => [
        'hours' => ':open a day',
        'meetings' => '{1} one meeting in two weeks|[2,*] :count meetings in two weeks',
        'lines' => '{1} one line|[2,*] :count lines',
        'weighed' => ':count of :of weighed',
    ],
    'questions' => [
        'hours' => 'When do you work?', 'calendar' => 'What is taken already?', 'gather' => 'Ten lines: what has come at you?', 'weigh' => 'What is each worth, how pressing is it?', 'shape' => 'Lay out the day, and see whether it fits.',
    ],
    'names' => ['hours' => 'Hours', 'calendar' => 'Calendar', 'gather' => 'Gather', 'weigh' => 'Weigh', 'shape' => 'Shape'],
    'hints' => [
        'hours' => 'Work is planned into these hours only.',
        'calendar' => 'A file, the address of your calendar, or a meeting written down. Planning then goes around your meetings.',
        'gather' => 'One a line, as they come to mind. “Answer the landlord by friday, 30 min” is understood.',
        'weigh' => 'One key for its worth, one for its date. The rest is computed.',
        'shape' => 'One key. What does not fit is named before it is late.',
    ],
    'parts' => [1 => 'the height: your hours', 2 => 'less: meetings', 3 => 'the pieces: your lines', 4 => 'their order: their pull', 5 => 'their place: the day', 'line' => 'what a day can carry'],
    'hours' => ['sum' => ':week a week, :day a day without lunch', 'none' => 'No hours yet: draw some.'],
];
