<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\BlockState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Test;

/** What is sent again has happened once; what had to wait counts from when it was pressed. */
final class OnceTest extends FeatureTestCase
{
    private const KEY = '0f8fad5b-d9cb-469f-a165-70867728950e';

    #[Test]
    public function a_line_that_is_sent_twice_is_caught_once(): void
    {
        $this->post('/gather', ['lines' => 'Ask Prue who turned plate 12', '_once' => self::KEY])->assertSessionHasNoErrors();
        $this->post('/gather', ['lines' => 'Ask Prue who turned plate 12', '_once' => self::KEY])->assertRedirect()->assertSessionHas('status', __('app.arrived_before'));

        self::assertSame(1, $this->ines->tasks()->count());
        $this->post('/gather', ['lines' => 'Ask Prue who turned plate 12', '_once' => strrev(self::KEY)]);
        self::assertSame(2, $this->ines->tasks()->count(), 'typed twice is two');
    }

    #[Test]
    public function a_key_is_a_persons_own(): void
    {
        $this->post('/gather', ['lines' => 'Two lamps', '_once' => self::KEY]);
        $wim = $this->person('wim@example.org');
        $this->actingAs($wim)->post('/gather', ['lines' => 'Two lamps', '_once' => self::KEY]);

        self::assertSame(1, $wim->tasks()->count());
    }

    #[Test]
    public function what_was_refused_has_not_happened_and_may_be_sent_again(): void
    {
        $this->post('/gather', ['lines' => '   ', '_once' => self::KEY])->assertSessionHasErrors('lines');
        $this->post('/gather', ['lines' => 'Two lamps', '_once' => self::KEY])->assertSessionHasNoErrors();

        self::assertSame(1, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_change_that_fails_takes_its_key_back(): void
    {
        DB::unprepared("create trigger no_more before insert on tasks begin select raise(abort, 'full'); end");
        $this->post('/gather', ['lines' => 'Two lamps', '_once' => self::KEY])->assertStatus(500);
        DB::unprepared('drop trigger no_more');
        $this->post('/gather', ['lines' => 'Two lamps', '_once' => self::KEY])->assertSessionHasNoErrors();

        self::assertSame(1, $this->ines->tasks()->count());
    }

    #[Test]
    public function done_twice_is_done_once_and_undo_takes_it_back_whole(): void
    {
        $task = $this->task('Quotes');
        $this->block($task, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 09:30');
        foreach ([1, 2] as $time) {
            $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'done', '_once' => self::KEY]);
        }
        $this->post('/plan/undo');

        self::assertNull($task->refresh()->done_at);
        self::assertSame(0, $this->ines->planRevisions()->whereNull('undone_at')->count());
    }

    #[Test]
    public function what_no_journal_keeps_happens_once_too(): void
    {
        $message = $this->ines->messages()->create(['message_id' => '1', 'from_name' => 'Ana', 'subject' => 'Lamps', 'body' => '', 'received_at' => now()]);
        $this->post("/messages/{$message->id}/state", ['state' => 'filed', '_once' => self::KEY])->assertSessionHasNoErrors();
        $this->post("/messages/{$message->id}/state", ['state' => 'answered', '_once' => self::KEY])->assertSessionHas('status', __('app.arrived_before'));
    }

    #[Test]
    public function a_line_that_waited_means_the_day_it_was_typed(): void
    {
        $this->at('2026-03-12 09:00');
        $this->post('/gather', ['lines' => 'Call Wim tomorrow', '_once' => self::KEY, '_age' => 86_400]); // typed on Wednesday

        $task = $this->ines->tasks()->sole();
        self::assertSame('2026-03-11 09:00', $task->created_at->format('Y-m-d H:i'));
        self::assertStringContainsString('2026-03-12', json_encode($task->getAttributes()) ?: '');
    }

    #[Test]
    public function a_clock_paused_on_the_train_stopped_there(): void
    {
        $task = $this->task('Quotes');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$task->id}");
        $this->at('2026-03-11 11:00');
        $this->post('/work/pause', ['_once' => self::KEY, '_age' => 90 * 60]);

        self::assertSame(30, $this->worked());
    }

    #[Test]
    public function a_pause_that_comes_late_stops_no_clock_that_was_begun_since(): void
    {
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$this->task('Quotes')->id}");
        $this->at('2026-03-11 10:00');
        $this->post("/work/start/{$this->task('Captions')->id}"); // at the other device
        $this->at('2026-03-11 11:00');
        $this->post('/work/pause', ['_once' => self::KEY, '_age' => 90 * 60]);

        self::assertSame(1, $this->ines->entries()->whereNull('ends_at')->count());
        self::assertSame(60, $this->worked());
    }

    #[Test]
    public function done_on_the_train_was_done_there(): void
    {
        $task = $this->task('Quotes', 120);
        $this->at('2026-03-11 09:00');
        $this->post('/plan/lay-out');
        $block = $this->ines->blocks()->where('task_id', $task->id)->firstOrFail();
        $this->post("/work/start/{$task->id}", ['block' => $block->id]);
        $this->at('2026-03-11 10:30');
        $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'done', '_once' => self::KEY, '_age' => 45 * 60]);

        self::assertSame('09:45', $task->refresh()->done_at?->format('H:i'));
        self::assertSame(45, $this->worked());
    }

    #[Test]
    public function a_block_done_on_the_train_ends_there(): void
    {
        $task = $this->task('Quotes', 120);
        $block = $this->block($task, '2026-03-11 09:00', '2026-03-11 11:00');
        $this->at('2026-03-11 10:30');
        $this->post("/blocks/{$block->id}/done", ['mark' => $block->mark(), '_once' => self::KEY, '_age' => 45 * 60]);

        self::assertSame([BlockState::Done, '09:45'], [$block->refresh()->state, $block->ends_at->format('H:i')]);
    }

    #[Test]
    public function minutes_worked_since_elsewhere_are_not_lost_to_a_done_that_comes_late(): void
    {
        $task = $this->task('Quotes', 240);
        $block = $this->block($task, '2026-03-11 09:00', '2026-03-11 12:00');
        $this->at('2026-03-11 10:00');
        $this->post("/work/start/{$task->id}", ['block' => $block->id]); // at the other device
        $this->at('2026-03-11 10:45');
        $this->post("/blocks/{$block->id}/done", ['mark' => $block->refresh()->mark(), '_once' => self::KEY, '_age' => 60 * 60]);

        self::assertSame('10:45', $task->refresh()->done_at?->format('H:i'));
        self::assertSame(45, $this->worked());
    }

    #[Test]
    public function a_key_that_was_refused_with_a_block_serves_for_its_task(): void
    {
        $task = $this->task('Quotes', 120);
        $block = $this->block($task, '2026-03-11 09:00', '2026-03-11 11:00');
        $this->at('2026-03-11 10:30');
        $this->from('/work')->post("/blocks/{$block->id}/done", ['mark' => 'of a plan before', '_once' => self::KEY, '_age' => 45 * 60])->assertSessionHasErrors();
        $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'done', '_once' => self::KEY, '_age' => 45 * 60])->assertSessionHasNoErrors();

        self::assertSame('09:45', $task->refresh()->done_at?->format('H:i'));
    }

    #[Test]
    public function an_age_nobody_can_have_is_none(): void
    {
        foreach (['-5000', '99999999999', 'abc'] as $i => $age) {
            $this->post('/gather', ['lines' => "Line {$i}", '_once' => self::KEY.$i, '_age' => $age]);
        }

        self::assertSame(['2026-03-11 08:00'], $this->ines->tasks()->get()->map(static fn ($task): string => CarbonImmutable::instance($task->created_at)->format('Y-m-d H:i'))->unique()->all());
    }

    private function worked(): int
    {
        return (int) $this->ines->entries()->whereNotNull('ends_at')->get()->sum(static fn ($entry): float => $entry->starts_at->diffInMinutes($entry->ends_at));
    }

    /** As the tests here are one process, a key that stayed would refuse what comes next. */
    #[Test]
    public function a_key_is_of_one_request_only(): void
    {
        $this->post('/gather', ['lines' => 'One', '_once' => str_repeat('k', 20)]);
        resolve(\App\Undo\Once::class)->release(); // as a change does that is rolled back
        $this->post('/gather', ['lines' => 'Two']);
        $this->post('/gather', ['lines' => 'Three', '_once' => 'no key']);
        self::assertSame(['One', 'Two', 'Three'], $this->ines->tasks()->orderBy('id')->pluck('title')->all());
    }
}
