<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\KeptText;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** See KeptText. */
final class GivesTextBack
{
    public function handle(Request $request, \Closure $next): Response
    {
        KeptText::giveBack($request);

        return $next($request);
    }
}
