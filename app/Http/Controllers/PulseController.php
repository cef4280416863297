<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PulseRequest;
use App\Models\User;
use App\Reminders\Remind;
use App\Screens\Frame\Pulse;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Asked by every open window each few seconds: whether what it shows has changed, and what to remind of. */
final readonly class PulseController
{
    public function __invoke(PulseRequest $request, #[CurrentUser] User $user, Remind $remind): JsonResponse
    {
        $now = Clock::now();
        $held = $request->held();
        $remind($user, $now);

        return response()->json([
            'mark' => Pulse::of($user),
            'reminders' => $remind->give($user, $request->window(), $held, $now),
            'settled' => $held === [] ? [] : $remind->settled($user, $held),
        ]);
    }
}
