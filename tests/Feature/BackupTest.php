<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backup\BringBack;
use App\Backup\Failed;
use App\Backup\Folders;
use App\Backup\Place;
use App\Backup\Save;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** A state saved while it changes, and brought back whole or not at all. Real files, a real database. */
final class BackupTest extends TestCase
{
    private string $folder;

    private Place $place;

    private \PDO $rows;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/nekto-backup-'.bin2hex(random_bytes(6));
        $root = dirname(__DIR__, 2);
        $this->place = new Place($root, "{$this->folder}/state/nekto.sqlite", "{$this->folder}/storage", 'base64:one');
        Folders::make("{$this->folder}/state");
        Folders::make("{$this->folder}/storage/app/files/1");
        Folders::make("{$this->folder}/storage/framework/sessions");
        $this->rows = $this->open();
        $this->rows->exec('pragma journal_mode = wal; create table migrations (id integer primary key, migration text, batch integer); create table lines (id integer primary key, text text)');
        $insert = $this->rows->prepare('insert into migrations (migration, batch) values (?, 1)');
        foreach ($this->place->migrations() as $name) {
            $insert->execute([$name]);
        }
        $this->line('one');
        $this->keep('a', 'the first file');
    }

    protected function tearDown(): void
    {
        unset($this->rows);
        Folders::remove($this->folder);
    }

    #[Test]
    public function what_was_there_is_there_again_and_what_came_later_is_kept_beside(): void
    {
        $archive = $this->save();
        $this->line('two');
        $this->keep('b', 'a later file');
        file_put_contents("{$this->place->storage}/framework/sessions/abc", 'of another state');
        unset($this->rows);

        [, $former, $isOld] = (new BringBack($this->place))($archive);
        self::assertSame([['one'], ['files/1/a'], false], [$this->lines(), array_map(static fn (string $path): string => "files/{$path}", Folders::files("{$this->place->storage}/app/files")), $isOld]);
        self::assertSame('the first file', file_get_contents("{$this->place->storage}/app/files/1/a"));
        self::assertSame([], Folders::files("{$this->place->storage}/framework/sessions"));
        self::assertSame(['one', 'two'], $this->lines("{$former}/nekto.sqlite"));
        self::assertSame('a later file', file_get_contents("{$former}/files/1/b"));
    }

    #[Test]
    public function what_a_killed_process_left_of_its_log_is_not_played_into_the_restored_one(): void
    {
        $archive = $this->save();
        $this->rows->exec('pragma wal_autocheckpoint = 0');
        $this->line('only in the log');
        foreach (['', '-wal', '-shm'] as $ending) { // as kill -9 leaves them
            copy($this->place->database.$ending, "{$this->folder}/left{$ending}");
        }
        unset($this->rows);
        foreach (['', '-wal', '-shm'] as $ending) {
            rename("{$this->folder}/left{$ending}", $this->place->database.$ending);
        }
        self::assertGreaterThan(0, filesize("{$this->place->database}-wal"));

        [, $former] = (new BringBack($this->place))($archive);
        self::assertFileDoesNotExist("{$this->place->database}-wal");
        self::assertSame(['one'], $this->lines());
        self::assertSame(['one', 'only in the log'], $this->lines("{$former}/nekto.sqlite"), 'and the former state is whole with its own log');
    }

    #[Test]
    public function it_is_saved_while_somebody_writes(): void
    {
        $this->rows->exec("begin immediate; insert into lines (text) values ('not yet')");
        $archive = $this->save();
        $this->rows->exec('commit');
        unset($this->rows);
        (new BringBack($this->place))($archive);
        self::assertSame(['one'], $this->lines());
    }

    #[Test]
    public function it_refuses_while_a_process_of_the_application_lives(): void
    {
        $archive = $this->save();
        $running = fopen($this->place->lock(), 'c');
        self::assertNotFalse($running);
        self::assertTrue(flock($running, LOCK_SH));
        $this->line('two');
        $this->refused($archive, 'Nekto is running here');
        self::assertSame(['one', 'two'], $this->lines());
        flock($running, LOCK_UN);
        unset($this->rows);
        (new BringBack($this->place))($archive);
        self::assertSame(['one'], $this->lines());
    }

    /** @return array<string, array{\Closure(string): mixed, string}> */
    public static function damages(): array
    {
        return [
            'a byte of a file' => [static fn (string $folder) => file_put_contents("{$folder}/files/1/a", 'the first fiLe'), 'files/1/a is not as it was'],
            'a file gone' => [static fn (string $folder) => unlink("{$folder}/files/1/a"), 'files/1/a is missing'],
            'a file more' => [static fn (string $folder) => file_put_contents("{$folder}/files/1/z", 'z'), 'does not name: files/1/z'],
            'no manifest' => [static fn (string $folder) => unlink("{$folder}/manifest.json"), 'it has no manifest'],
            'a broken manifest' => [static fn (string $folder) => file_put_contents("{$folder}/manifest.json", '{"format": 1'), 'it has no manifest'],
            'the database cut' => [static fn (string $folder) => file_put_contents("{$folder}/nekto.sqlite", substr((string) file_get_contents("{$folder}/nekto.sqlite"), 0, 5000)), 'nekto.sqlite is not as it was'],
        ];
    }

    #[Test]
    #[DataProvider('damages')]
    public function a_damaged_archive_changes_nothing(\Closure $damage, string $said): void
    {
        $archive = $this->save();
        $inside = "{$this->folder}/inside";
        Folders::make($inside);
        exec("tar xf {$archive} -C {$inside}");
        $damage($inside);
        exec("tar cf {$archive} -C {$inside} .");
        $this->line('two');

        $this->refused($archive, $said);
        self::assertSame(['one', 'two'], $this->lines());
        self::assertSame('the first file', file_get_contents("{$this->place->storage}/app/files/1/a"));
    }

    #[Test]
    public function what_is_no_archive_is_said(): void
    {
        file_put_contents("{$this->folder}/a.tar", 'nothing of the kind');
        $this->refused("{$this->folder}/a.tar", 'tar failed');
        $this->refused("{$this->folder}/none.tar", 'There is no file');
    }

    #[Test]
    public function one_of_another_key_or_a_later_version_is_refused(): void
    {
        $archive = $this->save();
        $other = new Place($this->place->root, $this->place->database, $this->place->storage, 'base64:two');
        $this->refused($archive, 'another APP_KEY', $other);
        unset($this->rows);
        (new BringBack($other))($archive, anyKey: true);
        self::assertSame(['one'], $this->lines());

        $this->rows = $this->open();
        $this->rows->exec("insert into migrations (migration, batch) values ('2099_01_01_000001_later', 2)");
        $this->refused($this->save(), 'a later version of Nekto');
    }

    #[Test]
    public function one_of_an_earlier_version_says_that_migrations_are_to_be_run(): void
    {
        $this->rows->exec('delete from migrations where id = (select max(id) from migrations)');
        $archive = $this->save();
        unset($this->rows);
        self::assertTrue((new BringBack($this->place))($archive)[2]);
    }

    #[Test]
    public function a_former_archive_stays_when_the_next_cannot_be_made(): void
    {
        $archive = $this->save();
        $before = sha1_file($archive);
        try {
            (new Save(new Place($this->place->root, "{$this->folder}/nowhere.sqlite", $this->place->storage, '')))($archive);
            self::fail('There is no database.');
        } catch (Failed) {
            self::assertSame($before, sha1_file($archive));
        }
        self::assertSame([], glob("{$archive}.part*"));
    }

    private function save(): string
    {
        $archive = "{$this->folder}/state.tar.gz";
        (new Save($this->place))($archive);

        return $archive;
    }

    private function refused(string $archive, string $said, ?Place $place = null): void
    {
        try {
            (new BringBack($place ?? $this->place))($archive);
            self::fail('It is refused.');
        } catch (Failed $error) {
            self::assertStringContainsString($said, $error->getMessage());
        }
    }

    private function line(string $text): void
    {
        $this->rows->prepare('insert into lines (text) values (?)')->execute([$text]);
    }

    private function keep(string $name, string $content): void
    {
        file_put_contents("{$this->place->storage}/app/files/1/{$name}", $content);
    }

    private function open(?string $path = null): \PDO
    {
        return new \PDO('sqlite:'.($path ?? $this->place->database), options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
    }

    /** @return list<string> */
    private function lines(?string $path = null): array
    {
        return $this->open($path)->query('select text from lines order by id')->fetchAll(\PDO::FETCH_COLUMN);
    }
}
