<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Area;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\Task;
use App\Models\User;
use App\Rows\RowMapper;
use Nekto\Core\Capture\HoursLine;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Sets of hours: what their weeks are, which dates have others, how they come and go. */
final class HoursEdit
{
    /** Sets of one account. */
    public const MOST_SETS = 20;

    /** Dates with other hours, of one set. */
    public const MOST_DATES = 1000;

    /**
     * A set gets another week.
     *
     * @param  array<string, list<array{string, string}>>  $week
     * @param  bool  $yield  what it gains is taken off the other sets
     */
    public static function week(User $user, HoursSet $set, array $week, bool $yield): void
    {
        if ($yield) {
            foreach (self::yielding($user, $set, $week) as $id => $others) {
                $user->hoursSets()->findOrFail($id)->update(['week' => $others]);
            }
        }
        $set->update(['week' => $week]);
    }

    /**
     * The weeks that other sets would have, where they give what this one gains.
     *
     * @param  array<string, list<array{string, string}>>  $week
     * @return array<int, array<string, list<array{string, string}>>> by set; those that lose nothing left out
     */
    public static function yielding(User $user, HoursSet $set, array $week): array
    {
        $yielding = [];
        foreach ($user->hoursSets()->whereKeyNot($set->id)->get() as $other) {
            $left = [];
            foreach (WeeklyHours::WEEKDAYS as $day) {
                $gained = self::minutes($week[$day] ?? [])->without(self::minutes($set->week[$day] ?? []));
                $left[$day] = array_map(static fn (Interval $one): array => [Stretch::clock($one->start), Stretch::clock($one->end)], self::minutes($other->week[$day] ?? [])->without($gained)->intervals);
            }
            $left = array_filter($left);
            if (self::sum($left) < self::sum($other->week)) {
                $yielding[$other->id] = $left;
            }
        }

        return $yielding;
    }

    /** A new set, with the week of another or none; days off are its days off too. */
    public static function make(User $user, string $name, ?HoursSet $like): HoursSet
    {
        $set = $user->hoursSets()->create(['name' => $name, 'week' => $like->week ?? [], 'position' => 1 + (int) $user->hoursSets()->max('position')]);
        $off = HoursException::query()->whereIn('hours_set_id', $user->hoursSets()->select('id'))->where('everywhere', true)->get()->unique('date');
        foreach ($off as $one) {
            $set->exceptions()->create(['date' => $one->date, 'stretches' => [], 'name' => $one->name, 'everywhere' => true]);
        }

        return $set;
    }

    /** Takes a set away; its areas and tasks go on in another. */
    public static function remove(User $user, HoursSet $set, HoursSet $to): void
    {
        $user->areas()->where('hours_set_id', $set->id)->get()->each(static fn (Area $area) => $area->update(['hours_set_id' => $to->id]));
        $user->tasks()->withTrashed()->where('hours_set_id', $set->id)->get()->each(static fn (Task $task) => $task->forceFill(['hours_set_id' => $to->id])->save());
        $user->repeats()->where('pattern->hours_set_id', $set->id)->get()->each(static fn ($repeat) => $repeat->update(['pattern' => ['hours_set_id' => $to->id] + $repeat->pattern]));
        $set->exceptions()->get()->each(static fn (HoursException $one) => $one->delete());
        $set->delete();
    }

    /** Gives days hours of their own, as a line says; a day off is one in every set. */
    public static function dates(User $user, HoursSet $set, HoursLine $line): void
    {
        $sets = $line->everywhere ? $user->hoursSets()->with('exceptions')->get() : [$set->load('exceptions')];
        foreach ($sets as $one) {
            $hours = RowMapper::hours($one); // as it was before the line
            for ($day = $line->first; $day->number <= $line->last->number; $day = $day->plusDays(1)) {
                $stretches = HoursReader::together([...$line->stretches, ...($day->equals($line->first) ? [] : $line->next)]);
                self::date($one, $day, $stretches, $line->name, $line->everywhere);
            }
            if ($line->next !== []) { // the rest of the last night
                $after = $line->last->plusDays(1);
                self::date($one, $after, HoursReader::together([...$hours->on($after), ...$line->next]), $line->name, false);
            }
        }
    }

    /**
     * Closes days, in one set or in every one; a date with hours of its own keeps them, in whichever set.
     *
     * @param  array<string, string>  $names  by date
     */
    public static function close(User $user, HoursSet $set, array $names, bool $everywhere): void
    {
        foreach ($everywhere ? $user->hoursSets()->with('exceptions')->get() : [$set->load('exceptions')] as $one) {
            foreach (array_diff_key($names, $one->exceptions->keyBy('date')->all()) as $date => $name) {
                $one->exceptions()->create(['date' => $date, 'stretches' => [], 'name' => $name === '' ? null : $name, 'everywhere' => $everywhere]);
            }
        }
    }

    /** A date has its usual hours again; a day off, in every set. */
    public static function usual(User $user, HoursException $date): void
    {
        if (! $date->everywhere) {
            $date->delete();

            return;
        }
        HoursException::query()->whereIn('hours_set_id', $user->hoursSets()->select('id'))->where('date', $date->date)->where('everywhere', true)->get()->each(static fn (HoursException $one) => $one->delete());
    }

    /** Whether a set can have so many dates more. */
    public static function hasRoom(HoursSet $set, int $days): bool
    {
        return $set->exceptions()->count() + $days <= self::MOST_DATES;
    }

    /** @param  list<Stretch>  $stretches */
    private static function date(HoursSet $set, LocalDay $day, array $stretches, string $name, bool $everywhere): void
    {
        $set->exceptions()->updateOrCreate(['date' => $day->asString()], ['stretches' => HoursReader::pairs($stretches), 'name' => $name === '' ? null : $name, 'everywhere' => $everywhere]);
    }

    /** @param  list<array{string, string}>  $day */
    private static function minutes(array $day): IntervalSet
    {
        return IntervalSet::covering(...array_map(static fn (array $pair): Interval => new Interval(Stretch::minutes($pair[0]), Stretch::minutes($pair[1])), $day));
    }

    /** @param  array<string, list<array{string, string}>>  $week */
    private static function sum(array $week): int
    {
        return array_sum(array_map(static fn (array $day): int => self::minutes($day)->length(), $week));
    }
}
