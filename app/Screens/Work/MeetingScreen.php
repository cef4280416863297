<?php

declare(strict_types=1);

namespace App\Screens\Work;

use App\Models\Occurrence;
use App\Models\User;

/** A meeting at its time, with the address to join it and its note. */
final readonly class MeetingScreen
{
    private function __construct(public Occurrence $occurrence, public ?string $join, public string $note) {}

    public static function of(User $user, Occurrence $occurrence): self
    {
        $note = $user->meetingNotes()->where('meeting_id', $occurrence->meeting_id)->where('starts_at', $occurrence->starts_at)->value('text');
        preg_match('~https?://[^\s<>"]+~', (string) $occurrence->place, $link);

        return new self($occurrence, $link[0] ?? null, (string) $note);
    }
}
