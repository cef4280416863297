<?php

declare(strict_types=1);

// Behind TLS a cookie that no other host can set and no plain connection carries.
$isSecure = (bool) env('SESSION_SECURE_COOKIE', str_starts_with((string) env('APP_URL', ''), 'https://'));

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 30, // minutes; what a sign-in that does not stay has, SigningIn says
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => $isSecure ? '__Host-nekto' : 'nekto_session',
    'path' => '/',
    'domain' => null,
    'secure' => $isSecure,
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
