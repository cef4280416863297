<?php

declare(strict_types=1);

/*
 * Makes so many accounts, each with the sample account's rows, each signed in, and prints their cookies as JSON.
 * Usage: php bench/accounts.php COUNT
 */

use App\Models\User;
use App\Time\RealTime;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

/** In the order in which they refer to each other; what holds ids within JSON is left out. */
const TABLES = ['hours_sets', 'hours_exceptions', 'areas', 'projects', 'sections', 'contexts', 'repeats', 'reserves', 'tasks', 'subtasks', 'blocks', 'meetings', 'occurrences'];

$first = User::query()->firstOrFail();
$step = 1 + max(array_map(static fn (string $table): int => (int) DB::table($table)->max('id'), TABLES));
$cookies = [];
DB::transaction(static function () use ($first, $step, $argv, &$cookies): void {
    for ($i = 0; $i < (int) $argv[1]; $i++) {
        $user = $first;
        if ($i > 0) {
            $row = array_diff_key((array) DB::table('users')->find($first->id), ['id' => 0, 'looked_after_at' => 0]);
            $user = User::query()->findOrFail(DB::table('users')->insertGetId(['email' => "person{$i}@example.org"] + $row));
            foreach (TABLES as $table) {
                $columns = array_column(DB::select("select name from pragma_table_info('{$table}')"), 'name');
                $values = array_map(static fn (string $name): string => match (true) {
                    $name === 'user_id' => (string) $user->id,
                    $name === 'id', str_ends_with($name, '_id') => "{$name} + ".($i * $step),
                    default => "\"{$name}\"",
                }, $columns);
                $of = in_array('user_id', $columns, true) ? "user_id = {$first->id}" : "hours_set_id in (select id from hours_sets where user_id = {$first->id})";
                DB::statement("insert into {$table} (\"".implode('", "', $columns).'") select '.implode(', ', $values)." from {$table} where {$of}");
            }
        }
        $id = $user->signIns()->create(['agent' => 'bench', 'address' => '127.0.0.1', 'stays' => true, 'began_at' => now(), 'seen_at' => now()])->id;
        $session = Str::random(40);
        $now = RealTime::seconds();
        file_put_contents(config('session.files')."/{$session}", serialize(['_token' => str_repeat('k', 40), Auth::guard('web')->getName() => $user->id, 'sign_in' => $id, 'seen' => $now, 'began' => $now, 'stays' => true, 'noted' => $now, 'idle' => null]));
        $name = (string) config('session.cookie');
        $cookies[] = $name.'='.rawurlencode(Crypt::encryptString(CookieValuePrefix::create($name, Crypt::getKey()).$session));
    }
});
echo json_encode($cookies, JSON_THROW_ON_ERROR);
