<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** The at most three picks that make the day a success. */
final class KeyTaskTest extends FeatureTestCase
{
    #[Test]
    public function a_block_is_marked_and_unmarked_from_the_sheet_and_the_mark_picks_it(): void
    {
        $task = $this->task('Wall texts', 90);
        $block = $this->block($task, '2026-03-11 09:00', '2026-03-11 10:30');
        $this->get('/shape')->assertSee('1 block, 0 meetings')->assertDontSee('key-word');

        $this->mark($task->id)->assertSessionHasNoErrors();
        self::assertSame(['2026-03-11', true], [$task->refresh()->picked_on, $task->key]);
        $this->get("/shape?block={$block->id}")->assertSee('1 pick, 1 key, 0 meetings')->assertSee('key-word')->assertSee(', key task')->assertSee('Not key');

        $this->mark($task->id, key: 0);
        self::assertSame(['2026-03-11', false], [$task->refresh()->picked_on, $task->key], 'it stays picked');
        $this->post('/plan/undo');
        self::assertTrue($task->refresh()->key);
        $this->post('/plan/undo');
        self::assertSame([null, false], [$task->refresh()->picked_on, $task->key]);
    }

    #[Test]
    public function a_fourth_key_task_is_refused_with_the_three_named(): void
    {
        $tasks = array_map(fn (string $title) => $this->task($title), ['Texts', 'Proofs', 'Quotes', 'Freight']);
        foreach ($tasks as $i => $task) {
            $this->block($task, sprintf('2026-03-11 %02d:00', 9 + $i), sprintf('2026-03-11 %02d:00', 10 + $i));
        }
        foreach (array_slice($tasks, 0, 3) as $task) {
            $this->mark($task->id)->assertSessionHasNoErrors();
        }
        $this->mark($tasks[3]->id)->assertSessionHasErrors(['start' => 'The day has its key tasks: “Texts”, “Proofs”, “Quotes”. Take the mark from one of them first.']);
        self::assertFalse($tasks[3]->refresh()->key);
        $this->mark($tasks[0]->id)->assertSessionHasNoErrors();

        $this->mark($tasks[3]->id, '2026-03-12')->assertSessionHasNoErrors();
        self::assertSame('2026-03-12', $tasks[3]->refresh()->picked_on, 'another day has its own three');
        $this->mark($tasks[3]->id, '2026-03-10')->assertSessionHasErrors('start');
        $this->mark($tasks[3]->id, 'soon')->assertSessionHasErrors('day');
    }

    #[Test]
    public function one_left_over_counts_among_the_three_of_today(): void
    {
        foreach (['Texts', 'Proofs', 'Quotes'] as $title) {
            $this->task($title)->update(['picked_on' => '2026-03-10', 'key' => true]);
        }
        $fourth = $this->task('Freight');
        $this->mark($fourth->id)->assertSessionHasErrors('start');
        $this->ines->update(['carry_picks' => false]);
        $this->actingAs($this->ines->refresh());
        $this->mark($fourth->id)->assertSessionHasNoErrors();
    }

    #[Test]
    public function the_key_task_of_another_day_is_none_of_today_on_any_screen(): void
    {
        $task = $this->task('Texts');
        $this->block($task, '2026-03-11 09:00', '2026-03-11 10:00', anchored: true);
        $task->update(['picked_on' => '2026-03-12', 'key' => true]);
        $screens = ['/shape' => 'key-word', '/shape/2026-03-11/list' => '· key task', '/work' => '· key task'];
        foreach ($screens as $address => $mark) {
            $this->get($address)->assertSee('Texts')->assertDontSee($mark);
        }
        $task->update(['picked_on' => '2026-03-11']);
        foreach ($screens as $address => $mark) {
            $this->get($address)->assertSee($mark);
        }
    }

    #[Test]
    public function who_is_picked_no_more_is_no_key_task_either(): void
    {
        $task = $this->task('Texts');
        $this->mark($task->id);
        $this->patch("/tasks/{$task->id}", ['picked_on' => '', 'key' => 1])->assertSessionHasNoErrors();

        self::assertSame([null, false], [$task->refresh()->picked_on, $task->key]);
    }

    #[Test]
    public function the_account_says_what_became_of_each_with_or_without_a_time(): void
    {
        foreach (['Texts' => '2026-03-11 15:00', 'Proofs' => null, 'Quotes' => '2026-03-12 09:00'] as $title => $done) {
            $this->task($title)->update(['picked_on' => '2026-03-11', 'key' => true, 'said' => null, 'done_at' => $done]);
        }
        $this->task('Not key')->update(['picked_on' => '2026-03-11', 'done_at' => Clock::now()]);
        $this->at('2026-03-11 17:00');
        $this->get('/close')->assertSeeInOrder(['Kept', 'Texts', 'key', 'Still to come', 'Proofs', 'key', 'Quotes', 'key', '1 of 3 key tasks kept']);
        $this->at('2026-03-12 10:00');
        $this->get('/close/2026-03-11')->assertSeeInOrder(['Kept', 'Texts', 'key', 'Moved away', 'Proofs', 'key', 'Quotes', 'key', '1 of 3 key tasks kept']);
        $this->get('/close')->assertSeeInOrder(['Still to come', 'Proofs', 'key', '0 of 1 key task kept'])->assertDontSee('Texts');
    }

    /** @return \Illuminate\Testing\TestResponse<\Illuminate\Http\RedirectResponse> */
    private function mark(int $task, string $day = '2026-03-11', int $key = 1): \Illuminate\Testing\TestResponse
    {
        return $this->post("/tasks/{$task}/key", ['day' => $day, 'key' => $key]);
    }
}
