<?php

declare(strict_types=1);

namespace App\Screens\Settings;

use App\Models\Area;
use App\Models\HoursException;
use App\Models\HoursSet;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Wording\Dates;
use App\Wording\HoursWords;
use App\Wording\Times;
use Illuminate\Support\Collection;
use Nekto\Core\Hours\HoursReader;
use Nekto\Core\Hours\InvalidHours;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Time\LocalDay;

/** Sets of hours as tapes, a day a row: the chosen set filled, the others dotted on the same tape. */
final readonly class HoursFace
{
    /** What every tape shows; hours outside widen it. */
    private const FROM = 360;

    private const TO = 1260;

    /** Weeks ahead whose dates are listed at once. */
    private const WEEKS = 12;

    /**
     * @param  Collection<int, HoursSet>  $sets
     * @param  HoursSet|null  $set  the chosen one; null: best hours, or a new set
     * @param  list<array{key: string, name: string, short: string, text: string, said: string, stretches: list<array{from: int, to: int, newFrom: bool, newTo: bool, saidFrom: string, saidTo: string, left: float, width: float}>, others: list<array{name: string, left: float, width: float}>}>  $days
     * @param  list<array{at: float, label: string}>  $marks
     * @param  list<array{left: float, width: float}>  $lunch
     * @param  list<array{left: float, width: float}>  $nights
     * @param  list<array{exception: HoursException, day: string, name: string, hours: string}>  $dates
     * @param  int  $later  dates that are not listed
     * @param  list<string>  $areas  names of those that use the set
     * @param  string  $today  its weekday, as "wed"
     */
    private function __construct(
        public Collection $sets,
        public ?HoursSet $set,
        public string $face,
        public array $days,
        public array $marks,
        public int $from,
        public int $to,
        public array $lunch,
        public array $nights,
        public array $dates,
        public int $later,
        public array $areas,
        public string $today,
    ) {}

    /**
     * @param  string  $face  the id of a set, "best" or "new"; anything else: the first set
     * @param  array<string, string>|null  $texts  a week that is proposed, a line a day; null: as it is
     */
    public static function of(Desk $desk, string $face, ?array $texts, bool $wholeDay, bool $allDates): self
    {
        [$user, $today] = [$desk->user(), $desk->today()];
        $sets = $desk->timeOn($today)->sets;
        $set = in_array($face, ['best', 'new'], true) ? null : $sets->firstWhere('id', (int) $face) ?? $sets->first();
        $face = $set === null ? $face : 'set';
        $week = $set->week ?? ($face === 'best' ? $user->best_hours ?? [] : []);
        $proposed = self::readable($texts);
        $shown = $proposed ?? $week;
        [$from, $to] = $wholeDay ? [0, 1440] : self::span([$shown, ...$sets->map(static fn (HoursSet $one): array => $one->week)->all()]);
        $place = static fn (int $a, int $b): array => ['left' => round(100 * (max($from, $a) - $from) / ($to - $from), 3), 'width' => round(100 * max(0, min($to, $b) - max($from, $a)) / ($to - $from), 3)];
        $drawn = static fn (Stretch $one): array => $place($one->from, $one->to);
        $said = $texts !== null && $proposed === null ? $texts : HoursReader::said($shown);
        $days = [];
        foreach (self::order($user) as $number) {
            $key = WeeklyHours::WEEKDAYS[$number - 1];
            $old = $week[$key] ?? [];
            $days[] = [
                'key' => $key, 'name' => Dates::of($user)->weekday($number), 'short' => Dates::of($user)->weekday($number, short: true), 'text' => $said[$key] ?? '', 'said' => (new HoursWords($user))->pairs($shown[$key] ?? []),
                'stretches' => array_map(static fn (array $pair): array => self::stretch($user, $pair, $old, $place), $shown[$key] ?? []),
                'others' => $sets->reject(static fn (HoursSet $one): bool => $one->id === $set?->id)->flatMap(static fn (HoursSet $one): array => array_map(static fn (array $pair): array => ['name' => $one->name] + $place(Stretch::minutes($pair[0]), Stretch::minutes($pair[1])), $one->week[$key] ?? []))->values()->all(),
            ];
        }
        [$dates, $later] = $set === null ? [[], 0] : self::dates($user, $set, $today, $allDates);

        return new self(
            $sets,
            $set,
            $face,
            $days,
            self::marks($user, $from, $to),
            $from,
            $to,
            array_map($drawn, RowMapper::lunch($user)->on($today)),
            array_map($drawn, RowMapper::sleep($user)->on($today)),
            $dates,
            $later,
            $set === null ? [] : array_values($desk->areas()->where('hours_set_id', $set->id)->map(static fn (Area $area): string => $area->name)->all()),
            $today->weekdayKey(),
        );
    }

    /** @return list<int> weekdays as the person's week goes */
    public static function order(User $user): array
    {
        return array_map(static fn (int $i): int => ($user->week_starts - 1 + $i) % 7 + 1, range(0, 6));
    }

    /**
     * @param  array{string, string}  $pair
     * @param  list<array{string, string}>  $old
     * @param  \Closure(int, int): array{left: float, width: float}  $place
     * @return array{from: int, to: int, newFrom: bool, newTo: bool, saidFrom: string, saidTo: string, left: float, width: float}
     */
    private static function stretch(User $user, array $pair, array $old, \Closure $place): array
    {
        [$from, $to] = [Stretch::minutes($pair[0]), Stretch::minutes($pair[1])];

        return ['from' => $from, 'to' => $to, 'newFrom' => ! in_array($pair[0], array_column($old, 0), true), 'newTo' => ! in_array($pair[1], array_column($old, 1), true), 'saidFrom' => Times::ofDay($user, $from), 'saidTo' => Times::ofDay($user, $to)] + $place($from, $to);
    }

    /**
     * @param  array<string, string>|null  $texts
     * @return array<string, list<array{string, string}>>|null null where they cannot be read
     */
    private static function readable(?array $texts): ?array
    {
        try {
            return $texts === null ? null : HoursReader::week($texts);
        } catch (InvalidHours) {
            return null;
        }
    }

    /**
     * @param  list<array<string, list<array{string, string}>>>  $weeks
     * @return array{int, int} whole hours
     */
    private static function span(array $weeks): array
    {
        [$from, $to] = [self::FROM, self::TO];
        foreach ($weeks as $week) {
            foreach ($week as $day) {
                foreach ($day as [$a, $b]) {
                    [$from, $to] = [min($from, Stretch::minutes($a) - 60), max($to, Stretch::minutes($b) + 60)];
                }
            }
        }

        return [max(0, 60 * intdiv($from, 60)), min(1440, 60 * (int) ceil($to / 60))];
    }

    /** @return list<array{at: float, label: string}> every third hour with its name, the others without */
    private static function marks(User $user, int $from, int $to): array
    {
        $marks = [];
        for ($at = $from; $at <= $to; $at += 60) {
            $marks[] = ['at' => round(100 * ($at - $from) / ($to - $from), 3), 'label' => $at % 180 === 0 ? Times::ofDay($user, $at) : ''];
        }

        return $marks;
    }

    /** @return array{list<array{exception: HoursException, day: string, name: string, hours: string}>, int} */
    private static function dates(User $user, HoursSet $set, LocalDay $today, bool $all): array
    {
        $words = new HoursWords($user);
        $until = $today->plusDays(7 * self::WEEKS)->asString();
        $coming = $set->exceptions->filter(static fn (HoursException $one): bool => $one->date >= $today->asString())->values();
        $listed = $all ? $coming : $coming->filter(static fn (HoursException $one): bool => $one->date <= $until);
        $rows = array_values($listed->map(static fn (HoursException $one): array => [
            'exception' => $one, 'day' => $words->day(LocalDay::fromString($one->date)), 'name' => $one->name ?? '',
            'hours' => match (true) {
                $one->everywhere => __('settings.day_off'),
                $one->stretches === [] => __('settings.closed'),
                default => $words->pairs($one->stretches),
            },
        ])->all());

        return [$rows, count($coming) - count($rows)];
    }
}
