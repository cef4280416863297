<?php

declare(strict_types=1);

/*
 * Surprises in the sample account, each tried and taken back: meetings by hand, and many by chance (a meeting, a running
 * block that goes on, a block that passes undone, a new task, a task that takes longer, a meeting cancelled). Says how many
 * tasks each moves and makes late, and how many must move at the least (Least.php).
 * Usage: see bench/surprises
 */

use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Mend;
use App\Planning\ProblemLoader;
use App\Planning\Replan;
use App\Time\Clock;
use Bench\Least;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Planning\Planner;

require __DIR__.'/../vendor/autoload.php';
require_once __DIR__.'/Least.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$count = (int) ($argv[1] ?? 200);
mt_srand((int) ($argv[2] ?? 12));

$meeting = static function (User $user, CarbonImmutable $start, int $minutes): void {
    $row = $user->meetings()->create(['calendar_id' => App\Calendars\Calendars::here($user)->id, 'uid' => 'surprise', 'summary' => 'Surprise', 'source' => '']);
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
$least = static function (Closure $change) use ($app): array {
    DB::beginTransaction();
    $user = User::query()->firstOrFail();
    $change($user, Clock::now());
    $problem = $app->make(ProblemLoader::class)->load($user->refresh(), Clock::now())->problem;
    DB::rollBack();
    $plan = (new Planner)->plan($problem);

    return [count(Least::moved($problem, $plan)), Least::of($problem, $plan)];
};

$mended = static fn (\Closure $change): \Closure => static function (User $user, CarbonImmutable $now) use ($app, $change): void {
    $app->make(Replan::class)($user, $now, RevisionCause::Changed, first: static fn () => $change($user, $now));
};

$zone = User::query()->firstOrFail()->zone;
foreach (['2026-03-11 14:45', '2026-03-11 16:00', '2026-03-12 09:00', '2026-03-12 11:30', '2026-03-16 10:00'] as $at) {
    [$what, $tasks, $late, $spent] = $tried("a meeting of 30 min at {$at}", static fn (User $user) => $meeting($user, CarbonImmutable::parse($at, $zone), 30));
    [, $fewest] = $least(static fn (User $user) => $meeting($user, CarbonImmutable::parse($at, $zone), 30));
    printf("%-42s moves %d of at least %d (%s), late %d%s, %.0f ms\n", $what, count($tasks), $fewest, implode('; ', $tasks), count($late), $late === [] ? '' : ' ('.implode('; ', $late).')', $spent);
}
$sums = [];
for ($i = 0; $i < $count; $i++) {
    $kind = ['a meeting', 'a new task', 'a task takes longer', 'a meeting cancelled'][$i % 4];
    $days = [0, 1, 2, 5, 6, 7][mt_rand(0, 5)];
    [$slot, $some, $importance, $due, $nth, $seed] = [mt_rand(8, 30), mt_rand(1, 4), mt_rand(1, 4), mt_rand(0, 3), mt_rand(0, 8), (string) mt_rand()];
    $change = match ($i % 4) { // drawn before, so that it is the same each time it is made
        0 => static fn (User $user) => $meeting($user, CarbonImmutable::parse('2026-03-11', $zone)->addDays($days)->addMinutes(540 + 15 * $slot), 30 * (1 + $some % 2)),
        1 => static fn (User $user, CarbonImmutable $now) => $user->tasks()->create(['area_id' => $user->areas()->value('id'), 'title' => 'Surprise', 'stage' => 'open', 'importance' => $importance, 'estimate' => 15 * $some, 'said' => 15 * $some, 'due_on' => $now->addDays($due)->format('Y-m-d')]),
        2 => static function (User $user) use ($seed): void {
            $tasks = $user->tasks()->plannable()->whereIn('id', $user->blocks()->planned()->where('anchored', false)->select('task_id'))->orderBy('id')->get();
            $task = $tasks[(int) $seed % $tasks->count()];
            $task->update(['said' => ($task->said ?? 30) + 30, 'estimate' => ($task->estimate ?? 30) + 30]);
        },
        default => static fn (User $user, CarbonImmutable $now) => $user->occurrences()->where('starts_at', '>', $now)->orderBy('starts_at')->skip($nth)->firstOrFail()->delete(),
    };
    [, $tasks, $late, $spent] = $tried($kind, $i % 4 === 0 ? $change : $mended($change));
    [$moved, $fewest] = $least($change);
    $sums[$kind][] = [count($tasks), count($late), $spent, $moved - $fewest];
}
echo "\n";
foreach ($sums as $kind => $rows) {
    $moved = array_column($rows, 0);
    $times = array_column($rows, 2);
    sort($moved);
    sort($times);
    $at = static fn (array $values, float $share): float => (float) $values[(int) ceil($share * count($values)) - 1];
    printf("%-22s %3d: tasks moved %.2f, 90th percentile %.0f, most %d; above the least %.2f; any late %d; %.0f ms, 90th percentile %.0f ms\n", $kind, count($rows), array_sum($moved) / count($moved), $at($moved, 0.9), max($moved), array_sum(array_column($rows, 3)) / count($rows), count(array_filter(array_column($rows, 1))), $at($times, 0.5), $at($times, 0.9));
}
