<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Habit;
use App\Models\Task;
use Illuminate\Database\Eloquent\Collection;
use PHPUnit\Framework\Attributes\Test;

/** Habits: so many times a week, each on a day of its own, done by one key, missed without blame. */
final class HabitTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->block($this->task('Essay', 60), '2026-03-11 09:00', '2026-03-11 10:00'); // a plan is under way
    }

    #[Test]
    public function a_line_makes_it_and_its_times_of_this_week_and_the_next_are_laid_on_different_days(): void
    {
        $this->post('/habits', ['line' => 'Canal loop 30 min 3 times a week'])->assertSessionHasNoErrors();
        $habit = $this->ines->habits()->sole();
        self::assertSame(['Canal loop', 30, 3, '2026-03-11'], [$habit->title, $habit->minutes, $habit->times, $habit->from]);
        self::assertSame([3, 3], [$this->times($habit, '2026-03-09')->count(), $this->times($habit, '2026-03-16')->count()]);
        $days = array_map(static fn (string $line): string => substr($line, 0, 3), array_values(array_filter($this->plan(), static fn (string $line): bool => str_contains($line, 'Canal loop'))));
        self::assertCount(6, $days);
        self::assertSame($days, [...array_unique(array_slice($days, 0, 3)), ...array_unique(array_slice($days, 3))], 'once a day at most');
    }

    #[Test]
    public function what_makes_no_habit_is_said(): void
    {
        foreach (['', '30 min 3 times a week', 'Breathe 12 times a week', 'Sleep 9 h 3 times a week', 'Blink 7 min twice a week', str_repeat('x', 121).' 10 min twice a week'] as $line) {
            $response = $this->post('/habits', ['line' => $line]);
            self::assertSame(0, $this->ines->habits()->count(), $line);
            $response->assertSessionHasErrors('line');
        }
        self::assertSame(0, $this->ines->habits()->count());
    }

    #[Test]
    public function one_that_begins_late_in_the_week_has_no_more_times_than_days(): void
    {
        $this->at('2026-03-14 09:00');
        $this->post('/habits', ['line' => 'Canal loop 30 min 3 times a week']);

        self::assertSame([2, 3], [$this->times($this->habit(), '2026-03-09')->count(), $this->times($this->habit(), '2026-03-16')->count()]);
    }

    #[Test]
    public function the_best_time_holds_it_near_and_a_part_of_the_day_within(): void
    {
        $this->post('/habits', ['line' => 'Stretch 15 min once a week at 16:00']);
        $this->post('/habits', ['line' => 'Read 15 min twice a week in the morning']);
        self::assertSame([960, null], [$this->habit('Stretch')->best_at, $this->habit('Read')->best_at]);

        foreach ($this->ines->blocks()->with('task')->get() as $block) {
            $minute = 60 * $block->starts_at->hour + $block->starts_at->minute;
            match ($block->task->title) {
                'Stretch' => self::assertTrue($minute >= 900 && $minute + 15 <= 1035, "at {$minute}"),
                'Read' => self::assertLessThanOrEqual(720, $minute + 15),
                default => null,
            };
        }
        self::assertSame(2, $this->ines->blocks()->whereHas('task', static fn ($task) => $task->where('title', 'Stretch'))->count());
    }

    #[Test]
    public function it_is_done_by_one_key_even_without_a_block_and_its_minutes_are_written_down(): void
    {
        $habit = $this->ines->habits()->create(['title' => 'Canal loop', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'minutes' => 30, 'times' => 2, 'from' => '2026-03-02']);
        $this->artisan('nekto:minute');
        $this->ines->blocks()->whereHas('task', static fn ($task) => $task->whereNotNull('habit_id'))->delete();
        $this->ines->entries()->create(['starts_at' => $this->utc('2026-03-11 07:40'), 'ends_at' => $this->utc('2026-03-11 07:55')]);

        $this->post("/habits/{$habit->id}/done")->assertSessionHas('status', static fn (string $said): bool => str_contains($said, '1 of 2 this week'));
        $entry = $this->ines->entries()->whereNotNull('task_id')->sole();
        self::assertSame(['2026-03-11 07:10', '2026-03-11 07:40'], [$entry->starts_at->format('Y-m-d H:i'), $entry->ends_at?->format('Y-m-d H:i')], 'the last half hour that was free of other work');
        $this->at('2026-03-12 08:00');
        $this->post("/habits/{$habit->id}/done");
        $this->post("/habits/{$habit->id}/done")->assertSessionHas('status', 'Canal loop is done for this week.');
        self::assertSame(2, $this->times($habit, '2026-03-09')->whereNotNull('done_at')->count());
    }

    #[Test]
    public function what_is_not_done_when_the_week_is_over_is_missed_without_a_word(): void
    {
        $this->post('/habits', ['line' => 'Canal loop 30 min twice a week']);
        $this->post("/habits/{$this->habit()->id}/done");
        $this->at('2026-03-16 08:00');
        $this->artisan('nekto:minute');

        $week = $this->habit()->tasks()->withTrashed()->where('occurs_on', '2026-03-09')->get();
        self::assertSame([1, 1], [$week->whereNotNull('done_at')->count(), $week->whereNotNull('deleted_at')->count()]);
        self::assertSame([2, 2], [$this->times($this->habit(), '2026-03-16')->count(), $this->times($this->habit(), '2026-03-23')->count()], 'no debt is carried into the next week');
        $this->get('/goals')->assertSee('0 of 2')->assertSee('1/2');
        $this->get('/views/let-go')->assertDontSee('Canal loop', false);
        $this->get('/ledger?period=last')->assertSee('1 of 2');
    }

    #[Test]
    public function it_keeps_its_times_through_the_change_of_the_clocks(): void
    {
        $this->post('/habits', ['line' => 'Stretch 15 min every day at 16:00']);
        $this->at('2026-03-25 08:00');
        $this->artisan('nekto:minute');
        $clocks = $this->ines->blocks()->whereHas('task', static fn ($task) => $task->whereNotNull('habit_id'))->where('starts_at', '>', $this->utc('2026-03-25 08:00'))->get()
            ->map(static fn ($block): string => $block->starts_at->setTimezone('Europe/Lisbon')->format('H:i'))->unique()->sort()->values()->all();
        self::assertNotSame([], $clocks);
        foreach ($clocks as $clock) {
            self::assertTrue($clock >= '15:00' && $clock <= '17:00', $clock);
        }
    }

    #[Test]
    public function one_that_was_picked_or_anchored_is_a_task_like_any_other_and_its_day_is_taken(): void
    {
        $this->post('/habits', ['line' => 'Canal loop 30 min 3 times a week']);
        $one = $this->times($this->habit(), '2026-03-09')->firstOrFail();
        $this->post("/tasks/{$one->id}/place", ['day' => '2026-03-12', 'start' => '10:00'])->assertSessionHasNoErrors();

        $lies = array_values(array_filter($this->plan(), static fn (string $line): bool => str_contains($line, 'Canal loop')));
        self::assertContains('Thu 10:00–10:30 Canal loop!', $lies);
        self::assertCount(1, array_filter(array_slice($lies, 0, 3), static fn (string $line): bool => str_starts_with($line, 'Thu')));
    }

    #[Test]
    public function a_change_makes_what_nobody_touched_anew_and_an_end_keeps_what_was_done(): void
    {
        $this->post('/habits', ['line' => 'Canal loop 30 min 3 times a week']);
        $habit = $this->habit();
        $this->post("/habits/{$habit->id}/done");
        $this->patch("/habits/{$habit->id}", ['title' => 'Canal loop', 'minutes' => 45, 'times' => 2])->assertSessionHasNoErrors();
        self::assertSame([30, 45], $this->times($habit, '2026-03-09')->pluck('estimate')->all());
        self::assertSame([45, 45], $this->times($habit, '2026-03-16')->pluck('estimate')->all());
        $this->patch("/habits/{$habit->id}", ['title' => 'Canal loop', 'minutes' => 42, 'times' => 2])->assertSessionHasErrors('minutes');

        $this->patch("/habits/{$habit->id}", ['title' => 'Canal loop', 'minutes' => 45, 'times' => 2, 'date' => '2026-03-16', 'due_date' => '2026-03-15'])->assertSessionHasErrors('due_date');
        self::assertSame('2026-03-11', $habit->refresh()->from);

        $this->delete("/habits/{$habit->id}");
        self::assertSame(1, $habit->tasks()->withTrashed()->count());
        $this->get('/goals')->assertOk()->assertDontSee('habit-'.$habit->id, false);
        $this->post('/plan/undo');
        self::assertSame(4, $habit->refresh()->tasks()->count());
    }

    #[Test]
    public function only_its_next_time_is_a_candidate(): void
    {
        $this->post('/habits', ['line' => 'Canal loop 30 min 3 times a week']);
        $this->ines->blocks()->whereHas('task', static fn ($task) => $task->whereNotNull('habit_id'))->delete();
        $page = (string) $this->get('/shape/2026-03-20')->getContent();

        self::assertLessThanOrEqual(1, substr_count($page, 'class="bank-title">Canal loop'));
        $this->get('/weigh')->assertOk();
        $this->get('/week/plan')->assertOk();
    }

    private function habit(string $title = 'Canal loop'): Habit
    {
        return $this->ines->habits()->where('title', $title)->sole();
    }

    /** @return Collection<int, Task> */
    private function times(Habit $habit, string $week): Collection
    {
        return $habit->tasks()->where('occurs_on', $week)->get();
    }
}
