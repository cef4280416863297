<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\CheckPassword;
use App\Accounts\SigningIn;
use App\Http\Requests\SignInRequest;
use App\Time\RealTime;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** Signing in and out. */
final readonly class SessionController
{
    public function create(): View
    {
        return view('screens.sign-in');
    }

    public function store(SignInRequest $request, CheckPassword $check, SigningIn $signingIn): JsonResponse|RedirectResponse
    {
        $user = $check($request->email(), $request->password());
        if ($user === null) {
            throw ValidationException::withMessages(['email' => __('auth.failed')]);
        }
        if ($user->second_since !== null) {
            $request->session()->put(SecondFactorController::WHO, ['user' => $user->id, 'stays' => $request->boolean('remember'), 'at' => RealTime::seconds()]);

            return $request->expectsJson() ? response()->json(['next' => '/sign-in/code']) : redirect('/sign-in/code');
        }
        $signingIn->begin($user, $request->session(), $request->boolean('remember'));

        return redirect()->intended($user->first_day === null ? '/shape' : '/first-day');
    }

    /** Who is signed in at this browser (nobody: empty), and the key its pages send along: for a page that was open long, or away. */
    public function here(Request $request): JsonResponse
    {
        return response()->json(['account' => (string) $request->user()?->getAuthIdentifier(), 'token' => $request->session()->token()]);
    }

    public function destroy(Request $request): RedirectResponse
    {
        SigningIn::leave($request->session());

        return redirect('/sign-in');
    }
}
