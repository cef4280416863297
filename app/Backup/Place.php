<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * Where an installation keeps its state: the database, and folders of the storage. Plain PHP, without the framework: what
 * brings a state back must not depend on the state.
 */
final readonly class Place
{
    /** Folders of storage/app that belong to the state. */
    public const FOLDERS = ['files', 'mailbox', 'intake', 'post'];

    /** Beside a database in WAL mode; those of one state must never meet the database of another. */
    public const BESIDE = ['-wal', '-shm', '-journal'];

    public function __construct(public string $root, public string $database, public string $storage, public string $key) {}

    /** As the application would find it: the process's environment, then .env, then what stands in config/. */
    public static function here(string $root): self
    {
        $file = [];
        foreach (@file("{$root}/.env", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (preg_match('/^\s*([A-Z_]+)\s*=\s*"?([^"#]*?)"?\s*(?:#.*)?$/', $line, $part) === 1) {
                $file[$part[1]] = $part[2];
            }
        }
        $of = static fn (string $name, string $else): string => (string) (getenv($name) ?: ($file[$name] ?? '')) ?: $else;

        return new self($root, $of('DB_DATABASE', "{$root}/database/nekto.sqlite"), $of('LARAVEL_STORAGE_PATH', "{$root}/storage"), $of('APP_KEY', ''));
    }

    /** Tells one key from another without telling it. */
    public function keyMark(): string
    {
        return substr(hash('sha256', "nekto:{$this->key}"), 0, 16);
    }

    /** Held shared by every process of the application, and alone by what brings a state back. */
    public function lock(): string
    {
        return "{$this->storage}/framework/running.lock";
    }

    /** @return list<string> names of the migrations that this installation knows */
    public function migrations(): array
    {
        return array_map(static fn (string $path): string => basename($path, '.php'), glob("{$this->root}/database/migrations/*.php") ?: []);
    }
}
