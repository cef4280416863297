<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Calendars\CalendarAddress;
use App\Calendars\Calendars;
use App\Calendars\NotFetched;
use App\Calendars\PublicHost;
use App\ICalendar\CalendarSplitter;
use App\ICalendar\Facts;
use App\ICalendar\JoinLink;
use App\ICalendar\Line;
use App\Models\Calendar;
use App\Models\Occurrence;
use App\Rows\RowMapper;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use Illuminate\Support\Facades\Storage;
use Nekto\Core\Time\Interval;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** What of a calendar blocks, what it is joined by, which hosts may be asked. */
final class CalendarRulesTest extends FeatureTestCase
{
    /**
     * @param  array<string, mixed>  $calendar  columns
     * @param  list<string>  $busy  stretches of the Wednesday and Thursday that are not open
     */
    #[Test]
    #[DataProvider('settings')]
    public function each_calendar_says_what_of_it_blocks_and_what_is_kept_free_around_it(array $calendar, array $busy): void
    {
        $this->ines->update(['buffer_before' => 5]);
        $this->calendar()->update($calendar);

        $stretches = (new WorkTimeLoader)->load($this->ines->refresh(), Moments::today($this->ines, now()->toImmutable()), 2)->busy()->intervals;
        $clock = fn (int $minute): string => $this->ines->local(Moments::moment($minute))->format('D H:i');
        self::assertSame($busy, array_map(static fn (Interval $one): string => $clock($one->start).'–'.str_replace(substr($clock($one->start), 0, 4), '', $clock($one->end)), $stretches));
        foreach (Occurrence::query()->with('meeting.calendar')->get() as $one) {
            self::assertSame($one->blocks(), Occurrence::query()->blocking()->whereKey($one->id)->exists(), "{$one->summary}: the row and the query say the same");
            $time = RowMapper::withBuffers($one, $this->ines);
            $asked = Occurrence::query()->whereKey($one->id)->join('meetings', 'meetings.id', 'meeting_id')->join('calendars', 'calendars.id', 'calendar_id')->selectRaw(RowMapper::WITH_BUFFERS, [$this->ines->buffer_before, $this->ines->buffer_after])->toBase()->first();
            self::assertSame([$time->start, $time->end], [(int) $asked?->since, (int) $asked?->until], "{$one->summary}: and so with what is kept free around it");
        }
    }

    /** @return array<string, array{array<string, mixed>, list<string>}> */
    public static function settings(): array
    {
        return [
            'as it comes' => [[], ['Wed 09:55–10:30', 'Wed 11:55–12:30', 'Thu 00:00–Fri 00:00']],
            'only what is sure' => [['blocks' => 'sure'], ['Wed 09:55–10:30', 'Thu 00:00–Fri 00:00']],
            'nothing' => [['blocks' => 'none'], []],
            'whole days are only shown' => [['whole_days' => false], ['Wed 09:55–10:30', 'Wed 11:55–12:30']],
            'buffers of its own' => [['whole_days' => false, 'buffer_before' => 0, 'buffer_after' => 10], ['Wed 10:00–10:40', 'Wed 12:00–12:40']],
            'a way to its places' => [['whole_days' => false, 'travel' => 20], ['Wed 09:40–10:30', 'Wed 11:55–12:30']],
            'hidden, and blocking' => [['shown' => false, 'whole_days' => false], ['Wed 09:55–10:30', 'Wed 11:55–12:30']],
            'removed' => [['removed_at' => '2026-03-11 08:00:00'], []],
        ];
    }

    #[Test]
    public function more_meetings_than_anybody_reads_take_their_time_all_the_same(): void
    {
        $this->calendar();
        $meeting = $this->ines->meetings()->where('uid', 'Committee')->firstOrFail();
        $rows = [];
        for ($i = 0; $i < 1600; $i++) {
            $from = $this->utc('2026-03-11 09:00')->addMinutes(intdiv($i, 160) * 1440 + $i % 160);
            $rows[] = ['user_id' => $this->ines->id, 'meeting_id' => $meeting->id, 'summary' => 'One', 'starts_at' => $from->toDateTimeString(), 'ends_at' => $from->addMinute()->toDateTimeString()];
        }
        array_map(\Illuminate\Support\Facades\DB::table('occurrences')->insert(...), array_chunk($rows, 100));

        $time = (new WorkTimeLoader)->load($this->ines->refresh(), Moments::today($this->ines, now()->toImmutable()), 14);
        self::assertCount(1500, $time->occurrences);
        $last = $this->utc('2026-03-20 09:00');
        self::assertTrue($time->busy()->engulfs(new Interval(Moments::minute($last), Moments::minute($last->addMinutes(160)))), 'the tenth day is full, though it is not read whole');
        self::assertTrue($time->on(\Nekto\Core\Time\LocalDay::fromString('2026-03-20'))->busy()->engulfs(new Interval(Moments::minute($last), Moments::minute($last->addMinutes(160)))));
    }

    #[Test]
    public function a_hidden_calendar_is_drawn_without_its_names_and_one_press_hides_a_group(): void
    {
        $calendar = $this->calendar();
        $group = $this->ines->calendarGroups()->create(['name' => 'Work']);
        $this->patch("/calendars/{$calendar->id}", ['group_id' => (string) $group->id, 'name' => 'Museum'])->assertSessionHasNoErrors();
        $this->get('/shape')->assertSee('Committee');

        $this->patch("/calendar-groups/{$group->id}", ['shown' => '0']);
        $this->get('/shape')->assertDontSee('Committee')->assertSee('busy');
        $this->post('/plan/undo');
        $this->get('/shape')->assertSee('Committee');

        $area = $this->ines->areas()->firstOrFail();
        $this->patch("/calendar-groups/{$group->id}", ['name' => 'Office', 'areas' => ['', (string) $area->id]])->assertSessionHasNoErrors();
        self::assertSame([$group->id, 'Office'], [$area->refresh()->group_id, $group->refresh()->name]);
        $this->delete("/calendar-groups/{$group->id}");
        self::assertSame([null, null], [$area->refresh()->group_id, $calendar->refresh()->group_id]);
        $this->post('/plan/undo');
        self::assertSame([$group->id, $group->id], [$area->refresh()->group_id, $calendar->refresh()->group_id]);
    }

    #[Test]
    public function a_removed_calendar_frees_its_time_and_comes_back_whole(): void
    {
        $calendar = $this->calendar();
        $this->post('/plan/lay-out');
        $this->delete("/calendars/{$calendar->id}")->assertRedirect('/meetings');
        $this->get('/meetings')->assertDontSee('Committee');
        $this->get("/calendars/{$calendar->id}")->assertNotFound();

        $this->post('/plan/undo');
        $this->get('/meetings')->assertSee('Committee');
    }

    #[Test]
    public function what_is_typed_wrong_is_said_where_it_was_typed(): void
    {
        $calendar = $this->calendar();
        $this->from('/meetings')->patch("/calendars/{$calendar->id}", ['buffer_before' => 'soon', 'buffer_after' => '900', 'blocks' => 'some', 'name' => '', 'hatching' => '9', 'group_id' => '99'])->assertSessionHasErrors(['buffer_before', 'buffer_after', 'blocks', 'name', 'hatching', 'group_id']);
        $this->post('/calendar-groups', ['name' => ''])->assertSessionHasErrors('name');
        self::assertNull($calendar->refresh()->buffer_before);
    }

    /** @param  list<string>  $lines */
    #[Test]
    #[DataProvider('links')]
    public function the_most_likely_address_joins_a_meeting(array $lines, ?string $expected): void
    {
        self::assertSame($expected, JoinLink::of(array_map(static fn (string $line): Line => Line::read($line) ?? throw new \LogicException($line), $lines)));
    }

    /** @return array<string, array{list<string>, string|null}> */
    public static function links(): array
    {
        return [
            'said to be one' => [['DESCRIPTION:https://meet.example.org/other', 'CONFERENCE;VALUE=URI;FEATURE=VIDEO:https://example.org/x7'], 'https://example.org/x7'],
            'video before the moderator’s' => [['CONFERENCE;FEATURE=MODERATOR:https://example.org/m', 'CONFERENCE;FEATURE=VIDEO,CHAT:https://example.org/v'], 'https://example.org/v'],
            'only a telephone' => [['CONFERENCE;FEATURE=PHONE:tel:+351123'], null],
            'an extension that speaks of it' => [['X-EXAMPLE-CONFERENCE-URL:https://example.org/room7'], 'https://example.org/room7'],
            'another extension' => [['X-EXAMPLE-COLOUR:https://example.org/call/7'], null],
            'its place' => [['LOCATION:Gallery 2 or https://example.org/abc', 'URL:https://example.org/events/12'], 'https://example.org/abc'],
            'an agenda is not joined' => [['URL:https://museum.example/events/12', 'DESCRIPTION:See https://museum.example/agenda.pdf'], null],
            'in the text, among others' => [['DESCRIPTION:Agenda: https://museum.example/agenda.pdf\nJoin: https://video.example.org/room/99?pwd=a\, thanks\nHelp: https://video.example.org/help/join'], 'https://video.example.org/room/99?pwd=a'],
            'a number is a room' => [['DESCRIPTION:https://example.org/j/84123456789'], 'https://example.org/j/84123456789'],
            'nothing unsafe' => [['LOCATION:http://example.org/call', 'DESCRIPTION:javascript:alert(1) call'], null],
        ];
    }

    #[Test]
    public function who_was_asked_is_known_by_any_of_his_addresses_also_behind_a_urn(): void
    {
        $facts = static fn (string $attendee): ?string => Facts::of(['ATTENDEE' => [Line::read($attendee) ?? throw new \LogicException]], ['ines@example.org', 'urn:uuid:7b1c'])->partstat;

        self::assertSame('DECLINED', $facts('ATTENDEE;PARTSTAT=declined:MAILTO:Ines%40Example.org'));
        self::assertSame('ACCEPTED', $facts('ATTENDEE;PARTSTAT=ACCEPTED;EMAIL=ines@example.org:urn:uuid:1234'));
        self::assertSame('TENTATIVE', $facts('ATTENDEE;PARTSTAT=TENTATIVE:urn:uuid:7B1C'));
        self::assertSame('NEEDS-ACTION', $facts('ATTENDEE;CN="Moura, Ines":mailto:ines@example.org'));
        self::assertNull($facts('ATTENDEE;PARTSTAT=DECLINED:mailto:wim@example.org'));
        self::assertNull(Facts::of(['ORGANIZER' => [Line::read('ORGANIZER:mailto:ines@example.org')], 'ATTENDEE' => [Line::read('ATTENDEE:mailto:ines@example.org')]], ['ines@example.org'])->partstat, 'one’s own meeting');
    }

    #[Test]
    #[DataProvider('hosts')]
    public function only_public_hosts_are_asked(string $host, int $port, bool $isAsked): void
    {
        $names = ['calendars.example' => ['8.8.4.4'], 'inner.example' => ['8.8.4.4', '10.0.0.7'], 'six.example' => ['2a00:1450::1'], 'mapped.example' => ['::ffff:127.0.0.1'], 'localhost' => ['127.0.0.1']];
        $hosts = new PublicHost(['127.0.0.1:8001', 'lan.example'], static fn (string $name): array => $names[$name] ?? ($name === 'lan.example' ? ['192.168.1.9'] : []));
        $isAsked || $this->expectException(NotFetched::class);

        self::assertNotSame('', $hosts->address($host, $port));
    }

    /** @return list<array{string, int, bool}> */
    public static function hosts(): array
    {
        return [
            ['calendars.example', 443, true], ['six.example', 443, true], ['8.8.4.4', 443, true], ['127.0.0.1', 8001, true], ['lan.example', 443, true],
            ['127.0.0.1', 8002, false], ['inner.example', 443, false], ['mapped.example', 443, false], ['localhost', 8001, false], ['[::1]', 443, false], ['[fe80::1]', 443, false], ['169.254.169.254', 80, false],
            ['0x7f000001', 80, false], ['2130706433', 80, false], ['127.1', 80, false], ['0177.0.0.1', 80, false], ['100.64.0.1', 80, false], ['[::ffff:10.0.0.1]', 80, false], ['[64:ff9b::a00:1]', 80, false],
            ['nowhere.example', 443, false], ['a_b..example', 443, false], ['', 443, false],
        ];
    }

    #[Test]
    public function addresses_are_read_as_people_have_them(): void
    {
        self::assertSame('https://calendars.example/a.ics', CalendarAddress::of(' webcal://calendars.example/a.ics ')->url);
        self::assertSame('https://calendars.example/a.ics', CalendarAddress::of('calendars.example/a.ics#x')->url);
        self::assertSame('xn--caf-dma.example', CalendarAddress::of('https://café.example/a.ics')->host);
        $this->expectException(NotFetched::class);
        CalendarAddress::of('https://calendars.example/a')->to('http://calendars.example/a');
    }

    /** @param  \Closure(): string  $text */
    #[Test]
    #[DataProvider('hostile')]
    public function what_is_meant_to_harm_is_bounded_and_said(\Closure $text, string $said): void
    {
        Storage::fake('local');
        $good = "BEGIN:VEVENT\r\nUID:good\r\nSUMMARY:Round\r\nDTSTART:20260312T110000Z\r\nDURATION:PT1H\r\nEND:VEVENT\r\n";
        $intake = Calendars::take(Calendars::ofFile($this->ines, 'a.ics', now()->toImmutable()), 'a.ics', "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n".$text().$good."END:VCALENDAR\r\n", now()->toImmutable());

        $this->get("/meetings/imports/{$intake->id}")->assertOk()->assertSee($said);
        self::assertTrue($this->ines->meetings()->where('uid', 'good')->exists(), 'the others are taken');
    }

    /** @return array<string, array{\Closure(): string, string}> */
    public static function hostile(): array
    {
        $event = static fn (string ...$lines): string => implode("\r\n", ['BEGIN:VEVENT', 'UID:bad', 'SUMMARY:Bad', ...$lines, 'END:VEVENT', '']);
        $start = 'DTSTART:20260311T090000Z';

        return [
            'nine megabytes of description' => [static fn (): string => $event($start, 'DESCRIPTION:'.str_repeat('words ', 1_500_000)), '2 new'],
            'folded after every letter' => [static fn (): string => $event($start, 'SUMMARY:'.implode("\r\n ", str_split(str_repeat('Long', 100_000)))), '2 new'],
            'ten thousand changed instances' => [static fn (): string => $event($start, 'RRULE:FREQ=DAILY;COUNT=10000').implode('', array_map(static fn (int $i): string => $event('RECURRENCE-ID:'.gmdate('Ymd\THis\Z', 1_773_219_600 + 86_400 * $i), 'DTSTART:'.gmdate('Ymd\THis\Z', 1_773_223_200 + 86_400 * $i)), range(1, 10_000))), 'new'],
            'never' => [static fn (): string => $event($start, 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'), 'new'],
            'every second' => [static fn (): string => $event($start, 'DURATION:PT1S', 'RRULE:FREQ=SECONDLY'), 'it repeats too often'],
            'a zone of a million changes' => [static fn (): string => "BEGIN:VTIMEZONE\r\nTZID:Mad\r\nBEGIN:STANDARD\r\nDTSTART:19700101T000000\r\nTZOFFSETFROM:+0000\r\nTZOFFSETTO:+0100\r\nRRULE:FREQ=SECONDLY\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n".$event('DTSTART;TZID=Mad:20260311T090000'), 'its time zone “Mad” is unknown'],
            'a zone described by itself' => [static fn (): string => "BEGIN:VTIMEZONE\r\nTZID:Round\r\nBEGIN:STANDARD\r\nDTSTART;TZID=Round:19700101T000000\r\nTZOFFSETTO:+0100\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n".$event('DTSTART;TZID=Round:20260311T090000'), 'its time zone “Round” is unknown'],
            'a zone of nonsense' => [static fn (): string => "BEGIN:VTIMEZONE\r\nTZID:Odd\r\nBEGIN:STANDARD\r\nDTSTART:never\r\nTZOFFSETFROM:east\r\nTZOFFSETTO:west\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n".$event('DTSTART;TZID=Odd:20260311T090000'), 'its time zone “Odd” is unknown'],
            'hundreds of thousands of dates' => [static fn (): string => $event($start, 'RDATE:'.implode(',', array_fill(0, 300_000, '20260312T090000Z'))), '2 new'],
        ];
    }

    #[Test]
    public function a_description_stays_in_short(): void
    {
        $split = (new CalendarSplitter('VEVENT'))->split("BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:20260311T090000Z\r\nDESCRIPTION:".str_repeat('é', 3000)."\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");

        self::assertLessThan(1200, strlen($split['components'][0]->text));
        self::assertTrue(mb_check_encoding($split['components'][0]->text, 'UTF-8'));
    }

    private function calendar(): Calendar
    {
        $calendar = Calendars::here($this->ines);
        foreach ([['Committee', '2026-03-11 10:00', '2026-03-11 10:30', ['place' => 'Board room']], ['Perhaps', '2026-03-11 12:00', '2026-03-11 12:30', ['tentative' => true]], ['Fair', '2026-03-12 00:00', '2026-03-13 00:00', ['all_day' => true]]] as [$summary, $from, $to, $more]) {
            $calendar->meetings()->make(['uid' => $summary, 'summary' => $summary, 'source' => ''])->forceFill(['user_id' => $this->ines->id])->save();
            $calendar->meetings()->latest('id')->firstOrFail()->occurrences()->create(['user_id' => $this->ines->id, 'summary' => $summary, 'starts_at' => $this->utc($from), 'ends_at' => $this->utc($to), ...$more]);
        }

        return $calendar->refresh();
    }
}
