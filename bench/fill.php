<?php

declare(strict_types=1);

/* Fills the sample account up to 500 open tasks, laid out, and three years of done blocks and meetings, days taken and closed. */

use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Clock;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$user = User::query()->firstOrFail();
$now = Clock::now();
$areas = $user->areas()->pluck('id')->all();
DB::transaction(static function () use ($user, $now, $areas): void {
    for ($i = $user->tasks()->open()->count(); $i < 500; $i++) {
        $user->tasks()->create([
            'title' => "Object {$i}: condition report", 'area_id' => $areas[$i % 4], 'stage' => 'open', 'importance' => 1 + $i % 4,
            'estimate' => 15 + 15 * ($i % 6), 'said' => 15 + 15 * ($i % 6), 'due_on' => $i % 3 === 0 ? null : $now->addDays(2 + $i % 60)->format('Y-m-d'),
            'demand' => $i % 3 === 1 ? 'deep' : 'light',
        ]);
    }
    $done = $user->tasks()->create(['title' => 'Done long ago', 'area_id' => $areas[0], 'stage' => 'open', 'importance' => 2, 'done_at' => $now->subDays(10)]);
    $past = array_map(static fn (int $i): int => $user->tasks()->create(['title' => "Done piece {$i}", 'area_id' => $areas[$i % 4], 'stage' => 'open', 'importance' => 2, 'estimate' => 60, 'said' => 60, 'demand' => $i % 2 === 0 ? 'deep' : 'light', 'done_at' => $now->subDays(10 + $i)])->id, range(0, 399));
    for ($day = 4; $day < 1095; $day++) {
        $date = $now->subDays($day)->format('Y-m-d');
        $tasks = array_map(static fn (int $i): int => $past[(4 * $day + $i) % 400], range(0, 3));
        foreach ($tasks as $i => $task) {
            $user->entries()->create(['task_id' => $task, 'starts_at' => $now->subDays($day)->startOfDay()->addHours(13 + $i), 'ends_at' => $now->subDays($day)->startOfDay()->addHours(13 + $i)->addMinutes(50)]);
        }
        if ($user->promises()->where('date', $date)->doesntExist()) {
            $user->promises()->create(['date' => $date, 'taken_at' => $now->subDays($day), 'how' => 'hours', 'tasks' => array_map(static fn (int $task): array => ['task' => $task, 'title' => 'Piece', 'minutes' => 60, 'times' => [], 'key' => $task % 2 === 0, 'due' => false], $tasks)]);
            $user->closedDays()->create(['date' => $date, 'slips' => [], 'closed_at' => $now->subDays($day), 'account' => ['rows' => array_map(static fn (int $task): array => ['task' => $task, 'title' => 'Piece', 'area' => $areas[0], 'areaName' => 'Exhibition', 'hue' => 'river', 'promised' => 60, 'actual' => 50, 'became' => 'kept', 'key' => $task % 2 === 0, 'due' => false, 'done' => true, 'next' => null, 'fate' => null], $tasks)]]);
        }
        $start = $now->subDays($day)->startOfDay()->addHours(9);
        $block = $user->blocks()->create(['task_id' => $done->id, 'starts_at' => $start, 'ends_at' => $start->addHour(), 'state' => 'done']);
        $user->entries()->create(['task_id' => $done->id, 'block_id' => $block->id, 'starts_at' => $start, 'ends_at' => $start->addHour()]);
        $meeting = $user->meetings()->create(['calendar_id' => App\Calendars\Calendars::here($user)->id, 'uid' => "old-{$day}", 'summary' => 'Round', 'source' => '']);
        $meeting->occurrences()->create(['user_id' => $user->id, 'summary' => 'Round', 'starts_at' => $start->addHours(3), 'ends_at' => $start->addHours(4)]);
    }
});
$from = hrtime(true);
app(Replan::class)($user, $now, RevisionCause::LaidOut, afresh: true);
printf("%d open tasks, %d blocks, %d meetings; laid out in %.2f s\n", $user->tasks()->open()->count(), $user->blocks()->count(), $user->meetings()->count(), (hrtime(true) - $from) / 1e9);
