<?php

declare(strict_types=1);

namespace App\Undo;

use App\Models\PlanRevision;

/** A change that was taken back. */
final readonly class Undone
{
    /**
     * @param  list<string>  $leftAlone  what was changed once more since and stays as it is, by name
     * @param  bool  $wasNewest  nothing was changed after it that still stands
     */
    public function __construct(public PlanRevision $revision, public array $leftAlone, public bool $wasNewest) {}

    /** Everything is just as it was before. */
    public function isExact(): bool
    {
        return $this->wasNewest && $this->leftAlone === [];
    }
}
