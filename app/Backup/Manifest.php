<?php

declare(strict_types=1);

namespace App\Backup;

/** What an archive holds, each file with its size and checksum. */
final readonly class Manifest
{
    public const NAME = 'manifest.json';

    public const FORMAT = 1;

    /**
     * @param  string  $madeAt  ISO 8601, UTC
     * @param  list<string>  $migrations
     * @param  array<string, array{size: int, sha256: string}>  $files  by path
     */
    public function __construct(public string $madeAt, public string $keyMark, public array $migrations, public array $files) {}

    /** @param  list<string>  $migrations */
    public static function of(string $folder, string $keyMark, array $migrations): self
    {
        $files = [];
        foreach (Folders::files($folder) as $path) {
            $files[$path] = ['size' => (int) filesize("{$folder}/{$path}"), 'sha256' => (string) hash_file('sha256', "{$folder}/{$path}")];
        }

        return new self(gmdate('Y-m-d\TH:i:s\Z'), $keyMark, $migrations, $files);
    }

    public function write(string $folder): void
    {
        file_put_contents("{$folder}/".self::NAME, json_encode(['format' => self::FORMAT] + get_object_vars($this), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
    }

    /** @throws Failed if there is none, or one of a later format */
    public static function read(string $folder): self
    {
        $json = json_decode((string) @file_get_contents("{$folder}/".self::NAME), true);
        is_array($json) && isset($json['format'], $json['madeAt'], $json['keyMark'], $json['migrations'], $json['files']) || throw new Failed('This is no backup of Nekto: it has no manifest.');
        $json['format'] === self::FORMAT || throw new Failed('This backup was made by a later version of Nekto.');

        return new self($json['madeAt'], $json['keyMark'], $json['migrations'], $json['files']);
    }

    /** @throws Failed if a file is missing, is one too many, or is not as it was */
    public function check(string $folder): void
    {
        $there = array_values(array_diff(Folders::files($folder), [self::NAME]));
        $missing = array_diff(array_keys($this->files), $there);
        $more = array_diff($there, array_keys($this->files));
        $missing === [] || throw new Failed('The archive is not whole: '.reset($missing).' is missing.');
        $more === [] || throw new Failed('The archive holds what its manifest does not name: '.reset($more));
        foreach ($this->files as $path => $file) {
            hash_equals($file['sha256'], (string) hash_file('sha256', "{$folder}/{$path}")) || throw new Failed("The archive is damaged: {$path} is not as it was.");
        }
    }
}
