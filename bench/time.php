<?php

declare(strict_types=1);

/* Asks the pages of a running server in turn and prints their medians beside that of the empty page. */

[, $base, $requests] = [...$argv, '40'];
$jar = tempnam(sys_get_temp_dir(), 'jar');

$ask = static function (string $path, ?array $fields = null) use ($base, $jar): array {
    $curl = curl_init($base.$path);
    curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar]);
    $fields === null || curl_setopt($curl, CURLOPT_POSTFIELDS, http_build_query($fields));
    $from = hrtime(true);
    $body = (string) curl_exec($curl);

    return [(hrtime(true) - $from) / 1e6, curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $body];
};
preg_match('/name="_token" value="([^"]+)"/', $ask('/sign-in')[2], $token);
$ask('/sign-in', ['_token' => $token[1] ?? '', 'email' => 'ines@example.org', 'password' => 'rivers-underfoot']);

$times = [];
$pages = ['/up', '/shape', '/weigh', '/gather', '/meetings', '/settings'];
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
$empty = $median($times['/up']);
foreach ($pages as $page) {
    printf("%-10s median %6.1f ms, %4.1f × the empty page\n", $page, $median($times[$page]), $median($times[$page]) / $empty);
}
unlink($jar);
