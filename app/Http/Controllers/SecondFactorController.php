<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Happened;
use App\Accounts\SecondFactor;
use App\Accounts\SigningIn;
use App\Http\Requests\OwnPasswordRequest;
use App\Models\User;
use App\Time\RealTime;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The second factor: asked for when signing in, and set up. */
final readonly class SecondFactorController
{
    /** In the session: whose password was right, and when. */
    public const WHO = 'second';

    /** Seconds after which the password is asked for again. */
    private const WAITS = 600;

    public function __construct(private SecondFactor $second, private Happened $happened) {}

    public function ask(Request $request): View|RedirectResponse
    {
        return $this->who($request) === null ? redirect('/sign-in') : view('screens.sign-in-code');
    }

    public function pass(Request $request, SigningIn $signingIn): RedirectResponse
    {
        $user = $this->who($request);
        if ($user === null) {
            return redirect('/sign-in')->withErrors(['email' => __('auth.again')]);
        }
        if (! $this->second->passes($user, $request->string('code')->toString())) {
            ($this->happened)($user, 'wrong_code');
            throw ValidationException::withMessages(['code' => __('account.wrong_code')]);
        }
        $stays = (bool) $request->session()->pull(self::WHO)['stays'];
        $signingIn->begin($user, $request->session(), $stays);

        return redirect()->intended('/shape');
    }

    /** A secret to be taken into an authenticator. */
    public function offer(OwnPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $user->second_since === null && $this->second->offer($user);

        return redirect('/account#second');
    }

    public function confirm(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $codes = $user->second_since === null ? $this->second->confirm($user, $request->string('code')->toString()) : null;
        if ($codes === null) {
            return redirect('/account#second')->withErrors(['code' => __('account.wrong_code')]);
        }
        SigningIn::endOthers($user, $request->session());
        ($this->happened)($user, 'second_on');

        return redirect('/account#second')->with(['recovery' => $codes, 'status' => __('account.second_on')]);
    }

    public function renew(OwnPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        if ($user->second_since === null) {
            return redirect('/account#second');
        }
        ($this->happened)($user, 'recovery_renewed');

        return redirect('/account#second')->with(['recovery' => $this->second->renewRecovery($user), 'status' => __('account.recovery_renewed')]);
    }

    public function end(OwnPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $this->second->end($user);
        ($this->happened)($user, 'second_off');

        return redirect('/account#second')->with('status', __('account.second_off'));
    }

    private function who(Request $request): ?User
    {
        $who = $request->session()->get(self::WHO);
        $isFresh = is_array($who) && RealTime::seconds() - (int) ($who['at'] ?? 0) <= self::WAITS;

        return $isFresh ? User::query()->whereNotNull('second_since')->find($who['user'] ?? 0) : null;
    }
}
