<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use Nekto\Core\Time\LocalDay;

/** One day of a tape of several, with what is marked on it; places in thousandths of its width. */
final readonly class TapeDay
{
    /**
     * @param  int  $minutes  its width
     * @param  int  $skipped  days that are left out before it
     * @param  list<int>  $own  ids of the blocks that the tape is about
     * @param  list<int>  $late  of these, what lies after its date
     * @param  list<array{float, string}>  $dues  where something is due, and what
     * @param  array{float, float}|null  $slack  from where to where its work could still slip
     * @param  array{float, string}|null  $latest  the latest start, and its time
     */
    public function __construct(
        public LocalDay $day,
        public string $label,
        public Ribbon $ribbon,
        public int $minutes,
        public int $skipped,
        public bool $isToday,
        public array $own,
        public array $late,
        public array $dues,
        public ?array $slack,
        public ?array $latest,
    ) {}
}
