<?php

declare(strict_types=1);

namespace App\Screens\Work;

use App\Calendars\ByHand;
use App\Calendars\OwnMeeting;
use App\ICalendar\Description;
use App\ICalendar\JoinLink;
use App\Models\MeetingNote;
use App\Models\Occurrence;
use App\Models\User;

/** A meeting at its time, with the address to join it and its note. */
final readonly class MeetingScreen
{
    /** Notes of other times of the same meeting. */
    private const EARLIER = 12;

    /** @param  list<MeetingNote>  $earlier  what was written down for its other times, the latest first */
    private function __construct(public Occurrence $occurrence, public ?string $join, public string $note, public array $earlier, public bool $isAsked, public string $description, public ?OwnMeeting $own) {}

    public static function of(User $user, Occurrence $occurrence): self
    {
        $occurrence->setRelation('meeting', $user->meetings()->with('calendar')->findOrFail($occurrence->meeting_id)); // all of it: what a tape needs is less
        $note = $user->meetingNotes()->where('meeting_id', $occurrence->meeting_id)->where('starts_at', $occurrence->starts_at)->value('text');
        $others = $user->meetingNotes()->where('meeting_id', $occurrence->meeting_id)->where('starts_at', '!=', $occurrence->starts_at)->orderByDesc('starts_at')->limit(self::EARLIER)->get();

        return new self($occurrence, $occurrence->link ?? JoinLink::ofText((string) $occurrence->place), (string) $note, array_values($others->all()), $occurrence->meeting->isAsked(), Description::of($occurrence->meeting->source), $occurrence->meeting->by_hand === null ? null : ByHand::of($occurrence->meeting));
    }
}
