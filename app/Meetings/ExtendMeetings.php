<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Models\Meeting;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Expands repeating meetings further as time goes on. */
final readonly class ExtendMeetings
{
    /** Expanded again once less than this lies ahead, a few at a time. */
    private const DAYS = 200;

    private const AT_ONCE = 50;

    public function __invoke(User $user, CarbonImmutable $now): void
    {
        ReadAgain::ifNeeded($user);
        $reader = TakeEvents::reader($user, $now);
        /** @var \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings */
        $meetings = $user->meetings()->whereNull('gone_at')->where('expanded_until', '<', $now->addDays(self::DAYS))->orderBy('id')->limit(self::AT_ONCE)->get();
        foreach ($meetings as $meeting) {
            $this->expand($meeting, $reader, $now);
        }
    }

    private function expand(Meeting $meeting, EventReader $reader, CarbonImmutable $now): void
    {
        try {
            $draft = TakeEvents::read($reader, new EventGroup($meeting->uid, 0, $meeting->source));
            DB::transaction(static fn () => StoreMeeting::now($meeting, $draft, $now));
        } catch (UnreadableCalendar|NeverComesRound $error) {
            report($error); // it could be read once: keep what it gave then
            $meeting->update(['expanded_until' => null]);
        }
    }
}
