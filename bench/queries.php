<?php

declare(strict_types=1);

/* Prints how many queries each page needs, asked inside this process with the database of the environment. */

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Facade;

require __DIR__.'/../vendor/autoload.php';

$cookies = [];
$ask = static function (string $method, string $path, array $fields = []) use (&$cookies): array {
    $app = require __DIR__.'/../bootstrap/app.php'; // anew for each, as for each request
    $kernel = $app->make(Kernel::class);
    $count = 0;
    $app->booted(static function () use ($app, &$count): void {
        $app['db']->listen(static function () use (&$count): void {
            $count++;
        });
    });
    $request = Request::create("http://localhost{$path}", $method, $fields, $cookies);
    $response = $kernel->handle($request);
    $kernel->terminate($request, $response);
    foreach ($response->headers->getCookies() as $cookie) {
        $cookies[$cookie->getName()] = $cookie->getValue();
    }
    Facade::clearResolvedInstances();

    return [$count, $response];
};
preg_match('/name="_token" value="([^"]+)"/', (string) $ask('GET', '/sign-in')[1]->getContent(), $token);
$ask('POST', '/sign-in', ['_token' => $token[1] ?? '', 'email' => 'ines@example.org', 'password' => 'rivers-underfoot']);
foreach (array_slice($argv, 1) ?: ['/shape', '/gather', '/work', '/close', '/weigh', '/weigh/list', '/pulse', '/meetings', '/settings'] as $page) {
    [$count, $response] = $ask('GET', $page);
    printf("%-24s %3d queries, %4d KB\n", $page, $count, intdiv(strlen((string) $response->getContent()), 1024));
}
preg_match('/name="csrf-token" content="([^"]+)"/', (string) $ask('GET', '/gather')[1]->getContent(), $token); // signed in it is another one
[$count] = $ask('POST', '/gather', ['_token' => $token[1] ?? '', 'lines' => implode("\n", array_map(static fn (int $n): string => "Line {$n} for 20 min", range(1, 20)))]);
printf("%-24s %3d queries\n", '20 lines caught', $count);
