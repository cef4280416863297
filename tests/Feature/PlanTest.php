<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Block;
use App\Models\BlockState;
use App\Time\Clock;
use Illuminate\Testing\TestResponse;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

final class PlanTest extends FeatureTestCase
{
    #[Test]
    public function laying_out_goes_around_meetings_lunch_and_the_margin(): void
    {
        $this->meeting('Committee', '2026-03-11 09:30', '2026-03-11 11:00');
        $this->task('Essay', minutes: 480, importance: Importance::Vital);

        $this->post('/plan/lay-out')->assertSessionHas('undo', true);

        // 510 − 45 lunch − 90 meeting = 375 open, less a fifth = 300 on Wednesday
        self::assertSame([
            'Wed 09:00–09:30 Essay', 'Wed 11:00–12:30 Essay', 'Wed 13:15–15:15 Essay', 'Wed 15:20–16:20 Essay',
            'Thu 09:00–11:00 Essay', 'Thu 11:05–12:05 Essay',
        ], $this->plan());
    }

    #[Test]
    public function deep_work_keeps_its_daily_limit(): void
    {
        $this->ines->update(['deep_limit' => 60]);
        $this->task('Essay', minutes: 90, deep: true);

        $this->post('/plan/lay-out');

        self::assertSame(['Wed 09:00–10:00 Essay', 'Thu 09:00–09:30 Essay'], $this->plan());
    }

    #[Test]
    public function unweighed_and_unestimated_tasks_are_not_laid_out(): void
    {
        $this->task('Mount')->update(['importance' => null]);
        $this->task('Bench')->update(['estimate' => null, 'said' => null]);

        $this->post('/plan/lay-out')->assertSessionHas('status', 'There is nothing to lay out yet: weigh a task and give it an estimate.');
        self::assertSame([], $this->plan());
    }

    #[Test]
    public function a_block_moved_by_hand_is_anchored_and_the_others_make_way(): void
    {
        $quotes = $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Essay'), '2026-03-11 10:00', '2026-03-11 11:00');

        $this->move($quotes, '10:00')->assertSessionHas('undo', true)->assertSessionHas('status', fn (string $said): bool => str_contains($said, 'Essay moved from 10:00 to 09:00: Quotes took its place.'));

        self::assertSame(['Wed 09:00–10:00 Essay', 'Wed 10:00–11:00 Quotes!'], $this->plan());
    }

    #[Test]
    public function a_longer_block_makes_its_task_longer_and_a_shorter_one_leaves_a_rest(): void
    {
        $quotes = $this->block($this->task('Quotes', minutes: 60), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->move($quotes, '09:00', 90);
        self::assertSame(90, $quotes->task->refresh()->minutesLeft(Clock::now()));
        $this->move($quotes->refresh(), '09:00', 30);

        self::assertSame(['Wed 09:00–09:30 Quotes!', 'Wed 09:35–10:35 Quotes'], $this->plan());
    }

    #[Test]
    #[DataProvider('impossibleMoves')]
    public function impossible_moves_are_refused_in_plain_words(string $day, string $start, string $minutes, string $said): void
    {
        $this->at('2026-03-11 09:20');
        $this->block($this->task('Porto'), '2026-03-11 14:00', '2026-03-11 15:00', anchored: true);
        $quotes = $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00');
        $before = $this->plan();

        $this->followingRedirects()->from('/shape')->patch("/blocks/{$quotes->id}", ['day' => $day, 'start' => $start, 'minutes' => $minutes])->assertSee($said);

        self::assertSame($before, $this->plan());
    }

    /** @return list<array{string, string, string, string}> */
    public static function impossibleMoves(): array
    {
        return [
            ['2026-03-11', '09:00', '60', 'That time has passed'], ['2026-03-11', '14:30', '60', 'Porto is fixed there, 14:00–15:00'],
            ['2028-03-11', '14:30', '60', 'more than a year away'], ['2026-03-11', '25:30', '60', 'No clock shows that time'],
            ['2026-02-31', '10:30', '60', 'There is no such date'], ['2026-03-11', '10:30', '0', 'A block is 5 minutes to 12 hours long'],
            ['2026-03-11', '10:30', '-5', 'A block is 5 minutes to 12 hours long'], ['2026-03-11', '10:30', 'x', 'A block is 5 minutes to 12 hours long'],
        ];
    }

    #[Test]
    public function a_released_block_may_move_again(): void
    {
        $quotes = $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00', anchored: true);

        $this->post("/blocks/{$quotes->id}/release", ['mark' => $quotes->mark()]);
        self::assertSame(['Wed 10:00–11:00 Quotes'], $this->plan());
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–10:00 Quotes'], $this->plan());
    }

    #[Test]
    public function a_block_can_be_anchored_where_it_lies(): void
    {
        $quotes = $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00');

        $this->post("/blocks/{$quotes->id}/anchor", ['mark' => $quotes->mark()]);
        $this->post('/plan/lay-out');

        self::assertSame(['Wed 10:00–11:00 Quotes!'], $this->plan());
    }

    #[Test]
    public function done_closes_the_task_and_frees_the_time_it_still_had(): void
    {
        $task = $this->task('Essay', minutes: 120);
        $first = $this->block($task, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($task, '2026-03-12 09:00', '2026-03-12 10:00');
        $this->at('2026-03-11 09:40');

        $this->post("/blocks/{$first->id}/done", ['mark' => $first->mark()]);

        self::assertSame(['Wed 09:00–09:40 Essay (done)'], $this->plan());
        self::assertNotNull($task->refresh()->done_at);
        self::assertSame([['09:00', '09:40']], $this->ines->entries()->get()->map(static fn ($one): array => [$one->starts_at->format('H:i'), $one->ends_at?->format('H:i')])->all());
    }

    #[Test]
    public function part_done_places_what_is_left(): void
    {
        $task = $this->task('Essay', minutes: 120);
        $first = $this->block($task, '2026-03-11 09:00', '2026-03-11 11:00');
        $this->at('2026-03-11 10:30');

        $this->post("/blocks/{$first->id}/part", ['mark' => $first->mark(), 'left' => '45 min']);

        self::assertSame(['Wed 09:00–10:30 Essay (part)', 'Wed 10:30–11:15 Essay'], $this->plan());
        self::assertSame([45, 0], [$task->refresh()->minutesLeft(Clock::now()), $task->carried]);
        $this->from('/shape')->post('/blocks/'.$this->ines->blocks()->where('state', BlockState::Planned)->value('id').'/part', ['left' => '-5'])->assertSessionHasErrors('left');
    }

    #[Test]
    public function a_task_of_the_bank_gets_the_time_it_is_dropped_at_or_the_first_free_one(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $quotes = $this->task('Quotes', minutes: 30);
        $porto = $this->task('Porto', minutes: 30);

        $this->post("/tasks/{$quotes->id}/place", ['day' => '2026-03-11']);
        $this->post("/tasks/{$porto->id}/place", ['day' => '2026-03-11', 'start' => '15:07']);

        self::assertSame(['Wed 09:00–10:00 Essay', 'Wed 10:00–10:30 Quotes!', 'Wed 15:05–15:35 Porto!'], $this->plan());
    }

    #[Test]
    public function a_task_for_which_a_day_has_no_stretch_is_picked_and_says_so(): void
    {
        $this->meeting('All of it', '2026-03-11 09:00', '2026-03-11 17:30');
        $quotes = $this->task('Quotes', minutes: 30);

        $this->followingRedirects()->from('/shape')->post("/tasks/{$quotes->id}/place", ['day' => '2026-03-11'])
            ->assertSee('no free stretch of it is long enough.')->assertSee('30 min over the load line');

        self::assertSame('2026-03-11', $quotes->refresh()->picked_on);
        self::assertSame(['Thu 09:00–09:30 Quotes'], $this->plan());
    }

    #[Test]
    public function a_change_from_another_window_is_noticed_and_nothing_is_taken(): void
    {
        $quotes = $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        $seen = $quotes->mark();
        $this->move($quotes, '11:00');

        $this->followingRedirects()->from('/shape')->patch("/blocks/{$quotes->id}", ['day' => '2026-03-11', 'start' => '14:00', 'minutes' => 60, 'mark' => $seen])
            ->assertSee('Another window changed “Quotes” meanwhile: it now lies 11:00–12:00', false);
        $this->from('/shape')->post("/blocks/{$quotes->id}/done", ['mark' => $seen])->assertSessionHasErrors('start');

        self::assertSame(['Wed 11:00–12:00 Quotes!'], $this->plan());
    }

    #[Test]
    public function a_block_that_the_plan_replaced_meanwhile_is_said_to_be_gone(): void
    {
        $quotes = $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->post('/plan/lay-out'); // another window: it lies at 09:00 now, as a new block

        $this->followingRedirects()->from('/shape')->post("/blocks/{$quotes->id}/done", ['mark' => $quotes->mark()])
            ->assertOk()->assertSee('That block is gone');
        self::assertSame(['Wed 09:00–10:00 Quotes'], $this->plan());
    }

    #[Test]
    public function undo_brings_each_former_plan_back_exactly(): void
    {
        $task = $this->task('Essay', minutes: 120, importance: Importance::Vital);
        $this->task('Quotes', minutes: 30);
        $states = [$this->everything()];
        $this->post('/plan/lay-out');
        $states[] = $this->everything();
        $block = $task->blocks()->firstOrFail();
        $this->move($block, '14:00', 90);
        $states[] = $this->everything();
        $this->post("/blocks/{$block->id}/release");
        $states[] = $this->everything();
        $this->at('2026-03-11 09:10');
        $this->post('/blocks/'.$this->ines->blocks()->orderBy('starts_at')->value('id').'/done');
        $states[] = $this->everything();
        $this->patch("/tasks/{$task->id}", ['estimate' => '3 h']);

        foreach (array_reverse($states) as $i => $state) {
            $this->post('/plan/undo');
            self::assertSame($state, $this->everything(), "state {$i} from the end");
        }
        $this->post('/plan/undo')->assertSessionHas('status', 'There is nothing to undo.');
    }

    #[Test]
    public function if_anything_fails_the_former_plan_stays(): void
    {
        $this->task('Essay');
        $this->post('/plan/lay-out');
        $before = $this->everything();
        Block::creating(static fn () => throw new \RuntimeException('The disk is full.'));
        $quotes = $this->task('Quotes');

        $this->post("/tasks/{$quotes->id}/place", ['day' => '2026-03-11'])->assertServerError();

        $quotes->forceDelete();
        self::assertSame($before, $this->everything());
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function move(Block $block, string $start, int $minutes = 60): TestResponse
    {
        return $this->patch("/blocks/{$block->id}", ['day' => '2026-03-11', 'start' => $start, 'minutes' => $minutes, 'mark' => $block->mark()]);
    }

    /** @return array<string, mixed> every row that a plan consists of */
    private function everything(): array
    {
        return [
            'blocks' => \DB::table('blocks')->orderBy('id')->get()->toJson(),
            'entries' => \DB::table('entries')->orderBy('id')->get()->toJson(),
            'tasks' => \DB::table('tasks')->orderBy('id')->get(['id', 'said', 'estimate', 'carried', 'done_at', 'deleted_at'])->toJson(),
        ];
    }
}
