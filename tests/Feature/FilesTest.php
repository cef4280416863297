<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Intake;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Symfony\Component\HttpFoundation\Response;

/** Tasks from files and into files. */
final class FilesTest extends FeatureTestCase
{
    #[Test]
    public function todo_txt_is_seen_before_it_is_taken_and_taken_once(): void
    {
        $text = "(A) 2026-03-01 Draft the wall text +wall-texts @desk due:2026-03-13 for:90min\nx 2026-03-05 2026-03-01 Order hooks\nRing Ana due:2026-02-31\n";
        $this->look('todo.txt', $text)->assertSee('Draft the wall text')->assertSee('line 3')->assertSee('“due:2026-02-31” could not be read');
        self::assertSame(0, $this->ines->tasks()->count(), 'nothing is taken by looking');

        $this->take()->assertSessionHas('status', '3 tasks are in the inbox.');
        [$draft, $hooks, $ring] = $this->ines->tasks()->with(['project', 'contexts'])->orderBy('id')->get()->all();
        self::assertSame(['Draft the wall text', 'vital', '2026-03-13', 90, 'wall texts', ['desk'], '2026-03-01'], [
            $draft->title, $draft->importance?->word(), $draft->due_on, $draft->estimate, $draft->project?->name, $draft->contexts->pluck('name')->all(), $draft->created_at->format('Y-m-d'),
        ]);
        self::assertNotNull($hooks->done_at);
        self::assertSame(['Ring Ana due:2026-02-31', null], [$ring->title, $ring->due_on]);

        $this->look('todo.txt', $text."Another one\n")->assertSee('taken before');
        $this->take()->assertSessionHas('status', '1 task is in the inbox. 3 were taken before.');
        $this->post('/plan/undo');
        self::assertSame(3, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_table_in_windows_1252_with_semicolons_is_read_and_its_columns_can_be_matched(): void
    {
        $bytes = (string) mb_convert_encoding("Aufgabe;Deadline;Priority;Effort\nTomás: Sockelhöhen;13.3.2026;high;45\n=HYPERLINK(\"http://x\");soon;urgent;ages\n;;;\n", 'Windows-1252', 'UTF-8');
        $this->look('tasks.csv', $bytes)->assertSee('No column holds the titles');
        $preview = Intake::query()->sole();
        $this->patch("/gather/files/{$preview->id}", ['columns' => ['title', 'due', 'importance', 'estimate']]);
        $this->get("/gather/files/{$preview->id}")->assertSee('Tomás: Sockelhöhen')->assertSee('“soon” is no date')->assertSee('“urgent” is not low')->assertSee('“ages” is no duration');

        $this->take();
        [$heights, $formula] = $this->ines->tasks()->orderBy('id')->get()->all();
        self::assertSame(['Tomás: Sockelhöhen', '2026-03-13', 'high', 45], [$heights->title, $heights->due_on, $heights->importance?->word(), $heights->estimate]);
        self::assertSame(['=HYPERLINK("http://x")', null], [$formula->title, $formula->due_on], 'text, and nothing but text');
        $this->get('/gather/export/csv')->assertSee('"\'=HYPERLINK(""http://x"")"', false);
    }

    #[Test]
    public function a_markdown_list_brings_projects_subtasks_and_ticks(): void
    {
        $this->look('plan.md', "# Room 3\n\nSome prose.\n\n- [ ] Hang the texts by friday\n  - [x] Measure 20 min\n- [x] Order hooks\n")->assertSee('“Some prose.” is no list item');
        $this->take();
        [$hang, $hooks] = $this->ines->tasks()->with(['project', 'subtasks'])->orderBy('id')->get()->all();

        self::assertSame(['Hang the texts', '2026-03-13', 'Room 3', ['Measure'], 20], [$hang->title, $hang->due_on, $hang->project?->name, $hang->subtasks->pluck('title')->all(), $hang->estimate]);
        self::assertNotNull($hooks->done_at);
    }

    #[Test]
    public function calendar_to_dos_come_in_and_an_impossible_date_is_named(): void
    {
        $ics = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VTODO\r\nUID:a@example.org\r\nSUMMARY:Lender visit\r\nDUE;TZID=Europe/Lisbon:20260313T150000\r\nPRIORITY:1\r\nCATEGORIES:phone,desk\r\nESTIMATED-DURATION:PT1H30M\r\nRRULE:FREQ=WEEKLY;BYDAY=FR\r\nEND:VTODO\r\n"
            ."BEGIN:VTODO\r\nUID:b@example.org\r\nSUMMARY:Broken\r\nDUE;VALUE=DATE:20260231\r\nSTATUS:COMPLETED\r\nEND:VTODO\r\nEND:VCALENDAR\r\n";
        $this->look('todo.ics', $ics)->assertSee('line 12')->assertSee('DUE 20260231')->assertSee('Lender visit');
        $this->take();
        [$visit, $broken] = $this->ines->tasks()->with(['contexts', 'repeat'])->orderBy('id')->get()->all();

        self::assertSame(['2026-03-13 15:00:00', 'vital', 90, 2, 'FREQ=WEEKLY;BYDAY=FR'], [$visit->due_at?->toDateTimeString(), $visit->importance?->word(), $visit->estimate, count($visit->contexts), $visit->repeat?->rule]);
        self::assertSame([null, true], [$broken->due_on, $broken->done_at !== null]);
    }

    #[Test]
    public function a_box_of_mail_becomes_tasks(): void
    {
        $mbox = "From a@b Wed Mar 11 08:00:00 2026\nFrom: Prue <prue@example.org>\nSubject: Proofs\nMessage-ID: <1@x>\n\nFirst\n>From here on\n\nFrom c@d Wed Mar 11 09:00:00 2026\nFrom: Wim <wim@example.org>\nSubject: =?UTF-8?Q?L=C3=A1mpadas?=\nMessage-ID: <2@x>\n\nSecond\n";
        $this->look('box.mbox', $mbox)->assertSee('Proofs')->assertSee('Lámpadas');
        $this->take()->assertSessionHas('status', '2 tasks are in the inbox.');
        self::assertStringContainsString('From here on', (string) $this->ines->tasks()->orderBy('id')->firstOrFail()->note);
    }

    #[Test]
    public function tasks_of_a_mail_file_carry_their_files_and_lead_back_to_the_message(): void
    {
        $mail = "From: Prue <prue@example.org>\r\nSubject: Plates\r\nMessage-ID: <7@x>\r\nDate: Tue, 10 Mar 2026 09:00:00 +0000\r\nMIME-Version: 1.0\r\nContent-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nSee the list.\r\n--b\r\nContent-Type: text/plain; name=list.txt\r\nContent-Disposition: attachment; filename=list.txt\r\n\r\none\r\n--b--\r\n";
        $this->look('plates.eml', $mail)->assertSee('Plates');
        $this->take();
        $task = $this->ines->tasks()->with(['attachments', 'links'])->sole();
        $message = $this->ines->messages()->sole();

        self::assertSame(['list.txt'], $task->attachments->pluck('name')->all());
        self::assertSame(["/messages/{$message->id}"], $task->links->pluck('address')->all());
        self::assertSame(['taken', $task->id], [$message->state, $message->task_id]);
        $this->get("/messages/{$message->id}")->assertOk()->assertSee('See the list.');
        $this->look('plates.eml', $mail);
        $this->take();
        self::assertSame([1, 1], [$this->ines->tasks()->count(), $task->attachments()->count()]);
    }

    #[Test]
    #[DataProvider('formats')]
    public function what_goes_out_comes_back_without_doubles(string $format, string $name): void
    {
        $project = $this->ines->projects()->create(['name' => 'Wall texts', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $task = $this->task('Draft the wall text', 90, dueOn: '2026-03-13');
        $task->update(['project_id' => $project->id]);
        $task->contexts()->attach($this->ines->contexts()->create(['name' => 'desk']));
        $this->task('Order hooks')->update(['done_at' => now()]);
        $text = (string) $this->get("/gather/export/{$format}")->assertOk()->assertDownload()->getContent();

        $other = $this->person('wim@example.org');
        $this->actingAs($other)->look($name, $text);
        $this->take();
        self::assertSame(['Draft the wall text', 'Order hooks'], $other->tasks()->orderBy('title')->pluck('title')->all());
        if ($format !== 'mail') {
            $back = $other->tasks()->with('contexts')->where('title', 'Draft the wall text')->sole();
            self::assertSame([90, '2026-03-13', ['desk']], [$back->estimate, $back->due_on, $back->contexts->pluck('name')->all()]);
            self::assertNotNull($other->tasks()->where('title', 'Order hooks')->sole()->done_at);
        }
        $this->look($name, $text);
        $this->take();
        self::assertSame(2, $other->tasks()->count(), 'a second time brings nothing');
    }

    /** @return array<string, array{string, string}> */
    public static function formats(): array
    {
        return ['todo.txt' => ['todotxt', 'a.txt'], 'CSV' => ['csv', 'a.csv'], 'Markdown' => ['markdown', 'a.md'], 'iCalendar' => ['icalendar', 'a.ics'], 'mail' => ['mail', 'a.mbox']];
    }

    #[Test]
    #[DataProvider('unreadable')]
    public function what_cannot_be_read_is_refused_with_a_reason(string $name, string $bytes, string $reason): void
    {
        $this->from('/gather/files')->post('/gather/files', ['file' => UploadedFile::fake()->createWithContent($name, $bytes)])->assertSessionHasErrors(['file' => $reason]);
        self::assertSame(0, Intake::query()->count());
    }

    /** @return array<string, array{string, string, string}> */
    public static function unreadable(): array
    {
        return [
            'a zip named .eml' => ['mail.eml', "PK\x03\x04".str_repeat("\0", 50), 'This is no mail message. Save the message as .eml or the folder as mbox, and bring that in.'],
            'a picture named .txt' => ['list.txt', "\x89PNG\r\n\0\0\0\rIHDR", 'This is no text file: nothing in it can be read. Export it as text, a table (CSV) or iCalendar first.'],
            'text named .ics' => ['list.ics', 'Hello', 'This is no iCalendar file: it does not begin with BEGIN:VCALENDAR.'],
            'six megabytes' => ['list.txt', str_repeat('a', 6_000_000), 'That file is larger than 5 MB. Nothing was taken; split it and bring in the parts.'],
        ];
    }

    #[Test]
    public function ten_thousand_lines_come_in_as_a_file(): void
    {
        $this->look('many.txt', implode("\n", array_map(static fn (int $i): string => "Task {$i}", range(1, 10_000))))->assertSee('10000 tasks, 10000 new');
        $this->take()->assertSessionHas('status', '10000 tasks are in the inbox.');
        self::assertSame(10_000, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_project_with_a_hyphen_goes_out_and_comes_back_as_itself(): void
    {
        $this->ines->projects()->create(['name' => 'Follow-up', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $this->look('one.txt', 'Thank the lenders +Follow-up');
        $this->take();

        self::assertSame(['Follow-up'], $this->ines->projects()->pluck('name')->all());
        self::assertSame('Follow-up', $this->ines->tasks()->firstOrFail()->project?->name);
    }

    /** @return TestResponse<Response> */
    private function look(string $name, string $bytes): TestResponse
    {
        $this->post('/gather/files', ['file' => UploadedFile::fake()->createWithContent($name, $bytes)])->assertSessionHasNoErrors();

        return $this->get('/gather/files/'.Intake::query()->latest('id')->value('id'))->assertOk();
    }

    /** @return TestResponse<Response> */
    private function take(): TestResponse
    {
        return $this->post('/gather/files/'.Intake::query()->latest('id')->value('id'));
    }
}
