<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

final class TaskTest extends FeatureTestCase
{
    #[Test]
    public function everything_about_a_task_can_be_changed(): void
    {
        $task = $this->task('Quotes', minutes: 60);
        $this->get("/tasks/{$task->id}")->assertOk()->assertSee('Quotes');

        $this->patch("/tasks/{$task->id}", [
            'title' => 'Courier quotes', 'note' => 'three crates', 'area_id' => $this->ines->areas()->latest('id')->value('id'), 'importance' => '4',
            'estimate' => '1 h 30', 'left' => '45 min', 'due_date' => '2026-03-20', 'due_time' => '15:30', 'due_hard' => '1', 'demand' => 'deep',
            'push' => '-1', 'not_before' => '2026-03-12', 'min_chunk' => '30', 'max_chunk' => '1 h', 'back' => url('/weigh'),
        ])->assertRedirect('/weigh');
        $task->refresh();

        self::assertSame(['Courier quotes', 'three crates', Importance::Vital, 90, 45, null, '2026-03-20 15:30:00', true, 'deep', -1, '2026-03-12 00:00:00', 30, 60], [
            $task->title, $task->note, $task->importance, $task->estimate, $task->minutesLeft(Clock::now()), $task->due_on, $task->due_at?->toDateTimeString(),
            $task->due_hard, $task->demand->value, $task->push->value, $task->not_before?->toDateTimeString(), $task->min_chunk, $task->max_chunk,
        ]);
    }

    #[Test]
    public function what_is_left_follows_the_estimate(): void
    {
        $task = $this->task('Quotes', minutes: 60);
        $task->update(['said' => 40]);

        $this->patch("/tasks/{$task->id}", ['estimate' => '90', 'left' => '40 min']);

        self::assertSame([90, 70], [$task->refresh()->estimate, $task->minutesLeft(Clock::now())]);
    }

    #[Test]
    #[DataProvider('slips')]
    public function slips_are_told_beside_their_field_and_what_was_typed_stays(string $field, string $value, string $said): void
    {
        $task = $this->task('Quotes');
        $this->followingRedirects()->from("/tasks/{$task->id}")
            ->patch("/tasks/{$task->id}", ['title' => 'Courier quotes', 'min_chunk' => '15', 'max_chunk' => '120', $field => $value])
            ->assertSee($said)->assertSee('aria-invalid="true"', false)->assertSee('value="'.($field === 'title' ? '' : 'Courier quotes').'"', false);

        self::assertSame('Quotes', $task->refresh()->title);
    }

    /** @return list<array{string, string, string}> */
    public static function slips(): array
    {
        return [
            ['title', ' ', 'A task needs a name.'], ['estimate', '-30', 'longer than nothing'], ['estimate', '101 h', 'Over 100 h'], ['estimate', 'soon', 'such as 45 min'],
            ['due_date', '2026-02-31', 'There is no such date'], ['due_date', '2026-03-10', 'That has passed'], ['min_chunk', '3 h', 'must not be longer'],
        ];
    }

    #[Test]
    public function a_date_that_passed_meanwhile_does_not_hinder_other_changes(): void
    {
        $task = $this->task('Quotes', dueOn: '2026-03-10');

        $this->patch("/tasks/{$task->id}", ['title' => 'Late quotes', 'due_date' => '2026-03-10'])->assertSessionHasNoErrors();
        self::assertSame('Late quotes', $task->refresh()->title);
    }

    #[Test]
    public function a_due_date_with_a_time_can_be_cleared(): void
    {
        $task = $this->task('Quotes');
        $task->update(['due_at' => $this->utc('2026-03-13 15:00')]);

        $this->patch("/tasks/{$task->id}", ['due_date' => '', 'due_time' => '15:00'])->assertSessionHasNoErrors();
        self::assertNull($task->refresh()->due_at);
        $this->patch("/tasks/{$task->id}", ['due_date' => '', 'due_time' => '15:00'])->assertSessionHasErrors(['due_date' => 'A due time needs a date. Give both, or only the date.']);
    }

    #[Test]
    public function nothing_leads_out_of_the_application(): void
    {
        $task = $this->task('Quotes');

        $this->from('/weigh')->patch("/tasks/{$task->id}", ['title' => 'Quotes', 'back' => 'https://elsewhere.example/'])->assertRedirect('/weigh');
    }

    #[Test]
    public function importance_set_in_weigh_makes_a_task_a_candidate_ranked_by_pull(): void
    {
        $this->task('Invoices', importance: Importance::Low);
        $mount = $this->task('Mount for object 112');
        $mount->update(['importance' => null]);
        $this->get('/weigh/list')->assertSeeInOrder(['Unweighed', 'Mount for object 112', 'By pull', 'Invoices']);

        $this->patch("/tasks/{$mount->id}", ['importance' => '4']);

        $this->get('/weigh/list')->assertDontSee('Unweighed')->assertSeeInOrder(['By pull', 'Mount for object 112', 'Invoices']);
        $this->post('/plan/undo');
        self::assertNull($mount->refresh()->importance);
    }

    #[Test]
    public function once_there_is_a_plan_changed_tasks_find_their_place_in_it(): void
    {
        $this->task('Essay', minutes: 60);
        $this->post('/plan/lay-out');
        $quotes = $this->task('Quotes', minutes: 30);

        $this->patch("/tasks/{$quotes->id}", ['importance' => '3']);
        self::assertSame(['Wed 09:00–10:00 Essay', 'Wed 10:00–10:30 Quotes'], $this->plan());

        $this->delete("/tasks/{$quotes->id}");
        self::assertSame(['Wed 09:00–10:00 Essay'], $this->plan());
        $this->post('/plan/undo');
        self::assertSame(['Wed 09:00–10:00 Essay', 'Wed 10:00–10:30 Quotes'], $this->plan());
    }

    #[Test]
    public function a_step_that_is_too_long_is_said_and_none_of_them_is_cut(): void
    {
        $task = $this->task('Quotes');
        $lines = "Measure 20 min\n".str_repeat('long ', 50);

        $this->from("/tasks/{$task->id}")->post("/tasks/{$task->id}/subtasks", ['lines' => $lines])->assertSessionHasErrors(['lines' => __('task.subtask_too_long', ['line' => 2, 'most' => 200])]);
        self::assertSame(0, $task->subtasks()->count());
        $this->get("/tasks/{$task->id}")->assertSee('Measure 20 min'); // what was typed stands in the field
    }
}
