<?php

declare(strict_types=1);

return [
    'chance' => ['sure' => 'over 98 % in time', 'hardly' => 'under 2 % in time', 'percent' => ':percent % in time'],
    'pressure' => ['none' => 'none', 'no_time' => 'no open time left', 'most' => 'over :percent %'],
];
