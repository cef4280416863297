<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Occurrence;
use App\Models\TaskStage;
use App\Models\User;
use App\Rows\RowMapper;
use App\Rows\RunningClock;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/**
 * When the clock alone will next give an account something to be done: a block that begins or is over, a due time, the hour
 * of closing, hours that begin, a new day. Between those only a change does, and every change wakes the account.
 */
final class NextWake
{
    /** Minutes; no account sleeps longer. */
    private const LONGEST = 15;

    /** Minute of the day from which answers that are waited for are spoken of. */
    private const MORNING = 480;

    public static function after(User $user, CarbonImmutable $now): CarbonImmutable
    {
        if (RunningClock::of($user) !== null) {
            return $now->addMinute(); // its block may have to be carried on
        }
        $next = $now->addMinutes(self::LONGEST);
        foreach ([...self::marks($user, $now), ...self::meetings($user, $now, $next), ...self::blocks($user, $now, $next), ...self::due($user, $now, $next)] as $moment) {
            if ($moment > $now && $moment < $next) {
                $next = $moment;
            }
        }

        return $next;
    }

    /** @return list<CarbonImmutable> minutes of the person's own day */
    private static function marks(User $user, CarbonImmutable $now): array
    {
        $day = Moments::today($user, $now);
        $starts = $user->hoursSets()->with('exceptions')->get()->flatMap(static fn ($set): array => array_map(static fn ($stretch): int => $stretch->from, RowMapper::hours($set)->on($day)))->all();
        $at = static fn (LocalDay $day, int $minute): CarbonImmutable => Moments::moment(Zones::named($user->zone)->at($day, $minute));

        return [
            $at($day->plusDays(1), 0),
            ...array_values(array_map(static fn (int $minute): CarbonImmutable => $at($day, $minute), array_filter([self::MORNING, $user->close_at, $user->review_at, ...$user->reports()->whereNotNull('remind_at')->pluck('remind_at')->all(), ...$starts], is_int(...)))),
        ];
    }

    /** @return list<CarbonImmutable> when it is time to be reminded of them */
    private static function meetings(User $user, CarbonImmutable $now, CarbonImmutable $until): array
    {
        $coming = $user->occurrences()->interrupting()->with('meeting.calendar')->where('starts_at', '>', $now)->where('starts_at', '<=', $until->addMinutes(RowMapper::FURTHEST_WAY))->limit(50)->get();

        return array_values($coming->map(static fn (Occurrence $one): CarbonImmutable => $one->starts_at->subMinutes(RowMapper::announced($one, $user)))->all());
    }

    /** @return list<CarbonImmutable> */
    private static function blocks(User $user, CarbonImmutable $now, CarbonImmutable $until): array
    {
        $moments = [];
        $blocks = $user->blocks()->planned()->where('starts_at', '<=', $until->addMinutes($user->remind_before))->where('ends_at', '>', $now->subDay())->toBase()->get(['starts_at', 'ends_at']);
        foreach ($blocks as $block) {
            $start = CarbonImmutable::parse($block->starts_at, 'UTC');
            array_push($moments, $start->subMinutes($user->remind_before), $start, CarbonImmutable::parse($block->ends_at, 'UTC'));
        }

        return $moments;
    }

    /** @return list<CarbonImmutable> of times; a day's due time depends on its hours, so it is looked at each five minutes */
    private static function due(User $user, CarbonImmutable $now, CarbonImmutable $until): array
    {
        $open = static fn () => $user->tasks()->whereNull('done_at')->whereIn('stage', [TaskStage::Open, TaskStage::Inbox])->toBase();
        $times = $open()->where('due_at', '>', $now)->where('due_at', '<=', $until->addMinutes($user->remind_before))->pluck('due_at')
            ->map(static fn ($due): CarbonImmutable => CarbonImmutable::parse($due, 'UTC')->subMinutes($user->remind_before));

        return [...array_values($times->all()), ...($open()->where('due_on', $user->local($now)->format('Y-m-d'))->exists() ? [$now->addMinutes(5)] : [])];
    }
}
