<?php

declare(strict_types=1);

return [
    'failed' => 'That address and password do not belong together. Check both and try again.',
    'sign_in' => 'Sign in first.',
    'welcome' => 'Your account is open. Write down the first thing that has come at you.',
];
