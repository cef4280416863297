<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\OpenAccount;
use App\Http\Requests\SignUpRequest;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** Opening an account. */
final readonly class SignUpController
{
    public function create(): View
    {
        return view('screens.sign-up');
    }

    public function store(SignUpRequest $request, OpenAccount $open): RedirectResponse
    {
        Auth::login($open(...$request->account()));
        $request->session()->regenerate();

        return redirect('/gather')->with('status', __('auth.welcome'));
    }
}
