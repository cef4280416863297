<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** A day that fits, proposed and taken. */
final class ProposalTest extends FeatureTestCase
{
    #[Test]
    public function a_day_is_proposed_under_the_load_line_with_reasons_and_what_can_wait(): void
    {
        $this->task('Essay', 120, Importance::Vital, dueOn: '2026-03-12', deep: true);
        $this->task('Late letter', 30, Importance::High, dueOn: '2026-03-10');
        for ($i = 0; $i < 8; $i++) {
            $this->task("Report {$i}", 120, Importance::Medium, dueOn: '2026-03-20');
        }
        $html = (string) $this->get('/shape?propose=1')->assertOk()->assertSee('A day that fits')->assertSee('Can wait')->assertSee('late')->getContent();

        preg_match('/A day that fits.*?>(\d) h (\d\d) of (\d) h (\d\d)/s', $html, $part);
        self::assertLessThanOrEqual(60 * (int) ($part[3] ?? 0) + (int) ($part[4] ?? 0), 60 * (int) ($part[1] ?? 99) + (int) ($part[2] ?? 0));
        self::assertSame(3, substr_count($html, 'is a key task') === 0 ? 0 : preg_match_all('/name="keys\[\]" value="\d+" checked/', $html));
        self::assertSame([], $this->ines->tasks()->whereNotNull('picked_on')->pluck('title')->all(), 'nothing has changed by looking');
    }

    #[Test]
    public function what_is_taken_is_picked_and_laid_out_on_that_day_and_undo_takes_it_back(): void
    {
        $essay = $this->task('Essay', 60, Importance::Low);
        $letter = $this->task('Letter', 30, Importance::Vital);
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–09:30 Letter', 'Wed 09:30–10:30 Essay'], $this->plan());

        $this->post('/plan/pick', ['day' => '2026-03-12', 'picks' => [$essay->id], 'keys' => [$essay->id]])->assertRedirect('/shape/2026-03-12')->assertSessionHasNoErrors();
        self::assertSame(['2026-03-12', true], [$essay->refresh()->picked_on, $essay->key]);
        self::assertSame(['Wed 09:00–09:30 Letter', 'Thu 09:00–10:00 Essay'], $this->plan());
        self::assertNull($letter->refresh()->picked_on);

        $this->post('/plan/undo');
        self::assertSame([null, false], [$essay->refresh()->picked_on, $essay->key]);
        self::assertSame(['Wed 09:00–09:30 Letter', 'Wed 09:30–10:30 Essay'], $this->plan());
    }

    #[Test]
    public function what_is_due_that_day_is_proposed_before_whatever_pulls_more_in_the_same_time(): void
    {
        $this->task('Wall texts', 240, Importance::Low, dueOn: '2026-03-11');
        for ($i = 0; $i < 20; $i++) {
            $this->task("Small {$i}", 15, Importance::Vital);
        }

        $html = (string) $this->get('/shape?propose=1')->getContent();
        self::assertMatchesRegularExpression('/A day that fits.*Wall texts.*Can wait/s', $html, 'sixteen small ones pull more together, and can wait');
    }

    #[Test]
    public function in_the_middle_of_a_day_only_what_is_left_of_it_is_filled(): void
    {
        $this->block($this->task('Begun', 60), '2026-03-11 15:00', '2026-03-11 16:00');
        for ($i = 0; $i < 8; $i++) {
            $this->task("Report {$i}", 60, Importance::Vital);
        }
        $this->at('2026-03-11 15:30');

        // two hours less a fifth; the one that has begun comes first
        $this->get('/shape?propose=1')->assertSee('Begun')->assertSeeText('1 h 00 of 1 h 36, deep');
    }

    #[Test]
    public function what_was_picked_and_is_not_taken_again_is_let_off(): void
    {
        $essay = $this->task('Essay', 60);
        $letter = $this->task('Letter', 30);
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$essay->id, $letter->id]]);
        $this->get('/shape?propose=1')->assertSee('picked already');
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$letter->id]]);

        self::assertSame([null, '2026-03-11'], [$essay->refresh()->picked_on, $letter->refresh()->picked_on]);
    }

    #[Test]
    public function a_pick_that_was_not_done_stands_for_the_next_day_by_itself(): void
    {
        $essay = $this->leftOver();

        self::assertSame(['Thu 09:00–10:00 Essay', 'Thu 10:00–11:00 Letter'], array_slice($this->plan(), -2), 'a pick comes before what weighs more');
        $this->get('/shape?propose=1')->assertSee('picked for Wed 11, not done');
        $this->get('/shape/2026-03-12/list')->assertSee('Essay');
        $this->get('/views/build?'.http_build_query(['conditions' => [['what' => 'picked:today']]]))->assertSee('Essay')->assertDontSee('Letter</a>', false);
        self::assertSame('2026-03-11', $essay->refresh()->picked_on, 'the past day keeps its pick');
    }

    #[Test]
    public function or_it_is_only_offered_again(): void
    {
        $this->ines->update(['carry_picks' => false]);
        $this->leftOver();

        self::assertSame(['Thu 09:00–10:00 Letter', 'Thu 10:00–11:00 Essay'], array_slice($this->plan(), -2));
        $this->get('/shape?propose=1')->assertSee('picked for Wed 11, not done');
    }

    #[Test]
    public function what_is_left_over_and_not_taken_is_let_off_and_what_is_done_keeps_its_day(): void
    {
        $essay = $this->leftOver();
        $done = $this->task('Done');
        $done->update(['picked_on' => '2026-03-11', 'done_at' => '2026-03-11 12:00:00']);
        $this->post('/plan/pick', ['day' => '2026-03-12', 'picks' => []])->assertSessionHasNoErrors();

        self::assertSame([null, '2026-03-11'], [$essay->refresh()->picked_on, $done->refresh()->picked_on]);
    }

    #[Test]
    public function a_key_task_that_is_done_stays_one_of_the_three_when_the_day_is_proposed_again(): void
    {
        $done = $this->task('Done', 30);
        $done->update(['picked_on' => '2026-03-11', 'key' => true, 'done_at' => $this->utc('2026-03-11 08:30')]);
        $ids = array_map(fn (int $i): int => $this->task("Report {$i}", 30)->id, range(1, 4));
        self::assertSame(2, preg_match_all('/name="keys\[\]" value="\d+" checked/', (string) $this->get('/shape?propose=1')->getContent()));

        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => $ids, 'keys' => array_slice($ids, 0, 2)])->assertSessionHasNoErrors();
        self::assertSame(['2026-03-11', true], [$done->refresh()->picked_on, $done->key]);
        $this->get('/close')->assertSeeInOrder(['Done', 'key', '1 of 3 key tasks kept']);
    }

    #[Test]
    public function where_nothing_fits_there_is_nothing_to_take_but_the_next_day_to_look_at(): void
    {
        $task = $this->task('Essay');
        $task->update(['picked_on' => '2026-03-11']);
        $this->at('2026-03-11 18:40');

        $this->get('/shape?propose=1')->assertSee('Nothing weighed and estimated fits this day.')->assertDontSee('Take it and lay it out')->assertSee('/shape/2026-03-12?propose=1', false);
        self::assertSame('2026-03-11', $task->refresh()->picked_on);
    }

    #[Test]
    public function more_than_three_key_tasks_and_tasks_of_others_are_refused(): void
    {
        $ids = array_map(fn (int $i): int => $this->task("Task {$i}")->id, range(1, 4));
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => $ids, 'keys' => $ids])->assertSessionHasErrors(['keys' => 'At most 3 key tasks make a day. Take one of them away.']);
        $theirs = $this->task('Theirs', of: $this->person('wim@example.org'));
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$theirs->id]]);

        self::assertNull($theirs->refresh()->picked_on);
        $this->post('/plan/pick', ['day' => '2026-02-31', 'picks' => $ids])->assertSessionHasErrors('day');
    }

    #[Test]
    public function what_may_not_begin_yet_is_not_proposed(): void
    {
        $this->task('Later')->update(['not_before' => '2026-03-13 00:00:00']);
        $this->task('Now');

        $this->get('/shape?propose=1')->assertSee('name="picks[]"', false)->assertDontSee('<b>Later</b>', false);
        $this->get('/shape/2026-03-13?propose=1')->assertSee('<b>Later</b>', false);
    }

    #[Test]
    public function a_day_is_a_list_by_part_of_the_day_with_totals_and_times_only_if_wanted(): void
    {
        $this->block($this->task('Essay', 90), '2026-03-11 09:00', '2026-03-11 10:30');
        $this->block($this->task('Quotes', 30), '2026-03-11 14:00', '2026-03-11 14:30');
        $this->task('Walk', 60)->update(['picked_on' => '2026-03-11', 'part' => 'evening']);
        $this->task('Mail', 10)->update(['picked_on' => '2026-03-11']);

        $this->get('/shape/2026-03-11/list')->assertOk()->assertSeeInOrder(['3 h 10 of work', 'Morning', '1 h 30', 'Essay', 'Afternoon', 'Quotes', 'Evening', 'Walk', 'Any time', 'Mail'])->assertDontSee('14:00<', false);
        $this->get('/shape/2026-03-11/list?times=1')->assertSee('14:00<', false);
        $this->get('/shape/2026-03-12/list')->assertSee('Nothing is picked for this day');
        $this->get('/shape/2026-02-31/list')->assertNotFound();
    }

    /** Picked on Wednesday, laid out beside weightier work, and not done; now it is Thursday morning. */
    private function leftOver(): Task
    {
        $essay = $this->task('Essay', 60, Importance::Low);
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$essay->id]]);
        $this->task('Letter', 60, Importance::Vital);
        $this->at('2026-03-12 08:00');
        $this->post('/plan/lay-out');

        return $essay;
    }
}
