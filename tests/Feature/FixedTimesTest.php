<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\TaskStage;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** What is fixed is the same for everyone who plans: the clock, set times, mending, the screens. */
final class FixedTimesTest extends FeatureTestCase
{
    private const PAGES = ['/shape', '/gather', '/weigh', '/weigh/list', '/work', '/close', '/meetings', '/projects', '/views', '/settings', '/search?q=essay'];

    #[Test]
    public function a_clock_runs_on_only_as_far_as_what_was_put_back_by_undo(): void
    {
        $essay = $this->task('Essay');
        $block = $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->meeting('Lighting review', '2026-03-11 10:00', '2026-03-11 11:00');
        $this->get('/shape');
        $this->post('/plan/undo'); // Quotes stay under the meeting, as the person wants it
        self::assertTrue($this->ines->blocks()->where('put_back', true)->exists());
        $this->ines->meetings()->update(['ignored' => true]);

        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$essay->id}", ['block' => $block->id]);
        $this->at('2026-03-11 10:05');
        $this->artisan('nekto:minute')->assertSuccessful();

        $this->everyPageAnswers();
        self::assertSame('Wed 10:00–11:00 Quotes', array_values(array_filter($this->plan(), static fn (string $one): bool => str_ends_with($one, 'Quotes')))[0]);
    }

    #[Test]
    public function a_clock_runs_on_only_as_far_as_an_anchored_block(): void
    {
        $essay = $this->task('Essay');
        $block = $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Call', minutes: 25), '2026-03-11 10:05', '2026-03-11 10:30', anchored: true);
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$essay->id}", ['block' => $block->id]);
        $this->at('2026-03-11 10:03');
        $this->artisan('nekto:minute')->assertSuccessful();

        self::assertSame(['Wed 09:00–10:05 Essay', 'Wed 10:05–10:30 Call!', 'Wed 10:30–10:35 Essay'], $this->plan());
        $this->at('2026-03-11 10:12');
        $this->everyPageAnswers();
        self::assertContains('Wed 10:05–10:30 Call!', $this->plan());
    }

    #[Test]
    public function a_set_time_under_the_running_block_is_refused_with_the_next_free_one(): void
    {
        $essay = $this->task('Essay', minutes: 90);
        $block = $this->block($essay, '2026-03-11 10:00', '2026-03-11 11:30');
        $this->at('2026-03-11 10:00');
        $this->post("/work/start/{$essay->id}", ['block' => $block->id]);
        $this->at('2026-03-11 10:20');
        $this->post('/gather', ['lines' => 'Single thing at 11:00 for 30 min']);
        $single = $this->ines->tasks()->where('title', 'Single thing')->sole();

        $this->post("/weigh/{$single->id}", ['answer' => 'make_time', 'importance' => 3, 'estimate' => '30 min'])->assertSessionHasNoErrors();

        self::assertContains('Wed 10:00–11:30 Essay', $this->plan());
        self::assertStringContainsString('Essay', (string) session('status'));
        $this->everyPageAnswers();
    }

    #[Test]
    #[DataProvider('ways')]
    public function a_set_time_is_anchored_however_the_task_becomes_one_that_can_be_planned(string $way): void
    {
        $this->post('/gather', ['lines' => 'Call the press office today at 14:00 for 30 min']);
        $call = $this->ines->tasks()->sole();
        $call->update(['importance' => 3]);
        match ($way) {
            'to Weigh' => $this->post("/tasks/{$call->id}/weigh"),
            'sorted' => $this->post('/tasks/sort', ['ids' => [$call->id], 'to' => 'weigh']),
            'into a project' => $this->post('/tasks/sort', ['ids' => [$call->id], 'to' => 'project', 'project' => 'Catalogue']),
            'in bulk' => (function () use ($call): void {
                $call->update(['importance' => null, 'stage' => TaskStage::Open]);
                $this->post('/tasks/many', ['ids' => [$call->id], 'importance' => '3']);
            })(),
            default => $this->patch("/tasks/{$call->id}", ['title' => $call->title, 'stage' => 'open', 'importance' => '3', 'estimate' => '30']),
        };

        $call->refresh()->stage === TaskStage::Open
            ? self::assertSame(['Wed 14:00–14:30 Call the press office!'], $this->plan())
            : self::assertSame([], $this->plan(), 'what is still in the inbox is not planned');
    }

    /** @return array<string, array{string}> */
    public static function ways(): array
    {
        return ['to Weigh' => ['to Weigh'], 'sorted' => ['sorted'], 'into a project' => ['into a project'], 'in bulk' => ['in bulk'], 'by its form' => ['by its form']];
    }

    #[Test]
    public function the_next_of_a_repeating_task_has_its_set_time_again(): void
    {
        $this->post('/gather', ['lines' => 'Call the loggers every day at 14:00 for 30 min']);
        $first = $this->ines->tasks()->sole();
        $this->post("/weigh/{$first->id}", ['answer' => 'make_time', 'importance' => 3, 'estimate' => '30 min'])->assertSessionHasNoErrors();
        self::assertSame(['Wed 14:00–14:30 Call the loggers!'], $this->plan());

        $this->at('2026-03-11 14:20');
        $this->post('/tasks/sort', ['ids' => [$first->id], 'to' => 'done']);

        self::assertContains('Thu 14:00–14:30 Call the loggers!', $this->plan());
    }

    #[Test]
    public function a_time_that_is_taken_is_said_and_the_next_free_one_is_one_press_away(): void
    {
        $this->block($this->task('Interview'), '2026-03-11 14:00', '2026-03-11 15:00', anchored: true);
        $this->post('/gather', ['lines' => 'Call the press office today at 14:00 for 30 min']);
        $call = $this->ines->tasks()->where('title', 'Call the press office')->sole();
        $call->update(['importance' => 3]);

        $this->post("/tasks/{$call->id}/weigh");
        $said = (string) session('status');
        $offer = session('offer');
        self::assertStringContainsString('Interview', $said);
        self::assertStringContainsString('14:00', $said);
        self::assertIsArray($offer);
        self::assertSame(["/tasks/{$call->id}/place", ['day' => '2026-03-11', 'start' => '15:00']], [$offer['action'], $offer['fields']]);
        $this->get('/shape')->assertSee($offer['label']);

        $this->post($offer['action'], $offer['fields'])->assertSessionHasNoErrors();
        self::assertContains('Wed 15:00–15:30 Call the press office!', $this->plan());
    }

    #[Test]
    public function a_meeting_has_its_time_too(): void
    {
        $this->meeting('Lighting walk-through', '2026-03-11 14:00', '2026-03-11 14:45');
        $this->post('/gather', ['lines' => 'Call the press office today at 14:00 for 30 min']);
        $call = $this->ines->tasks()->sole();
        $call->update(['importance' => 3]);

        $this->post("/tasks/{$call->id}/weigh");

        self::assertStringContainsString('Lighting walk-through', (string) session('status'));
        self::assertSame('14:45', session('offer')['fields']['start'] ?? null);
        $this->post("/tasks/{$call->id}/place", ['day' => '2026-03-11', 'start' => '14:45'])->assertSessionHasNoErrors();
        self::assertSame(['Wed 14:45–15:15 Call the press office!'], $this->plan());
    }

    #[Test]
    public function a_page_and_the_other_accounts_outlive_a_repair_that_fails(): void
    {
        $wim = $this->person('wim@example.org');
        $this->block($this->task('Quotes', minutes: 30), '2026-03-11 09:00', '2026-03-11 09:30');
        $this->block($this->task('Survey', minutes: 30, of: $wim), '2026-03-11 09:00', '2026-03-11 09:30');
        DB::unprepared("create trigger broken before insert on blocks when new.user_id = {$this->ines->id} begin select raise(abort, 'broken on purpose'); end");
        $this->at('2026-03-11 09:30');

        $this->get('/shape')->assertOk()->assertSee(__('plan.not_mended'))->assertSee('Quotes');
        $this->everyPageAnswers();
        self::assertSame(['Wed 09:00–09:30 Quotes'], $this->plan(), 'the former plan is shown');
        $this->get('/shape')->assertSee('Its time went by; it has no other place yet.')->assertDontSee('Left here by your undo.');
        $this->artisan('nekto:minute');
        self::assertSame(['Wed 09:00–09:30 Survey (passed)', 'Wed 09:30–10:00 Survey'], $this->plan($wim));
        $this->get('/pulse')->assertOk();
    }

    #[Test]
    public function fixed_blocks_that_overlap_in_the_rows_are_planned_around_all_the_same(): void
    {
        $this->block($this->task('Interview'), '2026-03-11 14:00', '2026-03-11 15:00', anchored: true);
        $this->block($this->task('Call'), '2026-03-11 14:30', '2026-03-11 15:30', anchored: true);
        $this->task('Essay', minutes: 60);

        $this->post('/plan/lay-out')->assertSessionHasNoErrors();

        $this->everyPageAnswers();
        self::assertSame(['Wed 09:00–10:00 Call', 'Wed 10:00–11:00 Essay', 'Wed 14:00–15:00 Interview!'], $this->plan(), 'the later one yields');
    }

    private function everyPageAnswers(): void
    {
        foreach (self::PAGES as $page) {
            $this->get($page)->assertOk();
        }
    }
}
