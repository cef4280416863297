<?php

declare(strict_types=1);

return [
    'pressure' => ['none' => 'none', 'no_time' => 'no open time left', 'most' => 'over :percent %'],
];
