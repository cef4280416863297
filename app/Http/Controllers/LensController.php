<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The lens that every screen is narrowed to. */
final readonly class LensController
{
    /** To a group by its id, to everything, or to the next of these. */
    public function __invoke(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $groups = $user->calendarGroups()->pluck('id')->all();
        $order = [null, ...array_map(intval(...), $groups)];
        $now = array_search($user->lens_id, $order, true);
        $to = $request->input('to') === 'next'
            ? $order[(((int) $now) + 1) % count($order)]
            : (in_array($request->integer('to'), $order, true) ? $request->integer('to') : null);
        $user->update(['lens_id' => $to]);

        return back()->with($groups === [] ? ['status' => __('app.lens.no_groups')] : []);
    }
}
