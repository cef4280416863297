<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use Illuminate\Support\Facades\Storage;

/** What a file was cut into: JSON, a line each, written and read one after another so that none of it piles up in memory. */
final class Parts
{
    /**
     * Writes the parts, and says so in the row.
     *
     * @param  iterable<mixed>  $parts
     */
    public static function write(Intake $intake, iterable $parts): void
    {
        $path = 'intake/'.bin2hex(random_bytes(16)).'.jsonl';
        Storage::put($path, '');
        $file = fopen(Storage::path($path), 'wb') ?: throw new \RuntimeException('The parts cannot be written.');
        $total = 0;
        foreach ($parts as $part) {
            if (fwrite($file, json_encode($part, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n") === false) {
                throw new \RuntimeException('No space left on device');
            }
            $total++;
        }
        fclose($file);
        [$intake->parts, $intake->total, $intake->position, $intake->taken] = [$path, $total, 0, 0];
    }

    /**
     * The next parts after what is taken; reading moves the row's position on.
     *
     * @return \Generator<mixed>
     */
    public static function next(Intake $intake, int $most): \Generator
    {
        $file = $intake->parts === null || ! Storage::exists($intake->parts) ? false : fopen(Storage::path($intake->parts), 'rb');
        if ($file === false) {
            $intake->taken = $intake->total;

            return;
        }
        try {
            fseek($file, $intake->position);
            for ($i = 0; $i < $most && ($line = fgets($file)) !== false; $i++) {
                [$intake->position, $intake->taken] = [(int) ftell($file), $intake->taken + 1];
                yield json_decode($line, true, 32, JSON_THROW_ON_ERROR);
            }
        } finally {
            fclose($file);
        }
    }

    /**
     * All parts from the first on; where reading stands is left as it is.
     *
     * @return \Generator<mixed>
     */
    public static function all(Intake $intake): \Generator
    {
        $from = clone $intake;
        $from->position = 0;
        yield from self::next($from, PHP_INT_MAX);
    }

    public static function forget(Intake $intake): void
    {
        Storage::delete(array_values(array_filter([$intake->path, $intake->parts])));
        [$intake->path, $intake->parts] = [null, null];
    }
}
