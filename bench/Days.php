<?php

declare(strict_types=1);

namespace Bench;

/** The days of a problem, minute by minute, for the checker. Moments are minutes since 1970-01-01T00:00Z. */
final class Days
{
    private const PARTS = ['morning' => ['00:00', '12:00'], 'afternoon' => ['12:00', '17:00'], 'evening' => ['17:00', '24:00']];

    private const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    public readonly int $now;

    /** Now, or the next minute on the grid. */
    public readonly int $first;

    public readonly int $end;

    public readonly int $frozenUntil;

    private readonly \DateTimeZone $zone;

    /** @var array<string, array<int, true>> open minutes by set of hours */
    private array $open = [];

    /** @var array<int, true> */
    private array $busy = [];

    /** @var array<int, true> */
    private array $deep = [];

    /** @var array<string, array<int, true>> */
    private array $parts = [];

    /** @param  array<string, mixed>  $problem  decoded */
    public function __construct(private readonly array $problem)
    {
        $this->zone = new \DateTimeZone($problem['zone']);
        $this->now = self::minute($problem['now']);
        $this->first = $this->onGrid($this->now);
        $this->frozenUntil = $this->onGrid($this->now + ($problem['freeze'] ?? 0));
        $today = (new \DateTimeImmutable("@{$this->seconds($this->now)}"))->setTimezone($this->zone)->setTime(0, 0);
        $this->end = intdiv($today->modify("+{$problem['horizonDays']} days")->getTimestamp(), 60);
        foreach ($this->dates($today) as $date) {
            $this->readDay($date);
        }
        foreach ($problem['busy'] as $meeting) {
            $way = $meeting['travel'] ?? (isset($meeting['place']) ? $problem['travel'] ?? 0 : 0);
            self::fill($this->busy, self::minute($meeting['start']) - max($way, $problem['buffer']['before']), self::minute($meeting['end']) + max($way, $problem['buffer']['after']));
        }
    }

    public static function minute(string $moment): int
    {
        return intdiv((new \DateTimeImmutable($moment))->getTimestamp(), 60);
    }

    public static function text(int $minute): string
    {
        return gmdate('Y-m-d\TH:i\Z', 60 * $minute);
    }

    public function date(int $minute): string
    {
        return (new \DateTimeImmutable("@{$this->seconds($minute)}"))->setTimezone($this->zone)->format('Y-m-d');
    }

    public function isOnGrid(int $minute): bool
    {
        return $this->onGrid($minute) === $minute;
    }

    public function isOpen(string $set, int $start, int $end): bool
    {
        return self::has($this->open[$set] ?? [], $start, $end);
    }

    /** True if any minute is. */
    public function isBusy(int $start, int $end): bool
    {
        return self::touches($this->busy, $start, $end);
    }

    /** True if any minute is. */
    public function isForDeepWork(int $start, int $end): bool
    {
        return self::touches($this->deep, $start, $end);
    }

    public function isInPart(string $part, int $start, int $end): bool
    {
        return self::has($this->parts[$part] ?? [], $start, $end);
    }

    /** True if every minute is open for something and free. */
    public function isWorkable(int $start, int $end): bool
    {
        for ($minute = $start; $minute < $end; $minute++) {
            $open = array_filter($this->open, static fn (array $set): bool => isset($set[$minute]));
            if ($open === [] || isset($this->busy[$minute])) {
                return false;
            }
        }

        return true;
    }

    /** The moment of a due date or a due time. */
    public function due(string $due, string $set): int
    {
        if (strlen($due) > 10) {
            return self::minute($due);
        }
        $day = new \DateTimeImmutable($due, $this->zone);
        $midnight = intdiv($day->modify('+1 day')->getTimestamp(), 60);
        for ($minute = $midnight; $minute > intdiv($day->getTimestamp(), 60); $minute--) {
            if (isset($this->open[$set][$minute - 1])) {
                return $minute;
            }
        }

        return $midnight;
    }

    /** The moment of an earliest start, a date or a time. */
    public function start(string $start): int
    {
        return strlen($start) > 10 ? self::minute($start) : intdiv((new \DateTimeImmutable($start, $this->zone))->getTimestamp(), 60);
    }

    /** @return \Generator<\DateTimeImmutable> */
    private function dates(\DateTimeImmutable $today): \Generator
    {
        for ($i = 0; $i < $this->problem['horizonDays']; $i++) {
            yield $today->modify("+{$i} days");
        }
    }

    private function readDay(\DateTimeImmutable $date): void
    {
        $name = self::WEEKDAYS[(int) $date->format('N') - 1];
        foreach ($this->problem['hours'] as $set => $hours) {
            $this->open[$set] ??= [];
            foreach ($hours['exceptions'][$date->format('Y-m-d')] ?? $hours[$name] ?? [] as [$from, $to]) {
                self::fill($this->open[$set], $this->at($date, $from), $this->at($date, $to));
            }
        }
        foreach ($this->problem['reserved'] ?? [] as $reserved) {
            if (in_array($name, $reserved['days'], true)) {
                if (($reserved['for'] ?? null) === 'deep') {
                    self::fill($this->deep, $this->at($date, $reserved['from']), $this->at($date, $reserved['to']));
                } else {
                    self::fill($this->busy, $this->at($date, $reserved['from']), $this->at($date, $reserved['to']));
                }
            }
        }
        foreach (array_map(static fn (array $part): array => is_array($part[0]) ? $part[0] : $part, ($this->problem['parts'] ?? []) + self::PARTS) as $part => [$from, $to]) {
            $this->parts[$part] ??= [];
            self::fill($this->parts[$part], $this->at($date, $from), $this->at($date, $to));
        }
    }

    private function at(\DateTimeImmutable $date, string $clock): int
    {
        [$hour, $minute] = array_map(intval(...), explode(':', $clock));

        return intdiv($date->setTime($hour, $minute)->getTimestamp(), 60);
    }

    private function onGrid(int $minute): int
    {
        while ((int) (new \DateTimeImmutable("@{$this->seconds($minute)}"))->setTimezone($this->zone)->format('i') % $this->problem['step'] !== 0) {
            $minute++;
        }

        return $minute;
    }

    private function seconds(int $minute): int
    {
        return 60 * $minute;
    }

    /** @param  array<int, true>  $minutes */
    private static function fill(array &$minutes, int $start, int $end): void
    {
        for ($minute = $start; $minute < $end; $minute++) {
            $minutes[$minute] = true;
        }
    }

    /** @param  array<int, true>  $minutes */
    private static function has(array $minutes, int $start, int $end): bool
    {
        for ($minute = $start; $minute < $end; $minute++) {
            if (! isset($minutes[$minute])) {
                return false;
            }
        }

        return true;
    }

    /** @param  array<int, true>  $minutes */
    private static function touches(array $minutes, int $start, int $end): bool
    {
        for ($minute = $start; $minute < $end; $minute++) {
            if (isset($minutes[$minute])) {
                return true;
            }
        }

        return false;
    }
}
