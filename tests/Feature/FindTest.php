<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\TaskStage;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Find, or do. */
final class FindTest extends FeatureTestCase
{
    #[Test]
    #[DataProvider('words')]
    public function accents_capitals_parts_and_slips_do_not_matter(string $words, string $found): void
    {
        $this->task('Ask Tomás about the plinths');
        $this->task('Café für Straße 9');
        $this->get('/search?q='.urlencode($words))->assertOk()->assertSee($found);
    }

    /** @return array<string, array{string, string}> */
    public static function words(): array
    {
        return ['no accent' => ['tomas', '/tasks/1'], 'capitals' => ['TOMÁS', '/tasks/1'], 'a part' => ['linth', '/tasks/1'], 'a slip' => ['plintsh', '/tasks/1'], 'letters changed places in a short word' => ['tmoas', '/tasks/1'], 'a wrong letter in a short word' => ['tobas', '/tasks/1'], 'two slips' => ['tomsa plinhts', '/tasks/1'], 'sharp s' => ['strasse', '/tasks/2'], 'cafe' => ['cafe fur', '/tasks/2']];
    }

    #[Test]
    public function everything_is_in_one_index(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Lender agreements', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $this->task('Ghent: last clauses')->update(['project_id' => $project->id]);
        $this->task('Lender list')->update(['done_at' => Clock::now()]);
        $this->task('Lender map')->delete();
        $this->task('Crates')->subtasks()->create(['user_id' => $this->ines->id, 'title' => 'Ring the lender']);
        foreach (['1', '2'] as $each) { // of two rows none may fetch what belongs to it by itself
            $this->meeting("Lender call {$each}", '2026-03-12 10:00', '2026-03-12 11:00');
            $this->ines->messages()->create(['message_id' => $each, 'from_name' => 'Prue', 'subject' => 'The lender’s terms', 'body' => 'x', 'received_at' => Clock::now()]);
            $this->ines->contexts()->create(['name' => "Lender {$each}"]);
            $this->ines->projects()->create(['name' => "Lender days {$each}", 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        }
        $this->ines->areas()->firstOrFail()->update(['name' => 'Lenders']);
        $this->task('Lender of others', of: $this->person('wim@example.org'));

        $this->get('/search?q=lender')->assertSeeInOrder(['Tasks', 'Crates', 'Projects, areas, contexts', 'Meetings', 'Mail', 'Done and let go', 'open it again', 'The word itself'])->assertSee('Ghent: last clauses')->assertSee('bring it back')->assertDontSee('of others');
        $this->get('/search?q=margin')->assertSee('/settings/rules', false);
        $this->get('/search?q=export')->assertSee('Take everything along');
        $this->get('/search?q=zzzz')->assertSee('Nothing found');
    }

    #[Test]
    public function what_lies_far_off_is_counted_at_the_end_it_lies_beyond(): void
    {
        $this->task('Crates, far')->update(['due_on' => '2026-07-01']);
        $this->task('Crates, later')->update(['due_on' => '2026-03-24']);
        $this->task('Crates, soon')->update(['due_on' => '2026-03-12']);
        $this->task('Crates, once')->update(['done_at' => '2026-01-05 10:00:00']);

        $this->get('/search?q=crates')->assertSee('Where they lie: to Mon 2 1, Thu 12 1, from Tue 24 2')->assertSee('<em>from Tue 24</em>', false)->assertDontSee('<em>Thu 12</em>', false);
    }

    #[Test]
    #[DataProvider('acts')]
    public function a_line_does_something_with_what_it_finds(string $line, string $says, \Closure $did): void
    {
        $task = $this->task('Lyon loan schedule', 60);
        $this->task('Other work');
        $this->get('/search?q='.urlencode($line))->assertSeeInOrder(['Lyon loan schedule', $says]);
        $this->post("/search/do/{$task->id}", ['q' => $line])->assertSessionHasNoErrors()->assertSessionHas('status', "Lyon loan schedule: {$says}.");

        self::assertTrue($did($task->refresh()));
    }

    /** @return array<string, array{string, string, \Closure}> */
    public static function acts(): array
    {
        return [
            'hand off' => ['lyon to adaeze, ask fri', 'waits for Adaeze, asked about Fri 13', static fn ($task): bool => [$task->stage, $task->waiting_for, $task->ask_on] === [TaskStage::Waiting, 'Adaeze', '2026-03-13']],
            'hand off, by the rule' => ['lyon to adaeze', 'waits for Adaeze', static fn ($task): bool => $task->ask_on === '2026-03-18'],
            'a time' => ['lyon thursday 9', 'set for Thu 12, 09:00', static fn ($task): bool => $task->set_at?->toDateTimeString() === '2026-03-12 09:00:00' && $task->blocks()->where('anchored', true)->exists()],
            'a day' => ['lyon tomorrow', 'picked for Thu 12', static fn ($task): bool => $task->picked_on === '2026-03-12'],
            'a due date' => ['loan schedule by 20 march', 'due Fri 20', static fn ($task): bool => $task->due_on === '2026-03-20'],
            'an estimate and importance' => ['lyon 2 h, high', 'estimate 2 h 00, importance high', static fn ($task): bool => $task->estimate === 120 && $task->importance?->word() === 'high'],
            'done' => ['lyon done', 'done', static fn ($task): bool => $task->done_at !== null],
        ];
    }

    #[Test]
    public function what_is_over_is_opened_again_with_its_minutes_and_what_was_let_go_brought_back_on_its_page(): void
    {
        $task = $this->task('Lyon loan schedule', 60);
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc('2026-03-11 07:00'), 'ends_at' => $this->utc('2026-03-11 07:25')]);
        $task->update(['done_at' => Clock::now()]);
        $this->get("/tasks/{$task->id}")->assertSee('Open it again');
        $this->get('/close')->assertSee("/tasks/{$task->id}/reopen", false);
        $this->post("/tasks/{$task->id}/reopen");
        self::assertSame([null, 35], [$task->refresh()->done_at, $task->minutesLeft(Clock::now())]);

        $task->delete();
        $this->get("/tasks/{$task->id}")->assertOk()->assertSee('Bring it back')->assertSee('It was let go');
        $this->post("/tasks/{$task->id}/bring-back");
        self::assertFalse($this->ines->tasks()->findOrFail($task->id)->trashed());
    }

    #[Test]
    public function what_cannot_be_done_is_said_and_nothing_changes(): void
    {
        $task = $this->task('Lyon');
        foreach (['lyon', '', str_repeat('x', 201), 'lyon again', '"; drop'] as $line) {
            $this->post("/search/do/{$task->id}", ['q' => $line])->assertSessionHasErrors('q');
        }
        $this->actingAs($this->person('wim@example.org'))->post("/search/do/{$task->id}", ['q' => 'lyon done'])->assertNotFound();
        self::assertNull($task->refresh()->done_at);
    }
}
