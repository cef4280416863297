<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Entry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Shape, Work and Close where days are not 24 hours long, at midnight, at the turn of the year, in other zones. */
final class DayEdgesTest extends FeatureTestCase
{
    #[Test]
    #[DataProvider('clockChanges')]
    public function a_forgotten_clock_counts_the_minutes_that_there_were(string $start, string $next, int $minutes): void
    {
        $this->at($start);
        $this->post("/work/start/{$this->task('Essay')->id}");
        $this->at($next);

        $this->post('/work/forgotten', ['until' => '02:30'])->assertSessionHasNoErrors();

        self::assertSame($minutes, (int) $this->entry()->starts_at->diffInMinutes($this->entry()->ends_at));
    }

    /** @return array<string, array{string, string, int}> Lisbon's clocks go from 01:00 to 02:00, and from 02:00 to 01:00 */
    public static function clockChanges(): array
    {
        return [
            'into summer' => ['2026-03-28 23:30', '2026-03-29 09:00', 120],
            'into winter' => ['2026-10-24 23:30', '2026-10-25 09:00', 240],
            'any night' => ['2026-03-11 23:30', '2026-03-12 09:00', 180],
        ];
    }

    #[Test]
    public function who_works_past_midnight_is_not_asked_in_the_middle_of_it(): void
    {
        $essay = $this->task('Essay', minutes: 60);
        $block = $this->block($essay, '2026-03-11 23:30', '2026-03-12 00:30');
        $this->at('2026-03-11 23:30');
        $this->post("/work/start/{$essay->id}", ['block' => $block->id]);

        $this->at('2026-03-12 00:10');
        $this->get('/work')->assertDontSee('The clock still runs')->assertSee('20 min');
        $this->at('2026-03-12 00:40');
        $this->get('/work')->assertDontSee('The clock still runs');
        self::assertContains('Wed 23:30–00:50 Essay', $this->plan(), 'it goes on past its end as by day');
        $this->post('/work/pause');
        self::assertSame(70, (int) $this->entry()->starts_at->diffInMinutes($this->entry()->ends_at));
    }

    #[Test]
    #[DataProvider('days')]
    public function time_is_reserved_by_the_wall_clock_of_its_day(string $day, string $utc): void
    {
        $this->at("{$day} 07:00");

        $this->post('/reserves', ['day' => $day, 'start' => '10:00', 'minutes' => 60])->assertSessionHasNoErrors();

        self::assertSame("{$day} {$utc}", $this->ines->reserves()->sole()->starts_at->format('Y-m-d H:i'));
        $this->get("/shape/{$day}")->assertSee('Reserved, reserved, 10:00–11:00');
    }

    /** @return array<string, array{string, string}> */
    public static function days(): array
    {
        return ['winter' => ['2026-03-27', '10:00'], 'the day summer begins' => ['2026-03-29', '09:00'], 'summer' => ['2026-03-30', '09:00'], 'the day it ends' => ['2026-10-25', '10:00']];
    }

    #[Test]
    public function tomorrow_is_the_next_year_on_its_last_day(): void
    {
        $this->at('2026-12-31 08:00');
        $quotes = $this->task('Quotes', minutes: 30);
        $block = $this->block($quotes, '2026-12-31 09:00', '2026-12-31 09:30');

        $this->post("/blocks/{$block->id}/send", ['to' => 'tomorrow'])->assertSessionHasNoErrors();

        self::assertSame('2027-01-01', $quotes->refresh()->picked_on);
        self::assertSame(['Fri 09:00–09:30 Quotes'], $this->plan());
        $this->at('2027-01-01 08:00');
        $this->get('/shape?morning=holds')->assertOk()->assertSee('Friday 1 January');
    }

    #[Test]
    public function the_morning_of_a_monday_shows_what_friday_left(): void
    {
        $this->block($this->task('Left on Friday', minutes: 45), '2026-03-13 15:00', '2026-03-13 15:45');
        $this->at('2026-03-16 08:30');

        $this->get('/shape?morning=left')->assertSeeInOrder(['Left from before', 'Left on Friday', 'not begun']);
    }

    #[Test]
    public function reminders_come_by_the_wall_clock_of_another_zone(): void
    {
        $this->ines->update(['zone' => 'Pacific/Auckland']); // thirteen hours ahead in March
        $this->at('2026-03-11 04:14');
        self::assertSame([], $this->get('/pulse')->json('reminders'));
        $this->at('2026-03-11 04:15'); // 17:15 there
        self::assertSame(['Close the day'], array_column($this->get('/pulse')->json('reminders'), 'title'));
        $this->get('/close')->assertSee('Account of Wednesday 11 March');
        $this->at('2026-03-11 12:30'); // past midnight there
        $this->get('/close')->assertSee('Account of Thursday 12 March');
    }

    #[Test]
    public function what_waits_from_the_day_the_clocks_change_comes_back_the_day_after(): void
    {
        $this->at('2026-10-23 08:00');
        $office = $this->ines->hoursSets()->firstOrFail();
        $office->exceptions()->create(['date' => '2026-10-25', 'stretches' => [['09:00', '12:00']]]);
        $quotes = $this->task('Quotes', minutes: 60);
        $this->block($quotes, '2026-10-25 10:00', '2026-10-25 11:00');

        $this->post('/plan/change', ['kind' => 'wait', 'day' => '2026-10-25', 'tasks' => [$quotes->id]])->assertSessionHasNoErrors();

        self::assertSame('2026-10-26 00:00', $this->ines->local($quotes->refresh()->not_before ?? self::fail('It was put off.'))->format('Y-m-d H:i'));
        self::assertSame(['Mon 09:00–10:00 Quotes'], $this->plan());
    }

    #[Test]
    public function a_day_of_23_hours_is_drawn_and_closed_like_any_other(): void
    {
        $this->at('2026-03-29 09:10');
        $office = $this->ines->hoursSets()->firstOrFail();
        $office->exceptions()->create(['date' => '2026-03-29', 'stretches' => [['00:00', '04:00'], ['09:00', '12:00']]]);
        $essay = $this->task('Essay', minutes: 60);
        $block = $this->block($essay, '2026-03-29 09:00', '2026-03-29 10:00');
        $this->post("/work/start/{$essay->id}", ['block' => $block->id]);

        $this->get('/shape')->assertOk()->assertSeeInOrder(['Office hours', '6 h 00', 'open']); // 00:00–04:00 is three hours that night
        $this->at('2026-03-29 09:50');
        $this->post("/blocks/{$block->id}/done", ['mark' => $block->mark()]);
        $this->get('/close')->assertSeeInOrder(['Essay', 'done', '50', '40']);
    }

    private function entry(): Entry
    {
        return $this->ines->entries()->sole();
    }
}
