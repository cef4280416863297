<?php

declare(strict_types=1);

namespace App\Intake;

use App\Files\UnreadableFile;
use App\ICalendar\UnreadableCalendar;
use App\Models\Intake;
use App\Models\IntakeStage;
use App\Time\Clock;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Queue\Jobs\SyncJob;
use Illuminate\Support\Facades\Cache;

/**
 * One step of bringing a file in. The next one goes to the end of the queue, so that everybody's turn comes; each has its
 * time, and a file that needs more, or that kills the worker, is put aside with a message.
 */
final class TakeIn implements ShouldQueue
{
    use Queueable;

    /** A second time after the worker died; then the file is put aside. */
    public int $tries = 2;

    public int $timeout = 120;

    /** Seconds to cut a file into its parts. */
    private const CUTTING = 60;

    /** Seconds until a step that failed is tried once more. */
    private const AGAIN = 20;

    /** Seconds of one step of taking; a step is meant to take a second or two. */
    private const TAKING = 30;

    public function __construct(private readonly int $intake) {}

    public function handle(): void
    {
        $lock = Cache::lock("intake.{$this->intake}", $this->timeout + 10);
        if (! $lock->get()) {
            return; // it is being gone on with
        }
        try {
            $goesOn = $this->step();
        } finally {
            $lock->release();
        }
        if ($goesOn) {
            $this->job instanceof SyncJob ? self::dispatchSync($this->intake) : self::dispatch($this->intake);
        }
    }

    /** The worker was killed over it, or the framework gave up. */
    public function failed(): void
    {
        $intake = Intake::query()->find($this->intake);
        $intake !== null && $intake->stage->isUnderWay() && self::putAside($intake, __('files.too_much'));
    }

    /** True if there is more to be done. */
    private function step(): bool
    {
        $intake = Intake::query()->with(['user', 'calendar'])->find($this->intake);
        if ($intake === null || ! $intake->stage->isUnderWay()) {
            return false;
        }
        $steps = app("intake.{$intake->kind}");
        $steps instanceof Steps || throw new \LogicException("No steps for {$intake->kind}.");
        $now = Clock::now();
        try {
            if ($intake->stage === IntakeStage::Waiting) {
                $intake->stage = IntakeStage::Taking; // unless the person is to look at it first
                TimeLimit::run(self::CUTTING, static fn () => $steps->cut($intake, $now));
                $intake->save();
            } else {
                TimeLimit::run(self::TAKING, static fn () => $steps->take($intake, $now));
            }
            if ($intake->stage === IntakeStage::Taking && $intake->taken >= $intake->total) {
                $steps->finished($intake, $now); // before it is said: if the worker dies over it, it is done again
                $intake->fill(['stage' => IntakeStage::Finished, 'finished_at' => $now]);
                Parts::forget($intake);
                $intake->save();
            }
        } catch (TookTooLong) {
            self::putAside($intake, __('files.too_long'));
        } catch (UnreadableFile|UnreadableCalendar $error) {
            self::putAside($intake, $error->getMessage());
        } catch (\Throwable $error) {
            report($error);
            if ($this->job !== null && $this->job->attempts() < $this->tries && ! $this->job instanceof SyncJob) {
                $this->release(self::AGAIN); // the database may have been busy

                return false;
            }
            self::putAside($intake, __('files.fault'));
        }

        return $intake->stage->isUnderWay();
    }

    private static function putAside(Intake $intake, string $why): void
    {
        $intake->refresh(); // what a step had counted and not kept is not so
        $intake->fill(['stage' => IntakeStage::Aside, 'why' => mb_substr($why, 0, 500), 'finished_at' => Clock::now()]);
        Parts::forget($intake);
        $intake->save();
        $steps = app("intake.{$intake->kind}");
        $steps instanceof Steps && rescue(static fn () => $steps->aside($intake, $why, Clock::now()));
    }
}
