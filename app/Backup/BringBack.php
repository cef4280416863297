<?php

declare(strict_types=1);

namespace App\Backup;

/** Brings a saved state back in the place of the present one, which is kept beside it. */
final readonly class BringBack
{
    public function __construct(private Place $place) {}

    /**
     * @param  bool  $anyKey  also if it was made under another application key: second factors and letters to be sent cannot be read then
     * @return array{Manifest, string, bool} what was brought back, where the former state lies, and whether migrations are to be run
     *
     * @throws Failed before anything is changed
     */
    public function __invoke(string $archive, bool $anyKey = false): array
    {
        is_file($archive) || throw new Failed("There is no file {$archive}.");
        $lock = $this->alone();
        $new = "{$this->place->storage}/framework/restore-".getmypid();
        Folders::remove($new);
        Folders::make($new);
        try {
            Tar::unpack($archive, $new);
            $manifest = Manifest::read($new);
            $manifest->check($new);
            $migrations = Database::check("{$new}/nekto.sqlite");
            $later = array_diff($migrations, $this->place->migrations());
            $later === [] || throw new Failed('This backup was made by a later version of Nekto: it knows '.reset($later).'. Upgrade first.');
            $anyKey || $manifest->keyMark === $this->place->keyMark()
                || throw new Failed('This backup was made under another APP_KEY; second factors could not be read with the present one. Put the former key into .env, or say --any-key.');
            $former = $this->swap($new);
        } finally {
            Folders::remove($new);
        }
        flock($lock, LOCK_UN);

        return [$manifest, $former, array_diff($this->place->migrations(), $migrations) !== []];
    }

    /**
     * Nobody else may have the state open, from before it is looked at until it is replaced.
     *
     * @return resource
     */
    private function alone()
    {
        Folders::make(dirname($this->place->lock()));
        $lock = fopen($this->place->lock(), 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            throw new Failed('Nekto is running here. Stop the web server’s PHP, the scheduler and the queue worker (or bin/demo), then try again.');
        }

        return $lock;
    }

    /** @return string where the former state lies */
    private function swap(string $new): string
    {
        $former = dirname($this->place->database).'/former-'.gmdate('Ymd-His').'-'.getmypid();
        Folders::make($former);
        $owner = @fileowner($this->place->database);
        foreach (['', ...Place::BESIDE] as $ending) { // together: what is left of one database's log must not be played into another
            is_file($this->place->database.$ending) && Folders::move($this->place->database.$ending, "{$former}/nekto.sqlite{$ending}");
        }
        foreach (Place::FOLDERS as $name) {
            is_dir("{$this->place->storage}/app/{$name}") && Folders::move("{$this->place->storage}/app/{$name}", "{$former}/{$name}");
        }
        is_dir("{$this->place->storage}/framework/sessions") && Folders::move("{$this->place->storage}/framework/sessions", "{$former}/sessions"); // their sign-ins are those of another state
        Folders::remove("{$this->place->storage}/framework/cache/data");
        Folders::make("{$this->place->storage}/framework/sessions");
        Folders::make("{$this->place->storage}/framework/cache/data");
        foreach (Place::FOLDERS as $name) {
            is_dir("{$new}/{$name}") && Folders::move("{$new}/{$name}", "{$this->place->storage}/app/{$name}");
        }
        Folders::move("{$new}/nekto.sqlite", $this->place->database); // last: as long as it is not there, nothing starts on half a state
        $owner !== false && $this->own($owner);

        return $former;
    }

    /** Whoever ran the application goes on having its files, also if root brought them back. */
    private function own(int $owner): void
    {
        if (! function_exists('posix_geteuid') || posix_geteuid() !== 0 || $owner === 0) {
            return;
        }
        chown($this->place->database, $owner);
        foreach (['app', 'framework/sessions', 'framework/cache'] as $folder) {
            @chown("{$this->place->storage}/{$folder}", $owner);
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$this->place->storage}/{$folder}", \FilesystemIterator::SKIP_DOTS), \RecursiveIteratorIterator::SELF_FIRST) as $one) {
                $one instanceof \SplFileInfo && @chown($one->getPathname(), $owner);
            }
        }
    }
}
