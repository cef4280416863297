<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Catch\ReadMailbox;
use App\Models\Message;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\Test;

/** The mailbox that ships with Nekto. */
final class MailTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->app->useStoragePath((string) tempnam(sys_get_temp_dir(), 'nekto').'-storage');
        File::ensureDirectoryExists(ReadMailbox::folder($this->ines));
    }

    #[Test]
    public function what_is_dropped_into_the_folder_arrives_once(): void
    {
        $this->drop('a.eml', self::mail('Proofs', 'Please answer.'));
        $this->artisan('nekto:minute');
        $this->drop('b.eml', self::mail('Proofs', 'Please answer.'));
        $this->artisan('nekto:minute');

        self::assertSame(['Proofs', 'Prue', 'prue@example.org', 'Please answer.'], array_values(Message::query()->sole()->only(['subject', 'from_name', 'from_address', 'body'])));
        $this->get('/gather')->assertSee('Proofs')->assertSee('Prue');
    }

    #[Test]
    public function one_key_makes_a_message_a_task_with_note_link_and_files(): void
    {
        $message = $this->arrived("From: Prue <prue@example.org>\r\nSubject: Proofs of section 2\r\nMessage-ID: <1@x>\r\nMIME-Version: 1.0\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nThree small things.\r\n--b\r\nContent-Type: text/plain; name=list.txt\r\nContent-Disposition: attachment; filename=list.txt\r\n\r\n38: bleed\r\n--b--\r\n");
        $this->post("/messages/{$message->id}/take");
        $this->post("/messages/{$message->id}/take");
        $task = $this->ines->tasks()->with(['links', 'attachments'])->sole();

        self::assertSame(['Proofs of section 2', 'mail', 'Prue: Three small things.', "/messages/{$message->id}", 'list.txt'], [$task->title, $task->source, $task->note, $task->links[0]?->address, $task->attachments[0]?->name]);
        $this->get('/gather')->assertDontSee('id="message-'.$message->id.'"', false);
        $file = $this->get('/files/'.$task->attachments[0]?->id)->assertOk()->assertHeader('Content-Type', 'application/octet-stream');
        self::assertStringContainsString('38: bleed', (string) $file->getContent());
    }

    #[Test]
    public function a_message_is_put_off_until_its_day_and_answered_or_filed_mail_leaves(): void
    {
        $message = $this->arrived(self::mail('Lamps', 'Tuesday?'));
        $this->post("/messages/{$message->id}/put-off", ['until' => '2026-03-12']);
        $this->get('/settings');
        $this->get('/gather')->assertDontSee('Lamps')->assertSee('1 put off');
        $this->at('2026-03-12 07:00');
        $this->get('/gather')->assertSee('Lamps');
        foreach (['2026-03-11', '2026-13-40', 'soon', ''] as $wrong) {
            $this->post("/messages/{$message->id}/put-off", ['until' => $wrong])->assertSessionHasErrors('until');
        }

        $this->post("/messages/{$message->id}/state", ['state' => 'answered']);
        $this->get('/settings');
        $this->get('/gather')->assertDontSee('Lamps');
        $this->get('/gather/mailbox')->assertSee('Lamps')->assertSee('answered');
    }

    #[Test]
    public function html_mail_is_read_as_text_and_runs_nothing(): void
    {
        $message = $this->arrived("From: X <x@example.org>\r\nSubject: <img src=x onerror=alert(1)>\r\nContent-Type: text/html; charset=utf-8\r\n\r\n<html><head><style>p{}</style></head><body><p>Hello <b>Ines</b></p><script>alert(1)</script><p onclick=\"x()\">Bye</p></body></html>\r\n");

        self::assertSame("Hello Ines\nBye", (string) preg_replace('/\n+/', "\n", $message->body));
        $this->get("/messages/{$message->id}")->assertDontSee('<script>alert', false)->assertDontSee('<img src=x', false)->assertSee('&lt;img src=x', false);
    }

    #[Test]
    public function broken_encodings_and_deep_nesting_are_survived(): void
    {
        $broken = $this->arrived("From: =?utf-8?Q?Zo=EB?= <z@example.org>\r\nSubject: =?nonsense?B?####?= \xff\xfe\r\nContent-Type: text/plain; charset=x-unknown\r\nContent-Transfer-Encoding: base64\r\n\r\n%%%not base64%%%\r\n");
        self::assertTrue(mb_check_encoding($broken->subject.$broken->body.$broken->from_name, 'UTF-8'));

        $nested = "From: Deep <d@example.org>\r\nSubject: Matryoshka\r\nMessage-ID: <deep@x>\r\n";
        for ($i = 0; $i < 100; $i++) {
            $nested .= "Content-Type: multipart/mixed; boundary=b{$i}\r\n\r\n--b{$i}\r\n";
        }
        $deep = $this->arrived($nested."Content-Type: text/plain\r\n\r\nHeart\r\n");
        self::assertSame('Matryoshka', $deep->subject);
        $this->get("/messages/{$deep->id}")->assertOk();
    }

    #[Test]
    public function what_is_no_mail_is_said_and_set_aside(): void
    {
        $this->drop('trap.eml', "PK\x03\x04zip");
        $this->post('/gather/mailbox/fetch')->assertSessionHasErrors('file');
        self::assertSame([0, true], [Message::query()->count(), File::exists(ReadMailbox::folder($this->ines).'/unreadable/trap.eml')]);
        $this->post('/gather/mailbox', ['file' => UploadedFile::fake()->createWithContent('a.eml', 'nothing')])->assertSessionHasErrors('file');
    }

    #[Test]
    public function files_of_a_task_are_kept_safely_within_limits(): void
    {
        $task = $this->task('Quotes');
        $this->post("/tasks/{$task->id}/files", ['file' => UploadedFile::fake()->createWithContent('../../etc/offer.pdf', "%PDF-1.4\n%âã\n1 0 obj\n")])->assertSessionHasNoErrors();
        $this->post("/tasks/{$task->id}/files", ['file' => UploadedFile::fake()->createWithContent('page.php', '<?php echo 1;')])->assertSessionHasErrors('file');
        $this->post("/tasks/{$task->id}/files", ['file' => UploadedFile::fake()->create('big.pdf', 11_000)])->assertSessionHasErrors('file');
        $file = $this->ines->attachments()->sole();

        self::assertStringNotContainsString('/', $file->name);
        self::assertStringStartsWith("files/{$this->ines->id}/", $file->path);
        $this->get("/files/{$file->id}")->assertHeader('Content-Security-Policy', "default-src 'none'; sandbox")->assertDownload();
        $this->actingAs($this->person('wim@example.org'))->get("/files/{$file->id}")->assertNotFound();
    }

    private function drop(string $name, string $bytes): void
    {
        File::put(ReadMailbox::folder($this->ines)."/{$name}", $bytes);
    }

    private function arrived(string $bytes): Message
    {
        $this->post('/gather/mailbox', ['file' => UploadedFile::fake()->createWithContent('a.eml', $bytes)])->assertSessionHasNoErrors();

        return Message::query()->latest('id')->firstOrFail();
    }

    private static function mail(string $subject, string $text): string
    {
        return "From: Prue <prue@example.org>\r\nTo: ines@example.org\r\nSubject: {$subject}\r\nMessage-ID: <".sha1($subject).">\r\nDate: Wed, 11 Mar 2026 07:30:00 +0000\r\n\r\n{$text}\r\n";
    }
}
