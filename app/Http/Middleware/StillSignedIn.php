<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\SigningIn;
use App\Models\SignIn;
use App\Models\User;
use App\Time\RealTime;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A sign-in that was idle for too long is over. In an account that is leaving there is only the way back. */
final class StillSignedIn
{
    /** Seconds between two looks at when a browser was last used. */
    private const NOTED_EVERY = 300;

    /** Routes that an account on its way out still has. */
    private const LEAVING = ['leave.show', 'leave.take-back', 'sign-out', 'files.export'];

    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        $session = $request->session();
        if (! $user instanceof User) {
            return $next($request);
        }
        if (SigningIn::isOver($session, $user->idle_minutes)) {
            SigningIn::leave($session);
            throw new AuthenticationException(__('auth.idle'), redirectTo: '/sign-in');
        }
        if ($session->has(SigningIn::ROW) && ! $request->hasHeader('X-By-Itself')) {
            $now = RealTime::seconds();
            if ($now - (int) $session->get('noted') > self::NOTED_EVERY) {
                SignIn::query()->whereKey($session->get(SigningIn::ROW))->update(['seen_at' => now()]);
                $session->put('noted', $now);
            }
            $session->put([SigningIn::SEEN => $now, 'idle' => $user->idle_minutes]);
        }

        return $user->leaves_at !== null && ! $request->routeIs(self::LEAVING) ? redirect('/account/leaving') : $next($request);
    }
}
