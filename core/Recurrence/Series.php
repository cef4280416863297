<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/**
 * All events of one UID, expanded: the instances of the series, with those that were excepted, changed or called off.
 *
 * @template T
 */
final readonly class Series
{
    /** No instance lasts or is moved by more seconds. */
    private const LONGEST = 400 * 86_400;

    /**
     * @param  Event<T>|null  $master  null: only changes of a series that is not at hand
     * @param  list<Event<T>>  $changes
     */
    private function __construct(private ?Event $master, private array $changes) {}

    /**
     * @template V
     *
     * @param  list<Event<V>>  $events  in the order of the file; of several that are the same instance the last counts
     * @return self<V>
     */
    public static function of(array $events): self
    {
        $master = null;
        $changes = [];
        foreach ($events as $event) {
            if ($event->instance === null) {
                $master = $event;
            } else {
                $changes[] = $event;
            }
        }

        return new self($master, $changes);
    }

    /**
     * The instances that end after a moment and begin before another.
     *
     * @param  int  $from  seconds since 1970, UTC
     * @param  int  $to  likewise, exclusive
     * @param  int  $most  instances
     * @return list<Instance<T>> by their start
     *
     * @throws RuleRefused if a rule cannot be followed, or there are more
     */
    public function between(int $from, int $to, int $most): array
    {
        $single = $after = $days = [];
        foreach ($this->changes as $change) {
            $at = $change->instance?->utc() ?? 0;
            $change->andAfter ? $after[$at] = $change : $single[$at] = $change;
            if ($change->instance !== null && $change->instance->isDay && $this->master?->start->isDay === false) {
                $days[self::dayOf($change->instance)] = true; // that day's instance, whenever it is
            }
        }
        ksort($after);
        $found = [];
        $slack = $this->slack();
        foreach ($this->starts($from - $slack, $to + $slack, $most) as $at => [$start, $length]) {
            if (isset($single[$at]) || isset($days[self::dayOf($start)])) {
                continue;
            }
            $instance = $this->instance($start, $length, $at, $after);
            $instance !== null && $instance->start < $to && ($instance->end > $from || $instance->start >= $from) && $found[] = $instance;
            count($found) <= $most || throw RuleRefused::tooOften();
        }
        foreach ($single as $change) {
            $instance = $change->isCalledOff ? null : self::made($change, $change->start, $change->length, $change->instance?->utc());
            $instance !== null && $instance->start < $to && ($instance->end > $from || $instance->start >= $from) && $found[] = $instance;
        }
        usort($found, static fn (Instance $a, Instance $b): int => $a->start <=> $b->start ?: $a->end <=> $b->end);

        return $found;
    }

    /** Whether its rules or dates may give instances from a moment (UTC) on. */
    public function goesOnAfter(int $moment): bool
    {
        $master = $this->master;
        if ($master === null || $master->isCalledOff) {
            return false;
        }
        $clock = $master->start->clock;
        foreach ($master->rules as $rule) {
            $until = $rule->until === null || $rule->untilIsUtc ? $rule->until : $clock->utc($rule->until);
            if ($until !== null && $until < $moment) {
                continue;
            }
            if ($rule->count === null) {
                return true;
            }
            $local = $clock->local($moment);
            foreach ((new Instances($rule, $master->start->local, null))->between($local, $local + self::LONGEST) as $next) {
                if ($next >= $local) {
                    return true;
                }
            }
        }
        foreach ([[$master->start, null], ...$master->dates] as [$start]) {
            if ($start->utc() >= $moment) {
                return true;
            }
        }

        return false;
    }

    /** Seconds by which an instance may begin before the window and end in it, or be moved out of it or in by a change. */
    private function slack(): int
    {
        $slack = 2 * 86_400;
        foreach ($this->master === null ? $this->changes : [$this->master, ...$this->changes] as $event) {
            $moved = $event->andAfter && $event->instance !== null ? abs($event->start->utc() - $event->instance->utc()) : 0;
            $slack = max($slack, 2 * 86_400 + $moved + 86_400 * abs($event->length->days) + abs($event->length->seconds));
            foreach ($event->dates as [, $length]) {
                $slack = max($slack, 2 * 86_400 + ($length === null ? 0 : 86_400 * abs($length->days) + abs($length->seconds)));
            }
        }

        return min($slack, self::LONGEST);
    }

    /**
     * The starts that the rules and dates give, without those that are excepted.
     *
     * @return array<int, array{Moment, Length|null}> by their moment, UTC
     *
     * @throws RuleRefused
     */
    private function starts(int $from, int $to, int $most): array
    {
        $master = $this->master;
        if ($master === null) {
            return [];
        }
        $clock = $master->start->clock;
        [$localFrom, $localTo] = [$clock->local($from), $clock->local($to)];
        $starts = [$master->start->utc() => [$master->start, null]];
        foreach ($master->rules as $rule) {
            $until = $rule->until === null || ! $rule->untilIsUtc ? $rule->until : $clock->local($rule->until);
            $count = 0;
            foreach ((new Instances($rule, $master->start->local, $until))->between($localFrom, $localTo) as $local) {
                if ($local < $localFrom) {
                    continue;
                }
                ++$count <= 4 * $most || throw RuleRefused::tooOften();
                $moment = $master->start->at($local);
                $starts[$moment->utc()] ??= [$moment, null];
            }
        }
        foreach ($master->dates as [$moment, $length]) {
            $starts[$moment->utc()] = [$moment, $length];
        }
        foreach ($master->except as $except) {
            if (! $except->isDay || $master->start->isDay) {
                unset($starts[$except->utc()]);

                continue;
            }
            $starts = array_filter($starts, static fn (array $start): bool => self::dayOf($start[0]) !== self::dayOf($except));
        }
        ksort($starts);

        return $starts;
    }

    /**
     * @param  array<int, Event<T>>  $after  changes of an instance and all after it, by that instance
     * @return Instance<T>|null null if it was called off
     */
    private function instance(Moment $start, ?Length $length, int $at, array $after): ?Instance
    {
        $change = null;
        foreach ($after as $from => $one) {
            $from <= $at && $change = $one;
        }
        if ($change === null) {
            return $this->master === null || $this->master->isCalledOff ? null : self::made($this->master, $start, $length ?? $this->master->length, $this->repeats() ? $at : null);
        }
        if ($change->isCalledOff || $change->instance === null) {
            return null;
        }
        $shift = $change->start->local - $change->start->clock->local($change->instance->utc());

        return self::made($change, $change->start->at($change->start->clock->local($start->utc()) + $shift), $change->length, $at);
    }

    /**
     * @template V
     *
     * @param  Event<V>  $of
     * @return Instance<V>
     */
    private static function made(Event $of, Moment $start, Length $length, ?int $at): Instance
    {
        $begins = $start->utc();

        return new Instance($begins, max($begins, $length->end($start)), $start->isDay, $of->with, $at);
    }

    private function repeats(): bool
    {
        return $this->master !== null && ($this->master->rules !== [] || $this->master->dates !== []);
    }

    private static function dayOf(Moment $moment): int
    {
        return (int) floor($moment->local / 86_400);
    }
}
