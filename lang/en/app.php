<?php

declare(strict_types=1);

return [
    'span' => ':from to :to',
    'page_expired' => 'This page had been open too long to be sure it was you. Nothing was lost: send it again.',
    'kept' => 'You had been signed out. What you had typed is here again: look it over and send it.',
    'trouble' => [
        'full' => 'The disk Nekto writes to is full. Make room on it, then try again.',
        'read_only' => 'Nekto may read its database or its files, but not write them.',
        'locked' => 'The database has been busy for longer than it should be. Try again in a moment.',
        'no_database' => 'The database cannot be opened or read.',
    ],
    'arrived_before' => 'That had arrived before; nothing is there twice.',
    'text_changed' => 'It was changed elsewhere meanwhile and now says: :text. What you typed is here, not stored: send it once more to put yours in its place.',
    'text_empty' => 'nothing',
    'unreadable' => 'There are characters in it that no text has (a NUL, or bytes that are not UTF-8). Nothing was changed: take them out and send it again.',
    'one_value' => 'Something came as a list that can be one value only. Nothing was changed: load the page again and repeat it.',
    'no_rows' => 'Nekto answers, but cannot read and write its database: is DB_DATABASE right, and was php artisan migrate run?',
    'written' => 'The database can be read and written.',
    'room' => ':megabytes MB are free.',
    'room_short' => 'Only :megabytes MB are free: make room.',
    'queue' => '{0} No file waits to be read.|{1} One file waits to be read.|[2,*] :count files wait to be read.',
    'queue_late' => ':count files wait to be read, the first for :minutes minutes: is php artisan queue:work running?',
    'up' => 'Nekto is up.',
    'worker_ran' => 'The worker last looked after plans at :at UTC.',
    'worker_late' => 'The worker last looked after plans at :at UTC, :minutes minutes ago: is the scheduler running?',
    'worker_never' => 'The worker has not looked after plans within a day: is the scheduler running?',
    'lens' => [
        'outside' => 'outside',
        'others' => '{1} one outside :lens|[2,*] :count outside :lens',
        'no_groups' => 'A lens is a group of areas and calendars, as work or home. Make one in the settings, under areas.',
    ],
];
