<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Reminders\Remind;
use App\Screens\Frame\Pulse;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Asked by every open window each few seconds: whether what it shows has changed, and what to remind of. */
final readonly class PulseController
{
    /** More reminders than anybody holds. */
    private const HELD_MOST = 100;

    /** The window gives itself a name (`window`) and says which reminders it holds (`held`, keys with commas between). */
    public function __invoke(Request $request, #[CurrentUser] User $user, Remind $remind): JsonResponse
    {
        $now = Clock::now();
        $said = $request->validate(['window' => ['nullable', 'string', 'max:40'], 'held' => ['nullable', 'string', 'max:4000']]);
        $held = array_slice(array_filter(explode(',', $said['held'] ?? '')), 0, self::HELD_MOST);
        $remind($user, $now);

        return response()->json([
            'mark' => Pulse::of($user),
            'reminders' => $remind->give($user, $said['window'] ?? '', $held, $now),
            'settled' => $held === [] ? [] : $remind->settled($user, $held),
        ]);
    }
}
