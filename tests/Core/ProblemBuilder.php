<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\DayBegins;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;
use Nekto\Core\Time\Zone;

/** Problems with times as people say them: "Mon 09:00" lies in the week of Monday 2 March 2026, in UTC. */
final class ProblemBuilder
{
    private const DAYS = ['Mon' => 0, 'Tue' => 1, 'Wed' => 2, 'Thu' => 3, 'Fri' => 4];

    /** @var array<string, list<Interval>> */
    private array $open = ['Office' => []];

    /** @var list<Interval> */
    private array $busy = [];

    /** @var list<Task> */
    private array $tasks = [];

    /** @var list<Block> */
    private array $anchored = [];

    /** @var list<Block> */
    private array $previous = [];

    private string $now = 'Mon 08:00';

    private ?int $dayLimit = null;

    private ?int $deepLimit = null;

    private int $freeze = 0;

    private ?DayBegins $begins = null;

    private ?int $laidOut = null;

    /** @var array<int> */
    private array $pulls = [];

    /** @var list<Interval> */
    private array $best = [];

    public static function problem(): self
    {
        return new self;
    }

    public function now(string $now): self
    {
        $this->now = $now;

        return $this;
    }

    public function open(string $from, string $to, string $hours = 'Office'): self
    {
        $this->open[$hours][] = self::interval($from, $to);

        return $this;
    }

    public function busy(string $from, string $to): self
    {
        $this->busy[] = self::interval($from, $to);

        return $this;
    }

    /** @param  list<string>  $after */
    public function task(
        string $id,
        int $minutes,
        Importance $importance = Importance::Medium,
        ?string $due = null,
        bool $hard = false,
        ?string $notBefore = null,
        int $least = 15,
        int $most = 120,
        array $after = [],
        bool $deep = false,
        string $hours = 'Office',
        ?string $pick = null,
        bool $key = false,
    ): self {
        $this->tasks[] = new Task(
            $id, $minutes, $importance, $hours,
            $due === null ? null : new DueDate(self::minute($due), $hard),
            $notBefore === null ? null : self::minute($notBefore),
            $least, $most, $after, $deep ? Demand::Deep : Demand::Light,
            pick: $pick === null ? null : intdiv(self::minute("{$pick} 00:00"), 1440), key: $key,
        );

        return $this;
    }

    public function anchored(string $task, string $from, string $to): self
    {
        $this->anchored[] = new Block($task, self::interval($from, $to), true);

        return $this;
    }

    public function previous(string $task, string $from, string $to): self
    {
        $this->previous[] = new Block($task, self::interval($from, $to));

        return $this;
    }

    public function dayLimit(int $minutes): self
    {
        $this->dayLimit = $minutes;

        return $this;
    }

    public function deepLimit(int $minutes): self
    {
        $this->deepLimit = $minutes;

        return $this;
    }

    public function freeze(int $minutes): self
    {
        $this->freeze = $minutes;

        return $this;
    }

    /** @param  string|null  $laidOut  the one day that is laid out where all else is mended */
    public function begins(DayBegins $begins, ?string $laidOut = null): self
    {
        $this->begins = $begins;
        $this->laidOut = $laidOut === null ? null : intdiv(self::minute("{$laidOut} 00:00"), 1440);

        return $this;
    }

    /** @param  array<int>  $pulls  by task */
    public function pulls(array $pulls): self
    {
        $this->pulls = $pulls;

        return $this;
    }

    public function best(string $from, string $to): self
    {
        $this->best[] = self::interval($from, $to);

        return $this;
    }

    public function build(): PlanningProblem
    {
        return new PlanningProblem(
            zone: new Zone('UTC'),
            now: self::minute($this->now),
            end: self::minute('Mon 00:00') + 7 * 1440,
            step: 5,
            hours: array_map(static fn (array $open): IntervalSet => IntervalSet::covering(...$open), $this->open),
            busy: IntervalSet::covering(...$this->busy),
            tasks: $this->tasks,
            anchored: $this->anchored,
            previous: $this->previous,
            dayLimit: new DayLimit($this->dayLimit),
            deepLimit: new DayLimit($this->deepLimit),
            freeze: $this->freeze,
            bestHours: $this->best === [] ? null : IntervalSet::covering(...$this->best),
            begins: $this->begins,
            pulls: $this->pulls,
            laidOut: $this->laidOut,
        );
    }

    public function plan(): Plan
    {
        return (new Planner)->plan($this->build());
    }

    /** @return list<string> as "Mon 09:00–10:00 Courier quotes" */
    public function lines(): array
    {
        return array_map(
            static fn (Block $block): string => self::word($block->time->start).'–'.substr(self::word($block->time->end), 4).' '.$block->task,
            $this->plan()->blocks,
        );
    }

    /** @return list<string> as "Courier quotes 45 no_open_time" */
    public function unplaced(): array
    {
        return array_map(static fn ($one): string => "{$one->task} {$one->minutes} {$one->reason->value}", $this->plan()->unplaced);
    }

    public static function interval(string $from, string $to): Interval
    {
        return new Interval(self::minute($from), self::minute($to));
    }

    public static function minute(string $text): int
    {
        [$day, $clock] = explode(' ', $text);
        [$hour, $minute] = explode(':', $clock);

        return 1440 * (LocalDay::of(2026, 3, 2)->number + self::DAYS[$day]) + 60 * (int) $hour + (int) $minute;
    }

    public static function word(int $minute): string
    {
        return gmdate('D H:i', 60 * $minute);
    }
}
