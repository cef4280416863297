<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is loaded from elsewhere, no script stands in a page. Inline style attributes carry coordinates only. */
final class SecurityHeaders
{
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline'; font-src 'self'; "
        ."img-src 'self' data:; connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    public function handle(Request $request, \Closure $next): Response
    {
        $response = $next($request);
        headers_sent() || header_remove('X-Powered-By');
        $request->isSecure() && $response->headers->set('Strict-Transport-Security', 'max-age=31536000; includeSubDomains');
        $response->headers->add([
            'Content-Security-Policy' => $response->headers->get('Content-Security-Policy') ?? self::POLICY, // a file handed out has a stricter one
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
        ]);
        if (Auth::hasUser()) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
