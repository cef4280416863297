<?php

declare(strict_types=1);

use App\Intake\Intakes;
use App\Intake\TakeIn;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$events = [];
for ($i = 0; $i < 5000; $i++) {
    $date = gmdate('Ymd', gmmktime(0, 0, 0, 1, 1 + $i % 700, 2025));
    $rule = $i % 20 === 0 ? "RRULE:FREQ=WEEKLY;COUNT=30\r\n" : '';
    $events[] = "BEGIN:VEVENT\r\nUID:{$i}@example.org\r\nSUMMARY:Meeting {$i}\r\nLOCATION:Room ".($i % 9)."\r\nDTSTART;TZID=Europe/Lisbon:{$date}T".sprintf('%02d', 8 + $i % 10)
        ."0000\r\nDTEND;TZID=Europe/Lisbon:{$date}T".sprintf('%02d', 8 + $i % 10)."3000\r\n{$rule}DESCRIPTION:".str_repeat('Agenda ', 40)."\r\nATTENDEE;PARTSTAT=ACCEPTED:mailto:ines@example.org\r\nEND:VEVENT\r\n";
}
$path = tempnam(sys_get_temp_dir(), 'ics');
file_put_contents($path, "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n".implode('', $events)."END:VCALENDAR\r\n");
$user = User::query()->firstOrFail();
foreach (['first time', 'again'] as $round) {
    $from = hrtime(true);
    config(['queue.default' => 'null']); // the steps are taken here, to be measured
    $import = Intakes::begin($user, 'calendar', 'big.ics', (string) file_get_contents($path));
    $steps = $longest = 0;
    while ($import->refresh()->finished_at === null) {
        $step = hrtime(true);
        (new TakeIn($import->id))->handle();
        $longest = max($longest, (hrtime(true) - $step) / 1e9);
        $steps++;
    }
    printf("%s: %d events of %.1f MB in %.1f s, %d steps, the longest %.2f s; %d new, %d changed\n", $round, $import->total, filesize($path) / 1e6, (hrtime(true) - $from) / 1e9, $steps, $longest, $import->added, $import->changed);
}
unlink($path);
