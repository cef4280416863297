<?php

declare(strict_types=1);

namespace App\Screens\Week;

/** A meeting or a block on a day's tape, in thousandths of its width. */
final readonly class WeekPiece
{
    /**
     * @param  string  $kind  "meeting" or "block"
     * @param  string  $name  read out, and shown while it is pointed at
     * @param  string  $label  what of the name has room
     * @param  string  $where  the label goes: "in", "out" above or below it, or "" for nowhere
     * @param  int|null  $hatching  of a meeting's calendar
     * @param  string  $state  of a block
     * @param  int  $minutes  its length
     * @param  int  $start  minutes since 1970-01-01T00:00Z
     * @param  int  $clock  minute of the day at which it begins
     * @param  string  $mark  how a block was seen, for a change of it
     */
    public function __construct(
        public string $kind,
        public int $id,
        public ?int $task,
        public string $name,
        public string $label,
        public string $where,
        public ?string $hue,
        public ?int $hatching,
        public string $state,
        public bool $outside,
        public bool $anchored,
        public bool $deep,
        public bool $movable,
        public int $minutes,
        public int $start,
        public int $clock,
        public float $left,
        public float $width,
        public string $mark,
    ) {}
}
