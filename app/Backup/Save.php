<?php

declare(strict_types=1);

namespace App\Backup;

/** Saves the state of an installation into one archive, while it runs. */
final readonly class Save
{
    public function __construct(private Place $place) {}

    /**
     * @param  string  $archive  a path ending in .tar, or .tar.gz
     *
     * @throws Failed if it cannot be made; a former file of that name is then left as it was
     */
    public function __invoke(string $archive): Manifest
    {
        $folder = "{$archive}.part.d";
        Folders::remove($folder);
        Folders::make($folder);
        try {
            // Before and after the database: a file that goes or comes meanwhile is there for the rows that name it.
            $this->folders($folder);
            Database::copy($this->place->database, "{$folder}/nekto.sqlite");
            $this->folders($folder);
            $manifest = Manifest::of($folder, $this->place->keyMark(), Database::check("{$folder}/nekto.sqlite"));
            $manifest->write($folder);
            Tar::pack($folder, "{$archive}.part");
            rename("{$archive}.part", $archive) || throw new Failed("{$archive} cannot be written.");

            return $manifest;
        } finally {
            Folders::remove($folder);
            @unlink("{$archive}.part");
        }
    }

    private function folders(string $folder): void
    {
        foreach (Place::FOLDERS as $name) {
            Folders::copy("{$this->place->storage}/app/{$name}", "{$folder}/{$name}");
        }
    }
}
