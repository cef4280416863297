<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** The days of a week on one screen: what each carries, moved by hand and balanced. */
final class WeekTest extends FeatureTestCase
{
    #[Test]
    public function each_day_says_what_a_person_would_reckon_and_what_shape_says(): void
    {
        $this->block($this->task('Wall texts', 120, deep: true), '2026-03-11 09:00', '2026-03-11 11:00');
        $this->block($this->task('Call the lender', 60), '2026-03-12 10:00', '2026-03-12 11:00', anchored: true);
        $this->meeting('Proofs', '2026-03-12 14:00', '2026-03-12 15:00');

        // 8 h 30 − 45 min lunch = 7 h 45; of that 80 % are 6 h 12. Thursday − 1 h meeting − 1 h anchored = 5 h 45; 80 % are 4 h 36.
        $this->get('/week')->assertOk()->assertSeeTextInOrder(['9 to 15 March', 'Wednesday', '2 h 00', 'of 6 h 12', 'deep 2 h 00', 'Thursday', '0 min', 'of 4 h 36', 'Sunday']);
        $this->get('/shape/2026-03-11')->assertSee('<b class="strong">2 h 00</b> of 6 h 12', false);
        $this->get('/shape/2026-03-12')->assertSee('<b class="strong">0 min</b> of 4 h 36', false);
        $this->get('/week?face=list')->assertOk()->assertSeeTextInOrder(['Wednesday', 'Wall texts', '2 h 00', 'Thursday', 'Call the lender', '1 h 00', 'Proofs, 14:00–15:00']);
    }

    #[Test]
    public function work_without_a_place_stands_at_the_foot_and_a_pick_without_a_time_on_its_day(): void
    {
        $this->block($this->task('Laid out', 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->task('Nowhere yet', 90, dueOn: '2026-03-16');
        $this->task('Half a place', 60)->blocks()->make(['starts_at' => $this->utc('2026-03-12 09:00'), 'ends_at' => $this->utc('2026-03-12 09:20')])->forceFill(['user_id' => $this->ines->id])->save();
        $this->task('Picked', 45)->update(['picked_on' => '2026-03-13']);

        $this->get('/week')->assertSeeTextInOrder(['Friday', '+ 45 min without a time', 'No place yet', '2 h 55 in all', 'Nowhere yet', '1 h 30', 'due Mon 16'])->assertSeeText('Half a place');
        $this->get('/week/2026-03-02')->assertOk()->assertDontSee('No place yet')->assertDontSee('Balance the days');
    }

    #[Test]
    public function a_task_says_where_it_lies_beyond_today(): void
    {
        $task = $this->task('Captions', 180, dueOn: '2026-03-16');
        $this->block($task, '2026-03-12 11:00', '2026-03-12 12:30');
        $this->block($task, '2026-03-13 13:30', '2026-03-13 15:00');
        $this->get("/tasks/{$task->id}")->assertSeeText('lies Thu 12, 11:00 and Fri 13, 13:30');
    }

    #[Test]
    public function weeks_begin_where_the_person_says_and_odd_dates_are_none(): void
    {
        $this->get('/week/2026-03-15')->assertSeeText('9 to 15 March');
        $this->get('/week/2025-12-31')->assertSeeText('29 December 2025 to 4 January 2026');
        $this->ines->update(['week_starts' => 7]);
        $this->get('/week/2026-03-15')->assertSeeText('15 to 21 March');
        foreach (['2026-13-01', '1999-01-01', 'x', '2026-03-1'] as $odd) {
            $this->get("/week/{$odd}")->assertNotFound();
        }
    }

    #[Test]
    public function several_move_together_or_none_and_one_undo_brings_them_back(): void
    {
        $one = $this->block($this->task('One', 60), '2026-03-11 09:00', '2026-03-11 10:00');
        $two = $this->block($this->task('Two', 30), '2026-03-11 10:00', '2026-03-11 10:30');
        $before = $this->plan();
        $blocks = "{$one->id}:{$one->mark()},{$two->id}:{$two->mark()}";

        $this->post('/week/try', ['blocks' => $blocks, 'days' => 1, 'minutes' => 15])->assertOk()->assertJson(['late' => [], 'more' => 0]);
        self::assertSame($before, $this->plan(), 'only tried');
        $this->post('/week/move', ['blocks' => $blocks, 'days' => 1, 'minutes' => 15])->assertRedirect()->assertSessionHasNoErrors();
        self::assertSame(['Thu 09:15–10:15 One!', 'Thu 10:15–10:45 Two!'], $this->plan());
        $this->post('/week/move', ['blocks' => $blocks, 'days' => 1, 'minutes' => 0])->assertSessionHasErrors('start');
        self::assertSame(['Thu 09:15–10:15 One!', 'Thu 10:15–10:45 Two!'], $this->plan(), 'seen as it was before');
        $this->post('/plan/undo');
        self::assertSame($before, $this->plan());

        [$one, $two] = [$one->refresh(), $two->refresh()];
        $this->post('/week/move', ['blocks' => "{$one->id},{$two->id}", 'days' => -1, 'minutes' => 0])->assertSessionHasErrors(['start' => __('plan.conflict.passed')]);
        self::assertSame($before, $this->plan(), 'none has moved');
    }

    #[Test]
    public function what_is_nobodys_or_another_persons_moves_nothing(): void
    {
        $wim = $this->person('wim@example.org');
        $his = $this->block($this->task('His', 60, of: $wim), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->post('/week/move', ['blocks' => (string) $his->id, 'days' => 1, 'minutes' => 0])->assertSessionHasErrors('start');
        $this->post('/week/balance', ['moves' => ["{$his->id}:{$his->mark()}:29563500"]])->assertSessionHasErrors('start');
        foreach (['', '1;2', '1,', 'a', '1:<b>'] as $odd) {
            $this->post('/week/move', ['blocks' => $odd, 'days' => 1, 'minutes' => 0])->assertSessionHasErrors('blocks');
        }
        $this->post('/week/move', ['blocks' => '1', 'days' => 'soon', 'minutes' => 0])->assertSessionHasErrors('days');
        $this->post('/week/balance', ['moves' => ['1:2:3']])->assertSessionHasErrors('moves.0');
        self::assertSame(['Wed 09:00–10:00 His'], $this->plan($wim));
    }

    #[Test]
    public function a_day_that_is_over_gives_the_least_that_is_enough_and_only_what_is_taken_moves(): void
    {
        foreach (['Alpha' => ['09:00', '11:00'], 'Beta' => ['11:00', '12:30'], 'Gamma' => ['13:15', '15:15'], 'Delta' => ['15:15', '16:15']] as $title => [$from, $to]) {
            $this->block($this->task($title, (int) ((strtotime($to) - strtotime($from)) / 60), Importance::Medium), "2026-03-12 {$from}", "2026-03-12 {$to}");
        }
        $before = $this->plan();

        // 390 of 372: 18 over, and Delta is the shortest that is enough; Wednesday is as near as Friday, and comes first.
        $page = $this->get('/week?balance=1')->assertSeeTextInOrder(['Balance the days', 'one block goes elsewhere', 'Delta', 'Thu 12, 15:15–16:15', '09:00–10:00'])->assertSeeText('18 min over');
        preg_match('/name="moves\[\]" value="([^"]+)"/', (string) $page->getContent(), $found);
        self::assertSame($before, $this->plan(), 'only looked at');
        $this->post('/week/balance', ['moves' => [$found[1]]])->assertRedirect('/week/2026-03-09')->assertSessionHas('status');
        self::assertSame(['Wed 09:00–10:00 Delta', ...array_slice($before, 0, 3)], $this->plan());
        $this->get('/week?balance=1')->assertSee(__('week.balanced_already'));
        $this->post('/plan/undo');
        self::assertSame($before, $this->plan());
    }

    #[Test]
    public function what_was_promised_or_picked_for_its_day_is_not_balanced_away(): void
    {
        foreach (['Alpha' => ['09:00', '11:00'], 'Beta' => ['11:00', '12:30'], 'Gamma' => ['13:15', '15:15'], 'Delta' => ['15:15', '16:15']] as $title => [$from, $to]) {
            $task = $this->task($title, (int) ((strtotime($to) - strtotime($from)) / 60));
            $task->update(['picked_on' => $title === 'Alpha' ? null : '2026-03-12']);
            $this->block($task, "2026-03-12 {$from}", "2026-03-12 {$to}");
        }

        $this->get('/week?balance=1')->assertSeeTextInOrder(['one block goes elsewhere', 'Alpha'])->assertDontSee('title">Delta', false);
    }
}
