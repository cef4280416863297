<?php

declare(strict_types=1);

use App\Http\ConflictAnswer;
use App\Http\Middleware\AsksAside;
use App\Http\Middleware\ChecksKey;
use App\Http\Middleware\GivesTextBack;
use App\Http\Middleware\KeepsSession;
use App\Http\Middleware\KnowsPerson;
use App\Http\Middleware\MendPlan;
use App\Http\Middleware\OwnAccount;
use App\Http\Middleware\ReadableInput;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SentOnce;
use App\Http\Middleware\StillSignedIn;
use App\Http\Middleware\TypedDays;
use App\Http\Troubles;
use App\Http\TrustedHosts;
use App\Models\Block;
use App\Planning\PlanConflict;
use App\Undo\AlreadyDone;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

$GLOBALS['nekto_running'] ??= require __DIR__.'/running.php'; // held until the process ends

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php', health: '/alive')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->prepend(SecurityHeaders::class); // around everything: what another one refuses has them too
        $middleware->trustHosts(at: TrustedHosts::all(...), subdomains: false);
        $middleware->web(append: [ReadableInput::class], replace: [StartSession::class => KeepsSession::class, ValidateCsrfToken::class => ChecksKey::class]);
        $middleware->prependToPriorityList(before: ThrottleRequests::class, prepend: ReadableInput::class); // who counts the tries reads the address already
        $middleware->validateCsrfTokens(except: ['capture']); // a token of its own stands for the session there
        $middleware->alias(['mend' => MendPlan::class, 'aside' => AsksAside::class, 'known' => KnowsPerson::class, 'once' => SentOnce::class, 'still' => StillSignedIn::class, 'given' => GivesTextBack::class, 'typed' => TypedDays::class, 'own' => OwnAccount::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/shape');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['own_password', 'code']);
        // Refused before there is a session to carry a message.
        $exceptions->render(fn (PostTooLargeException $error, Request $request) => redirect($request->is('meetings') ? '/meetings?refused=too_large' : '/gather/files?refused=too_large'));
        // A block of one's own that the plan or another window has replaced meanwhile, or one that never was.
        $exceptions->render(fn (NotFoundHttpException $error, Request $request) => $request->isMethod('GET')
            || ! $error->getPrevious() instanceof ModelNotFoundException || $error->getPrevious()->getModel() !== Block::class
                ? null
                : back()->withErrors(['start' => PlanConflict::gone()->getMessage()]));
        $exceptions->render(fn (Throwable $error, Request $request) => Troubles::answer($error, $request));
        $exceptions->render(fn (PlanConflict $conflict, Request $request) => ConflictAnswer::of($conflict, $request));
        $exceptions->dontReport([PlanConflict::class, AlreadyDone::class]);
        // In our own words and style: the framework's pages would come before ours and break the policy for styles.
        $exceptions->render(fn (HttpExceptionInterface $error, Request $request) => $request->expectsJson() ? null
            : response()->view($error->getStatusCode() < 500 ? 'errors.4xx' : 'errors.500', ['exception' => $error], $error->getStatusCode(), $error->getHeaders()));
    })
    ->create();
