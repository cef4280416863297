<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Time\Clock;
use App\Time\Heartbeat;
use Illuminate\Database\QueryException;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** For whoever watches the server: that it answers and reads its rows, and when the worker last looked after plans. */
final readonly class UpController
{
    /** Minutes without the worker after which it is said to be late. */
    private const LATE = 5;

    public function __invoke(): Response
    {
        try {
            DB::selectOne('select 1 from users limit 1');
        } catch (QueryException $error) {
            report($error);

            return self::said(__('app.no_rows'), 503);
        }
        $last = Heartbeat::last();
        $minutes = $last === null ? null : (int) $last->diffInMinutes(Clock::now());
        $said = match (true) {
            $last === null => __('app.worker_never'),
            $minutes > self::LATE => __('app.worker_late', ['at' => $last->format('Y-m-d H:i'), 'minutes' => $minutes]),
            default => __('app.worker_ran', ['at' => $last->format('Y-m-d H:i')]),
        };

        return self::said(__('app.up')."\n{$said}", 200);
    }

    private static function said(string $text, int $status): Response
    {
        return response("{$text}\n", $status, ['Content-Type' => 'text/plain; charset=utf-8', 'Cache-Control' => 'no-store']);
    }
}
