<?php

declare(strict_types=1);

namespace App\Http;

/** Addresses that came with a request: only those of this application are gone to. */
final class SafeAddress
{
    /** The path and question of an own address; null if it is none. */
    public static function own(string $address): ?string
    {
        $parts = parse_url($address);
        if ($parts === false || preg_match('/[\x00-\x20\x7f\\\\]/', $address) === 1 || isset($parts['user']) || isset($parts['pass'])) {
            return null;
        }
        if (isset($parts['scheme']) || isset($parts['host']) || isset($parts['port'])) {
            $own = parse_url(url('/')) ?: [];
            foreach (['scheme', 'host', 'port'] as $part) {
                if (($parts[$part] ?? null) !== ($own[$part] ?? null)) {
                    return null;
                }
            }
        }
        $path = $parts['path'] ?? '/';

        return str_starts_with($path, '/') && ! str_starts_with($path, '//') ? $path.(isset($parts['query']) ? "?{$parts['query']}" : '') : null;
    }
}
