<?php

declare(strict_types=1);

namespace App\Backup;

/** A database as a file: copied while it is written, and looked over. */
final class Database
{
    private const BUSY_MILLISECONDS = 60_000;

    /** SQLite's online backup: the copy is what one reader would have seen at one moment, whoever writes meanwhile. */
    public static function copy(string $from, string $to): void
    {
        is_file($from) || throw new Failed("There is no database at {$from}.");
        try {
            $source = new \SQLite3($from, SQLITE3_OPEN_READWRITE);
            $source->enableExceptions(true);
            $source->busyTimeout(self::BUSY_MILLISECONDS);
            $copy = new \SQLite3($to);
            $copy->enableExceptions(true);
            $source->backup($copy) || throw new Failed('The database could not be copied: '.$source->lastErrorMsg());
            $copy->exec('pragma journal_mode = delete'); // one file, whole in itself
            $copy->close();
            $source->close();
        } catch (\SQLite3Exception|\Exception $error) {
            throw $error instanceof Failed ? $error : new Failed('The database could not be copied: '.$error->getMessage(), previous: $error);
        }
    }

    /**
     * Looks the whole file over.
     *
     * @return list<string> its migrations
     *
     * @throws Failed if it is not whole
     */
    public static function check(string $path): array
    {
        try {
            $database = new \SQLite3($path, SQLITE3_OPEN_READONLY);
            $database->enableExceptions(true);
            $whole = $database->querySingle('pragma integrity_check');
            $loose = $database->querySingle('select count(*) from pragma_foreign_key_check');
            $rows = $database->query('select migration from migrations order by id');
            $migrations = [];
            while ($rows instanceof \SQLite3Result && ($row = $rows->fetchArray(SQLITE3_NUM)) !== false) {
                $migrations[] = (string) $row[0];
            }
            $database->close();
        } catch (\Exception $error) {
            throw new Failed("{$path} is no database of Nekto: ".$error->getMessage(), previous: $error);
        }
        $whole === 'ok' || throw new Failed("{$path} is damaged: ".strtok((string) $whole, "\n"));
        $loose === 0 || throw new Failed("{$path} has {$loose} rows that belong to nothing.");

        return $migrations;
    }
}
