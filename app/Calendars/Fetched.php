<?php

declare(strict_types=1);

namespace App\Calendars;

/** What an address answered. */
final readonly class Fetched
{
    /**
     * @param  string|null  $bytes  the calendar; null: it is as it was
     * @param  string|null  $etag  what is said with the next question
     * @param  string|null  $modified  likewise
     */
    public function __construct(public ?string $bytes, public ?string $etag, public ?string $modified) {}
}
