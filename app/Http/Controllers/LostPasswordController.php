<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\ChangeDoors;
use App\Accounts\MailedLinks;
use App\Http\Requests\LostPasswordRequest;
use App\Http\Requests\NewPasswordRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Timebox;

/** A password that was forgotten, and an address that is confirmed: both by a link in a letter. */
final readonly class LostPasswordController
{
    /** In the session: what a letter's link carried, so that it stands in no address any longer. */
    private const LINK = 'reset_link';

    public function __construct(private ChangeDoors $doors) {}

    public function show(): View
    {
        return view('screens.forgotten');
    }

    public function send(LostPasswordRequest $request): RedirectResponse
    {
        (new Timebox)->call(fn () => $this->doors->forgotten($request->email()), 1000 * (int) config('nekto.door_milliseconds'));

        return redirect('/forgotten')->with('status', __('account.letter_sent', ['minutes' => MailedLinks::RESET_MINUTES]));
    }

    public function open(Request $request, string $token): RedirectResponse
    {
        $request->session()->put(self::LINK, $token);

        return redirect('/forgotten/new');
    }

    public function create(Request $request): View|RedirectResponse
    {
        $link = MailedLinks::find('reset', (string) $request->session()->get(self::LINK));

        return $link === null ? redirect('/forgotten')->withErrors(['email' => __('account.link_over')]) : view('screens.new-password', ['email' => $link->user->email]);
    }

    public function store(NewPasswordRequest $request): RedirectResponse
    {
        $link = MailedLinks::find('reset', (string) $request->session()->get(self::LINK));
        if ($link === null || ! MailedLinks::use($link)) {
            return redirect('/forgotten')->withErrors(['email' => __('account.link_over')]);
        }
        $this->doors->password($link->user, $request->string('password')->toString(), null);
        $request->session()->forget(self::LINK);

        return redirect('/sign-in')->with('status', __('account.password_reset'));
    }

    /** The letter to a new address is answered. */
    public function address(string $token): RedirectResponse
    {
        $link = MailedLinks::find('address', $token);
        $isTaken = $link !== null && $this->doors->address($link);

        return redirect(auth()->check() ? '/account#address' : '/sign-in')->with('status', $isTaken ? __('account.address_changed', ['email' => $link->email]) : __('account.link_over'));
    }
}
