<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Calendars\ByHand;
use App\Models\Occurrence;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Meetings that the person writes down: as a line, changed, repeated, ended, taken away, brought back. */
final class OwnMeetingTest extends FeatureTestCase
{
    #[Test]
    public function a_line_becomes_a_meeting_and_the_plan_goes_around_it(): void
    {
        $this->block($this->task('Quotes'), '2026-03-12 14:00', '2026-03-12 15:00');

        $this->line('meet Adaeze thu 14:00 for 45 min in room 2')->assertSessionHas('revision');
        self::assertSame(['Thu 14:00–14:45 meet Adaeze, room 2'], $this->meetings());
        self::assertNotContains('Thu 14:00–15:00 Quotes', $this->plan());
        self::assertStringContainsString('“meet Adaeze”: Thu 12, 14:00–14:45, room 2.', (string) session('status'));
        $this->get('/meetings')->assertSee('meet Adaeze');

        $this->post('/plan/undo');
        self::assertSame([], $this->meetings());
        self::assertSame(['Thu 14:00–15:00 Quotes'], $this->plan());
        $this->post('/plan/redo');
        self::assertSame(['Thu 14:00–14:45 meet Adaeze, room 2'], $this->meetings());
    }

    #[Test]
    public function a_line_of_gather_is_kept_as_a_meeting_where_it_says_when(): void
    {
        $this->post('/meetings/own', ['lines' => "meet Adaeze thu 14:00\ncall Wim"])->assertSessionHasErrors(['line' => 'A meeting is one line. Keep the others first.'])->assertSessionHasInput('lines');
        $this->post('/meetings/own', ['lines' => 'meet Adaeze thu 14:00'])->assertSessionHasNoErrors();
        self::assertSame(['Thu 14:00–15:00 meet Adaeze'], $this->meetings());
        self::assertSame(0, $this->ines->tasks()->count());
    }

    #[Test]
    #[DataProvider('unclear')]
    public function a_line_without_a_day_says_what_it_needs(string $line, string $said): void
    {
        $this->line($line)->assertSessionHasErrors(['line' => $said]);
        self::assertSame([], $this->meetings());
    }

    /** @return list<array{string, string}> */
    public static function unclear(): array
    {
        $form = 'Say when it is: “meet Sam thu 14:00 for 45 min in room 2”, “every monday 9:15 stand-up, 15 min”.';

        return [['meet Prue', $form], ['', $form], ['lunch today at 7:30', 'That time is over. Say one that is to come.']];
    }

    #[Test]
    public function a_series_is_moved_once_shortened_ended_and_brought_back(): void
    {
        $this->line('every thursday 14:00 committee, 30 min');
        self::assertSame(['Thu 14:00–14:30 committee', 'Thu 14:00–14:30 committee', 'Thu 14:00–14:30 committee'], array_slice($this->meetings(), 0, 3));
        $second = $this->times()[1];

        $this->change($second, ['title' => 'committee', 'day' => '2026-03-20', 'start' => '9:30', 'minutes' => '60', 'repeat' => 'every week on Thu', 'whole' => '0'])->assertSessionHasNoErrors();
        self::assertSame(['Thu 14:00–14:30 committee', 'Fri 09:30–10:30 committee', 'Thu 14:00–14:30 committee'], array_slice($this->meetings(), 0, 3));
        self::assertSame($second->id, $this->times()[1]->id, 'its page stays');
        $this->post('/plan/undo');
        self::assertSame('Thu 14:00–14:30 committee', $this->meetings()[1]);

        $this->delete("/occurrences/{$this->times()[1]->id}", ['what' => 'one']);
        self::assertSame(['2026-03-12', '2026-03-26'], array_slice($this->days(), 0, 2));
        $this->delete("/occurrences/{$this->times()[2]->id}", ['what' => 'from_here']);
        self::assertSame(['2026-03-12', '2026-03-26'], $this->days());
        $this->post('/plan/undo');
        $this->post('/plan/undo');
        self::assertSame(['2026-03-12', '2026-03-19', '2026-03-26', '2026-04-02'], array_slice($this->days(), 0, 4));

        $this->delete("/occurrences/{$this->times()[0]->id}", ['what' => 'all']);
        self::assertSame([], $this->meetings());
        $this->post('/plan/undo');
        self::assertSame('2026-03-12', $this->days()[0]);
    }

    #[Test]
    public function all_its_times_move_together(): void
    {
        $this->line('every thursday 14:00 committee, 30 min');
        $this->change($this->times()[1], ['title' => 'Board', 'place' => 'room 1', 'day' => '2026-03-20', 'start' => '15:00', 'minutes' => '45', 'repeat' => 'every week on Fri', 'whole' => '1'])->assertSessionHasNoErrors();

        self::assertSame(['Fri 15:00–15:45 Board, room 1', 'Fri 15:00–15:45 Board, room 1'], array_slice($this->meetings(), 0, 2));
        self::assertSame('2026-03-13', $this->days()[0]);
        $this->change($this->times()[0], ['title' => 'Board', 'day' => '2026-03-13', 'start' => '15:00', 'minutes' => '45', 'repeat' => '', 'whole' => '1']);
        self::assertSame(['2026-03-13'], $this->days(), 'it comes back no more');
    }

    #[Test]
    public function what_was_taken_away_stays_away_when_all_its_times_move(): void
    {
        $this->line('every thursday 14:00 committee, 30 min');
        $this->delete("/occurrences/{$this->times()[1]->id}", ['what' => 'one']);
        self::assertSame(['2026-03-12', '2026-03-26'], array_slice($this->days(), 0, 2));
        $this->change($this->times()[1], ['title' => 'committee', 'day' => '2026-03-27', 'start' => '15:00', 'minutes' => '30', 'repeat' => 'every week on Thu', 'whole' => '1'])->assertSessionHasNoErrors();

        self::assertSame(['2026-03-13', '2026-03-27', '2026-04-03'], array_slice($this->days(), 0, 3), 'the weekday of the rule goes along');
        self::assertSame('Fri 15:00–15:30 committee', $this->meetings()[2]);
        $this->change($this->times()[0], ['title' => 'committee', 'day' => '2026-03-13', 'start' => '15:00', 'minutes' => '30', 'repeat' => 'every week on Wed', 'whole' => '1'])->assertSessionHasNoErrors();
        self::assertSame('2026-03-18', $this->days()[0], 'it begins on a day that its rule names');
    }

    #[Test]
    public function days_of_the_month_do_not_move_along_in_silence(): void
    {
        $this->line('every month on the 15th at 9:00 review');
        $this->change($this->times()[0], ['title' => 'Review', 'day' => '2026-03-15', 'start' => '9:00', 'minutes' => '60', 'repeat' => 'every month on day 15', 'whole' => '1'])->assertSessionHasNoErrors();
        self::assertSame(['2026-03-15', '2026-04-15'], array_slice($this->days(), 0, 2));
        self::assertStringContainsString('BYMONTHDAY=15', (string) $this->times()[0]->meeting()->value('by_hand'), 'the rule as it is said back is the same rule');

        $this->change($this->times()[0], ['title' => 'Review', 'day' => '2026-03-17', 'start' => '9:00', 'minutes' => '60', 'repeat' => 'every month on day 15', 'whole' => '1'])->assertSessionHasErrors('repeat');
    }

    #[Test]
    public function it_holds_by_the_clock_over_the_change_of_clocks(): void
    {
        $this->line('every weekday at 9:15 stand-up, 15 min until 3 april');

        self::assertSame(['Fri 09:15–09:30 stand-up', 'Mon 09:15–09:30 stand-up'], array_slice($this->meetings(), 12, 2), 'before and after 29 March');
        self::assertSame('2026-04-03', collect($this->days())->last(), 'its last day counts');
    }

    #[Test]
    public function whole_days_nights_and_links_are_written_down(): void
    {
        $this->line('conference 14 april');
        $this->line('party friday 22:00 for 5 h');
        $this->line('review https://meet.example.org/x thu 3pm 30 min');

        self::assertSame(['Thu 15:00–15:30 review', 'Fri 22:00–03:00 party', 'all day conference'], $this->meetings());
        self::assertSame('https://meet.example.org/x', $this->times()[0]->link);
    }

    #[Test]
    public function signs_of_calendar_files_in_a_name_stay_a_name(): void
    {
        $this->post('/meetings/own', ['title' => 'A; B, C\\n"D" END:VEVENT', 'place' => "x\r\nRRULE:FREQ=DAILY", 'day' => 'fri', 'start' => '10:00', 'minutes' => '30'])->assertSessionHasNoErrors();

        self::assertCount(1, $this->meetings());
        self::assertStringContainsString('A; B, C\n"D" END:VEVENT', $this->meetings()[0]);
    }

    #[Test]
    #[DataProvider('impossible')]
    public function what_cannot_be_is_told_at_its_field(string $field, string $value): void
    {
        $this->post('/meetings/own', ['title' => 'Meet', 'day' => '2026-03-12', 'start' => '10:00', 'minutes' => '30', $field => $value])->assertSessionHasErrors($field);
        self::assertSame([], $this->meetings());
    }

    /** @return list<array{string, string}> */
    public static function impossible(): array
    {
        return [['title', ''], ['day', 'someday'], ['start', '25:00'], ['minutes', '0'], ['minutes', '5000'], ['link', 'javascript:alert(1)'], ['repeat', 'now and then'], ['title', str_repeat('a', 501)]];
    }

    #[Test]
    public function what_came_from_elsewhere_is_not_changed_by_hand(): void
    {
        $this->meeting('Committee', '2026-03-12 10:00', '2026-03-12 11:00');
        $one = $this->times()[0];

        $this->change($one, ['title' => 'Mine', 'day' => '2026-03-12', 'start' => '10:00', 'minutes' => '30'])->assertNotFound();
        $this->delete("/occurrences/{$one->id}")->assertNotFound();
        self::assertSame(['Thu 10:00–11:00 Committee'], $this->meetings());
    }

    #[Test]
    public function it_is_read_again_where_the_person_goes_to_another_zone(): void
    {
        $this->line('meet Adaeze thu 14:00');
        $meeting = $this->ines->meetings()->firstOrFail();

        self::assertSame('Europe/Lisbon', ByHand::of($meeting)->zone);
        $this->put('/settings', ['zone' => 'America/New_York']);
        $this->ines->refresh();
        self::assertSame(['Thu 10:00–11:00 meet Adaeze'], $this->meetings(), 'it is when it was');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function line(string $line): TestResponse
    {
        return $this->post('/meetings/own', ['line' => $line]);
    }

    /**
     * @param  array<string, string>  $as
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function change(Occurrence $one, array $as): TestResponse
    {
        return $this->patch("/occurrences/{$one->id}", $as + ['place' => '', 'link' => '', 'repeat' => '']);
    }

    /** @return list<Occurrence> */
    private function times(): array
    {
        return array_values($this->ines->occurrences()->orderBy('starts_at')->get()->all());
    }

    /** @return list<string> */
    private function days(): array
    {
        return array_map(fn (Occurrence $one): string => $this->ines->local($one->starts_at)->format('Y-m-d'), $this->times());
    }

    /** @return list<string> */
    private function meetings(): array
    {
        return array_map(fn (Occurrence $one): string => ($one->all_day ? 'all day ' : $this->ines->local($one->starts_at)->format('D H:i').'–'.$this->ines->local($one->ends_at)->format('H:i').' ').$one->summary.($one->place === null ? '' : ", {$one->place}"), $this->times());
    }
}
