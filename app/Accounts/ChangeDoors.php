<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\MailedLink;
use App\Models\User;
use App\Post\PostMail;
use App\Time\Clock;
use App\Wording\Dates;
use App\Wording\Times;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** Another password, another address. Both are said to the person by mail, so that nobody changes them unnoticed. */
final readonly class ChangeDoors
{
    public function __construct(private Happened $happened, private PostMail $post) {}

    /** Every other browser is signed out; without a session, each. */
    public function password(User $user, #[\SensitiveParameter] string $password, ?Session $session): void
    {
        DB::transaction(function () use ($user, $password, $session): void {
            $user->forceFill(['password' => Hash::make($password)])->save();
            $user->mailedLinks()->delete(); // who changed the address with the old one has nothing of it
            SigningIn::endOthers($user, $session);
            ($this->happened)($user, $session === null ? 'password_reset' : 'password_changed');
            ($this->post)($user, __('account.mail.password_subject'), __('account.mail.password_body', ['at' => Dates::of($user)->full($user->local(Clock::now())).', '.Times::clock($user, Clock::now())]), Clock::now());
        });
        $session?->regenerate(true);
    }

    /** A letter to whoever has an account under this address; nothing else tells whether there is one. */
    public function forgotten(string $email): void
    {
        $user = User::query()->where('email', strtolower($email))->first();
        if ($user === null) {
            return;
        }
        $token = MailedLinks::make($user, 'reset', MailedLinks::RESET_MINUTES);
        $this->post->secretly($user->email, $user->name, __('account.mail.reset_subject'), __('account.mail.reset_body', ['link' => url("/forgotten/{$token}"), 'minutes' => MailedLinks::RESET_MINUTES]), Clock::now());
        ($this->happened)($user, 'reset_asked');
    }

    /** The new address counts once its letter was answered; the old one hears of it. */
    public function askAddress(User $user, string $email): void
    {
        $token = MailedLinks::make($user, 'address', MailedLinks::ADDRESS_MINUTES, $email);
        $this->post->secretly($email, $user->name, __('account.mail.address_subject'), __('account.mail.address_body', ['link' => url("/address/{$token}")]), Clock::now());
        ($this->post)($user, __('account.mail.address_asked_subject'), __('account.mail.address_asked_body', ['email' => $email]), Clock::now());
        ($this->happened)($user, 'address_asked', $email);
    }

    /** False if somebody else has the address meanwhile, or the link was used. */
    public function address(MailedLink $link): bool
    {
        return DB::transaction(function () use ($link): bool {
            $email = (string) $link->email;
            if (! MailedLinks::use($link) || User::query()->where('email', $email)->exists()) {
                return false;
            }
            $link->user->update(['email' => $email]);
            ($this->happened)($link->user, 'address_changed', $email);

            return true;
        });
    }
}
