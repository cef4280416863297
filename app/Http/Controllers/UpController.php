<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Troubles;
use App\Time\Clock;
use App\Time\Heartbeat;
use App\Time\RealTime;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/**
 * For whoever watches the server: whether rows can be read and written, how much room is left, when the worker last looked
 * after plans, whether files wait. 503 if nothing can be stored; 200 with a word where something is late.
 */
final readonly class UpController
{
    /** Minutes without the worker after which it is said to be late. */
    private const LATE = 5;

    /** Megabytes under which room is short. */
    private const SHORT = 200;

    /** Seconds after which a file that nobody has begun to read waits too long. */
    private const WAITS = 120;

    public function __invoke(): Response
    {
        try {
            $this->write();
            $queue = DB::table('jobs')->whereNull('reserved_at')->selectRaw('count(*) as count, min(available_at) as since')->first();
        } catch (\Throwable $error) {
            report($error);
            $reason = Troubles::reason($error) ?? 'no_database';

            return self::said([__('app.no_rows'), __("app.trouble.{$reason}"), self::room()], 503);
        }

        return self::said([__('app.up'), __('app.written'), self::room(), self::worker(), self::queue((int) ($queue->count ?? 0), (int) ($queue->since ?? 0))], 200);
    }

    /** A row that is read and written: a full disk shows in nothing less. */
    private function write(): void
    {
        DB::transaction(static function (): void {
            DB::selectOne('select 1 from users limit 1');
            DB::table('checks')->updateOrInsert(['id' => 1], ['at' => RealTime::seconds()]);
        });
    }

    private static function room(): string
    {
        $megabytes = (int) (Troubles::free() / 1_000_000);

        return __($megabytes < self::SHORT ? 'app.room_short' : 'app.room', ['megabytes' => number_format($megabytes)]);
    }

    private static function worker(): string
    {
        $last = Heartbeat::last();
        $minutes = $last === null ? null : (int) $last->diffInMinutes(Clock::now());

        return match (true) {
            $last === null => __('app.worker_never'),
            $minutes > self::LATE => __('app.worker_late', ['at' => $last->format('Y-m-d H:i'), 'minutes' => $minutes]),
            default => __('app.worker_ran', ['at' => $last->format('Y-m-d H:i')]),
        };
    }

    private static function queue(int $count, int $since): string
    {
        $waits = now()->getTimestamp() - $since; // by the clock that the queue goes by

        return $count > 0 && $waits > self::WAITS ? __('app.queue_late', ['count' => $count, 'minutes' => intdiv($waits, 60)]) : trans_choice('app.queue', $count);
    }

    /** @param  list<string>  $lines */
    private static function said(array $lines, int $status): Response
    {
        return response(implode("\n", $lines)."\n", $status, ['Content-Type' => 'text/plain; charset=utf-8', 'Cache-Control' => 'no-store']);
    }
}
