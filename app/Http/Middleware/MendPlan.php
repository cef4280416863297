<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Planning\Mend;
use App\Repeats\ComeBack;
use App\Time\Clock;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Mends the plan before it is shown, in case the worker was off. */
final readonly class MendPlan
{
    public function __construct(private Mend $heal, private ComeBack $comeBack) {}

    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $request->isMethod('GET')) {
            ($this->comeBack)($user, Clock::now());
            ($this->heal)($user, Clock::now());
        }

        return $next($request);
    }
}
