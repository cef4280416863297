<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Something done so many times a week, at most once a day, wherever it fits. */
final readonly class Habit
{
    /**
     * @param  int  $minutes  of one time, one block
     * @param  int  $times  a week, 1 to 7; weeks begin on Monday
     * @param  string  $hours  the name of the set of hours it is done in
     * @param  string|null  $part  the name of the part of the day it keeps to
     * @param  list<int>  $done  numbers of the local days on which it was done already
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public int $times,
        public string $hours,
        public ?string $part = null,
        public array $done = [],
    ) {}
}
