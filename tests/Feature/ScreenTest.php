<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Screens\Shape\Bank;
use App\Screens\Shape\Gauge;
use App\Screens\Shape\RunSheet;
use App\Screens\Shape\ShapeAsk;
use App\Screens\Shape\ShapePage;
use App\Screens\Shape\ShapeScreen;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\Test;

/** What the screens compute before anything is drawn. */
final class ScreenTest extends FeatureTestCase
{
    #[Test]
    public function the_sheet_is_in_proportion_from_half_an_hour_before_the_hours(): void
    {
        $this->block($this->task('Essay', minutes: 90), '2026-03-11 10:00', '2026-03-11 11:30');
        $sheet = $this->sheet();

        self::assertSame('08:30', gmdate('H:i', 60 * $sheet->span->start));
        self::assertSame(93.6, $sheet->blocks[0]->top, '90 minutes below the top, 1.04 px each');
        self::assertSame(93.6, $sheet->blocks[0]->height);
        self::assertSame(['tall', '10:00–11:30'], [$sheet->blocks[0]->size, $sheet->blocks[0]->range]);
        self::assertSame('09:00', $sheet->hours[0]['label']);
    }

    #[Test]
    public function free_time_lunch_and_the_way_to_a_meeting_are_named_where_they_lie(): void
    {
        $this->meeting('Lighting', '2026-03-11 14:00', '2026-03-11 15:00');
        $this->ines->meetings()->update(['lead_minutes' => 15]);
        $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 12:20');

        self::assertSame(['Lunch 12:30–13:15', '15 to get there', '30 free', '2 h 30 free', '1 h 15 free'], array_column($this->sheet()->gaps, 'label'));
    }

    #[Test]
    public function the_past_is_not_called_free(): void
    {
        $this->at('2026-03-11 16:00');

        self::assertSame(['Lunch 12:30–13:15', '1 h 30 free', '1 h 15 free'], array_column($this->sheet()->gaps, 'label'));
    }

    #[Test]
    public function a_late_begin_is_noted_and_the_trace_runs_until_now(): void
    {
        $block = $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->ines->entries()->create(['task_id' => $block->task_id, 'block_id' => $block->id, 'starts_at' => $this->utc('2026-03-11 09:07')]);
        $this->at('2026-03-11 09:37');
        $sheet = $this->sheet();

        self::assertSame(['running', 31.2, '09:07'], [$sheet->actual[0]['kind'], $sheet->actual[0]['height'], $sheet->actual[0]['label']]);
        self::assertSame('Begun 7 min late. What is left at 10:00 is placed again.', $sheet->notes[0]['text']);
    }

    #[Test]
    public function tails_show_slack_today_the_latest_end_on_later_days_and_none_where_it_is_late(): void
    {
        $this->block($this->task('Today', minutes: 60, dueOn: '2026-03-11'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->block($this->task('Later', minutes: 60, dueOn: '2026-03-12'), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->block($this->task('Late', minutes: 60, dueOn: '2026-03-10'), '2026-03-11 11:00', '2026-03-11 12:00');
        $tails = collect($this->sheet()->tails)->pluck('label', 'kind');

        self::assertSame(['today' => '6 h 45', 'later' => 'Thu 12, 17:30', 'none' => 'none'], $tails->all());
    }

    #[Test]
    public function anchored_blocks_and_those_without_a_date_have_no_tail(): void
    {
        $this->block($this->task('Fixed', dueOn: '2026-03-12'), '2026-03-11 09:00', '2026-03-11 10:00', anchored: true);
        $this->block($this->task('Free'), '2026-03-11 10:00', '2026-03-11 11:00');

        self::assertSame([], $this->sheet()->tails);
    }

    #[Test]
    public function the_gauge_is_stacked_so_that_what_lies_over_the_line_can_wait(): void
    {
        $this->ines->update(['margin_percent' => 70]); // 7 h 45 open, 2 h 19 under the line
        $this->at('2026-03-11 09:10');
        $done = $this->block($this->task('Done'), '2026-03-11 09:00', '2026-03-11 09:10');
        $done->update(['state' => 'done']);
        $this->block($this->task('Low'), '2026-03-11 11:00', '2026-03-11 12:00');
        $this->block($this->task('Vital', importance: Importance::Vital), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->block($this->task('Due', dueOn: '2026-03-11', importance: Importance::Low), '2026-03-11 15:00', '2026-03-11 16:00');
        $gauge = $this->gauge();

        self::assertSame(['Done', 'Due', 'Vital', 'Low'], array_column($gauge->pieces, 'label'));
        self::assertSame([false, false, false, true], array_column($gauge->pieces, 'over'));
        self::assertSame([190, 139, 51, 0], [$gauge->planned, $gauge->load->loadLine, $gauge->over(), $gauge->free()]);
    }

    #[Test]
    public function anchored_blocks_lower_the_line_and_do_not_count_under_it(): void
    {
        $this->block($this->task('Fixed'), '2026-03-11 09:00', '2026-03-11 10:00', anchored: true);
        $gauge = $this->gauge();

        self::assertSame([60, 405, 0], [$gauge->load->anchored, $gauge->load->open, $gauge->planned]);
    }

    #[Test]
    public function other_hours_are_counted_apart(): void
    {
        $run = $this->task('Run', minutes: 30);
        $run->update(['area_id' => $this->ines->areas()->where('name', 'Home')->value('id')]);
        $this->block($run, '2026-03-11 17:45', '2026-03-11 18:15');

        self::assertSame([['name' => 'Evenings', 'minutes' => 30, 'line' => 60]], $this->gauge()->others);
        self::assertSame(0, $this->gauge()->planned);
    }

    #[Test]
    public function the_bank_groups_candidates_by_why_they_are_there(): void
    {
        $this->task('Pull', importance: Importance::Vital);
        $this->task('Soon', dueOn: '2026-03-13');
        $this->task('Carried')->update(['carried' => 2]);
        $this->block($this->task('On the day'), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->task('Without estimate')->update(['estimate' => null, 'said' => null]);
        $bank = $this->bank();

        self::assertSame(
            ['Due soon' => ['Soon'], 'Carried over' => ['Carried'], 'Best pull' => ['Pull', 'Without estimate']],
            collect($bank->groups)->mapWithKeys(static fn (array $group): array => [$group['name'] => array_column($group['rows'], 'title')])->all(),
        );
        self::assertSame([4, 0, 1], [$bank->count, $bank->hidden, $bank->unestimated]);
    }

    #[Test]
    public function a_long_bank_shows_the_best_and_counts_the_rest(): void
    {
        for ($i = 0; $i < 30; $i++) {
            $this->task("Task {$i}", importance: Importance::from(1 + $i % 4));
        }
        $bank = $this->bank();

        self::assertSame([30, 14], [$bank->count, $bank->hidden]);
        self::assertSame([Importance::Vital->value], array_values(array_unique(array_slice(array_column($bank->groups[0]['rows'], 'importance'), 0, 7))));
        self::assertSame(0, $this->bank(whole: true)->hidden);
    }

    #[Test]
    public function room_is_what_is_left_when_all_due_work_is_done(): void
    {
        $this->task('One', minutes: 120, dueOn: '2026-03-11');
        $this->task('Two', minutes: 400, dueOn: '2026-03-11');
        $rows = $this->bank()->groups[0]['rows'];

        self::assertSame([-148, -148], array_column($rows, 'room'), '7 h 45 of open time, 6 h 12 under the load line, 8 h 40 of work');
        self::assertSame([140, 140], array_column($rows, 'pressure'));
    }

    private function sheet(): RunSheet
    {
        return $this->page()->sheet;
    }

    private function gauge(): Gauge
    {
        return $this->page()->gauge;
    }

    private function bank(bool $whole = false): Bank
    {
        return $this->page($whole)->bank;
    }

    private function page(bool $whole = false): ShapePage
    {
        return app(ShapeScreen::class)->of($this->ines->refresh(), LocalDay::fromString('2026-03-11'), Clock::now(), new ShapeAsk(bank: $whole));
    }
}
