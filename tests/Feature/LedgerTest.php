<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\By;
use App\Ledger\Promised;
use App\Ledger\SaidChances;
use App\Ledger\Spent;
use App\Models\BlockState;
use App\Models\Entry;
use App\Rows\Account;
use App\Rows\Desk;
use App\Rows\WorkTimeLoader;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Where time went: every sum is the sum of its entries, and planned is what was promised. */
final class LedgerTest extends FeatureTestCase
{
    /** @return array<string, array{string, int}> */
    public static function zones(): array
    {
        return ['Lisbon' => ['Europe/Lisbon', 1], 'half an hour of summer time' => ['Australia/Lord_Howe', 7], 'behind' => ['America/New_York', 1], 'no summer time' => ['Asia/Kathmandu', 6]];
    }

    /** Two years of entries, also over midnight, reckoned again one by one with PHP's own calendar. */
    #[Test]
    #[DataProvider('zones')]
    public function sums_are_those_of_a_naive_computation_over_two_years(string $zone, int $weekStarts): void
    {
        $this->ines->update(['zone' => $zone, 'week_starts' => $weekStarts]);
        $chance = new Randomizer(new Mt19937(crc32($zone)));
        $tasks = $this->kinds();
        $entries = [];
        $at = CarbonImmutable::parse('2024-03-01 00:00', 'UTC');
        while ($at < Clock::now()->subDay()) {
            $at = $at->addMinutes($chance->getInt(20, 1500));
            $minutes = $chance->getInt(1, 200);
            $entries[] = ['user_id' => $this->ines->id, 'task_id' => $tasks[$chance->getInt(0, count($tasks) - 1)]['id'] ?: null, 'break' => (int) ($chance->getInt(1, 12) === 1), 'starts_at' => $at->toDateTimeString(), 'ends_at' => $at->addMinutes($minutes)->toDateTimeString()];
            $at = $at->addMinutes($minutes);
        }
        foreach (array_chunk($entries, 200) as $some) {
            DB::table('entries')->insert($some);
        }
        $of = array_column($tasks, null, 'id');
        $spent = new Spent($this->ines, Clock::now());
        foreach (['2025-03-30..2025-03-30', '2025-10-26..2025-10-26', '2025-10-05..2025-10-05', '2024-12-30..2025-01-05', '2025-03-24..2025-04-06', '2024-10-01..2024-12-31', '2024-03-01..2026-03-11'] as $said) {
            [$first, $last] = explode('..', $said);
            $naive = $whole = [];
            foreach ($entries as $entry) {
                $day = (new \DateTimeImmutable($entry['starts_at'], new \DateTimeZone('UTC')))->setTimezone(new \DateTimeZone($zone))->format('Y-m-d');
                if (! $entry['break'] && $entry['task_id'] !== null && $day >= $first && $day <= $last) {
                    $minutes = (int) ((strtotime($entry['ends_at'].' UTC') - strtotime($entry['starts_at'].' UTC')) / 60);
                    foreach (['area', 'context', 'demand'] as $by) {
                        $naive[$by][$of[$entry['task_id']][$by]] = ($naive[$by][$of[$entry['task_id']][$by]] ?? 0) + $minutes;
                    }
                    $whole[] = $minutes;
                }
            }
            $period = new Period(LocalDay::fromString($first), LocalDay::fromString($last));
            foreach (By::cases() as $by) {
                $found = [];
                foreach ($spent->by($by, $period) as $row) {
                    $key = $row['group'].($by === By::Area ? "/{$row['part']}" : '');
                    $found[$key] = $row['minutes'];
                }
                ksort($found);
                $expected = $naive[$by->value] ?? [];
                ksort($expected);
                self::assertSame($expected, $found, "{$said} by {$by->value}");
            }
            $parts = $spent->parts($period->parts($weekStarts));
            self::assertSame(array_sum($whole), array_sum(array_map(array_sum(...), $parts)), "{$said} in parts");
        }
    }

    #[Test]
    public function an_entry_over_midnight_counts_with_the_day_it_began_as_in_that_days_account(): void
    {
        $task = $this->task('Night shift');
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc('2026-03-09 23:30'), 'ends_at' => $this->utc('2026-03-10 00:45')]);

        self::assertSame([75, 0], array_map(fn (string $day): int => array_sum(array_column((new Spent($this->ines, Clock::now()))->by(By::Area, $this->day($day)), 'minutes')), ['2026-03-09', '2026-03-10']));
        $this->get('/close/2026-03-09')->assertSee('1 h 15');
        $this->get('/ledger?from=2026-03-09&until=2026-03-09')->assertSee('1 h 15');
    }

    /** Closed, taken, and taken by nobody: planned is what Close calls promised. */
    #[Test]
    public function planned_is_what_was_promised_whatever_became_of_the_day(): void
    {
        [$a, $b, $c] = [$this->task('A', 90), $this->task('B', 45), $this->task('C', 60)];
        $line = static fn ($task, int $minutes): array => ['task' => $task->id, 'title' => $task->title, 'minutes' => $minutes, 'times' => [], 'key' => false, 'due' => false];
        $this->ines->promises()->create(['date' => '2026-03-02', 'taken_at' => $this->utc('2026-03-02 09:00'), 'how' => 'hours', 'tasks' => [$line($a, 90), $line($b, 45)]]);
        $this->at('2026-03-02 18:00');
        $this->post('/close', ['date' => '2026-03-02', 'close' => 1]);
        $this->at('2026-03-11 08:00');
        $this->ines->promises()->create(['date' => '2026-03-03', 'taken_at' => $this->utc('2026-03-03 09:00'), 'how' => 'hours', 'tasks' => [$line($b, 30)]]);
        $this->block($c, '2026-03-04 09:00', '2026-03-04 10:00')->update(['state' => BlockState::Passed]);
        $this->block($c, '2026-03-04 11:00', '2026-03-04 12:00')->update(['state' => BlockState::Passed]);
        $this->block($a, '2026-03-04 14:00', '2026-03-04 14:30')->update(['state' => BlockState::Part]);
        $b->forceDelete();

        $desk = $this->desk();
        foreach (['2026-03-02', '2026-03-03', '2026-03-04', '2026-03-05'] as $day) {
            $planned = array_sum(array_column((new Promised($desk))->of($this->ines, $this->day($day)), 'minutes'));
            $account = Account::of($desk, LocalDay::fromString($day), $this->ines->entries()->whereKey(0)->get()->toBase(), Clock::now());
            self::assertSame($account->promised(), $planned, $day);
        }
        self::assertSame([135, 30, 90, 0], array_map(fn (string $day): int => array_sum(array_column((new Promised($desk))->of($this->ines, $this->day($day)), 'minutes')), ['2026-03-02', '2026-03-03', '2026-03-04', '2026-03-05']));
    }

    #[Test]
    public function behind_each_figure_stand_its_entries(): void
    {
        $this->kinds();
        $this->worked('Wall texts', '2026-03-03 09:00', 95);
        $this->worked('Wall texts', '2026-03-04 09:00', 30);
        $this->worked('Invoices', '2026-03-04 10:00', 20);
        $page = (string) $this->get('/ledger?from=2026-03-02&until=2026-03-08')->assertOk()->getContent();
        preg_match_all('~href="(/ledger/entries[^"]+)">([^<]+)</a></b>~', $page, $links, PREG_SET_ORDER);
        self::assertNotSame([], $links);
        foreach ($links as [, $address, $figure]) {
            $this->get(html_entity_decode($address))->assertOk()->assertSee('Worked: '.(str_contains($figure, 'h') ? $figure : "{$figure} min"));
        }
        $this->get('/ledger/entries?from=2026-03-02&until=2026-03-08&row=99')->assertOk()->assertSee('Worked: 0 min');
        $this->get('/ledger/entries?row=%27or%201&by=nothing&period=never')->assertOk();
    }

    #[Test]
    public function the_table_goes_out_as_csv_and_no_name_becomes_a_formula(): void
    {
        $area = $this->ines->areas()->firstOrFail();
        $area->update(['name' => '=SUM("a",1)']);
        $task = $this->task('Wall texts');
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc('2026-03-09 09:00'), 'ends_at' => $this->utc('2026-03-09 10:35')]);

        $csv = (string) $this->get('/ledger/csv?period=week')->assertOk()->assertHeader('Content-Type', 'text/csv; charset=UTF-8')->getContent();
        self::assertStringContainsString("\"'=SUM(\"\"a\"\",1)\",no project,0,95,95,0,2026-03-09,2026-03-15\r\n", $csv);
        self::assertStringContainsString("Own work,all,0,95,95,0,2026-03-09,2026-03-15\r\n", $csv);
    }

    /** Monday: 8 h 30 less lunch is 7 h 45; an hour of work, half an hour of a meeting in it and half an hour after. */
    #[Test]
    public function hours_are_accounted_and_what_lies_between(): void
    {
        $this->worked('Wall texts', '2026-03-09 09:00', 60);
        $this->meeting('Committee', '2026-03-09 09:30', '2026-03-09 10:30');
        $this->meeting('Not over yet', '2026-03-11 07:30', '2026-03-11 09:00');
        $this->ines->hoursSets()->where('name', '!=', 'Office hours')->update(['week' => '{}']);

        $this->get('/ledger?from=2026-03-09&until=2026-03-09')->assertSee('Hours 7 h 45 = 1 h 30 accounted + 6 h 15 between things');
        $this->get('/ledger?period=week')->assertOk()->assertSee('1 h 00')->assertDontSee('Not over yet');
    }

    #[Test]
    public function behind_meetings_stand_those_that_were_held(): void
    {
        $this->meeting('Committee', '2026-03-09 09:30', '2026-03-09 10:30');
        $this->meeting('Not over yet', '2026-03-11 07:30', '2026-03-11 09:00');
        $calendar = $this->ines->occurrences()->firstOrFail()->meeting->calendar_id;

        $this->get('/ledger?period=week')->assertSee("row=meetings%2F{$calendar}", false);
        foreach (['meetings', "meetings/{$calendar}"] as $row) {
            $this->get('/ledger/entries?'.http_build_query(['period' => 'week', 'row' => $row]))->assertSee('Meetings: 1 h 00')->assertSee('Committee')->assertDontSee('Not over yet');
        }
        $this->get('/ledger/entries?period=week&row=meetings/999')->assertSee('Meetings: 0 min');
    }

    #[Test]
    public function chances_are_noted_once_seven_days_before_and_judged_when_the_date_has_come(): void
    {
        $this->history();
        $soon = $this->task('Soon', 60, dueOn: '2026-03-16');
        $far = $this->task('Far', 60, dueOn: '2026-03-27');
        $moved = $this->task('Moved', 60, dueOn: '2026-03-13');
        $this->post('/plan/lay-out', ['day' => '2026-03-11']);
        $this->artisan('nekto:minute');
        $this->artisan('nekto:minute');
        self::assertSame([$soon->id, $moved->id], DB::table('said_chances')->orderBy('task_id')->pluck('task_id')->map(intval(...))->all(), 'each once, and nothing of what is further off');
        self::assertSame(0, DB::table('said_chances')->where('task_id', $far->id)->count());

        $soon->update(['done_at' => $this->utc('2026-03-16 10:00')]);
        $moved->update(['due_on' => '2026-03-30']);
        $this->at('2026-03-18 08:00');
        $groups = SaidChances::kept($this->ines, new Spent($this->ines, Clock::now()), Period::weeksBefore(LocalDay::fromString('2026-03-23'), 2), Clock::now());
        self::assertSame([[1, 1]], array_map(static fn ($one): array => [$one->kept, $one->all], $groups), 'what was moved is no statement any more');
    }

    #[Test]
    public function odd_periods_and_an_empty_account_show_a_page(): void
    {
        foreach (['', '?period=week', '?period=quarter', '?period=cycle', '?by=context', '?by=demand', '?from=2026-03-09&until=2026-03-01', '?from=monday', '?from=2026-02-31', '?from=1999-01-01&until=2026-01-01', '?from=2020-01-01&until=2026-01-01', '?from=9999-12-31', '?until='.str_repeat('9', 500)] as $query) {
            $this->get("/ledger{$query}")->assertOk();
            $this->get("/ledger/entries{$query}")->assertOk();
            $this->get("/ledger/csv{$query}")->assertOk();
        }
    }

    /** Nine in the evening in Los Angeles is the next day in UTC, eight in the morning in Auckland the day before. */
    #[Test]
    public function a_day_that_was_taken_and_not_closed_ends_with_the_persons_day(): void
    {
        foreach (['America/Los_Angeles' => ['2026-03-10 21:00', '2026-03-10 09:00'], 'Pacific/Auckland' => ['2026-03-10 08:00', '2026-03-11 08:00']] as $zone => [$in, $out]) {
            $this->ines->update(['zone' => $zone]);
            $this->ines->promises()->delete();
            foreach ([$in, $out] as $i => $at) {
                $task = $this->task("Key {$i}");
                $task->update(['done_at' => CarbonImmutable::parse($at, $zone)->utc()]);
                $keys[$i] = ['task' => $task->id, 'title' => $task->title, 'minutes' => 30, 'times' => [], 'key' => true, 'due' => false];
            }
            $this->ines->promises()->create(['date' => '2026-03-10', 'taken_at' => $this->utc('2026-03-09 20:00'), 'how' => 'hours', 'tasks' => $keys]);
            $kept = $out > '2026-03-11' ? '1 of 2' : '2 of 2';

            $this->get('/ledger?period=week')->assertSee("{$kept} key tasks kept");
        }
    }

    #[Test]
    public function what_went_well_is_counted_over_the_whole_period_and_no_day_beside(): void
    {
        $habit = $this->ines->habits()->create(['title' => 'Run', 'area_id' => $this->ines->areas()->firstOrFail()->id, 'minutes' => 30, 'times' => 3, 'from' => '2026-01-01']);
        foreach (['2026-01-05' => '2026-01-06', '2026-03-02' => '2026-03-03', '2026-03-09' => '2026-03-10'] as $week => $day) {
            $this->task("Run of {$week}")->update(['habit_id' => $habit->id, 'occurs_on' => $week, 'done_at' => $this->utc("{$day} 18:00")]);
        }

        $this->get('/ledger?period=quarter')->assertSee('Run 3 times.');
        $this->get('/ledger?from=2026-03-10&until=2026-03-10')->assertSee('Run once.');
        $this->get('/ledger?from=2026-03-11&until=2026-03-11')->assertDontSee('Run once');
    }

    #[Test]
    public function a_step_whose_task_was_let_go_in_its_week_is_in_no_count(): void
    {
        $goal = $this->ines->cycles()->create(['begins_on' => '2026-03-02', 'weeks' => 12])->goals()->make(['name' => 'Book', 'unit' => '', 'target' => 5, 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $goal->forceFill(['user_id' => $this->ines->id])->save();
        foreach (['Read', 'Set', 'Gone'] as $title) {
            $goal->steps()->create(['user_id' => $this->ines->id, 'task_id' => $this->task($title)->id, 'week_on' => '2026-03-02']);
        }
        $this->ines->tasks()->where('title', 'Read')->update(['done_at' => $this->utc('2026-03-04 10:00')]);
        $this->ines->tasks()->where('title', 'Gone')->firstOrFail()->delete();

        $this->get('/ledger?period=last')->assertSee('1 of 2');
        $this->get('/goals')->assertSee('1 of 2');
    }

    #[Test]
    public function what_went_well_is_a_line_that_can_be_turned_off(): void
    {
        $this->ines->promises()->create(['date' => '2026-03-10', 'taken_at' => $this->utc('2026-03-10 09:00'), 'how' => 'hours', 'tasks' => []]);
        $this->ines->closedDays()->create(['date' => '2026-03-10', 'slips' => [], 'closed_at' => $this->utc('2026-03-10 17:00'), 'account' => ['rows' => []]]);
        $this->get('/ledger?period=week')->assertSee('1 of 1 days closed.');
        $this->put('/settings', ['encourages' => 0])->assertSessionHasNoErrors();
        $this->get('/ledger?period=week')->assertDontSee('days closed.');
    }

    private function desk(): Desk
    {
        return new Desk(fn () => $this->ines->refresh(), Clock::now(), app(WorkTimeLoader::class));
    }

    private function day(string $day): Period
    {
        return new Period(LocalDay::fromString($day), LocalDay::fromString($day));
    }

    private function worked(string $title, string $from, int $minutes): Entry
    {
        $task = $this->ines->tasks()->where('title', $title)->first() ?? $this->task($title);

        return $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc($from), 'ends_at' => $this->utc($from)->addMinutes($minutes)]);
    }

    /** Enough done tasks for chances to be said. */
    private function history(): void
    {
        for ($i = 1; $i <= 6; $i++) {
            $this->worked("Past {$i}", "2026-02-0{$i} 09:00", 50 + 5 * $i);
            $this->ines->tasks()->where('title', "Past {$i}")->update(['done_at' => $this->utc("2026-02-0{$i} 11:00")->toDateTimeString()]);
        }
    }

    /** @return list<array{id: int, area: string, context: string, demand: string}> tasks, one of them let go, and none; with what they are summed under */
    private function kinds(): array
    {
        $areas = $this->ines->areas()->get()->all();
        $second = $areas[1] ?? $this->ines->areas()->create(['name' => 'Second', 'hue' => 'ochre', 'hours_set_id' => $areas[0]->hours_set_id]);
        $project = $this->ines->projects()->create(['name' => 'Catalogue', 'area_id' => $second->id]);
        [$phone, $desk] = [$this->ines->contexts()->create(['name' => 'phone', 'position' => 0]), $this->ines->contexts()->create(['name' => 'desk', 'position' => 1])];
        $rows = [['id' => 0, 'area' => '/', 'context' => '', 'demand' => '']];
        foreach ([['Wall texts', $areas[0], null, [], true], ['Invoices', $areas[0], null, [$desk, $phone], false], ['Essay', $second, $project, [$desk], true], ['Gone', $second, $project, [], false]] as [$title, $area, $of, $contexts, $deep]) {
            $task = $this->task($title, deep: $deep);
            $task->update(['area_id' => $area->id, 'project_id' => $of?->id]);
            $task->contexts()->sync(array_map(static fn ($one): int => $one->id, $contexts));
            $title === 'Gone' && $task->delete();
            $rows[] = ['id' => $task->id, 'area' => "{$area->id}/".($of->id ?? ''), 'context' => (string) (in_array($phone, $contexts, true) ? $phone->id : ($contexts[0]->id ?? '')), 'demand' => $deep ? 'deep' : 'light'];
        }

        return $rows;
    }
}
