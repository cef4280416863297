<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use Illuminate\Queue\Events\Looping;
use PHPUnit\Framework\Attributes\Test;

/** A clock that is held in a file. */
final class HeldClockTest extends FeatureTestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'clock');
    }

    protected function tearDown(): void
    {
        Clock::set('');
        @unlink($this->file);
        parent::tearDown();
    }

    #[Test]
    public function a_file_holds_it_and_one_that_is_not_there_does_not(): void
    {
        file_put_contents($this->file, "2026-03-11T10:20:00+00:00\n");
        Clock::set("file:{$this->file}");
        self::assertSame('2026-03-11 10:20', Clock::now()->format('Y-m-d H:i'));
        unlink($this->file);
        Clock::set("file:{$this->file}");
        self::assertFalse(Clock::stands());
    }

    #[Test]
    public function a_worker_looks_at_it_before_each_job(): void
    {
        file_put_contents($this->file, '2026-03-11T10:20:00+00:00');
        putenv("NEKTO_NOW=file:{$this->file}");
        $this->refreshApplication();
        putenv('NEKTO_NOW');
        file_put_contents($this->file, '2026-03-11T13:45:00+00:00');
        self::assertSame('10:20', Clock::now()->format('H:i'));

        event(new Looping('database', 'default'));
        self::assertSame('13:45', Clock::now()->format('H:i'));
    }

    #[Test]
    public function one_that_is_just_being_written_is_waited_for_and_never_taken_for_real_time(): void
    {
        file_put_contents($this->file, '');
        $write = proc_open([PHP_BINARY, '-r', 'usleep(30000); file_put_contents($argv[1], "2026-03-11T10:25:00+00:00");', $this->file], [], $pipes);
        self::assertIsResource($write);
        Clock::set('');
        for ($tries = 0; $tries < 20 && ! Clock::stands(); $tries++) {
            try {
                Clock::set("file:{$this->file}");
            } catch (\RuntimeException $error) {
                self::assertStringContainsString('holds no moment', $error->getMessage());
            }
        }
        proc_close($write);
        self::assertSame('10:25', Clock::now()->format('H:i'));
    }
}
