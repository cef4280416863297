<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SettingsRequest;
use App\Models\User;
use App\Planning\Replan;
use App\Rows\PastRatios;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The person's own rules: zone, margin, buffers, lunch, looks. */
final readonly class SettingsController
{
    public function edit(#[CurrentUser] User $user, PastRatios $past): View
    {
        return view('screens.settings', [
            'user' => $user,
            'pairs' => count($past->pairs($user)),
            'sets' => $user->hoursSets()->with('exceptions')->get(),
            'areas' => $user->areas()->get(),
            'contexts' => $user->contexts()->get(),
            'zones' => \DateTimeZone::listIdentifiers(),
        ]);
    }

    public function update(SettingsRequest $request, #[CurrentUser] User $user, Replan $replan, Said $said): RedirectResponse
    {
        $revision = $replan->after($user, Clock::now(), static function () use ($user, $request): void {
            $user->update($request->columns());
        });

        return back()->with($said->about($revision, __('settings.saved')));
    }
}
