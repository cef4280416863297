<?php

declare(strict_types=1);

namespace App\Screens\FirstDay;

use App\Models\HoursSet;
use App\Models\User;
use App\Wording\Dates;
use App\Wording\Times;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;

/** The hours that are offered on a first day, as tapes: those the account has. */
final readonly class HoursOffer
{
    /**
     * @param  list<array{name: string, isToday: bool, stretches: list<array{left: float, width: float}>}>  $days  those that are open
     * @param  array{left: float, width: float}|null  $lunch
     */
    private function __construct(public array $days, public string $from, public string $to, public float $fromAt, public float $toAt, public ?array $lunch, public string $words) {}

    public static function of(User $user, string $today): self
    {
        [$first, $last] = [420, 1200];
        $set = $user->hoursSets()->first();
        $week = $set instanceof HoursSet ? $set->week : [];
        $place = static fn (int $minute): float => round(100 * (max($first, min($last, $minute)) - $first) / ($last - $first), 2);
        $days = $edges = [];
        $minutes = $without = 0;
        foreach (WeeklyHours::WEEKDAYS as $i => $key) {
            $stretches = array_map(static fn (array $pair): Stretch => Stretch::fromClock($pair[0], $pair[1]), $week[$key] ?? []);
            foreach ($stretches as $one) {
                array_push($edges, $one->from, $one->to);
                $minutes += $one->length();
                $without += $user->lunch_from === null ? 0 : max(0, min($one->to, (int) $user->lunch_to) - max($one->from, $user->lunch_from));
            }
            if ($stretches !== []) {
                $days[] = ['name' => Dates::of($user)->weekday($i + 1, short: true), 'isToday' => $key === $today, 'stretches' => array_map(static fn (Stretch $one): array => ['left' => $place($one->from), 'width' => $place($one->to) - $place($one->from)], $stretches)];
            }
        }
        $from = $edges === [] ? 540 : min($edges);
        $to = $edges === [] ? 1050 : max($edges);

        return new self(
            $days,
            Times::ofDay($user, $from),
            Times::ofDay($user, $to),
            $place($from),
            $place($to),
            $user->lunch_from === null ? null : ['left' => $place($user->lunch_from), 'width' => $place((int) $user->lunch_to) - $place($user->lunch_from)],
            $days === [] ? __('first.hours.none') : __('first.hours.sum', ['week' => Times::duration($minutes - $without), 'day' => Times::duration(intdiv($minutes - $without, count($days)))]),
        );
    }
}
