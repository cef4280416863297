<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catch\ReadMailbox;
use App\Files\Tidy;
use App\Meetings\ExtendMeetings;
use App\Meetings\TakeEvents;
use App\Models\CalendarImport;
use App\Models\User;
use App\Planning\Mend;
use App\Planning\Prospects;
use App\Planning\TakeDay;
use App\Reminders\Remind;
use App\Repeats\ComeBack;
use App\Time\Clock;
use App\Time\Heartbeat;
use App\Undo\Once;
use Carbon\CarbonImmutable;
use Illuminate\Console\Command;

/** What is done each minute for every account. One that fails is reported and keeps nobody else waiting. */
final class Minute extends Command
{
    /** Imports that nobody watches any more are gone on with after so many minutes. */
    private const ABANDONED = 2;

    /** Seconds of each minute in which better plans are looked for. */
    private const LOOKING = 20;

    /** Steps of one import a minute. */
    private const STEPS = 20;

    protected $signature = 'nekto:minute';

    protected $description = 'Mends plans, reads mailboxes, reminds, expands repeating meetings, goes on with imports; run it each minute';

    public function handle(Mend $mend, ExtendMeetings $extend, TakeEvents $take, ReadMailbox $mailbox, ComeBack $comeBack, Tidy $tidy, Remind $remind, Prospects $prospects): int
    {
        $now = Clock::now();
        $failed = 0;
        foreach (User::query()->lazyById() as $user) {
            try {
                TakeDay::begun($user, $now);
                $extend($user, $now);
                $mailbox($user, $now);
                $comeBack($user, $now);
                $revision = $mend($user, $now);
                $prospects->chances($user, $now); // so that no page has to wait for them
                $remind($user, $now);
                Heartbeat::beat($user->id, $now);
                $revision === null || $this->line("Mended the plan of account {$user->id}: ".count($revision->moves).' moves.');
            } catch (\Throwable $error) {
                report($error);
                $failed++;
            }
        }
        $this->lookAnew($prospects, $now);
        $tidy($now);
        Once::forgetOld($now);
        foreach (CalendarImport::query()->whereNull('finished_at')->where('updated_at', '<', $now->subMinutes(self::ABANDONED))->with('user')->get() as $import) {
            for ($steps = 0; $import->finished_at === null && $steps < self::STEPS; $steps++) {
                $take->step($import, $now);
            }
        }

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
