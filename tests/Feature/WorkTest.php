<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Entry;
use App\Models\TaskStage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Working through the day. */
final class WorkTest extends FeatureTestCase
{
    #[Test]
    public function the_block_that_is_on_is_large_with_what_comes_next(): void
    {
        $this->block($this->task('Wall texts', 90), '2026-03-11 09:00', '2026-03-11 10:30');
        $this->block($this->task('Quotes', 30), '2026-03-11 14:00', '2026-03-11 14:30');
        $this->meeting('Loans committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $this->at('2026-03-11 09:20');

        $this->get('/work')->assertOk()->assertSeeInOrder(['Wall texts', '1 h 10', 'left until 10:30', 'Next', '1 h 40 until Loans committee', 'Loans committee', 'Quotes']);
        $this->at('2026-03-11 11:15');
        $this->get('/work')->assertSee('45 min')->assertSee('Decided: one task a line');
    }

    #[Test]
    public function the_clock_runs_on_the_server_for_one_task_at_a_time(): void
    {
        $texts = $this->task('Wall texts', 90);
        $block = $this->block($texts, '2026-03-11 09:00', '2026-03-11 10:30');
        $quotes = $this->task('Quotes', 30);
        $this->at('2026-03-11 09:05');
        $this->post("/work/start/{$texts->id}", ['block' => $block->id]);
        $this->post("/work/start/{$texts->id}", ['block' => $block->id]);
        self::assertSame(1, $this->ines->entries()->count(), 'asked twice, it is one entry');

        $this->at('2026-03-11 09:35');
        $this->get('/work')->assertSee('30 min done today')->assertSee('Pause');
        $this->post("/work/start/{$quotes->id}");
        $this->at('2026-03-11 09:45');
        $this->post('/work/rest');
        $this->at('2026-03-11 09:55');
        $this->post('/work/pause');

        self::assertSame(['09:05–09:35 Wall texts', '09:35–09:45 Quotes', '09:45–09:55 break'], $this->entries());
        self::assertSame(0, $this->ines->entries()->whereNull('ends_at')->count());
    }

    #[Test]
    public function a_start_that_is_paused_at_once_leaves_nothing(): void
    {
        $task = $this->task('Quotes');
        $this->post("/work/start/{$task->id}");
        $this->post('/work/pause');

        self::assertSame([], $this->entries());
    }

    #[Test]
    public function more_time_pushes_the_rest_of_the_day_and_says_what(): void
    {
        $texts = $this->task('Wall texts', 60);
        $block = $this->block($texts, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Quotes', 30), '2026-03-11 10:00', '2026-03-11 10:30');
        $this->at('2026-03-11 09:50');
        $this->post("/work/blocks/{$block->id}/more", ['minutes' => 15])->assertSessionHas('status', fn (mixed $said): bool => is_string($said) && str_contains($said, 'More time'));

        self::assertSame(['Wed 09:00–10:15 Wall texts', 'Wed 10:15–10:45 Quotes'], $this->plan());
        self::assertSame([60, 60], [$texts->refresh()->estimate, $texts->said], 'nobody said that there is more to do');
        $this->post('/plan/undo');
        self::assertSame(['Wed 09:00–10:00 Wall texts', 'Wed 10:00–10:30 Quotes'], $this->plan());
        $this->post("/work/blocks/{$block->id}/more", ['minutes' => 9000])->assertSessionHasErrors('minutes');
    }

    #[Test]
    public function what_is_blocked_waits_and_its_time_is_free_again(): void
    {
        $texts = $this->task('Wall texts', 120);
        $block = $this->block($texts, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($texts, '2026-03-11 10:00', '2026-03-11 11:00');
        $this->at('2026-03-11 09:20');
        $this->post("/work/start/{$texts->id}", ['block' => $block->id]);
        $this->at('2026-03-11 09:40');
        $this->post("/work/blocks/{$block->id}/blocked", ['by' => ''])->assertSessionHasErrors('by');
        $this->post("/work/blocks/{$block->id}/blocked", ['by' => 'Tomás', 'ask_on' => '2026-13-45'])->assertSessionHasErrors(['ask_on' => 'There is no such date. Write it as “fri”, “18 april” or 2026-03-13.'])->assertSessionHasInput('by', 'Tomás');
        $this->post("/work/blocks/{$block->id}/blocked", ['by' => 'Tomás', 'ask_on' => '2026-03-13'])->assertRedirect('/work');

        self::assertSame([TaskStage::Waiting, 'Tomás', '2026-03-13'], [$texts->refresh()->stage, $texts->waiting_for, $texts->ask_on]);
        self::assertSame(['Wed 09:00–09:40 Wall texts (part)'], $this->plan());
        self::assertSame(['09:20–09:40 Wall texts'], $this->entries());
    }

    #[Test]
    public function a_second_window_is_told_that_the_block_has_changed(): void
    {
        $block = $this->block($this->task('Wall texts', 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $mark = $block->mark();
        $this->at('2026-03-11 09:30');
        $this->post("/work/blocks/{$block->id}/more", ['minutes' => 15, 'mark' => $mark]);

        $this->post("/work/blocks/{$block->id}/more", ['minutes' => 15, 'mark' => $mark])->assertSessionHasErrors('start');
        self::assertSame(['Wed 09:00–10:15 Wall texts'], $this->plan());
    }

    #[Test]
    public function minutes_are_entered_and_put_right_by_hand(): void
    {
        $task = $this->task('Quotes');
        $this->at('2026-03-11 12:00');
        $this->post('/work/entries', ['day' => '2026-03-11', 'from' => '09:00', 'to' => '09:40', 'task_id' => $task->id])->assertSessionHasNoErrors();
        $entry = $this->ines->entries()->sole();
        $this->patch("/work/entries/{$entry->id}", ['day' => '2026-03-11', 'from' => '09:10', 'to' => '09:50'])->assertSessionHasNoErrors();

        self::assertSame(['09:10–09:50 Quotes'], $this->entries());
        $this->delete("/work/entries/{$entry->id}");
        self::assertSame([], $this->entries());
    }

    /** @param  array<string, string>  $sent */
    #[Test]
    #[DataProvider('wrong')]
    public function minutes_that_cannot_be_are_refused_with_a_reason(array $sent, string $field, string $reason): void
    {
        $task = $this->task('Quotes');
        $this->at('2026-03-11 12:00');
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc('2026-03-11 09:00'), 'ends_at' => $this->utc('2026-03-11 10:00')]);

        $this->post('/work/entries', $sent + ['day' => '2026-03-11', 'from' => '10:00', 'to' => '11:00', 'task_id' => (string) $task->id])->assertSessionHasErrors([$field => $reason])->assertSessionHasInput('from');
        self::assertSame(1, $this->ines->entries()->count());
    }

    /** @return array<string, array{array<string, string>, string, string}> */
    public static function wrong(): array
    {
        return [
            'over another' => [['from' => '09:30', 'to' => '10:30'], 'from', 'At 09:00–10:00 there is already Quotes. Change that entry, or choose a time beside it.'],
            'around another' => [['from' => '08:30', 'to' => '10:30'], 'from', 'At 09:00–10:00 there is already Quotes. Change that entry, or choose a time beside it.'],
            'backwards' => [['from' => '11:00', 'to' => '10:30'], 'to', 'It must end after it begins.'],
            'in the future' => [['from' => '11:30', 'to' => '12:30'], 'to', 'That time has not come yet. Enter what was, not what will be.'],
            'no time' => [['from' => 'soon', 'to' => '10:30'], 'from', 'No clock shows that time. Write it as 14:30.'],
        ];
    }

    #[Test]
    public function the_rest_of_the_day_is_cleared_at_once_and_undo_brings_it_back(): void
    {
        $this->block($this->task('Wall texts', 60), '2026-03-11 13:30', '2026-03-11 14:30');
        $call = $this->task('Call', 30);
        $this->block($call, '2026-03-11 15:00', '2026-03-11 15:30', anchored: true);
        $call->update(['picked_on' => '2026-03-11']);
        $this->at('2026-03-11 14:00');
        $this->post('/plan/end-day')->assertSessionHas('status', fn (mixed $said): bool => is_string($said) && str_contains($said, 'The rest of the day is clear'));

        self::assertSame(['Wed 13:30–14:00 Wall texts (part)', 'Thu 09:00–09:30 Call', 'Thu 09:30–10:30 Wall texts'], $this->plan());
        $this->get('/work')->assertSee('The day ended at 14:00');
        $this->post('/plan/lay-out');
        self::assertSame([], array_filter($this->plan(), static fn (string $line): bool => str_starts_with($line, 'Wed') && ! str_contains($line, 'part')), 'nor does laying out fill it again');
        $this->post('/plan/undo');
        $this->post('/plan/undo');
        self::assertSame(['Wed 13:30–14:30 Wall texts', 'Wed 15:00–15:30 Call!'], $this->plan());
        self::assertSame(0, $this->ines->earlyEnds()->count());
    }

    #[Test]
    public function what_was_to_begin_this_very_minute_goes_with_the_rest_of_the_day(): void
    {
        $texts = $this->task('Wall texts', 60);
        $block = $this->block($texts, '2026-03-11 14:00', '2026-03-11 15:00');
        $this->at('2026-03-11 14:00');
        $this->post("/work/start/{$texts->id}", ['block' => $block->id]);
        $this->post('/plan/end-day');

        self::assertSame(['Thu 09:00–10:00 Wall texts'], $this->plan());
        self::assertSame(0, $this->ines->entries()->count(), 'no clock runs on');
        $this->post('/plan/undo');
        self::assertSame(['Wed 14:00–15:00 Wall texts'], $this->plan());
        self::assertSame(1, $this->ines->entries()->whereNull('ends_at')->count());
    }

    #[Test]
    public function a_day_that_was_ended_can_go_on_and_the_next_one_is_open(): void
    {
        $this->task('Wall texts', 60);
        $this->at('2026-03-11 14:00');
        $this->post('/plan/end-day');
        $this->post('/plan/lay-out');
        self::assertSame(['Thu 09:00–10:00 Wall texts'], $this->plan());
        $this->post('/plan/go-on');
        $this->post('/plan/lay-out');

        self::assertSame(['Wed 14:00–15:00 Wall texts'], $this->plan());
    }

    #[Test]
    public function an_empty_day_says_how_to_begin(): void
    {
        $this->get('/work')->assertOk()->assertSee('Nothing is laid out for now');
    }

    /** @return list<string> */
    private function entries(): array
    {
        $titles = $this->ines->tasks()->withTrashed()->pluck('title', 'id');

        return array_values($this->ines->entries()->orderBy('starts_at')->get()->map(fn (Entry $one): string => $this->ines->local($one->starts_at)->format('H:i').'–'.($one->ends_at === null ? '' : $this->ines->local($one->ends_at)->format('H:i')).' '.($one->break ? 'break' : $titles[$one->task_id] ?? 'other'))->all());
    }
}
