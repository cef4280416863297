<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Happened;
use App\Http\Requests\TokenRequest;
use App\Models\CaptureToken;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;

/** Tokens with which pages and programs may catch things. A token is shown once, when it is made. */
final readonly class TokenController
{
    public function __construct(private Happened $happened) {}

    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.tokens', ['tokens' => $user->captureTokens()->get()]);
    }

    public function store(TokenRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $token = Str::random(40);
        $made = $user->captureTokens()->create(['name' => $request->string('name')->toString(), 'hash' => hash('sha256', $token)]);
        ($this->happened)($user, 'token_made', $made->name);

        return back()->with('token', $token);
    }

    public function destroy(CaptureToken $token, #[CurrentUser] User $user): RedirectResponse
    {
        $token->revoked_at === null && ($this->happened)($user, 'token_revoked', $token->name);
        $token->update(['revoked_at' => $token->revoked_at ?? Clock::now()]);

        return back()->with('status', __('mail.token_revoked', ['name' => $token->name]));
    }
}
