<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cycle;
use App\Models\Goal;
use App\Models\GoalStep;
use App\Models\MovedBy;
use App\Models\Task;
use App\Planning\Prospects;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\WorkTimeLoader;
use App\Screens\Goals\GoalRow;
use App\Screens\Goals\GoalsScreen;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** A cycle with its goals: measures, steps week by week, work against open time, and the account at the end. */
final class GoalTest extends FeatureTestCase
{
    #[Test]
    public function a_cycle_begins_with_a_week_and_there_is_one_at_a_time(): void
    {
        $this->get('/goals')->assertOk()->assertSee('Begin the cycle');
        $this->post('/cycles', ['date' => 'today', 'weeks' => 12, 'vision' => 'A show that hangs well.'])->assertRedirect('/goals');
        $cycle = $this->ines->cycles()->sole();
        self::assertSame(['2026-03-09', 12, 'A show that hangs well.'], [$cycle->begins_on, $cycle->weeks, $cycle->vision]);

        $this->post('/cycles', ['weeks' => 6])->assertSessionHasErrors('weeks');
        $this->patch("/cycles/{$cycle->id}", ['weeks' => 99])->assertSessionHasErrors('weeks');
        $this->patch("/cycles/{$cycle->id}", ['weeks' => 8, 'date' => '2026-03-19'])->assertSessionHasNoErrors();
        self::assertSame(['2026-03-16', 8], [$cycle->refresh()->begins_on, $cycle->weeks]);
        $this->post('/plan/undo');
        self::assertSame(['2026-03-09', 12], [$cycle->refresh()->begins_on, $cycle->weeks]);
    }

    #[Test]
    public function a_fourth_goal_is_questioned_and_not_forbidden(): void
    {
        $this->cycle();
        foreach (['One', 'Two', 'Three'] as $name) {
            $this->post('/goals', ['name' => $name, 'target' => '5'])->assertSessionHasNoErrors();
        }
        $this->post('/goals', ['name' => 'Four', 'target' => '5'])->assertSessionHasErrors('anyway');
        self::assertSame(3, $this->ines->goals()->count());
        $this->post('/goals', ['name' => 'Four', 'target' => '5', 'anyway' => 1])->assertSessionHasNoErrors();
        self::assertSame(4, $this->ines->goals()->count());
    }

    #[Test]
    public function what_is_no_target_or_no_date_of_the_cycle_is_said_beside_the_form(): void
    {
        $this->cycle();
        $this->post('/goals', ['name' => 'Lenders', 'target' => 'many'])->assertSessionHasErrors('target');
        $this->post('/goals', ['name' => 'Lenders', 'target' => '0'])->assertSessionHasErrors('target');
        $this->post('/goals', ['name' => 'Lenders', 'target' => '12', 'due_date' => '2027-01-01'])->assertSessionHasErrors('due_date');
        $this->post('/goals', ['name' => 'Lenders', 'target' => '12', 'moved_by' => 'subtasks'])->assertSessionHasErrors('task_id');
        $this->post('/goals', ['name' => '', 'target' => '12'])->assertSessionHasErrors('name');
        self::assertSame(0, $this->ines->goals()->count());
        $this->post('/goals', ['name' => 'Lenders', 'target' => '12,5', 'due_date' => '16 march'])->assertSessionHasNoErrors();
        self::assertSame([12.5, '2026-03-16'], [$this->ines->goals()->sole()->target, $this->ines->goals()->sole()->due_on]);
    }

    #[Test]
    public function a_step_is_a_task_by_one_line_with_goal_and_week_preset(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Agreements', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $goal = $this->goal(['project_id' => $project->id]);
        $this->post("/goals/{$goal->id}/steps", ['lines' => 'call Porto 30 min by friday', 'week' => '2026-03-16'])->assertSessionHasNoErrors();

        $task = $this->ines->tasks()->sole();
        self::assertSame(['call Porto', 30, '2026-03-13', $project->id, true], [$task->title, $task->estimate, $task->due_on, $task->project_id, $task->isPlannable()]);
        self::assertSame('2026-03-16', $this->ines->goalSteps()->sole()->week_on);
        $this->get('/goals')->assertOk()->assertSee('call Porto');

        $this->post("/goals/{$goal->id}/steps", ['lines' => '', 'week' => '2026-03-16'])->assertSessionHasErrors('lines');
        $this->post("/goals/{$goal->id}/steps", ['lines' => 'later', 'week' => '2027-03-16'])->assertSessionHasErrors('week');
        $this->post('/plan/undo');
        self::assertSame([0, 0], [$this->ines->tasks()->count(), $this->ines->goalSteps()->count()]);
    }

    #[Test]
    public function what_is_no_number_is_said_beside_the_measure_it_was_typed_into(): void
    {
        $goal = $this->goal(['name' => 'Lenders']);
        $other = $this->goal(['name' => 'Book']);
        $page = (string) $this->from('/goals')->followingRedirects()->post("/goals/{$goal->id}/mark", ['goal' => $goal->id, 'value' => 'many'])->getContent();

        self::assertMatchesRegularExpression('/Where Lenders stands(?:(?!Where Book stands).)*<span class="error" role="alert">Say where it stands/s', $page);
        self::assertSame(1, substr_count($page, '<span class="error" role="alert">Say where it stands'));
        self::assertSame(0, $goal->marks()->count() + $other->marks()->count());
    }

    #[Test]
    public function once_its_date_went_by_a_goal_says_what_is_missing_and_no_open_time(): void
    {
        $goal = $this->goal(['target' => 6, 'unit' => 'sections', 'due_on' => '2026-03-20']);
        $this->post("/goals/{$goal->id}/steps", ['lines' => 'Section 1 4 h', 'week' => '2026-03-16']);
        $this->post("/goals/{$goal->id}/mark", ['value' => '4']);
        $this->at('2026-03-21 10:00');

        $this->get('/goals')->assertSee('Its date went by: 2 of 6 sections are missing.')->assertDontSee('short of open time')->assertDontSee('behind an even pace');
    }

    #[Test]
    public function an_unfinished_step_stays_missed_in_its_week_and_goes_over_or_is_let_go(): void
    {
        $goal = $this->goal([], '2026-03-02');
        $over = $this->step($goal, $this->task('Ghent'), '2026-03-02');
        $gone = $this->step($goal, $this->task('Lyon'), '2026-03-02');
        $done = $this->task('Maas');
        $this->step($goal, $done, '2026-03-02');
        $done->update(['done_at' => $this->utc('2026-03-06 15:00')]);
        $this->get('/goals')->assertSee('Not finished in their week')->assertSee('Ghent')->assertSee('Lyon');

        $this->post("/steps/{$over->id}/over")->assertSessionHasNoErrors();
        $this->delete("/steps/{$gone->id}")->assertSessionHasNoErrors();

        self::assertSame([['2026-03-02', 'over'], ['2026-03-09', null]], $this->ines->goalSteps()->where('task_id', $over->task_id)->get()->map(static fn (GoalStep $one): array => [$one->week_on, $one->fate])->all());
        self::assertNotNull(Task::query()->find($gone->task_id), 'the task stays');
        $row = $this->row($goal);
        self::assertSame(['kept', 'missed', 'missed'], array_map(static fn ($one): string => $one->peg(), $row->weeks[1]));
        self::assertSame(['none'], array_map(static fn ($one): string => $one->peg(), $row->weeks[2]));
        self::assertSame([1, 3], [$row->kept, $row->judged]);
        $this->get('/goals')->assertDontSee('Not finished in their week');
    }

    #[Test]
    public function a_step_gains_pull_from_its_week_on_and_says_so(): void
    {
        $goal = $this->goal();
        $step = $this->task('Ghent');
        $plain = $this->task('Quotes');
        $this->step($goal, $step, '2026-03-09');
        $this->step($goal, $next = $this->task('Lyon'), '2026-03-16');
        $open = $this->desk()->open();

        self::assertSame([6, 0, 0], [$open->one($step->id)?->pull->step, $open->one($plain->id)?->pull->step, $open->one($next->id)?->pull->step]);
        self::assertSame($open->one($plain->id)?->pull->total() + 6, $open->one($step->id)?->pull->total());
        $this->get('/shape')->assertSee('Steps of goals');
        $this->get("/tasks/{$step->id}")->assertSee('step of a goal');
    }

    #[Test]
    public function a_measure_is_moved_by_hand_or_by_its_tasks(): void
    {
        $hand = $this->goal(['name' => 'Hand', 'target' => 6]);
        $this->post("/goals/{$hand->id}/mark", ['value' => '2'])->assertSessionHasNoErrors();
        $this->post("/goals/{$hand->id}/mark", ['value' => 'two'])->assertSessionHasErrors('value');
        $weekly = $this->goal(['name' => 'Run', 'target' => 15, 'weekly' => true]);
        $weekly->marks()->create(['user_id' => $this->ines->id, 'date' => '2026-03-08', 'value' => 15]);
        $weekly->marks()->create(['user_id' => $this->ines->id, 'date' => '2026-03-09', 'value' => 5]);
        $this->post("/goals/{$weekly->id}/mark", ['value' => '9,5']);

        $tasks = $this->goal(['name' => 'Tasks', 'moved_by' => MovedBy::Tasks]);
        $this->step($tasks, $a = $this->task('A'), '2026-03-09');
        $this->step($tasks, $this->task('B'), '2026-03-09');
        $a->update(['done_at' => $this->utc('2026-03-10 09:00')]);
        $hours = $this->goal(['name' => 'Hours', 'moved_by' => MovedBy::Hours]);
        $this->step($hours, $a, '2026-03-09');
        $this->ines->entries()->create(['task_id' => $a->id, 'starts_at' => $this->utc('2026-03-10 08:00'), 'ends_at' => $this->utc('2026-03-10 09:30')]);
        $list = $this->task('List');
        foreach ([0, 1, 2] as $i) {
            $list->subtasks()->create(['user_id' => $this->ines->id, 'title' => "S{$i}", 'done_at' => $i < 2 ? $this->utc('2026-03-10 10:00') : null]);
        }
        $subtasks = $this->goal(['name' => 'Subtasks', 'moved_by' => MovedBy::Subtasks, 'task_id' => $list->id]);

        self::assertSame([2.0, 9.5, 1.0, 1.5, 2.0], array_map(fn (Goal $goal): float => $this->row($goal)->value, [$hand, $weekly, $tasks, $hours, $subtasks]));
        self::assertSame(4.5, $weekly->marks()->where('date', '2026-03-11')->sole()->value, 'of the day only what it brought');
    }

    /** From 2 March on; until Friday 13 March ten working days, of which seven and an hour of seven and three quarters are gone at ten. */
    #[Test]
    public function an_even_pace_is_reckoned_by_working_days(): void
    {
        $goal = $this->goal(['target' => 20, 'due_on' => '2026-03-13'], '2026-03-02');
        $this->at('2026-03-11 10:00');

        self::assertEqualsWithDelta(20 * (7 + 60 / 465) / 10, $this->row($goal)->pace, 0.001);
        $this->at('2026-03-14 12:00');
        self::assertSame(20.0, $this->row($goal)->pace);
    }

    /** Wednesday 08:00 to Friday 17:30: 3 × 7 h 45 of open time, of which the load lines carry 80 %: 372 a day. */
    #[Test]
    public function its_work_is_set_against_the_curves_of_horizon(): void
    {
        $goal = $this->goal(['due_on' => '2026-03-13']);
        $this->step($goal, $this->task('Dated', 300, dueOn: '2026-03-13'), '2026-03-09');
        $this->step($goal, $this->task('Undated', 240), '2026-03-09');
        $this->task('Other', 400, dueOn: '2026-03-12');
        $vessel = $this->row($goal)->vessel;

        self::assertSame([400, 540, 240, 3 * 372], [$vessel->other, $vessel->own, $vessel->undated, $vessel->open]);
        self::assertSame(3 * 372 - 940, $vessel->room());
        $horizon = $this->desk()->open()->curves[$goal->area->hours_set_id]->at((int) $this->desk()->time()->due('2026-03-13', null, $goal->area->hours_set_id));
        self::assertSame([$vessel->open, 700], [$horizon->supply, $horizon->demand], 'what has no date is not in the curves');

        $this->task('Too much', 300, dueOn: '2026-03-13');
        self::assertSame(124, $this->row($goal)->vessel->short());
        $this->get('/goals')->assertSee('2 h 04 short of open time.')->assertSee('Give it the goal’s date');
        $this->post("/goals/{$goal->id}/date")->assertSessionHasNoErrors();
        self::assertSame(0, $this->row($goal)->vessel->undated);
        $this->get('/horizon')->assertSee('2 h 04 missing');
        $this->post('/plan/undo');
        self::assertNull($this->ines->tasks()->where('title', 'Undated')->sole()->due_on);
    }

    #[Test]
    public function steps_without_a_block_get_their_days(): void
    {
        $goal = $this->goal();
        $this->block($this->task('Laid', 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->step($goal, $step = $this->task('Ghent', 90), '2026-03-09');

        $this->post('/goals/place')->assertSessionHas('status', static fn (string $said): bool => str_contains($said, 'One step has its day.'));
        self::assertNotNull($step->refresh()->picked_on);
        self::assertSame(1, $step->blocks()->count());
        $this->post('/goals/place')->assertSessionHas('status', static fn (string $said): bool => str_contains($said, 'Nothing had to be placed'));
        $this->post('/plan/undo');
    }

    #[Test]
    public function steps_of_the_next_week_get_their_days_there_and_come_first_among_equals(): void
    {
        $goal = $this->goal();
        $this->block($this->task('Laid', 60), '2026-03-11 09:00', '2026-03-11 10:00');
        for ($i = 0; $i < 12; $i++) {
            $this->task("Equal {$i}", 120);
        }
        $this->step($goal, $step = $this->task('Ghent', 120), '2026-03-16');
        $this->get('/week/plan/2026-03-16')->assertSeeInOrder(['Steps of goals', 'Ghent', 'By pull']);

        $this->post('/goals/place', ['week' => '2026-03-16'])->assertSessionHas('status', static fn (string $said): bool => str_contains($said, 'One step has its day.'));
        self::assertSame('2026-03-16', $step->refresh()->picked_on);
        $this->post('/goals/place', ['week' => '2026-13-16'])->assertNotFound();
    }

    #[Test]
    public function a_cycle_is_closed_with_its_account_and_opens_the_next_with_what_is_carried_over(): void
    {
        $goal = $this->goal(['target' => 6], '2025-12-15');
        $left = $this->goal(['name' => 'Left'], null);
        $goal->marks()->create(['user_id' => $this->ines->id, 'date' => '2026-02-02', 'value' => 4]);
        $step = $this->step($goal, $this->task('Ghent'), '2026-03-02');
        $habit = $this->ines->habits()->create(['title' => 'Run', 'area_id' => $goal->area_id, 'goal_id' => $goal->id, 'minutes' => 30, 'times' => 2, 'from' => '2026-03-09']);
        $cycle = $goal->cycle;
        $this->get('/goals')->assertSee('Close it with its account');
        $this->get("/cycles/{$cycle->id}")->assertOk()->assertSeeInOrder(['4 of 6', 'no</td>', 'Ghent'], false)->assertDontSee('@else');

        $this->post("/cycles/{$cycle->id}/close", ['goals' => [$goal->id]])->assertRedirect('/goals');
        self::assertSame(4.0, (float) $cycle->refresh()->account['goals'][0]['value']);
        $next = $this->ines->cycles()->whereNull('closed_at')->sole();
        $copy = $next->goals()->sole();
        self::assertSame(['2026-03-09', 12, $goal->name], [$next->begins_on, $next->weeks, $copy->name]);
        self::assertSame([$step->task_id, '2026-03-09'], [$copy->steps()->sole()->task_id, $copy->steps()->sole()->week_on]);
        self::assertSame($copy->id, $habit->refresh()->goal_id);
        self::assertSame(4.0, (float) $copy->marks()->sole()->value, 'it stands where it stood');
        $this->get("/cycles/{$cycle->id}")->assertSee('4 of 6')->assertSee('Left');
        $this->post('/plan/undo');
        self::assertNull($cycle->refresh()->closed_at);
        self::assertSame(1, $this->ines->cycles()->count());
        self::assertNotNull(Goal::query()->find($left->id));
    }

    #[Test]
    public function a_goal_taken_away_comes_back_with_its_steps_and_marks(): void
    {
        $goal = $this->goal();
        $this->step($goal, $task = $this->task('Ghent'), '2026-03-09');
        $goal->marks()->create(['user_id' => $this->ines->id, 'date' => '2026-03-10', 'value' => 4]);
        $this->delete("/goals/{$goal->id}")->assertRedirect('/goals');
        self::assertSame([0, 0], [$this->ines->goals()->count(), $this->ines->goalSteps()->count()]);
        self::assertNotNull($task->fresh());

        $this->post('/plan/undo');
        self::assertSame([1, 1, 4.0], [$this->ines->goals()->count(), $this->ines->goalSteps()->count(), $goal->marks()->sole()->value]);
    }

    private function cycle(?string $from = null): Cycle
    {
        return $this->ines->cycles()->whereNull('closed_at')->first() ?? $this->ines->cycles()->create(['begins_on' => $from ?? '2026-03-09', 'weeks' => 12]);
    }

    /** @param  array<string, mixed>  $columns */
    private function goal(array $columns = [], ?string $from = null): Goal
    {
        $goal = $this->cycle($from)->goals()->make($columns + ['name' => 'Lenders signed', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'unit' => 'signed', 'target' => 12]);
        $goal->user_id = $this->ines->id;
        $goal->save();

        return $goal->refresh();
    }

    private function step(Goal $goal, Task $task, string $week): GoalStep
    {
        return $goal->steps()->create(['user_id' => $this->ines->id, 'task_id' => $task->id, 'week_on' => $week]);
    }

    private function desk(): Desk
    {
        return new Desk(fn () => $this->ines->refresh(), Clock::now(), app(WorkTimeLoader::class));
    }

    private function row(Goal $goal): GoalRow
    {
        $rows = (new GoalsScreen($this->desk(), app(Prospects::class), new PastRatios))->goals($this->ines, $goal->cycle()->sole(), Clock::now());

        return array_values(array_filter($rows, static fn (GoalRow $row): bool => $row->goal->id === $goal->id))[0];
    }
}
