<?php

declare(strict_types=1);

namespace Nekto\Core\Work;

/** Where a person is in the rhythm of work and breaks. */
final readonly class Turn
{
    /**
     * @param  int  $number  of the stretch of work, from 1
     * @param  int  $of  so many until the long break
     * @param  int  $worked  minutes since the last break
     * @param  int|null  $breakAt  the moment a break is due; null while nothing is worked on
     * @param  int|null  $backAt  the moment the break is over; null while there is none
     * @param  int  $breakMinutes  how long the break is, or will be
     * @param  bool  $isLong  it is the long one
     */
    public function __construct(
        public int $number,
        public int $of,
        public int $worked,
        public ?int $breakAt,
        public ?int $backAt,
        public int $breakMinutes,
        public bool $isLong,
    ) {}
}
