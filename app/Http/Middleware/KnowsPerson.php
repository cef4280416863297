<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Session\SessionManager;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * For what open windows ask every few seconds: the session tells who it is, and is neither written back nor looked up in
 * the database. The account's id is the request's attribute
 * "account", that of the session "session".
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

        return is_numeric($id) ? (int) $id : null;
    }
}
