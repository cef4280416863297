<?php

declare(strict_types=1);

return [
    'not_a_window' => 'That is no window of ours.',
    'meeting' => ':when:place.',
    'block' => 'Laid out for :when.',
    'due' => 'Due at :when.',
    'waiting' => 'Ask :person again today.',
    'close_title' => 'Close the day',
    'close' => 'Three lines, and it is over.',
    'review_title' => 'Review the week',
    'review' => 'Seven steps: what was won, what slipped, what comes.',
    'report' => 'Look at it, change it, send it.',
];
