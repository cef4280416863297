<?php

declare(strict_types=1);

namespace App\Screens\Meetings;

use App\Models\CalendarGroup;
use App\Models\User;

/** What the page of meetings and calendars shows. */
final readonly class MeetingsPage
{
    /**
     * @param  list<array{group: CalendarGroup|null, name: string, rows: list<CalendarRow>, shown: bool}>  $groups
     * @param  list<array{label: string, isToday: bool, rows: list<MeetingRow>}>  $days
     * @param  list<array{float, string}>  $marks  hours of the tapes: place and hour
     * @param  list<array{float, float, bool}>  $line  stretches of the tapes: left, width, open time or not
     * @param  float|null  $nowAt  on the tapes
     * @param  int  $minutes  of the meetings that block
     */
    public function __construct(
        public User $user,
        public array $groups,
        public array $days,
        public array $marks,
        public array $line,
        public ?float $nowAt,
        public string $span,
        public int $count,
        public int $minutes,
        public int $toAnswer,
        public int $calendars,
        public int $failing,
    ) {}
}
