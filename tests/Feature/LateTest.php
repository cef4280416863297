<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** What becomes late is said at once, by name, before anything else; and what is late stands above the sheet. */
final class LateTest extends FeatureTestCase
{
    #[Test]
    public function a_drop_that_makes_something_late_says_so_before_and_after(): void
    {
        $essay = $this->task('Essay', 120, dueOn: '2026-03-20');
        $this->task('Condition reports', 360, Importance::High, dueOn: '2026-03-11');
        $this->post('/plan/lay-out');
        $this->get('/shape')->assertDontSee('late by this plan');
        $block = $this->ines->blocks()->where('task_id', $essay->id)->firstOrFail();
        $drop = ['day' => '2026-03-11', 'start' => '09:00', 'minutes' => 120];

        $said = $this->postJson("/blocks/{$block->id}/try", $drop)->json('late');
        self::assertCount(1, $said);
        self::assertMatchesRegularExpression('/^Condition reports will be late: Thu 12, \d\d:\d\d, due Wed 11 \(high\)\.$/', $said[0]);

        $this->patch("/blocks/{$block->id}", $drop)->assertSessionHas('status', fn (string $status): bool => str_starts_with($status, $said[0]));
        $this->get('/shape')->assertSeeInOrder(['One task will be late by this plan.', 'Condition reports']);
    }

    #[Test]
    public function a_meeting_that_makes_something_late_is_named_with_it_and_once(): void
    {
        $this->task('Condition reports', 360, Importance::High, dueOn: '2026-03-11');
        $this->post('/plan/lay-out');
        $this->meeting('Lighting review', '2026-03-11 14:00', '2026-03-11 17:30');

        $this->get('/shape')->assertSeeInOrder(['One task will be late by this plan.', 'Moved by itself', 'Condition reports will be late: Thu 12', 'due Wed 11 (high).', 'Lighting review, 14:00–17:30, took its place.']);
        $this->post('/plan/seen');
        $this->post("/tasks/{$this->task('Other', 15)->id}/place", ['day' => '2026-03-16'])->assertSessionHas('status', fn (string $status): bool => ! str_contains($status, 'will be late'));
    }

    #[Test]
    public function a_due_date_that_comes_nearer_says_what_it_does(): void
    {
        $this->task('Catalogue', 360, Importance::Vital, dueOn: '2026-03-11');
        $task = $this->task('Quotes', 120, dueOn: '2026-03-20');
        $this->post('/plan/lay-out');

        $this->patch("/tasks/{$task->id}", ['due_date' => '2026-03-11'])->assertSessionHas('status', fn (string $status): bool => str_starts_with($status, 'Quotes will be late: Thu 12, '));
    }

    #[Test]
    public function what_is_overdue_is_counted_apart(): void
    {
        $this->task('Courier quotes', 20, dueOn: '2026-03-10');
        $this->task('Insurance', 20, dueOn: '2026-03-09');
        $this->post('/plan/lay-out');

        $this->get('/shape')->assertSeeInOrder(['2 tasks are overdue.', 'Insurance', 'Courier quotes'])->assertDontSee('late by this plan');
    }

    #[Test]
    public function work_that_makes_way_says_for_what_and_why(): void
    {
        $essay = $this->task('Essay', 60, Importance::Vital, dueOn: '2026-03-11');
        $this->block($essay, '2026-03-11 15:30', '2026-03-11 16:30');
        $this->block($this->task('Quotes', 60), '2026-03-11 16:30', '2026-03-11 17:30');
        $this->block($this->task('Call', 350), '2026-03-11 09:00', '2026-03-11 15:30', anchored: true);
        $this->meeting('Lighting review', '2026-03-11 15:30', '2026-03-11 16:30');

        $this->get('/shape')->assertSeeInOrder(['Moved by itself', 'Essay', 'Lighting review, 15:30–16:30, took its place.', 'Quotes', 'It makes way for Essay (Lighting review, 15:30–16:30, took its place).']);
    }

    /** Each is moved to the moment it was said to be able to wait until, and anchored there. */
    #[Test]
    public function what_can_wait_can_wait_together(): void
    {
        foreach (['One' => 120, 'Two' => 90, 'Three' => 120, 'Four' => 60] as $title => $minutes) {
            $this->task($title, $minutes, dueOn: '2026-03-13')->update(['splits' => false]);
        }
        $this->task('Today', 360, Importance::Vital, dueOn: '2026-03-11');
        $this->post('/plan/lay-out');
        $content = (string) $this->get('/shape?change=wait')->getContent();
        preg_match_all('/<span class="grow">(One|Two|Three|Four)<\/span><span class="soft">(Thu 12|Fri 13), (\d\d:\d\d)</', $content, $found, PREG_SET_ORDER);

        self::assertCount(4, $found, 'Wednesday is full with what is due');
        foreach (array_reverse($found) as [, $title, $day, $clock]) {
            $block = $this->ines->tasks()->where('title', $title)->sole()->blocks()->sole();
            $this->patch("/blocks/{$block->id}", ['day' => $day === 'Thu 12' ? '2026-03-12' : '2026-03-13', 'start' => $clock, 'minutes' => (int) $block->starts_at->diffInMinutes($block->ends_at)])->assertSessionHasNoErrors();
        }
        self::assertCount(4, array_filter($this->plan(), static fn (string $line): bool => str_ends_with($line, '!')));
        $this->get('/shape')->assertDontSee('late by this plan');
    }

    #[Test]
    public function nothing_is_sent_past_its_due_date_unwarned(): void
    {
        $quotes = $this->task('Courier quotes', 30, dueOn: '2026-03-11');
        $this->post('/plan/lay-out');
        $block = $quotes->blocks()->sole();
        foreach (['bank', 'tomorrow'] as $to) {
            $this->post("/blocks/{$block->id}/send", ['to' => $to])->assertSessionHas('status', 'Courier quotes will be late: Thu 12, 09:30, due Wed 11 (medium). Nothing has moved yet.');
            self::assertSame(['Wed 09:00–09:30 Courier quotes'], $this->plan());
        }
        $offer = session('offer');
        $this->get('/shape')->assertSee('All the same');
        self::assertIsArray($offer);
        $this->post($offer['action'], $offer['fields']);
        self::assertSame(['Thu 09:00–09:30 Courier quotes'], $this->plan());
    }

    #[Test]
    public function a_block_put_on_a_meeting_by_hand_is_said_to_lie_on_it(): void
    {
        $block = $this->block($this->task('Essay', 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->meeting('Lighting review', '2026-03-11 10:00', '2026-03-11 10:30');
        $drop = ['day' => '2026-03-11', 'start' => '09:00', 'minutes' => 75];

        $this->postJson("/blocks/{$block->id}/try", $drop)->assertJsonPath('late.0', 'It lies on Lighting review 10:00–10:30.');
        $this->patch("/blocks/{$block->id}", $drop)->assertSessionHas('status', fn (string $status): bool => str_contains($status, 'It lies on Lighting review 10:00–10:30.'));
    }

    #[Test]
    public function a_pick_without_a_place_is_over_only_where_nothing_would_make_way(): void
    {
        foreach (range(1, 4) as $i) {
            $this->block($this->task("Filler {$i}", 90), '2026-03-11 '.['09:00', '10:30', '13:15', '14:45'][$i - 1], '2026-03-11 '.['10:30', '12:00', '14:45', '16:15'][$i - 1]);
        }
        $this->task('Essay', 120)->update(['picked_on' => '2026-03-11', 'splits' => false]);

        // 6 h 12 under the line, 6 h laid out, none of it picked: two hours of pick would have their place
        $this->get('/shape')->assertSee('2 h 00 without a time')->assertDontSee('over the load line');
        $this->ines->tasks()->where('title', '!=', 'Essay')->update(['picked_on' => '2026-03-11']);
        $this->get('/shape')->assertSee('1 h 48 over the load line');
    }

    #[Test]
    public function a_task_with_less_left_gives_time_back_and_is_not_said_to_have_no_place(): void
    {
        $essay = $this->task('Essay', 180);
        $this->post('/plan/lay-out');

        $this->patch("/tasks/{$essay->id}", ['left' => '60 min'])->assertSessionHas('status', fn (string $status): bool => ! str_contains($status, 'no place'));
    }

    #[Test]
    public function an_undo_says_where_things_are_again(): void
    {
        $block = $this->block($this->task('Essay', 60), '2026-03-11 14:00', '2026-03-11 15:00');
        $this->patch("/blocks/{$block->id}", ['day' => '2026-03-12', 'start' => '09:00', 'minutes' => 60]);
        $this->post('/plan/undo')->assertSessionHas('status', 'The block is back where it was. Essay is at 14:00 again.');
    }

    #[Test]
    public function before_anything_is_laid_out_nothing_is_late_and_what_can_wait_is_known(): void
    {
        $this->task('Today', 360, Importance::Vital, dueOn: '2026-03-11');
        $this->task('Friday', 60, dueOn: '2026-03-13')->update(['splits' => false]);

        $this->get('/shape?propose=1')->assertSeeInOrder(['Can wait', 'every date still holds', 'Friday', 'Fri 13, 16:30'])->assertDontSee('late as it is')->assertDontSee('will be late');
    }
}
