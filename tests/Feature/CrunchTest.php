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
            ->assertSeeText(str_replace(' h ', "\u{a0}h\u{a0}", '2 h 36 of open time are missing. 15 h 00 must be done by Thu 12; under the load line its days carry 12 h 24.'))
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
}
