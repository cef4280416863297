<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\HoursSet;
use App\Models\User;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Container\Attributes\CurrentUser;
use Nekto\Core\Capture\HoursLine;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\LocalDay;

/** Hours and changes of them in words. */
final readonly class HoursWords
{
    /** Days that a question names; more are counted. */
    private const NAMED = 2;

    public function __construct(#[CurrentUser] private User $user) {}

    /**
     * What another week would be, as a question: "Wednesday to 18:00?".
     *
     * @param  array<string, list<array{string, string}>>  $before
     * @param  array<string, list<array{string, string}>>  $after
     */
    public function change(array $before, array $after): string
    {
        $changed = array_values(array_filter(WeeklyHours::WEEKDAYS, static fn (string $day): bool => ($before[$day] ?? []) !== ($after[$day] ?? [])));
        $words = array_unique(array_map(fn (string $day): string => $this->ofDay($before[$day] ?? [], $after[$day] ?? []), $changed));
        $names = array_map(fn (string $day): string => Dates::of($this->user)->weekday(1 + (int) array_search($day, WeeklyHours::WEEKDAYS, true)), $changed);

        return match (true) {
            $changed === [] => '',
            count($words) === 1 && count($changed) <= self::NAMED => implode(' '.__('settings.and').' ', $names).' '.$words[0].'?',
            count($words) === 1 => trans_choice('settings.days_change', count($changed)).' '.$words[0].'?',
            default => trans_choice('settings.days_change', count($changed)).'?',
        };
    }

    /**
     * What other sets would give.
     *
     * @param  array<int, array<string, list<array{string, string}>>>  $weeks  by set
     * @return list<string>
     */
    public function yielding(array $weeks): array
    {
        $said = [];
        foreach ($this->user->hoursSets()->whereKey(array_keys($weeks))->get() as $set) {
            $said[] = __('settings.yields', ['name' => $set->name, 'what' => rtrim($this->change($set->week, $weeks[$set->id]), '?')]);
        }

        return $said;
    }

    /** @return list<string> what goes where, where a set is taken away */
    public function moving(HoursSet $set, HoursSet $to): array
    {
        $areas = $this->user->areas()->where('hours_set_id', $set->id)->pluck('name')->all();
        $tasks = $this->user->tasks()->where('hours_set_id', $set->id)->count();

        return array_values(array_filter([
            $areas === [] ? '' : __('settings.areas_move', ['areas' => implode(', ', $areas), 'to' => $to->name]),
            $tasks === 0 ? '' : trans_choice('settings.tasks_move', $tasks, ['to' => $to->name]),
        ]));
    }

    public function line(HoursLine $line): string
    {
        $days = $line->first->equals($line->last) ? $this->day($line->first) : $this->day($line->first).' '.__('settings.to').' '.$this->day($line->last);
        $hours = match (true) {
            $line->everywhere => __('settings.day_off'),
            $line->stretches === [] => __('settings.closed'),
            default => $this->pairs(HoursReader::pairs($line->stretches)),
        };

        return "{$days}: {$hours}".($line->name === '' ? '' : ", {$line->name}");
    }

    /** With its year, where that is another than the present one. */
    public function day(LocalDay $day): string
    {
        $dates = Dates::of($this->user);

        return $day->year() === Moments::today($this->user, Clock::now())->year() ? $dates->short($day) : $dates->full($day);
    }

    /** @param  list<array{string, string}>  $pairs */
    public function pairs(array $pairs): string
    {
        return implode(', ', array_map(fn (array $pair): string => Times::between($this->user, Stretch::minutes($pair[0]), Stretch::minutes($pair[1])), $pairs));
    }

    /** @param  list<array{line: int, what: string}>  $problems */
    public function holidays(int $taken, int $held, int $timed, array $problems): string
    {
        return implode(' ', array_filter([
            trans_choice('settings.holidays.taken', $taken),
            $held === 0 ? '' : trans_choice('settings.holidays.held', $held),
            $timed === 0 ? '' : trans_choice('settings.holidays.timed', $timed),
            ...array_map(static fn (array $one): string => __('settings.holidays.problem', $one), array_slice($problems, 0, 3)),
        ]));
    }

    /**
     * @param  list<array{string, string}>  $before
     * @param  list<array{string, string}>  $after
     */
    private function ofDay(array $before, array $after): string
    {
        $at = fn (string $clock): string => Times::ofDay($this->user, Stretch::minutes($clock));
        $changed = [];
        if (count($before) === count($after)) {
            foreach ($after as $i => $pair) {
                $pair[0] === $before[$i][0] || $changed[] = ['from', $pair[0]];
                $pair[1] === $before[$i][1] || $changed[] = ['to', $pair[1]];
            }
        }

        return match (true) {
            $after === [] => __('settings.closed'),
            count($changed) === 1 => __("settings.{$changed[0][0]}").' '.$at($changed[0][1]),
            default => $this->pairs($after),
        };
    }
}
