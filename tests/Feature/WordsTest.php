<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\TaskStage;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** Lines that say whose turn it is, and what becomes of what nobody touches. */
final class WordsTest extends FeatureTestCase
{
    #[Test]
    public function a_line_that_waits_waits_from_today_and_is_asked_about_by_the_rule(): void
    {
        $this->post('/gather', ['lines' => "Lamp spectrum, waiting for Wim\nQuote, ask again on Monday\nPlates, waiting for Prue, ask again friday"]);
        [$lamp, $quote, $plates] = $this->ines->tasks()->orderBy('id')->get()->all();

        self::assertSame([TaskStage::Waiting, 'Wim', '2026-03-11', '2026-03-18'], [$lamp->stage, $lamp->waiting_for, $lamp->waiting_since, $lamp->ask_on]);
        self::assertSame([TaskStage::Waiting, 'somebody', '2026-03-16'], [$quote->stage, $quote->waiting_for, $quote->ask_on]);
        self::assertSame(['Plates', 'Prue', '2026-03-13'], [$plates->title, $plates->waiting_for, $plates->ask_on]);
        $this->get('/gather')->assertSee('ask again');
    }

    #[Test]
    public function the_rule_says_when_an_answer_is_asked_about(): void
    {
        $this->put('/settings', ['ask_after' => '3'])->assertSessionHasNoErrors();
        $task = $this->task('Glass');
        $this->post('/tasks/sort', ['ids' => [$task->id], 'to' => 'waiting', 'waiting_for' => 'Wim']);
        self::assertSame('2026-03-14', $task->refresh()->ask_on);

        $this->post("/tasks/{$task->id}/weigh");
        self::assertSame([TaskStage::Open, null, null], [$task->refresh()->stage, $task->waiting_for, $task->ask_on]);
        $this->put('/settings', ['ask_after' => '0'])->assertSessionHasErrors('ask_after');
        $this->put('/settings', ['someday_after' => '3'])->assertSessionHasErrors('someday_after');
    }

    #[Test]
    public function words_of_two_meanings_come_with_the_other_one(): void
    {
        $this->postJson('/gather/understand', ['lines' => 'Ring the framer at 7'])->assertOk()
            ->assertJsonPath('lines.0.parts.0.gloss', 'set for Thu 12, 07:00')
            ->assertJsonPath('lines.0.parts.0.instead', 'at 19:00');
    }

    #[Test]
    public function what_lay_untouched_goes_to_someday_is_said_and_comes_back_by_one_undo(): void
    {
        $old = $this->task('Packing film', 30);
        $due = $this->task('Budget', dueOn: '2026-06-01');
        $this->at('2026-05-20 08:00');
        $touched = $this->task('Reading chair');
        $this->artisan('nekto:minute')->assertSuccessful();
        self::assertSame(TaskStage::Open, $old->refresh()->stage, 'only where the person wants it');

        $this->put('/settings', ['someday_after' => '60'])->assertSessionHasNoErrors();
        $this->artisan('nekto:minute')->assertSuccessful();
        self::assertSame([TaskStage::Someday, TaskStage::Open, TaskStage::Open], [$old->refresh()->stage, $due->refresh()->stage, $touched->refresh()->stage]);
        $this->get('/shape?morning=left')->assertSee('One task lay untouched for 60 days and went to someday: Packing film')->assertSee('Bring back');

        $rested = $this->ines->planRevisions()->where('cause', 'rested')->sole();
        $this->post('/plan/undo', ['revision' => $rested->id]);
        self::assertSame(TaskStage::Open, $old->refresh()->stage);
        $this->at('2026-05-21 08:00');
        $this->artisan('nekto:minute')->assertSuccessful();
        self::assertSame(TaskStage::Open, $old->refresh()->stage, 'what was brought back rests anew');
        self::assertSame('2026-05-21', Clock::now()->format('Y-m-d'));
    }

    #[Test]
    public function what_similar_lines_got_is_proposed_and_taken_only_where_it_was_seen(): void
    {
        $project = $this->ines->projects()->create(['name' => 'Lender agreements', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        for ($i = 0; $i < 6; $i++) {
            $this->task("Ghent lender {$i}", 25)->update(['project_id' => $project->id]);
        }
        $other = $this->person('other@example.org');
        $seen = $this->postJson('/gather/understand', ['lines' => 'Thank the Ghent lender'])->assertOk()
            ->assertJsonPath('lines.0.title', 'Thank the Ghent lender')
            ->assertJsonPath('lines.0.parts.0.learned', 'project Lender agreements')
            ->assertJsonPath('lines.0.parts.0.gloss', 'in Lender agreements, as before')
            ->assertJsonPath('lines.0.parts.1.gloss', '25 min, as before');

        self::assertStringContainsString('6 of 6 lines with “Ghent”', (string) $seen->json('lines.0.parts.0.why'));
        $this->postJson('/gather/understand', ['lines' => 'Thank the Ghent lender', 'refused' => "1:project ~\n1:minutes ~"])->assertJsonPath('lines.0.parts', []);
        $this->post('/gather', ['lines' => "Unseen lender\nSeen lender\nRefused lender", 'proposed' => "2:project Lender agreements\n2:minutes 25\n3:project Lender agreements", 'refused' => '3:project ~']);
        [$unseen, $taken, $refused] = $this->ines->tasks()->inbox()->orderBy('id')->get()->all();

        self::assertSame([null, null], [$unseen->project_id, $unseen->estimate]);
        self::assertSame([$project->id, 25], [$taken->project_id, $taken->estimate]);
        self::assertNull($refused->project_id);
        $this->actingAs($other)->postJson('/gather/understand', ['lines' => 'Thank the Ghent lender'])->assertJsonPath('lines.0.parts', []);
    }

    #[Test]
    public function a_step_and_a_line_of_the_review_are_read_as_they_were_seen(): void
    {
        $area = $this->ines->areas()->firstOrFail();
        $project = $this->ines->projects()->create(['name' => 'Lender agreements', 'area_id' => $area->id]);
        for ($i = 0; $i < 6; $i++) {
            $this->task("Ghent lender {$i}", 25)->update(['project_id' => $project->id]);
        }
        $goal = $this->ines->cycles()->create(['begins_on' => '2026-03-09', 'weeks' => 12])->goals()->make(['name' => 'Signed', 'unit' => '', 'target' => 5, 'area_id' => $area->id]);
        $goal->forceFill(['user_id' => $this->ines->id])->save();
        $typed = ['lines' => 'Thank the Ghent lender by friday', 'preset' => 'project area'];
        $this->postJson('/gather/understand', $typed)->assertJsonPath('lines.0.parts.1.gloss', '25 min, as before')->assertJsonMissing(['gloss' => 'in Lender agreements, as before']);

        $seen = ['refused' => '1:due by friday', 'proposed' => "1:minutes 25\n1:project Lender agreements"];
        $this->post("/goals/{$goal->id}/steps", $typed + $seen)->assertSessionHasNoErrors();
        $this->post('/review/2026-03-09', ['step' => 4, 'place' => 0] + $typed + $seen)->assertSessionHasNoErrors();
        foreach ($this->ines->tasks()->where('title', 'like', 'Thank%')->get() as $task) {
            self::assertSame(['Thank the Ghent lender by friday', null, 25, null], [$task->title, $task->due_on, $task->estimate, $task->project_id]);
        }
        self::assertSame(2, $this->ines->tasks()->where('title', 'like', 'Thank%')->count());
    }
}
