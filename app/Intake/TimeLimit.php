<?php

declare(strict_types=1);

namespace App\Intake;

/**
 * Lets something run for so many seconds and no longer: whatever loop it is in, an alarm of the system cuts it off. Only a
 * worker has alarms; a web server's process runs without this limit, which is why nothing of doubtful length is done there.
 */
final class TimeLimit
{
    /**
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     *
     * @throws TookTooLong|\Throwable what was done may fail by itself too
     */
    public static function run(int $seconds, \Closure $do): mixed
    {
        if (! function_exists('pcntl_alarm')) {
            return $do();
        }
        $wasAsync = pcntl_async_signals(true);
        $handler = pcntl_signal_get_handler(SIGALRM);
        $left = pcntl_alarm(0); // of the worker's own limit, or of a wider one of ours
        $began = hrtime(true); // the clock's own seconds would count one that has hardly begun
        pcntl_signal(SIGALRM, static function () use ($seconds): void {
            throw new TookTooLong("It took longer than {$seconds} s.");
        });
        pcntl_alarm($left > 0 ? min($seconds, $left) : $seconds);
        try {
            return $do();
        } finally {
            pcntl_alarm(0);
            pcntl_signal(SIGALRM, $handler);
            pcntl_async_signals($wasAsync);
            $left > 0 && pcntl_alarm(max(1, (int) ceil($left - (hrtime(true) - $began) / 1e9)));
        }
    }
}
