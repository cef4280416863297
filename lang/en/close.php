<?php

declare(strict_types=1);

return [
    'states' => ['done' => 'done', 'not_planned' => 'not planned', 'part_done' => 'part done', 'to_come' => 'still to come', 'not_begun' => 'not begun'],
    'keys' => ['kept' => 'kept', 'open' => 'still open', 'missed' => 'missed'],
];
