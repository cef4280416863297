<?php

declare(strict_types=1);

return [
    // Argon2id takes passwords whole, where bcrypt cuts them after 72 bytes; its costs as OWASP's cheat sheet on password storage has them.
    'driver' => 'argon2id',
    'argon' => ['memory' => (int) env('HASH_KILOBYTES', 19_456), 'time' => (int) env('HASH_ROUNDS', 2), 'threads' => 1, 'verify' => false], // those of earlier versions are still read, and made anew at the next sign-in
    'bcrypt' => ['rounds' => 12, 'verify' => false],
    'rehash_on_login' => false, // CheckPassword does
];
