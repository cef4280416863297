<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** Estimates as the plan uses them, and the chance of being in time. */
final class EstimateUseTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        foreach ([40, 45, 45, 45, 50, 60] as $i => $actual) { // of half an hour each; the median is 45
            $old = $this->task("Old {$i}", 60);
            $old->update(['done_at' => $this->utc('2026-03-09 12:00'), 'estimate' => 30, 'said' => 30]);
            $this->ines->entries()->create(['task_id' => $old->id, 'starts_at' => $this->utc('2026-03-09 08:00')->addHours($i), 'ends_at' => $this->utc('2026-03-09 08:00')->addHours($i)->addMinutes($actual)]);
        }
    }

    #[Test]
    public function the_plan_lays_out_what_was_typed_or_likely_or_careful_and_shows_both(): void
    {
        $quotes = $this->task('Quotes', 60);
        $this->post('/plan/lay-out');
        self::assertSame(60, $this->planned($quotes));

        $this->put('/settings', $this->settings('likely'))->assertSessionHasNoErrors();
        // six pairs with a median of 1.5 against a belief of 1 that counts as five, for all work, its area and its demand:
        // 1.5 ^ (1 − (5/11)³) = 1.44, so 87 minutes, in whole steps 90
        self::assertSame([60, 90, 90], [$quotes->refresh()->minutesLeft(Clock::now()), $quotes->minutesToPlan(Clock::now()), $this->planned($quotes)]);
        $this->get("/tasks/{$quotes->id}")->assertSeeTextInOrder(['as typed', '1 h 00', 'likely, of 6 like it', '1 h 27', 'left', '1 h 00', 'the plan lays out, likely', '1 h 30']);

        $this->put('/settings', $this->settings('careful'));
        self::assertGreaterThan(90, $this->planned($quotes));
        $this->patch("/tasks/{$quotes->id}", ['left' => '30 min']);
        self::assertSame(30, $this->planned($quotes), 'what somebody says to be left is taken as said');

        $this->patch("/tasks/{$quotes->id}", ['left' => '60 min']);
        $this->put('/settings', $this->settings('typed'));
        self::assertSame(60, $this->planned($quotes));
    }

    #[Test]
    public function the_chance_of_being_in_time_stands_at_every_due_task(): void
    {
        $sure = $this->task('Quotes', 60, dueOn: '2026-03-27');
        $tight = $this->task('Essay', 420, dueOn: '2026-03-11');
        $this->post('/plan/lay-out');

        foreach (['/weigh/list', '/views/cannot-wait'] as $page) {
            $this->get($page)->assertSee($page === '/weigh/list' ? 'over 98 % in time' : 'under 2 % in time');
        }
        $this->get("/tasks/{$sure->id}")->assertSee('over 98 % in time');
        $this->get("/tasks/{$tight->id}")->assertSee('under 2 % in time');
        $this->ines->entries()->delete();
        $this->post('/plan/lay-out');
        $this->patch("/tasks/{$sure->id}", ['estimate' => '70 min']);
        $this->get("/tasks/{$sure->id}")->assertDontSee('in time');
    }

    /** @return array<string, mixed> */
    private function settings(string $use): array
    {
        return ['zone' => 'Europe/Lisbon', 'margin_percent' => 20, 'buffer_before' => 0, 'buffer_after' => 0, 'deep_limit' => 240, 'tempo' => 'calm', 'theme' => 'auto', 'single_keys' => 1, 'estimates' => $use, 'lunch_from' => '12:30', 'lunch_to' => '13:15'];
    }

    private function planned(\App\Models\Task $task): int
    {
        return (int) $task->blocks()->planned()->get()->sum(static fn ($block): float => $block->starts_at->diffInMinutes($block->ends_at));
    }
}
