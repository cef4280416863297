<?php

declare(strict_types=1);

namespace App\Meetings;

/** An event group as it lies in time. */
final readonly class MeetingDraft
{
    /**
     * @param  list<OccurrenceDraft>  $occurrences  within the window
     * @param  bool  $goesOn  true if there are more after the window
     * @param  string|null  $organizer  mail address
     * @param  int  $sequence  how often it was changed, as its organizer counts
     * @param  bool  $invited  the owner is one of those who were asked
     */
    public function __construct(public string $summary, public array $occurrences, public bool $goesOn, public ?string $organizer = null, public int $sequence = 0, public bool $invited = false) {}
}
