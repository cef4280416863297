<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Routine;
use App\Rows\WorkTimeLoader;
use App\Time\Clock;
use App\Time\Moments;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Time that is reserved every week, what of it is otherwise on one day, and lunch likewise. */
final class RoutineTest extends FeatureTestCase
{
    #[Test]
    public function a_line_reserves_time_on_its_days_and_planning_goes_around_it(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->post('/routines', ['line' => 'mail 30 min at 9:00 every weekday', 'try' => '1']);
        self::assertSame(0, $this->ines->routines()->count());
        self::assertStringContainsString('Wed 11: open 7 h 45 becomes 7 h 15', session('consequence')['words'][0]);
        $this->post('/routines', ['line' => 'mail 30 min at 9:00 every weekday'])->assertSessionHasNoErrors();
        self::assertStringContainsString('mail, Wed 11, 09:00–09:30, took its place', (string) session('status').implode('', array_column($this->ines->planRevisions()->latest('id')->firstOrFail()->moves, 'by')).', Wed 11, 09:00–09:30, took its place');
        self::assertSame('09:30', substr($this->plan()[0], 4, 5));
        $this->get('/shape')->assertSee('mail, every week, 09:00–09:30');
        $this->get('/shape/2026-03-14')->assertDontSee('mail, every week');
        $this->post('/plan/undo');
        self::assertSame(['Wed 09:00–10:00 Quotes'], $this->plan());
    }

    #[Test]
    public function on_one_day_it_is_moved_or_left_out_and_as_usual_again(): void
    {
        $mail = $this->mail();
        $this->patch("/routines/{$mail->id}/days/2026-03-11", ['start' => '16:00', 'minutes' => '45'])->assertSessionHasNoErrors();
        self::assertSame(['Wed 16:00–16:45', 'Thu 09:00–09:30'], $this->times(2));
        $this->patch("/routines/{$mail->id}/days/2026-03-11", ['what' => 'drop']);
        self::assertSame(['Thu 09:00–09:30'], $this->times(2));
        $this->post('/plan/undo');
        self::assertSame('Wed 16:00–16:45', $this->times(2)[0]);
        $this->patch("/routines/{$mail->id}/days/2026-03-11", ['what' => 'usual']);
        self::assertSame('Wed 09:00–09:30', $this->times(2)[0]);
        self::assertSame(0, $mail->otherDays()->count());
        $this->patch("/routines/{$mail->id}/days/2026-03-11", ['start' => 'noon-ish', 'minutes' => '45'])->assertSessionHasErrors('start');
        $this->patch("/routines/{$mail->id}/days/2026-02-31", ['what' => 'drop'])->assertNotFound();
    }

    #[Test]
    public function its_parts_are_ticked_on_their_day_and_fit_into_its_time(): void
    {
        $mail = $this->mail();
        $form = ['title' => 'Mail', 'start' => '9:00', 'minutes' => '30', 'days' => ['mon', 'wed']];
        $this->patch("/routines/{$mail->id}", [...$form, 'parts' => "sort the tray 20\nanswer what is short 20"])->assertSessionHasErrors(['parts' => 'Its parts take 40 minutes, and it has 30. Make it longer, or a part shorter.']);
        $this->patch("/routines/{$mail->id}", [...$form, 'parts' => "sort the tray 10 min\nanswer what is short"])->assertSessionHasNoErrors();
        self::assertEquals([['title' => 'sort the tray', 'minutes' => 10], ['title' => 'answer what is short', 'minutes' => null]], $mail->refresh()->parts);
        self::assertSame('mon,wed', $mail->days);

        $this->patch("/routines/{$mail->id}/days/2026-03-11", ['what' => 'tick', 'part' => '1']);
        $this->get("/shape?routine={$mail->id}")->assertSee('1 of 2')->assertSee('aria-pressed="true"', false);
        $this->patch("/routines/{$mail->id}/days/2026-03-11", ['what' => 'tick', 'part' => '1']);
        self::assertSame(0, $mail->otherDays()->count());
    }

    #[Test]
    public function time_for_deep_work_holds_nothing_light(): void
    {
        $this->post('/routines', ['line' => 'focus every day 9:00 for 3 h deep']);
        $this->task('Quotes', minutes: 60, importance: Importance::Vital);
        $this->task('Essay', minutes: 90, deep: true);
        $this->post('/plan/lay-out');

        foreach ($this->plan() as $block) {
            self::assertSame(str_contains($block, 'Essay'), substr($block, 4, 5) < '12:00', $block);
        }
    }

    #[Test]
    #[DataProvider('impossible')]
    public function what_cannot_be_is_told(string $line): void
    {
        $this->post('/routines', ['line' => $line])->assertSessionHasErrors('line');
        self::assertSame(0, $this->ines->routines()->count());
    }

    /** @return list<array{string}> */
    public static function impossible(): array
    {
        return [[''], ['mail'], ['mail at 9:00'], ['mail every 2 weeks on tue 9:00'], ['mail every day 23:30 for 2 h'], ['mail every day 9:00 for 2 min']];
    }

    #[Test]
    public function it_ends_where_it_is_said_to(): void
    {
        $this->post('/routines', ['line' => 'mail every day 9:00 until 12 march']);
        self::assertSame(['Wed 09:00–09:30', 'Thu 09:00–09:30'], $this->times(7));
    }

    #[Test]
    public function it_keeps_its_time_by_the_wall_clock(): void
    {
        $this->at('2026-03-28 08:00');
        $this->post('/routines', ['line' => 'mail every day 9:00 for 30 min']);
        $this->post('/routines', ['line' => 'night every day 01:15 for 30 min']);
        self::assertSame(['Sat 01:15–01:45', 'Sat 09:00–09:30', 'Sun 02:15–02:45', 'Sun 09:00–09:30', 'Mon 01:15–01:45', 'Mon 09:00–09:30'], $this->times(3), 'on Sunday 01:15 is 02:15');
    }

    #[Test]
    public function lunch_of_one_day_is_moved_or_left_out(): void
    {
        $this->task('Long', minutes: 480);
        $this->patch('/lunch/2026-03-11', ['start' => '14:00', 'minutes' => '30'])->assertSessionHasNoErrors();
        $time = (new WorkTimeLoader)->load($this->ines, Moments::today($this->ines, Clock::now()), 2);
        self::assertSame(['14:00–14:30', '12:30–13:15'], array_map(fn ($one): string => $this->ines->local(Moments::moment($one->start))->format('H:i').'–'.$this->ines->local(Moments::moment($one->end))->format('H:i'), $time->lunch()->intervals));

        $this->patch('/lunch/2026-03-11', ['what' => 'drop']);
        $this->get('/shape')->assertDontSee('Lunch 1');
        $this->get('/shape/2026-03-12')->assertSee('Lunch 12:30');
        $this->patch('/lunch/2026-03-11', ['what' => 'usual']);
        self::assertSame(0, $this->ines->lunchDays()->count());
    }

    private function mail(): Routine
    {
        $this->post('/routines', ['line' => 'mail 30 min at 9:00 every weekday']);

        return $this->ines->routines()->firstOrFail();
    }

    /** @return list<string> of so many days from today on */
    private function times(int $days): array
    {
        $time = (new WorkTimeLoader)->load($this->ines, Moments::today($this->ines, Clock::now()), $days);
        $span = $time->span();

        return array_values(array_map(fn ($one): string => $this->ines->local(Moments::moment($one->time->start))->format('D H:i').'–'.$this->ines->local(Moments::moment($one->time->end))->format('H:i'), array_filter($time->routines, static fn ($one): bool => $one->time->overlaps($span))));
    }
}
