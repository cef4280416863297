<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Console\Scheduling\Event;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PHPUnit\Framework\Attributes\Test;

/** What whoever runs Nekto can see from outside, and what runs each minute. */
final class UpTest extends FeatureTestCase
{
    #[Test]
    public function it_says_when_the_worker_last_looked_after_plans(): void
    {
        auth()->logout();
        $this->get('/up')->assertOk()->assertSee('The worker has not looked after plans within a day');

        $this->artisan('nekto:minute');
        $this->get('/up')->assertOk()->assertSee('The worker last looked after plans at 2026-03-11 08:00 UTC.');

        $this->at('2026-03-11 08:07');
        $this->get('/up')->assertOk()->assertSee('7 minutes ago');
    }

    #[Test]
    public function it_says_so_where_there_are_no_rows_to_be_read(): void
    {
        Schema::rename('users', 'elsewhere');
        $this->get('/up')->assertServiceUnavailable()->assertSee('cannot read and write its database')->assertSee('MB are free');
        $this->get('/alive')->assertOk();
        Schema::rename('elsewhere', 'users');
    }

    #[Test]
    public function it_tells_the_room_that_is_left_and_what_waits(): void
    {
        $this->get('/up')->assertOk()->assertSee('can be read and written')->assertSee('MB are free')->assertSee('No file waits');
        DB::table('jobs')->insert(['queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => now()->getTimestamp() - 300, 'created_at' => now()->getTimestamp() - 300]);
        $this->get('/up')->assertOk()->assertSee('1 files wait to be read, the first for 5 minutes');
    }

    #[Test]
    public function a_database_that_cannot_be_written_is_not_up(): void
    {
        DB::statement('pragma query_only = on');
        try {
            $this->get('/up')->assertServiceUnavailable()->assertSee('may read its database or its files, but not write them');
        } finally {
            DB::statement('pragma query_only = off');
        }
    }

    #[Test]
    public function the_scheduler_runs_the_minutes_work_and_never_two_of_it_at_once(): void
    {
        $events = array_values(array_filter(resolve(Schedule::class)->events(), static fn (Event $event): bool => str_contains((string) $event->command, 'nekto:minute')));

        self::assertCount(1, $events);
        self::assertSame(['* * * * *', true], [$events[0]->expression, $events[0]->withoutOverlapping]);
    }
}
