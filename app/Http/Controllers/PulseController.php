<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Devices;
use App\Http\Upkeep;
use App\Models\User;
use App\Reminders\Remind;
use App\Screens\Frame\Pulse;
use App\Time\Clock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Asked by open windows: whether what they show has changed, what to remind of, and (`soon`) whether to ask again in seconds. */
final readonly class PulseController
{
    /** More reminders than anybody holds. */
    private const HELD_MOST = 100;

    public function __construct(private Upkeep $upkeep, private Remind $remind) {}

    /** The window gives itself a name (`window`) and says which reminders it holds (`held`, keys with commas between). */
    public function __invoke(Request $request): JsonResponse
    {
        $now = Clock::now();
        $account = (int) $request->attributes->get('account');
        [$window, $said] = [$request->input('window', ''), $request->input('held', '')];
        if (! is_string($window ??= '') || ! is_string($said ??= '') || strlen($window) > 40 || strlen($said) > 4000) {
            return response()->json(['message' => __('remind.not_a_window')], 422);
        }
        $held = array_slice(array_filter(explode(',', $said)), 0, self::HELD_MOST);
        $soon = Devices::isAnother($account, (string) $request->attributes->get('session'), $now);
        $pulse = Pulse::of($account);
        $isDone = $pulse->isLookedAfter($now);
        if ($held === [] && $isDone && ! $pulse->reminds) {
            return response()->json(['mark' => $pulse->mark, 'soon' => $soon, 'reminders' => [], 'settled' => []]);
        }
        $user = User::query()->findOrFail($account);
        if (! $isDone) {
            ($this->upkeep)($user, $now);
            ($this->remind)($user, $now);
        }

        return response()->json([
            'mark' => $isDone ? $pulse->mark : Pulse::of($account)->mark,
            'soon' => $soon,
            'reminders' => $this->remind->give($user, $window, $held, $now),
            'settled' => $held === [] ? [] : $this->remind->settled($user, $held, $now),
        ]);
    }
}
