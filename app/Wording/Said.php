<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\PlanRevision;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;

/** What the toast says after a change, and whether it can be undone there. */
final readonly class Said
{
    public function __construct(#[CurrentUser] private User $user) {}

    /**
     * @param  string|null  $instead  said in place of the cause's own words
     * @return array<string, mixed> to be flashed
     */
    public function about(?PlanRevision $revision, ?string $instead = null): array
    {
        if ($revision === null) {
            return ['status' => $instead ?? __('plan.nothing_changed')];
        }
        $note = new ChangeNote($this->user, Clock::now());

        return ['status' => $instead === null ? $note->summary($revision) : trim($instead.' '.$note->movesOnly($revision)), 'undo' => true];
    }
}
