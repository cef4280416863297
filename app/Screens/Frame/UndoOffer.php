<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Models\PlanRevision;
use App\Models\User;
use App\Wording\Times;
use Carbon\CarbonImmutable;

/** The change that a page offers to take back, by name: another window's may be the newest. */
final readonly class UndoOffer
{
    private function __construct(public int $id, public string $label) {}

    public static function of(?PlanRevision $revision, User $user, CarbonImmutable $now): ?self
    {
        return $revision === null ? null : new self($revision->id, __('plan.undo', [
            'what' => lcfirst(rtrim(__("plan.said.{$revision->cause->value}"), '.')), 'when' => Times::when($user, $revision->made_at, $now),
        ]));
    }
}
