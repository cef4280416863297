<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\RevisionCause;
use App\Models\Task;
use App\Planning\Replan;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** "Why here", in sentences a person can follow. */
final class WhyHereTest extends FeatureTestCase
{
    #[Test]
    public function it_says_pull_due_date_and_room_first_and_then_what_stood_in_the_way(): void
    {
        $this->meeting('Committee', '2026-03-11 09:00', '2026-03-11 10:00');
        $first = $this->task('Proofs', 60, Importance::Vital);
        $second = $this->task('Quotes', 30, Importance::Low, dueOn: '2026-03-13');
        $this->layOut();

        self::assertSame('Pull 40, no due date. The first open time left for it. A meeting until 10:00 stood in the way.', $this->why($first));
        self::assertMatchesRegularExpression('/^Pull \d+; due Fri 13 with \d+ h \d+ of room\. The first open time left for it\. A meeting until 10:00 stood in the way\. Before it: Proofs\.$/', $this->why($second));
    }

    #[Test]
    public function work_that_cannot_be_in_time_says_how_short_it_is(): void
    {
        $this->task('Proofs', 1200, Importance::Vital, dueOn: '2026-03-12');
        $this->layOut();

        self::assertMatchesRegularExpression('/short/', $this->why($this->ines->tasks()->firstOrFail()));
    }

    #[Test]
    public function the_next_step_names_its_project_and_what_comes_before(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Catalogue', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'sequential' => true]);
        foreach (['Proofs', 'Print'] as $position => $title) {
            $this->task($title, 60)->update(['project_id' => $project->id, 'position' => $position]);
        }
        $this->layOut();

        self::assertStringContainsString('The next step of Catalogue after “Proofs”.', $this->why($this->ines->tasks()->where('title', 'Print')->firstOrFail()));
    }

    #[Test]
    public function an_earliest_start_a_part_of_the_day_a_pick_and_an_anchor_are_named(): void
    {
        $this->task('Later', 60)->update(['not_before' => $this->utc('2026-03-11 14:00')]);
        $this->task('Calls', 30)->update(['part' => 'afternoon']);
        $this->task('Picked', 60)->update(['picked_on' => '2026-03-12']);
        $anchored = $this->task('Fixed', 60);
        $this->block($anchored, '2026-03-11 09:00', '2026-03-11 10:00')->update(['anchored' => true]);
        $this->layOut();
        $why = fn (string $title): string => $this->why($this->ines->tasks()->where('title', $title)->firstOrFail());

        self::assertStringContainsString('It could not begin before 14:00.', $why('Later'));
        self::assertStringContainsString('It keeps to its part of the day: afternoon.', $why('Calls'));
        self::assertStringContainsString('It is picked for Thu 12.', $why('Picked'));
        self::assertStringContainsString('You anchored it here.', $why('Fixed'));
    }

    #[Test]
    public function a_step_whose_predecessor_is_gone_says_nothing_of_it(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Catalogue', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'sequential' => true]);
        foreach (['Proofs', 'Print'] as $position => $title) {
            $this->task($title, 60)->update(['project_id' => $project->id, 'position' => $position]);
        }
        $this->layOut();
        $this->ines->tasks()->where('title', 'Proofs')->delete();

        self::assertStringNotContainsString('next step', $this->why($this->ines->tasks()->where('title', 'Print')->firstOrFail()));
    }

    #[Test]
    public function a_task_that_is_gone_meanwhile_leaves_no_hole_in_the_sentence(): void
    {
        $first = $this->task('Proofs', 60, Importance::Vital);
        $second = $this->task('Quotes', 30, Importance::Low);
        $this->layOut();
        $first->delete();

        self::assertStringNotContainsString('Before it', $this->why($second));
        self::assertStringNotContainsString('“”', $this->why($second));
    }

    private function layOut(): void
    {
        app(Replan::class)($this->ines->refresh(), Clock::now(), RevisionCause::LaidOut, afresh: true);
    }

    /** What stands beside the task's first block. */
    private function why(Task $task): string
    {
        $block = $task->blocks()->orderBy('starts_at')->firstOrFail();
        $page = (string) $this->get("/shape/{$block->starts_at->format('Y-m-d')}?block={$block->id}")->assertOk()->getContent();
        preg_match('/<p class="note-why">(.*?)<\/p>/s', $page, $found);

        return html_entity_decode($found[1] ?? '', ENT_QUOTES);
    }
}
