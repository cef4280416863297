<?php

declare(strict_types=1);

return [
    'proposed' => [
        'picked' => 'picked already',
        'left_over' => 'picked for :when, not done',
        'late' => 'late',
        'pressing' => 'due :when, pressure :pressure',
        'carried' => '{1} carried over once|[2,*] carried over :count times',
        'due' => 'due :when',
        'pull' => 'pull :pull',
    ],
    'count' => [
        'blocks' => '{1} 1 block|[0,*] :count blocks',
        'picks' => '{1} 1 pick|[0,*] :count picks',
        'meetings' => '{1} 1 meeting|[0,*] :count meetings',
    ],
    'three_keys' => 'At most three key tasks make a day. Take one of them away.',
    'picked' => '{0} Nothing is picked for this day.|{1} 1 task is picked and laid out.|[2,*] :count tasks are picked and laid out.',
    'picked_no_time' => '{1} No free stretch of it is long enough for :titles.|[2,*] No free stretches of it are long enough for :titles.',
    'picked_without_time' => '“:title” is picked for this day, but no free stretch of it is long enough.',
    'change' => [
        'lay-out' => 'Laid out anew', 'wait' => 'What can wait', 'longer' => 'Longer hours', 'cut' => 'One is cut', 'mend' => 'To be mended', 'picks' => 'A day that fits, laid out',
        'no_time_here' => 'this day has no stretch for it',
        'nothing' => 'Nothing would move.',
    ],
    'take' => ['wait' => 'Take it', 'longer' => 'Open them', 'cut' => 'Cut it', 'picks' => 'Take it'],
    'way' => ['wait' => '{1} Let one task wait|[2,*] Let :count tasks wait'],
    'morning' => [
        'title' => ['left' => 'Left from before', 'holds' => 'What today holds', 'candidates' => 'Candidates', 'day' => 'A day that fits', 'wait' => 'What can wait', 'lay' => 'Lay it out', 'done' => 'The day is laid out'],
        'part' => 'part done', 'passed' => 'not begun', 'over' => 'The morning run is put away for today.',
    ],
    'reserved' => 'Reserved',
    'reserve_gone' => 'That time is open again.',
    'no_place' => 'no place',
    'estimate_grows' => 'estimate :before → :after',
    'moved_and_grown' => 'Moved and anchored; its estimate grew from :before to :after.',
    'swap_with_what' => 'Choose the block it is to change places with.',
    'send_where' => 'Choose a day, or the bank.',
    'of_left' => 'of :left left',
    'slack_none' => 'none',
    'together' => [
        'all' => 'All of it can wait until the next day together, and every date still holds.',
        'save' => 'All of it can wait until the next day together and every date still holds, save what is late as it is: :titles.',
        'not_all' => 'Not all of it can wait until the next day: latest starts of :titles.',
    ],
    'late' => [
        'by_plan' => '{1} One task will be late by this plan|[2,*] :count tasks will be late by this plan',
        'overdue' => '{1} one is overdue|[2,*] :count are overdue',
        'overdue_only' => '{1} One task is overdue|[2,*] :count tasks are overdue',
        'ends' => 'ends :end, due :due',
        'no_place' => 'no place, due :due',
    ],
    'tail_today' => 'slack',
    'tail_later' => 'can end as late as',
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
        'passed' => 'Its time went by.',
        'now' => 'Laid out for now. What is left at :end is placed again.',
        'kept' => 'Left here by your undo.',
        'went_by' => 'Its time went by; it has no other place yet.',
    ],
    'why' => [
        'short' => 'Pull :pull: what is due by :day is :time short.',
        'due' => 'Pull :pull; due :day with :time of room.',
        'pull' => 'Pull :pull, no due date.',
    ],
    'bank' => ['picked' => 'Picked, no time yet', 'due_soon' => 'Due soon', 'carried' => 'Carried over', 'best_pull' => 'Best pull'],
];
