<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\SignIn;
use App\Models\User;
use App\Time\RealTime;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\Auth;

/** Begins and ends sign-ins. A session stands for a row: once that has ended, the session is nobody's. */
final readonly class SigningIn
{
    /** In the session: the row's id; when the person last did something and when the session began (seconds, real time); whether it stays. */
    public const ROW = 'sign_in';

    public const SEEN = 'seen';

    public const BEGAN = 'began';

    public const STAYS = 'stays';

    /** Minutes without doing anything after which one that does not stay is over. */
    public const IDLE = 720;

    /** Days after which the password is asked for again, whatever was done. */
    public const LONGEST_DAYS = 30;

    public function __construct(private Happened $happened) {}

    public function begin(User $user, Session $session, bool $stays): void
    {
        Auth::login($user);
        $session->regenerate(true);
        $row = $user->signIns()->create(['stays' => $stays, 'began_at' => now(), 'seen_at' => now(), ...$this->happened->where()]);
        $session->put([self::ROW => $row->id, self::SEEN => RealTime::seconds(), self::BEGAN => RealTime::seconds(), self::STAYS => $stays, 'noted' => RealTime::seconds()]);
        KnownBrowser::remember($user);
        ($this->happened)($user, 'signed_in');
    }

    public static function end(SignIn $row): void
    {
        $row->update(['ended_at' => $row->ended_at ?? now()]);
    }

    /** All but the one of this session. */
    public static function endOthers(User $user, ?Session $session): int
    {
        return $user->signIns()->going()->when($session?->get(self::ROW), static fn ($query, $own) => $query->whereKeyNot($own))->update(['ended_at' => now()]);
    }

    /** The session ends, and with it its row. */
    public static function leave(Session $session): void
    {
        SignIn::query()->whereKey($session->get(self::ROW))->going()->update(['ended_at' => now()]);
        Auth::guard('web')->logout();
        $session->invalidate();
        $session->regenerateToken();
    }

    /** Whether the session has been idle, or has gone on, for too long. */
    public static function isOver(Session $session, ?int $idleMinutes): bool
    {
        $stays = (bool) $session->get(self::STAYS);
        $minutes = min($idleMinutes ?? PHP_INT_MAX, $stays ? PHP_INT_MAX : self::IDLE);
        $now = RealTime::seconds();

        return $session->has(self::ROW)
            && (($minutes !== PHP_INT_MAX && $now - (int) $session->get(self::SEEN) > 60 * $minutes) || $now - (int) $session->get(self::BEGAN) > 86_400 * self::LONGEST_DAYS);
    }
}
