<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** Left = what was said − what was worked, whatever happens in between. */
final class BooksTest extends FeatureTestCase
{
    #[Test]
    public function an_hour_worked_is_an_hour_less(): void
    {
        $essay = $this->task('Essay', 300);
        $this->block($essay, '2026-03-11 09:00', '2026-03-11 12:00');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$essay->id}");
        $this->at('2026-03-11 11:40');

        self::assertSame(140, $this->left($essay), 'the clock still runs');
        $this->post('/work/pause');
        self::assertSame([140, 300, 300], [$this->left($essay), $essay->refresh()->said, $essay->estimate]);
        $this->get('/work')->assertSee('2 h 20 of work left');
        $this->get("/tasks/{$essay->id}")->assertSee('value="2 h 20"', false);
    }

    #[Test]
    public function what_was_paused_half_way_is_laid_again_by_half(): void
    {
        $texts = $this->task('Wall texts', 90);
        $this->block($texts, '2026-03-11 09:00', '2026-03-11 10:30');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$texts->id}");
        $this->at('2026-03-11 09:45');
        $this->post('/work/pause');
        self::assertSame(['Wed 09:00–10:30 Wall texts'], $this->plan(), 'a pause is short: the block stands');
        $this->at('2026-03-11 10:30');
        $this->artisan('nekto:minute');

        self::assertSame(45, $this->left($texts));
        self::assertSame(['Wed 09:00–09:45 Wall texts (part)', 'Wed 10:30–11:15 Wall texts'], $this->plan());
    }

    #[Test]
    public function work_on_what_is_laid_out_for_later_makes_that_shorter(): void
    {
        $texts = $this->task('Wall texts', 60);
        $this->block($texts, '2026-03-11 14:00', '2026-03-11 15:00', anchored: false);
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$texts->id}");
        $this->at('2026-03-11 09:20');
        $this->post('/work/pause');

        self::assertSame(40, $this->left($texts));
        self::assertSame(40, $this->planned($texts));
    }

    #[Test]
    public function nothing_but_saying_so_changes_what_was_said(): void
    {
        $texts = $this->task('Wall texts', 90);
        $block = $this->block($texts, '2026-03-11 09:00', '2026-03-11 10:30');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$texts->id}", ['block' => $block->id]);
        $this->at('2026-03-11 09:30');
        $this->post("/work/blocks/{$block->id}/more", ['minutes' => 15]);
        $this->post('/work/rest');
        $this->at('2026-03-11 09:40');
        $this->post("/work/start/{$texts->id}", ['block' => $block->id]);
        $this->at('2026-03-11 09:50');
        $this->post('/work/pause');
        self::assertSame([90, 50], [$texts->refresh()->said, $this->left($texts)], 'a break is no work');

        $entry = $this->ines->entries()->where('task_id', $texts->id)->orderBy('starts_at')->firstOrFail();
        $this->patch("/work/entries/{$entry->id}", ['day' => '2026-03-11', 'from' => '09:10', 'to' => '09:30']);
        self::assertSame([90, 60], [$texts->refresh()->said, $this->left($texts)], 'minutes put right by hand count as they are now');
        $this->post('/plan/undo');
        self::assertSame([90, 50], [$texts->refresh()->said, $this->left($texts)]);

        $this->post("/blocks/{$block->id}/done");
        $this->post('/plan/undo');
        self::assertSame([90, 50], [$texts->refresh()->said, $this->left($texts)], 'opened again it is as it was');

        $this->patch("/tasks/{$texts->id}", ['estimate' => '2 h']);
        self::assertSame([120, 80], [$texts->refresh()->said, $this->left($texts)], 'another estimate says that there is so much more to do');
        $this->patch("/tasks/{$texts->id}", ['left' => '30 min']);
        self::assertSame([120, 30], [$texts->refresh()->estimate, $this->left($texts)], 'what is left is said, the estimate stays');
        $this->post("/work/start/{$texts->id}");
        $this->at('2026-03-11 10:00');
        self::assertSame(20, $this->left($texts), 'from then on what is worked counts');
    }

    #[Test]
    public function what_is_past_its_estimate_asks_and_keeps_a_step(): void
    {
        $quotes = $this->task('Quotes', 30);
        $block = $this->block($quotes, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$quotes->id}", ['block' => $block->id]);
        $this->at('2026-03-11 09:50');
        $this->artisan('nekto:minute');
        $this->get('/work')->assertSee('how much is left?')->assertSee('50 min worked of 30 min')->assertSee('past its estimate');
        $this->post('/work/pause');
        $this->at('2026-03-11 10:05');
        $this->artisan('nekto:minute');
        self::assertSame([0, 5], [$this->left($quotes), $this->planned($quotes)]);

        $this->patch("/tasks/{$quotes->id}", ['left' => '25 min']);
        self::assertSame([25, 25], [$this->left($quotes), $this->planned($quotes)]);
        $this->get('/work')->assertDontSee('how much is left?');
    }

    #[Test]
    public function done_stops_the_clock_also_where_its_block_went_by(): void
    {
        $quotes = $this->task('Quotes', 30);
        $block = $this->block($quotes, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->meeting('Committee', '2026-03-11 10:00', '2026-03-11 10:30');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$quotes->id}");
        $this->at('2026-03-11 09:40');
        $this->artisan('nekto:minute');
        $this->post('/tasks/sort', ['ids' => [$quotes->id], 'to' => 'done']);

        self::assertSame(0, $this->ines->entries()->whereNull('ends_at')->count());
        self::assertSame('2026-03-11 09:40', $this->ines->entries()->firstOrFail()->ends_at?->format('Y-m-d H:i'));
        $this->at('2026-03-12 09:00');
        $this->get('/close/2026-03-11')->assertSee('40');
        self::assertTrue($block->exists);

        $again = $this->task('Call', 30);
        $this->post("/work/start/{$again->id}");
        $this->at('2026-03-12 09:20');
        $this->delete("/tasks/{$again->id}");
        self::assertSame(0, $this->ines->entries()->whereNull('ends_at')->count(), 'so does letting go');
    }

    #[Test]
    public function after_a_meeting_that_stopped_the_clock_it_asks_whether_the_work_went_on(): void
    {
        $essay = $this->task('Essay', 120);
        $block = $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->meeting('Committee', '2026-03-11 10:00', '2026-03-11 10:30');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$essay->id}", ['block' => $block->id]);
        $this->at('2026-03-11 10:40');
        $this->artisan('nekto:minute');
        $this->get('/work')->assertSee('Did the work go on?')->assertSee('Committee stopped the clock of “Essay”')->assertSee('value="10:30"', false);
        self::assertSame(60, $this->left($essay));
        $entry = $this->ines->entries()->firstOrFail();

        $this->post("/work/entries/{$entry->id}/went-on", ['until' => '11:00'])->assertSessionHasErrors('until');
        $this->post("/work/entries/{$entry->id}/went-on", ['until' => '10:20']);
        self::assertSame(40, $this->left($essay));
        $this->get('/work')->assertDontSee('Did the work go on?');
        $this->post('/plan/undo');
        self::assertSame(60, $this->left($essay));
        $this->post("/work/entries/{$entry->id}/went-on", ['none' => 1]);
        $this->get('/work')->assertDontSee('Did the work go on?');
    }

    #[Test]
    public function an_estimate_is_learned_from_as_it_was_when_the_work_began(): void
    {
        $quotes = $this->task('Quotes', 30);
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$quotes->id}");
        $this->at('2026-03-11 09:50');
        $this->patch("/tasks/{$quotes->id}", ['estimate' => '1 h']);
        $this->post('/tasks/sort', ['ids' => [$quotes->id], 'to' => 'done']);

        $pairs = app(\App\Rows\PastRatios::class)->pairs($this->ines);
        self::assertSame([[30, 50]], array_map(static fn ($pair): array => [$pair->estimate, $pair->actual], $pairs));
    }

    private function left(Task $task): int
    {
        return $this->ines->tasks()->findOrFail($task->id)->minutesLeft(Clock::now());
    }

    private function planned(Task $task): int
    {
        return (int) $task->blocks()->planned()->get()->sum(static fn ($block): float => $block->starts_at->diffInMinutes($block->ends_at));
    }
}
