<?php

declare(strict_types=1);

/* The week planned in one run. */
return [
    'group' => ['over' => 'Comes over', 'due' => 'Due', 'picked' => 'Picked', 'step' => 'Steps of goals', 'pull' => 'By pull'],
    'waits' => 'waits until next week',
    'later' => ':minutes more later',
    'several' => ':days',
    'taken' => '{0} Nothing was picked.|{1} One task has its day.|[2,*] :count tasks have their days.',
    'over' => ':days would be over',
    'fits' => 'each day fits',
    'empty' => 'Nothing is weighed and estimated that could be done this week.',
    'no_days' => 'No day of this week has open time any more.',
    'short' => ':name cannot wait with the rest: :minutes short.',
    'odd' => 'Choose a day of the week for it, or let it wait.',
];
