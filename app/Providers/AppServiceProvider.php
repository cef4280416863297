<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\KnownBrowser;
use App\Accounts\Persons;
use App\Calendars\ByHand;
use App\Calendars\Fetch;
use App\Calendars\PublicHost;
use App\Calendars\TakeMessageFile;
use App\Catch\TakeMail;
use App\Edits\TaskHistory;
use App\Edits\WorkBegun;
use App\Exchange\TakeFile;
use App\Http\Controllers\SecondFactorController;
use App\Meetings\TakeEvents;
use App\Models\Entry;
use App\Models\Task;
use App\Models\User;
use App\Repeats\RepeatObserver;
use App\Rows\Desk;
use App\Rows\WorkTimeLoader;
use App\Screens\Frame\Frame;
use App\Screens\Signs;
use App\Time\Clock;
use App\Undo\Once;
use App\Undo\Restored;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\Looping;
use Illuminate\Routing\Events\RouteMatched;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpClient\NativeHttpClient;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        $now = (string) (getenv('NEKTO_NOW') ?: config('nekto.now')); // a variable of the process goes before a configuration that was cached without it
        Clock::set($now);
        str_starts_with($now, 'file:') && Event::listen(Looping::class, static fn () => Clock::set($now)); // a worker lives longer than a clock that is moved by hand stands
        Model::shouldBeStrict(! $this->app->isProduction());
        Task::observe([TaskHistory::class, RepeatObserver::class]);
        Entry::observe(WorkBegun::class);
        Auth::provider('persons', fn (Application $app, array $config): Persons => new Persons($app->make(Hasher::class), User::class));
        $wrong = static fn (Response $response): bool => $response->getStatusCode() >= 400 || session('errors') !== null; // what fits was no guess
        $email = static fn (Request $request): string => strtolower($request->string('email')->toString());
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(5)->by($email($request).'|'.$request->ip())->after($wrong),
            Limit::perMinute(30)->by((string) $request->ip())->after($wrong),
            Limit::perHour(50)->by((KnownBrowser::isOf($request, $email($request)) ? "known|{$request->ip()}|" : 'account|').$email($request))->after($wrong), // from wherever the tries come; the owner's own browser is counted by itself
        ]);
        $tried = static fn (Request $request): string => (string) ($request->user()?->getAuthIdentifier() ?? $request->session()->get(SecondFactorController::WHO)['user'] ?? $request->ip());
        RateLimiter::for('second', fn (Request $request): array => [Limit::perMinute(5)->by('minute|'.$tried($request))->after($wrong), Limit::perHour(20)->by('hour|'.$tried($request))->after($wrong)]);
        RateLimiter::for('password', fn (Request $request): array => [Limit::perMinute(5)->by('minute|'.$tried($request))->after($wrong), Limit::perHour(30)->by('hour|'.$tried($request))->after($wrong)]);
        RateLimiter::for('forgotten', fn (Request $request): array => [Limit::perHour(5)->by('account|'.$email($request)), Limit::perHour(20)->by((string) $request->ip())]);
        RateLimiter::for('sign-up', fn (Request $request): Limit => Limit::perHour(20)->by((string) $request->ip()));
        RateLimiter::for('sample', fn (Request $request): Limit => Limit::perHour(Clock::stands() ? 1000 : 6)->by((string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('letter', fn (Request $request): Limit => Limit::perHour(30)->by((string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('upload', fn (Request $request): Limit => Limit::perMinute(20)->by((string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('fetch', fn (Request $request): Limit => Limit::perMinute(Clock::stands() ? 1000 : 12) // while the clock stands no minute ends
            ->by((string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('capture', fn (Request $request): Limit => Limit::perMinute((int) config('nekto.captures'))->by((string) $request->ip()));
        View::composer('screens.*', Frame::class);
        foreach (['icon', 'spine', 'pressure'] as $sign) {
            Blade::directive($sign, static fn (string $arguments): string => '<?php echo \\'.Signs::class."::{$sign}({$arguments}); ?>");
        }
        $this->bindOwnRows();
        $this->app->bind('intake.calendar', TakeEvents::class);
        $this->app->bind(Fetch::class, static fn (): Fetch => new Fetch(new NativeHttpClient, PublicHost::configured(), 1_000_000 * (int) config('nekto.upload_megabytes')));
        $this->app->bind('intake.message', TakeMessageFile::class);
        $this->app->bind('intake.mail', TakeMail::class);
        $this->app->bind('intake.tasks', TakeFile::class);
        // What a page looks at is read once in a request; the present and the person are those of the request.
        $this->app->scoped(Once::class);
        $this->app->bind(Desk::class, fn (): Desk => $this->desk());
        Event::listen(Restored::class, static fn (Restored $came) => ByHand::again($came->user, $came->rows['meetings'] ?? [], $came->now));
        Event::listen(RouteMatched::class, static fn (RouteMatched $matched) => $matched->route->flushController()); // a process that answers many requests keeps no desk of the last one
        // SQLite lets a transaction that has only read so far fail at once when it wants to write and another one has
        // written meanwhile. One that begins with a write waits for its turn instead. (The connection's transaction_mode
        // would do the same, but only from PHP 8.4 on.)
        Event::listen(TransactionBeginning::class, static function (TransactionBeginning $event): void {
            if ($event->connection->transactionLevel() === 1) {
                $event->connection->unprepared('update migrations set batch = batch where 0');
            }
        });
    }

    private function desk(): Desk
    {
        $of = $this->app->make(Request::class)->attributes;
        if (! $of->has(Desk::class)) {
            $person = static fn (): User => ($user = Auth::user()) instanceof User ? $user : throw new \LogicException('Behind the sign-in.');
            $of->set(Desk::class, new Desk($person, Clock::now(), $this->app->make(WorkTimeLoader::class)));
        }

        return $of->get(Desk::class);
    }

    /** Rows in addresses are looked up among the person's own: those of others do not exist. */
    private function bindOwnRows(): void
    {
        $own = [
            'task' => static fn (User $user) => $user->tasks(),
            'block' => static fn (User $user) => $user->blocks(),
            'meeting' => static fn (User $user) => $user->meetings(),
            'calendar' => static fn (User $user) => $user->calendars()->kept(),
            'group' => static fn (User $user) => $user->calendarGroups(),
            'import' => static fn (User $user) => $user->intakes(),
            'set' => static fn (User $user) => $user->hoursSets(),
            'occurrence' => static fn (User $user) => $user->occurrences()->withoutGlobalScope('there'), // its page stays, and what is being written on it is kept
            'preview' => static fn (User $user) => $user->intakes()->where('kind', 'tasks'),
            'message' => static fn (User $user) => $user->messages(),
            'token' => static fn (User $user) => $user->captureTokens(),
            'any' => static fn (User $user) => $user->tasks()->withTrashed(),
            'trashed' => static fn (User $user) => $user->tasks()->onlyTrashed(),
            'subtask' => static fn (User $user) => $user->subtasks(),
            'attachment' => static fn (User $user) => $user->attachments(),
            'link' => static fn (User $user) => $user->links(),
            'template' => static fn (User $user) => $user->templates(),
            'repeat' => static fn (User $user) => $user->repeats(),
            'project' => static fn (User $user) => $user->projects(),
            'section' => static fn (User $user) => $user->sections()->whereHas('project'), // of one that was let go nothing can be changed
            'goal' => static fn (User $user) => $user->goals(),
            'step' => static fn (User $user) => $user->goalSteps(),
            'cycle' => static fn (User $user) => $user->cycles(),
            'habit' => static fn (User $user) => $user->habits(),
            'report' => static fn (User $user) => $user->reports(),
            'saved' => static fn (User $user) => $user->savedViews(),
            'area' => static fn (User $user) => $user->areas(),
            'entry' => static fn (User $user) => $user->entries(),
            'mail' => static fn (User $user) => $user->outboxMails(),
            'signIn' => static fn (User $user) => $user->signIns(),
            'reserve' => static fn (User $user) => $user->reserves(),
            'routine' => static fn (User $user) => $user->routines(),
            'context' => static fn (User $user) => $user->contexts(),
        ];
        foreach ($own as $name => $rows) {
            Route::bind($name, static function (string $id) use ($rows): Model {
                $user = Auth::user();

                return $user instanceof User && ctype_digit($id) ? $rows($user)->findOrFail($id) : abort(404);
            });
        }
    }
}
