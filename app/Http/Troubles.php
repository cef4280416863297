<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What can go wrong around the application: a page that was open too long, a disk that is full, a database that cannot be written. */
final class Troubles
{
    /** What the messages of SQLite and PHP hold, and the reason as a key of lang/app "trouble". */
    private const REASONS = [
        '/database or disk is full|No space left on device|disk quota exceeded/i' => 'full',
        '/readonly database|Read-only file system|Permission denied|is not writable/i' => 'read_only',
        '/database (?:table )?is locked|database is busy/i' => 'locked',
        '/unable to open database|disk I\/O error|database disk image is malformed|file is not a database|no such table/i' => 'no_database',
    ];

    /** Bytes that are as good as none. */
    private const NOTHING = 100_000;

    /** Null: it is none of these. */
    public static function answer(\Throwable $error, Request $request): ?Response
    {
        $isStale = $error instanceof HttpException && $error->getPrevious() instanceof TokenMismatchException;
        if ($isStale || $error instanceof AuthenticationException) {
            return self::stale($request, $isStale);
        }
        $reason = self::reason($error);
        if ($reason === null) {
            return null;
        }
        Log::critical("Nekto cannot store: {$reason}", ['why' => $error->getMessage(), 'address' => $request->path()]);

        return $request->expectsJson()
            ? response()->json(['message' => __("app.trouble.{$reason}")], 503, ['Retry-After' => '30'])
            : response()->view('errors.trouble', ['reason' => $reason, 'words' => KeptText::words(KeptText::of($request))], 503, ['Retry-After' => '30']);
    }

    /** A key of lang/app "trouble"; null if it is something else. */
    public static function reason(\Throwable $error): ?string
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if (! $one instanceof \PDOException && ! $one instanceof \ErrorException && ! $one instanceof \RuntimeException) {
                continue;
            }
            foreach (self::REASONS as $pattern => $reason) {
                if (preg_match($pattern, $one->getMessage()) === 1) {
                    return $reason === 'no_database' && self::free() < self::NOTHING ? 'full' : $reason; // without room even reading fails, in other words
                }
            }
        }

        return null;
    }

    /** Bytes on the disk of the database. */
    public static function free(): float
    {
        $path = (string) config('database.connections.sqlite.database');

        return (float) @disk_free_space($path === ':memory:' ? storage_path() : dirname($path));
    }

    private static function stale(Request $request, bool $isStale): ?Response
    {
        if ($request->hasHeader('X-Act') || $request->expectsJson()) {
            return $isStale ? response()->json(['message' => __('app.page_expired')], 419) : null;
        }
        if ($request->isMethod('GET') || ! $request->hasSession()) {
            return null;
        }
        KeptText::keep($request);

        return $isStale ? back()->with('status', __('app.page_expired')) : redirect()->guest('/sign-in')->with('status', __('app.page_expired'));
    }
}
