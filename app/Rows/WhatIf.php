<?php

declare(strict_types=1);

namespace App\Rows;

use Nekto\Core\Task\Importance;

/** A task as it would be, for looking at what it would weigh. */
final readonly class WhatIf
{
    /**
     * @param  string|null  $dueOn  Y-m-d
     * @param  string|null  $dueAt  as it is stored
     * @param  int|null  $minutes  left
     */
    public function __construct(public int $task, public ?Importance $importance, public ?string $dueOn, public ?string $dueAt, public ?int $minutes) {}
}
