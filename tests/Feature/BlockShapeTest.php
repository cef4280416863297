<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** Blocks cut in two, put together, swapped and sent elsewhere. */
final class BlockShapeTest extends FeatureTestCase
{
    #[Test]
    public function a_block_is_split_in_halves_or_after_so_many_minutes_and_its_parts_move_apart(): void
    {
        $block = $this->block($this->task('Essay', minutes: 90), '2026-03-11 09:00', '2026-03-11 10:30');

        $this->post("/blocks/{$block->id}/split", ['mark' => $block->mark(), 'first' => 30])->assertSessionHas('undo', true);
        self::assertSame(['Wed 09:00–09:30 Essay!', 'Wed 09:30–10:30 Essay!'], $this->plan());

        $second = $this->ines->blocks()->orderByDesc('starts_at')->firstOrFail();
        $this->patch("/blocks/{$second->id}", ['mark' => $second->mark(), 'day' => '2026-03-11', 'start' => '15:00', 'minutes' => 60]);
        self::assertSame(['Wed 09:00–09:30 Essay!', 'Wed 15:00–16:00 Essay!'], $this->plan());
        self::assertSame(90, $block->task->refresh()->minutesLeft(Clock::now()), 'it is the same work');

        $this->post('/plan/undo');
        $this->post('/plan/undo');
        self::assertSame(['Wed 09:00–10:30 Essay'], $this->plan());
    }

    #[Test]
    public function what_is_too_short_to_split_says_so(): void
    {
        $block = $this->block($this->task('Call', minutes: 5), '2026-03-11 09:00', '2026-03-11 09:05');

        $this->post("/blocks/{$block->id}/split")->assertSessionHasErrors(['start' => 'A block of less than 10 minutes, or one that is over, cannot be split.']);
        self::assertSame(['Wed 09:00–09:05 Call'], $this->plan());
    }

    #[Test]
    public function two_blocks_of_a_task_are_joined_at_the_earlier_ones_start(): void
    {
        $essay = $this->task('Essay', minutes: 90);
        $first = $this->block($essay, '2026-03-11 09:00', '2026-03-11 09:30', anchored: true);
        $this->block($essay, '2026-03-11 15:00', '2026-03-11 16:00', anchored: true);

        $this->post("/blocks/{$first->id}/join", ['mark' => $first->mark()]);
        self::assertSame(['Wed 09:00–10:30 Essay!'], $this->plan());

        $this->post("/blocks/{$first->refresh()->id}/join")->assertSessionHasErrors(['start' => '“Essay” has no other block ahead to put together with this one.']);
    }

    #[Test]
    public function blocks_that_cannot_be_joined_because_something_fixed_lies_between_stay_apart(): void
    {
        $essay = $this->task('Essay', minutes: 90);
        $first = $this->block($essay, '2026-03-11 09:00', '2026-03-11 09:30', anchored: true);
        $this->block($this->task('Porto', minutes: 30), '2026-03-11 09:30', '2026-03-11 10:00', anchored: true);
        $this->block($essay, '2026-03-11 15:00', '2026-03-11 16:00', anchored: true);

        $this->post("/blocks/{$first->id}/join")->assertSessionHasErrors(['start' => 'Porto is fixed there, 09:30–10:00. Release it first, or choose another time.']);
    }

    #[Test]
    public function neighbours_fill_the_same_stretch_in_the_other_order(): void
    {
        $long = $this->block($this->task('Essay', minutes: 90), '2026-03-11 09:00', '2026-03-11 10:30');
        $short = $this->block($this->task('Quotes', minutes: 20), '2026-03-11 10:30', '2026-03-11 10:50');

        $this->post("/blocks/{$short->id}/swap", ['with' => $long->id, 'mark' => $short->mark()]);

        self::assertSame(['Wed 09:00–09:20 Quotes!', 'Wed 09:20–10:50 Essay!'], $this->plan());
    }

    #[Test]
    public function blocks_with_something_between_them_take_each_others_start(): void
    {
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $one = $this->block($this->task('Essay', minutes: 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $other = $this->block($this->task('Quotes', minutes: 30), '2026-03-11 14:00', '2026-03-11 14:30');

        $this->post("/blocks/{$one->id}/swap", ['with' => $other->id]);

        self::assertSame(['Wed 09:00–09:30 Quotes!', 'Wed 14:00–15:00 Essay!'], $this->plan());
    }

    #[Test]
    public function a_swap_needs_another_block_that_is_ahead_and_of_a_length_that_fits(): void
    {
        $this->meeting('Check-in', '2026-03-11 09:30', '2026-03-11 09:45');
        $short = $this->block($this->task('Quotes', minutes: 20), '2026-03-11 09:00', '2026-03-11 09:20');
        $long = $this->block($this->task('Essay', minutes: 120), '2026-03-11 10:00', '2026-03-11 12:00');

        $this->post("/blocks/{$short->id}/swap", ['with' => $long->id])->assertSessionHasErrors(['start' => 'They are too different in length to change places. Move one of them instead.']);
        $this->post("/blocks/{$short->id}/swap", ['with' => $short->id])->assertSessionHasErrors(['start' => 'Choose the block it is to change places with.']);
        $this->at('2026-03-11 09:10');
        $this->post("/blocks/{$short->id}/swap", ['with' => $long->id])->assertSessionHasErrors('start');
        self::assertSame(['Wed 09:00–09:20 Quotes', 'Wed 10:00–12:00 Essay'], $this->plan());
    }

    #[Test]
    public function the_only_block_of_a_task_is_picked_for_the_day_it_is_sent_to(): void
    {
        $quotes = $this->task('Quotes', minutes: 30);
        $block = $this->block($quotes, '2026-03-11 09:00', '2026-03-11 09:30');

        $this->post("/blocks/{$block->id}/send", ['to' => 'tomorrow', 'mark' => $block->mark()]);
        self::assertSame('2026-03-12', $quotes->refresh()->picked_on);
        self::assertSame(['Thu 09:00–09:30 Quotes'], $this->plan());

        $block = $this->ines->blocks()->firstOrFail();
        $this->post("/blocks/{$block->id}/send", ['to' => 'day', 'day' => '2026-03-16']);
        self::assertSame(['Mon 09:00–09:30 Quotes'], $this->plan());
    }

    #[Test]
    public function one_of_several_blocks_is_anchored_where_nothing_is_fixed_and_the_others_stay(): void
    {
        $essay = $this->task('Essay', minutes: 120);
        $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $second = $this->block($essay, '2026-03-11 10:00', '2026-03-11 11:00');
        $this->block($this->task('Porto', minutes: 30), '2026-03-13 09:00', '2026-03-13 09:30', anchored: true);

        $this->post("/blocks/{$second->id}/send", ['to' => 'day', 'day' => '2026-03-13']);

        self::assertSame(['Wed 09:00–10:00 Essay', 'Fri 09:00–09:30 Porto!', 'Fri 09:30–10:30 Essay!'], $this->plan());
    }

    #[Test]
    public function what_goes_back_to_the_bank_is_planned_from_the_next_day_on_until_it_is_taken_again(): void
    {
        $quotes = $this->task('Quotes', minutes: 30);
        $quotes->update(['picked_on' => '2026-03-11', 'key' => true]);
        $block = $this->block($quotes, '2026-03-11 09:00', '2026-03-11 09:30');

        $this->post("/blocks/{$block->id}/send", ['to' => 'bank']);
        self::assertSame(['Thu 09:00–09:30 Quotes'], $this->plan());
        self::assertNull($quotes->refresh()->picked_on);
        $this->get('/shape')->assertSee('planned Thu 12, 09:00');

        $this->post("/tasks/{$quotes->id}/place", ['day' => '2026-03-11', 'start' => '11:00']);
        self::assertSame(['Wed 11:00–11:30 Quotes!'], $this->plan());
        self::assertNull($quotes->refresh()->not_before);
    }

    #[Test]
    public function a_day_that_has_passed_or_lies_beyond_the_plan_is_refused_with_a_reason(): void
    {
        $block = $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');

        $this->post("/blocks/{$block->id}/send", ['to' => 'day', 'day' => '2026-03-10'])->assertSessionHasErrors(['start' => 'That time has passed. Choose one from now on.']);
        $this->post("/blocks/{$block->id}/send", ['to' => 'day', 'day' => '2026-08-10'])->assertSessionHasErrors('start');
        $this->post("/blocks/{$block->id}/send", ['to' => 'day'])->assertSessionHasErrors(['day' => 'Choose a day, or the bank.']);
        $this->post("/blocks/{$block->id}/send", ['to' => 'moon'])->assertSessionHasErrors('to');
        self::assertSame(['Wed 09:00–09:30 Quotes'], $this->plan());
    }

    #[Test]
    public function a_longer_block_says_what_it_makes_of_the_estimate(): void
    {
        $block = $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');

        $this->patch("/blocks/{$block->id}", ['mark' => $block->mark(), 'day' => '2026-03-11', 'start' => '09:00', 'minutes' => 50])
            ->assertSessionHas('status', 'Moved and anchored; its estimate grew from 30 min to 50 min.');
        self::assertSame(50, $block->task->refresh()->estimate);
    }

    #[Test]
    public function a_mark_from_before_a_change_elsewhere_is_noticed(): void
    {
        $block = $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $old = $block->mark();
        $this->patch("/blocks/{$block->id}", ['mark' => $old, 'day' => '2026-03-11', 'start' => '15:00', 'minutes' => 30]);

        foreach (['split' => [], 'join' => [], 'send' => ['to' => 'bank']] as $what => $more) {
            $this->post("/blocks/{$block->id}/{$what}", ['mark' => $old, ...$more])->assertSessionHasErrors('start');
        }
        self::assertSame(['Wed 15:00–15:30 Quotes!'], $this->plan());
    }
}
