<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Time\Clock;
use App\Undo\AlreadyDone;
use App\Undo\Once;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Answer;
use Illuminate\Support\ViewErrorBag;
use Symfony\Component\HttpFoundation\Response;

/**
 * For what is sent with a key (`_once`): a browser that had no answer sends it again, and it happens once. What waited
 * there says for how long (`_age`, seconds), so that it counts from when it was pressed, whatever the device's clock says.
 */
final readonly class SentOnce
{
    public function __construct(private Once $once) {}

    public function handle(Request $request, \Closure $next): Response
    {
        Clock::sayAgo(0);
        $this->once->expectNone(); // a process that answers many requests keeps no key of the last one
        $user = $request->user();
        $key = $request->string('_once')->toString();
        if (! $user instanceof User || $request->isMethod('GET') || preg_match('/^[\w-]{16,64}$/D', $key) !== 1) {
            return $next($request);
        }
        if (Once::isKnown($user, $key)) {
            return $this->known();
        }
        $this->once->expect($user, $key, Clock::now());
        Clock::sayAgo($request->integer('_age'));
        $response = $next($request);
        $failed = $response instanceof RedirectResponse || $response instanceof Answer ? $response->exception : null;
        if ($failed instanceof AlreadyDone) {
            return $this->known();
        }
        if ($response->getStatusCode() < 400 && $failed === null && ! $this->isRefused($request)) {
            rescue(fn () => $this->once->claim(), report: false); // what no journal keeps, as filing a message
        }

        return $response;
    }

    private function known(): Response
    {
        return back()->with('status', __('app.arrived_before'));
    }

    private function isRefused(Request $request): bool
    {
        $errors = $request->hasSession() ? $request->session()->get('errors') : null;

        return $errors instanceof ViewErrorBag && $errors->any();
    }
}
