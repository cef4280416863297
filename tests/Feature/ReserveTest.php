<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Test;

/** Time kept free by hand, and batches of small tasks. */
final class ReserveTest extends FeatureTestCase
{
    #[Test]
    public function reserved_time_is_kept_free_of_planning_until_it_is_open_again(): void
    {
        $this->block($this->task('Essay', minutes: 60), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->post('/reserves', ['title' => 'Quiet reading', 'day' => '2026-03-11', 'start' => '9:00', 'minutes' => 90])->assertSessionHas('undo', true);
        self::assertSame(['Wed 10:30–11:30 Essay'], $this->plan());
        $this->get('/shape')->assertSee('Quiet reading')->assertSeeInOrder(['reserved', '−1 h 30', 'open', '6 h 15']);

        $reserve = $this->ines->reserves()->firstOrFail();
        $this->patch("/reserves/{$reserve->id}", ['title' => 'Quiet reading', 'day' => '2026-03-11', 'start' => '10:00', 'minutes' => 60]);
        self::assertSame('10:00', $this->ines->local($reserve->refresh()->starts_at)->format('H:i'));
        self::assertNotContains('Wed 10:30–11:30 Essay', $this->plan(), 'it made way again');

        $this->delete("/reserves/{$reserve->id}");
        self::assertFalse($this->ines->reserves()->exists());
        $this->post('/plan/undo');
        self::assertTrue($this->ines->reserves()->exists());
    }

    #[Test]
    public function it_needs_a_time_ahead_and_a_length_and_says_so_beside_the_form(): void
    {
        $this->at('2026-03-11 12:00');
        $this->post('/reserves', ['day' => '2026-03-11', 'start' => '11:00', 'minutes' => 30])->assertSessionHasErrors(['reserve' => 'That time has passed. Choose one from now on.']);
        $this->post('/reserves', ['day' => '2026-03-11', 'start' => 'noon', 'minutes' => 30])->assertSessionHasErrors('start');
        $this->post('/reserves', ['day' => '2026-03-11', 'start' => '14:00', 'minutes' => 3])->assertSessionHasErrors(['minutes' => 'A block is 5 minutes to 12 hours long.']);
        $this->block($this->task('Porto', minutes: 30), '2026-03-11 14:00', '2026-03-11 14:30', anchored: true);
        $this->post('/reserves', ['day' => '2026-03-11', 'start' => '14:00', 'minutes' => 30])->assertSessionHasErrors(['reserve' => 'Porto is fixed there, 14:00–14:30. Release it first, or choose another time.']);
        self::assertFalse($this->ines->reserves()->exists());
    }

    #[Test]
    public function small_tasks_dropped_on_it_make_a_batch_that_grows_and_moves_as_one(): void
    {
        $reply = $this->task('Reply', minutes: 15);
        $quotes = $this->task('Quotes', minutes: 20);
        $this->post('/reserves', ['title' => 'Small things', 'day' => '2026-03-11', 'start' => '14:00', 'minutes' => 30]);
        $reserve = $this->ines->reserves()->firstOrFail();

        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $reply->id]);
        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $quotes->id])->assertSessionHas('status', 'In the batch.');
        self::assertSame(['Wed 14:00–14:15 Reply!', 'Wed 14:15–14:35 Quotes!'], $this->plan());
        self::assertSame('14:35', $this->ines->local($reserve->refresh()->ends_at)->format('H:i'), 'it grew');
        $this->get('/shape')->assertSee('Small things, batch of 2, 14:00–14:35');

        $this->patch("/reserves/{$reserve->id}", ['title' => 'Small things', 'day' => '2026-03-11', 'start' => '16:00', 'minutes' => 10]);
        self::assertSame(['Wed 16:00–16:15 Reply!', 'Wed 16:15–16:35 Quotes!'], $this->plan());
        self::assertSame('16:35', $this->ines->local($reserve->refresh()->ends_at)->format('H:i'), 'no shorter than what it holds');

        $this->post('/plan/undo');
        self::assertSame(['Wed 14:00–14:15 Reply!', 'Wed 14:15–14:35 Quotes!'], $this->plan());

        $this->delete("/reserves/{$reserve->id}");
        self::assertSame(2, $this->ines->blocks()->where('anchored', false)->count(), 'what it held is planned again');
    }

    #[Test]
    public function a_long_task_gets_a_block_of_its_own_and_a_member_can_be_taken_out(): void
    {
        $essay = $this->task('Essay', minutes: 90);
        $reply = $this->task('Reply', minutes: 15);
        $this->post('/reserves', ['day' => '2026-03-11', 'start' => '14:00', 'minutes' => 30]);
        $reserve = $this->ines->reserves()->firstOrFail();
        self::assertSame('Reserved', $reserve->title);

        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $essay->id])->assertSessionHasErrors(['reserve' => '“Essay” takes more than 60 minutes: give it a block of its own.']);
        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $reply->id]);
        $block = $reply->blocks()->firstOrFail();
        $this->patch("/blocks/{$block->id}", ['mark' => $block->mark(), 'day' => '2026-03-11', 'start' => '10:00', 'minutes' => 15]);
        self::assertNull($block->refresh()->reserve_id);
        $other = $this->task('Not mine', of: $this->person('wim@example.org'));
        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $other->id])->assertNotFound();
    }

    #[Test]
    public function a_task_done_early_in_a_batch_leaves_the_others_where_they_are(): void
    {
        $reply = $this->task('Reply', minutes: 15);
        $quotes = $this->task('Quotes', minutes: 20);
        $this->post('/reserves', ['day' => '2026-03-11', 'start' => '14:00', 'minutes' => 40]);
        $reserve = $this->ines->reserves()->firstOrFail();
        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $reply->id]);
        $this->post("/reserves/{$reserve->id}/tasks", ['task' => $quotes->id]);

        $this->at('2026-03-11 14:08');
        $block = $reply->blocks()->firstOrFail();
        $this->post("/blocks/{$block->id}/done", ['mark' => $block->mark()]);

        self::assertContains('Wed 14:15–14:35 Quotes!', $this->plan());
        self::assertNotNull($reply->refresh()->done_at);
    }
}
