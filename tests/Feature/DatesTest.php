<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Wording\Dates;
use App\Wording\Times;
use App\Wording\TypedDay;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Dates and times as the person reads and types them. */
final class DatesTest extends FeatureTestCase
{
    /** @param  list<string>  $said */
    #[Test]
    #[DataProvider('languages')]
    public function dates_are_said_in_the_persons_language_and_order(string $key, array $said): void
    {
        $dates = Dates::in($key);
        $day = LocalDay::of(2026, 3, 11);

        self::assertSame($said, [$dates->long($day, year: true), $dates->near($day), $dates->full($day), $dates->ofMonth($day)]);
    }

    /** @return list<array{string, list<string>}> */
    public static function languages(): array
    {
        return [
            ['en', ['Wednesday 11 March 2026', 'Wed 11', 'Wed 11 Mar 2026', '11 Mar']], ['us', ['Wednesday, March 11, 2026', 'Wed 11', 'Wed Mar 11, 2026', 'Mar 11']],
            ['iso', ['Wednesday 2026-03-11', 'Wed 11', 'Wed 2026-03-11', '03-11']], ['de', ['Mittwoch, 11. März 2026', 'Mi 11', 'Mi 11. Mär 2026', '11. Mär']],
            ['pt', ['quarta-feira, 11 de março de 2026', 'qua 11', 'qua 11 de mar de 2026', '11 de mar']], ['fr', ['mercredi 11 mars 2026', 'mer 11', 'mer 11 mars 2026', '11 mars']],
        ];
    }

    #[Test]
    public function what_a_field_shows_is_read_as_the_same_day_in_every_language(): void
    {
        foreach (array_keys(Dates::LANGUAGES) as $key) {
            $this->ines->dates = $key;
            for ($i = 0; $i < 400; $i += 3) {
                $day = LocalDay::of(2026, 3, 11)->plusDays($i);
                foreach ([Dates::in($key)->full($day), Dates::in($key)->long($day, year: true)] as $text) {
                    self::assertSame($day->asString(), TypedDay::read($this->ines, $text), "{$key}: {$text}");
                }
            }
        }
    }

    #[Test]
    public function a_day_is_typed_as_one_says_it_wherever_a_day_is_asked_for(): void
    {
        $task = $this->task('Quotes');
        foreach (['fri' => '2026-03-13', '18 april' => '2026-04-18', '3/4' => '2026-04-03', 'in 2 weeks' => '2026-03-25', '2026-05-01' => '2026-05-01'] as $typed => $day) {
            $this->patch("/tasks/{$task->id}", ['due_date' => (string) $typed])->assertSessionHasNoErrors();
            self::assertSame($day, $task->refresh()->due_on, (string) $typed);
        }
        $this->put('/settings', ['month_first' => '1', 'dates' => 'us']);
        $this->patch("/tasks/{$task->id}", ['due_date' => '4/3']);
        self::assertSame('2026-04-03', $task->refresh()->due_on);
        $this->get("/tasks/{$task->id}")->assertSee('value="Fri Apr 3, 2026"', false);
        $this->patch("/tasks/{$task->id}", ['due_date' => 'whenever'])->assertSessionHasErrors('due_date')->assertSessionHasInput('due_date', 'whenever');
        $this->getJson('/typed-day?text=fri')->assertExactJson(['said' => 'Fri Mar 13, 2026']);
        $this->getJson('/typed-day?text=whenever')->assertJsonStructure(['problem']);
    }

    #[Test]
    public function times_are_said_and_typed_by_the_twelve_hour_clock(): void
    {
        $this->put('/settings', ['twelve_hours' => '1'])->assertSessionHasNoErrors();
        $this->ines->refresh();
        self::assertSame(['12:00 am', '9:05 am', '12:30 pm', '11:59 pm'], array_map(fn (int $minute): string => Times::ofDay($this->ines, $minute), [0, 545, 750, 1439]));
        self::assertSame('2:00–3:15 pm', Times::between($this->ines, 840, 915));
        self::assertSame('11:30 am–12:15 pm', Times::between($this->ines, 690, 735));

        $block = $this->block($this->task('Quotes'), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->patch("/blocks/{$block->id}", ['day' => '2026-03-11', 'start' => '2:30 pm', 'minutes' => '60', 'mark' => $block->mark()])->assertSessionHasNoErrors();
        self::assertSame(['Wed 14:30–15:30 Quotes!'], $this->plan());
        $this->get('/shape')->assertSee('2:30–3:30 pm');
        $this->put('/settings', ['lunch_from' => '1 pm', 'lunch_to' => '1:45 pm'])->assertSessionHasNoErrors();
        self::assertSame([780, 825], [$this->ines->refresh()->lunch_from, $this->ines->lunch_to]);
    }

    #[Test]
    public function parts_of_the_day_have_bounds_of_ones_own(): void
    {
        $this->task('Letters', minutes: 60)->update(['part' => 'afternoon']);
        $this->put('/settings', ['morning_until' => '15:00', 'afternoon_until' => '17:00'])->assertSessionHasNoErrors();
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 15:00–16:00 Letters'], $this->plan());
        $this->put('/settings', ['morning_until' => '15:00', 'afternoon_until' => '14:00'])->assertSessionHasErrors('afternoon_until');
    }

    #[Test]
    public function a_day_has_as_many_key_tasks_as_is_said(): void
    {
        $this->put('/settings', ['keys_most' => '1'])->assertSessionHasNoErrors();
        [$a, $b] = [$this->task('A'), $this->task('B')];
        $this->post("/tasks/{$a->id}/key", ['day' => '2026-03-11', 'key' => '1'])->assertSessionHasNoErrors();
        $this->post("/tasks/{$b->id}/key", ['day' => '2026-03-11', 'key' => '1'])->assertSessionHasErrors('start');
        $this->put('/settings', ['keys_most' => '0'])->assertSessionHasErrors('keys_most');
    }

    #[Test]
    public function every_section_of_the_settings_opens_and_says_what_its_rules_do(): void
    {
        $this->block($this->task('Quotes'), '2026-03-11 09:00', '2026-03-11 10:00');
        $said = ['hours' => 'today 1 h 33 of 7 h 45 open', 'rules' => 'the shortest laid today is 1 h 00', 'meetings' => 'no meeting today', 'life' => 'nothing moved by itself today', 'rhythm' => 'no rhythm', 'estimates' => 'too few to correct by|No task has been finished', 'areas' => 'Groups', 'looks' => 'today is Wednesday 11 March 2026', 'keys' => 'all keys', 'mail' => 'no message waits', 'take' => 'one open task', 'account' => 'moura@example.org'];
        foreach ($said as $section => $words) {
            self::assertMatchesRegularExpression("/{$words}/", (string) $this->get("/settings/{$section}")->assertOk()->getContent(), $section);
        }
        $this->get('/settings/nothing')->assertNotFound();
    }
}
