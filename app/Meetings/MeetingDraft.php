<?php

declare(strict_types=1);

namespace App\Meetings;

/** An event group as it lies in time. */
final readonly class MeetingDraft
{
    /**
     * @param  list<array{summary: string, place: string|null, starts_at: string, ends_at: string, all_day: bool, busy: bool}>  $occurrences
     *                                                                                                                                       UTC, within the window
     * @param  bool  $goesOn  true if there are more after the window
     */
    public function __construct(public string $summary, public array $occurrences, public bool $goesOn) {}
}
