<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Models\User;
use App\Reminders\Remind;
use App\Screens\Pulse;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Asked by every open window each few seconds: whether what it shows has changed, and what to remind of. */
final readonly class PulseController
{
    public function __invoke(#[CurrentUser] User $user, Remind $remind): JsonResponse
    {
        $now = Clock::now();
        $remind($user, $now);

        return response()->json(['mark' => Pulse::of($user), 'reminders' => $remind->take($user, $now)]);
    }
}
