<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Leave;
use App\Accounts\Sample;
use App\Calendars\FetchCalendar;
use App\Catch\ReadMailbox;
use App\Files\Tidy;
use App\Habits\HabitWeeks;
use App\Intake\Intakes;
use App\Ledger\SaidChances;
use App\Meetings\ExtendMeetings;
use App\Meetings\TidyGone;
use App\Models\User;
use App\Planning\Mend;
use App\Planning\NextWake;
use App\Planning\Prospects;
use App\Planning\TakeDay;
use App\Reminders\Remind;
use App\Repeats\ComeBack;
use App\Repeats\Rest;
use App\Time\Clock;
use App\Time\Heartbeat;
use App\Undo\Once;
use App\Undo\Thin;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/**
 * What is done each minute, for the accounts that something may have come up for. One that fails is reported and keeps
 * nobody else waiting; what takes long, as reading files and mail, is left to the queue.
 */
final class Minute extends Command
{
    /** Seconds of each minute in which better plans are looked for. */
    private const LOOKING = 20;

    protected $signature = 'nekto:minute';

    protected $description = 'Mends plans, reminds, expands repeating meetings, hands mail that came to the queue; run it each minute';

    public function handle(Mend $mend, ExtendMeetings $extend, ComeBack $comeBack, HabitWeeks $habits, Rest $rest, Tidy $tidy, Remind $remind, Prospects $prospects, SaidChances $said): int
    {
        $now = Clock::now();
        $failed = 0;
        rescue(static fn () => Sample::tidy($now));
        rescue(static fn () => Leave::carryOut($now));
        rescue(static fn () => ReadMailbox::handOver());
        rescue(static fn () => FetchCalendar::handOver($now));
        foreach (Heartbeat::awake($now)->get() as $awake) {
            $user = User::query()->whereNull('leaves_at')->find($awake->user_id);
            if ($user === null) {
                continue;
            }
            try {
                TakeDay::begun($user, $now);
                $extend($user, $now);
                $comeBack($user, $now);
                $rest($user, $now);
                $habits($user, $now);
                $revision = $mend($user, $now);
                $said->note($user, $prospects->chances($user, $now), $now); // so that no page has to wait for them
                $remind($user, $now);
                Heartbeat::beat($user->id, $now, (int) $awake->count, NextWake::after($user, $now));
                $revision === null || $this->line("Mended the plan of account {$user->id}: ".count($revision->moves).' moves.');
            } catch (\Throwable $error) {
                report($error);
                $failed++;
            }
        }
        $this->lookAnew($prospects, $now);
        $tidy($now);
        Thin::some($now);
        TidyGone::some($now);
        Once::forgetOld($now);
        Intakes::takeUpAgain($now);
        Heartbeat::finish($now);

        return $failed === 0 ? self::SUCCESS : self::FAILURE;
    }

    /** Whether laying out anew would pay, once everybody has been served: it takes as long as laying out does. */
    private function lookAnew(Prospects $prospects, CarbonImmutable $now): void
    {
        $until = hrtime(true) + self::LOOKING * 1_000_000_000;
        foreach (Prospects::unlooked() as $user) {
            if (hrtime(true) > $until) {
                return; // the others come next minute
            }
            try {
                $prospects->lookAnew($user, $now);
            } catch (\Throwable $error) {
                report($error);
            }
        }
    }
}
