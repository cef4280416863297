<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** The week planned before it begins: candidates, a day for each, what waits. */
final class WeekPlanTest extends FeatureTestCase
{
    #[Test]
    public function each_candidate_has_a_day_that_has_room_and_the_sums_are_right(): void
    {
        $this->at('2026-03-09 08:00');
        $report = $this->task('Grant report', 360, Importance::High, dueOn: '2026-03-10', deep: true);
        $calls = $this->task('Calls', 60, dueOn: '2026-03-13');
        $map = $this->task('River map', 600, dueOn: '2026-03-20');

        // The report has four deep hours on Monday and two on Tuesday; calls and two hours of the map fit on Monday: 240 + 60 of 372,
        // the map's 120 on Tuesday beside 120. In all 540 of 5 × 372.
        $page = $this->get('/week/plan')->assertOk()->assertSeeTextInOrder(['9 to 15 March', '9 h 00', 'of 31 h 00', 'each day fits', 'Due', 'Grant report', 'Mon 9 4 h 00, Tue 10 2 h 00', 'Calls', 'By pull', 'River map', '8 h 00 more later']);
        $page->assertSeeTextInOrder(['What waits, together', 'River map', '8 h 00', 'Fri 20']);
        foreach ([[$report, '09'], [$calls, '09'], [$map, '10']] as [$task, $day]) {
            $page->assertSee("name=\"on[{$task->id}]\" value=\"2026-03-{$day}\" checked", false);
        }
    }

    #[Test]
    public function what_is_chosen_stands_the_days_say_what_is_left_and_nothing_is_stored_before_it_is_taken(): void
    {
        $this->at('2026-03-09 08:00');
        $one = $this->task('One', 120);
        $two = $this->task('Two', 300, dueOn: '2026-03-12');

        $this->get("/week/plan/2026-03-09?on[{$one->id}]=2026-03-12&on[{$two->id}]=2026-03-12")->assertOk()->assertSeeText('Thursday would be over')->assertSee("name=\"on[{$one->id}]\" value=\"2026-03-12\" checked", false);
        $this->get("/week/plan/2026-03-09?on[{$one->id}]=wait")->assertSeeText('waits until next week');
        self::assertSame([null, null], [$one->refresh()->picked_on, $two->refresh()->picked_on]);

        $this->post('/week/plan/2026-03-09', ['on' => [$one->id => '2026-03-11', $two->id => '2026-03-12']])->assertRedirect('/week/2026-03-09')->assertSessionHas('status');
        self::assertSame(['2026-03-11', '2026-03-12'], [$one->refresh()->picked_on, $two->refresh()->picked_on]);
        $this->post('/plan/lay-out');
        self::assertContains('Wed 09:00–11:00 One', $this->plan(), 'so that it is laid out on its day');
        $this->get('/week/plan/2026-03-09')->assertSeeTextInOrder(['Picked', 'One'])->assertSee("name=\"on[{$one->id}]\" value=\"2026-03-11\" checked", false);
        $this->post('/week/plan/2026-03-09', ['on' => [$one->id => 'wait', $two->id => '2026-03-12']]);
        self::assertNull($one->refresh()->picked_on);
        $this->post('/plan/undo');
        self::assertSame('2026-03-11', $one->refresh()->picked_on, 'one undo brings it back');
    }

    #[Test]
    public function what_comes_over_stands_first_and_towards_its_end_the_next_week_is_planned(): void
    {
        $this->at('2026-03-13 16:00');
        $this->task('Carried', 60)->forceFill(['carried' => 2])->save();
        $this->task('Due later', 60, dueOn: '2026-03-17');
        $this->task('Picked last week', 30)->update(['picked_on' => '2026-03-12']);

        $this->get('/week/plan')->assertSeeTextInOrder(['16 to 22 March', 'Comes over', 'Carried', 'Picked last week', 'Due', 'Due later']);
        $this->get('/week/plan/2026-03-02')->assertOk()->assertSeeText(__('weekplan.no_days'));
    }

    #[Test]
    public function odd_choices_and_other_peoples_tasks_change_nothing(): void
    {
        $his = $this->task('His', 60, of: $this->person('wim@example.org'));
        $own = $this->task('Own', 60);
        foreach (['on[x]=y', "on[{$own->id}]=2026-13-40", "on[{$own->id}]=2031-01-01", 'on[999999]=wait', "on[{$his->id}]=2026-03-12"] as $odd) {
            $this->get("/week/plan?{$odd}")->assertOk()->assertDontSee('His');
        }
        $this->post('/week/plan/2026-03-09', ['on' => [$his->id => '2026-03-12', $own->id => '2026-04-20']])->assertRedirect();
        self::assertSame([null, null], [$his->refresh()->picked_on, $own->refresh()->picked_on]);
        $this->get('/week/plan/yesterday')->assertNotFound();
    }
}
