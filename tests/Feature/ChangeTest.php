<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** What is worked out is shown as a difference first, and taken whole, in part or not at all. */
final class ChangeTest extends FeatureTestCase
{
    #[Test]
    public function laying_out_is_shown_before_anything_moves(): void
    {
        $vital = $this->task('Wall texts', importance: Importance::Vital, dueOn: '2026-03-11');
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($vital, '2026-03-11 15:00', '2026-03-11 16:00');
        $before = $this->plan();

        $this->get('/shape?change=lay-out')->assertOk()->assertSeeInOrder(['Laid out anew', 'a proposal, nothing moved yet', 'Wall texts', '15:00', '09:00']);

        self::assertSame($before, $this->plan());
        self::assertFalse($this->ines->planRevisions()->exists(), 'looking leaves no trace');
    }

    #[Test]
    public function it_is_taken_whole_as_it_was_shown_or_in_part_with_the_rest_left_where_it_is(): void
    {
        $vital = $this->task('Wall texts', importance: Importance::Vital, dueOn: '2026-03-11');
        $quotes = $this->task('Quotes');
        $this->block($quotes, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($vital, '2026-03-11 15:00', '2026-03-11 16:00');

        $this->post('/plan/change', ['kind' => 'lay-out', 'day' => '2026-03-11', 'listed' => [$vital->id, $quotes->id], 'take' => [$vital->id]])->assertRedirect('/shape/2026-03-11');
        self::assertSame(['Wed 09:00–10:00 Quotes', 'Wed 10:00–11:00 Wall texts'], $this->plan(), 'what is held is planned around');

        $this->post('/plan/undo');
        $this->post('/plan/change', ['kind' => 'lay-out', 'day' => '2026-03-11', 'listed' => [$vital->id, $quotes->id], 'take' => [$vital->id, $quotes->id]]);
        self::assertSame(['Wed 09:00–10:00 Wall texts', 'Wed 10:00–11:00 Quotes'], $this->plan());
    }

    #[Test]
    public function a_plan_that_could_not_be_better_says_so(): void
    {
        $this->task('Quotes');
        $this->post('/plan/lay-out');

        $this->get('/shape?change=lay-out')->assertSee('Nothing would move.')->assertDontSee('Take it');
    }

    #[Test]
    public function an_overfull_day_says_by_how_much_and_what_can_wait_goes_where_it_was_shown(): void
    {
        $picks = $this->overfull();

        $page = $this->get('/shape')->assertSee('48 min over the load line');
        $page->assertSee('Let one task wait')->assertSee('Open 1 h 00 more');
        $this->get('/shape?change=wait')->assertSeeInOrder(['a proposal, nothing moved yet', 'over the load line', '48', '0', 'Least', 'no time', 'Thu 12, 09:00', 'This day has no stretch for it.']);

        $this->post('/plan/change', ['kind' => 'wait', 'day' => '2026-03-11', 'tasks' => [$picks['Least']]]);
        self::assertContains('Thu 09:00–11:00 Least', $this->plan());
        $this->get('/shape')->assertDontSee('over the load line');
    }

    #[Test]
    public function longer_hours_hold_for_that_day_alone_and_can_be_undone(): void
    {
        $this->overfull();

        $this->get('/shape?change=longer')->assertOk()->assertSee('Longer hours');
        $this->post('/plan/change', ['kind' => 'longer', 'day' => '2026-03-11', 'minutes' => 60]);

        $exception = $this->ines->hoursSets()->firstOrFail()->exceptions()->sole();
        self::assertSame(['2026-03-11', [['09:00', '18:30']]], [$exception->date, $exception->stretches]);
        $this->post('/plan/undo');
        self::assertFalse($this->ines->hoursSets()->firstOrFail()->exceptions()->exists());
    }

    #[Test]
    public function a_task_can_be_cut_to_fit(): void
    {
        $picks = $this->overfull();

        $this->get('/shape?change=cut')->assertSee('One is cut')->assertSee('name="minutes" value="50"', false);
        $this->post('/plan/change', ['kind' => 'cut', 'day' => '2026-03-11', 'tasks' => [$picks['Least']], 'minutes' => 50]);

        self::assertSame(70, $this->ines->tasks()->findOrFail($picks['Least'])->minutesLeft(Clock::now()));
        $this->get('/shape')->assertDontSee('over the load line');
    }

    #[Test]
    public function a_day_that_fits_says_that_nothing_must_wait(): void
    {
        $this->task('Quotes');

        $this->get('/shape?change=wait')->assertSee('The day fits its load line: nothing must wait.');
    }

    #[Test]
    public function a_proposal_can_be_seen_in_its_place_before_it_is_taken(): void
    {
        $quotes = $this->task('Quotes');

        $this->get("/shape?change=picks&picks[]={$quotes->id}&keys[]={$quotes->id}")->assertSee('A day that fits, laid out')->assertSee('ghost-stays', false);
        self::assertNull($quotes->refresh()->picked_on);
    }

    #[Test]
    public function who_wants_to_be_asked_sees_what_mending_would_move_and_takes_or_leaves_it(): void
    {
        $this->ines->update(['mend_asks' => true]);
        $quotes = $this->task('Quotes');
        $quotes->update(['splits' => false]);
        $essay = $this->task('Essay');
        $this->block($quotes, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($essay, '2026-03-11 11:00', '2026-03-11 12:00');
        $this->at('2026-03-11 10:30');

        $this->get('/shape')->assertSee('The plan needs mending');
        self::assertSame(['Wed 09:00–10:00 Quotes', 'Wed 11:00–12:00 Essay'], $this->plan(), 'nothing moved by itself');
        $this->get('/shape?change=mend')->assertSeeInOrder(['To be mended', 'Quotes', '09:00', '13:15', 'Its time went by and it was not done.']);

        $this->post('/plan/change', ['kind' => 'mend', 'day' => '2026-03-11', 'listed' => [$quotes->id]])->assertRedirect();
        $this->get('/shape')->assertDontSee('The plan needs mending');
        self::assertSame(['Wed 09:00–10:00 Quotes', 'Wed 11:00–12:00 Essay'], $this->plan(), 'left as it is');

        $this->post('/plan/undo');
        $this->post('/plan/change', ['kind' => 'mend', 'day' => '2026-03-11', 'listed' => [$quotes->id], 'take' => [$quotes->id]]);
        self::assertSame(['Wed 09:00–10:00 Quotes (passed)', 'Wed 11:00–12:00 Essay', 'Wed 13:15–14:15 Quotes'], $this->plan());
    }

    #[Test]
    public function nonsense_and_the_tasks_of_others_change_nothing(): void
    {
        $theirs = $this->task('Theirs', of: $this->person('wim@example.org'));
        $this->task('Quotes');

        $this->post('/plan/change', ['kind' => 'explode', 'day' => '2026-03-11'])->assertSessionHasErrors('kind');
        $this->post('/plan/change', ['kind' => 'wait', 'day' => 'soon'])->assertSessionHasErrors('day');
        $this->post('/plan/change', ['kind' => 'cut', 'day' => '2026-03-11', 'tasks' => [$theirs->id], 'minutes' => 30]);
        self::assertSame(60, $theirs->refresh()->minutesLeft(Clock::now()));
        $this->get('/shape?change=explode&morning=never&picks=x')->assertOk();
    }

    #[Test]
    public function a_drop_in_the_air_says_what_would_give_way_and_what_the_gauge_would_show(): void
    {
        $essay = $this->task('Essay');
        $quotes = $this->task('Quotes', minutes: 30);
        $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $block = $this->block($quotes, '2026-03-11 10:00', '2026-03-11 10:30');

        $this->post("/blocks/{$block->id}/try", ['day' => '2026-03-11', 'start' => '09:00', 'minutes' => 45])->assertOk()
            ->assertJsonPath('moves.0.title', 'Essay')->assertJsonPath('moves.0.to', '09:45')->assertJsonPath('estimate', 'estimate 30 min → 45 min')->assertJsonPath('sum', '1 h 00');
        self::assertSame(['Wed 09:00–10:00 Essay', 'Wed 10:00–10:30 Quotes'], $this->plan());
        self::assertSame(30, $quotes->refresh()->estimate);

        $this->post("/tasks/{$quotes->id}/try", ['day' => '2026-03-11', 'start' => '09:00'])->assertOk()->assertJsonPath('moves.0.title', 'Essay');
        $this->post("/blocks/{$block->id}/try", ['day' => '2026-03-11', 'start' => '06:00', 'minutes' => 30])->assertJsonPath('refused', 'That time has passed. Choose one from now on.');
    }

    /** @return array<string, int> three picks of the day, 48 minutes more than its load line of 6 h 12 carries; ids by title */
    private function overfull(): array
    {
        $ids = [];
        foreach (['Best' => Importance::Vital, 'Good' => Importance::High, 'Fair' => Importance::Medium, 'Least' => Importance::Low] as $title => $importance) {
            $task = $this->task($title, minutes: $title === 'Fair' ? 60 : 120, importance: $importance);
            $task->update(['picked_on' => '2026-03-11', 'splits' => false]);
            $ids[$title] = $task->id;
        }
        $this->post('/plan/lay-out');

        return $ids;
    }
}
