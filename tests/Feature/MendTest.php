<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Test;

final class MendTest extends FeatureTestCase
{
    #[Test]
    public function the_worker_places_work_again_whose_time_has_passed(): void
    {
        $task = $this->task('Quotes', minutes: 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:30');

        $this->artisan('nekto:minute')->assertSuccessful()->expectsOutputToContain('1 moves');

        self::assertSame(['Wed 09:00–09:30 Quotes (passed)', 'Wed 09:30–10:00 Quotes'], $this->plan());
        self::assertSame(1, $task->refresh()->carried);
    }

    #[Test]
    public function the_next_request_does_so_where_the_worker_was_off(): void
    {
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-12 08:00');

        $this->get('/shape')->assertOk()->assertSee('Moved by itself')->assertSee('Its time went by and it was not done.');

        self::assertSame(['Wed 09:00–09:30 Quotes (passed)', 'Thu 09:00–09:30 Quotes'], $this->plan());
    }

    #[Test]
    public function a_block_that_is_on_stays_until_it_ends(): void
    {
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:29');

        $this->artisan('nekto:minute');

        self::assertSame(['Wed 09:00–09:30 Quotes'], $this->plan());
    }

    #[Test]
    public function done_work_is_left_alone(): void
    {
        $block = $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:20');
        $this->post("/blocks/{$block->id}/done");
        $this->at('2026-03-11 11:00');

        $this->artisan('nekto:minute');

        self::assertSame(['Wed 09:00–09:20 Quotes (done)'], $this->plan());
    }

    #[Test]
    public function mending_once_is_enough(): void
    {
        $task = $this->task('Quotes', minutes: 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:30');
        for ($i = 0; $i < 3; $i++) {
            $this->artisan('nekto:minute');
            $this->get('/shape');
        }

        self::assertSame(1, $task->refresh()->carried);
        self::assertSame(1, $this->ines->planRevisions()->count());
    }

    #[Test]
    public function a_meeting_over_a_block_moves_the_block_and_nothing_else(): void
    {
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->block($this->task('Essay', minutes: 60), '2026-03-11 14:00', '2026-03-11 15:00');
        $this->meeting('Lighting review', '2026-03-11 14:00', '2026-03-11 15:00');

        $this->get('/shape')->assertSee('Lighting review, 14:00–15:00, took its place.');

        self::assertSame(['Wed 09:00–09:30 Quotes', 'Wed 09:30–10:30 Essay'], $this->plan());
    }

    #[Test]
    public function an_anchored_block_stays_under_a_meeting(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 14:00', '2026-03-11 15:00', anchored: true);
        $this->meeting('Lighting review', '2026-03-11 14:00', '2026-03-11 15:00');

        $this->get('/shape')->assertDontSee('Moved by itself');

        self::assertSame(['Wed 14:00–15:00 Essay!'], $this->plan());
    }

    #[Test]
    public function undo_brings_the_former_plan_back_and_it_stays_back(): void
    {
        $task = $this->task('Quotes', minutes: 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->block($this->task('Essay'), '2026-03-11 14:00', '2026-03-11 15:00');
        $before = $this->plan();
        $this->meeting('Lighting review', '2026-03-11 14:00', '2026-03-11 15:00');
        $this->at('2026-03-11 09:30');
        $this->get('/shape');
        self::assertNotSame($before, $this->plan());

        $this->post('/plan/undo');
        $this->artisan('nekto:minute');
        $this->get('/shape')->assertDontSee('Moved by itself');

        self::assertSame($before, $this->plan());
        self::assertSame(0, $task->refresh()->carried);
        $this->post('/plan/lay-out'); // asked for: now it moves again
        self::assertContains('Wed 09:00–09:30 Quotes (passed)', $this->plan());
    }

    #[Test]
    public function the_note_stays_until_it_was_read(): void
    {
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:30');
        $this->get('/shape')->assertSee('Moved by itself');
        $this->get('/shape')->assertSee('Moved by itself');

        $this->post('/plan/seen');

        $this->get('/shape')->assertDontSee('Moved by itself');
    }

    #[Test]
    public function work_without_a_place_is_said_to_have_none(): void
    {
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        foreach ($this->ines->hoursSets as $set) {
            $set->update(['week' => []]);
        }
        $this->at('2026-03-11 09:30');

        $this->get('/shape')->assertSee('no place');
        self::assertSame(['Wed 09:00–09:30 Quotes (passed)'], $this->plan());
    }

    #[Test]
    public function one_account_that_fails_keeps_nobody_else_waiting(): void
    {
        $this->ines->hoursSets()->firstOrFail()->update(['week' => ['mon' => [['17:00', '09:00']]]]); // cannot be: a damaged row
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        $wim = $this->person('wim@example.org');
        $this->block($this->task('Cables', minutes: 30, of: $wim), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 10:00');

        $this->artisan('nekto:minute')->assertFailed();

        self::assertSame(['Wed 09:00–09:30 Cables (passed)', 'Wed 10:00–10:30 Cables'], $this->plan($wim));
    }

    #[Test]
    public function a_plan_across_the_clock_change_keeps_the_wall_clock(): void
    {
        $this->at('2026-03-27 17:00');
        $this->task('Essay', minutes: 90);
        $this->post('/plan/lay-out');

        self::assertSame(['Mon 09:00–10:30 Essay'], $this->plan(), 'half an hour of it before a weekend is worth less than all of it at once');
        self::assertSame('2026-03-30 08:00:00', $this->ines->blocks()->max('starts_at'));
    }
}
