<?php

declare(strict_types=1);

namespace App\Review;

use App\Models\EstimateUse;
use App\Models\HoursSet;
use App\Models\PlanRevision;
use App\Models\User;
use App\Planning\Replan;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Time\Weeks;
use Carbon\CarbonImmutable;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Time\LocalDay;

/** Makes a rule of "next time"; the plan follows, and undo takes it back. */
final readonly class MakeRule
{
    private const AFTER = 15;

    private const MARGIN = 5;

    private const MOST_MARGIN = 60;

    private const RESERVE = [960, 30];

    private const SOONER = 2;

    public function __construct(private Replan $replan) {}

    /** @return PlanRevision|null null where it holds already */
    public function __invoke(User $user, SlipRule $rule, CarbonImmutable $now): ?PlanRevision
    {
        $next = Weeks::first($user, Moments::today($user, $now))->plusDays(7);
        if (self::holds($user, $rule, $next)) {
            return null;
        }

        return $this->replan->after($user, $now, static function () use ($user, $rule, $now, $next): void {
            match ($rule) {
                SlipRule::After => $user->update(['buffer_after' => max($user->buffer_after, self::AFTER)]),
                SlipRule::Careful => $user->update(['estimates' => EstimateUse::Careful]),
                SlipRule::Margin => $user->update(['margin_percent' => $user->margin_percent + self::MARGIN]),
                SlipRule::Reserve => $user->routines()->create(['title' => __('review.rule.reserve_title'), 'at' => self::RESERVE[0], 'minutes' => self::RESERVE[1], 'days' => 'mon,tue,wed,thu,fri', 'from' => Moments::today($user, $now)->asString(), 'parts' => []]),
                SlipRule::Sooner => $user->update(['ask_after' => max(1, $user->ask_after - self::SOONER)]),
                SlipRule::Hours => self::openEarlier($user, $next),
            };
        });
    }

    /** @param  LocalDay  $next  the first day of the next week, to which an hour set belongs */
    public static function holds(User $user, SlipRule $rule, LocalDay $next): bool
    {
        return match ($rule) {
            SlipRule::After => $user->buffer_after >= self::AFTER,
            SlipRule::Careful => $user->estimates === EstimateUse::Careful,
            SlipRule::Margin => $user->margin_percent >= self::MOST_MARGIN,
            SlipRule::Reserve => $user->routines()->where('title', __('review.rule.reserve_title'))->exists(),
            SlipRule::Sooner => $user->ask_after <= 1,
            SlipRule::Hours => $user->hoursSets()->first()?->exceptions()->where('name', __('review.rule.hours_name'))->whereBetween('date', [$next->asString(), $next->plusDays(6)->asString()])->exists() ?? false,
        };
    }

    private static function openEarlier(User $user, LocalDay $first): void
    {
        $set = $user->hoursSets()->with('exceptions')->first();
        if (! $set instanceof HoursSet) {
            return;
        }
        for ($i = 0; $i < 7; $i++) {
            $day = $first->plusDays($i);
            $stretches = RowMapper::hours($set)->on($day);
            if ($day->weekday() > 4 || $stretches === [] || $stretches[0]->from < 60) {
                continue;
            }
            $stretches[0] = new Stretch($stretches[0]->from - 60, $stretches[0]->to);
            $set->exceptions()->updateOrCreate(['date' => $day->asString()], ['stretches' => array_map(static fn (Stretch $one): array => [Stretch::clock($one->from), Stretch::clock($one->to)], $stretches), 'name' => __('review.rule.hours_name')]);
        }
    }
}
