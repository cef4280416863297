<?php

declare(strict_types=1);

/* Fills the sample account up to 2,000 open tasks and 20,000 in all. Nothing is laid out: lists and searches are measured. */

use App\Models\User;
use App\Time\Clock;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$user = User::query()->firstOrFail();
$now = Clock::now();
$areas = $user->areas()->pluck('id')->all();
$words = ['condition', 'report', 'crate', 'caption', 'lender', 'estuary', 'plinth', 'insurance', 'courier', 'catalogue', 'lamp', 'panel', 'survey', 'archive', 'frame'];
$rows = [];
for ($i = 0; $i < 20_000; $i++) {
    $open = $i < 2000 - 30;
    $title = ucfirst("{$words[$i % 15]} {$words[intdiv($i, 15) % 15]} {$i}");
    $rows[] = [
        'user_id' => $user->id, 'area_id' => $areas[$i % 5], 'title' => $title, 'note' => $i % 4 === 0 ? "About the {$words[($i + 7) % 15]} of room {$i}" : null, 'stage' => 'open', 'source' => 'typed',
        'importance' => 1 + $i % 4, 'estimate' => 15 + 15 * ($i % 6), 'said' => 15 + 15 * ($i % 6), 'due_on' => $i % 3 === 0 ? null : $now->addDays(2 + $i % 60)->format('Y-m-d'),
        'done_at' => $open ? null : $now->subDays(1 + $i % 900)->toDateTimeString(), 'created_at' => $now->subDays(1 + $i % 30)->toDateTimeString(), 'updated_at' => $now->toDateTimeString(),
    ];
}
DB::transaction(static function () use ($rows): void {
    foreach (array_chunk($rows, 500) as $some) {
        DB::table('tasks')->insert($some);
    }
});
printf("%d open tasks, %d in all\n", $user->tasks()->open()->count(), $user->tasks()->count());
