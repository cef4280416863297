<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Calendars\Fetch;
use App\Calendars\FetchCalendar;
use App\Models\Calendar;
use App\Models\Occurrence;
use App\Models\RevisionCause;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** A calendar that is followed by its address, through all that its server may do. */
final class FollowedCalendarTest extends FeatureTestCase
{
    private SimulatedServer $server;

    private Calendar $calendar;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->server = SimulatedServer::start();
        $this->server->shelf->put('museum', "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Test//EN\r\nX-WR-CALNAME:Museum\r\nEND:VCALENDAR\r\n");
        $this->server->shelf->add('museum', 'committee', 'Loans committee', '20260311T140000Z', '20260311T150000Z');
        $this->server->shelf->add('museum', 'proofs', 'Catalogue proofs', '20260312T100000Z', '20260312T110000Z');
        $this->app->instance(Fetch::class, $this->server->fetch());
        $this->post('/calendars', ['address' => $this->server->address('museum')])->assertRedirect('/meetings');
        $this->calendar = $this->ines->calendars()->sole();
    }

    protected function tearDown(): void
    {
        $this->server->stop();
        parent::tearDown();
    }

    #[Test]
    public function it_is_followed_from_its_first_answer_to_its_last_meeting(): void
    {
        $essay = $this->task('Essay');
        self::assertSame(['Museum', ['Wed 11 14:00 Loans committee', 'Thu 12 10:00 Catalogue proofs']], [$this->calendar->name, $this->meetings()]);
        $this->block($essay, '2026-03-11 15:00', '2026-03-11 16:00');
        $digest = $this->calendar->digest;

        $this->look(); // nothing is new
        self::assertSame([1, $digest, null], [$this->ines->intakes()->count(), $this->calendar->refresh()->digest, $this->calendar->why]);

        $this->server->shelf->add('museum', 'late', 'Lighting round', '20260311T153000Z', '20260311T163000Z');
        $this->look();
        self::assertSame(['Wed 11 14:00 Loans committee', 'Wed 11 15:30 Lighting round', 'Thu 12 10:00 Catalogue proofs'], $this->meetings());
        self::assertSame(['Wed 09:00–10:00 Essay'], $this->plan(), 'the plan goes around what came');
        self::assertSame(RevisionCause::Fetched, $this->ines->planRevisions()->latest('id')->firstOrFail()->cause);
        $this->get('/shape')->assertSee('Lighting round, 15:30–16:30, took its place.');

        $ids = Occurrence::query()->pluck('id', 'summary')->all();
        $this->server->shelf->move('museum', 'proofs', 90);
        $this->look();
        self::assertSame('Thu 12 11:30 Catalogue proofs', $this->meetings()[2]);
        self::assertSame($ids, Occurrence::query()->pluck('id', 'summary')->all(), 'its page is the same');

        $this->server->shelf->cancel('museum', 'late');
        $this->look();
        self::assertSame(['Wed 11 14:00 Loans committee', 'Thu 12 11:30 Catalogue proofs'], $this->meetings());

        $this->server->shelf->remove('museum', 'committee');
        $this->look();
        self::assertSame(['Thu 12 11:30 Catalogue proofs'], $this->meetings());
        $this->get('/shape')->assertSee('Loans committee is no more in Museum.');
        $gone = $ids['Loans committee'];
        $this->post("/occurrences/{$gone}/note", ['note' => 'What was being written.'])->assertSessionHasNoErrors();
        $this->get("/occurrences/{$gone}")->assertSee('It is no more in Museum')->assertSee('What was being written.')->assertDontSee('Plan over it');
        $this->post('/plan/undo'); // of the note
        $this->post('/plan/undo');
        self::assertSame(['Wed 11 14:00 Loans committee', 'Thu 12 11:30 Catalogue proofs'], $this->meetings(), 'brought back');
        $this->server->shelf->move('museum', 'proofs', 30);
        $this->look();
        self::assertSame(['Wed 11 14:00 Loans committee', 'Thu 12 12:00 Catalogue proofs'], $this->meetings(), 'and it stays, though its source has it no more');

        $this->server->shelf->clear('museum');
        $this->look();
        self::assertSame(['Wed 11 14:00 Loans committee'], $this->meetings(), 'an emptied calendar empties, but for what was brought back by hand');
        $this->get('/search?q=proofs')->assertDontSee('found-meetings-', false);
        $this->followingRedirects()->get('/meetings/'.$this->ines->meetings()->where('uid', 'committee')->value('id'))->assertSee('Loans committee')->assertSee('Plan over it');
    }

    /** @param  int  $next  minutes until it is asked again */
    #[Test]
    #[DataProvider('failures')]
    public function what_is_no_good_answer_is_said_and_the_last_good_copy_counts(string $manner, string $said, int $next = 15): void
    {
        $this->app->instance(Fetch::class, $this->server->fetch(2));
        $this->server->shelf->behave('museum', $manner);

        $this->look();

        $calendar = $this->calendar->refresh();
        self::assertStringContainsString($said, (string) $calendar->why);
        self::assertSame([1, $next], [$calendar->failures, (int) now()->diffInMinutes($calendar->next_at)]);
        self::assertSame(['Wed 11 14:00 Loans committee', 'Thu 12 10:00 Catalogue proofs'], $this->meetings());
        $this->get('/meetings')->assertSee('Not fetched since 08:00.')->assertSee('Change the address')->assertSee('Try now')->assertSee('Write to the keeper');

        $this->server->shelf->behave('museum', 'well');
        $this->server->shelf->remove('museum', 'proofs');
        $this->post("/calendars/{$calendar->id}/fetch");
        self::assertSame([null, 0, ['Wed 11 14:00 Loans committee']], [$calendar->refresh()->why, $calendar->failures, $this->meetings()]);
    }

    /** @return array<string, array{string, string, 2?: int}> */
    public static function failures(): array
    {
        return [
            'gone' => ['missing', 'answers “404, not found”'],
            'a fault' => ['down', 'answers “500, internal server error”'],
            'not now' => ['busy', 'answers “503, service unavailable”', 120],
            'a password' => ['locked', 'it wants a name and a password'],
            'a page' => ['rubbish', 'is no calendar'],
            'cut off' => ['cut', 'broke off before its end'],
            'a line a second' => ['slow', 'no whole answer within 2 seconds'],
            'a circle' => ['circle', 'leads in a circle'],
            'on and on' => ['onward', 'leads on and on'],
            'to an inner address' => ['inward', 'is not on the public network'],
            'without an end' => ['endless', 'larger than 2 MB'],
            'half a gigabyte in a nutshell' => ['bomb', 'larger than 2 MB'],
        ];
    }

    #[Test]
    public function a_server_that_is_down_is_asked_ever_more_seldom(): void
    {
        $this->server->shelf->behave('museum', 'down');
        $waits = [];
        for ($i = 0; $i < 9; $i++) {
            $this->look();
            $waits[] = (int) now()->diffInMinutes($this->calendar->refresh()->next_at);
        }

        self::assertSame([15, 30, 60, 120, 240, 480, 960, 1440, 1440], $waits);
    }

    #[Test]
    public function it_is_looked_at_when_its_time_has_come_and_as_often_as_it_wishes(): void
    {
        $this->server->shelf->put('museum', str_replace('X-WR-CALNAME:Museum', "REFRESH-INTERVAL;VALUE=DURATION:PT1H\r\nX-WR-CALNAME:Museum", $this->server->shelf->text('museum')));
        $this->artisan('nekto:minute');
        self::assertNull($this->calendar->refresh()->every, 'its time has not come');

        $this->at('2026-03-11 08:15');
        $this->artisan('nekto:minute');
        $this->at('2026-03-11 08:30');
        $this->artisan('nekto:minute');
        self::assertSame([60, '2026-03-11 09:30'], [$this->calendar->refresh()->every, $this->ines->local($this->calendar->next_at)->format('Y-m-d H:i')]);
    }

    #[Test]
    public function accounts_take_turns_however_much_one_of_them_asks_for(): void
    {
        $wim = $this->person('wim@example.org');
        foreach (range(1, 5) as $i) {
            $this->ines->calendars()->create(['kind' => 'address', 'name' => "Many {$i}", 'address' => $this->server->address('museum'), 'next_at' => now()]);
        }
        $his = $wim->calendars()->create(['kind' => 'address', 'name' => 'His', 'address' => $this->server->address('museum'), 'next_at' => now()]);
        Queue::fake();
        FetchCalendar::handOver(now()->toImmutable());
        Queue::assertPushed(FetchCalendar::class, 6);

        foreach (range(1, 2) as $i) {
            (new FetchCalendar)->handle(app(Fetch::class));
        }
        self::assertNotNull($his->refresh()->fetched_at, 'his is the second, not the last');
        self::assertSame(2, Calendar::query()->whereNotNull('fetched_at')->where('id', '!=', $this->calendar->id)->count());
    }

    #[Test]
    public function what_is_asked_first_is_asked_first(): void
    {
        $this->ines->update(['mend_asks' => true]);
        $this->block($this->task('Essay'), '2026-03-11 15:00', '2026-03-11 16:00');
        $this->server->shelf->add('museum', 'late', 'Lighting round', '20260311T153000Z', '20260311T163000Z');

        $this->look();

        self::assertSame(['Wed 15:00–16:00 Essay'], $this->plan());
        $this->get('/shape')->assertSee('The plan needs mending');
    }

    #[Test]
    public function the_same_meeting_in_two_calendars_is_two_and_what_was_held_stays_held(): void
    {
        $this->server->shelf->put('second', str_replace('Museum', 'Second', $this->server->shelf->text('museum')));
        $this->post('/calendars', ['address' => $this->server->address('second')]);
        self::assertCount(4, $this->meetings());

        $this->at('2026-03-11 16:00');
        $this->server->shelf->clear('museum');
        $this->look();
        self::assertSame(['Wed 11 14:00 Loans committee', 'Wed 11 14:00 Loans committee', 'Thu 12 10:00 Catalogue proofs'], $this->meetings());
    }

    #[Test]
    public function what_has_been_gone_for_long_is_cleared_away_and_what_was_held_is_not(): void
    {
        $this->server->shelf->remove('museum', 'proofs');
        $this->at('2026-03-11 16:00');
        $this->server->shelf->remove('museum', 'committee');
        $this->look();
        $this->at('2026-05-20 08:00');
        $this->artisan('nekto:minute');

        self::assertSame(['Loans committee'], \Illuminate\Support\Facades\DB::table('occurrences')->pluck('summary')->all());
    }

    #[Test]
    public function an_address_that_is_none_is_refused_where_it_was_typed(): void
    {
        foreach (['' => 'This is no address', 'ftp://example.org/a.ics' => 'This is no address', 'https://' => 'This is no address', 'javascript:alert(1)' => 'This is no address', "https://a b.example/\nx" => 'This is no address', $this->server->address('museum') => 'is followed already: Museum'] as $address => $said) {
            $this->from('/meetings')->followingRedirects()->post('/calendars', ['address' => $address])->assertSee($said);
        }
        self::assertSame(1, $this->ines->calendars()->count());
    }

    #[Test]
    public function its_address_is_changed_and_a_letter_is_written_to_its_keeper(): void
    {
        $this->server->shelf->behave('museum', 'missing');
        $this->look();
        $this->calendar->meetings()->update(['organizer' => 'adaeze@harrow-lane.example']);
        $this->followingRedirects()->post("/calendars/{$this->calendar->id}/keeper")->assertSee('The letter to adaeze@harrow-lane.example lies in your outbox.')->assertSee('404, not found');

        $this->server->shelf->put('moved', $this->server->shelf->text('museum'));
        $this->server->shelf->remove('moved', 'proofs');
        $this->patch("/calendars/{$this->calendar->id}", ['address' => $this->server->address('moved')])->assertSessionHasNoErrors();
        self::assertSame([null, ['Wed 11 14:00 Loans committee']], [$this->calendar->refresh()->why, $this->meetings()]);
        self::assertStringNotContainsString('moved.ics', (string) \Illuminate\Support\Facades\DB::table('calendars')->value('address'), 'it is kept encrypted');
    }

    private function look(): void
    {
        FetchCalendar::ask(new Collection([$this->calendar]), now()->toImmutable());
    }

    /** @return list<string> */
    private function meetings(): array
    {
        return array_values($this->ines->occurrences()->orderBy('starts_at')->orderBy('id')->get()->map(static fn (Occurrence $one): string => $one->starts_at->setTimezone('Europe/Lisbon')->format('D j H:i ').$one->summary)->all());
    }
}
