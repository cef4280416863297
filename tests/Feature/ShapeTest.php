<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Rows\WorkTimeLoader;
use App\Screens\Frame\Ribbon;
use App\Time\Clock;
use App\Time\Moments;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

final class ShapeTest extends FeatureTestCase
{
    #[Test]
    public function the_sample_day_is_the_day_of_the_studies(): void
    {
        $this->demo();

        $this->get('/shape')->assertOk()
            ->assertSeeInOrder(['Wednesday 11 March', 'Invoices and replies', 'Designer check-in', 'Wall texts, room 3', 'Loans committee', 'Call the Porto lender', 'Lighting walk-through', 'Essay 2 corrections', 'Run, canal loop'])
            ->assertSeeInOrder(['Office hours', '8 h 30', 'lunch', '−45', 'meetings, 15 to get there', '−2 h 15', 'anchored', '−30', 'open', '5 h 00', 'margin, 20 %', '−1 h 00', 'load line', '4 h 00'])
            ->assertSeeInOrder(['Begun 5 min late', 'Due soon', 'Carried over', 'Best pull'])
            ->assertSee('10:20');
    }

    #[Test]
    public function the_sample_is_the_same_every_time_and_written_only_once(): void
    {
        $this->demo();
        $first = $this->plan(User::query()->where('email', DemoSeeder::EMAIL)->sole());
        $this->artisan('nekto:demo')->expectsOutputToContain('left as it is');
        User::query()->where('email', DemoSeeder::EMAIL)->sole()->delete();
        $this->demo();

        self::assertSame($first, $this->plan(User::query()->where('email', DemoSeeder::EMAIL)->sole()));
    }

    #[Test]
    #[DataProvider('moments')]
    public function the_sample_is_a_full_day_whenever_it_is_written(string $now): void
    {
        $this->at($now);
        $this->demo();
        $ines = User::query()->where('email', DemoSeeder::EMAIL)->sole();

        $this->get('/shape')->assertOk()->assertSee('Wall texts, room 3')->assertSee('Essay 2 corrections');
        self::assertGreaterThan(30, $ines->blocks()->count());
    }

    /** @return list<array{string}> */
    public static function moments(): array
    {
        return [['2026-03-11 07:00'], ['2026-03-14 15:00'], ['2026-12-31 23:30'], ['2026-03-28 23:59'], ['2026-10-25 09:00']];
    }

    #[Test]
    public function a_chosen_block_says_why_it_is_here_and_what_can_be_done(): void
    {
        $this->meeting('Committee', '2026-03-11 09:00', '2026-03-11 10:00');
        $this->task('Essay', dueOn: '2026-03-12');
        $this->post('/plan/lay-out');

        $this->get('/shape?block='.$this->ines->blocks()->value('id'))->assertOk()
            ->assertSee('due Thu 12 with 10 h 36 of room')->assertSee('The first open time left for it.')->assertSee('A meeting until 10:00 stood in the way.')
            ->assertSeeInOrder(['Done', 'Anchor', 'Part done', 'Move']);
    }

    #[Test]
    public function any_day_can_be_looked_at_and_no_other_address(): void
    {
        $this->get('/shape/2026-03-29')->assertOk()->assertSee('Sunday 29 March');
        $this->get('/shape/2026-03-10')->assertOk()->assertSee('Today');
        $this->get('/shape/2026-02-30')->assertNotFound();
        $this->get('/shape/9999-01-01')->assertNotFound();
        $this->get('/shape?block=4711')->assertOk();
    }

    #[Test]
    public function a_days_meetings_and_blocks_are_those_of_the_persons_own_day(): void
    {
        $this->ines->update(['zone' => 'Pacific/Auckland']);
        $this->meeting('Late call', '2026-03-11 12:00', '2026-03-11 13:00'); // 01:00 on Thursday in Auckland

        $this->get('/shape/2026-03-11')->assertDontSee('Late call</span>', false);
        $this->get('/shape/2026-03-12')->assertSee('Late call</span>', false)->assertSee('01:00–02:00');
    }

    #[Test]
    public function a_page_needs_as_many_queries_for_many_tasks_as_for_few(): void
    {
        $this->task('One');
        $this->post('/plan/lay-out');
        $this->task('In the bank')->update(['estimate' => null, 'said' => null]);
        $pages = ['/shape', '/gather', '/work', '/close', '/weigh', '/weigh/list', '/meetings', '/views/cannot-wait', '/projects', '/search?q=zzzz', '/settings', '/pulse'];
        $count = function () use ($pages): array {
            $this->artisan('nekto:minute'); // as in use: the worker has looked after the plan
            $this->actingAs($this->ines->refresh());

            return array_combine($pages, array_map($this->queries(...), $pages));
        };
        $few = $count();
        for ($i = 0; $i < 40; $i++) {
            $this->task("Task {$i}", minutes: 15);
        }
        $this->post('/plan/lay-out');

        self::assertSame($few, $count());
        self::assertLessThanOrEqual(15, max($few));
    }

    #[Test]
    public function the_ribbon_goes_from_the_first_to_the_last_open_minute(): void
    {
        $this->block($this->task('Quotes', minutes: 170), '2026-03-11 09:00', '2026-03-11 11:50');
        $time = (new WorkTimeLoader)->load($this->ines, Moments::today($this->ines, Clock::now()), 1);
        $ribbon = Ribbon::of($time, $this->ines->blocks()->with('task.area')->get(), Clock::now());

        self::assertSame(['09:00', '19:00', null], [$ribbon->from, $ribbon->to, $ribbon->nowAt]);
        self::assertSame([0.0, 283.33, 'in'], [$ribbon->pieces[0]->left, $ribbon->pieces[0]->width, $ribbon->pieces[0]->fits]);
    }

    #[Test]
    public function pages_carry_a_strict_policy_and_no_script_of_their_own(): void
    {
        $response = $this->get('/shape');
        $policy = (string) $response->headers->get('Content-Security-Policy');

        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringContainsString("default-src 'none'", $policy);
        self::assertDoesNotMatchRegularExpression('/script-src[^;]*unsafe/', $policy);
        self::assertDoesNotMatchRegularExpression('/<script(?![^>]*src=)|\son\w+=|javascript:/i', (string) $response->getContent());
    }

    private function demo(): void
    {
        if (Clock::now()->format('H:i') === '08:00') {
            $this->at('2026-03-11 10:20');
        }
        $this->artisan('nekto:demo')->assertSuccessful();
        $this->actingAs(User::query()->where('email', DemoSeeder::EMAIL)->sole());
    }

    private function queries(string $address): int
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->get($address)->assertOk();

        return count(DB::getQueryLog());
    }

    #[Test]
    public function a_task_is_typed_where_it_is_to_stand(): void
    {
        $this->post('/day-tasks', ['day' => '2026-03-11', 'title' => 'Phone Wim at 16:45', 'start' => '', 'minutes' => '15'])->assertSessionHasNoErrors();
        $this->post('/day-tasks', ['day' => '2026-03-12', 'title' => 'Read the contract', 'start' => '10:00', 'minutes' => '45']);
        self::assertSame(['Wed 16:45–17:00 Phone Wim!', 'Thu 10:00–10:45 Read the contract!'], $this->plan());

        foreach ([['title' => 'Phone'], ['title' => '', 'start' => '10:00'], ['title' => 'x', 'start' => '07:00'], ['title' => 'x', 'start' => '25:00'], ['title' => 'x', 'start' => '10:00', 'minutes' => '9999']] as $wrong) {
            $this->post('/day-tasks', ['day' => '2026-03-11'] + $wrong)->assertSessionHasErrors();
        }
        self::assertSame(2, $this->ines->tasks()->count());
    }
}
