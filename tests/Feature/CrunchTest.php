<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRevision;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** What cannot be held is known on the day it arises; a clearly better plan is offered, not made. */
final class CrunchTest extends FeatureTestCase
{
    #[Test]
    public function a_crunch_is_said_in_one_sentence_with_the_figures_of_the_room(): void
    {
        // Wednesday and Thursday: 8 h 30 less 45 of lunch are 465, less a margin of 93 are 372 each, 744 in all.
        $this->task('Captions', 480, dueOn: '2026-03-12');
        $this->get('/shape')->assertDontSee('of open time are missing');

        $this->task('Proofs', 420, dueOn: '2026-03-12');

        $this->get('/shape')->assertSee('by Thu 12')
            ->assertSeeText(str_replace(' h ', "\u{a0}h\u{a0}", '2 h 36 of open time are missing. 15 h 00 must be done by Thu 12; under load line and deep limit its days carry 12 h 24.'))
            ->assertSeeTextInOrder(['The longest: Captions, 8 h 00; Proofs, 7 h 00.'])
            ->assertSee('−2 h 36');
    }

    #[Test]
    public function what_is_overdue_is_no_crunch_and_others_see_nothing_of_it(): void
    {
        $this->task('Courier quotes', 600, dueOn: '2026-03-09');
        $this->get('/shape')->assertDontSee('of open time are missing');
        $this->task('Proofs', 2000, dueOn: '2026-03-12');
        $this->get('/shape')->assertSee('of open time are missing');

        $this->actingAs($this->person('wim@example.org'));
        $this->get('/shape')->assertDontSee('of open time are missing');
    }

    #[Test]
    public function a_clearly_better_plan_is_offered_with_its_price_and_not_made(): void
    {
        $this->block($this->task('Filing', 240, Importance::Low), '2026-03-11 13:15', '2026-03-11 17:15');
        $this->block($this->task('Agreement', 180, Importance::Vital, dueOn: '2026-03-11'), '2026-03-12 09:00', '2026-03-12 12:00');
        $this->at('2026-03-11 12:30');
        $this->artisan('nekto:minute')->assertSuccessful();
        $plan = $this->plan();

        $this->get('/shape')->assertSeeInOrder(['Laying it out anew would be', 'less late, by weight, but 2 tasks would move.', 'See it']);
        self::assertSame($plan, $this->plan());
        self::assertSame(0, PlanRevision::query()->count());

        $this->post('/plan/lay-out');
        self::assertContains('Wed 13:15–15:15 Agreement', $this->plan());
        $this->artisan('nekto:minute')->assertSuccessful();
        $this->get('/shape')->assertDontSee('Laying it out anew would be');
    }

    #[Test]
    public function how_much_better_it_must_be_is_a_setting(): void
    {
        $this->block($this->task('Filing', 240, Importance::Low), '2026-03-11 13:15', '2026-03-11 17:15');
        $this->block($this->task('Agreement', 180, Importance::Vital, dueOn: '2026-03-11'), '2026-03-12 09:00', '2026-03-12 12:00');
        $this->at('2026-03-11 12:30');
        $this->artisan('nekto:minute');

        $this->ines->update(['offer_anew' => 9999]);
        $this->get('/shape')->assertDontSee('Laying it out anew would be');
        $this->ines->update(['offer_anew' => 60]);
        $this->get('/shape')->assertSee('Laying it out anew would be');
        $this->ines->update(['offer_anew' => 0]);
        $this->get('/shape')->assertDontSee('Laying it out anew would be');
        DB::table('prospects')->update(['anew' => null]);
        $this->artisan('nekto:minute');
        self::assertNull(DB::table('prospects')->value('anew'), 'nobody wants to know');
    }

    #[Test]
    public function each_way_out_is_really_tried_shown_as_a_difference_and_does_what_it_said(): void
    {
        // 744 min can be carried until Thursday evening; 780 are due by then: 36 are missing.
        $captions = $this->task('Captions', 480, Importance::High, dueOn: '2026-03-12');
        $proofs = $this->task('Proofs', 300, Importance::Vital, dueOn: '2026-03-12');
        $this->post('/plan/lay-out');
        $before = $this->plan();

        $page = $this->get('/shape?ways=1')->assertSee("36\u{a0}min of open time are missing.", false)
            ->assertSeeTextInOrder(['Cut Captions by 40 min', 'Open Office hours', 'Move the due date of Captions to', 'Hand off or put off Captions, 8 h 00', 'then nothing is late']); // by weight × minutes: 160, 720, 1,920 or more
        preg_match_all('/change=way&amp;way=([a-z_0-9:]+)/', (string) $page->getContent(), $found);
        self::assertSame(['cut', 'extra_hours', 'move_due', 'drop'], array_map(static fn (string $way): string => explode(':', $way)[0], $found[1]));

        foreach ($found[1] as $way) {
            $this->get("/shape?change=way&way={$way}")->assertSee('A way out')->assertSee('All is laid out anew with it.')->assertSee('a proposal, nothing moved yet');
            self::assertSame($before, $this->plan(), 'only looked at');
            $this->post('/plan/change', ['kind' => 'way', 'day' => '2026-03-11', 'way' => $way])->assertRedirect();
            $this->get('/shape')->assertDontSee('will be late by this plan')->assertDontSee('of open time are missing');
            $this->post('/plan/undo');
            self::assertSame($before, $this->plan(), "{$way} is taken back whole");
        }
        self::assertSame([480, '2026-03-12', 300], [$captions->refresh()->estimate, $captions->due_on, $proofs->refresh()->estimate]);
    }

    #[Test]
    public function a_way_that_nobody_offered_changes_nothing_and_says_so(): void
    {
        $this->task('Captions', 480, dueOn: '2026-03-12');
        $wims = $this->task('Cables', 60, of: $this->person('wim@example.org'));
        foreach (['', 'cut', 'cut:1', 'burn:1:2', 'cut:x:y', str_repeat('9', 80), "cut:1:2\n"] as $way) {
            $this->get('/shape?change=way&way='.urlencode($way))->assertOk();
        }
        $this->from('/shape')->post('/plan/change', ['kind' => 'way', 'day' => '2026-03-11', 'way' => 'nonsense'])->assertSessionHasErrors('way');
        $this->from('/shape')->post('/plan/change', ['kind' => 'way', 'day' => '2026-03-11'])->assertSessionHasErrors('way');
        foreach (["cut:{$wims->id}:30", "drop:{$wims->id}:60", "move_due:{$wims->id}:29560000", 'extra_hours:99999:29554000:30'] as $way) {
            $this->post('/plan/change', ['kind' => 'way', 'day' => '2026-03-11', 'way' => $way])->assertRedirect();
        }
        self::assertSame([60, 'open', null], [$wims->refresh()->estimate, $wims->stage->value, $wims->due_on]);
    }

    #[Test]
    public function a_meeting_on_an_anchored_block_is_said_with_two_ways_on(): void
    {
        $block = $this->block($this->task('Call Porto', 30), '2026-03-11 13:15', '2026-03-11 13:45', anchored: true);
        $this->get('/shape')->assertDontSee('Two at once');
        $this->meeting('Insurer rings', '2026-03-11 13:30', '2026-03-11 14:00');
        $this->artisan('nekto:minute');
        self::assertSame(['Wed 13:15–13:45 Call Porto!'], $this->plan(), 'nothing that was fixed moves unasked');

        $this->get('/shape')->assertSeeTextInOrder(['Two at once', '13:30–13:45', 'Call Porto', 'anchored 13:15–13:45, and Insurer rings, 13:30–14:00.', 'Anchor it at 09:00–09:30', 'Let the plan place it']);
        $this->actingAs($this->person('wim@example.org'));
        $this->get('/shape')->assertDontSee('Two at once');
        $this->actingAs($this->ines);

        $this->post("/blocks/{$block->id}/release", ['mark' => $block->refresh()->mark()]);
        $this->artisan('nekto:minute');
        self::assertCount(1, $this->plan());
        self::assertStringNotContainsString('13:15', $this->plan()[0]);
        $this->get('/shape')->assertDontSee('Two at once');
    }
}
