<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\HoursException;
use App\Models\HoursSet;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Sets of hours: drawn, by date, made and taken away; each change is said before it is made, and the plan follows. */
final class HoursTest extends FeatureTestCase
{
    private HoursSet $office;

    protected function setUp(): void
    {
        parent::setUp();
        $this->office = $this->ines->hoursSets()->firstOrFail();
    }

    #[Test]
    public function a_change_is_shown_with_what_it_does_and_made_only_when_it_is_taken(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 16:30', '2026-03-11 17:30');
        $sent = ['form' => "hours-{$this->office->id}", 'try' => '1', 'yield' => '1', 'week' => ['mon' => '9-17:30', 'tue' => '9-17:30', 'wed' => '9-16:00', 'thu' => '9-17:30', 'fri' => '9-17:30']];

        $this->put("/settings/hours/{$this->office->id}", $sent)->assertSessionHas('consequence');
        self::assertSame('17:30', $this->office->refresh()->week['wed'][0][1], 'nothing is changed yet');
        self::assertSame(['Wed 16:30–17:30 Quotes'], $this->plan());
        $consequence = session('consequence');
        self::assertSame('Wednesday to 16:00?', $consequence['title']);
        self::assertSame('Wed 11: open 7 h 45 becomes 6 h 15, load line 5 h 00 (Office hours).', $consequence['words'][0]);
        self::assertStringContainsString('Quotes moved', implode(' ', $consequence['words']));
        $this->get("/settings?set={$this->office->id}")->assertSee('Wednesday to 16:00?');

        $this->put("/settings/hours/{$this->office->id}", [...$sent, 'take' => '1', 'seen' => $consequence['seen']])->assertSessionHas('revision');
        self::assertSame('16:00', $this->office->refresh()->week['wed'][0][1]);
        self::assertStringEndsWith('Quotes', $this->plan()[0]);
        self::assertNotSame(['Wed 16:30–17:30 Quotes'], $this->plan());

        $this->post('/plan/undo');
        self::assertSame('17:30', $this->office->refresh()->week['wed'][0][1]);
        self::assertSame(['Wed 16:30–17:30 Quotes'], $this->plan());
    }

    #[Test]
    public function what_a_change_was_said_to_do_is_what_it_does(): void
    {
        $this->meeting('Committee', '2026-03-11 10:00', '2026-03-11 11:00');
        $this->meeting('Proofs', '2026-03-12 09:30', '2026-03-12 10:30');
        $this->block($this->task('Anchored'), '2026-03-12 14:00', '2026-03-12 15:00', anchored: true);
        foreach ([
            ["/settings/hours/{$this->office->id}", 'put', ['week' => ['wed' => '8-12, 13:30-18', 'thu' => '10-16']]], ['/settings', 'put', ['margin_percent' => '35']], ['/settings', 'put', ['lunch_from' => '12:00', 'lunch_to' => '13:30']],
            ['/settings', 'put', ['buffer_before' => '20']], ["/settings/hours/{$this->office->id}/dates", 'post', ['line' => 'tomorrow 9-13']], ['/routines', 'post', ['line' => 'mail every day 8:30 for 45 min']], ['/settings', 'put', ['sleep_from' => '22:00', 'sleep_to' => '9:00']],
        ] as [$address, $how, $values]) {
            $this->{$how}($address, [...$values, 'try' => '1'])->assertSessionHas('consequence');
            self::assertSame(1, preg_match('/^(\w+ \d+): .*(?:becomes (?<open>[^,]+), load line (?<line>[^(]+) \(|load line .* becomes (?<line2>[^;]+); (?<open2>.+) open)/', (string) session('consequence')['words'][0], $said), session('consequence')['words'][0]);
            $this->{$how}($address, $values)->assertSessionHasNoErrors();
            $page = (string) $this->get('/shape/2026-03-'.substr($said[1], -2))->getContent();
            self::assertStringContainsString('open '.trim(($said['open'] ?? '') ?: $said['open2']), $page, $address.json_encode($values));
            self::assertStringContainsString('of '.trim(($said['line'] ?? '') ?: $said['line2']), $page, $address.json_encode($values));
        }
    }

    #[Test]
    public function what_was_changed_once_more_is_shown_once_more(): void
    {
        $sent = ['form' => 'hours', 'try' => '1', 'week' => ['mon' => '9-12']];
        $this->put("/settings/hours/{$this->office->id}", $sent);
        $seen = session('consequence')['seen'];

        $this->put("/settings/hours/{$this->office->id}", [...$sent, 'week' => ['mon' => '9-13'], 'take' => '1', 'seen' => $seen])->assertSessionHas('consequence');
        self::assertSame('17:30', $this->office->refresh()->week['mon'][0][1]);
    }

    #[Test]
    public function another_set_gives_way_to_what_is_gained_or_stays_as_it_is(): void
    {
        $evenings = $this->ines->hoursSets()->where('name', 'Evenings')->firstOrFail();
        $week = array_fill_keys(['mon', 'tue', 'thu', 'fri'], '9-17:30') + ['wed' => '9-18:15'];

        $this->put("/settings/hours/{$this->office->id}", ['try' => '1', 'yield' => '1', 'week' => $week]);
        self::assertContains('Evenings gives way: Wednesday from 18:15.', session('consequence')['words']);
        $this->put("/settings/hours/{$this->office->id}", ['yield' => '0', 'week' => $week]);
        self::assertSame([['17:45', '19:00']], $evenings->refresh()->week['wed'], 'sets may overlap');

        $this->post('/plan/undo');
        $this->put("/settings/hours/{$this->office->id}", ['yield' => '1', 'week' => $week]);
        self::assertSame([['18:15', '19:00']], $evenings->refresh()->week['wed']);
        self::assertSame([['17:45', '19:00']], $evenings->week['thu']);
    }

    #[Test]
    public function work_is_never_laid_twice_where_sets_overlap(): void
    {
        $home = $this->ines->areas()->where('name', 'Home')->firstOrFail();
        $this->ines->hoursSets()->whereKey($home->hours_set_id)->firstOrFail()->update(['week' => ['wed' => [['09:00', '12:00']]]]);
        $this->task('Office', minutes: 120);
        $this->task('At home', minutes: 60)->update(['area_id' => $home->id]);
        $this->post('/plan/lay-out');

        $blocks = $this->ines->blocks()->orderBy('starts_at')->get();
        self::assertCount(2, $blocks);
        self::assertTrue($blocks[0]->ends_at <= $blocks[1]->starts_at);
    }

    #[Test]
    public function a_night_is_open_on_both_sides_of_midnight(): void
    {
        $this->put("/settings/hours/{$this->office->id}", ['week' => ['wed' => '22:00–02:00']])->assertSessionHasNoErrors();
        self::assertSame(['wed' => [['22:00', '24:00']], 'thu' => [['00:00', '02:00']]], $this->office->refresh()->week);
        $this->task('Night shift', minutes: 120);
        $this->post('/plan/lay-out');

        $block = $this->ines->blocks()->firstOrFail();
        self::assertGreaterThanOrEqual('22:00', $this->ines->local($block->starts_at)->format('H:i'));
    }

    #[Test]
    #[DataProvider('clockChanges')]
    public function hours_hold_by_the_wall_clock_when_the_clocks_change(string $day, int $minutes): void
    {
        $this->at("{$day} 00:05");
        $this->office->update(['week' => ['sun' => [['00:00', '06:00'], ['09:00', '12:00']]]]);
        $this->ines->update(['lunch_from' => null, 'lunch_to' => null]);

        $this->put("/settings/hours/{$this->office->id}", ['try' => '1', 'week' => ['sun' => '0-6']]);
        $now = $minutes + 180;
        self::assertStringContainsString('open '.sprintf('%d h %02d', intdiv($now, 60), $now % 60).' becomes '.sprintf('%d h %02d', intdiv($minutes, 60), $minutes % 60), session('consequence')['words'][0]);
    }

    /** @return list<array{string, int}> */
    public static function clockChanges(): array
    {
        return [['2026-03-29', 300], ['2026-10-25', 420], ['2026-03-22', 360]];
    }

    #[Test]
    public function a_set_is_made_renamed_and_taken_away_with_where_its_work_goes(): void
    {
        $this->post('/settings/hours', ['name' => 'Studio', 'like' => $this->office->id])->assertSessionHasNoErrors();
        $studio = $this->ines->hoursSets()->where('name', 'Studio')->firstOrFail();
        self::assertSame($this->office->week, $studio->week);
        $this->post('/settings/hours', ['name' => 'Studio'])->assertSessionHasErrors('name');
        $this->patch("/settings/hours/{$studio->id}", ['name' => 'Atelier'])->assertSessionHasNoErrors();

        $area = $this->ines->areas()->create(['name' => 'Painting', 'hue' => 'plum', 'hours_set_id' => $studio->id]);
        $task = $this->task('Frames');
        $task->update(['hours_set_id' => $studio->id]);
        $this->delete("/settings/hours/{$studio->id}")->assertSessionHasErrors('to');
        $this->delete("/settings/hours/{$studio->id}", ['to' => $this->office->id, 'try' => '1', 'form' => 'remove']);
        self::assertContains('Painting: from then on in Office hours.', session('consequence')['words']);
        self::assertContains('One task of its own goes to Office hours.', session('consequence')['words']);

        $this->delete("/settings/hours/{$studio->id}", ['to' => $this->office->id]);
        self::assertSame([$this->office->id, $this->office->id], [$area->refresh()->hours_set_id, $task->refresh()->hours_set_id]);
        self::assertFalse($this->ines->hoursSets()->where('name', 'Atelier')->exists());
        $this->post('/plan/undo');
        self::assertSame($studio->id, $area->refresh()->hours_set_id);
        self::assertTrue($this->ines->hoursSets()->where('name', 'Atelier')->exists());
    }

    #[Test]
    public function an_area_in_other_hours_is_planned_there_at_once_and_taken_back(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        $evenings = $this->ines->hoursSets()->where('name', 'Evenings')->firstOrFail();
        $area = $this->ines->areas()->firstOrFail();

        $this->patch("/settings/areas/{$area->id}", ['hours_set_id' => $evenings->id, 'try' => '1', 'form' => "area-{$area->id}"])->assertSessionHas('consequence');
        self::assertStringContainsString('Quotes moved from 09:00 to 17:45', implode(' ', session('consequence')['words']));
        $this->patch("/settings/areas/{$area->id}", ['hours_set_id' => $evenings->id])->assertSessionHas('revision');
        self::assertSame(['Wed 17:45–18:45 Quotes'], $this->plan());
        $this->post('/plan/undo');
        self::assertSame(['Wed 09:00–10:00 Quotes'], $this->plan());
    }

    #[Test]
    public function hours_that_cover_nothing_say_what_has_no_place(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->put("/settings/hours/{$this->office->id}", ['try' => '1', 'week' => ['mon' => '']]);
        self::assertSame('5 days closed?', session('consequence')['title']);
        self::assertStringContainsString('open 7 h 45 becomes 0 min, load line 0 min', session('consequence')['words'][0]);
        $this->put("/settings/hours/{$this->office->id}", ['week' => ['mon' => '']]);
        self::assertSame([], $this->plan());
        $this->get('/shape')->assertOk()->assertSee('Quotes');
        $this->post('/plan/undo');
        self::assertSame(['Wed 09:00–10:00 Quotes'], $this->plan());
    }

    #[Test]
    public function the_only_hours_stay(): void
    {
        $evenings = $this->ines->hoursSets()->where('name', 'Evenings')->firstOrFail();
        $this->delete("/settings/hours/{$evenings->id}", ['to' => $this->office->id]);
        $this->delete("/settings/hours/{$this->office->id}", ['to' => $this->office->id])->assertSessionHasErrors(['to' => 'These are the only hours. Work needs some: draw others first.']);
    }

    #[Test]
    public function a_date_is_closed_or_has_hours_of_its_own_and_the_plan_follows(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->dates('11 march closed Inventory')->assertSessionHasNoErrors();
        self::assertSame(['Thu 09:00–10:00 Quotes'], $this->plan());
        $this->get("/settings?set={$this->office->id}")->assertSee('Wed 11 Mar')->assertSee('Inventory');

        $this->dates('today 15:00–16:00');
        self::assertSame([['15:00', '16:00']], $this->office->exceptions()->value('stretches'));
        $this->delete("/settings/hours/{$this->office->id}/dates/{$this->office->exceptions()->value('id')}");
        self::assertSame(0, $this->office->exceptions()->count());
        $this->post("/settings/hours/{$this->office->id}/dates", ['line' => '1 may – 1 april closed', 'try' => '1']);
        self::assertSame('Fri 1 May to Thu 1 Apr 2027: closed?', session('consequence')['title']);
        $this->dates('30 february closed')->assertSessionHasErrors(['line' => 'There is no such day.']);
        $this->dates('18 april')->assertSessionHasErrors('line');
    }

    #[Test]
    public function a_day_off_closes_all_hours_and_new_ones_too(): void
    {
        $this->dates('3–6 april off Easter');
        self::assertSame(8, HoursException::query()->where('everywhere', true)->count());
        $this->post('/settings/hours', ['name' => 'Studio']);
        self::assertSame(12, HoursException::query()->where('everywhere', true)->count());

        $one = $this->office->exceptions()->where('date', '2026-04-03')->firstOrFail();
        $this->delete("/settings/hours/{$this->office->id}/dates/{$one->id}");
        self::assertSame(9, HoursException::query()->where('everywhere', true)->count());
    }

    #[Test]
    public function a_night_of_one_date_leaves_the_next_day_its_own_hours(): void
    {
        $this->dates('friday 22:00–02:00');

        self::assertSame([['22:00', '24:00']], $this->office->exceptions()->where('date', '2026-03-13')->value('stretches'));
        self::assertSame([['00:00', '02:00']], $this->office->exceptions()->where('date', '2026-03-14')->value('stretches'));
        $this->dates('monday 22:00–02:00');
        self::assertSame([['00:00', '02:00'], ['09:00', '17:30']], $this->office->exceptions()->where('date', '2026-03-17')->value('stretches'));
    }

    #[Test]
    public function a_thousand_dates_are_held_and_more_are_refused(): void
    {
        foreach (['1 january 2027 – 31 december 2027 closed', '1 january 2028 – 31 december 2028 closed'] as $line) {
            $this->dates($line)->assertSessionHasNoErrors();
        }
        $this->dates('1 january 2029 – 31 december 2029 closed')->assertSessionHasErrors('line');
        self::assertSame(731, $this->office->exceptions()->count());
        $this->get("/settings?set={$this->office->id}&all=1")->assertOk();
        $this->get('/shape')->assertOk();
    }

    #[Test]
    public function public_holidays_come_from_a_calendar_file(): void
    {
        $this->dates('3 april 9-12');
        $file = $this->calendar("BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20200403\r\nRRULE:FREQ=YEARLY\r\nSUMMARY:Good day\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:2\r\nDTSTART;VALUE=DATE:20200610\r\nDTEND;VALUE=DATE:20200612\r\nRRULE:FREQ=YEARLY\r\nSUMMARY:Two days\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:3\r\nDTSTART:20260701T100000Z\r\nSUMMARY:Parade\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:4\r\nDTSTART;VALUE=DATE:nonsense\r\nSUMMARY:Broken\r\nEND:VEVENT");
        $this->post("/settings/hours/{$this->office->id}/holidays", ['holidays' => $file, 'everywhere' => '0'])->assertSessionHasNoErrors();

        self::assertSame(['2026-06-10', '2026-06-11', '2027-04-03', '2027-06-10', '2027-06-11'], $this->office->exceptions()->where('date', '!=', '2026-04-03')->pluck('date')->all());
        self::assertSame([['09:00', '12:00']], $this->office->exceptions()->where('date', '2026-04-03')->value('stretches'), 'a day with hours of its own keeps them');
        self::assertStringContainsString('5 days of the next two years are closed. One has hours of its own already', (string) session('status'));
        self::assertStringContainsString('One event at a time of the day was left out. Line 21:', (string) session('status'));
        $this->post('/plan/undo');
        self::assertSame(1, $this->office->exceptions()->count());
    }

    #[Test]
    public function holidays_of_all_sets_leave_each_set_the_hours_that_were_given_to_a_date(): void
    {
        $other = $this->ines->hoursSets()->create(['name' => 'Shop', 'week' => [], 'position' => 9]);
        $this->post("/settings/hours/{$other->id}/dates", ['line' => '1 may 10:00–12:00 May fair'])->assertSessionHasNoErrors();
        $this->post("/settings/hours/{$this->office->id}/holidays", ['holidays' => $this->calendar("BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20260501\r\nSUMMARY:Labour day\r\nEND:VEVENT"), 'everywhere' => '1'])->assertSessionHasNoErrors();

        self::assertSame(['Labour day'], $this->office->exceptions()->where('date', '2026-05-01')->pluck('name')->all());
        self::assertSame(['May fair'], $other->exceptions()->where('date', '2026-05-01')->pluck('name')->all());
    }

    #[Test]
    public function a_date_is_typed_as_the_persons_own_dates_look(): void
    {
        $this->ines->update(['dates' => 'de']);
        $this->post("/settings/hours/{$this->office->id}/dates", ['line' => 'Freitag, 15. Mai closed Umzug'])->assertSessionHasNoErrors();

        self::assertSame(['Umzug'], $this->office->exceptions()->where('date', '2026-05-15')->pluck('name')->all());
    }

    #[Test]
    public function fifty_years_of_holidays_close_the_next_two(): void
    {
        $events = '';
        for ($year = 2000; $year < 2050; $year++) {
            for ($month = 1; $month <= 12; $month++) {
                $events .= sprintf("BEGIN:VEVENT\r\nUID:%d-%d\r\nDTSTART;VALUE=DATE:%d%02d15\r\nSUMMARY:Holiday\r\nEND:VEVENT\r\n", $year, $month, $year, $month);
            }
        }
        $this->post("/settings/hours/{$this->office->id}/holidays", ['holidays' => $this->calendar($events), 'everywhere' => '1'])->assertSessionHasNoErrors();
        self::assertSame(24, $this->office->exceptions()->count());

        $this->post("/settings/hours/{$this->office->id}/holidays", ['holidays' => UploadedFile::fake()->createWithContent('a.ics', 'hello')])->assertSessionHasErrors('holidays');
        $this->post("/settings/hours/{$this->office->id}/holidays", ['holidays' => $this->calendar("BEGIN:VEVENT\r\nUID:3\r\nDTSTART:20260701T100000Z\r\nSUMMARY:Parade\r\nEND:VEVENT")])->assertSessionHasErrors('holidays');
    }

    #[Test]
    public function nothing_is_laid_into_the_night(): void
    {
        $this->office->update(['week' => ['wed' => [['06:00', '09:30'], ['20:00', '24:00']]]]);
        $this->put('/settings', ['sleep_from' => '22:30', 'sleep_to' => '7:00'])->assertSessionHasNoErrors();
        $this->task('Long', minutes: 150);
        $this->post('/plan/lay-out');

        foreach ($this->ines->blocks()->get() as $block) {
            self::assertLessThanOrEqual('22:30', $this->ines->local($block->ends_at)->format('H:i'));
            self::assertGreaterThanOrEqual('07:00', $this->ines->local($block->starts_at)->format('H:i'));
        }
        $this->put('/settings', ['sleep_from' => '22:30', 'sleep_to' => ''])->assertSessionHasErrors();
        $this->put('/settings', ['sleep_from' => '22:30', 'sleep_to' => '22:30'])->assertSessionHasErrors('sleep_to');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function dates(string $line): TestResponse
    {
        return $this->post("/settings/hours/{$this->office->id}/dates", ['line' => $line]);
    }

    private function calendar(string $events): UploadedFile
    {
        return UploadedFile::fake()->createWithContent('holidays.ics', "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n".rtrim($events)."\r\nEND:VCALENDAR\r\n");
    }
}
