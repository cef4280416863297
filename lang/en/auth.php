<?php

declare(strict_types=1);

return [
    'failed' => 'That address and password do not belong together. Check both and try again.',
    'idle' => 'You did nothing for a while, so you were signed out. Sign in, and go on where you were.',
    'again' => 'That took a while. Type your password again.',
    'sign_in' => 'Sign in first.',
];
