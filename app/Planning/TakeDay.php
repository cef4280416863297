<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Rows\Blocks;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/**
 * Writes down what a day was taken to be, once: when its proposal is taken, when it is laid out, or with the first moment
 * of its hours, whichever comes first. A day that nothing is laid out for is not taken yet.
 */
final readonly class TakeDay
{
    public const PROPOSAL = 'proposal';

    public const LAID_OUT = 'laid_out';

    public const HOURS = 'hours';

    /** Takes today; another day only once it has come. */
    public static function today(User $user, string $how, CarbonImmutable $now): void
    {
        $day = Moments::today($user, $now);
        if ($user->promises()->where('date', $day->asString())->exists()) {
            return;
        }
        $tasks = self::tasks($user, $day, $now);
        $tasks === [] || $user->promises()->createOrFirst(['date' => $day->asString()], ['taken_at' => $now, 'how' => $how, 'tasks' => $tasks]); // another worker may be at it
    }

    /** The same where the day's hours have begun and nobody has taken it yet; to be called before anything is mended. */
    public static function begun(User $user, CarbonImmutable $now): void
    {
        $day = Moments::today($user, $now);
        if ($user->promises()->where('date', $day->asString())->exists()) {
            return;
        }
        $start = self::start($user, $day);
        if ($start !== null && Zones::named($user->zone)->at($day, $start) <= Moments::minute($now)) {
            self::today($user, self::HOURS, $now);
        }
    }

    /** Minute of the local day at which the main hours begin, or any others if those are closed; null if all are. */
    private static function start(User $user, LocalDay $day): ?int
    {
        foreach ($user->hoursSets()->with('exceptions')->get() as $set) {
            $stretches = RowMapper::hours($set)->on($day);
            if ($stretches !== []) {
                return $stretches[0]->from;
            }
        }

        return null;
    }

    /** @return list<array{task: int, title: string, minutes: int, times: list<array{int, int}>, key: bool, due: bool}> by time, those without one last */
    private static function tasks(User $user, LocalDay $day, CarbonImmutable $now): array
    {
        $span = Zones::named($user->zone)->day($day);
        $picks = new Picks($user, $day);
        $blocks = Blocks::during($user, $span)->where('state', '!=', BlockState::Passed)->with('task')->get()->toBase();
        $waiting = $picks->withoutTime($day, $blocks, $now);
        $keys = $picks->keys($waiting->concat($blocks->map(static fn (Block $block): Task => $block->task)), $day);
        $line = static fn (Task $task, int $minutes, array $times): array => [
            'task' => $task->id, 'title' => $task->title, 'minutes' => $minutes, 'times' => $times, 'key' => isset($keys[$task->id]),
            'due' => $picks->isDueBy($task, $day),
        ];
        $lines = [];
        foreach ($blocks->groupBy('task_id') as $some) {
            $task = $some->firstOrFail()->task;
            $lines[] = $line($task, (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()), array_values($some->map(static fn (Block $block): array => [RowMapper::start($block), RowMapper::end($block)])->all()));
        }
        foreach ($waiting as $task) {
            $lines[] = $line($task, $picks->minutes($task, $day, $now), []);
        }

        return $lines;
    }
}
