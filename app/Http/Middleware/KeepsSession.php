<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\SigningIn;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/**
 * Starts the session, and stores it unless a window asked by itself: what it read when it began would else be written over
 * what a change said meanwhile, and the person would never see that answer.
 */
final class KeepsSession extends StartSession
{
    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        $request->headers->has('X-By-Itself') || parent::saveSession($request);
    }

    /** Beyond the browser's closing only where the person said so. */
    protected function addCookieToResponse(Response $response, Session $session): void
    {
        $session->get(SigningIn::STAYS) || config(['session.expire_on_close' => true]);
        parent::addCookieToResponse($response, $session);
    }
}
