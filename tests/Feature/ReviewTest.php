<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EstimateUse;
use App\Models\TaskStage;
use App\Review\SlipRule;
use App\Rows\RowMapper;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** The weekly review: seven steps, left and taken up again, kept, and what it makes of what slipped. */
final class ReviewTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->at('2026-03-13 17:22');
    }

    #[Test]
    public function it_is_walked_step_by_step_and_taken_up_where_it_was_left(): void
    {
        $areas = $this->ines->areas()->count();
        $this->get('/review')->assertOk()->assertSee('The week')->assertSee('Next: Promises');
        foreach ([1, 2, 3] as $step) {
            $this->post('/review/2026-03-09', ['step' => $step])->assertRedirect('/review/2026-03-09?step='.($step + 1));
        }
        for ($place = 0; $place < $areas; $place++) {
            $this->post('/review/2026-03-09', ['step' => 4, 'place' => $place, 'lines' => '']);
        }
        $review = $this->ines->reviews()->sole();
        self::assertSame([5, 0], [$review->step, $review->place]);
        $this->get('/review')->assertSee('Next: Someday');
        $this->post('/review/2026-03-09', ['step' => 5]);
        $this->post('/review/2026-03-09', ['step' => 6]);
        $this->post('/review/2026-03-09/close', ['step' => 7, 'note' => 'Proofs come on Tuesdays.'])->assertRedirect('/review/2026-03-09?all=1');
        $this->get('/review/2026-03-09?all=1')->assertSee('As it was closed')->assertSee('Proofs come on Tuesdays.');
        $this->post('/review/2026-03-09/open');
        self::assertNull($review->refresh()->closed_at);
        $this->post('/review/2026-03-09', ['step' => 9])->assertSessionHasErrors('step');
        $this->get('/review/2026-02-30')->assertNotFound();
        $this->get('/review/2099-01-01')->assertNotFound();
    }

    #[Test]
    public function on_a_monday_it_is_about_the_week_before_until_that_is_closed(): void
    {
        $this->at('2026-03-16 09:00');
        $this->get('/review')->assertSee('16 to 22 March');
        $this->ines->entries()->create(['task_id' => $this->task('Essay')->id, 'starts_at' => $this->utc('2026-03-10 09:00'), 'ends_at' => $this->utc('2026-03-10 10:00')]);
        $this->get('/review')->assertSee('9 to 15 March');
        $this->ines->reviews()->create(['week_on' => '2026-03-09', 'caught' => [], 'begun_at' => now(), 'closed_at' => now()]);
        $this->get('/review')->assertSee('16 to 22 March');
        $this->at('2026-03-20 09:00');
        $this->get('/review')->assertSee('16 to 22 March');
    }

    #[Test]
    public function a_line_is_caught_in_its_area_and_the_area_stays(): void
    {
        $area = $this->ines->areas()->create(['name' => 'Loans', 'hue' => 'ochre', 'hours_set_id' => $this->ines->hoursSets()->firstOrFail()->id, 'position' => 9]);
        $place = $this->ines->areas()->get()->search(static fn ($one): bool => $one->id === $area->id);
        $this->patch("/review/prompt/{$area->id}", ['prompt' => 'Who waits for a word from you?'])->assertSessionHasNoErrors();
        $this->get("/review/2026-03-09?step=4&place={$place}")->assertSee('Who waits for a word from you?');

        $this->post('/review/2026-03-09', ['step' => 4, 'place' => $place, 'lines' => 'ask Lyon for a second signature, 10 min'])->assertRedirect("/review/2026-03-09?step=4&place={$place}");
        $task = $this->ines->tasks()->sole();
        self::assertSame([$area->id, 10], [$task->area_id, $task->estimate]);
        self::assertSame([$area->id => 1], $this->ines->reviews()->sole()->caught);
    }

    #[Test]
    public function what_slipped_is_grouped_by_its_reason_with_the_minutes_that_were_not_done(): void
    {
        $row = static fn (int $task, string $title, int $promised, int $actual, bool $done = false): array => ['task' => $task, 'title' => $title, 'area' => 1, 'areaName' => '', 'hue' => 'river', 'promised' => $promised, 'actual' => $actual, 'became' => $done ? 'kept' : 'begun', 'key' => false, 'due' => false, 'done' => $done, 'next' => null, 'fate' => null];
        [$a, $b, $c] = [$this->task('Essay'), $this->task('Quotes'), $this->task('Texts')];
        $this->ines->closedDays()->create(['date' => '2026-03-11', 'slips' => [$a->id => 'A meeting ran over', $b->id => 'a meeting ran over ', $c->id => 'estimated too short'], 'closed_at' => $this->utc('2026-03-11 17:30'), 'account' => ['rows' => [$row($a->id, 'Essay', 60, 40), $row($b->id, 'Quotes', 20, 0), $row($c->id, 'Texts', 60, 80, true)]]]);

        $this->get('/review/2026-03-09?step=3')->assertSee('A meeting ran over')->assertSee('40 min')->assertSee('Keep a quarter of an hour after meetings.')->assertDontSee('Estimated too short');
        $this->post('/review/rule', ['rule' => 'after'])->assertSessionHasNoErrors();
        self::assertSame(15, $this->ines->refresh()->buffer_after);
        $this->get('/review/2026-03-09?step=3')->assertSee('holds already');
        $this->post('/plan/undo');
        self::assertSame(0, $this->ines->refresh()->buffer_after);
        $this->post('/review/rule', ['rule' => 'nothing'])->assertSessionHasErrors('rule');
    }

    #[Test]
    public function each_rule_is_made_by_one_press_and_undone_by_one(): void
    {
        $before = fn (): array => [$this->ines->refresh()->estimates, $this->ines->margin_percent, $this->ines->ask_after, $this->ines->routines()->count(), $this->ines->hoursSets()->firstOrFail()->exceptions()->count()];
        $was = $before();
        foreach ([[SlipRule::Careful, [EstimateUse::Careful, 20, 7, 0, 0]], [SlipRule::Margin, [$was[0], 25, 7, 0, 0]], [SlipRule::Sooner, [$was[0], 20, 5, 0, 0]], [SlipRule::Reserve, [$was[0], 20, 7, 1, 0]], [SlipRule::Hours, [$was[0], 20, 7, 0, 4]]] as [$rule, $then]) {
            $this->post('/review/rule', ['rule' => $rule->value]);
            self::assertSame($then, $before(), $rule->value);
            $this->post('/plan/undo');
            self::assertSame($was, $before(), $rule->value);
        }
        $this->post('/review/rule', ['rule' => 'hours']);
        $this->post('/review/rule', ['rule' => 'hours']); // it holds already
        $set = $this->ines->hoursSets()->with('exceptions')->firstOrFail();
        self::assertSame([480, 540], array_map(static fn (string $day): int => RowMapper::hours($set)->on(LocalDay::fromString($day))[0]->from, ['2026-03-16', '2026-03-20']), 'Monday at eight, Friday as ever');
    }

    /** @return array<string, array{string, SlipRule}> */
    public static function reasons(): array
    {
        return ['a meeting' => ['the call went on', SlipRule::After], 'too short' => ['Longer than estimated', SlipRule::Careful], 'urgent' => ['something more urgent came', SlipRule::Reserve], 'waiting' => ['waited for Wim', SlipRule::Sooner], 'no room' => ['no room under the line', SlipRule::Hours], 'anything else' => ['no head for it', SlipRule::Margin]];
    }

    #[Test]
    #[DataProvider('reasons')]
    public function a_reason_suggests_the_rule_that_fits(string $reason, SlipRule $rule): void
    {
        self::assertSame($rule, SlipRule::for($reason));
    }

    #[Test]
    public function who_is_waited_for_gets_a_letter_and_is_asked_later(): void
    {
        $task = $this->task('Signed agreement');
        $task->update(['stage' => TaskStage::Waiting, 'waiting_for' => 'Adaeze', 'waiting_since' => '2026-03-08', 'ask_on' => '2026-03-13']);
        $this->get('/review/2026-03-09?step=5')->assertSee('Signed agreement')->assertSee('Dear Adaeze');
        $this->post("/review/nudge/{$task->id}", ['to' => 'nobody', 'subject' => 'x', 'body' => 'y'])->assertSessionHasErrors('to');
        $this->post("/review/nudge/{$task->id}", ['to' => 'adaeze@example.org', 'subject' => 'The agreement', 'body' => 'When does it come?'])->assertSessionHasNoErrors();

        self::assertSame(['adaeze@example.org', 'The agreement'], [$this->ines->outboxMails()->sole()->to, $this->ines->outboxMails()->sole()->subject]);
        self::assertSame('2026-03-20', $task->refresh()->ask_on);
        $this->post("/review/later/{$task->id}");
        self::assertSame([TaskStage::Waiting, '2026-03-20'], [$task->refresh()->stage, $task->ask_on]);
    }

    #[Test]
    public function what_is_kept_for_someday_is_seen_and_goes_behind_what_was_not(): void
    {
        foreach (['Podcast' => '2026-02-01 10:00', 'Chair' => '2026-02-02 10:00'] as $title => $at) {
            $this->task($title)->forceFill(['stage' => TaskStage::Someday, 'updated_at' => $this->utc($at)])->saveQuietly();
        }
        $this->get('/review/2026-03-09?step=6')->assertSeeInOrder(['Podcast', 'Chair']);
        $this->post('/review/2026-03-09/keep/'.$this->ines->tasks()->where('title', 'Podcast')->sole()->id)->assertSessionHasNoErrors();
        $this->get('/review/2026-03-09?step=6')->assertSeeInOrder(['Chair', 'Podcast', 'kept in this review']);
    }

    /** Friday 17:22: eight minutes are left of this week, and the next carries 5 × 372. */
    #[Test]
    public function the_next_week_is_what_is_due_by_its_end_against_what_can_be_planned(): void
    {
        $this->task('Proofs', 1000, dueOn: '2026-03-18');
        $this->task('Captions', 900, dueOn: '2026-03-20');
        $this->task('Later', 900, dueOn: '2026-03-27');
        $this->get('/review/2026-03-09?step=7')->assertSee('31 h 40')->assertSee('31 h 08')->assertSee('Captions, Fri 20: 32 min missing.');
        $this->get('/horizon')->assertSee('32 min missing');
        $this->ines->tasks()->where('title', 'Captions')->update(['said' => 800]);
        $this->get('/review/2026-03-09?step=7')->assertSee('All that is due by Sun 22 fits under the load lines.');
    }

    #[Test]
    public function a_reminder_comes_on_its_day_until_the_week_is_closed(): void
    {
        $this->at('2026-03-13 16:59');
        self::assertNotContains('Review the week', $this->reminded());
        $this->at('2026-03-13 17:00');
        self::assertContains('Review the week', $this->reminded());
        $this->ines->reminders()->delete();
        $this->post('/review/2026-03-09/close', ['step' => 7]);
        self::assertNotContains('Review the week', $this->reminded());
        $this->put('/settings', ['review_on' => '', 'review_at' => '9:00'])->assertSessionHasNoErrors();
        self::assertSame([null, 540], [$this->ines->refresh()->review_on, $this->ines->review_at]);
        $this->put('/settings', ['review_on' => 9])->assertSessionHasErrors('review_on');
    }

    /** @return list<string> */
    private function reminded(): array
    {
        $this->artisan('nekto:minute');

        return array_values($this->ines->reminders()->pluck('title')->all());
    }
}
