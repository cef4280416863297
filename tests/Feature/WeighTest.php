<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use App\Models\TaskStage;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** The stack, the field and the list. */
final class WeighTest extends FeatureTestCase
{
    #[Test]
    public function an_item_is_weighed_dated_and_answered_in_one_breath(): void
    {
        $item = $this->unweighed('Mount for object 112');
        $this->get('/weigh')->assertSee('1 of 1')->assertSee('Mount for object 112');

        $this->post("/weigh/{$item->id}", ['answer' => 'do_now', 'importance' => 3, 'due_date' => '2026-03-18', 'estimate' => '30', 'project' => 'Object list'])->assertRedirect('/weigh');
        self::assertSame(['high', '2026-03-18', 30, 30, '2026-03-11', 'Object list'], [
            $item->refresh()->importance?->word(), $item->due_on, $item->estimate, $item->minutesLeft(Clock::now()), $item->picked_on, $item->project()->value('name'),
        ]);
        $this->post('/plan/undo');
        self::assertNull($item->refresh()->importance);
    }

    #[Test]
    public function handing_off_needs_a_name_and_waits(): void
    {
        $item = $this->unweighed('Book the courier');
        $this->post("/weigh/{$item->id}", ['answer' => 'hand_off'])->assertSessionHasErrors('waiting_for')->assertSessionHasInput('answer', 'hand_off');
        $this->post("/weigh/{$item->id}", ['answer' => 'hand_off', 'waiting_for' => 'Adaeze', 'due_date' => '2026-03-20', 'ask_on' => '2026-03-17'])->assertSessionHasNoErrors();

        self::assertSame([TaskStage::Waiting, 'Adaeze', '2026-03-20', '2026-03-17', '2026-03-11'], [$item->refresh()->stage, $item->waiting_for, $item->due_on, $item->ask_on, $item->waiting_since]);
    }

    #[Test]
    public function without_its_worth_nothing_is_planned_and_what_was_typed_stays(): void
    {
        $item = $this->unweighed('Bench');
        $this->from('/weigh')->post("/weigh/{$item->id}", ['answer' => 'make_time', 'estimate' => '45'])->assertSessionHasErrors(['importance' => 'Say what it is worth first: 1 to 4.'])->assertSessionHasInput('estimate', '45');
        $this->post("/weigh/{$item->id}", ['answer' => 'make_time', 'importance' => 2, 'estimate' => 'soon'])->assertSessionHasErrors('estimate');
        $this->post("/weigh/{$item->id}", ['answer' => 'make_time', 'importance' => 2, 'due_date' => '2026-02-31'])->assertSessionHasErrors('due_date');
        $this->post("/weigh/{$item->id}", ['answer' => 'perhaps', 'importance' => 2])->assertSessionHasErrors('answer');
        self::assertNull($item->refresh()->importance);
        $this->post("/weigh/{$item->id}", ['answer' => 'let_go']);
        self::assertTrue($item->refresh()->trashed());
    }

    #[Test]
    public function a_due_time_survives_weighing_and_moves_with_its_day(): void
    {
        $item = $this->unweighed('Mount');
        $item->update(['due_at' => '2026-03-13 12:00:00', 'due_hard' => true]);
        $this->get('/weigh')->assertSeeInOrder(['at 12:00', 'hard']);
        $this->post("/weigh/{$item->id}", ['answer' => 'make_time', 'importance' => 3, 'due_date' => '2026-03-13', 'estimate' => '1 h']);
        self::assertSame(['2026-03-13 12:00:00', null], [$item->refresh()->due_at?->toDateTimeString(), $item->due_on]);
        $this->post('/tasks/many', ['ids' => [$item->id], 'due_date' => '2026-03-30']);
        self::assertSame('2026-03-30 11:00:00', $item->refresh()->due_at?->toDateTimeString(), 'noon of a summer day');
    }

    #[Test]
    public function the_card_says_what_it_would_weigh(): void
    {
        $this->task('Catalogue', 300, Importance::Vital, dueOn: '2026-03-12');
        $item = $this->unweighed('Mount');

        $this->postJson("/weigh/{$item->id}/preview", ['importance' => 3, 'due_date' => '2026-03-12', 'estimate' => '1 h'])->assertOk()
            ->assertJsonPath('pressure', 48)->assertJsonPath('pull', 40)->assertJsonPath('answer', 'make_time');
        $this->postJson("/weigh/{$item->id}/preview", ['importance' => 3, 'due_date' => '2026-03-12', 'estimate' => '10 h'])->assertJsonPath('answer', 'do_now');
        $this->postJson("/weigh/{$item->id}/preview", ['importance' => 1])->assertJsonPath('answer', 'let_go')->assertJsonPath('pressure', null);
        self::assertNull($item->refresh()->importance);
    }

    #[Test]
    public function what_similar_work_took_is_offered_and_estimates_are_corrected_once_there_is_enough_of_it(): void
    {
        $item = $this->unweighed('Mount for object 112');
        $item->update(['estimate' => 30]);
        $this->finished('Mount for object 98', 30, 40);
        $this->get('/weigh')->assertSee('“Mount for object 98” took 40 min', false)->assertDontSee('careful');
        for ($i = 0; $i < 5; $i++) {
            $this->finished("Round {$i}", 30, 45);
        }

        $this->get('/weigh')->assertSee('likely 44 min')->assertSee('careful');
    }

    #[Test]
    public function marks_lie_by_time_left_and_importance_and_say_their_pull(): void
    {
        $this->task('Today', 30, Importance::Vital, dueOn: '2026-03-11');
        $this->task('Late', 30, Importance::High, dueOn: '2026-03-09');
        $this->task('Far', 30, Importance::Low, dueOn: '2026-07-01');
        $this->task('Without', 30);
        $html = (string) $this->get('/weigh')->assertSee('pull 4')->getContent();
        preg_match_all('/data-mark="\d+".*?left:([\d.]+)%;top:([\d.]+)%.*?<span class="name">(\w+)/s', $html, $marks, PREG_SET_ORDER);
        $place = array_column(array_map(static fn (array $mark): array => [$mark[3], [(float) $mark[1], (float) $mark[2]]], $marks), 1, 0);

        self::assertLessThan($place['Today'][0], $place['Late'][0]);
        self::assertLessThan($place['Far'][0], $place['Today'][0]);
        self::assertLessThan($place['Without'][0], $place['Far'][0]);
        self::assertSame([true, true, true], [$place['Today'][1] < 25, $place['Late'][1] < 50, $place['Far'][1] > 75]);
    }

    #[Test]
    public function a_mark_moves_by_itself_as_its_date_comes_near(): void
    {
        $this->task('Proofs', 30, dueOn: '2026-03-20');
        $left = fn (): float => preg_match('/data-mark="\d+".*?left:([\d.]+)%/s', (string) $this->get('/weigh')->getContent(), $part) === 1 ? (float) $part[1] : -1.0;
        $before = $left();
        $this->at('2026-03-18 09:00');

        self::assertGreaterThan($left(), $before);
    }

    #[Test]
    public function a_crowd_can_be_looked_at_closely(): void
    {
        for ($i = 0; $i < 60; $i++) {
            $this->task("Crowd {$i}", 30, dueOn: '2026-03-19');
        }
        $bare = fn (string $address): int => substr_count((string) $this->get($address)->assertOk()->getContent(), 'mark-bare');

        self::assertGreaterThan(40, $bare('/weigh'));
        self::assertLessThanOrEqual($bare('/weigh'), $bare('/weigh?zoom=fortnight'));
        $this->get('/weigh?zoom=elsewhere')->assertOk();
    }

    #[Test]
    public function the_list_groups_by_answer_date_project_and_area(): void
    {
        $this->task('Essay', 700, Importance::Vital, dueOn: '2026-03-12');
        $this->task('Flyers', 15, Importance::Low);

        $this->get('/weigh/list?group=answer')->assertSeeInOrder(['Do now', 'Essay', 'Let go', 'Flyers']);
        $this->get('/weigh/list?group=due')->assertSeeInOrder(['2026-03-12', 'Essay', 'No date', 'Flyers']);
        foreach (['project', 'area', 'none', 'nonsense'] as $group) {
            $this->get("/weigh/list?group={$group}")->assertOk()->assertSee('Essay');
        }
    }

    #[Test]
    public function several_tasks_are_changed_at_once(): void
    {
        $one = $this->task('One');
        $two = $this->task('Two');
        $theirs = $this->task('Theirs', of: $this->person('wim@example.org'));
        $this->post('/tasks/many', ['ids' => [$one->id, $two->id, $theirs->id], 'importance' => '4', 'due_date' => '2026-03-20', 'project' => 'Tour', 'push' => '1', 'area_id' => ''])->assertSessionHas('status', '2 tasks changed.');

        foreach ([$one, $two] as $task) {
            self::assertSame(['vital', '2026-03-20', 1], [$task->refresh()->importance?->word(), $task->due_on, $task->push->value]);
        }
        self::assertSame('medium', $theirs->refresh()->importance?->word());
        $this->post('/plan/undo');
        self::assertSame(['medium', null], [$one->refresh()->importance?->word(), $one->due_on]);
        $this->post('/tasks/many', ['ids' => [$one->id], 'due_date' => '2026-02-31'])->assertSessionHasErrors('due_date');
    }

    private function unweighed(string $title): Task
    {
        $task = $this->task($title);
        $task->update(['importance' => null, 'estimate' => null, 'said' => null]);

        return $task;
    }

    private function finished(string $title, int $estimate, int $actual): void
    {
        $task = $this->task($title, $estimate);
        $task->update(['done_at' => Clock::now()->subDay()]);
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => Clock::now()->subDay()->subMinutes($actual), 'ends_at' => Clock::now()->subDay()]);
    }
}
