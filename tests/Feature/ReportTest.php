<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Report;
use App\Models\TaskStage;
use PHPUnit\Framework\Attributes\Test;

/** Reports: put together from sections, without what is private, ready to be changed before they go. */
final class ReportTest extends FeatureTestCase
{
    #[Test]
    public function a_week_is_told_in_the_sections_that_were_chosen(): void
    {
        $this->task('Leiden agreement')->update(['done_at' => $this->utc('2026-03-10 15:00')]);
        $this->task('Too old')->update(['done_at' => $this->utc('2026-03-06 15:00')]);
        $this->task('Captions', dueOn: '2026-03-20')->update(['picked_on' => '2026-03-17']);
        $this->task('Ghent')->update(['stage' => TaskStage::Waiting, 'waiting_for' => 'Adaeze', 'waiting_since' => '2026-03-08']);
        $begun = $this->task('Essay', 120);
        $this->ines->entries()->create(['task_id' => $begun->id, 'starts_at' => $this->utc('2026-03-09 09:00'), 'ends_at' => $this->utc('2026-03-09 09:45')]);
        $report = $this->report(['sections' => 'done,begun,next,stuck,due,time,meetings']);

        $page = $this->get("/reports/{$report->id}")->assertOk();
        $page->assertSeeInOrder(['# 9 to 15 March, from Ines Moura', '## Done', '- Leiden agreement', '## Begun', '- Essay, 45 min worked, 1 h 15 left', '## Next', '- Captions, due Fri 20', '## Stuck', '- Ghent, waits for Adaeze', '## Due', '## Time', '45 min', '## Meetings', 'nothing'], false);
        $page->assertDontSee('Too old');
        $this->get("/reports/{$report->id}?as=plain")->assertSeeInOrder(['DONE', '  - Leiden agreement'], false)->assertDontSee('## Done');
        $this->get("/reports/{$report->id}?date=2026-03-06")->assertSee('Too old')->assertDontSee('Leiden agreement');
    }

    #[Test]
    public function private_areas_contexts_and_meetings_are_left_out_and_counted(): void
    {
        $home = $this->ines->areas()->create(['name' => 'At home', 'hue' => 'clay', 'hours_set_id' => $this->ines->hoursSets()->firstOrFail()->id]);
        $this->patch("/settings/areas/{$home->id}", ['private' => 1])->assertSessionHasNoErrors();
        $phone = $this->ines->contexts()->create(['name' => 'doctor']);
        $this->patch("/settings/contexts/{$phone->id}", ['private' => 1])->assertSessionHasNoErrors();
        self::assertTrue($home->refresh()->private);
        $done = ['done_at' => $this->utc('2026-03-10 15:00')];
        $this->task('Dentist')->update($done + ['area_id' => $home->id]);
        $called = $this->task('Blood test');
        $called->update($done);
        $called->contexts()->attach($phone);
        $this->task('Leiden agreement')->update($done);
        $this->meeting('Salary talk', '2026-03-10 10:00', '2026-03-10 11:00');
        $this->ines->occurrences()->update(['private' => true]);
        $this->meeting('Committee', '2026-03-10 12:00', '2026-03-10 12:30');
        $report = $this->report(['sections' => 'done,meetings,time']);

        $this->get("/reports/{$report->id}")->assertSee('Leiden agreement')->assertSee('Committee')->assertDontSee('Dentist')->assertDontSee('Blood test')->assertDontSee('Salary talk')->assertSee('3 private things are left out.');
    }

    #[Test]
    public function a_title_is_text_and_makes_no_markup(): void
    {
        $this->task('# *Not* a [link](x) <b>')->update(['done_at' => $this->utc('2026-03-10 15:00')]);
        $report = $this->report(['sections' => 'done']);

        $this->get("/reports/{$report->id}")->assertSee('- \\# \\*Not\\* a \\[link\\](x) \\<b\\>');
        $this->get("/reports/{$report->id}?as=plain")->assertSee('  - # *Not* a [link](x) <b>');
    }

    #[Test]
    public function it_goes_into_the_outbox_as_it_was_changed(): void
    {
        $report = $this->report(['to' => 'director@example.org']);
        $this->post("/reports/{$report->id}/send", ['to' => 'director@example.org', 'subject' => 'Our week', 'body' => 'All is well.'])->assertSessionHasNoErrors();
        self::assertStringContainsString('All is well.', $this->ines->outboxMails()->sole()->body);
        $this->post("/reports/{$report->id}/send", ['to' => 'nobody', 'subject' => "a\nb", 'body' => ''])->assertSessionHasErrors(['to', 'subject', 'body']);
    }

    #[Test]
    public function of_a_project_only_its_own_is_told(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Catalogue', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $this->task('Foreword')->update(['project_id' => $project->id, 'done_at' => $this->utc('2026-03-10 15:00')]);
        $this->task('Other')->update(['done_at' => $this->utc('2026-03-10 15:00')]);
        $this->post('/reports', ['name' => 'For Prue', 'scope' => 'project', 'sections' => ['next', 'done']])->assertSessionHasErrors('project_id');
        $this->post('/reports', ['name' => 'For Prue', 'scope' => 'project', 'project_id' => $project->id, 'sections' => ['next', 'done'], 'remind_on' => 5, 'at' => '16:30'])->assertRedirect('/reports');
        $report = $this->ines->reports()->sole();
        self::assertSame(['done,next', 5, 990], [$report->sections, $report->remind_on, $report->remind_at]);
        $this->get("/reports/{$report->id}")->assertSee('# Catalogue, from Ines Moura')->assertSee('Foreword')->assertDontSee('Other');
    }

    #[Test]
    public function it_reminds_on_its_day_and_comes_back_when_it_was_taken_away(): void
    {
        $report = $this->report(['remind_on' => 3, 'remind_at' => 990]);
        $this->at('2026-03-11 16:30');
        $this->artisan('nekto:minute');
        self::assertSame(1, $this->ines->reminders()->where('kind', 'report')->count());
        $this->at('2026-03-12 16:30');
        $this->artisan('nekto:minute');
        self::assertSame(1, $this->ines->reminders()->where('kind', 'report')->count());

        $this->delete("/reports/{$report->id}")->assertRedirect('/reports');
        $this->get('/reports')->assertOk()->assertDontSee("/reports/{$report->id}\"", false);
        $this->post('/plan/undo');
        self::assertSame('Our week', $this->ines->reports()->sole()->name);
    }

    /** @param  array<string, mixed>  $columns */
    private function report(array $columns = []): Report
    {
        return $this->ines->reports()->create($columns + ['name' => 'Our week', 'scope' => 'week', 'sections' => 'done,next,stuck']);
    }
}
