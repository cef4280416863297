<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

/** Something done so many times a week, at most once a day, wherever it fits. */
final readonly class Habit
{
    /**
     * @param  int  $minutes  of one time, one block
     * @param  int  $times  a week, 1 to 7
     * @param  string  $hours  the name of the set of hours it is done in
     * @param  string|null  $part  the name of the part of the day it keeps to
     * @param  list<int>  $done  numbers of the local days on which it was done already, or is held by something fixed
     * @param  array<int, list<string>>|null  $named  ids of its times that are still to be done, by the number of the first day
     *                                                of their week: no others are planned; null: they get names, in every week
     * @param  int|null  $from  the number of its first day
     * @param  int|null  $until  the number of its last day
     * @param  int  $weekStarts  1 Monday to 7 Sunday
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public int $times,
        public string $hours,
        public ?string $part = null,
        public array $done = [],
        public ?array $named = null,
        public ?int $from = null,
        public ?int $until = null,
        public int $weekStarts = 1,
    ) {}
}
