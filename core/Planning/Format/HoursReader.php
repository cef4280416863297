<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\CoreException;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Plan\InvalidProblem;

/** Reads times of the week: weekday → stretches, with exceptions by date. */
final class HoursReader
{
    public const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** @return array<string, WeeklyHours> by name */
    public static function sets(Fields $sets): array
    {
        $hours = [];
        foreach ($sets->names() as $name) {
            $hours[$name] = self::set($sets->object($name));
        }

        return $hours;
    }

    public static function set(Fields $set): WeeklyHours
    {
        $week = $exceptions = [];
        foreach ($set->names() as $key) {
            if ($key === 'exceptions') {
                $special = $set->objectOrEmpty($key);
                foreach ($special->names() as $date) {
                    $exceptions[$date] = $special->clockPairs($date);
                }
            } elseif (in_array($key, self::WEEKDAYS, true)) {
                $week[$key] = $set->clockPairs($key);
            } else {
                throw InvalidProblem::at($set->path, "unknown key \"{$key}\"");
            }
        }
        try {
            return WeeklyHours::fromArrays($week, $exceptions);
        } catch (CoreException $error) {
            throw InvalidProblem::at($set->path, $error->getMessage());
        }
    }
}
