<?php

declare(strict_types=1);

namespace App\Backup;

/** Files of folders: listed, copied, removed. */
final class Folders
{
    /** @return list<string> paths of all files below, relative, in order */
    public static function files(string $folder): array
    {
        if (! is_dir($folder)) {
            return [];
        }
        $paths = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            $file instanceof \SplFileInfo && $file->isFile() && $paths[] = substr($file->getPathname(), strlen($folder) + 1);
        }
        sort($paths);

        return $paths;
    }

    /** Copies what is not there yet; where the disk allows it by a second name, which costs nothing. A file that has gone meanwhile is left out. */
    public static function copy(string $from, string $to): void
    {
        foreach (self::files($from) as $path) {
            $target = "{$to}/{$path}";
            if (! is_file($target)) {
                self::make(dirname($target));
                @link("{$from}/{$path}", $target) || @copy("{$from}/{$path}", $target);
            }
        }
    }

    public static function make(string $folder): void
    {
        is_dir($folder) || @mkdir($folder, 0o755, true) || is_dir($folder) || throw new Failed("{$folder} cannot be made.");
    }

    public static function remove(string $folder): void
    {
        if (! is_dir($folder)) {
            return;
        }
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS), \RecursiveIteratorIterator::CHILD_FIRST) as $one) {
            if ($one instanceof \SplFileInfo) {
                $one->isDir() && ! $one->isLink() ? rmdir($one->getPathname()) : unlink($one->getPathname());
            }
        }
        rmdir($folder);
    }

    /** To a place that may lie on another disk. */
    public static function move(string $from, string $to): void
    {
        self::make(dirname($to));
        if (@rename($from, $to)) {
            return;
        }
        is_dir($from) ? self::copy($from, $to) : (copy($from, $to) || throw new Failed("{$from} cannot be moved to {$to}."));
        is_dir($from) ? self::remove($from) : unlink($from);
    }
}
