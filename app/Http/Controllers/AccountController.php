<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\ChangeDoors;
use App\Accounts\Happened;
use App\Accounts\SecondFactor;
use App\Accounts\SigningIn;
use App\Files\Quota;
use App\Http\Requests\NewPasswordRequest;
use App\Http\Requests\OwnPasswordRequest;
use App\Models\SignIn;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The doors of an account: password, address, second factor, where one is signed in, what happened. */
final readonly class AccountController
{
    /** Minutes after which a sign-in that did nothing is over, as they can be chosen. */
    public const IDLE = [15, 30, 60, 720];

    private const NOTES = 60;

    public function __construct(private ChangeDoors $doors, private Happened $happened) {}

    public function show(Request $request, #[CurrentUser] User $user, SecondFactor $second): View
    {
        $isOffered = $user->second_secret !== null && $user->second_since === null;

        return view('screens.account', [
            'user' => $user,
            'signIns' => $user->signIns()->going()->latest('seen_at')->get(),
            'own' => $request->session()->get(SigningIn::ROW),
            'notes' => $user->accountNotes()->latest('id')->limit(self::NOTES)->get(),
            'code' => $isOffered ? $second->address($user) : null,
            'words' => $isOffered ? $second->words($user) : null,
            'room' => Quota::of($user),
        ]);
    }

    public function password(NewPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $this->doors->password($user, $request->string('password')->toString(), $request->session());

        return redirect('/account#password')->with('status', __('account.password_changed'));
    }

    public function address(OwnPasswordRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $this->doors->askAddress($user, $request->email());

        return redirect('/account#address')->with('status', __('account.address_asked', ['email' => $request->email()]));
    }

    public function idle(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $minutes = $request->integer('idle_minutes');
        $user->forceFill(['idle_minutes' => in_array($minutes, self::IDLE, true) ? $minutes : null])->save();

        return redirect('/account#signed-in')->with('status', __('account.idle_saved'));
    }

    public function endOne(Request $request, SignIn $signIn, #[CurrentUser] User $user): RedirectResponse
    {
        if ($signIn->id === $request->session()->get(SigningIn::ROW)) {
            SigningIn::leave($request->session());

            return redirect('/sign-in');
        }
        SigningIn::end($signIn);
        ($this->happened)($user, 'sign_in_ended', $signIn->agent);

        return redirect('/account#signed-in')->with('status', __('account.sign_in_ended'));
    }

    public function endOthers(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $count = SigningIn::endOthers($user, $request->session());
        ($this->happened)($user, 'sign_ins_ended');

        return redirect('/account#signed-in')->with('status', trans_choice('account.sign_ins_ended', $count));
    }
}
