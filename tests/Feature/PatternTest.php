<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Edits\NewTasks;
use App\Models\Task;
use App\Repeats\Pattern;
use App\Rows\Steps;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\Test;

/** What a task is made of, and in which order steps come. */
final class PatternTest extends FeatureTestCase
{
    #[Test]
    public function a_task_made_of_its_own_pattern_on_the_same_day_is_the_same(): void
    {
        $task = $this->task('Lender visit', 95, Importance::High, deep: true);
        $task->update(['due_at' => $this->utc('2026-03-18 15:00'), 'not_before' => $this->utc('2026-03-12 08:30'), 'set_at' => $this->utc('2026-03-11 10:15'), 'part' => 'morning', 'splits' => false, 'note' => 'Keys at the desk']);
        $made = $this->again($task, '2026-03-11');

        foreach (['title', 'estimate', 'said', 'note', 'part', 'splits', 'min_chunk', 'max_chunk'] as $column) {
            self::assertSame($task->getAttribute($column), $made->getAttribute($column), $column);
        }
        self::assertSame([$task->due_at?->timestamp, $task->not_before?->timestamp, $task->set_at?->timestamp, 'high', 'deep'], [$made->due_at?->timestamp, $made->not_before?->timestamp, $made->set_at?->timestamp, $made->importance?->word(), $made->demand->value]);
    }

    #[Test]
    public function its_dates_move_with_the_day_and_keep_the_wall_clock_over_the_change_of_time(): void
    {
        $task = $this->task('Round', 30);
        $task->update(['due_at' => $this->utc('2026-03-13 15:00'), 'set_at' => $this->utc('2026-03-11 09:00')]);
        $made = $this->again($task, '2026-03-27'); // summer time begins on the 29th

        self::assertSame(['2026-03-29 15:00', '2026-03-27 09:00'], [$this->ines->local($made->due_at ?? now())->format('Y-m-d H:i'), $this->ines->local($made->set_at ?? now())->format('Y-m-d H:i')]);
        self::assertSame('2026-03-29 14:00:00', $made->due_at?->toDateTimeString());
    }

    #[Test]
    public function what_is_gone_meanwhile_is_left_out(): void
    {
        $task = $this->task('Round', 30);
        $project = $this->ines->projects()->create(['name' => 'Tour', 'area_id' => $task->area_id]);
        $task->update(['project_id' => $project->id]);
        $pattern = Pattern::of($task->refresh(), LocalDay::of(2026, 3, 11));
        $project->delete();
        $made = $this->made(['area_id' => 999_999] + $pattern, LocalDay::of(2026, 3, 11));

        self::assertNull($made->project_id);
        self::assertSame($this->ines->areas()->firstOrFail()->id, $made->area_id);
    }

    #[Test]
    public function nothing_of_others_comes_in_through_a_pattern(): void
    {
        $other = $this->person('wim@example.org');
        $project = $other->projects()->create(['name' => 'Theirs', 'area_id' => $other->areas()->firstOrFail()->id]);
        $made = $this->made(['title' => 'Mine', 'project_id' => $project->id, 'area_id' => $project->area_id, 'hours_set_id' => $other->hoursSets()->firstOrFail()->id], LocalDay::of(2026, 3, 11));

        self::assertSame([null, null, $this->ines->areas()->firstOrFail()->id], [$made->project_id, $made->hours_set_id, $made->area_id]);
    }

    #[Test]
    public function steps_follow_each_other_within_their_own_group_alone(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Tour', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'sequential' => true]);
        $free = $project->sections()->create(['user_id' => $this->ines->id, 'name' => 'Free', 'sequential' => false]);
        $row = $project->sections()->create(['user_id' => $this->ines->id, 'name' => 'Row', 'sequential' => true]);
        $step = function (string $title, ?int $section, int $position) use ($project): Task {
            $task = $this->task($title);
            $task->update(['project_id' => $project->id, 'section_id' => $section, 'position' => $position]);

            return $task;
        };
        [$a, $b, $c, $d, $e, $f] = [$step('a', null, 1), $step('b', null, 2), $step('c', $free->id, 1), $step('d', $free->id, 2), $step('e', $row->id, 2), $step('f', $row->id, 1)];
        $steps = Steps::of($this->ines);
        self::assertSame([$b->id => $a->id, $e->id => $f->id], $steps->before);
        self::assertSame([], $steps->stuck);

        $a->update(['done_at' => now()]);
        $f->update(['stage' => 'waiting', 'waiting_for' => 'Ana']);
        $steps = Steps::of($this->ines);
        self::assertSame([$e->id => $f->id], $steps->before);
        self::assertSame([$e->id], array_keys($steps->stuck));
        self::assertArrayNotHasKey($c->id, $steps->before);
        self::assertArrayNotHasKey($d->id, $steps->before);
    }

    private function again(Task $task, string $day): Task
    {
        return $this->made(Pattern::of($task->refresh(), LocalDay::of(2026, 3, 11)), LocalDay::fromString($day))->refresh();
    }

    /** @param  array<string, mixed>  $pattern */
    private function made(array $pattern, LocalDay $day): Task
    {
        return app(NewTasks::class)->one($this->ines, Pattern::draft($this->ines, $pattern, $day), Clock::now());
    }
}
