<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\TakeIn;
use App\Meetings\TakeEvents;
use App\Models\Answer;
use App\Models\Occurrence;
use App\Models\RevisionCause;
use App\Undo\Journal;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Calendar files as they come, in iCalendar (RFC 5545). */
final class CalendarTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    /**
     * @param  list<string>  $lines  of the events
     * @param  list<string>  $expected  as "Wed 11 09:00–10:00 Committee", "(free)" where it does not block
     */
    #[Test]
    #[DataProvider('events')]
    public function events_are_read_as_they_are_meant(array $lines, array $expected): void
    {
        $this->bringIn($lines);

        self::assertSame($expected, $this->meetings());
    }

    /** @return array<string, array{list<string>, list<string>}> */
    public static function events(): array
    {
        $event = static fn (string ...$lines): array => ['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Committee', ...$lines, 'END:VEVENT'];
        $weekly = $event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'RRULE:FREQ=WEEKLY;COUNT=3');
        $changed = static fn (string ...$lines): array => ['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Committee', 'RECURRENCE-ID:20260318T090000Z', ...$lines, 'END:VEVENT'];

        return [
            'in UTC' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z'), ['Wed 11 09:00–10:00 Committee']],
            'in a zone' => [$event('DTSTART;TZID=Europe/Athens:20260311T110000', 'DTEND;TZID=Europe/Athens:20260311T120000'), ['Wed 11 09:00–10:00 Committee']],
            'in a quoted zone' => [$event('DTSTART;TZID="Europe/Athens":20260311T110000', 'DURATION:PT1H'), ['Wed 11 09:00–10:00 Committee']],
            'floating: the person\'s own clock' => [$event('DTSTART:20260330T090000', 'DTEND:20260330T100000'), ['Mon 30 09:00–10:00 Committee']],
            'with a duration' => [$event('DTSTART:20260311T090000Z', 'DURATION:PT1H30M'), ['Wed 11 09:00–10:30 Committee']],
            'a whole day blocks' => [$event('DTSTART;VALUE=DATE:20260312', 'DTEND;VALUE=DATE:20260313'), ['Thu 12 00:00–00:00 Committee']],
            'a whole day without an end' => [$event('DTSTART;VALUE=DATE:20260312'), ['Thu 12 00:00–00:00 Committee']],
            'a whole day of 23 hours' => [$event('DTSTART;VALUE=DATE:20260329', 'RRULE:FREQ=DAILY;COUNT=2'), ['Sun 29 00:00–00:00 Committee', 'Mon 30 00:00–00:00 Committee']],
            'transparent' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'TRANSP:TRANSPARENT'), ['Wed 11 09:00–10:00 Committee (free)']],
            'tentative blocks' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'STATUS:TENTATIVE'), ['Wed 11 09:00–10:00 Committee']],
            'cancelled' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'STATUS:CANCELLED'), []],
            'declined by the owner' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'ATTENDEE;PARTSTAT=DECLINED:MAILTO:Moura@example.org'), ['Wed 11 09:00–10:00 Committee (free)']],
            'declined by someone else' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'ATTENDEE;PARTSTAT=DECLINED:mailto:wim@example.org'), ['Wed 11 09:00–10:00 Committee']],
            'without any length' => [$event('DTSTART:20260311T090000Z'), ['Wed 11 09:00–09:00 Committee']],
            'folded lines' => [['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Comm', ' ittee', 'DTSTART:2026', ' 0311T090000Z', "DTEND:20260311\r\n\tT100000Z", 'END:VEVENT'], ['Wed 11 09:00–10:00 Committee']],
            'a folded line that looks like another' => [$event('DESCRIPTION:x', ' BEGIN:VEVENT', 'DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z'), ['Wed 11 09:00–10:00 Committee']],
            'with an alarm' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'BEGIN:VALARM', 'TRIGGER:-PT15M', 'ACTION:DISPLAY', 'END:VALARM'), ['Wed 11 09:00–10:00 Committee']],
            'each week' => [$weekly, ['Wed 11 09:00–10:00 Committee', 'Wed 18 09:00–10:00 Committee', 'Wed 25 09:00–10:00 Committee']],
            'but not then' => [[...array_slice($weekly, 0, -1), 'EXDATE:20260318T090000Z', 'END:VEVENT'], ['Wed 11 09:00–10:00 Committee', 'Wed 25 09:00–10:00 Committee']],
            'and then too' => [[...array_slice($weekly, 0, -1), 'RDATE:20260313T090000Z', 'END:VEVENT'], ['Wed 11 09:00–10:00 Committee', 'Fri 13 09:00–10:00 Committee', 'Wed 18 09:00–10:00 Committee', 'Wed 25 09:00–10:00 Committee']],
            'only on dates' => [$event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'RDATE:20260313T090000Z,20260320T090000Z'), ['Wed 11 09:00–10:00 Committee', 'Fri 13 09:00–10:00 Committee', 'Fri 20 09:00–10:00 Committee']],
            'one moved' => [[...$weekly, ...$changed('DTSTART:20260319T140000Z', 'DTEND:20260319T150000Z')], ['Wed 11 09:00–10:00 Committee', 'Thu 19 14:00–15:00 Committee', 'Wed 25 09:00–10:00 Committee']],
            'one called off' => [[...$weekly, ...$changed('DTSTART:20260318T090000Z', 'DTEND:20260318T100000Z', 'STATUS:CANCELLED')], ['Wed 11 09:00–10:00 Committee', 'Wed 25 09:00–10:00 Committee']],
            'only a changed one in the file' => [$changed('DTSTART:20260319T140000Z', 'DTEND:20260319T150000Z'), ['Thu 19 14:00–15:00 Committee']],
            'across the clock change by the wall clock' => [$event('DTSTART;TZID=Europe/Lisbon:20260327T090000', 'DTEND;TZID=Europe/Lisbon:20260327T100000', 'RRULE:FREQ=DAILY;COUNT=4'), ['Fri 27 09:00–10:00 Committee', 'Sat 28 09:00–10:00 Committee', 'Sun 29 09:00–10:00 Committee', 'Mon 30 09:00–10:00 Committee']],
            'every last Friday' => [$event('DTSTART:20260130T090000Z', 'DTEND:20260130T100000Z', 'RRULE:FREQ=MONTHLY;BYDAY=-1FR;UNTIL=20260430T235959Z'), ['Fri 30 09:00–10:00 Committee', 'Fri 27 09:00–10:00 Committee', 'Fri 27 09:00–10:00 Committee', 'Fri 24 10:00–11:00 Committee']],
            'no name' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'END:VEVENT'], ['Wed 11 09:00–10:00 Untitled']],
            'a name of another system for the zone' => [$event('DTSTART;TZID=GTB Standard Time:20260311T110000', 'DURATION:PT1H'), ['Wed 11 09:00–10:00 Committee']],
            'a zone that only the file describes' => [['BEGIN:VTIMEZONE', 'TZID:Our house', 'BEGIN:STANDARD', 'DTSTART:19701025T040000', 'TZOFFSETFROM:+0300', 'TZOFFSETTO:+0200', 'END:STANDARD',
                'BEGIN:DAYLIGHT', 'DTSTART:19700329T030000', 'TZOFFSETFROM:+0200', 'TZOFFSETTO:+0300', 'END:DAYLIGHT', 'END:VTIMEZONE', ...$event('DTSTART;TZID=Our house:20260311T110000', 'DURATION:PT1H')], ['Wed 11 09:00–10:00 Committee']],
        ];
    }

    #[Test]
    public function bringing_the_same_file_in_again_changes_nothing_and_a_changed_one_only_what_changed(): void
    {
        $committee = ['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Committee', 'DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z', 'END:VEVENT'];
        $round = ['BEGIN:VEVENT', 'UID:2', 'SUMMARY:Round', 'DTSTART:20260311T110000Z', 'DTEND:20260311T120000Z', 'END:VEVENT'];
        $this->bringIn([...$committee, ...$round])->assertSee('2 new, 0 changed');
        $ids = Occurrence::query()->pluck('id')->all();

        $this->bringIn([...$committee, ...$round])->assertSee('0 new, 0 changed, 2 as they were');
        self::assertSame($ids, Occurrence::query()->pluck('id')->all());

        $committee[3] = 'DTSTART:20260311T093000Z';
        $this->bringIn([...$committee, ...$round])->assertSee('0 new, 1 changed, 1 as they were');
        self::assertSame(['Wed 11 09:30–10:00 Committee', 'Wed 11 11:00–12:00 Round'], $this->meetings());
    }

    /** @param  list<string>  $broken */
    #[Test]
    #[DataProvider('brokenEvents')]
    public function a_broken_event_is_named_with_its_line_and_the_rest_is_taken(array $broken, string $said): void
    {
        $good = ['BEGIN:VEVENT', 'UID:good', 'SUMMARY:Round', 'DTSTART:20260311T110000Z', 'DTEND:20260311T120000Z', 'END:VEVENT'];

        $this->bringIn([...$broken, ...$good])->assertSee('line 4')->assertSee($said, false);

        self::assertSame(['Wed 11 11:00–12:00 Round'], $this->meetings());
    }

    /** @return array<string, array{list<string>, string}> */
    public static function brokenEvents(): array
    {
        return [
            'no start' => [['BEGIN:VEVENT', 'UID:1', 'SUMMARY:X', 'END:VEVENT'], 'it has no start'],
            'no date' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260231T090000Z', 'END:VEVENT'], 'DTSTART is no date or time: “20260231T090000Z”'],
            'no end' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z'], 'an event begins here and does not end'],
            'backwards' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'DTEND:20260311T080000Z', 'END:VEVENT'], 'it ends before it starts'],
            'for ever' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'DTEND:20360311T080000Z', 'END:VEVENT'], 'it lasts longer than a year'],
            'each second' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'DURATION:PT1H', 'RRULE:FREQ=SECONDLY', 'END:VEVENT'], 'it repeats too often'],
            'each hour' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'DURATION:PT1H', 'RRULE:FREQ=HOURLY', 'END:VEVENT'], 'it repeats too often'],
            'nowhere' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART;TZID=Mars/Olympus:20260311T090000', 'END:VEVENT'], 'its time zone “Mars/Olympus” is unknown'],
            'never' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'RRULE:FREQ=SOMETIMES', 'END:VEVENT'], 'its rule has no frequency'],
            'the twenty-fifth hour' => [['BEGIN:VEVENT', 'UID:1', 'DTSTART:20260311T090000Z', 'RRULE:FREQ=DAILY;BYHOUR=25', 'END:VEVENT'], 'its rule has “25” for BYHOUR'],
        ];
    }

    #[Test]
    public function a_broken_line_costs_that_line_and_not_the_event(): void
    {
        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Round', 'what is this', 'DTSTART:20260311T110000Z', 'DTEND:20260311T120000Z', 'END:VEVENT'])->assertSee('line 7')->assertSee('“what is this”')->assertSee('1 new, 0 changed, 0 as they were.');
        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Round', 'what is this', 'DTSTART:20260311T110000Z', 'DTEND:20260311T120000Z', 'END:VEVENT'])->assertSee('0 new, 0 changed, 1 as they were.');

        self::assertSame(['Wed 11 11:00–12:00 Round'], $this->meetings());
    }

    #[Test]
    public function a_thousand_years_of_days_take_no_longer_than_the_part_that_matters(): void
    {
        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Bells', 'DTSTART:10260311T120000', 'DURATION:PT15M', 'RRULE:FREQ=DAILY;UNTIL=30260311T120000', 'END:VEVENT']);

        self::assertSame(TakeEvents::DAYS_BACK + TakeEvents::DAYS_AHEAD, Occurrence::query()->count());
        self::assertSame('12:00', Occurrence::query()->orderBy('starts_at')->firstOrFail()->starts_at->setTimezone('Europe/Lisbon')->format('H:i'));
    }

    #[Test]
    public function a_repeating_meeting_goes_on_as_time_does(): void
    {
        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Committee', 'DTSTART:20260311T090000Z', 'DURATION:PT1H', 'RRULE:FREQ=WEEKLY', 'END:VEVENT']);
        $last = (string) Occurrence::query()->max('starts_at');

        $this->at('2026-09-01 09:00');
        $this->artisan('nekto:minute')->assertSuccessful();

        self::assertGreaterThan($last, (string) Occurrence::query()->max('starts_at'));
    }

    #[Test]
    public function who_moves_to_another_zone_has_whole_days_and_floating_times_there(): void
    {
        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Fair', 'DTSTART;VALUE=DATE:20260312', 'END:VEVENT', 'BEGIN:VEVENT', 'UID:2', 'SUMMARY:Bells', 'DTSTART:20260312T120000', 'DURATION:PT1H', 'END:VEVENT']);
        $this->artisan('nekto:minute');
        $ids = Occurrence::query()->pluck('id')->all();

        app(Journal::class)->record($this->ines, RevisionCause::Changed, now()->toImmutable(), fn () => $this->ines->update(['zone' => 'America/New_York']));
        $this->at('2026-03-11 08:01');
        $this->artisan('nekto:minute')->assertSuccessful();
        self::assertSame(['2026-03-12 04:00', '2026-03-12 16:00'], Occurrence::query()->orderBy('starts_at')->get()->map(static fn (Occurrence $one): string => $one->starts_at->format('Y-m-d H:i'))->all());
        self::assertSame($ids, Occurrence::query()->pluck('id')->all());

        $this->post('/plan/undo');
        $this->at('2026-03-11 08:02');
        $this->artisan('nekto:minute');
        self::assertSame('2026-03-12 00:00', Occurrence::query()->orderBy('starts_at')->firstOrFail()->starts_at->format('Y-m-d H:i'));
    }

    #[Test]
    public function what_lies_before_the_window_is_history_and_stays(): void
    {
        $weekly = ['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Committee', 'DTSTART:20260211T090000Z', 'DURATION:PT1H', 'RRULE:FREQ=WEEKLY', 'END:VEVENT'];
        $this->bringIn($weekly);
        $this->at('2026-06-20 08:00');
        $weekly[2] = 'SUMMARY:Board';
        $this->bringIn($weekly);

        $by = Occurrence::query()->orderBy('starts_at')->get();
        self::assertSame(['2026-02-11 Committee', '2026-04-15 Committee', '2026-04-22 Board'], [$by[0]?->starts_at->format('Y-m-d ').$by[0]?->summary, $by[9]?->starts_at->format('Y-m-d ').$by[9]?->summary, $by[10]?->starts_at->format('Y-m-d ').$by[10]?->summary]);
    }

    #[Test]
    #[DataProvider('noCalendars')]
    public function what_is_no_calendar_is_said_in_plain_words(string $content, string $said): void
    {
        $this->followingRedirects()->from('/meetings')->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('x.ics', $content)])
            ->assertOk()->assertSee($said);
        self::assertSame(0, $this->ines->intakes()->count());
    }

    /** @return list<array{string, string}> */
    public static function noCalendars(): array
    {
        return [
            ['Dear Ines, here is the calendar.', 'This is no calendar file'], ["\x89PNG\r\n\x1a\n\0\0\0", 'This is no calendar file'],
            ["BEGIN:VCALENDAR\r\n\0", 'This is no calendar file'], ['', 'This is no calendar file'],
            ["BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n", 'The calendar has no events'],
        ];
    }

    #[Test]
    public function a_file_of_50_megabytes_is_refused_before_it_is_looked_at(): void
    {
        $this->followingRedirects()->from('/meetings')->post('/meetings', ['calendar' => UploadedFile::fake()->create('big.ics', 50_000)])
            ->assertSee('The file is larger than 10 MB');
        $this->post('/meetings', [])->assertSessionHasErrors('calendar');
    }

    #[Test]
    public function a_request_over_the_servers_own_limit_is_told_the_same(): void
    {
        $this->call('POST', '/meetings', server: ['CONTENT_LENGTH' => 900_000_000_000])->assertRedirect('/meetings?refused=too_large');
        $this->get('/meetings?refused=too_large')->assertSee('The file is larger than 10 MB');
    }

    #[Test]
    public function old_encodings_and_line_ends_are_read_too(): void
    {
        $text = mb_convert_encoding("BEGIN:VCALENDAR\rBEGIN:VEVENT\rUID:1\rSUMMARY:Café Tomás\rDTSTART:20260311T090000Z\rDURATION:PT1H\rEND:VEVENT\rEND:VCALENDAR\r", 'Windows-1252');
        $this->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('x.ics', $text)]);

        self::assertSame(['Wed 11 09:00–10:00 Café Tomás'], $this->meetings());
    }

    #[Test]
    public function a_new_meeting_moves_the_block_it_lies_on(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 14:00', '2026-03-11 15:00');

        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Lighting review', 'DTSTART:20260311T143000Z', 'DURATION:PT1H', 'END:VEVENT']);

        self::assertSame(['Wed 13:30–14:30 Essay'], $this->plan());
        $this->get('/shape')->assertSee('Lighting review, 14:30–15:30, took its place.');
    }

    #[Test]
    public function a_meeting_can_be_planned_over_and_needs_time_to_get_there(): void
    {
        $this->bringIn(['BEGIN:VEVENT', 'UID:1', 'SUMMARY:Review', 'DTSTART:20260311T093000Z', 'DURATION:PT1H', 'END:VEVENT']);
        $meeting = $this->ines->meetings()->sole();
        $this->task('Essay', minutes: 60);

        $this->patch("/meetings/{$meeting->id}", ['lead_minutes' => '15']);
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 10:30–11:30 Essay'], $this->plan(), 'an hour is done in one go');

        $this->patch("/meetings/{$meeting->id}", ['ignored' => '1']);
        $this->post('/plan/lay-out');
        self::assertSame(['Wed 09:00–10:00 Essay'], $this->plan());
        $this->patch("/meetings/{$meeting->id}", ['lead_minutes' => '-3'])->assertSessionHasErrors('lead_minutes');
    }

    #[Test]
    public function many_events_come_in_step_by_step_with_progress_and_an_abandoned_import_is_finished_by_the_worker(): void
    {
        $lines = [];
        for ($i = 0; $i < 600; $i++) {
            array_push($lines, 'BEGIN:VEVENT', "UID:{$i}", "SUMMARY:Meeting {$i}", 'DTSTART:20260311T090000Z', 'DURATION:PT1H', 'END:VEVENT');
        }
        Queue::fake();
        $this->upload($lines);
        $import = $this->ines->intakes()->sole();
        $step = static fn () => (new TakeIn($import->id))->handle();
        $this->get("/meetings/imports/{$import->id}")->assertSee('Being read')->assertSee('aria-valuenow="0"', false)->assertSee('data-watch', false);
        $step();
        $this->get("/meetings/imports/{$import->id}")->assertSee('0 of 600');
        $step();
        $this->get("/meetings/imports/{$import->id}")->assertSee('200 of 600')->assertSee('aria-valuenow="33"', false);
        self::assertSame(200, $this->ines->meetings()->count());
        Queue::assertPushed(TakeIn::class, 3); // each step asks for the next one

        $this->at('2026-03-11 08:10');
        $this->artisan('nekto:minute');
        Queue::assertPushed(TakeIn::class, 4); // a worker may have died over it
        for ($i = 0; $i < 2; $i++) {
            $step();
        }
        self::assertNotNull($import->refresh()->finished_at);
        self::assertSame([600, 600, null, null], [$this->ines->meetings()->count(), $import->added, $import->path, $import->parts]);
        self::assertSame([], Storage::files('intake'));
    }

    /**
     * @param  list<string>  $lines
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function bringIn(array $lines): TestResponse
    {
        $this->upload($lines);
        $id = $this->ines->intakes()->latest('id')->value('id');

        return $this->get("/meetings/imports/{$id}")->assertOk();
    }

    /** @param  list<string>  $lines */
    private function upload(array $lines): void
    {
        $text = implode("\r\n", ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Test//EN', ...$lines, 'END:VCALENDAR', '']);
        $this->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('calendar.ics', $text)])->assertSessionHasNoErrors();
    }

    /** @return list<string> */
    private function meetings(): array
    {
        return array_values($this->ines->occurrences()->orderBy('starts_at')->get()->map(static fn (Occurrence $one): string => sprintf(
            '%s–%s %s%s',
            $one->starts_at->setTimezone('Europe/Lisbon')->format('D j H:i'),
            $one->ends_at->setTimezone('Europe/Lisbon')->format('H:i'),
            $one->summary,
            $one->busy && $one->answer !== Answer::Declined ? '' : ' (free)',
        ))->all());
    }
}
