<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use App\Models\IntakeStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Storage;

/** Begins to bring files in, and forgets those that are done with. */
final class Intakes
{
    /** Files of one account that may be under way at once, so that nobody's can fill the queue. */
    public const MOST = 5;

    /** Minutes after which one that nothing has happened to is handed to the queue again. */
    private const FORGOTTEN = 5;

    /** Days for which a result can be looked up, and one that was read waits to be taken. */
    private const KEPT_DAYS = 14;

    public static function isFull(User $user): bool
    {
        return $user->intakes()->underWay()->count() >= self::MOST;
    }

    /**
     * @param  array<string, mixed>  $more  columns
     * @param  bool  $atOnce  it is small and harmless: no queue is needed
     */
    public static function begin(User $user, string $kind, string $name, string $bytes, array $more = [], bool $atOnce = false): Intake
    {
        $path = 'intake/'.bin2hex(random_bytes(16));
        Storage::put($path, $bytes);
        $intake = $user->intakes()->create(['kind' => $kind, 'name' => mb_substr($name, 0, 200), 'path' => $path, ...$more]);
        self::goOn($intake, $atOnce);

        return $intake->refresh();
    }

    public static function goOn(Intake $intake, bool $atOnce = false): void
    {
        $atOnce ? TakeIn::dispatchSync($intake->id) : TakeIn::dispatch($intake->id);
    }

    /** A worker may have died: what was not gone on with is handed over again. What is old is forgotten. */
    public static function takeUpAgain(CarbonImmutable $now): void
    {
        foreach (Intake::query()->underWay()->where('updated_at', '<', $now->subMinutes(self::FORGOTTEN))->limit(50)->get() as $intake) {
            $intake->touch();
            self::goOn($intake);
        }
        foreach (Intake::query()->where('updated_at', '<', $now->subDays(self::KEPT_DAYS))->whereIn('stage', [IntakeStage::Ready, IntakeStage::Finished, IntakeStage::Aside])->limit(100)->get() as $intake) {
            Parts::forget($intake);
            $intake->delete();
        }
    }
}
