<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use App\Models\RevisionCause;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** What follows from a change is the same by whichever way it was made. */
final class FollowsTest extends FeatureTestCase
{
    #[Test]
    public function an_areas_hours_changed_in_settings_lay_its_work_elsewhere_at_once(): void
    {
        $this->task('Essay', minutes: 60);
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–10:00 Essay'], $this->plan());
        $evenings = $this->ines->hoursSets()->create(['name' => 'Late', 'position' => 9, 'week' => ['wed' => [['19:00', '21:00']]]]);
        $area = $this->ines->areas()->firstOrFail();

        $this->patch("/settings/areas/{$area->id}", ['name' => $area->name, 'hours_set_id' => $evenings->id])->assertSessionHasNoErrors();

        self::assertSame(['Wed 19:00–20:00 Essay'], $this->plan());
        $this->post('/plan/undo', ['revision' => (int) session('revision')]);
        self::assertSame(['Wed 09:00–10:00 Essay'], $this->plan());
        self::assertNotSame($evenings->id, $area->refresh()->hours_set_id);
    }

    #[Test]
    #[DataProvider('waysIntoProjects')]
    public function a_task_that_is_put_into_a_project_takes_its_area(string $way): void
    {
        $home = $this->ines->areas()->reorder('id', 'desc')->firstOrFail();
        $project = $this->project($home->id);
        $task = $this->task('Captions');
        self::assertNotSame($home->id, $task->area_id);
        match ($way) {
            'sorted' => $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'project', 'project' => 'Catalogue']),
            'in bulk' => $this->post('/tasks/many', ['ids' => [$task->id], 'project' => 'Catalogue']),
            'weighed' => $this->post("/weigh/{$task->id}", ['answer' => 'make_time', 'importance' => 2, 'estimate' => '30', 'project' => 'Catalogue']),
            default => $this->patch("/tasks/{$task->id}", ['title' => 'Captions', 'area_id' => $task->area_id, 'project_id' => $project->id]),
        };

        self::assertSame([$project->id, $home->id], [$task->refresh()->project_id, $task->area_id]);
    }

    /** @return array<string, array{string}> */
    public static function waysIntoProjects(): array
    {
        return ['sorted' => ['sorted'], 'in bulk' => ['in bulk'], 'weighed' => ['weighed'], 'by its form' => ['by its form']];
    }

    #[Test]
    public function who_wants_to_be_asked_is_asked_about_meetings_that_come_in_too(): void
    {
        Storage::fake('local');
        $this->ines->update(['mend_asks' => true]);
        $essay = $this->task('Essay');
        $this->block($essay, '2026-03-11 14:00', '2026-03-11 15:00');
        $this->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('a.ics', "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//EN\r\nBEGIN:VEVENT\r\nUID:1\r\nSUMMARY:Lighting review\r\nDTSTART:20260311T143000Z\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n")]);

        self::assertSame(['Wed 14:00–15:00 Essay'], $this->plan());
        $this->get('/shape')->assertSee('The plan needs mending');

        $this->post('/plan/change', ['kind' => 'mend', 'day' => '2026-03-11', 'listed' => [$essay->id], 'take' => [$essay->id]]);
        self::assertSame(['Wed 13:30–14:30 Essay'], $this->plan());
        self::assertSame(RevisionCause::MendTaken, $this->ines->planRevisions()->latest('id')->firstOrFail()->cause);
    }

    #[Test]
    public function a_project_is_done_and_opened_again_by_its_button_alone(): void
    {
        $project = $this->project($this->ines->areas()->firstOrFail()->id);
        self::assertTrue(Model::preventsSilentlyDiscardingAttributes(), 'as strict as the demo');

        $this->patch("/projects/{$project->id}", ['done' => '1'])->assertSessionHasNoErrors()->assertRedirect();
        self::assertNotNull($project->refresh()->done_at);
        $this->get("/projects/{$project->id}")->assertOk();
        $this->patch("/projects/{$project->id}", ['done' => '0'])->assertSessionHasNoErrors();
        self::assertNull($project->refresh()->done_at);
    }

    /** @param  array<string, mixed>  $body */
    #[Test]
    #[DataProvider('changesOfBlocks')]
    public function a_change_that_finds_its_block_elsewhere_when_it_is_its_turn_says_so(string $way, array $body): void
    {
        $block = $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00');
        $first = true;
        Event::listen(TransactionBeginning::class, static function () use ($block, &$first): void {
            $first && DB::table('blocks')->where('id', $block->id)->update(['starts_at' => '2026-03-11 13:30:00', 'ends_at' => '2026-03-11 14:30:00']); // another window was first
            $first = false;
        });

        $this->from('/shape')->post("/blocks/{$block->id}/{$way}", $body)->assertRedirect('/shape')->assertSessionHasErrors();

        self::assertSame(['Wed 09:00–10:00 Essay', 'Wed 10:00–11:00 Quotes'], $this->plan(), 'nothing was changed by half');
    }

    /** @return array<string, array{string, array<string, mixed>}> */
    public static function changesOfBlocks(): array
    {
        return ['sent' => ['send', ['day' => '2026-03-12']], 'split' => ['split', []], 'anchored' => ['anchor', []]];
    }

    private function project(int $area): Project
    {
        return $this->ines->projects()->create(['name' => 'Catalogue', 'area_id' => $area]);
    }
}
