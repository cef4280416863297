<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\User;
use Carbon\CarbonImmutable;

/** Rows were brought back, by undo or redo: what is derived from them can be made anew, in the same transaction. */
final readonly class Restored
{
    /** @param  array<string, list<int>>  $rows  ids by table */
    public function __construct(public User $user, public array $rows, public CarbonImmutable $now) {}
}
