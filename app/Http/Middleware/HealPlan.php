<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Clock;
use App\Models\User;
use App\Planning\Heal;
use App\Tasks\ComeBack;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Mends the plan before it is shown, in case the worker was off. */
final readonly class HealPlan
{
    public function __construct(private Heal $heal, private ComeBack $comeBack) {}

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
