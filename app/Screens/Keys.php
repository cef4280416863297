<?php

declare(strict_types=1);

namespace App\Screens;

/** The one list of keys (resources/keys.json): the script binds them from it, and every help is printed from it. */
final class Keys
{
    /** @var list<array{key: string, means: string, show: string, after?: string, to?: string, on?: array<string, string>}>|null */
    private static ?array $all = null;

    /** @return list<array{key: string, means: string, show: string, after?: string, to?: string, on?: array<string, string>}> in the order of their help */
    public static function all(): array
    {
        return self::$all ??= array_map(
            static fn (array $one): array => $one + ['show' => strlen($one['key']) === 1 ? strtoupper($one['key']) : $one['key']],
            json_decode((string) file_get_contents(resource_path('keys.json')), true, 8, JSON_THROW_ON_ERROR),
        );
    }

    /**
     * What a screen's own line of keys says, in few words: keys that mean the same there stand together.
     *
     * @return array<string, list<string>> by the words, as "move" => ["↑", "↓"]
     */
    public static function on(string $screen): array
    {
        $said = [];
        foreach (self::all() as $one) {
            $words = $one['on'][$screen] ?? null;
            $words === null || $said[$words][] = $one['show'];
        }

        return $said;
    }
}
