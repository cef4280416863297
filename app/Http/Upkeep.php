<?php

declare(strict_types=1);

namespace App\Http;

use App\Habits\HabitWeeks;
use App\Models\User;
use App\Planning\Mend;
use App\Planning\TakeDay;
use App\Repeats\ComeBack;
use App\Rows\WorkTime;
use App\Time\Heartbeat;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\View;

/**
 * What a request does for the plan if the worker has not done so this minute. A page never dies of that: what fails is
 * reported, and the page shows the former plan and says so.
 */
final readonly class Upkeep
{
    public function __construct(private Mend $mend, private ComeBack $comeBack, private HabitWeeks $habits) {}

    /**
     * True if the plan was mended.
     *
     * @param  \Closure(): WorkTime  $time  as Mend takes it, read only if it is needed
     */
    public function __invoke(User $user, CarbonImmutable $now, ?\Closure $time = null): bool
    {
        if (Heartbeat::isDone($user->looked_after_at, $now) || Heartbeat::sleeps($user->id, $now)) {
            return false;
        }
        try {
            TakeDay::begun($user, $now);
            ($this->comeBack)($user, $now);

            $isNew = ($this->habits)($user, $now) !== null;

            return ($this->mend)($user, $now, $time === null ? null : $time()) !== null || $isNew;
        } catch (\Throwable $error) {
            report($error);
            View::share('notMended', __('plan.not_mended'));

            return false;
        }
    }
}
