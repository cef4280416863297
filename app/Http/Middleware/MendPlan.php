<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Devices;
use App\Http\Upkeep;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\WorkTime;
use App\Time\Clock;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Mends the plan before it is shown. */
final readonly class MendPlan
{
    public function __construct(private Upkeep $upkeep, private Desk $desk) {}

    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && ! $request->hasHeader('X-By-Itself')) {
            Devices::note($user->id, $request->session()->getId(), Clock::now());
        }
        if ($user instanceof User && $request->isMethod('GET')) {
            ($this->upkeep)($user, Clock::now(), fn (): WorkTime => $this->desk->time()) && $this->desk->forget();
        }

        return $next($request);
    }
}
