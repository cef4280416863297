<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** The worker and requests share one database file: what happens at once must happen once. */
final class TwoProcessesTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        $this->file = (string) tempnam(sys_get_temp_dir(), 'nekto');
        $this->artisan('2026-03-11T10:20:00Z', 'migrate', '--force', '--quiet');
        $this->artisan('2026-03-11T10:20:00Z', 'nekto:demo');
    }

    protected function tearDown(): void
    {
        foreach (['', '-wal', '-shm'] as $ending) {
            @unlink($this->file.$ending);
        }
    }

    #[Test]
    public function three_workers_at_the_same_moment_mend_a_plan_once(): void
    {
        $running = array_map(fn () => $this->start('2026-03-11T11:35:00Z', 'nekto:minute'), range(1, 3));
        $states = array_map(static fn (array $process): int => proc_close($process[0]), $running);

        self::assertSame([0, 0, 0], $states);
        self::assertSame(1, $this->number('select count(*) from plan_revisions'));
        self::assertSame(1, $this->number("select carried from tasks where short = 'Wall texts, room 3'"));
        self::assertSame(5, $this->number("select sum(round((julianday(ends_at) - julianday(starts_at)) * 1440)) from blocks b join tasks t on t.id = b.task_id where short = 'Wall texts, room 3' and state = 'planned'"));
    }

    #[Test]
    public function a_configuration_that_is_kept_does_not_keep_the_clock_from_being_set(): void
    {
        $kept = "{$this->file}.config.php";
        putenv("APP_CONFIG_CACHE={$kept}");
        try {
            $this->artisan('', 'config:cache');
            self::assertFileExists($kept);
            $this->artisan('2026-03-11T11:35:00Z', 'nekto:minute');
        } finally {
            putenv('APP_CONFIG_CACHE');
            @unlink($kept);
        }

        self::assertSame('2026-03-11 11:35:00', $this->query('select made_at from plan_revisions'));
    }

    #[Test]
    public function the_database_is_set_for_several_users_at_once(): void
    {
        self::assertSame('wal', $this->query('pragma journal_mode'));
    }

    private function artisan(string $now, string ...$words): void
    {
        [$process, $pipes] = $this->start($now, ...$words);
        $said = (string) stream_get_contents($pipes[1]);
        self::assertSame(0, proc_close($process), $said);
    }

    /** @return array{resource, array<int, resource>} */
    private function start(string $now, string ...$words): array
    {
        $process = proc_open(
            [PHP_BINARY, dirname(__DIR__, 2).'/artisan', ...$words],
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            env_vars: [...getenv(), 'DB_DATABASE' => $this->file, 'NEKTO_NOW' => $now, 'APP_ENV' => 'testing'],
        );
        self::assertIsResource($process);

        return [$process, $pipes];
    }

    private function number(string $sql): int
    {
        return (int) $this->query($sql);
    }

    private function query(string $sql): string
    {
        $answer = (new \PDO("sqlite:{$this->file}"))->query($sql);
        self::assertNotFalse($answer);

        return (string) $answer->fetchColumn();
    }
}
