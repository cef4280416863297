<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Block;
use App\Models\TaskStage;
use PHPUnit\Framework\Attributes\Test;

/** Reminders: once, in time, and never for what is done. */
final class RemindTest extends FeatureTestCase
{
    #[Test]
    public function a_block_is_announced_so_many_minutes_before_once_and_in_one_window(): void
    {
        $this->ines->update(['remind_before' => 10]);
        $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');

        $this->at('2026-03-11 08:49');
        self::assertSame([], $this->said());
        $this->at('2026-03-11 08:50');
        self::assertSame(['Essay: Laid out for 09:00–10:00.'], $this->said());
        self::assertSame([], $this->said('the other window'));
        $this->at('2026-03-11 08:55');
        $this->artisan('nekto:minute');
        self::assertSame([], $this->said());
    }

    #[Test]
    public function nobody_is_reminded_of_what_is_done_moved_or_running(): void
    {
        $done = $this->block($this->task('Done'), '2026-03-11 09:00', '2026-03-11 10:00');
        $moved = $this->block($this->task('Moved'), '2026-03-11 10:00', '2026-03-11 11:00');
        $this->at('2026-03-11 08:56');
        $this->artisan('nekto:minute');
        $this->post("/blocks/{$done->id}/done");
        self::assertSame([], $this->said(), 'it came up, and was done before anybody saw it');

        $this->at('2026-03-11 09:56');
        $this->artisan('nekto:minute');
        $this->post("/blocks/{$moved->id}/send", ['to' => 'tomorrow']);
        self::assertSame([], $this->said());

        $running = $this->task('Running');
        $block = $this->block($running, '2026-03-11 14:00', '2026-03-11 15:00');
        $this->at('2026-03-11 13:50');
        $this->post("/work/start/{$running->id}", ['block' => $block->id]);
        $this->at('2026-03-11 13:57');
        self::assertSame([], $this->said());
    }

    #[Test]
    public function a_meeting_is_announced_in_time_to_get_there_with_the_address_to_join_it(): void
    {
        $this->meeting('Loans committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $this->ines->occurrences()->update(['link' => 'https://video.example.org/room/7', 'place' => 'Board room']);
        $this->ines->meetings()->update(['lead_minutes' => 15]);
        $this->ines->update(['remind_mail' => true]);

        $this->at('2026-03-11 10:44');
        self::assertSame([], $this->said());
        $this->at('2026-03-11 10:45');
        self::assertSame(['Loans committee: 11:00–12:00, Board room.'], $this->said());
        self::assertStringContainsString('https://video.example.org/room/7', $this->ines->outboxMails()->sole()->body);

        $this->ines->calendars()->update(['blocks' => 'none']);
        self::assertSame([], $this->said('second'), 'what keeps no time free is not announced');
    }

    #[Test]
    public function a_block_that_moved_is_announced_at_its_new_time(): void
    {
        $block = $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 08:56');
        self::assertCount(1, $this->said());
        $this->patch("/blocks/{$block->id}", ['day' => '2026-03-11', 'start' => '11:00', 'minutes' => 60]);
        $this->at('2026-03-11 10:56');
        self::assertSame(['Essay: Laid out for 11:00–12:00.'], $this->said());
    }

    #[Test]
    public function due_times_come_with_their_lead_and_due_dates_an_hour_before_their_hours_end(): void
    {
        $timed = $this->task('Lender agreement');
        $timed->update(['due_at' => $this->utc('2026-03-11 12:00')]);
        $this->task('Budget', dueOn: '2026-03-11');
        $this->task('Tomorrow', dueOn: '2026-03-12');

        $this->at('2026-03-11 11:54');
        self::assertSame([], $this->said());
        $this->at('2026-03-11 11:55');
        self::assertSame(['Lender agreement: Due at 12:00.'], $this->said());
        $this->at('2026-03-11 16:30');
        self::assertSame(['Budget: Due at 17:30.'], $this->said());
        $this->at('2026-03-11 19:45');
        self::assertNotContains('Budget: Due at 17:30.', $this->said());
    }

    #[Test]
    public function an_answer_that_is_waited_for_comes_up_on_its_day_and_the_close_of_the_day_at_its_hour(): void
    {
        $this->task('Floor plan')->update(['stage' => TaskStage::Waiting, 'waiting_for' => 'Tomás', 'ask_on' => '2026-03-11']);
        self::assertSame(['Floor plan: Ask Tomás again today.'], $this->said());

        $this->at('2026-03-11 17:14');
        self::assertSame([], $this->said());
        $this->at('2026-03-11 17:15');
        self::assertSame(['Close the day: Three lines, and it is over.'], $this->said());

        $this->at('2026-03-12 18:00');
        $this->post('/close', ['date' => '2026-03-12', 'close' => 1]);
        self::assertSame([], $this->said(), 'closed already');
    }

    #[Test]
    public function each_kind_can_be_switched_off_and_mail_goes_to_the_outbox(): void
    {
        $this->put('/settings', SettingsTest::RULES + ['reminds' => ['', 'due'], 'remind_mail' => 1, 'remind_before' => 15, 'close_at' => ''])->assertSessionHasNoErrors();
        self::assertSame(['due', 15, null], [$this->ines->refresh()->reminds, $this->ines->remind_before, $this->ines->close_at]);
        $this->actingAs($this->ines);
        $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->task('Grüße — an Adaeze')->update(['due_at' => $this->utc('2026-03-11 09:00')]);
        $this->at('2026-03-11 08:50');
        $this->artisan('nekto:minute');
        $this->artisan('nekto:minute');

        $mail = $this->ines->outboxMails()->sole();
        self::assertSame(['moura@example.org', 'Grüße — an Adaeze'], [$mail->to, $mail->subject]);
        self::assertStringContainsString('Due at 09:00.', $mail->body);
        $source = (string) $this->get("/outbox/{$mail->id}/source")->assertOk()->assertHeader('Content-Type', 'message/rfc822')->getContent();
        $read = \ZBateson\MailMimeParser\Message::from($source, false);
        self::assertSame('Grüße — an Adaeze', $read->getHeaderValue('Subject'));
        self::assertSame('Wed, 11 Mar 2026 08:50:00 +0000', $read->getHeaderValue('Date'));
        $this->get('/outbox')->assertSee('Grüße — an Adaeze');
        $this->get("/outbox/{$mail->id}")->assertSee('Due at 09:00.');
    }

    #[Test]
    public function wrong_settings_are_named_beside_their_fields(): void
    {
        $this->put('/settings', SettingsTest::RULES + ['rhythm_work' => 2, 'remind_before' => 'soon', 'close_at' => 'late', 'reminds' => ['everything']])
            ->assertSessionHasErrors(['rhythm_work', 'remind_before', 'close_at', 'reminds.0']);
    }

    #[Test]
    public function a_window_is_given_it_again_until_it_says_so_and_another_only_when_that_is_gone(): void
    {
        $essay = $this->task('Essay');
        $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 08:56');
        $key = $this->pulse('left while the answer was on its way')[0]['key'];
        self::assertSame([$key], array_column($this->pulse('left while the answer was on its way'), 'key'));
        self::assertSame([], $this->pulse('another'));

        $this->at('2026-03-11 08:57');
        self::assertSame([$key], array_column($this->pulse('another'), 'key'), 'the first has not asked for a minute');
        self::assertSame([], $this->pulse('left while the answer was on its way'));
        self::assertSame([], $this->pulse('another', $key));
        $this->at('2026-03-11 08:59');
        self::assertSame([], $this->pulse('a third'));

        $settled = fn (): array => $this->get("/pulse?window=another&held={$key},due:0:0")->assertOk()->json('settled');
        self::assertSame([], $settled());
        $essay->update(['done_at' => $this->utc('2026-03-11 08:59')]);
        self::assertSame([$key], $settled(), 'what is done is taken from the shelf');
    }

    #[Test]
    public function nobody_holds_or_settles_what_is_anothers(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->at('2026-03-11 08:56');
        $key = $this->pulse('one')[0]['key'];
        $this->actingAs($this->person('wim@example.org'));
        self::assertSame([], $this->pulse('one', $key));
        self::assertSame([], $this->get("/pulse?window=one&held={$key}")->json('settled'));
        $this->actingAs($this->ines);
        self::assertSame([$key], array_column($this->pulse('one'), 'key'));
    }

    #[Test]
    public function what_was_announced_leaves_when_it_has_begun_moved_or_the_day_is_closed(): void
    {
        $this->ines->update(['remind_before' => 10, 'close_at' => 1020]);
        $begun = $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $moved = $this->block($this->task('Captions'), '2026-03-11 09:05', '2026-03-11 09:30');
        $keys = array_map(static fn (Block $block): string => "block:{$block->task_id}:{$block->starts_at->getTimestamp()}", [$begun, $moved]);
        $settled = fn (): array => $this->get('/pulse?window=one&held='.implode(',', [...$keys, 'close:2026-03-11']))->json('settled');
        $this->at('2026-03-11 08:57');
        $this->said();
        self::assertSame([], $settled());

        $this->post("/blocks/{$moved->id}/send", ['to' => 'tomorrow']);
        self::assertSame([$keys[1]], $settled());
        $this->at('2026-03-11 09:01');
        self::assertEqualsCanonicalizing($keys, $settled());
        $this->at('2026-03-11 17:05');
        $this->said();
        self::assertNotContains('close:2026-03-11', $settled());
        $this->post('/close', ['date' => '2026-03-11', 'close' => 1]);
        self::assertContains('close:2026-03-11', $settled());
    }

    /** @return list<string> what an open window is given, which it confirms at once as a page does */
    private function said(string $window = 'first'): array
    {
        $given = $this->pulse($window);
        if ($given !== []) {
            $this->pulse($window, ...array_column($given, 'key'));
        }

        return array_map(static fn (array $one): string => "{$one['title']}: {$one['body']}", $given);
    }

    /** @return list<array{key: string, title: string, body: string, address: string}> */
    private function pulse(string $window, string ...$held): array
    {
        return $this->get('/pulse?'.http_build_query(['window' => $window, 'held' => implode(',', $held)]))->assertOk()->json('reminders');
    }
}
