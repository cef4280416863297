<?php

declare(strict_types=1);

return [
    // An ISO 8601 moment stops the clock there; "file:/path" reads the moment from a file at every request. Empty: real time.
    'now' => env('NEKTO_NOW', ''),

    // How far ahead work is laid out.
    'horizon_days' => 28,

    // The largest calendar file that is taken.
    'upload_megabytes' => 10,
];
