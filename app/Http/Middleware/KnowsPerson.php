<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\SigningIn;
use App\Models\SignIn;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Session\SessionManager;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * For what open windows ask every few seconds: the session tells who it is, and is not written back; asking does not keep
 * anybody signed in. The account's id is the request's attribute "account", that of the session "session".
 */
final readonly class KnowsPerson
{
    public function __construct(private SessionManager $sessions) {}

    public function handle(Request $request, \Closure $next): Response
    {
        $account = Auth::hasUser() ? Auth::id() : $this->bySession($request);
        if ($account === null) {
            throw new AuthenticationException(__('auth.sign_in'));
        }
        $request->attributes->set('account', (int) $account);
        $request->attributes->set('session', $this->sessions->driver()->getId());
        $response = $next($request);
        $response->headers->set('Cache-Control', 'no-store, private');

        return $response;
    }

    private function bySession(Request $request): ?int
    {
        $session = $this->sessions->driver();
        $session->setId((string) $request->cookies->get($session->getName()));
        $session->start();
        $id = $session->get(Auth::guard('web')->getName());

        $isGoing = is_numeric($id) && ! SigningIn::isOver($session, $session->get('idle'))
            && SignIn::query()->whereKey($session->get(SigningIn::ROW))->where('user_id', $id)->going()->exists();

        return $isGoing ? (int) $id : null;
    }
}
