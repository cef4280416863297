<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** A candidate in the bank. */
final readonly class BankRow
{
    /**
     * @param  int|null  $left  minutes, as $room
     * @param  string  $next  when it is planned; empty if it is not
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $hue,
        public string $area,
        public int $importance,
        public int $carried,
        public ?int $left,
        public string $due,
        public bool $late,
        public bool $hard,
        public ?int $room,
        public ?int $pressure,
        public int $pull,
        public string $next,
    ) {}
}
