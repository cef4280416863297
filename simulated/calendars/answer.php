<?php

declare(strict_types=1);

namespace Simulated\Calendars;

/** Answers for a calendar in the manner it was told. */
function calendar(Shelf $shelf, string $name): void
{
    match ($shelf->manner($name)) {
        'missing' => refuse(404, 'It was here once.'),
        'down' => refuse(500, 'The server has a fault.'),
        'locked' => refuse(401, 'Who are you?'),
        'busy' => refuse(503, 'Later, please.', ['Retry-After: 7200']),
        'slow' => slowly(),
        'rubbish' => rubbish(),
        'cut' => file($shelf, $name, 0.6),
        'circle' => lead("/{$name}.ics"),
        'onward' => lead("/{$name}.ics?".bin2hex(random_bytes(4))),
        'inward' => lead('http://169.254.169.254/latest/'),
        'endless' => endless(),
        'bomb' => bomb(),
        default => file($shelf, $name, 1.0),
    };
}

/** @param  list<string>  $headers */
function refuse(int $status, string $words, array $headers = []): void
{
    http_response_code($status);
    array_map(header(...), ['Content-Type: text/plain', ...$headers]);
    echo $words;
}

function file(Shelf $shelf, string $name, float $share): void
{
    $text = $shelf->text($name);
    $etag = '"'.substr(sha1($text), 0, 16).'"';
    header("ETag: {$etag}");
    header('Last-Modified: '.gmdate('D, d M Y H:i:s', $shelf->changedAt($name)).' GMT');
    if ($share === 1.0 && ($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $etag) {
        http_response_code(304);

        return;
    }
    header('Content-Type: text/calendar; charset=utf-8');
    echo substr($text, 0, (int) ($share * strlen($text)));
}

function lead(string $to): void
{
    http_response_code(302);
    header("Location: {$to}");
}

/** A line now and then, for a minute. */
function slowly(): void
{
    header('Content-Type: text/calendar');
    for ($i = 0; $i < 60 && ! connection_aborted(); $i++) {
        echo $i === 0 ? "BEGIN:VCALENDAR\r\n" : "X-WAIT:{$i}\r\n";
        flush();
        sleep(1);
    }
}

function rubbish(): void
{
    header('Content-Type: text/html');
    echo '<!doctype html><title>Sign in</title><p>Please sign in to see this calendar.';
}

/** Megabyte after megabyte, until whoever asked has had enough. */
function endless(): void
{
    header('Content-Type: text/calendar');
    echo "BEGIN:VCALENDAR\r\n";
    for ($i = 0; $i < 2000 && ! connection_aborted(); $i++) {
        echo str_repeat("X-MORE:and more\r\n", 60_000);
        flush();
    }
}

/** A few kilobytes that are half a gigabyte when they are unpacked. */
function bomb(): void
{
    header('Content-Type: text/calendar');
    header('Content-Encoding: gzip');
    $pack = deflate_init(ZLIB_ENCODING_GZIP) ?: throw new \RuntimeException('No compression.');
    echo deflate_add($pack, "BEGIN:VCALENDAR\r\n", ZLIB_NO_FLUSH);
    $some = str_repeat("X-MORE:and more\r\n", 60_000);
    for ($i = 0; $i < 500 && ! connection_aborted(); $i++) {
        echo deflate_add($pack, $some, ZLIB_NO_FLUSH);
    }
    echo deflate_add($pack, "END:VCALENDAR\r\n", ZLIB_FINISH);
}

/** @param  array<mixed>  $sent */
function change(Shelf $shelf, array $sent): void
{
    $text = static fn (string $field): string => is_string($sent[$field] ?? null) ? $sent[$field] : '';
    [$name, $uid] = [$text('calendar'), $text('uid')];
    if (! $shelf->has($name)) {
        refuse(404, 'There is no such calendar.');

        return;
    }
    match ($text('do')) {
        'behave' => $shelf->behave($name, $text('manner')),
        'add' => $shelf->add($name, bin2hex(random_bytes(6)).'@simulated.example', $text('summary') ?: 'Another meeting', utc($text('start')), utc($text('end'))),
        'move' => $shelf->move($name, $uid, (int) $text('minutes')),
        'cancel' => $shelf->cancel($name, $uid),
        'remove' => $shelf->remove($name, $uid),
        'clear' => $shelf->clear($name),
        default => null,
    };
    http_response_code(303);
    header('Location: /');
}

/** As a field for date and time gives it. */
function utc(string $typed): string
{
    $moment = strtotime("{$typed} UTC");

    return gmdate('Ymd\THis\Z', $moment === false ? 0 : $moment);
}

function page(Shelf $shelf): void
{
    $escaped = static fn (string $text): string => htmlspecialchars($text, ENT_QUOTES);
    header('Content-Type: text/html; charset=utf-8');
    echo '<!doctype html><html lang="en"><meta charset="utf-8"><title>Simulated calendars</title><style>body{font:16px/1.5 sans-serif;max-width:60em;margin:2em auto;padding:0 1em}form{display:inline-block;margin:.2em .6em .2em 0}li{margin:.3em 0}</style><h1>Simulated calendars</h1>';
    foreach ($shelf->names() as $name) {
        $of = '<input type="hidden" name="calendar" value="'.$escaped($name).'">';
        echo "<h2><a href=\"/{$escaped($name)}.ics\">{$escaped($name)}.ics</a></h2><form method=post>{$of}<input type=hidden name=do value=behave><label>answers <select name=manner>";
        foreach (Shelf::MANNERS as $manner) {
            echo '<option'.($shelf->manner($name) === $manner ? ' selected' : '').">{$manner}</option>";
        }
        echo "</select></label> <button>Set</button></form><form method=post>{$of}<input type=hidden name=do value=clear><button>Empty it</button></form><ul>";
        foreach ($shelf->meetings($name) as $uid => $summary) {
            $one = $of.'<input type="hidden" name="uid" value="'.$escaped((string) $uid).'">';
            echo "<li>{$escaped($summary)} <form method=post>{$one}<input type=hidden name=do value=move><input name=minutes value=30 size=4 aria-label=minutes> <button>Move by minutes</button></form><form method=post>{$one}<input type=hidden name=do value=cancel><button>Call it off</button></form><form method=post>{$one}<input type=hidden name=do value=remove><button>Take it out</button></form></li>";
        }
        echo "</ul><form method=post>{$of}<input type=hidden name=do value=add><input name=summary placeholder=Title aria-label=Title> <input type=datetime-local name=start aria-label=from required> <input type=datetime-local name=end aria-label=to required> UTC <button>Add</button></form>";
    }
}
