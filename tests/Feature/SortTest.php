<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\Tidy;
use App\Models\Task;
use App\Models\TaskStage;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Where what was caught goes, and how it comes back. */
final class SortTest extends FeatureTestCase
{
    /**
     * @param  array<string, string>  $facts
     * @param  array<string, mixed>  $expected
     */
    #[Test]
    #[DataProvider('destinations')]
    public function an_item_goes_where_it_belongs_and_undo_brings_it_back(string $to, array $facts, array $expected): void
    {
        $item = $this->caught('Mount for object 112');

        $this->post('/tasks/sort', ['ids' => [$item->id], 'to' => $to] + $facts)->assertSessionHasNoErrors();
        $sorted = $item->refresh();
        foreach ($expected as $column => $value) {
            self::assertSame($value, $column === 'stage' ? $sorted->stage->value : $sorted->getAttribute($column), $column);
        }
        self::assertSame(0, $this->ines->tasks()->inbox()->count());

        $this->post('/plan/undo');
        self::assertSame([TaskStage::Inbox, null, null], [$item->refresh()->stage, $item->waiting_for, $item->done_at]);
    }

    /** @return array<string, array{string, array<string, string>, array<string, mixed>}> */
    public static function destinations(): array
    {
        return [
            'to be weighed' => ['weigh', [], ['stage' => 'open']],
            'waiting' => ['waiting', ['waiting_for' => 'Adaeze', 'ask_on' => '2026-03-16'], ['stage' => 'waiting', 'waiting_for' => 'Adaeze', 'waiting_since' => '2026-03-11', 'ask_on' => '2026-03-16']],
            'someday' => ['someday', ['return_on' => '2026-05-01'], ['stage' => 'someday', 'return_on' => '2026-05-01']],
            'a note' => ['reference', [], ['stage' => 'reference']],
            'done' => ['done', [], ['stage' => 'inbox']],
        ];
    }

    #[Test]
    public function a_project_is_found_by_its_name_or_made_and_several_go_at_once(): void
    {
        $items = [$this->caught('Captions')->id, $this->caught('Credits')->id];
        $this->post('/tasks/sort', ['ids' => $items, 'to' => 'project', 'project' => 'Catalogue'])->assertSessionHas('status', '2 items now belong to Catalogue.');
        $this->post('/tasks/sort', ['ids' => [$this->caught('Index')->id], 'to' => 'project', 'project' => 'catalogue']);

        $project = $this->ines->projects()->sole();
        self::assertSame(3, $project->tasks()->where('stage', TaskStage::Open)->count());
    }

    #[Test]
    public function an_answer_that_lacks_a_word_is_asked_for_it_and_nothing_moves(): void
    {
        $item = $this->caught('Plinths');
        $this->post('/tasks/sort', ['ids' => [$item->id], 'to' => 'waiting'])->assertSessionHasErrors(['waiting_for' => 'Name who must answer.']);
        $this->post('/tasks/sort', ['ids' => [$item->id], 'to' => 'project', 'project' => ''])->assertSessionHasErrors('project');
        $this->post('/tasks/sort', ['to' => 'someday'])->assertSessionHasErrors(['ids' => 'Choose at least one item first.']);
        $this->post('/tasks/sort', ['ids' => [$item->id], 'to' => 'nowhere'])->assertSessionHasErrors('to');

        self::assertSame(TaskStage::Inbox, $item->refresh()->stage);
    }

    #[Test]
    public function what_waits_is_out_of_sight_until_its_date(): void
    {
        $item = $this->task('Signed agreement');
        $this->post('/tasks/sort', ['ids' => [$item->id], 'to' => 'waiting', 'waiting_for' => 'Adaeze', 'ask_on' => '2026-03-13']);
        $this->get('/settings'); // says that it waits
        $this->get('/weigh')->assertDontSee('Signed agreement');
        $this->get('/shape')->assertDontSee('Signed agreement');

        $this->at('2026-03-13 09:00');
        $this->get('/gather')->assertSee('Signed agreement');
        self::assertSame([TaskStage::Inbox, 'Adaeze'], [$item->refresh()->stage, $item->waiting_for]);
        $this->get('/views/ask-again')->assertSee('Signed agreement');
    }

    #[Test]
    public function something_for_someday_reappears_on_its_day_and_not_before(): void
    {
        $item = $this->caught('Podcast');
        $this->post('/tasks/sort', ['ids' => [$item->id], 'to' => 'someday', 'return_on' => '2026-04-01']);
        $this->at('2026-03-31 23:30');
        $this->get('/gather');
        self::assertSame(TaskStage::Someday, $item->refresh()->stage);
        $this->at('2026-04-01 00:30');
        $this->get('/gather');
        self::assertSame(TaskStage::Inbox, $item->refresh()->stage);
    }

    #[Test]
    public function items_of_others_cannot_be_sorted(): void
    {
        $theirs = $this->task('Lighting plan', of: $this->person('wim@example.org'));

        $this->post('/tasks/sort', ['ids' => [$theirs->id], 'to' => 'let_go'])->assertSessionHasErrors('ids');
        self::assertFalse($theirs->refresh()->trashed());
    }

    #[Test]
    public function what_was_let_go_can_be_brought_back_for_sixty_days(): void
    {
        $task = $this->task('Old flyers');
        $this->delete("/tasks/{$task->id}");
        $this->at('2026-05-09 12:00');
        (new Tidy)(Clock::now());
        $this->get('/views/let-go')->assertSee('Old flyers');
        $this->post("/tasks/{$task->id}/bring-back")->assertSessionHas('status', 'Old flyers is back.');
        self::assertFalse($task->refresh()->trashed());

        $task->delete();
        $this->at('2026-07-20 12:00');
        self::assertSame(1, (new Tidy)(Clock::now()));
        self::assertSame(0, Task::withTrashed()->count());
    }

    #[Test]
    public function what_was_worked_on_is_out_of_sight_then_and_stays_in_the_sums(): void
    {
        $task = $this->task('Old flyers');
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => Clock::now()->subMinutes(50), 'ends_at' => Clock::now()]);
        $this->delete("/tasks/{$task->id}");
        $this->at('2026-05-20 12:00');

        self::assertSame(0, (new Tidy)(Clock::now()));
        $this->get('/views/let-go')->assertSee('Nothing like that.');
        $this->get('/ledger?from=2026-03-09&until=2026-03-15')->assertSee('50');
        self::assertSame(1, $this->ines->entries()->count());
    }

    #[Test]
    public function a_task_tells_what_happened_to_it(): void
    {
        $task = $this->task('Quotes', 20);
        $this->patch("/tasks/{$task->id}", ['estimate' => '45', 'importance' => '4']);

        $this->get("/tasks/{$task->id}")->assertSee('estimate: 45 min, before 20 min')->assertSee('importance: vital, before medium')->assertSee('caught: typed');
    }

    private function caught(string $title): Task
    {
        return $this->ines->tasks()->create(['title' => $title, 'area_id' => $this->ines->areas()->firstOrFail()->id])->refresh();
    }
}
