<?php

declare(strict_types=1);

namespace App\Backup;

/** The system's tar, which every Debian has: archives of any size, readable without Nekto. */
final class Tar
{
    public static function pack(string $folder, string $archive): void
    {
        self::run(['tar', '--create', ...self::packed($archive), '--owner=0', '--group=0', '--file', $archive, '--directory', $folder, '.']);
    }

    /** Names that lead out of the folder are refused by tar itself. */
    public static function unpack(string $archive, string $folder): void
    {
        self::run(['tar', '--extract', '--no-same-owner', '--no-same-permissions', '--file', $archive, '--directory', $folder]);
    }

    /** @return list<string> */
    private static function packed(string $archive): array
    {
        return preg_match('/\.t?gz(?:\.part)?$/', $archive) === 1 ? ['--gzip'] : [];
    }

    /** @param  list<string>  $command */
    private static function run(array $command): void
    {
        $process = proc_open($command, [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
        is_resource($process) || throw new Failed('tar cannot be run.');
        stream_get_contents($pipes[1]);
        $said = trim((string) stream_get_contents($pipes[2]));
        proc_close($process) === 0 || throw new Failed('tar failed: '.($said === '' ? 'it did not say why' : strtok($said, "\n")));
    }
}
