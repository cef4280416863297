<?php

declare(strict_types=1);

namespace App\Exchange;

/** Reads the own format, line by line: one that cannot be read costs itself and is named. */
final class OwnReader
{
    /** Nothing that is written nests deeper. */
    private const DEEPEST = 12;

    /** @return \Generator<Draft|Problem> */
    public function read(string $text): \Generator
    {
        $keys = [];
        foreach (Lines::of($text) as $i => $row) {
            if (trim($row) === '') {
                continue;
            }
            $line = json_decode($row, true, self::DEEPEST);
            $kind = is_array($line) && is_string($line['is'] ?? null) ? $line['is'] : null;
            if (! is_array($line) || $kind === null || ($kind !== 'nekto' && (! isset(OwnFormat::COLUMNS[$kind]) || ! self::isLine($kind)))) {
                yield new Problem($i + 1, __(is_array($line) ? 'files.own_unknown' : 'files.own_unreadable'));
            } elseif ($kind === 'nekto') {
                if (($line['version'] ?? 0) > OwnFormat::VERSION) {
                    yield new Problem($i + 1, __('files.own_newer'));
                }
            } else {
                $name = self::name($kind, $line);
                if ($kind === 'task' && $name === '') {
                    yield new Problem($i + 1, __('files.no_title'));

                    continue;
                }
                $key = $kind === 'task' && is_string($line['key_of'] ?? null) ? mb_substr($line['key_of'], 0, 200) : "{$kind}:".sha1($row);
                if (! isset($keys[$key])) { // twice in one file is once
                    $keys[$key] = true;
                    yield new Draft($i + 1, $key, $name, done: $kind === 'task' && isset($line['done_at']), own: $line);
                }
            }
        }
    }

    /** Whether it stands by itself, and not within another line. */
    private static function isLine(string $kind): bool
    {
        return in_array($kind, ['settings', 'hours', 'group', 'area', 'context', 'project', 'habit', 'task', ...OwnFormat::AFTERWARDS], true);
    }

    /** @param  array<array-key, mixed>  $line */
    private static function name(string $kind, array $line): string
    {
        foreach (['title', 'name', 'date', 'begins_on', 'week_on'] as $column) {
            if (is_string($line[$column] ?? null)) {
                return mb_substr(trim($line[$column]), 0, 200);
            }
        }

        return $kind === 'task' ? '' : $kind;
    }
}
