<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\BlockState;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** The day's account. */
final class CloseTest extends FeatureTestCase
{
    #[Test]
    public function the_account_says_planned_actual_and_difference_by_area_and_task(): void
    {
        $texts = $this->task('Wall texts', 90);
        $this->block($texts, '2026-03-11 09:00', '2026-03-11 10:30')->update(['state' => BlockState::Done]);
        $this->spent($texts->id, '09:00', '10:45');
        $texts->update(['done_at' => Clock::now()]);
        $question = $this->task('Crate question', 10);
        $this->spent($question->id, '11:00', '11:12');
        $this->meeting('Loans committee', '2026-03-11 13:30', '2026-03-11 14:15');
        $this->at('2026-03-11 17:30');

        $this->get('/close')->assertOk()->assertSeeInOrder(['Account of Wednesday 11 March', 'Kept', 'Wall texts', '1 h 30', '1 h 45', '+15', 'Added during the day', 'Crate question', '12', '+12', '1 h 30', '1 h 57', '+27'])
            ->assertSee('45 min in 1 meeting,');
        $this->get('/close?by=area')->assertSeeInOrder(['Wall texts', 'done', '1 h 30', '1 h 45', '+15', 'Crate question', 'added', '12', '+12', '1 h 30', '1 h 57', '+27']);
    }

    #[Test]
    public function unfinished_work_says_where_it_went(): void
    {
        $task = $this->task('Courier quotes', 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 17:45');
        $this->get('/close')->assertSeeInOrder(['Unfinished', 'Courier quotes', 'not begun', 'Thu 12, 09:00', 'Change']);
    }

    #[Test]
    public function work_that_was_placed_again_on_the_same_day_was_planned_once(): void
    {
        $task = $this->task('Courier quotes', 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 11:00');
        $this->get('/shape'); // mends the plan
        self::assertCount(2, $this->plan());

        $this->get('/close')->assertSeeInOrder(["The day's work", '30 min', '0 min'], false);
    }

    #[Test]
    public function work_that_went_by_twice_on_a_day_was_planned_once(): void
    {
        $this->block($this->task('Courier quotes', 30), '2026-03-11 09:00', '2026-03-11 09:30');
        foreach (['11:00', '17:35'] as $time) {
            $this->at("2026-03-11 {$time}");
            $this->get('/shape');
        }
        self::assertCount(2, array_filter($this->plan(), static fn (string $line): bool => str_contains($line, '(passed)')));

        $this->get('/close')->assertSeeInOrder(["The day's work", '30 min', '0 min', '−30'], false);
    }

    #[Test]
    public function three_lines_and_reasons_are_kept_and_the_day_is_closed_and_opened_again(): void
    {
        $task = $this->task('Courier quotes', 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->post("/work/start/{$task->id}");
        $this->at('2026-03-11 17:32');
        $this->post('/close', ['date' => '2026-03-11', 'went_well' => 'Panel 3.3 holds.', 'tomorrow' => 'Ask Adaeze', 'slips' => [$task->id => 'a meeting ran over'], 'close' => 1])->assertRedirect('/close/2026-03-11');

        $day = $this->ines->closedDays()->sole();
        self::assertSame(['Panel 3.3 holds.', null, 'Ask Adaeze', [$task->id => 'a meeting ran over'], '2026-03-11 17:32:00'], [$day->went_well, $day->in_the_way, $day->tomorrow, $day->slips, $day->closed_at?->toDateTimeString()]);
        self::assertSame(0, $this->ines->entries()->whereNull('ends_at')->count(), 'the clock stops');
        $this->get('/close')->assertSee('closed at 17:32')->assertSee('Panel 3.3 holds.')->assertSee('a meeting ran over');

        $this->post('/close/open', ['date' => '2026-03-11']);
        $this->get('/close')->assertSee('Close the day')->assertSee('Panel 3.3 holds.');
        $this->post('/close', ['date' => '2026-03-11', 'in_the_way' => 'Two dead tracks']);
        self::assertSame(['Two dead tracks', null], [$day->refresh()->in_the_way, $day->closed_at]);
        self::assertSame(1, $this->ines->closedDays()->count());
    }

    #[Test]
    public function after_four_times_carried_over_it_asks(): void
    {
        $task = $this->task('Case list', 30);
        $this->block($task, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->get('/close')->assertDontSee('carried over 4 times');
        $task->update(['carried' => 4]);

        $this->get('/close')->assertSee('carried over 4 times')->assertSee('split or shrink it')->assertSee('Hand off')->assertSee('Someday')->assertSee('Let go');
    }

    #[Test]
    public function finished_work_says_what_it_taught(): void
    {
        for ($i = 0; $i < 6; $i++) {
            $old = $this->task("Old {$i}", 30);
            $old->update(['done_at' => Clock::now()->subDays(2)]);
            $this->ines->entries()->create(['task_id' => $old->id, 'starts_at' => Clock::now()->subDays(2)->addHours($i), 'ends_at' => Clock::now()->subDays(2)->addHours($i)->addMinutes(45)]);
        }
        $task = $this->task('Budget lines', 30);
        $this->spent($task->id, '09:00', '09:37');
        $task->update(['done_at' => Clock::now()]);
        $this->at('2026-03-11 17:00');

        $this->get('/close')->assertSee('Budget lines: 37 for 30')->assertSee('likely × 1.');
    }

    #[Test]
    public function another_day_can_be_looked_at_but_none_that_has_not_come(): void
    {
        $this->get('/close/2026-03-09')->assertSee('Monday 9 March');
        $this->get('/close/2026-05-01')->assertSee('Wednesday 11 March');
        $this->get('/close/2023-03-01')->assertSee('Wednesday 1 March'); // three years of history can be read
        $this->get('/close/1999-03-01')->assertNotFound();
        $this->get('/close/2026-02-31')->assertNotFound();
        $this->get('/close/yesterday')->assertNotFound();
        $this->post('/close', ['date' => 'soon'])->assertSessionHasErrors('date');
    }

    #[Test]
    public function nobody_sees_the_lines_of_others(): void
    {
        $this->person('wim@example.org')->closedDays()->create(['date' => '2026-03-11', 'went_well' => 'Secret lamps', 'slips' => []]);

        $this->get('/close')->assertDontSee('Secret lamps');
    }

    private function spent(int $task, string $from, string $to): void
    {
        $this->ines->entries()->create(['task_id' => $task, 'starts_at' => $this->utc("2026-03-11 {$from}"), 'ends_at' => $this->utc("2026-03-11 {$to}")]);
    }
}
