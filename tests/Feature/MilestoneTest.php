<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\WorkTimeLoader;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** Due dates with no work of their own: what belongs to them is due by then. */
final class MilestoneTest extends FeatureTestCase
{
    #[Test]
    public function what_belongs_to_a_milestone_is_due_by_then_in_curves_and_plan(): void
    {
        $print = $this->ines->projects()->create(['name' => 'Print', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $captions = $this->task('Captions', 480, Importance::Low);
        $proofs = $this->task('Proofs', 300, Importance::Low, dueOn: '2026-03-31');
        $early = $this->task('Early', 30, Importance::Low, dueOn: '2026-03-11');
        foreach ([$captions, $proofs, $early] as $task) {
            $task->update(['project_id' => $print->id]);
        }
        $this->task('Vital', 480, Importance::Vital);

        $this->patch("/projects/{$print->id}", ['due_date' => 'thursday'])->assertSessionHasNoErrors();
        self::assertSame('2026-03-12', $print->refresh()->due_on);
        $open = (new Desk(fn (): User => $this->ines, Clock::now(), app(WorkTimeLoader::class)))->open();
        self::assertSame(['2026-03-12 17:30', '2026-03-12 17:30', '2026-03-11 17:30'], array_map(static fn (Task $task): string => gmdate('Y-m-d H:i', 60 * (int) $open->one($task->id)?->due), [$captions, $proofs, $early]));

        // 2 × 372 until Thursday evening, 480 + 300 + 30 due by then: 66 are missing. Wednesday has its own.
        $this->get('/horizon')->assertSeeTextInOrder(['Wed 11', 'Early', 'Thu 12', 'Print: 2 tasks', '13 h 30', '12 h 24', '−1 h 06', 'Print, milestone'])->assertSeeText('One crunch.');
        $this->get('/month')->assertSeeTextInOrder(['Thu 12', 'Print']);
        $this->post('/plan/lay-out');
        self::assertStringContainsString('Vital', implode(' ', array_slice($this->plan(), -3)), 'what is not due gives way to it');
        $this->get("/projects/{$print->id}")->assertSeeText('Thu 12 Mar');
    }

    #[Test]
    public function a_section_has_its_own_and_a_date_at_which_nothing_is_due_is_shown_too(): void
    {
        $print = $this->ines->projects()->create(['name' => 'Print', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $section = $print->sections()->create(['user_id' => $this->ines->id, 'name' => 'Proofs']);
        $task = $this->task('Read them', 60);
        $task->update(['project_id' => $print->id, 'section_id' => $section->id]);
        $this->patch("/sections/{$section->id}", ['due_date' => '2026-03-13'])->assertSessionHasNoErrors();
        $this->patch("/projects/{$print->id}", ['due_date' => '2026-03-20'])->assertSessionHasNoErrors();

        $this->get('/horizon')->assertSeeTextInOrder(['Fri 13', 'Read them', '1 h 00', 'Print: Proofs, milestone', 'Fri 20', 'Print, milestone', '1 h 00']);
        $this->post('/plan/undo');
        self::assertSame([null, '2026-03-13'], [$print->refresh()->due_on, $section->refresh()->due_on], 'one undo takes the last one back');
        foreach (['2026-02-30', 'whenever'] as $odd) {
            $this->patch("/projects/{$print->id}", ['due_date' => $odd])->assertSessionHasErrors('due_date');
        }
        $this->patch("/sections/{$section->id}", ['due_date' => ''])->assertSessionHasNoErrors();
        $this->get('/horizon')->assertSeeText('Nothing is due in these weeks.');
    }

    #[Test]
    public function a_file_of_ones_own_brings_it_along(): void
    {
        $print = $this->ines->projects()->create(['name' => 'Print', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'due_on' => '2026-03-20']);
        $print->sections()->create(['user_id' => $this->ines->id, 'name' => 'Proofs', 'due_on' => '2026-03-13']);
        $file = $this->get('/gather/export/nekto')->streamedContent();

        self::assertStringContainsString('"due_on":"2026-03-20"', $file);
        self::assertStringContainsString('"due_on":"2026-03-13"', $file);
    }
}
