<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A sample has no address, no password and no files of its own: what is the account's is the person's own. */
final readonly class OwnAccount
{
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $user->sample_of !== null) {
            return redirect('/shape')->with('status', __('account.sample'));
        }

        return $next($request);
    }
}
