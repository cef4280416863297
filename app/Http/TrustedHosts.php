<?php

declare(strict_types=1);

namespace App\Http;

/** The names under which this installation may be called: links in letters carry no other. */
final class TrustedHosts
{
    /** @return list<string> patterns */
    public static function all(): array
    {
        $own = (string) parse_url((string) config('app.url'), PHP_URL_HOST);
        $more = array_filter(array_map(trim(...), explode(',', (string) config('nekto.hosts'))));
        $near = in_array($own, ['localhost', '127.0.0.1', '::1'], true) ? ['localhost', '127.0.0.1', '\[::1\]'] : [];

        return array_map(static fn (string $host): string => '^'.($host === '\[::1\]' ? $host : preg_quote($host)).'$', array_values(array_unique([$own, ...$more, ...$near])));
    }
}
