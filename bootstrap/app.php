<?php

declare(strict_types=1);

use App\Http\Middleware\HealPlan;
use App\Http\Middleware\SecurityHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/up')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->append(SecurityHeaders::class);
        $middleware->alias(['heal' => HealPlan::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/shape');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(fn (PostTooLargeException $error, Request $request) => redirect('/meetings')
            ->withErrors(['calendar' => __('meetings.too_large', ['megabytes' => config('nekto.upload_megabytes')])]));
        $exceptions->render(fn (TokenMismatchException $error, Request $request) => back()
            ->withInput($request->except('password', 'password_confirmation', '_token'))
            ->with('status', __('app.page_expired')));
    })
    ->create();
