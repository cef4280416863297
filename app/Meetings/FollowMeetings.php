<?php

declare(strict_types=1);

namespace App\Meetings;

use App\Models\Calendar;
use App\Models\Meeting;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Overrun;
use App\Planning\Replan;
use App\Undo\Journal;
use Carbon\CarbonImmutable;

/** Lets the plan follow meetings that came, changed or went by themselves: at once, calmly, as one change that can be undone. */
final readonly class FollowMeetings
{
    /** Meetings of one change; of an emptied calendar of thousands there are several, each short. */
    private const AT_ONCE = 1000;

    /** So many are named in the note. */
    private const NAMED = 3;

    public function __construct(private Replan $replan, private Journal $journal) {}

    /**
     * @param  Calendar  $calendar  they are of
     * @param  list<int>  $gone  ids of meetings that are no more
     * @param  bool  $hasMore  others came or changed
     */
    public function __invoke(Calendar $calendar, array $gone, bool $hasMore, CarbonImmutable $now): void
    {
        if ($gone === [] && ! $hasMore) {
            return;
        }
        $parts = array_chunk($gone, self::AT_ONCE);
        $last = array_pop($parts) ?? [];
        $user = $calendar->user->refresh();
        foreach ($parts as $ids) {
            $this->gone($user, $calendar, $ids, $now);
        }
        if ($user->mend_asks) { // what follows for the plan is shown first
            $this->gone($user, $calendar, $last, $now);

            return;
        }
        try {
            self::tell($this->replan->after($user, $now, static function () use ($user, $last, $now): void {
                Gone::mark($last, $now);
                Overrun::extend($user, $now);
            }, RevisionCause::Fetched), $calendar, $last);
        } catch (\Throwable $error) {
            report($error);
            $this->gone($user, $calendar, $last, $now); // that they are gone does not hang on a plan
        }
    }

    /** @param  list<int>  $ids */
    private function gone(User $user, Calendar $calendar, array $ids, CarbonImmutable $now): void
    {
        $ids === [] || self::tell($this->journal->record($user, RevisionCause::Fetched, $now, static fn () => Gone::mark($ids, $now)), $calendar, $ids);
    }

    /** @param  list<int>  $ids */
    private static function tell(?PlanRevision $revision, Calendar $calendar, array $ids): void
    {
        $ids === [] || $revision?->update(['went' => ['calendar' => $calendar->name, 'names' => Meeting::query()->whereKey(array_slice($ids, 0, self::NAMED))->pluck('summary')->all(), 'count' => count($ids)]]);
    }
}
