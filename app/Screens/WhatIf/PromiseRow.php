<?php

declare(strict_types=1);

namespace App\Screens\WhatIf;

use Nekto\Core\Time\LocalDay;

/** A day by which it could be promised. */
final readonly class PromiseRow
{
    /**
     * @param  string  $name  what the day is: "likely done", "careful", "asked", or nothing
     * @param  int  $fits  minutes of such work that fit by then
     * @param  int  $room  of these, what is over after it; negative: so much does not fit
     * @param  int  $chance  %
     */
    public function __construct(public LocalDay $day, public string $label, public string $name, public int $fits, public int $room, public int $chance, public bool $isHonest) {}
}
