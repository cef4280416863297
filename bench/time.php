<?php

declare(strict_types=1);

/* Asks the pages of a running server in turn and prints their medians beside that of the empty page. */

[, $base, $requests] = [...$argv, '40'];
$more = array_slice($argv, 3);
$cookies = [];
$ask = static function (string $path, ?array $fields = null) use ($base, &$cookies): array {
    $context = stream_context_create(['http' => [
        'method' => $fields === null ? 'GET' : 'POST', 'content' => http_build_query($fields ?? []), 'follow_location' => 0, 'ignore_errors' => true, 'protocol_version' => 1.1,
        'header' => "Connection: close\r\nContent-Type: application/x-www-form-urlencoded\r\nCookie: ".implode('; ', array_map(static fn (string $name, string $value): string => "{$name}={$value}", array_keys($cookies), $cookies)),
    ]]);
    $from = hrtime(true);
    $body = (string) file_get_contents($base.$path, false, $context);
    $ms = (hrtime(true) - $from) / 1e6;
    foreach ($http_response_header as $line) {
        if (preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $line, $cookie) === 1) {
            $cookies[$cookie[1]] = $cookie[2];
        }
    }

    return [$ms, (int) (explode(' ', $http_response_header[0])[1] ?? 0), $body];
};
preg_match('/name="_token" value="([^"]+)"/', $ask('/sign-in')[2], $token);
$ask('/sign-in', ['_token' => $token[1] ?? '', 'email' => 'ines@example.org', 'password' => 'rivers-underfoot']);

$times = [];
$pages = ['/alive', ...($more === [] ? ['/shape', '/gather', '/work', '/close', '/weigh', '/weigh/list', '/pulse', '/meetings', '/settings'] : $more)];
for ($i = -3; $i < (int) $requests; $i++) {
    foreach ($pages as $page) { // in turn, so that a slow moment of the machine meets all of them
        [$ms, $status] = $ask($page);
        $status === 200 || exit("{$page} answered {$status}\n");
        if ($i >= 0) {
            $times[$page][] = $ms;
        }
    }
}
$median = static function (array $values): float {
    sort($values);

    return $values[intdiv(count($values), 2)];
};
$empty = $median($times['/alive']);
foreach ($pages as $page) {
    printf("%-24s median %6.1f ms, %4.1f × the empty page\n", $page, $median($times[$page]), $median($times[$page]) / $empty);
}
