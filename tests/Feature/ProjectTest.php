<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use App\Models\Task;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** Projects, their order, and a task's own parts. */
final class ProjectTest extends FeatureTestCase
{
    #[Test]
    public function only_the_next_step_of_a_sequential_project_is_a_candidate_and_the_plan_keeps_the_order(): void
    {
        $project = $this->project(sequential: true);
        $this->step($project, 'Print', 60, 2);
        $this->step($project, 'Proofs', 30, 1);
        $this->get('/shape')->assertSee('Proofs')->assertDontSee('Print');

        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–09:30 Proofs', 'Wed 09:30–10:30 Print'], $this->plan());
    }

    #[Test]
    public function what_stands_behind_a_step_that_cannot_be_planned_waits(): void
    {
        $project = $this->project(sequential: true);
        $this->step($project, 'Proofs', 30, 1)->update(['importance' => null]);
        $this->step($project, 'Print', 60, 2);
        $this->task('Mail', 15);
        $this->post('/plan/lay-out');

        self::assertSame(['Wed 09:00–09:15 Mail'], $this->plan());
    }

    #[Test]
    public function sections_have_an_order_of_their_own(): void
    {
        $project = $this->project(sequential: false);
        $this->post("/projects/{$project->id}/sections", ['name' => 'Print', 'sequential' => 1]);
        $section = $project->sections()->sole();
        $this->step($project, 'Second', 30, 2)->update(['section_id' => $section->id]);
        $this->step($project, 'First', 30, 1)->update(['section_id' => $section->id]);
        $this->get("/projects/{$project->id}")->assertSeeInOrder(['Print', 'First', 'Second'])->assertSee('2 tasks, one after another')->assertSee('the next step')->assertSee('waits for First');
        $this->get('/shape')->assertSee('First')->assertDontSee('Second');

        $this->patch("/sections/{$section->id}", ['sequential' => 0]);
        $this->get('/settings');
        $this->get('/shape')->assertSee('Second');
        $this->delete("/sections/{$section->id}");
        self::assertSame(2, $project->tasks()->whereNull('section_id')->count());
    }

    #[Test]
    public function steps_change_places(): void
    {
        $project = $this->project(sequential: true);
        $first = $this->step($project, 'First', 30, 1);
        $second = $this->step($project, 'Second', 30, 2);
        $this->post("/projects/{$project->id}/order", ['task' => $second->id, 'move' => 'up']);

        self::assertSame(['Second', 'First'], $project->tasks()->pluck('title')->all());
        $this->post('/plan/undo');
        self::assertSame(['First', 'Second'], $project->tasks()->pluck('title')->all());
        $this->post("/projects/{$project->id}/order", ['task' => $first->id, 'move' => 'sideways'])->assertSessionHasErrors('move');
        $this->post("/projects/{$project->id}/order", ['task' => $this->task('Elsewhere')->id, 'move' => 'up'])->assertNotFound();
    }

    #[Test]
    public function a_projects_page_sums_up_work_plan_and_answers(): void
    {
        $project = $this->project(sequential: false);
        $this->step($project, 'Proofs', 90, 1);
        $this->step($project, 'Index', 60, 2)->update(['estimate' => null, 'said' => null]);
        $this->step($project, 'Answer', 30, 3)->update(['stage' => 'waiting', 'waiting_for' => 'Prue', 'said' => null]);
        $this->post('/plan/lay-out');

        $this->get("/projects/{$project->id}")->assertOk()->assertSee('1 h 30')->assertSee('10:30')->assertSee('1 without an estimate')->assertSee('Prue has to answer');
        $this->get('/projects')->assertSee('Catalogue')->assertSee('3 open');
    }

    #[Test]
    public function a_closed_project_leaves_its_tasks(): void
    {
        $project = $this->project(sequential: false);
        $task = $this->step($project, 'Proofs', 30, 1);
        $this->delete("/projects/{$project->id}");

        self::assertNull($task->refresh()->project_id);
        $this->get("/projects/{$project->id}")->assertNotFound();
    }

    #[Test]
    public function subtasks_add_up_tick_off_and_change_places(): void
    {
        $task = $this->task('Hang room 3', 15);
        $task->update(['estimate' => null, 'said' => null]);
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => "Measure 20 min\n- [x] Order hooks 10 min\nHang for 1h"]);
        self::assertSame([90, 80], [$task->refresh()->estimate, $task->minutesLeft(Clock::now())]);
        [$measure, , $hang] = $task->subtasks()->get()->all();

        $this->patch("/subtasks/{$measure->id}", ['done' => 1]);
        self::assertSame(60, $task->refresh()->minutesLeft(Clock::now()));
        $this->patch("/subtasks/{$hang->id}", ['estimate' => '1 h 30']);
        self::assertSame([120, 90], [$task->refresh()->estimate, $task->minutesLeft(Clock::now())]);
        $this->patch("/subtasks/{$hang->id}", ['move' => 'up']);
        self::assertSame(['Measure', 'Hang', 'Order hooks'], $task->subtasks()->pluck('title')->all());
        $this->patch("/subtasks/{$hang->id}", ['estimate' => 'long'])->assertSessionHasErrors('estimate');
        $this->delete("/subtasks/{$hang->id}");
        self::assertSame(30, $task->refresh()->estimate);
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => " \n"])->assertSessionHasErrors('lines');
    }

    #[Test]
    public function tasks_are_added_on_its_page_and_dropped_at_another_place(): void
    {
        $project = $this->project(sequential: true);
        $this->post("/projects/{$project->id}/tasks", ['lines' => "Half-title page, 40 min, by friday\nCredits\nIndex"])->assertSessionHasNoErrors();
        [$half, $credits, $index] = $project->tasks()->orderBy('id')->get()->all();
        self::assertSame(['Half-title page', 40, '2026-03-13', 'open', $project->area_id], [$half->title, $half->estimate, $half->due_on, $half->stage->value, $half->area_id]);

        $this->post("/projects/{$project->id}/order", ['task' => $index->id, 'move' => 'to', 'before' => $half->id]);
        self::assertSame(['Index', 'Half-title page', 'Credits'], $project->tasks()->orderBy('position')->pluck('title')->all());
        $this->post("/projects/{$project->id}/sections", ['name' => 'Text']);
        $section = $project->sections()->sole();
        $this->post("/projects/{$project->id}/order", ['task' => $credits->id, 'move' => 'to', 'before' => '', 'section' => $section->id]);
        self::assertSame($section->id, $credits->refresh()->section_id);
        $this->post("/projects/{$project->id}/order", ['task' => $credits->id, 'move' => 'to', 'before' => 'x'])->assertSessionHasErrors('before');
        $this->post("/projects/{$project->id}/tasks", ['lines' => ' '])->assertSessionHasErrors('lines');
    }

    #[Test]
    public function the_page_says_whether_it_fits_and_what_comes_next(): void
    {
        $project = $this->project(sequential: true);
        $this->step($project, 'Essay', 300, 1)->update(['due_on' => '2026-03-12']);
        $this->step($project, 'Captions', 900, 2)->update(['due_on' => '2026-03-12']);
        $this->post('/plan/lay-out');

        $this->get("/projects/{$project->id}")->assertSeeInOrder(['Work left against open time', 'short', 'The coming weeks', 'In line, one after another', 'Essay', 'the next step', 'Captions', 'waits for Essay', 'What holds it up', 'No open time before its date', 'A step before: Essay']);
        $this->get('/weigh/list')->assertSee('waits for Essay');
    }

    #[Test]
    public function what_somebody_said_a_task_takes_is_never_written_over_by_its_steps(): void
    {
        $task = $this->task('Hang room 3', 60);
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => "Measure 20 min\nDrill\nHang"]);
        self::assertSame([60, 60], [$task->refresh()->estimate, $task->minutesLeft(Clock::now())]);
        $this->patch("/subtasks/{$task->subtasks()->where('title', 'Drill')->sole()->id}", ['done' => 1]);
        self::assertSame([60, 40], [$task->refresh()->estimate, $task->minutesLeft(Clock::now())], 'a step of which nothing was said has its share');
        $this->patch("/subtasks/{$task->subtasks()->where('title', 'Hang')->sole()->id}", ['estimate' => '90']);
        self::assertSame(60, $task->refresh()->estimate);

        $task = $this->task('Pack', 60);
        $task->update(['estimate' => null, 'said' => null]);
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => 'Wrap 20 min']);
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => 'Crate 30 min']);
        self::assertSame(50, $task->refresh()->estimate, 'of one that nobody estimated they add up');
        $this->patch("/tasks/{$task->id}", ['estimate' => '2 h'])->assertSessionHasNoErrors();
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => 'Label 10 min']);
        self::assertSame(120, $task->refresh()->estimate, 'until somebody says it');
    }

    #[Test]
    public function the_rest_of_a_task_is_kept(): void
    {
        $task = $this->task('Essay', 120);
        $evenings = $this->ines->hoursSets()->latest('id')->firstOrFail();
        $this->patch("/tasks/{$task->id}", [
            'part' => 'morning', 'splits' => 0, 'hours_set_id' => $evenings->id, 'not_before' => '2026-03-12', 'not_before_time' => '10:30', 'picked_on' => '2026-03-13', 'contexts' => 'desk, @phone, desk', 'push' => '1',
        ])->assertSessionHasNoErrors();
        $task = $task->refresh()->load('contexts');

        self::assertSame(['morning', false, $evenings->id, '2026-03-12 10:30:00', '2026-03-13', ['desk', 'phone'], 1], [
            $task->part, $task->splits, $task->hours_set_id, $task->not_before?->toDateTimeString(), $task->picked_on, $task->contexts->pluck('name')->all(), $task->push->value,
        ]);
        $this->patch("/tasks/{$task->id}", ['part' => 'noon', 'not_before_time' => '25:00'])->assertSessionHasErrors(['part', 'not_before_time']);
    }

    #[Test]
    public function the_plan_keeps_parts_of_the_day_and_what_is_not_to_be_split(): void
    {
        $this->task('Walk', 30)->update(['part' => 'afternoon']);
        $this->task('Recording', 200)->update(['splits' => false]);
        $this->post('/plan/lay-out');

        self::assertSame(['Wed 09:00–12:20 Recording', 'Wed 13:15–13:45 Walk'], $this->plan());
    }

    #[Test]
    public function notes_are_markdown_without_markup_of_their_own(): void
    {
        $task = $this->task('Cases');
        $task->update(['note' => "**45 %**\n\n<script>alert(1)</script>\n\n[x](javascript:alert(1)) ![y](https://example.org/a.png)"]);

        $this->get("/tasks/{$task->id}")->assertSee('<strong>45 %</strong>', false)->assertDontSee('<script>alert', false)->assertDontSee('href="javascript:', false)->assertDontSee('<img', false);
    }

    #[Test]
    public function links_are_addresses_that_can_be_opened(): void
    {
        $task = $this->task('Map');
        $this->post("/tasks/{$task->id}/links", ['address' => 'https://example.org/map'])->assertSessionHasNoErrors();
        $this->post("/tasks/{$task->id}/links", ['address' => 'javascript:alert(1)'])->assertSessionHasErrors('address')->assertSessionHasInput('address');
        $this->get("/tasks/{$task->id}")->assertSee('https://example.org/map');
        $this->delete('/links/'.$task->links()->sole()->id);
        self::assertSame(0, $task->links()->count());
    }

    #[Test]
    public function areas_and_contexts_are_named_ordered_and_only_taken_away_when_empty(): void
    {
        $this->post('/settings/areas', ['name' => 'Garden'])->assertSessionHasNoErrors();
        $this->post('/settings/areas', ['name' => 'Garden'])->assertSessionHasErrors('name');
        $garden = $this->ines->areas()->where('name', 'Garden')->sole();
        $this->task('Hedge')->update(['area_id' => $garden->id]);
        $this->delete("/settings/areas/{$garden->id}")->assertSessionHasErrors('area');
        $this->patch("/settings/areas/{$garden->id}", ['name' => 'Yard', 'hue' => 'olive']);
        self::assertSame(['Yard', 'olive'], array_values($garden->refresh()->only(['name', 'hue'])));
        $this->post('/settings/contexts', ['context' => '@phone']);
        $this->post('/settings/contexts', ['context' => 'desk']);
        $this->patch('/settings/contexts/'.$this->ines->contexts()->where('name', 'desk')->value('id'));
        self::assertSame(['desk', 'phone'], $this->ines->contexts()->pluck('name')->all());
        $this->delete('/settings/contexts/'.$this->ines->contexts()->where('name', 'desk')->value('id'));
        $this->post('/settings/contexts', ['context' => ''])->assertSessionHasErrors('context');
    }

    private function project(bool $sequential): Project
    {
        $this->post('/projects', ['name' => 'Catalogue', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'sequential' => $sequential ? 1 : 0]);

        return $this->ines->projects()->sole();
    }

    private function step(Project $project, string $title, int $minutes, int $position): Task
    {
        $task = $this->task($title, $minutes);
        $task->update(['project_id' => $project->id, 'position' => $position]);

        return $task;
    }
}
