<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use App\Models\Task;
use App\Rows\Steps;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** Projects that begin when another one has nothing open any more. */
final class ProjectsInOrderTest extends FeatureTestCase
{
    #[Test]
    public function nothing_of_a_project_is_laid_out_before_all_of_the_one_it_comes_after(): void
    {
        [$texts, $print] = [$this->project('Texts'), $this->project('Print')];
        $this->step($print, 'Proofs', 30);
        $this->step($print, 'Index', 30);
        $this->step($texts, 'Room 1', 60);
        $room = $this->step($texts, 'Room 2', 90);
        $this->patch("/projects/{$print->id}", ['after_id' => $texts->id])->assertSessionHasNoErrors();
        $this->get('/shape')->assertSee('Room 1')->assertDontSee('Proofs');
        $this->post('/plan/lay-out');

        $last = $this->ines->blocks()->where('task_id', $room->id)->max('ends_at');
        self::assertCount(4, $this->plan());
        self::assertSame(2, $this->ines->blocks()->whereIn('task_id', $print->tasks()->pluck('id'))->where('starts_at', '>=', $last)->count());
        $this->get("/projects/{$print->id}")->assertSee('After Texts')->assertSee('2 tasks of it are open yet')->assertSee('after Texts');
        $this->get("/tasks/{$print->tasks()->firstOrFail()->id}")->assertSee('Room 2');

        $texts->tasks()->update(['done_at' => Clock::now()]);
        $this->get("/projects/{$print->id}")->assertDontSee('2 tasks of it are open yet');
        self::assertSame([], Steps::of($this->ines)->after);
    }

    #[Test]
    public function what_cannot_be_planned_holds_up_all_that_comes_after(): void
    {
        [$texts, $print, $post] = [$this->project('Texts'), $this->project('Print'), $this->project('Post')];
        $print->update(['after_id' => $texts->id]);
        $post->update(['after_id' => $print->id]);
        $this->step($texts, 'Room 1', 60)->update(['importance' => null]);
        $this->step($print, 'Proofs', 30);
        $this->step($post, 'Parcels', 30);
        $this->task('Mail', 15);
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–09:15 Mail'], $this->plan());

        $texts->update(['done_at' => Clock::now()]); // over, with what is left in it
        $this->post('/plan/lay-out');
        self::assertStringContainsString('Parcels', implode(' ', $this->plan()));
    }

    #[Test]
    public function a_circle_is_refused_where_it_is_made_and_harmless_where_it_is(): void
    {
        [$texts, $print] = [$this->project('Texts'), $this->project('Print')];
        $print->update(['after_id' => $texts->id]);
        $this->step($texts, 'Room 1', 60);
        $this->step($print, 'Proofs', 30);
        foreach ([$print->id, $texts->id] as $after) {
            $this->patch("/projects/{$texts->id}", ['after_id' => $after])->assertSessionHasErrors(['after_id' => __('task.circle')]);
        }
        $this->patch("/projects/{$texts->id}", ['after_id' => $this->person('wim@example.org')->projects()->create(['name' => 'His', 'area_id' => 1])->id])->assertSessionHasErrors('after_id');

        $texts->update(['after_id' => $print->id]); // as a file might bring it
        self::assertSame([], Steps::of($this->ines)->after);
        $this->post('/plan/lay-out');
        self::assertCount(2, $this->plan());
    }

    #[Test]
    public function a_project_after_one_of_two_thousand_tasks_waits_as_a_whole(): void
    {
        [$texts, $print] = [$this->project('Texts'), $this->project('Print')];
        $print->update(['after_id' => $texts->id]);
        $row = $this->step($texts, 'Room', 15)->getAttributes();
        unset($row['id']);
        foreach (range(1, 40) as $_) {
            Task::query()->insert(array_fill(0, 50, $row));
        }
        $proofs = $this->step($print, 'Proofs', 30);
        $steps = Steps::of($this->ines);

        self::assertArrayHasKey($proofs->id, $steps->stuck);
        self::assertLessThan(50, count($steps->after[$proofs->id]));
        $this->get("/projects/{$texts->id}")->assertOk();
    }

    private function project(string $name): Project
    {
        return $this->ines->projects()->create(['name' => $name, 'area_id' => $this->ines->areas()->firstOrFail()->id]);
    }

    private function step(Project $project, string $title, int $minutes): Task
    {
        $task = $this->task($title, $minutes);
        $task->update(['project_id' => $project->id]);

        return $task;
    }
}
