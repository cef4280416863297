<?php

declare(strict_types=1);

return [
    'page_expired' => 'This page had been open too long to be sure it was you. Nothing was lost: send it again.',
    'arrived_before' => 'That had arrived before; nothing is there twice.',
    'text_changed' => 'It was changed elsewhere meanwhile and now says: :text. What you typed is here, not stored: send it once more to put yours in its place.',
    'text_empty' => 'nothing',
    'unreadable' => 'There are characters in it that no text has (a NUL, or bytes that are not UTF-8). Nothing was changed: take them out and send it again.',
    'one_value' => 'Something came as a list that can be one value only. Nothing was changed: load the page again and repeat it.',
    'no_rows' => 'Nekto answers, but cannot read its database: is DB_DATABASE right, and was php artisan migrate run?',
    'up' => 'Nekto is up.',
    'worker_ran' => 'The worker last looked after plans at :at UTC.',
    'worker_late' => 'The worker last looked after plans at :at UTC, :minutes minutes ago: is the scheduler running?',
    'worker_never' => 'The worker has not looked after plans within a day: is the scheduler running?',
];
