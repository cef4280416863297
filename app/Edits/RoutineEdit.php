<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\LunchDay;
use App\Models\Routine;
use App\Models\RoutineDay;
use App\Models\User;

/** What of a routine, or of lunch, is otherwise on one day. */
final class RoutineEdit
{
    /** Of one account. */
    public const MOST = 60;

    public const MOST_PARTS = 20;

    /** @param  array<string, mixed>  $columns  of routine_days */
    public static function day(Routine $routine, string $date, array $columns): void
    {
        $day = $routine->otherDays()->where('date', $date)->first() ?? $routine->otherDays()->make(['user_id' => $routine->user_id, 'date' => $date]);
        $day->fill($columns);
        self::isUsual($day) ? $day->delete() : $day->save();
    }

    /** A part of it is done, or not after all. */
    public static function tick(Routine $routine, string $date, int $part): void
    {
        $ticked = $routine->otherDays()->where('date', $date)->first()->ticked ?? [];
        $ticked = in_array($part, $ticked, true) ? array_values(array_diff($ticked, [$part])) : [...$ticked, $part];
        sort($ticked);
        self::day($routine, $date, ['ticked' => $ticked === [] ? null : $ticked]);
    }

    /**
     * Lunch of one day: at another time, or none; at its usual time it is as every day.
     *
     * @param  array{int, int}|null  $time  minutes of the day; null: none
     */
    public static function lunch(User $user, string $date, ?array $time): void
    {
        if ($time === [$user->lunch_from, $user->lunch_to]) {
            $user->lunchDays()->where('date', $date)->get()->each(static fn (LunchDay $day) => $day->delete());

            return;
        }
        $user->lunchDays()->updateOrCreate(['date' => $date], ['from' => $time[0] ?? null, 'to' => $time[1] ?? null]);
    }

    private static function isUsual(RoutineDay $day): bool
    {
        return $day->at === null && $day->minutes === null && ! $day->dropped && ($day->ticked ?? []) === [];
    }
}
