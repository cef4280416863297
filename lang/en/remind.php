<?php

declare(strict_types=1);

return [
    'block' => 'Laid out for :when.',
    'due' => 'Due at :when.',
    'waiting' => 'Ask :person again today.',
    'close_title' => 'Close the day',
    'close' => 'What is left has its place; three lines, and it is over.',
];
