<?php

declare(strict_types=1);

return [
    'office_hours' => 'Office hours',
    'evenings' => 'Evenings',
    'work' => 'Work',
    'home' => 'Home',
    'saved' => 'Saved.',
    'hours_saved' => ':name are saved.',
    'date_saved' => 'That date has hours of its own.',
    'date_removed' => ':date has its usual hours again.',
    'unknown_zone' => 'There is no such time zone. Choose one of the list, such as Europe/Lisbon.',
    'pairs' => '{0} No task has been finished with the clock yet: all are laid out as typed.|[1,4] From :count finished so far: too few to correct by, all are laid out as typed.|[5,*] Learned from :count finished tasks; kinds with few lean on the others.',
    'estimates' => [
        'typed' => 'each estimate as it is typed',
        'likely' => 'what such work likely takes: the median of your own',
        'careful' => 'what eight of ten such tasks of yours stay within',
    ],
    'tempo' => [
        'calm' => 'calm: it is mended, nothing moves but what must',
        'even' => 'even: work moves where that clearly pays',
        'eager' => 'eager: the best plan there is, whatever moves',
    ],
    'begins' => [
        'pull' => 'with what pulls most; key tasks early',
        'hard' => 'with what is hardest: deep work before all other',
        'light' => 'with something light and short, then the key tasks',
    ],
    'best_saved' => 'Your best hours are saved.',
    'lunch_order' => 'Lunch must end after it begins.',
    'lunch_both' => 'Give both times, or neither for no lunch.',
    'between' => 'Choose a number from :min to :max.',
    'in_fives' => 'Write a number of whole five minutes, such as 30.',
    'whole_number' => 'Write a whole number.',
    'area_name' => 'Give the area a name that no other has.',
    'area_in_use' => ':name has tasks or projects, or is the only area. Move them first.',
    'context_name' => 'Give the context a name.',
];
