<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Planning\Mend;
use App\Repeats\ComeBack;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\View;
use Symfony\Component\HttpFoundation\Response;

/**
 * Mends the plan before it is shown, in case the worker was off. A page never dies of that: what fails is reported, and
 * the page shows the former plan and says so.
 */
final readonly class MendPlan
{
    public function __construct(private Mend $mend, private ComeBack $comeBack) {}

    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $request->isMethod('GET')) {
            $this->mended($user, Clock::now());
        }

        return $next($request);
    }

    private function mended(User $user, CarbonImmutable $now): void
    {
        try {
            ($this->comeBack)($user, $now);
            ($this->mend)($user, $now);
        } catch (\Throwable $error) {
            report($error);
            View::share('notMended', __('plan.not_mended'));
        }
    }
}
