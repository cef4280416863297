<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** Signing in and out. */
final readonly class SessionController
{
    public function create(): View
    {
        return view('screens.sign-in');
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        if (! Auth::attempt($request->credentials(), $request->boolean('remember'))) {
            throw ValidationException::withMessages(['email' => __('auth.failed')]);
        }
        $request->session()->regenerate();

        return redirect()->intended('/shape');
    }

    /** Who is signed in at this browser (nobody: empty), and the key its pages send along: for a page that was open long, or away. */
    public function here(Request $request): JsonResponse
    {
        return response()->json(['account' => (string) $request->user()?->getAuthIdentifier(), 'token' => $request->session()->token()]);
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }
}
