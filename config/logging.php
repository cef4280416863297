<?php

declare(strict_types=1);

return [
    'default' => env('LOG_CHANNEL', 'stack'),
    'deprecations' => ['channel' => 'null', 'trace' => false],
    'channels' => [
        // A disk that is full must not make a page fail that could have said so: what cannot be written is left out here, and what is critical goes to PHP's own log too.
        'stack' => ['driver' => 'stack', 'channels' => ['daily', 'errorlog'], 'ignore_exceptions' => true],
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => env('LOG_LEVEL', 'info'), 'days' => 14, 'replace_placeholders' => true],
        'errorlog' => ['driver' => 'errorlog', 'level' => 'critical', 'replace_placeholders' => true],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
        'emergency' => ['path' => storage_path('logs/laravel.log')],
    ],
];
