<?php

declare(strict_types=1);

namespace App\Screens\WhatIf;

/** What could be done to have it sooner, and the chance by then with it. */
final readonly class SoonerWay
{
    /**
     * @param  string  $costs  what comes of it
     * @param  int  $before  % without it
     * @param  int  $then  % with it
     */
    public function __construct(public string $says, public string $costs, public int $before, public int $then, public bool $hurts = false) {}
}
