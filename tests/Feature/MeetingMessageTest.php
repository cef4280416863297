<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Calendars\Calendars;
use App\Models\CalendarKind;
use App\Models\Occurrence;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Sabre\VObject\Reader;

/** Messages about meetings as they come by mail (RFC 5546, RFC 6047), and the answers that go out. */
final class MeetingMessageTest extends FeatureTestCase
{
    private const WEEKLY = ['DTSTART:20260311T140000Z', 'DTEND:20260311T150000Z', 'RRULE:FREQ=WEEKLY;COUNT=3'];

    private int $mails = 0;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    #[Test]
    public function an_invitation_comes_into_the_plan_and_is_answered_from_the_message(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 14:00', '2026-03-11 15:00');
        $this->mail('REQUEST', self::WEEKLY);

        self::assertSame(['Wed 11 14:00 Committee ?', 'Wed 18 14:00 Committee ?', 'Wed 25 14:00 Committee ?'], $this->meetings());
        self::assertSame(['Wed 09:00–10:00 Essay'], $this->plan(), 'what is not answered blocks, unless its calendar says otherwise');
        $this->get('/messages/1')->assertSee('Committee')->assertSee('is in')->assertSee('By mail')->assertSee('not answered yet');
        self::assertSame(CalendarKind::Here, $this->ines->calendars()->sole()->kind);

        $first = $this->ines->occurrences()->orderBy('starts_at')->firstOrFail();
        $this->post("/occurrences/{$first->id}/answer", ['answer' => 'accepted', 'whole' => '1'])->assertSessionHas('status', 'Going: Committee. The answer is in your outbox.');
        self::assertSame(['Wed 11 14:00 Committee', 'Wed 18 14:00 Committee', 'Wed 25 14:00 Committee'], $this->meetings());
    }

    #[Test]
    public function the_answer_is_a_valid_message_to_the_organizer(): void
    {
        $this->mail('REQUEST', [...self::WEEKLY, 'SEQUENCE:2']);
        $second = $this->ines->occurrences()->orderBy('starts_at')->skip(1)->firstOrFail();

        $this->post("/occurrences/{$second->id}/answer", ['answer' => 'declined']);

        $mail = $this->ines->outboxMails()->sole();
        self::assertSame(['adaeze@example.org', 'Not going: Committee'], [$mail->to, $mail->subject]);
        self::assertMatchesRegularExpression('~^From: Ines Moura <moura@example.org>\r?$~m', $mail->source);
        self::assertMatchesRegularExpression('~^Content-Type: text/calendar; method=REPLY; charset=utf-8\r?$~mi', $mail->source);
        preg_match('~text/calendar.*?\r\n\r\n(.*?)\r\n--~s', $mail->source, $part);
        $calendar = Reader::read(quoted_printable_decode($part[1]));
        self::assertSame([], array_filter(array_map(static fn (array $fault): string => $fault['message'], $calendar->validate()), static fn (string $fault): bool => ! str_contains($fault, 'ORGANIZER')));
        $event = $calendar->VEVENT;
        self::assertSame(['REPLY', 'm1@example.org', '2', '20260318T140000Z', 'DECLINED', 'mailto:moura@example.org', 'mailto:adaeze@example.org'], [
            (string) $calendar->METHOD, (string) $event->UID, (string) $event->SEQUENCE, (string) $event->{'RECURRENCE-ID'}, (string) $event->ATTENDEE['PARTSTAT'], (string) $event->ATTENDEE, (string) $event->ORGANIZER,
        ]);
        self::assertSame(['Wed 11 14:00 Committee ?', 'Wed 18 14:00 Committee –', 'Wed 25 14:00 Committee ?'], $this->meetings(), 'declined, it takes no time');
        $this->get('/meetings')->assertSee('answer it');
    }

    /**
     * @param  list<array{string, list<string>}>  $messages  method and lines, one after another
     * @param  list<string>  $expected
     */
    #[Test]
    #[DataProvider('messages')]
    public function what_comes_later_changes_what_it_is_about(array $messages, array $expected): void
    {
        $this->mail('REQUEST', [...self::WEEKLY, 'SEQUENCE:1']);
        foreach ($messages as [$method, $lines]) {
            $this->mail($method, $lines);
        }

        self::assertSame($expected, $this->meetings());
    }

    /** @return array<string, array{list<array{string, list<string>}>, list<string>}> */
    public static function messages(): array
    {
        $one = static fn (string ...$lines): array => ['RECURRENCE-ID:20260318T140000Z', 'SEQUENCE:1', ...$lines];
        $all = ['Wed 11 14:00 Committee ?', 'Wed 18 14:00 Committee ?', 'Wed 25 14:00 Committee ?'];

        return [
            'one called off' => [[['CANCEL', $one('DTSTART:20260318T140000Z')]], [$all[0], $all[2]]],
            'one moved' => [[['REQUEST', $one('DTSTART:20260319T090000Z', 'DTEND:20260319T100000Z')]], [$all[0], 'Thu 19 09:00 Committee ?', $all[2]]],
            'all called off' => [[['CANCEL', ['DTSTART:20260311T140000Z', 'SEQUENCE:2']]], []],
            'called off by somebody else' => [[['CANCEL', ['DTSTART:20260311T140000Z', 'SEQUENCE:2', 'ORGANIZER:mailto:mallory@example.org']]], $all],
            'an older one that came late' => [[['REQUEST', ['DTSTART:20260311T100000Z', 'DTEND:20260311T110000Z', 'SEQUENCE:0']]], $all],
            'a newer one' => [[['REQUEST', ['DTSTART:20260311T100000Z', 'DTEND:20260311T110000Z', 'SEQUENCE:2']]], ['Wed 11 10:00 Committee ?']],
            'called off and asked again' => [[['CANCEL', ['DTSTART:20260311T140000Z', 'SEQUENCE:2']], ['REQUEST', ['DTSTART:20260312T140000Z', 'DTEND:20260312T150000Z', 'SEQUENCE:3']]], ['Thu 12 14:00 Committee ?']],
            'somebody’s answer' => [[['REPLY', ['DTSTART:20260311T100000Z', 'SEQUENCE:5']]], $all],
        ];
    }

    #[Test]
    public function a_new_time_asks_again_and_an_answer_given_elsewhere_since_holds(): void
    {
        $this->mail('REQUEST', ['DTSTART:20260311T140000Z', 'DTEND:20260311T150000Z']);
        $this->post("/occurrences/{$this->ines->occurrences()->value('id')}/answer", ['answer' => 'declined']);
        self::assertSame(['Wed 11 14:00 Committee –'], $this->meetings());

        $this->mail('REQUEST', ['DTSTART:20260311T160000Z', 'DTEND:20260311T170000Z', 'SEQUENCE:1']);
        self::assertSame(['Wed 11 16:00 Committee ?'], $this->meetings());
    }

    #[Test]
    public function what_a_message_says_of_a_followed_meeting_holds_until_its_source_knows_it(): void
    {
        $event = static fn (string $start, int $sequence): string => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:m1@example.org\r\nSEQUENCE:{$sequence}\r\nSUMMARY:Committee\r\nORGANIZER:mailto:adaeze@example.org\r\nDTSTART:{$start}\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $take = fn (string $text) => Calendars::take(Calendars::ofFile($this->ines, 'museum.ics', now()->toImmutable()), 'museum.ics', $text, now()->toImmutable());
        $take($event('20260311T140000Z', 0));
        $this->mail('REQUEST', ['DTSTART:20260311T160000Z', 'DTEND:20260311T170000Z', 'SEQUENCE:1']);
        self::assertSame(1, $this->ines->meetings()->count());

        $take($event('20260311T140000Z', 0));
        self::assertSame(['Wed 11 16:00 Committee ?'], $this->meetings(), 'the source lags behind');
        $take($event('20260311T170000Z', 2));
        self::assertSame(['Wed 11 17:00 Committee'], $this->meetings());
    }

    #[Test]
    public function an_answer_holds_though_its_source_writes_itself_anew_and_yields_to_one_given_there(): void
    {
        $event = static fn (string $stamp, string $status): string => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:m1@example.org\r\nDTSTAMP:{$stamp}\r\nSUMMARY:Committee\r\nORGANIZER:mailto:adaeze@example.org\r\nATTENDEE;PARTSTAT={$status}:mailto:moura@example.org\r\nDTSTART:20260311T140000Z\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $take = fn (string $text) => Calendars::take(Calendars::ofFile($this->ines, 'museum.ics', now()->toImmutable()), 'museum.ics', $text, now()->toImmutable())->refresh();
        $take($event('20260301T080000Z', 'TENTATIVE'));
        $this->post("/occurrences/{$this->ines->occurrences()->value('id')}/answer", ['answer' => 'declined']);

        self::assertSame([0, 1], [($same = $take($event('20260401T080000Z', 'TENTATIVE')))->changed, $same->same()], 'only the moment of writing is another');
        $take(str_replace('SUMMARY:Committee', 'SUMMARY:Board', $event('20260402T080000Z', 'TENTATIVE')));
        self::assertSame(['Wed 11 14:00 Board –'], $this->meetings());

        $take($event('20260403T080000Z', 'ACCEPTED'));
        self::assertSame(['Wed 11 14:00 Committee'], $this->meetings());
    }

    #[Test]
    public function a_note_stays_with_its_meeting_wherever_it_is_moved(): void
    {
        $this->mail('REQUEST', self::WEEKLY);
        $second = $this->ines->occurrences()->orderBy('starts_at')->skip(1)->firstOrFail();
        $this->post("/occurrences/{$second->id}/note", ['note' => 'Two lenders come.']);

        $this->mail('REQUEST', ['RECURRENCE-ID:20260318T140000Z', 'DTSTART:20260320T090000Z', 'DTEND:20260320T100000Z']);
        $this->get("/occurrences/{$second->id}")->assertOk()->assertSee('Fri 20')->assertSee('Two lenders come.');

        $this->mail('REQUEST', ['DTSTART:20260311T150000Z', 'DTEND:20260311T160000Z', 'RRULE:FREQ=WEEKLY;COUNT=3', 'SEQUENCE:1']); // the whole an hour later
        $this->get('/occurrences/'.$this->ines->occurrences()->orderBy('starts_at')->value('id'))->assertSee('Notes of its other times')->assertSee('Two lenders come.');
    }

    #[Test]
    public function a_message_that_came_as_a_file_is_taken_as_one(): void
    {
        $this->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('invite.ics', $this->calendar('REQUEST', self::WEEKLY))])->assertRedirect();
        $this->get('/meetings/imports/'.$this->ines->intakes()->latest('id')->value('id'))->assertSee('1 new');
        $this->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('cancel.ics', $this->calendar('CANCEL', ['RECURRENCE-ID:20260318T140000Z', 'DTSTART:20260318T140000Z']))]);

        self::assertSame(['Wed 11 14:00 Committee ?', 'Wed 25 14:00 Committee ?'], $this->meetings());
    }

    /** @param  list<string>  $lines */
    private function mail(string $method, array $lines): void
    {
        $number = ++$this->mails;
        $boundary = "part{$number}";
        $mail = implode("\r\n", [
            'From: Adaeze <adaeze@example.org>', 'To: Ines Moura <moura@example.org>', "Subject: Committee {$number}", "Message-ID: <{$number}@example.org>", 'Date: Wed, 11 Mar 2026 08:00:00 +0000',
            'MIME-Version: 1.0', "Content-Type: multipart/alternative; boundary={$boundary}", '', "--{$boundary}", 'Content-Type: text/plain', '', 'Please come.', "--{$boundary}",
            "Content-Type: text/calendar; method={$method}; charset=utf-8", '', $this->calendar($method, $lines), "--{$boundary}--", '',
        ]);
        $this->post('/gather/mailbox', ['file' => UploadedFile::fake()->createWithContent('a.eml', $mail)])->assertSessionHasNoErrors();
        self::assertSame($number, $this->ines->messages()->count());
    }

    /** @param  list<string>  $lines */
    private function calendar(string $method, array $lines): string
    {
        $has = static fn (string $name): bool => array_filter($lines, static fn (string $line): bool => str_starts_with($line, $name)) !== [];

        return implode("\r\n", ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Test//EN', "METHOD:{$method}", 'BEGIN:VEVENT', 'UID:m1@example.org', 'SUMMARY:Committee', 'DTSTAMP:20260311T0'.(70000 + $this->mails).'Z',
            ...($has('ORGANIZER') ? [] : ['ORGANIZER;CN=Adaeze:mailto:adaeze@example.org']), 'ATTENDEE;PARTSTAT=NEEDS-ACTION;RSVP=TRUE:mailto:moura@example.org', ...$lines, 'END:VEVENT', 'END:VCALENDAR', '']);
    }

    /** @return list<string> with "?" where it is not answered, "–" where it was declined */
    private function meetings(): array
    {
        return array_values($this->ines->occurrences()->with('meeting.calendar')->orderBy('starts_at')->get()->map(static fn (Occurrence $one): string => $one->starts_at->setTimezone('UTC')->format('D j H:i ').$one->summary.match ($one->answer?->value) {
            'open' => ' ?', 'declined' => $one->blocks() ? ' blocks' : ' –', default => '',
        })->all());
    }
}
