<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\Format;
use App\Exchange\OwnFormat;
use App\Exchange\ReadFile;
use App\Exchange\TakeDrafts;
use App\Exchange\WriteOwn;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schema;
use PHPUnit\Framework\Attributes\Test;

/** Take everything along: what is written is an account that comes back. */
final class OwnFormatTest extends FeatureTestCase
{
    #[Test]
    public function the_sample_comes_back_in_an_empty_account(): void
    {
        $sample = $this->sample();
        $sample->meetings()->delete(); // they and the mail are not in it
        $sample->messages()->delete();
        [$early, $late] = $sample->projects()->orderBy('id')->get()->all();
        $early->update(['after_id' => $late->id]); // which stands further down in the file
        $this->actingAs($sample)->get('/shape'); // mended
        $file = self::written($sample);
        $other = $this->person('elsewhere@example.org');
        $this->actingAs($other)->post('/gather/files', ['text' => $file])->assertSessionHasNoErrors();
        $preview = $other->intakes()->sole();
        self::assertSame(Format::Own->value, $preview->format);
        $this->post("/gather/files/{$preview->id}")->assertSessionHasNoErrors();

        self::assertSame($sample->tasks()->withTrashed()->count(), $other->tasks()->withTrashed()->count());
        self::assertSame(self::comparable($file), self::comparable(self::written($other->refresh())));
        $this->get('/gather'); // says once what was taken
        foreach (['/shape', '/weigh/list', '/projects', '/gather', '/close', '/settings', '/views'] as $page) {
            self::assertSame($this->said($sample, $page), $this->said($other, $page), $page);
        }
    }

    #[Test]
    public function read_back_into_its_own_account_or_twice_it_makes_no_doubles(): void
    {
        $sample = $this->sample();
        $before = self::comparable(self::written($sample));
        self::assertSame(0, $this->taken($sample, self::written($sample)));
        self::assertSame($before, self::comparable(self::written($sample)));

        $other = $this->person('elsewhere@example.org');
        self::assertGreaterThan(20, $this->taken($other, self::written($sample)));
        $once = self::comparable(self::written($other));
        self::assertSame(0, $this->taken($other, self::written($sample)));
        self::assertSame($once, self::comparable(self::written($other)));
    }

    #[Test]
    public function an_account_that_has_its_own_keeps_its_rules_and_hours(): void
    {
        $sample = $this->sample();
        $other = $this->person('elsewhere@example.org');
        $this->task('My own', of: $other);
        $other->update(['margin_percent' => 35]);
        $week = $other->hoursSets()->orderBy('id')->firstOrFail()->week;
        $this->taken($other, self::written($sample));

        self::assertSame(35, $other->refresh()->margin_percent);
        self::assertSame($week, $other->hoursSets()->orderBy('id')->firstOrFail()->week);
        self::assertNotNull($other->areas()->where('name', 'Loans & lenders')->first());
        self::assertSame('Loans & lenders', $other->tasks()->where('title', 'Lyon loan schedule')->sole()->area->name);
    }

    #[Test]
    public function a_file_that_is_cut_off_changed_or_nonsense_costs_its_own_lines_only(): void
    {
        $file = self::written($this->sample());
        $other = $this->person('elsewhere@example.org');
        $lines = explode("\n", substr($file, 0, (int) (strlen($file) * 0.6)));
        $problems = array_values(array_filter($this->read($other, implode("\n", $lines)), static fn ($one): bool => $one instanceof \App\Exchange\Problem));
        self::assertSame([count($lines)], array_map(static fn ($one): int => $one->line, $problems));

        $odd = implode("\n", [
            '{"is":"nekto","version":99}', '{"is":"task"}', '{"is":"elephant","title":"x"}', 'not json', '[1,2]', '"x"', '{"is":"task","title":"'.str_repeat('long ', 100).'"}',
            '{"is":"task","key_of":"a","title":"Odd","stage":"nowhere","importance":99,"push":"x","due_on":"2026-02-31","due_at":"soon","estimate":-5,"demand":{},"contexts":"x","subtasks":[1,{"title":5}],"entries":[{"starts_at":"never"}],"blocks":[{"starts_at":"2026-03-12 10:00:00","ends_at":"2026-03-12 09:00:00","state":"gone"}],"repeat":{"rule":"FREQ=SOMETIMES","begins_on":"x"},"history":[{"what":"title"}]}',
            '{"is":"hours","name":"Strange","week":{"mon":[["09:00","08:00"],["25:00","26:00"],5]},"dates":[{"date":"x"}]}', '{"is":"settings","margin_percent":5000,"zone":"Mars","theme":"loud","best_hours":5}', '{"is":"area","name":""}', '{"is":"project","name":"Odd project","area":"nowhere","sections":[{"name":7}]}',
            '{"is":"promise","date":"2026-03-10","taken_at":"2026-03-10 09:00:00","how":"hours","tasks":[5,{"task":"b"}]}', '{"is":"closed","date":"2026-03-10","account":{"rows":[{"task":1}]},"slips":{"x":["y"]}}', '{"is":"view","name":"V","question":{"conditions":[{"what":"area:Gone"},5],"group":7}}',
        ]);
        $this->actingAs($other)->post('/gather/files', ['text' => $odd, 'format' => 'nekto']);
        $this->post('/gather/files/'.$other->intakes()->sole()->id)->assertSessionHasNoErrors();
        $task = $other->tasks()->where('title', 'Odd')->sole();
        self::assertSame(['inbox', null, null, null, 0], [$task->stage->value, $task->importance, $task->due_on, $task->estimate, $task->blocks()->count()]);
        self::assertSame([20, 'Europe/Lisbon'], [$other->refresh()->margin_percent, $other->zone]);
        foreach (['/shape', '/gather', '/weigh', '/projects', '/close/2026-03-10', '/settings', '/views', "/tasks/{$task->id}"] as $page) {
            $this->get($page)->assertOk();
        }
    }

    /** A new column is written, or it is said that it is not. */
    #[Test]
    public function an_account_of_a_cycle_or_a_review_that_is_none_breaks_no_page(): void
    {
        $user = $this->person('odd@example.org');
        $odd = [['x' => 1], ['span' => [], 'kept' => '1', 'judged' => 0, 'goals' => 'none'], ['span' => 'A', 'kept' => 1, 'judged' => 2, 'goals' => [['id' => 1]]], ['promised' => 'much', 'keys' => 3]];
        $lines = ['{"is":"nekto","version":1}'];
        foreach ($odd as $i => $account) {
            $lines[] = (string) json_encode(['is' => 'cycle', 'begins_on' => '2025-0'.($i + 1).'-06', 'weeks' => 4, 'closed_at' => '2026-01-05 10:00:00', 'account' => $account]);
            $lines[] = (string) json_encode(['is' => 'review', 'week_on' => ['2026-01-05', '2026-01-12', '2026-01-19', '2026-01-26'][$i], 'step' => 7, 'begun_at' => '2026-01-09 17:00:00', 'closed_at' => '2026-01-09 17:20:00', 'account' => $account]);
        }
        $this->taken($user, implode("\n", $lines)."\n");

        self::assertSame([4, 4], [$user->cycles()->count(), $user->reviews()->count()]);
        foreach ($user->cycles()->get() as $cycle) {
            $this->actingAs($user)->get("/cycles/{$cycle->id}")->assertOk();
        }
        foreach ($user->reviews()->get() as $review) {
            $this->actingAs($user)->get("/review/{$review->week_on}?all=1")->assertOk();
        }
    }

    #[Test]
    public function every_column_is_written_or_named_as_left_out(): void
    {
        foreach (OwnFormat::TABLES as $kind => $table) {
            self::assertSame([], array_values(array_diff(Schema::getColumnListing($table), OwnFormat::COLUMNS[$kind], OwnFormat::NAMED_OR_LEFT)), $table);
            self::assertSame([], array_values(array_diff(OwnFormat::COLUMNS[$kind], Schema::getColumnListing($table))), $table);
        }
        $page = (string) file_get_contents(base_path('docs/own-format.md'));
        foreach (OwnFormat::COLUMNS as $kind => $columns) {
            foreach ([$kind, ...$columns] as $word) {
                self::assertStringContainsString("`{$word}`", $page, $kind);
            }
        }
    }

    private function sample(): User
    {
        Clock::set('2026-03-11T10:20:00+00:00');
        Artisan::call('nekto:demo');

        return User::query()->where('email', 'ines@example.org')->sole();
    }

    private static function written(User $user): string
    {
        return implode('', iterator_to_array((new WriteOwn($user, Clock::now()))(), false));
    }

    /** @return list<string> */
    private static function comparable(string $file): array
    {
        return array_map(static fn (string $line): string => (string) preg_replace(['/"key_of":"[^"]*",?/', '/"first":"[^"]*"/', '/"(?:updated|written)(?:_at)?":"[^"]*",?/', '/"area":\d+,/'], ['', '', '', ''], $line), explode("\n", trim($file)));
    }

    /** @return list<mixed> */
    private function read(User $user, string $file): array
    {
        return iterator_to_array((new ReadFile($user, Clock::now()))(Format::Own, $file), false);
    }

    private function taken(User $user, string $file): int
    {
        return app(TakeDrafts::class)($user->refresh(), array_values(array_filter($this->read($user, $file), static fn ($one): bool => $one instanceof \App\Exchange\Draft)), 'file', Clock::now())[0];
    }

    /** What a page says, without numbers of rows. */
    private function said(User $user, string $page): string
    {
        $html = (string) $this->actingAs($user)->get($page)->assertOk()->getContent();
        $main = (string) preg_replace('/^.*<main|<\/main>.*$/s', '', $html);

        return trim((string) preg_replace('/\s+/u', ' ', strip_tags((string) preg_replace('/<(script|style|datalist)[^>]*>.*?<\/\1>/s', '', $main))));
    }
}
