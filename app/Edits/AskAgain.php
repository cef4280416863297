<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\User;
use Carbon\CarbonImmutable;

/** When an answer that is waited for is asked about, where nobody said when: by the person's own rule. */
final class AskAgain
{
    /** @return string Y-m-d */
    public static function on(User $user, CarbonImmutable $now): string
    {
        return $user->local($now)->addDays($user->ask_after)->format('Y-m-d');
    }
}
