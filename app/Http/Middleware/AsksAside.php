<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\NullSessionHandler;
use Illuminate\Session\Store;
use Symfony\Component\HttpFoundation\Response;

/**
 * For requests beside the page: the session is read and not written back. One that comes while the page is being
 * answered would else take or undo what that was to say next.
 */
final readonly class AsksAside
{
    public function handle(Request $request, \Closure $next): Response
    {
        $response = $next($request);
        $session = $request->session();
        $session instanceof Store && $session->setHandler(new NullSessionHandler);

        return $response;
    }
}
