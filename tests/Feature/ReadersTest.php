<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\CsvReader;
use App\Exchange\Draft;
use App\Exchange\Format;
use App\Exchange\MarkdownReader;
use App\Exchange\Problem;
use App\Exchange\ReadFile;
use App\Exchange\TakeDrafts;
use App\Exchange\TaskKey;
use App\Exchange\TodoReader;
use App\Exchange\TodoTxtReader;
use App\Exchange\WriteTasks;
use App\Files\KeepFile;
use App\Files\PlainText;
use App\Files\UnreadableFile;
use App\Models\Subtask;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Sabre\VObject\Reader;

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

        $key = [$this->key($tasks[0]), $this->key($tasks[1])];
        self::assertSame("(B) 2026-03-11 Draft, the \"wall\" text due:2026-03-13 for:90min stage:open id:{$key[0]}\n(C) 2026-03-11 =1+1 second line for:15min stage:open id:{$key[1]}\n", $write(Format::TodoTxt, $tasks));
        self::assertSame("- [ ] Draft, the \"wall\" text for 1 h 30 due:2026-03-13 importance:high <!-- {$key[0]} 22 open -->\n  - [ ] Measure for 20 min\n- [ ] =1+1 second line for 15 min importance:medium <!-- {$key[1]} 16 open -->\n", $write(Format::Markdown, $tasks));
        self::assertStringContainsString('"Draft, the ""wall"" text",,2026-03-13,,90,high', $write(Format::Csv, $tasks));
        self::assertStringContainsString("\"'=1+1\nsecond line\"", $write(Format::Csv, $tasks));
        self::assertStringContainsString("DUE;VALUE=DATE:20260313\r\n", $write(Format::ICalendar, $tasks));
        self::assertStringContainsString("Message-ID: <{$key[0]}@localhost>\r\n", $write(Format::Mail, $tasks));
    }

    /** @return array<string, array{Format}> */
    public static function formats(): array
    {
        return array_combine(array_column(Format::cases(), 'value'), array_map(static fn (Format $format): array => [$format], Format::cases()));
    }

    /** What each format loses on its way through an empty account is just what its page says. */
    #[Test]
    #[DataProvider('formats')]
    public function a_task_that_says_everything_goes_through_each_format(Format $format): void
    {
        $this->saysEverything();
        $before = $this->said($this->ines);
        $text = (new WriteTasks($this->ines, Clock::now()))($format, $this->ines->tasks()->with(['area', 'project', 'contexts', 'links', 'subtasks', 'repeat'])->orderBy('id')->get());
        $other = $this->person('elsewhere@example.org');
        $other->areas()->create(['name' => 'Loans', 'hue' => 'plum', 'hours_set_id' => $other->hoursSets()->firstOrFail()->id, 'position' => 5]);
        $drafts = iterator_to_array((new ReadFile($other, Clock::now()))($format, $text), false);
        self::assertSame([], array_values(array_filter($drafts, static fn ($one): bool => $one instanceof Problem)));
        app(TakeDrafts::class)($other, array_values(array_filter($drafts, static fn ($one): bool => $one instanceof Draft)), 'file', Clock::now());
        $after = $this->said($other);
        $lost = array_values(array_filter(Format::FIELDS, static fn (string $field): bool => $before[$field] !== $after[$field]));

        self::assertSame($format->loses(), $lost, json_encode(array_map(static fn (string $field): array => [$before[$field], $after[$field]], array_combine($lost, $lost))) ?: '');
        self::assertSame([0, count(array_filter($drafts, static fn ($one): bool => $one instanceof Draft && $one->isTask()))], array_slice(app(TakeDrafts::class)($other, array_values(array_filter($drafts, static fn ($one): bool => $one instanceof Draft)), 'file', Clock::now()), 0, 2), 'no doubles');
    }

    /** What a calendar may not say (RFC 5545, 3.6.2): a start of another kind than what is due, or after it; a rule without a start. */
    #[Test]
    public function to_dos_that_are_written_are_valid(): void
    {
        $this->saysEverything();
        $this->task('Start after due', dueOn: '2026-03-12')->update(['not_before' => '2026-03-20 09:00:00']);
        $this->task('Start on the day', dueOn: '2026-03-12')->update(['not_before' => '2026-03-12 09:00:00']);
        $text = (new WriteTasks($this->ines, Clock::now()))(Format::ICalendar, $this->ines->tasks()->with(['area', 'project', 'contexts', 'links', 'subtasks', 'repeat'])->get());
        $calendar = Reader::read($text);

        self::assertSame([], array_map(static fn (array $one): string => (string) $one['message'], $calendar->validate()));
        foreach ($calendar->select('VTODO') as $todo) {
            if (isset($todo->DTSTART, $todo->DUE)) {
                self::assertSame(strlen((string) $todo->DTSTART), strlen((string) $todo->DUE), (string) $todo->SUMMARY);
                self::assertLessThan((string) $todo->DUE, (string) $todo->DTSTART, (string) $todo->SUMMARY);
            }
            self::assertFalse(isset($todo->RRULE) && ! isset($todo->DTSTART), (string) $todo->SUMMARY);
        }
    }

    #[Test]
    public function steps_of_a_to_do_are_related_in_either_direction(): void
    {
        $todo = static fn (string $uid, string $more): string => "BEGIN:VTODO\r\nUID:{$uid}\r\nSUMMARY:{$uid}\r\n{$more}END:VTODO\r\n";
        $read = self::all((new TodoReader($this->ines))->read("BEGIN:VCALENDAR\r\n".$todo('step', "RELATED-TO:whole\r\n").$todo('whole', "RELATED-TO;RELTYPE=CHILD:last\r\n").$todo('last', '').$todo('deep', "RELATED-TO;RELTYPE=PARENT:step\r\n").$todo('a', "RELATED-TO:b\r\n").$todo('b', "RELATED-TO:a\r\n").$todo('alone', "RELATED-TO:nobody\r\n").'END:VCALENDAR'));

        self::assertSame(['whole; 3 below', 'a', 'b', 'alone'], array_map(self::facts(...), $read->drafts));
    }

    private function saysEverything(): void
    {
        $this->ines->areas()->create(['name' => 'Loans', 'hue' => 'plum', 'hours_set_id' => $this->ines->hoursSets()->firstOrFail()->id, 'position' => 5]);
        $project = $this->ines->projects()->create(['name' => 'Wall texts', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $task = $this->task('Draft the text by friday', 90, Importance::Vital, deep: true);
        $task->update([
            'due_at' => $this->utc('2026-03-20 15:30'), 'not_before' => $this->utc('2026-03-16 09:15'), 'note' => "120 words.\n\nKeep “tideway”.", 'project_id' => $project->id, 'area_id' => $this->ines->areas()->where('name', 'Loans')->sole()->id,
            'section_id' => $project->sections()->create(['user_id' => $this->ines->id, 'name' => 'Text'])->id, 'picked_on' => '2026-03-17', 'set_at' => $this->utc('2026-03-17 11:00'), 'push' => 1, 'part' => 'morning',
        ]);
        $task->subtasks()->createMany([['user_id' => $this->ines->id, 'title' => 'Measure', 'estimate' => 20, 'position' => 1], ['user_id' => $this->ines->id, 'title' => 'Order hooks', 'done_at' => Clock::now(), 'position' => 2]]);
        $task->contexts()->attach([$this->ines->contexts()->create(['name' => 'phone'])->id, $this->ines->contexts()->create(['name' => 'desk'])->id]);
        $task->links()->createMany([['user_id' => $this->ines->id, 'address' => 'https://example.org/plan'], ['user_id' => $this->ines->id, 'address' => 'https://example.org/more']]);
        $this->task('Rent', dueOn: '2026-04-01')->update(['repeat_id' => $this->ines->repeats()->create(['rule' => 'FREQ=MONTHLY;BYMONTHDAY=1', 'pattern' => [], 'begins_on' => '2026-04-01'])->id]);
        $this->task('Vitrines', dueOn: '2026-03-14')->update(['repeat_id' => $this->ines->repeats()->create(['after_done' => 'P10D', 'pattern' => [], 'begins_on' => '2026-03-14'])->id]);
        $this->task('Signed contract')->update(['stage' => TaskStage::Waiting, 'waiting_for' => 'Tomás Rey', 'waiting_since' => '2026-03-09', 'ask_on' => '2026-03-13']);
        $this->task('Podcast')->update(['stage' => TaskStage::Someday]);
        $this->task('Over')->update(['done_at' => $this->utc('2026-03-10 12:00')]);
        $this->task('Read')->events()->create(['user_id' => $this->ines->id, 'what' => 'title', 'facts' => ['from' => 'a', 'to' => 'b'], 'at' => '2026-03-01 09:00:00']);
    }

    /** @return array<string, mixed> by field */
    private function said(User $user): array
    {
        $all = $user->tasks()->with(['area', 'project', 'section', 'contexts', 'links', 'subtasks', 'repeat', 'events'])->get()->keyBy('title');
        $task = $all['Draft the text by friday'] ?? $all->first();
        $each = static fn (\Closure $what): array => $all->map($what)->sortKeys()->all();

        return [
            'title' => $all->keys()->sort()->values()->all(), 'note' => strstr("{$task->note}\n\nid:", '120 words') === false ? null : mb_substr((string) strstr((string) $task->note, '120 words'), 0, 27), 'importance' => $each(static fn (Task $one): ?string => $one->importance?->word()),
            'demand' => $task->demand->value, 'due' => $all['Rent']->due_on ?? null, 'due_time' => $task->due_at?->toDateTimeString(), 'start' => $task->not_before?->toDateString(), 'start_time' => $task->not_before?->toDateTimeString(),
            'estimate' => $each(static fn (Task $one): ?int => $one->estimate), 'area' => $task->area->name, 'project' => $task->project?->name, 'contexts' => $task->contexts->pluck('name')->sort()->values()->all(),
            'subtasks' => $task->subtasks->map(static fn (Subtask $one): array => [$one->title, $one->done_at !== null])->all(), 'subtask_minutes' => $task->subtasks->pluck('estimate')->all(),
            'repeat' => $all['Rent']->repeat->rule ?? null, 'after_done' => $all['Vitrines']->repeat->after_done ?? null, 'waiting' => $all['Signed contract']->waiting_for ?? null, 'links' => $task->links->pluck('address')->all(),
            'stage' => $each(static fn (Task $one): string => $one->stage->value), 'done' => $each(static fn (Task $one): bool => $one->done_at !== null), 'ask' => $all['Signed contract']->ask_on ?? null, 'set_time' => $task->set_at?->toDateTimeString(),
            'pick' => $task->picked_on, 'push' => $task->push->value, 'part' => $task->part, 'section' => $task->section?->name, 'history' => ($all['Read'] ?? $task)->events->pluck('what')->contains('title'),
        ];
    }

    private function key(Task $task): string
    {
        return TaskKey::of($this->ines, $task->id);
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
