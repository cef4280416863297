<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Entry;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\Attributes\TestWith;

/** Clocks that run past their block, past the day, and by a rhythm. */
final class TimerTest extends FeatureTestCase
{
    #[Test]
    public function a_block_whose_clock_still_runs_goes_on_and_what_follows_makes_way(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 10:00', '2026-03-11 10:30');
        $this->at('2026-03-11 10:00');
        $this->artisan('nekto:minute');
        self::assertSame(['Wed 09:00–10:30 Essay', 'Wed 10:30–11:00 Quotes'], $this->plan(), 'half an hour at once: what follows moves once');
        $this->get('/shape')->assertSeeInOrder(['Moved by itself', 'Quotes', 'The clock of Essay ran over.']);

        $this->at('2026-03-11 10:12');
        $this->get('/work')->assertSee('Essay');
        self::assertSame(['Wed 09:00–10:30 Essay', 'Wed 10:30–11:00 Quotes'], $this->plan(), 'and not again');
        self::assertSame(0, $this->ines->tasks()->where('title', 'Essay')->value('carried'));
        self::assertSame(60, $this->ines->tasks()->where('title', 'Essay')->value('estimate'), 'the estimate is what it was: that it was too short is what is learned');

        $this->at('2026-03-11 10:20');
        $block = $this->ines->blocks()->orderBy('starts_at')->firstOrFail();
        $this->post("/blocks/{$block->id}/done", ['mark' => $block->mark()]);
        self::assertSame(['09:00–10:20'], $this->entries());
    }

    #[Test]
    public function a_meeting_stops_the_clock_and_the_rest_is_placed_again(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->meeting('Committee', '2026-03-11 10:00', '2026-03-11 11:00');
        $this->at('2026-03-11 10:05');
        $this->artisan('nekto:minute');

        self::assertSame(['09:00–10:00'], $this->entries());
        self::assertSame(['Wed 09:00–10:00 Essay (part)', 'Wed 11:00–11:05 Essay'], $this->plan(), 'its hour is worked; until somebody says what is left, a step of it stays laid');
    }

    #[Test]
    public function a_meeting_stops_the_clock_even_if_nobody_looked_for_hours(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->meeting('Committee', '2026-03-11 10:15', '2026-03-11 11:00');
        $this->at('2026-03-11 17:00');
        $this->artisan('nekto:minute');

        self::assertSame(['09:00–10:15'], $this->entries());
    }

    #[Test]
    public function a_clock_that_ran_for_hours_beyond_its_end_asks_the_same_day(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 13:59');
        $this->get('/work')->assertDontSee('The clock still runs');
        $this->at('2026-03-11 18:30');
        $this->get('/work')->assertSee('The clock still runs');
        $this->post('/work/pause');
        self::assertCount(1, $this->entries());
    }

    #[Test]
    public function it_goes_on_no_further_than_the_next_meeting(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 09:50');
        $this->meeting('Committee', '2026-03-11 10:00', '2026-03-11 11:00');
        $this->at('2026-03-11 09:55');
        $this->artisan('nekto:minute');

        self::assertContains('Wed 09:00–10:00 Essay', $this->plan());
    }

    #[Test]
    public function an_undone_mending_is_not_made_again_by_the_clock(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 10:00', '2026-03-11 10:30');
        $this->at('2026-03-11 10:02');
        $this->artisan('nekto:minute');
        $this->post('/plan/undo');
        $before = $this->plan();
        $this->artisan('nekto:minute');

        self::assertSame($before, $this->plan());
    }

    #[Test]
    public function a_forgotten_clock_asks_in_the_morning_what_was_true(): void
    {
        $this->started('Essay', '2026-03-11 16:00', '2026-03-11 17:00');
        $this->at('2026-03-12 08:30');

        $this->get('/work')->assertSeeInOrder(['The clock still runs', 'since Wed 11, 16:00', '“Essay” has been going on', '17:00']);
        $this->get('/shape?morning=left')->assertSee('Say when you stopped');
        $this->post('/work/forgotten', ['until' => '15:00'])->assertSessionHasErrors(['until' => 'Say a time after Wed 11, 16:00 and before now, such as 17:30.']);
        $this->post('/work/forgotten', ['until' => 'late'])->assertSessionHasErrors('until');
        $this->post('/work/forgotten', ['until' => '16:40'])->assertSessionHas('undo', true);
        self::assertSame(['16:00–16:40'], $this->entries());
        $this->get('/work')->assertDontSee('The clock still runs');

        $this->post('/plan/undo');
        $this->post('/work/forgotten', ['none' => 1]);
        self::assertSame([], $this->entries());
        $this->post('/work/forgotten', ['until' => '16:40'])->assertSessionHas('status', 'No clock of an earlier day is running.');
    }

    #[Test]
    public function who_worked_past_midnight_says_a_time_of_the_next_day(): void
    {
        $this->started('Essay', '2026-03-11 23:00', '2026-03-11 23:30');
        $this->at('2026-03-12 08:30');

        $this->post('/work/forgotten', ['until' => '00:20']);

        self::assertSame(['23:00–00:20'], $this->entries());
    }

    /** Within a day four hours beyond the block are believed, over midnight one. */
    #[Test]
    #[TestWith(['2026-03-11 13:00', '2026-03-11 14:00', '2026-03-11 17:59', false])]
    #[TestWith(['2026-03-11 13:00', '2026-03-11 14:00', '2026-03-11 18:00', true])]
    #[TestWith(['2026-03-11 22:00', '2026-03-11 23:30', '2026-03-12 00:29', false])]
    #[TestWith(['2026-03-11 22:00', '2026-03-11 23:30', '2026-03-12 00:30', true])]
    #[TestWith(['2026-03-11 22:00', '2026-03-11 23:30', '2026-03-12 03:30', true])]
    public function how_long_a_clock_is_believed(string $from, string $to, string $now, bool $asks): void
    {
        $this->started('Essay', $from, $to);
        $this->at($now);
        $page = $this->get('/work');
        $asks ? $page->assertSee('The clock still runs') : $page->assertDontSee('The clock still runs');

        $this->post('/work/pause');
        self::assertSame([substr($from, 11).'–'.substr($asks ? $to : $now, 11)], $this->entries());
    }

    #[Test]
    public function whoever_begins_something_else_first_leaves_a_likely_end_behind(): void
    {
        $this->started('Essay', '2026-03-11 16:00', '2026-03-11 17:00');
        $this->at('2026-03-12 09:00');
        $quotes = $this->task('Quotes');
        $this->post("/work/start/{$quotes->id}");

        self::assertSame(['16:00–17:00', '09:00–'], $this->entries());
    }

    #[Test]
    public function a_rhythm_says_when_a_break_is_due_and_when_it_is_over(): void
    {
        $this->ines->update(['rhythm_work' => 50, 'rhythm_break' => 10]);
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 11:00');
        $this->at('2026-03-11 09:20');
        $this->get('/work')->assertSeeText('Stretch 1 of 4; a break at 09:50.');
        $this->at('2026-03-11 09:52');
        $this->get('/work')->assertSeeText('52 min without a break: take 10 min now, with K.');
        $this->post('/work/rest');
        $this->at('2026-03-11 10:03');
        $this->get('/work')->assertSeeText('A break until 10:02. It is over: go on with Space.');
        self::assertSame([false, true], $this->ines->entries()->orderBy('starts_at')->pluck('break')->all());
    }

    #[Test]
    public function minutes_put_right_or_taken_away_come_back_with_undo(): void
    {
        $entry = $this->ines->entries()->create(['task_id' => $this->task('Essay')->id, 'starts_at' => $this->utc('2026-03-11 07:00'), 'ends_at' => $this->utc('2026-03-11 07:30')]);

        $this->patch("/work/entries/{$entry->id}", ['day' => '2026-03-11', 'from' => '07:10', 'to' => '07:40']);
        self::assertSame(['07:10–07:40'], $this->entries());
        $this->delete("/work/entries/{$entry->id}")->assertSessionHas('undo', true);
        self::assertSame([], $this->entries());
        $this->post('/plan/undo')->assertSessionHas('status', 'The minutes are as they were before.');
        $this->post('/plan/undo');
        self::assertSame(['07:00–07:30'], $this->entries());
    }

    #[Test]
    public function the_quiet_form_shows_the_task_and_nothing_else(): void
    {
        $this->started('Essay', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 09:10');

        $this->get('/work?quiet=1')->assertSee('50 min')->assertSee('Pause')->assertDontSee('Catch a thought')->assertDontSee('class="ribbon', false);
    }

    private function started(string $title, string $from, string $to): void
    {
        $task = $this->task($title, minutes: (int) $this->utc($from)->diffInMinutes($this->utc($to)));
        $block = $this->block($task, $from, $to);
        $this->at($from);
        $this->post("/work/start/{$task->id}", ['block' => $block->id]);
    }

    /** @return list<string> as "09:00–10:00", in Lisbon */
    private function entries(): array
    {
        return array_values($this->ines->entries()->orderBy('starts_at')->get()
            ->map(fn (Entry $entry): string => $this->ines->local($entry->starts_at)->format('H:i').'–'.($entry->ends_at === null ? '' : $this->ines->local($entry->ends_at)->format('H:i')))->all());
    }
}
