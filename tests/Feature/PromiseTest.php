<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Promise;
use PHPUnit\Framework\Attributes\Test;

/** The day as it was taken, and what the account says of it. */
final class PromiseTest extends FeatureTestCase
{
    #[Test]
    public function a_proposal_that_is_taken_is_written_down_and_never_changes(): void
    {
        $this->at('2026-03-11 08:52');
        $texts = $this->task('Wall texts', 90, dueOn: '2026-03-11');
        $quotes = $this->task('Quotes', 30);
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$texts->id, $quotes->id], 'keys' => [$texts->id]]);
        $promise = $this->promise();
        self::assertSame(['proposal', '2026-03-11 08:52:00'], [$promise->how, $promise->taken_at->toDateTimeString()]);
        self::assertSame([['Wall texts', 90, true, true], ['Quotes', 30, false, false]], array_map(static fn (array $one): array => [$one['title'], $one['minutes'], $one['key'], $one['due']], $promise->tasks));
        self::assertSame([[$this->minute('2026-03-11 09:00'), $this->minute('2026-03-11 10:30')]], $promise->tasks[0]['times']);

        $this->at('2026-03-11 09:10');
        $this->patch("/tasks/{$texts->id}", ['estimate' => '3 h']);
        $this->post('/plan/lay-out');
        $this->artisan('nekto:minute');
        self::assertEquals($promise->getAttributes(), $this->promise()->getAttributes());
    }

    #[Test]
    public function with_the_first_moment_of_its_hours_a_day_is_taken_as_it_is_laid_out(): void
    {
        $this->at('2026-03-11 08:59');
        $this->artisan('nekto:minute');
        $this->block($this->task('Quotes', 30), '2026-03-11 10:00', '2026-03-11 10:30');
        $this->artisan('nekto:minute');
        self::assertSame(0, $this->ines->promises()->count(), 'its hours have not begun');
        $this->at('2026-03-11 09:00');
        $this->artisan('nekto:minute');
        self::assertSame(['hours', [['Quotes', 30]]], [$this->promise()->how, $this->promised()]);
    }

    #[Test]
    public function it_is_written_before_a_late_visitor_has_the_plan_mended(): void
    {
        $this->block($this->task('Quotes', 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 16:00');
        $this->get('/shape');
        self::assertSame([['Quotes', 30]], $this->promised());
    }

    #[Test]
    public function a_day_without_work_is_taken_when_something_is_laid_out(): void
    {
        $this->at('2026-03-11 11:00');
        $this->artisan('nekto:minute');
        self::assertSame(0, $this->ines->promises()->count());
        $this->task('Quotes', 30);
        $this->post('/plan/lay-out');
        self::assertSame(['laid_out', [['Quotes', 30]]], [$this->promise()->how, $this->promised()]);
        $this->post('/plan/undo');
        self::assertSame(0, $this->ines->promises()->count(), 'undone at once, nothing was promised');
    }

    #[Test]
    public function tomorrow_is_not_taken_today(): void
    {
        $this->post('/plan/pick', ['day' => '2026-03-12', 'picks' => [$this->task('Quotes', 30)->id]]);
        self::assertSame(0, $this->ines->promises()->count());
    }

    #[Test]
    public function planned_30_took_20_is_10_less_however_the_plan_was_rewritten(): void
    {
        $quotes = $this->task('Quotes', 30);
        $block = $this->block($quotes, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->at('2026-03-11 09:00');
        $this->artisan('nekto:minute');
        $this->post("/work/start/{$quotes->id}", ['block' => $block->id]);
        $this->at('2026-03-11 09:20');
        $this->post("/blocks/{$block->id}/done");
        $this->at('2026-03-11 17:30');

        $this->get('/close')->assertSeeInOrder(['Kept', '30', '20', '−10', 'Quotes', '30', '20', '−10', "The day's work", '30 min', '20 min', '−10'], false);
        $this->get('/work')->assertSeeInOrder(['Block by block', 'Quotes', '30', '20', '−10']);
    }

    #[Test]
    public function what_was_promised_and_moved_away_let_wait_or_due_is_in_the_account_with_where_it_went(): void
    {
        $begun = $this->task('Essay', 120);
        $this->block($begun, '2026-03-11 09:00', '2026-03-11 11:00');
        $moved = $this->task('Courier quotes', 30, dueOn: '2026-03-11');
        $this->block($moved, '2026-03-11 11:00', '2026-03-11 11:30');
        $waits = $this->task('Floor plan', 60);
        $wait = $this->block($waits, '2026-03-11 14:00', '2026-03-11 15:00');
        $due = $this->task('Invoice', 15, dueOn: '2026-03-11');
        $this->at('2026-03-11 09:00');
        $this->artisan('nekto:minute');
        $this->post("/work/start/{$begun->id}");
        $this->at('2026-03-11 09:50');
        $this->post('/work/pause');
        $this->post("/blocks/{$wait->id}/send", ['to' => 'bank']);
        $added = $this->task('Crate question', 10);
        $this->post("/work/start/{$added->id}");
        $this->at('2026-03-11 10:02');
        $this->post('/tasks/sort', ['ids' => [$added->id], 'to' => 'done']);
        $this->at('2026-03-11 19:05');
        $this->artisan('nekto:minute');

        $this->get('/close')->assertSeeInOrder([
            'promised at 09:00, when its hours began',
            'Begun, not done', '2 h 00', '50', 'Essay', '2 h 00', '50', '−1 h 10', 'Thu 12, ',
            'Moved away', '1 h 30', '0', '−1 h 30', 'Floor plan', '1 h 00', '0', '−1 h 00', 'Thu 12, ', 'Courier quotes', 'due', '30', '0', '−30', 'Thu 12, ',
            'Due, neither promised nor done', 'Invoice', 'due', 'Thu 12, ',
            'Added during the day', 'Crate question', 'done', '12', '+12',
            "The day's work", '3 h 30', '1 h 02', '−2 h 28',
            'From the promise to the day', 'moved away −1 h 30', 'less than promised −1 h 10', 'added +12',
        ], false);
        self::assertNotNull($due->refresh());
    }

    #[Test]
    public function a_closed_day_is_kept_and_opened_again_it_says_what_was_changed_since(): void
    {
        $quotes = $this->task('Quotes', 60);
        $this->block($quotes, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 09:00');
        $this->artisan('nekto:minute');
        $this->post("/work/start/{$quotes->id}");
        $this->at('2026-03-11 09:20');
        $this->post('/close', ['date' => '2026-03-11', 'close' => 1]);
        $this->get('/close')->assertSeeInOrder(['Begun, not done', 'Quotes', '1 h 00', '20', '−40'])->assertSee('closed at 09:20');

        $this->at('2026-03-12 09:00');
        $entry = $this->ines->entries()->firstOrFail();
        $this->patch("/work/entries/{$entry->id}", ['day' => '2026-03-11', 'from' => '08:50', 'to' => '09:20'])->assertSessionHasNoErrors();
        $this->patch("/tasks/{$quotes->id}", ['title' => 'Courier quotes']);
        $this->get('/close/2026-03-11')->assertSeeInOrder(['Begun, not done', 'Quotes', '1 h 00', '20', '−40'])->assertDontSee('Changed since');

        $this->post('/close/open', ['date' => '2026-03-11']);
        $this->get('/close/2026-03-11')->assertSee('Changed since it was closed: Courier quotes: 20 min → 30 min worked.')->assertSeeInOrder(['1 h 00', '30', '−30']);
        $this->post('/close', ['date' => '2026-03-11', 'close' => 1]);
        $this->get('/close/2026-03-11')->assertSeeInOrder(['1 h 00', '30', '−30'])->assertDontSee('Changed since');
    }

    #[Test]
    public function nobody_sees_the_promise_of_others(): void
    {
        $this->person('wim@example.org')->promises()->create(['date' => '2026-03-11', 'taken_at' => $this->utc('2026-03-11 08:00'), 'how' => 'hours', 'tasks' => [['task' => 99, 'title' => 'Secret lamps', 'minutes' => 30, 'times' => [], 'key' => false, 'due' => false]]]);

        $this->get('/close')->assertDontSee('Secret lamps');
        $this->get('/work')->assertDontSee('Secret lamps');
    }

    private function promise(): Promise
    {
        return $this->ines->promises()->sole();
    }

    /** @return list<array{string, int}> */
    private function promised(): array
    {
        return array_map(static fn (array $one): array => [$one['title'], $one['minutes']], $this->promise()->tasks);
    }

    private function minute(string $time): int
    {
        return intdiv($this->utc($time)->getTimestamp(), 60);
    }
}
