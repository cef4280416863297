<?php

declare(strict_types=1);

namespace App\Meetings;

use App\ICalendar\EventGroup;
use App\ICalendar\UnreadableCalendar;
use App\Models\User;
use App\Planning\Mend;
use App\Time\Clock;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;

/**
 * Reads all meetings of an account once more, some at a time: the person is in another zone, or has another address, so
 * that whole days, floating times and answers are others.
 */
final class ReadAgain implements ShouldQueue
{
    use Queueable;

    private const AT_ONCE = 100;

    public int $timeout = 120;

    public function __construct(private readonly int $user, private readonly int $after = 0) {}

    /** Hands them to the queue if they were read as somebody else's. */
    public static function ifNeeded(User $user): void
    {
        $as = self::as($user);
        if ($user->read_as === $as || $user->meetings()->doesntExist()) {
            return;
        }
        $user->forceFill(['read_as' => $as])->save();
        self::dispatch($user->id)->afterCommit();
    }

    public function handle(Mend $mend): void
    {
        $user = User::query()->find($this->user);
        if ($user === null) {
            return;
        }
        $now = Clock::now();
        $reader = TakeEvents::reader($user, $now);
        $some = $user->meetings()->whereNull('gone_at')->where('source', '!=', '')->where('id', '>', $this->after)->orderBy('id')->limit(self::AT_ONCE)->get();
        foreach ($some as $meeting) {
            try {
                $draft = TakeEvents::read($reader, new EventGroup($meeting->uid, 0, $meeting->source));
                DB::transaction(static fn () => StoreMeeting::now($meeting, $draft, $now));
            } catch (UnreadableCalendar|NeverComesRound $error) {
                Log::warning("Meeting {$meeting->id} could be read once and cannot any more: {$error->getMessage()}");
            }
        }
        $last = $some->last();
        $last === null ? $mend($user, $now) : self::dispatch($user->id, $last->id);
    }

    /** As whose meetings they are read. */
    private static function as(User $user): string
    {
        return hash('sha256', $user->zone.' '.implode(',', $user->calendarAddresses()));
    }
}
