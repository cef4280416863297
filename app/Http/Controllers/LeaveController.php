<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Leave;
use App\Accounts\SigningIn;
use App\Http\Requests\OwnPasswordRequest;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Deleting one's account, and taking that back. */
final readonly class LeaveController
{
    public function __construct(private Leave $leave) {}

    public function show(#[CurrentUser] User $user): View|RedirectResponse
    {
        return $user->leaves_at === null ? redirect('/account') : view('screens.leaving', ['day' => Leave::day($user)]);
    }

    public function ask(OwnPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $this->leave->ask($user);
        SigningIn::leave($request->session());

        return redirect('/sign-in')->with('status', __('account.leaving', ['day' => Leave::day($user)]));
    }

    public function takeBack(#[CurrentUser] User $user): RedirectResponse
    {
        $this->leave->takeBack($user);

        return redirect('/shape')->with('status', __('account.stays'));
    }
}
