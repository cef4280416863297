<?php

declare(strict_types=1);

/* Tries changes of the rules, and lays the plan out calmly beside it: what a change costs itself. */

use App\Edits\HoursEdit;
use App\Models\User;
use App\Planning\Foresee;
use App\Planning\Replan;
use App\Time\Clock;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Capture\HoursLine;
use Nekto\Core\Time\LocalDay;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$user = User::query()->where('email', 'ines@example.org')->firstOrFail();
$set = $user->hoursSets()->firstOrFail();
[$foresee, $replan, $now, $times] = [$app->make(Foresee::class), $app->make(Replan::class), Clock::now(), (int) ($argv[1] ?? 9)];
$tomorrow = LocalDay::of(2026, 3, 12);
$changes = [
    'margin 20 to 30 %' => static fn () => $user->update(['margin_percent' => 30]),
    'Wednesday to 18:00' => static fn () => HoursEdit::week($user, $set, ['wed' => [['09:00', '18:00']]] + $set->week, true),
    'tomorrow closed' => static fn () => HoursEdit::dates($user, $set, new HoursLine($tomorrow, $tomorrow, [], [], false, '')),
    'half an hour reserved each day' => static fn () => $user->routines()->create(['title' => 'Mail', 'at' => 540, 'minutes' => 30, 'days' => 'mon,tue,wed,thu,fri', 'from' => '2026-03-01', 'parts' => []]),
];
$median = static function (array $values): float {
    sort($values);

    return $values[intdiv(count($values), 2)];
};
foreach ($changes as $name => $change) {
    $tried = $made = [];
    for ($i = 0; $i < $times; $i++) {
        $from = hrtime(true);
        $foresee->of($user, $now, static function () use ($change): void {
            $change();
        });
        $tried[] = (hrtime(true) - $from) / 1e6;
        $set->refresh();
        DB::beginTransaction();
        $from = hrtime(true);
        $replan->after($user, $now, static function () use ($change): void {
            $change();
        });
        $made[] = (hrtime(true) - $from) / 1e6;
        DB::rollBack();
        $user->refresh();
        $set->refresh();
    }
    printf("%-32s seen %6.0f ms, made %6.0f ms, %.2f ×\n", $name, $median($tried), $median($made), $median($tried) / $median($made));
}
