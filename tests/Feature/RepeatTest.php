<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use PHPUnit\Framework\Attributes\Test;

/** Tasks that come back, templates and copies. */
final class RepeatTest extends FeatureTestCase
{
    #[Test]
    public function the_next_occurrence_comes_when_one_is_done_with_fresh_subtasks(): void
    {
        $this->post('/gather', ['lines' => "Water the fig every monday, 20 min\n  Leaves"]);
        $first = $this->ines->tasks()->sole();
        self::assertSame(['2026-03-16', '2026-03-16', '2026-03-16 00:00:00'], [$first->occurs_on, $first->due_on, $first->not_before?->toDateTimeString()]);
        $first->subtasks()->update(['done_at' => now()]);

        $this->at('2026-03-16 10:00');
        $this->done($first);
        $next = $this->open();
        self::assertSame(['Water the fig', '2026-03-23', 20], [$next->title, $next->occurs_on, $next->estimate]);
        self::assertSame([null], $next->subtasks()->pluck('done_at')->all());
    }

    #[Test]
    public function what_was_missed_makes_no_heap(): void
    {
        $this->post('/gather', ['lines' => 'Loggers every day']);
        $this->at('2026-03-20 10:00');
        $this->done($this->open());

        self::assertSame('2026-03-20', $this->open()->occurs_on, 'the day it is done late still has its own');
        self::assertSame(2, Task::query()->count());
    }

    #[Test]
    public function what_comes_monthly_on_the_31st_leaves_no_month_out(): void
    {
        $this->at('2026-01-31 08:00');
        $this->post('/gather', ['lines' => "Pay the rent every month\nCheck the meter every month on the 30th"]);
        foreach (['2026-02-28', '2026-03-31', '2026-04-30'] as $i => $next) {
            $this->at(['2026-01-31 09:00', '2026-02-28 09:00', '2026-03-31 09:00'][$i]);
            $this->done($this->ines->tasks()->whereNull('done_at')->where('title', 'Pay the rent')->sole());
            self::assertSame($next, $this->ines->tasks()->whereNull('done_at')->where('title', 'Pay the rent')->sole()->due_on);
        }
        self::assertSame('2026-02-28', $this->ines->tasks()->where('title', 'Check the meter')->sole()->due_on);
    }

    #[Test]
    public function a_set_time_comes_back_with_it_and_is_anchored_there(): void
    {
        $this->post('/gather', ['lines' => 'Team call every thursday at 11:00 for 30 min']);
        $call = $this->ines->tasks()->sole();
        $this->post("/weigh/{$call->id}", ['answer' => 'make_time', 'importance' => 2, 'estimate' => '30'])->assertSessionHasNoErrors();
        self::assertContains('Thu 11:00–11:30 Team call!', $this->plan());
        $this->at('2026-03-12 11:40');
        $this->done($call->refresh());
        $next = $this->open();

        self::assertSame('2026-03-19 11:00', $next->set_at?->setTimezone('Europe/Lisbon')->format('Y-m-d H:i'));
        self::assertContains('Thu 11:00–11:30 Team call!', $this->plan());
    }

    #[Test]
    public function after_it_is_done_it_comes_so_long_after(): void
    {
        $this->post('/gather', ['lines' => 'Clean the filter 2 weeks after done']);
        $this->at('2026-03-14 10:00');
        $this->done($this->open());

        self::assertSame('2026-03-28', $this->open()->occurs_on);
    }

    #[Test]
    public function what_falls_on_a_day_off_is_left_out_or_moves_on(): void
    {
        $this->ines->hoursSets()->firstOrFail()->exceptions()->create(['date' => '2026-03-23', 'stretches' => []]);
        foreach (['skip' => '2026-03-30', 'shift' => '2026-03-24', 'keep' => '2026-03-23'] as $daysOff => $day) {
            $this->at('2026-03-11 08:00');
            $task = $this->task("Round {$daysOff}");
            $this->post("/tasks/{$task->id}/repeat", ['repeat' => 'every monday', 'days_off' => $daysOff])->assertSessionHasNoErrors();
            $this->at('2026-03-16 10:00');
            $this->done($task->refresh());

            self::assertSame($day, $this->ines->tasks()->where('title', "Round {$daysOff}")->whereNull('done_at')->sole()->occurs_on, $daysOff);
        }
    }

    #[Test]
    public function one_occurrence_is_changed_alone_or_for_all_later_ones(): void
    {
        $this->post('/gather', ['lines' => 'Round every monday, 20 min']);
        $first = $this->open();
        $this->patch("/tasks/{$first->id}", ['title' => 'Round, with the guests']);
        $this->at('2026-03-16 10:00');
        $this->done($first->refresh());
        self::assertSame('Round', $this->open()->title);

        $second = $this->open();
        $this->patch("/tasks/{$second->id}", ['title' => 'Long round', 'estimate' => '40']);
        $this->patch("/repeats/{$second->repeat_id}", ['what' => 'pattern']);
        $this->at('2026-03-23 10:00');
        $this->done($second->refresh());
        self::assertSame(['Long round', 40, '2026-03-30'], [$this->open()->title, $this->open()->estimate, $this->open()->occurs_on]);
    }

    #[Test]
    public function it_can_pause_go_on_and_end(): void
    {
        $this->post('/gather', ['lines' => 'Round every monday']);
        $first = $this->open();
        $this->patch("/repeats/{$first->repeat_id}", ['what' => 'pause']);
        $this->at('2026-03-16 10:00');
        $this->done($first);
        self::assertSame(0, $this->ines->tasks()->whereNull('done_at')->count());

        $this->patch("/repeats/{$first->repeat_id}", ['what' => 'go_on']);
        self::assertSame('2026-03-23', $this->open()->occurs_on);
        $this->patch("/repeats/{$first->repeat_id}", ['what' => 'end']);
        $this->done($this->open());
        self::assertSame(0, $this->ines->tasks()->whereNull('done_at')->count());
    }

    #[Test]
    public function letting_one_go_brings_the_next_and_undo_takes_it_away_again(): void
    {
        $this->post('/gather', ['lines' => 'Round every monday']);
        $first = $this->open();
        $this->delete("/tasks/{$first->id}");
        self::assertSame('2026-03-23', $this->open()->occurs_on);
        $this->post('/plan/undo');

        self::assertSame([$first->id, '2026-03-16'], [$this->open()->id, $this->open()->occurs_on]);
    }

    #[Test]
    public function no_more_than_one_comes_however_often_one_is_done_let_go_or_brought_back(): void
    {
        $this->post('/gather', ['lines' => 'Round every monday']);
        $first = $this->open();
        $this->delete("/tasks/{$first->id}");
        $this->post("/tasks/{$first->id}/bring-back")->assertSessionHasNoErrors();
        $this->done($first->refresh());
        self::assertSame('2026-03-23', $this->open()->occurs_on, 'the one that has come already is the next');

        $this->patch("/repeats/{$first->repeat_id}", ['what' => 'pause']);
        $this->patch("/repeats/{$first->repeat_id}", ['what' => 'go_on']);
        self::assertSame('2026-03-23', $this->open()->occurs_on);
    }

    #[Test]
    public function a_rule_that_is_none_is_refused_and_stays_in_its_field(): void
    {
        $task = $this->task('Round');

        $this->post("/tasks/{$task->id}/repeat", ['repeat' => 'now and then'])->assertSessionHasErrors('repeat')->assertSessionHasInput('repeat', 'now and then');
        self::assertNull($task->refresh()->repeat_id);
    }

    #[Test]
    public function a_template_makes_a_task_with_its_dates_from_a_day(): void
    {
        $task = $this->task('Lender visit', 60, dueOn: '2026-03-18');
        $this->post("/tasks/{$task->id}/subtasks", ['lines' => "Book the room 10 min\nWalk the route 30 min"]);
        self::assertSame(60, $task->refresh()->estimate);
        $this->post("/tasks/{$task->id}/template", ['name' => 'Visit']);
        $template = $this->ines->templates()->sole();

        $this->post("/templates/{$template->id}", ['day' => '2026-04-01'])->assertSessionHasNoErrors();
        $made = $this->ines->tasks()->with('subtasks')->latest('id')->firstOrFail();
        self::assertSame(['Lender visit', '2026-04-08', 60, ['Book the room', 'Walk the route']], [$made->title, $made->due_on, $made->estimate, $made->subtasks->pluck('title')->all()]);
        $this->post("/templates/{$template->id}", ['day' => '2026-02-31'])->assertSessionHasErrors('day');
    }

    #[Test]
    public function a_copy_has_what_the_task_has(): void
    {
        $task = $this->task('Quotes', 45, dueOn: '2026-03-13', deep: true);
        $task->contexts()->attach($this->ines->contexts()->create(['name' => 'phone']));
        $this->post("/tasks/{$task->id}/duplicate");
        $copy = $this->ines->tasks()->with('contexts')->latest('id')->firstOrFail();

        self::assertNotSame($task->id, $copy->id);
        self::assertSame(['Quotes', 45, '2026-03-13', 'deep', ['phone']], [$copy->title, $copy->estimate, $copy->due_on, $copy->demand->value, $copy->contexts->pluck('name')->all()]);
    }

    private function open(): Task
    {
        return $this->ines->tasks()->whereNull('done_at')->sole();
    }

    private function done(Task $task): void
    {
        $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'done'])->assertSessionHasNoErrors();
    }
}
