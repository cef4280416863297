<?php

declare(strict_types=1);

/*
 * A simulated calendar server: the stand-in for the servers that calendars are followed from. Run by PHP's own server:
 *
 *     SIMULATED_CALENDARS=/some/folder php -S 127.0.0.1:8001 simulated/calendars/router.php
 *
 * It answers GET /NAME.ics for each NAME.ics of the folder, with ETag and Last-Modified, and 304 where nothing changed.
 * GET / is a page on which the calendars are changed, and each told how to answer; bin/calendars does the same by words.
 */
require __DIR__.'/Shelf.php';
require __DIR__.'/answer.php';

$shelf = new Simulated\Calendars\Shelf((string) getenv('SIMULATED_CALENDARS'));
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
match (true) {
    $path === '/' && $_SERVER['REQUEST_METHOD'] === 'POST' => Simulated\Calendars\change($shelf, $_POST),
    $path === '/' => Simulated\Calendars\page($shelf),
    preg_match('~^/([a-z0-9_-]+)\.ics$~', $path, $name) === 1 && $shelf->has($name[1]) => Simulated\Calendars\calendar($shelf, $name[1]),
    default => Simulated\Calendars\refuse(404, 'There is no such calendar.'),
};
