<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\CsvReader;
use App\Exchange\Draft;
use App\Exchange\Format;
use App\Exchange\MarkdownReader;
use App\Exchange\Problem;
use App\Exchange\TodoReader;
use App\Exchange\TodoTxtReader;
use App\Exchange\WriteTasks;
use App\Files\KeepFile;
use App\Files\PlainText;
use App\Files\UnreadableFile;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Each format by itself. */
final class ReadersTest extends FeatureTestCase
{
    #[Test]
    #[DataProvider('todoTxt')]
    public function a_line_of_todo_txt_is_read(string $line, string $facts): void
    {
        $draft = self::all((new TodoTxtReader($this->ines, Clock::now()))->read($line))->drafts[0] ?? self::fail('A line is a task.');

        self::assertSame($facts, self::facts($draft));
    }

    /** @return list<array{string, string}> */
    public static function todoTxt(): array
    {
        return [
            ['Call mum', 'Call mum'],
            ['(A) Call mum', 'Call mum; vital'], ['(B) Call mum', 'Call mum; high'], ['(C) Call mum', 'Call mum; medium'], ['(D) Call mum', 'Call mum; low'], ['(Z) Call mum', 'Call mum; low'],
            ['(a) no priority', '(a) no priority'], ['really (A) no priority', 'really (A) no priority'],
            ['x Call mum', 'Call mum; done'], ['x 2026-03-02 2026-03-01 Call mum', 'Call mum; done; caught 2026-03-01'], ['xylophone', 'xylophone'],
            ['2026-03-01 Call mum', 'Call mum; caught 2026-03-01'], ['(B) 2026-03-01 Call mum +Family @phone', 'Call mum; high; project Family; at phone; caught 2026-03-01'],
            ['Call mum due:2026-03-13', 'Call mum; due 2026-03-13'], ['Call mum due:2020-01-01', 'Call mum; due 2020-01-01'], ['Call mum t:2026-03-12', 'Call mum; from 2026-03-12'],
            ['Write by friday', 'Write by friday'], ['Read for 30 min', 'Read for 30 min'], ['Pay 3@5 each', 'Pay 3@5 each'], ['a+b', 'a+b'],
            ['Look https://example.org/a:b', 'Look; link https://example.org/a:b'], ['Ask wait:Ana_Leal', 'Ask; waiting Ana Leal'], ['Ask for:1h30', 'Ask; 90 min'],
        ];
    }

    /** @param  list<string>  $facts */
    #[Test]
    #[DataProvider('tables')]
    public function a_table_is_read_whatever_divides_its_cells(string $text, array $facts): void
    {
        self::assertSame($facts, array_map(self::facts(...), self::all((new CsvReader($this->ines, Clock::now()))->read($text))->drafts));
    }

    /** @return array<string, array{string, list<string>}> */
    public static function tables(): array
    {
        return [
            'commas' => ["title,due,estimate\nA,2026-03-13,30\nB,,1h", ['A; due 2026-03-13; 30 min', 'B; 60 min']],
            'semicolons' => ["Task;Notes;Done\nA;n;x\nB;;no", ['A; done; note n', 'B']],
            'tabs' => ["name\tproject\nA\tTour", ['A; project Tour']],
            'quotes' => ["title,note\n\"A, the \"\"first\"\"\",\"two\nlines\"\nB,", ["A, the \"first\"; note two\nlines", 'B']],
            'old line ends' => ["title\rA\rB", ['A', 'B']],
            'words for days' => ["title,due\nA,friday\nB,13 march", ['A; due 2026-03-13', 'B; due 2026-03-13']],
            'importance in words and numbers' => ["title,priority\nA,vital\nB,2\nC,Low", ['A; vital', 'B; medium', 'C; low']],
            'several contexts' => ["title,tags\nA,\"phone, @desk;dock\"", ['A; at phone, desk, dock']],
            'short and long rows' => ["title,due\nA\nB,2026-03-13,more", ['A', 'B; due 2026-03-13']],
            'a title alone' => ['title', []],
        ];
    }

    #[Test]
    public function lines_of_a_table_are_counted_as_an_editor_does(): void
    {
        $read = self::all((new CsvReader($this->ines, Clock::now()))->read("title,note,due\nA,\"one\ntwo\nthree\",\nB,,never\n,,\n,x,\n"));

        self::assertSame([2, 5], array_map(static fn (Draft $draft): int => $draft->line, $read->drafts));
        self::assertSame([5, 7], array_map(static fn (Problem $one): int => $one->line, $read->problems));
    }

    #[Test]
    public function dates_of_a_table_follow_the_persons_order(): void
    {
        $this->ines->update(['month_first' => true]);

        self::assertSame('2026-03-14', self::all((new CsvReader($this->ines, Clock::now()))->read("title,due\nA,3/14"))->drafts[0]->due ?? null);
    }

    #[Test]
    public function lists_of_all_marks_are_read_from_markdown(): void
    {
        $read = self::all((new MarkdownReader($this->ines, Clock::now()))->read("# Tour\n- A\n* [x] B\n1. C @phone\n   - D\n\n***\n## Home\n+ E 30 min\n> quoted"));

        self::assertSame(['A; project Tour', 'B; done; project Tour', 'C; project Tour; at phone; 1 below', 'E; 30 min; project Home'], array_map(self::facts(...), $read->drafts));
        self::assertSame([10], array_map(static fn (Problem $one): int => $one->line, $read->problems));
    }

    #[Test]
    public function one_broken_to_do_costs_only_itself(): void
    {
        $read = self::all((new TodoReader($this->ines))->read("BEGIN:VCALENDAR\r\nBEGIN:VTODO\r\nSUMMARY:A\r\nDUE:20260313T120000Z\r\nEND:VTODO\r\nBEGIN:VTODO\r\nno colon here\r\nEND:VTODO\r\nBEGIN:VTODO\r\nSUMMARY:C\r\nDURATION:P1W\r\nPRIORITY:9\r\nEND:VTODO\r\nEND:VCALENDAR"));

        self::assertContains('A; due 2026-03-13 12:00', array_map(self::facts(...), $read->drafts));
        self::assertContains('C; low', array_map(self::facts(...), $read->drafts), 'a week is no estimate');
    }

    /** Events and to-dos are read by one reader: folded lines, zones of the file's own and other encodings mean the same in both. */
    #[Test]
    public function a_to_do_is_read_as_carefully_as_an_event(): void
    {
        $zone = "BEGIN:VTIMEZONE\r\nTZID:Office\r\nBEGIN:STANDARD\r\nDTSTART:19701025T030000\r\nTZOFFSETFROM:+0300\r\nTZOFFSETTO:+0200\r\nEND:STANDARD\r\nBEGIN:DAYLIGHT\r\nDTSTART:19700329T020000\r\nTZOFFSETFROM:+0200\r\nTZOFFSETTO:+0300\r\nEND:DAYLIGHT\r\nEND:VTIMEZONE\r\n";
        $todo = "BEGIN:VTODO\r\nUID:1\r\nSUMMARY:Café pla\r\n ns\r\nDUE;TZID=Office:20260313T140000\r\nBEGIN:VALARM\r\nTRIGGER:-PT15M\r\nSUMMARY:Ring\r\nEND:VALARM\r\nEND:VTODO\r\n";
        $read = self::all((new TodoReader($this->ines))->read((string) mb_convert_encoding("BEGIN:VCALENDAR\r\n{$todo}{$zone}BEGIN:VTODO\r\nSUMMARY:Lost", 'Windows-1252', 'UTF-8')));

        self::assertSame(['Café plans; due 2026-03-13 12:00'], array_map(self::facts(...), $read->drafts));
        self::assertEquals([new Problem(25, 'This to-do is not closed before the next one or the end of the file.')], $read->problems);
    }

    #[Test]
    public function what_is_written_is_what_the_formats_ask_for(): void
    {
        $task = $this->task('Draft, the "wall" text', 90, Importance::High, '2026-03-13');
        $task->subtasks()->create(['user_id' => $this->ines->id, 'title' => 'Measure', 'estimate' => 20]);
        $this->task("=1+1\nsecond line", 15);
        $tasks = $this->ines->tasks()->with(['area', 'project', 'contexts', 'links', 'subtasks', 'repeat'])->orderBy('id')->get();
        $write = new WriteTasks($this->ines, Clock::now());

        self::assertSame("(B) 2026-03-11 Draft, the \"wall\" text due:2026-03-13 for:90min\n(C) 2026-03-11 =1+1 second line for:15min\n", $write(Format::TodoTxt, $tasks));
        self::assertSame("- [ ] Draft, the \"wall\" text for 1 h 30 by 2026-03-13\n  - [ ] Measure for 20 min\n- [ ] =1+1 second line for 15 min\n", $write(Format::Markdown, $tasks));
        self::assertStringContainsString('"Draft, the ""wall"" text",,2026-03-13,,90,high', $write(Format::Csv, $tasks));
        self::assertStringContainsString("\"'=1+1\nsecond line\"", $write(Format::Csv, $tasks));
        self::assertStringContainsString("DUE;VALUE=DATE:20260313\r\n", $write(Format::ICalendar, $tasks));
        self::assertStringContainsString("Message-ID: <nekto-task-{$task->id}@localhost>\r\n", $write(Format::Mail, $tasks));
    }

    #[Test]
    #[DataProvider('bytes')]
    public function text_comes_in_every_usual_encoding(string $bytes): void
    {
        self::assertSame('Tomás – 5 €', PlainText::of($bytes));
    }

    /** @return array<string, array{string}> */
    public static function bytes(): array
    {
        $text = 'Tomás – 5 €';

        return [
            'UTF-8' => [$text], 'with a mark' => ["\xEF\xBB\xBF{$text}"], 'Windows' => [(string) mb_convert_encoding($text, 'Windows-1252', 'UTF-8')],
            'UTF-16, little end' => ["\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')], 'UTF-16, big end' => ["\xFE\xFF".mb_convert_encoding($text, 'UTF-16BE', 'UTF-8')],
        ];
    }

    #[Test]
    public function bytes_that_are_no_text_are_refused(): void
    {
        $this->expectException(UnreadableFile::class);
        PlainText::of("GIF89a\0\0\0");
    }

    #[Test]
    #[DataProvider('names')]
    public function the_format_is_guessed_by_name_and_beginning(string $name, string $text, Format $format): void
    {
        self::assertSame($format, Format::guess($name, $text));
    }

    /** @return list<array{string, string, Format}> */
    public static function names(): array
    {
        return [
            ['a.csv', '', Format::Csv], ['A.TSV', '', Format::Csv], ['list.md', '', Format::Markdown], ['a.ics', '', Format::ICalendar], ['a.eml', '', Format::Mail], ['inbox.mbox', '', Format::Mail],
            ['export', "BEGIN:VCALENDAR\r\n", Format::ICalendar], ['export.txt', "From: a@b.example\nSubject: x", Format::Mail], ['pasted text', "- [ ] A\n- [x] B", Format::Markdown], ['pasted text', '(A) Call mum', Format::TodoTxt],
        ];
    }

    #[Test]
    public function kinds_of_files_that_could_run_are_not_kept(): void
    {
        foreach (['application/pdf', 'image/png', 'text/plain', 'application/vnd.oasis.opendocument.text', 'text/x-c'] as $kept) {
            self::assertTrue(KeepFile::isKept($kept), $kept);
        }
        foreach (['text/x-php', 'text/x-shellscript', 'application/x-dosexec', 'application/x-executable', 'image/svg+xml', 'application/javascript'] as $refused) {
            self::assertFalse(KeepFile::isKept($refused), $refused);
        }
    }

    private static function facts(Draft $draft): string
    {
        return implode('; ', array_filter([
            $draft->title, $draft->done ? 'done' : '', (string) $draft->importance?->word(), $draft->due === null ? '' : "due {$draft->due}", $draft->dueAt === null ? '' : 'due '.$draft->dueAt->format('Y-m-d H:i'),
            $draft->start === null ? '' : 'from '.$draft->start->format('Y-m-d'), $draft->minutes === null ? '' : "{$draft->minutes} min", $draft->project === null ? '' : "project {$draft->project}",
            $draft->contexts === [] ? '' : 'at '.implode(', ', $draft->contexts), $draft->waitingFor === null ? '' : "waiting {$draft->waitingFor}", $draft->link === null ? '' : "link {$draft->link}",
            $draft->caughtAt === null ? '' : 'caught '.$draft->caughtAt->format('Y-m-d'), $draft->note === null ? '' : "note {$draft->note}", $draft->subtasks === [] ? '' : count($draft->subtasks).' below',
        ], static fn (string $fact): bool => $fact !== ''));
    }

    /**
     * @param  \Generator<Draft|Problem>  $read
     * @return object{drafts: list<Draft>, problems: list<Problem>}
     */
    private static function all(\Generator $read): object
    {
        $all = iterator_to_array($read, false);

        return (object) ['drafts' => array_values(array_filter($all, static fn (object $one): bool => $one instanceof Draft)), 'problems' => array_values(array_filter($all, static fn (object $one): bool => $one instanceof Problem))];
    }
}
