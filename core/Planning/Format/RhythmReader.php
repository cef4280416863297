<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Format;

use Nekto\Core\CoreException;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Hours\WeeklyHours;
use Nekto\Core\Plan\InvalidProblem;
use Nekto\Core\Time\IntervalSet;

/** Reads what repeats: the parts of the day, and time that is reserved every week. */
final readonly class RhythmReader
{
    private const PARTS = ['morning' => [0, 720], 'afternoon' => [720, 1020], 'evening' => [1020, 1440]];

    public function __construct(private Fields $problem, private Span $span) {}

    /** @return array<string, array{int, int}> minutes of the local day by name */
    public function parts(): array
    {
        $parts = self::PARTS;
        $given = $this->problem->objectOrEmpty('parts');
        foreach ($given->names() as $name) {
            $pairs = $given->clockPairs($name);
            count($pairs) === 1 || throw InvalidProblem::at("{$given->path}.{$name}", 'must hold one ["HH:MM", "HH:MM"] pair');
            $stretch = self::stretch("{$given->path}.{$name}", ...$pairs[0]);
            $parts[$name] = [$stretch->from, $stretch->to];
        }

        return $parts;
    }

    /** Reserved time in which nothing is planned. */
    public function closed(): IntervalSet
    {
        return $this->reserved(false);
    }

    /** Reserved time in which only deep work is planned; null if there is none. */
    public function forDeepWork(): ?IntervalSet
    {
        $reserved = $this->reserved(true);

        return $reserved->isEmpty() ? null : $reserved;
    }

    private function reserved(bool $deep): IntervalSet
    {
        $all = IntervalSet::empty();
        foreach ($this->problem->objectsOrNone('reserved') as $reserved) {
            $for = $reserved->stringOrNull('for');
            $for === null || $for === 'deep' || throw InvalidProblem::at("{$reserved->path}.for", 'must be "deep" or missing');
            $stretch = self::stretch($reserved->path, $reserved->string('from'), $reserved->string('to'));
            $week = [];
            foreach ($reserved->strings('days') as $day) {
                in_array($day, HoursReader::WEEKDAYS, true) || throw InvalidProblem::at("{$reserved->path}.days", "there is no day \"{$day}\"");
                $week[$day] = [$stretch];
            }
            if (($for === 'deep') === $deep) {
                $all = $all->union($this->span->open(new WeeklyHours($week)));
            }
        }

        return $all;
    }

    private static function stretch(string $path, string $from, string $to): Stretch
    {
        try {
            return Stretch::fromClock($from, $to);
        } catch (CoreException $error) {
            throw InvalidProblem::at($path, $error->getMessage());
        }
    }
}
