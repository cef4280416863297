<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\OpenAccount;
use App\Accounts\SigningIn;
use App\Http\Requests\SignUpRequest;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** Opening an account. */
final readonly class SignUpController
{
    public function create(): View
    {
        return view('screens.sign-up');
    }

    public function store(SignUpRequest $request, OpenAccount $open, SigningIn $signingIn): RedirectResponse
    {
        $user = $open(...$request->account());
        $user->update(['first_day' => []]);
        $signingIn->begin($user, $request->session(), stays: false);

        return redirect('/first-day');
    }
}
