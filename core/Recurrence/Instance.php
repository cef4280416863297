<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/**
 * One time an event takes place.
 *
 * @template T
 */
final readonly class Instance
{
    /**
     * @param  int  $start  seconds since 1970, UTC
     * @param  int  $end  likewise
     * @param  T  $with
     * @param  int|null  $of  the start that the rules or dates gave it, likewise; null: it is no instance of a series
     */
    public function __construct(public int $start, public int $end, public bool $isDay, public mixed $with, public ?int $of = null) {}
}
