<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

/** Work that must be done by a moment. */
final readonly class DueWork
{
    /**
     * @param  int  $due  moment
     * @param  int  $minutes  left, anchored ones left out
     * @param  int|null  $from  moment of the earliest start; null: at once
     */
    public function __construct(public int $due, public int $minutes, public bool $deep = false, public ?int $from = null) {}
}
