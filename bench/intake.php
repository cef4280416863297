<?php

declare(strict_types=1);

use App\Accounts\OpenAccount;
use App\Intake\Intakes;
use App\Intake\TakeIn;
use App\Models\Intake;
use App\Models\IntakeStage;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Support\Facades\Event;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
[, $what, $kind] = $argv;

if ($what === 'make') {
    ini_set('memory_limit', '2G');
    $many = static fn (int $count, Closure $one): string => implode('', array_map($one, range(1, $count)));
    [$of, $name, $text] = match ($kind) {
        'csv' => ['tasks', 'a.csv', "title,due,project,note\n".$many(100_000, static fn (int $i): string => "Task {$i} of many,2026-04-01,Room ".($i % 50).",a note\n")],
        'todotxt' => ['tasks', 'a.txt', $many(100_000, static fn (int $i): string => "(B) Task {$i} of many +room".($i % 50)." @dock due:2026-04-01\n")],
        'markdown' => ['tasks', 'a.md', "# Room\n".$many(100_000, static fn (int $i): string => "- [ ] Task {$i} of many by friday\n")],
        'icalendar' => ['tasks', 'a.ics', "BEGIN:VCALENDAR\r\n".$many(65_000, static fn (int $i): string => "BEGIN:VTODO\r\nUID:{$i}\r\nSUMMARY:Task {$i} of many\r\nEND:VTODO\r\n")."END:VCALENDAR\r\n"],
        'mbox' => ['mail', 'a.mbox', $many(20_000, static fn (int $i): string => "From a@b Wed Mar 11 08:00:00 2026\nFrom: Prue <prue@example.org>\nTo: Ines <ines@example.org>\nSubject: Proof {$i}\nMessage-ID: <{$i}@x>\nDate: Wed, 11 Mar 2026 08:00:00 +0000\n\n".str_repeat('A line of a letter that goes on for a while. ', 20)."\n\n")],
        'calendar' => ['calendar', 'a.ics', "BEGIN:VCALENDAR\r\n".$many(60_000, static fn (int $i): string => "BEGIN:VEVENT\r\nUID:{$i}@example.org\r\nSUMMARY:Meeting {$i}\r\nDTSTART:20260311T090000Z\r\nDTEND:20260311T093000Z\r\nDESCRIPTION:Agenda\r\nEND:VEVENT\r\n")."END:VCALENDAR\r\n"],
        'mixed' => ['calendar', 'a.ics', "BEGIN:VCALENDAR\r\n".$many(20_000, static fn (int $i): string => "BEGIN:VEVENT\r\nUID:{$i}-meeting@calendars.example.org\r\nDTSTAMP:20260301T090000Z\r\nSEQUENCE:0\r\nSUMMARY:Meeting number {$i}\r\nLOCATION:Room ".($i % 40)."\r\n"
            .'DTSTART;TZID=Europe/Lisbon:'.gmdate('Ymd', 1_577_836_800 + 86_400 * ($i * 7919 % 2500)).'T'.sprintf('%02d', 8 + $i % 10)."3000\r\nDURATION:PT45M\r\n"
            .($i % 2 === 0 ? 'RRULE:FREQ='.['WEEKLY', 'WEEKLY;INTERVAL=2', 'MONTHLY;BYDAY=2TU', 'DAILY;BYDAY=MO,TU,WE,TH,FR;UNTIL=20261231T000000Z', 'WEEKLY;BYDAY=MO,TH;COUNT=80'][intdiv($i, 2) % 5]."\r\n" : '')
            ."ORGANIZER:mailto:adaeze@example.org\r\nATTENDEE;PARTSTAT=ACCEPTED:mailto:ines@example.org\r\nDESCRIPTION:Agenda and some words about what it is for.\r\nEND:VEVENT\r\n")."END:VCALENDAR\r\n"],
        'daily' => ['calendar', 'a.ics', "BEGIN:VCALENDAR\r\n".$many(2000, static fn (int $i): string => "BEGIN:VEVENT\r\nUID:{$i}@example.org\r\nSUMMARY:Daily {$i}\r\nDTSTART:20250101T090000Z\r\nDURATION:PT15M\r\nRRULE:FREQ=DAILY\r\nEND:VEVENT\r\n")."END:VCALENDAR\r\n"],
        'folded' => ['calendar', 'a.ics', "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:20260311T090000Z\r\nSUMMARY:a".str_repeat("\r\n b", 2_400_000)."\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n"],
        'newlines' => ['calendar', 'a.ics', "BEGIN:VCALENDAR\n".str_repeat("\n", 9_900_000)."BEGIN:VEVENT\nUID:1\nDTSTART:20260311T090000Z\nSUMMARY:a\nEND:VEVENT\nEND:VCALENDAR\n"],
        default => exit("No kind {$kind}.\n"),
    };
    $user = User::query()->first() ?? app(OpenAccount::class)('Ines', 'ines@example.org', 'rivers underfoot', 'Europe/Lisbon');
    User::query()->whereKeyNot($user->id)->delete();
    Intakes::begin($user, $of, $name, $text, match ($of) {
        'tasks' => ['format' => $kind],
        'calendar' => ['calendar_id' => App\Calendars\Calendars::ofFile($user, "{$kind}.ics", now()->toImmutable())->id],
        default => [],
    });
    exit;
}

$intake = Intake::query()->latest('id')->firstOrFail();
$size = strlen((string) Illuminate\Support\Facades\Storage::get((string) $intake->path)) / 1e6;
$steps = $longest = 0;
$held = $heldFrom = 0.0;
Event::listen(TransactionBeginning::class, static function () use (&$heldFrom): void {
    $heldFrom = hrtime(true);
});
Event::listen(TransactionCommitted::class, static function () use (&$held, &$heldFrom): void {
    $held = max($held, (hrtime(true) - $heldFrom) / 1e6);
});
$from = hrtime(true);
while ($intake->refresh()->stage->isUnderWay()) {
    $step = hrtime(true);
    (new TakeIn($intake->id))->handle();
    $longest = max($longest, (hrtime(true) - $step) / 1e9);
    $steps++;
    $intake->refresh()->stage === IntakeStage::Ready && $intake->update(['stage' => IntakeStage::Taking]);
    if (! in_array($kind, ['mbox', 'mixed'], true) && $steps === 12) {
        break; // the others go as these
    }
}
printf("%-10s %5.1f MB, %6d parts: %6d looked at in %2d steps and %5.1f s, the longest %4.1f s; longest transaction %3.0f ms; %s; peak %3.0f MB\n", $kind, $size, $intake->total, $intake->taken, $steps, (hrtime(true) - $from) / 1e9, $longest, $held, $intake->stage->value.($intake->why === null ? '' : ": {$intake->why}"), memory_get_peak_usage(true) / 1e6);
