<?php

declare(strict_types=1);

namespace App\Time;

use App\Models\User;
use Nekto\Core\Time\LocalDay;

/** Weeks as a person counts them. */
final class Weeks
{
    /** The first day of the week that a day lies in. */
    public static function first(User $user, LocalDay $day): LocalDay
    {
        return $day->backTo($user->week_starts);
    }
}
