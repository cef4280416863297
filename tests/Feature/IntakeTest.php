<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\KeepFile;
use App\Files\Quota;
use App\Intake\Intakes;
use App\Intake\TakeIn;
use App\Intake\TimeLimit;
use App\Intake\TookTooLong;
use App\Models\Attachment;
use App\Models\IntakeStage;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Test;

/** Files that come in: bounded in time, room and number, so that nobody's stop anybody else. */
final class IntakeTest extends FeatureTestCase
{
    /** The second of one second: whoever looks for it looks for ever. */
    private const NEVER = "BEGIN:VEVENT\r\nUID:never-%d\r\nSUMMARY:Never\r\nDTSTART:20260101T090000Z\r\nDURATION:PT1H\r\nRRULE:FREQ=SECONDLY;BYSETPOS=2\r\nEND:VEVENT\r\n";

    private const ROUND = "BEGIN:VEVENT\r\nUID:round\r\nSUMMARY:Round\r\nDTSTART:20260311T110000Z\r\nDURATION:PT1H\r\nEND:VEVENT\r\n";

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    #[Test]
    public function what_runs_for_ever_is_cut_off_and_a_wider_limit_goes_on(): void
    {
        $began = hrtime(true);
        $spin = static function (): void {
            $text = 'on and on';
            while (strlen($text) < 1000) {
                $text = hash('sha256', $text);
            }
        };
        $outer = null;
        try {
            TimeLimit::run(3, static function () use ($spin, &$outer): void {
                try {
                    TimeLimit::run(1, $spin);
                } catch (TookTooLong $error) {
                    $outer = $error->getMessage();
                }
                $spin();
            });
        } catch (TookTooLong) {
            self::assertSame('It took longer than 1 s.', $outer);
        }
        self::assertGreaterThan(2.0, (hrtime(true) - $began) / 1e9, 'the wider limit was not cut short by the narrower one');
        self::assertSame(7, TimeLimit::run(1, static fn (): int => 7));
        self::assertSame(0, pcntl_alarm(0), 'no alarm is left');
    }

    #[Test]
    public function an_event_that_never_comes_round_is_named_and_the_rest_is_taken(): void
    {
        $import = $this->bringIn(sprintf(self::NEVER, 1).self::ROUND);

        self::assertSame([IntakeStage::Finished, 1, [['line' => 2, 'what' => 'its rule hardly ever comes round, so it was left out']]], [$import->stage, $import->added, $import->problems]);
        self::assertSame(['Round'], $this->ines->meetings()->pluck('summary')->all());
        $this->get("/meetings/imports/{$import->id}")->assertSee('line 2')->assertSee('hardly ever comes round');
    }

    #[Test]
    public function a_file_full_of_them_is_put_aside_after_three(): void
    {
        $import = $this->bringIn(implode('', array_map(static fn (int $i): string => sprintf(self::NEVER, $i), range(1, 50))));

        self::assertSame(IntakeStage::Aside, $import->stage);
        self::assertStringContainsString('put aside at line', (string) $import->why);
        self::assertSame([], Storage::files('intake'));
        $this->get("/meetings/imports/{$import->id}")->assertOk()->assertSee('Put aside')->assertDontSee('data-watch', false);
        $this->get('/meetings')->assertOk()->assertSee('put aside');
    }

    #[Test]
    public function one_that_came_in_and_hangs_only_later_costs_the_minute_two_seconds_once(): void
    {
        $meeting = $this->ines->meetings()->create(['uid' => 'a', 'summary' => 'Never', 'source' => trim(sprintf(self::NEVER, 1)), 'expanded_until' => now()->addDay()]);
        $this->artisan('nekto:minute')->assertSuccessful();
        self::assertNull($meeting->refresh()->expanded_until);
    }

    #[Test]
    public function five_at_a_time_are_enough_for_one_account_and_none_for_another(): void
    {
        Queue::fake();
        for ($i = 0; $i < Intakes::MOST; $i++) {
            $this->upload(self::ROUND)->assertSessionHasNoErrors();
        }
        $this->upload(self::ROUND)->assertSessionHasErrors(['calendar' => 'There are 5 files of yours on their way already. Wait until one is in.']);
        $this->post('/gather/files', ['text' => 'Ring Ana', 'format' => 'todotxt'])->assertSessionHasErrors('file');
        $this->post('/gather/mailbox', ['file' => UploadedFile::fake()->createWithContent('a.eml', "From: a@b.example\n\nHello")])->assertSessionHasErrors('file');
        $this->actingAs($this->person('wim@example.org'));
        $this->upload(self::ROUND)->assertSessionHasNoErrors();
        Queue::assertPushed(TakeIn::class, Intakes::MOST + 1);
    }

    #[Test]
    public function one_that_killed_its_worker_is_put_aside(): void
    {
        Queue::fake();
        $this->upload(self::ROUND);
        $import = $this->ines->intakes()->sole();
        (new TakeIn($import->id))->failed();
        self::assertSame([IntakeStage::Aside, 'Reading it needed more memory or time than there is, so it was put aside. Split the file and bring in the parts.'], [$import->refresh()->stage, $import->why]);
        (new TakeIn($import->id))->handle(); // what is aside stays there
        self::assertSame(0, $this->ines->meetings()->count());
    }

    #[Test]
    public function a_box_of_mail_comes_in_by_steps_and_each_message_once(): void
    {
        Queue::fake();
        $box = implode('', array_map(static fn (int $i): string => "From a@b Wed Mar 11 08:00:00 2026\nFrom: Prue <prue@example.org>\nSubject: Proof {$i}\nMessage-ID: <{$i}@x>\n\nText {$i}\n\n", range(1, 250)));
        $this->post('/gather/mailbox', ['file' => UploadedFile::fake()->createWithContent('box.mbox', $box.$box)])->assertSessionHas('status', __('mail.being_read'));
        $import = $this->ines->intakes()->sole();
        $counts = [];
        for ($i = 0; $i < 11; $i++) {
            (new TakeIn($import->id))->handle();
            $i % 2 === 0 && $counts[] = [$import->refresh()->taken, $this->ines->messages()->count()];
        }
        self::assertSame([[0, 0], [100, 100], [200, 200], [300, 250], [400, 250], [500, 250]], $counts);
        self::assertSame([IntakeStage::Finished, 250], [$import->stage, $import->added]);
    }

    #[Test]
    public function a_long_list_is_read_by_the_queue_and_taken_by_steps_that_can_be_taken_back(): void
    {
        Queue::fake();
        $this->post('/gather/files', ['file' => UploadedFile::fake()->createWithContent('many.csv', "title\n".implode("\n", array_map(static fn (int $i): string => "Task {$i} ".str_repeat('long ', 40), range(1, 1100))))])->assertSessionHasNoErrors();
        $import = $this->ines->intakes()->sole();
        $this->get("/gather/files/{$import->id}")->assertOk()->assertSee('Being read');
        (new TakeIn($import->id))->handle();
        $this->get("/gather/files/{$import->id}")->assertOk()->assertSee('1100 tasks, 1100 new')->assertSee('the first 200');
        $this->post("/gather/files/{$import->id}")->assertRedirect("/gather/files/{$import->id}");
        for ($i = 0; $i < 3; $i++) {
            (new TakeIn($import->id))->handle();
        }
        self::assertSame([IntakeStage::Finished, 1100, 1100], [$import->refresh()->stage, $import->added, $this->ines->tasks()->count()]);
        $this->get("/gather/files/{$import->id}")->assertOk()->assertSee('1,100 new, 0 as they were.');

        $text = "title\n".implode("\n", array_map(static fn (int $i): string => "Task {$i} ".str_repeat('long ', 40), range(1, 1101)));
        $again = Intakes::begin($this->ines, 'tasks', 'many.csv', $text, ['format' => 'csv']);
        (new TakeIn($again->id))->handle();
        $this->get("/gather/files/{$again->id}")->assertSee('1101 tasks, 1 new');
        $again->update(['stage' => IntakeStage::Taking]);
        for ($i = 0; $i < 3; $i++) {
            (new TakeIn($again->id))->handle();
        }
        $this->get("/gather/files/{$again->id}")->assertSee('1 new, 1,100 as they were.');
        $this->post('/plan/undo');
        self::assertSame(1100, $this->ines->tasks()->count());
        $this->post('/plan/undo');
        self::assertSame(1000, $this->ines->tasks()->count());
    }

    #[Test]
    public function files_have_a_quota_and_go_with_their_attachment(): void
    {
        config(['nekto.files_megabytes' => 1]);
        $task = $this->task('Quotes');
        $send = fn (int $bytes) => $this->post("/tasks/{$task->id}/files", ['file' => UploadedFile::fake()->createWithContent('list.txt', str_repeat('a line of it ', intdiv($bytes, 13)))]);
        $send(600_000)->assertSessionHasNoErrors();
        $send(600_000)->assertSessionHasErrors(['file' => 'There is no room for it: your files have 1 MB, and 0.6 MB are taken. Delete some first, see Your account.']);
        $this->get('/account')->assertSee('0.6 of 1 MB');
        $file = $this->ines->attachments()->sole();
        self::assertTrue(Storage::exists($file->path));
        $shared = $this->ines->attachments()->create($file->only(['name', 'path', 'type', 'size']));
        self::assertSame(599_989, Quota::of($this->ines)->used, 'one file takes its room once');

        $this->delete("/files/{$file->id}");
        self::assertTrue(Storage::exists($file->path), 'another attachment has it');
        $this->delete("/files/{$shared->id}");
        self::assertFalse(Storage::exists($file->path));
        $send(600_000)->assertSessionHasNoErrors();
        self::assertTrue(Quota::of($this->person('wim@example.org'))->holds(999_999), 'everybody has room of their own');
    }

    #[Test]
    public function mail_without_room_for_its_files_still_arrives_and_says_so(): void
    {
        config(['nekto.files_megabytes' => 0]);
        $this->post('/gather/mailbox', ['file' => UploadedFile::fake()->createWithContent('a.eml', "From: a@b.example\nSubject: With a file\nMIME-Version: 1.0\nContent-Type: multipart/mixed; boundary=b\n\n--b\nContent-Type: text/plain\n\nHello\n--b\nContent-Type: text/plain; name=list.txt\nContent-Disposition: attachment; filename=list.txt\n\n38: bleed\n--b--\n")]);
        self::assertSame('With a file', $this->ines->messages()->sole()->subject);
        self::assertSame([0, []], [Attachment::query()->count(), Storage::allFiles('files')]);
        $this->get('/gather/mailbox')->assertOk()->assertSee('One attachment was not kept');
    }

    #[Test]
    public function files_of_one_kind_are_kept_and_of_another_are_not(): void
    {
        self::assertSame(KeepFile::NO_KIND, (new KeepFile)($this->ines, '<?php echo 1;', 'a.php'));
        self::assertInstanceOf(Attachment::class, (new KeepFile)($this->ines, 'Plain', 'a.txt'));
    }

    private function bringIn(string $events, ?User $of = null): \App\Models\Intake
    {
        $this->upload($events)->assertSessionHasNoErrors();

        return ($of ?? $this->ines)->intakes()->latest('id')->firstOrFail();
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function upload(string $events): \Illuminate\Testing\TestResponse
    {
        return $this->post('/meetings', ['calendar' => UploadedFile::fake()->createWithContent('a.ics', "BEGIN:VCALENDAR\r\n{$events}END:VCALENDAR\r\n")]);
    }
}
