<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/**
 * One VEVENT: a single event, a series, or the change of one instance or of one and all after it.
 *
 * @template T what comes along with each instance
 */
final readonly class Event
{
    /**
     * @param  list<Rule>  $rules
     * @param  list<array{Moment, Length|null}>  $dates  RDATEs; with a length of their own, if they are periods
     * @param  list<Moment>  $except  EXDATEs; a day takes every instance of that day
     * @param  Moment|null  $instance  RECURRENCE-ID: of which instance it is the change
     * @param  bool  $andAfter  RANGE=THISANDFUTURE
     * @param  bool  $isCalledOff  there is no such instance
     * @param  T  $with
     */
    public function __construct(
        public Moment $start,
        public Length $length,
        public array $rules,
        public array $dates,
        public array $except,
        public ?Moment $instance,
        public bool $andAfter,
        public bool $isCalledOff,
        public mixed $with,
    ) {}
}
