<?php

declare(strict_types=1);

/*
 * Surprises in the sample account, each tried and taken back: meetings by hand, and many by chance (a meeting, a running
 * block that goes on, a block that passes undone, a new task, a task that takes longer, a meeting cancelled). Says how many
 * tasks each moves and makes late.
 * Usage: see bench/surprises
 */

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Mend;
use App\Planning\Replan;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$count = (int) ($argv[1] ?? 200);
mt_srand((int) ($argv[2] ?? 12));

$meeting = static function (User $user, CarbonImmutable $start, int $minutes): void {
    $row = $user->meetings()->create(['uid' => 'surprise', 'summary' => 'Surprise', 'source' => '']);
    $row->occurrences()->create(['user_id' => $user->id, 'summary' => 'Surprise', 'starts_at' => $start->utc(), 'ends_at' => $start->addMinutes($minutes)->utc()]);
};
$tried = static function (string $what, Closure $change) use ($app): ?array {
    DB::beginTransaction();
    $user = User::query()->firstOrFail();
    $now = Clock::now();
    $last = PlanRevision::query()->max('id');
    $start = hrtime(true);
    $change($user, $now);
    $app->make(Mend::class)($user->refresh(), $now);
    $spent = (hrtime(true) - $start) / 1e6;
    $revision = PlanRevision::query()->where('id', '>', $last ?? 0)->latest('id')->first();
    $moves = $revision->moves ?? [];
    $tasks = array_values(array_unique(array_column(array_filter($moves, static fn (array $move): bool => $move['from'] !== null), 'title')));
    $late = array_column($revision->late ?? [], 'title');
    DB::rollBack();

    return [$what, $tasks, $late, $spent];
};

$mended = static fn (\Closure $change): \Closure => static function (User $user, CarbonImmutable $now) use ($app, $change): void {
    $app->make(Replan::class)($user, $now, RevisionCause::Changed, first: static fn () => $change($user, $now));
};

$zone = User::query()->firstOrFail()->zone;
foreach (['2026-03-11 14:45', '2026-03-11 16:00', '2026-03-12 09:00', '2026-03-12 11:30', '2026-03-16 10:00'] as $at) {
    [$what, $tasks, $late, $spent] = $tried("a meeting of 30 min at {$at}", static fn (User $user) => $meeting($user, CarbonImmutable::parse($at, $zone), 30));
    printf("%-42s moves %d (%s), late %d%s, %.0f ms\n", $what, count($tasks), implode('; ', $tasks), count($late), $late === [] ? '' : ' ('.implode('; ', $late).')', $spent);
}
$sums = [];
for ($i = 0; $i < $count; $i++) {
    $kind = ['a meeting', 'a new task', 'a task takes longer', 'a meeting cancelled'][$i % 4];
    $change = match ($i % 4) {
        0 => static fn (User $user) => $meeting($user, CarbonImmutable::parse('2026-03-11', $zone)->addDays([0, 1, 2, 5, 6, 7][mt_rand(0, 5)])->addMinutes(540 + 15 * mt_rand(8, 30)), 30 * mt_rand(1, 2)),
        1 => $mended(static fn (User $user, CarbonImmutable $now) => $user->tasks()->create(['area_id' => $user->areas()->value('id'), 'title' => 'Surprise', 'stage' => 'open', 'importance' => mt_rand(1, 4), 'estimate' => $minutes = 15 * mt_rand(1, 4), 'said' => $minutes, 'due_on' => $now->addDays(mt_rand(0, 3))->format('Y-m-d')])),
        2 => $mended(static function (User $user): void {
            $task = $user->tasks()->plannable()->whereIn('id', $user->blocks()->planned()->where('anchored', false)->select('task_id'))->inRandomOrder((string) mt_rand())->firstOrFail();
            $task->update(['said' => ($task->said ?? 30) + 30, 'estimate' => ($task->estimate ?? 30) + 30]);
        }),
        default => $mended(static fn (User $user, CarbonImmutable $now) => $user->occurrences()->where('starts_at', '>', $now)->orderBy('starts_at')->skip(mt_rand(0, 8))->firstOrFail()->delete()),
    };
    [, $tasks, $late, $spent] = $tried($kind, $change);
    $sums[$kind][] = [count($tasks), count($late), $spent];
}
echo "\n";
foreach ($sums as $kind => $rows) {
    $moved = array_column($rows, 0);
    $times = array_column($rows, 2);
    sort($moved);
    sort($times);
    $at = static fn (array $values, float $share): float => (float) $values[(int) ceil($share * count($values)) - 1];
    printf("%-22s %3d: tasks moved %.2f, 90th percentile %.0f, most %d; any late %d; %.0f ms, 90th percentile %.0f ms\n", $kind, count($rows), array_sum($moved) / count($moved), $at($moved, 0.9), max($moved), count(array_filter(array_column($rows, 1))), $at($times, 0.5), $at($times, 0.9));
}
