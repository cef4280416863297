<?php

declare(strict_types=1);

namespace App\Screens\WhatIf;

use App\Catch\CaughtLine;
use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Line;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** A piece of work as it was asked for, in the words of a line or word by word. */
final readonly class Wanted
{
    /** Minutes that one piece may be: half a year of days. */
    private const MOST = 60_000;

    /**
     * @param  int|null  $minutes  null: not said, or not understood
     * @param  LocalDay|null  $by  the day it is asked for; null: none
     * @param  string  $problem  what is wrong with it, empty if nothing is
     */
    private function __construct(public string $title, public ?int $minutes, public bool $deep, public ?LocalDay $by, public string $long, public string $due, public string $problem) {}

    /** "a second venue 40 h by 24 april, deep". */
    public static function ofLine(User $user, string $line, CarbonImmutable $now): self
    {
        $read = (new CaughtLine($user, $now))->understand(mb_substr($line, 0, 2000));

        return self::made($read->title, $read->minutes(), $read->demand() === Demand::Deep, self::day($read), '', '', $user, $now);
    }

    /** @param  string  $long  as it is typed, "40 h" */
    public static function ofWords(User $user, string $title, string $long, bool $deep, string $due, CarbonImmutable $now): self
    {
        $caught = new CaughtLine($user, $now);
        $minutes = trim($long) === '' ? null : $caught->understand('x for '.$long)->minutes() ?? $caught->understand('x '.$long)->minutes();
        $day = trim($due) === '' ? null : self::exact($due) ?? self::day($caught->understand('x by '.$due)) ?? self::day($caught->understand('x '.$due));

        return self::made($title, $minutes, $deep, $day, trim($long) !== '' && $minutes === null ? $long : '', trim($due) !== '' && $day === null ? $due : '', $user, $now);
    }

    /** A day as a link has it. */
    private static function exact(string $due): ?LocalDay
    {
        try {
            return LocalDay::fromString(trim($due));
        } catch (InvalidTime) {
            return null;
        }
    }

    private static function day(Line $line): ?LocalDay
    {
        $due = $line->due();

        return $due === null ? $line->on()?->day : $due->day;
    }

    private static function made(string $title, ?int $minutes, bool $deep, ?LocalDay $by, string $long, string $due, User $user, CarbonImmutable $now): self
    {
        $today = LocalDay::fromString($user->local($now)->format('Y-m-d'));

        return new self(trim(mb_substr($title, 0, 200)), $minutes === null ? null : min($minutes, self::MOST), $deep, $by, $long, $due, match (true) {
            $long !== '' => __('whatif.unknown_long', ['words' => $long]),
            $due !== '' => __('whatif.unknown_due', ['words' => $due]),
            $minutes === null => __('whatif.say_long'),
            $minutes > self::MOST => __('whatif.too_long'),
            $by !== null && $by->number < $today->number => __('whatif.over'),
            default => '',
        });
    }
}
