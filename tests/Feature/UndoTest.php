<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\RevisionCause;
use App\Models\User;
use App\Time\Clock;
use App\Undo\Guarded;
use App\Undo\Journal;
use App\Undo\Once;
use Database\Seeders\DemoSeeder;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PHPUnit\Framework\Attributes\Test;

/** Undo takes back what it names, and nothing that somebody else did since. */
final class UndoTest extends FeatureTestCase
{
    #[Test]
    public function a_window_takes_back_its_own_change_and_leaves_what_another_has_caught_since(): void
    {
        $quotes = $this->task('Quotes');
        $this->patch("/tasks/{$quotes->id}", ['estimate' => '90']);
        $offered = (int) session('revision');
        $this->get('/shape')->assertSee("value=\"{$offered}\"", false);
        $this->post('/gather', ['lines' => 'Ring the lender back']); // the other window

        $this->post('/plan/undo', ['revision' => $offered])->assertRedirect();

        self::assertSame(60, $quotes->refresh()->estimate);
        self::assertTrue($this->ines->tasks()->where('title', 'Ring the lender back')->exists());
    }

    #[Test]
    public function pressing_twice_takes_one_back(): void
    {
        $quotes = $this->task('Quotes');
        $this->patch("/tasks/{$quotes->id}", ['importance' => '4']);
        $this->patch("/tasks/{$quotes->id}", ['estimate' => '90']);
        $offered = (int) session('revision');

        $this->post('/plan/undo', ['revision' => $offered]);
        $this->post('/plan/undo', ['revision' => $offered])->assertSessionHas('status', __('plan.undone_already'));

        self::assertSame([60, 'vital'], [$quotes->refresh()->estimate, $quotes->importance?->word()]);
    }

    #[Test]
    public function what_was_changed_once_more_since_stays_and_is_said_to(): void
    {
        $quotes = $this->task('Quotes');
        $essay = $this->task('Essay');
        $this->post('/tasks/many', ['ids' => [$quotes->id, $essay->id], 'importance' => '4', 'due_date' => '2026-03-20']);
        $offered = (int) session('revision');
        $this->patch("/tasks/{$quotes->id}", ['due_date' => '2026-03-25']);

        $this->post('/plan/undo', ['revision' => $offered]);

        self::assertSame(['medium', '2026-03-25'], [$quotes->refresh()->importance?->word(), $quotes->due_on], 'what was not changed since comes back all the same');
        self::assertSame(['medium', null], [$essay->refresh()->importance?->word(), $essay->due_on]);
        self::assertStringContainsString('Quotes', (string) session('status'));
        self::assertStringNotContainsString('Essay', (string) session('status'));
    }

    /** Revisions that are older than a column, or than its place in the table, are undone as well. */
    #[Test]
    public function a_revision_of_an_older_table_is_taken_back_whole(): void
    {
        $essay = $this->task('Essay');
        $this->block($essay, '2026-03-11 15:00', '2026-03-11 16:00');
        $this->task('Quotes');
        $this->post('/plan/lay-out');
        self::assertNotSame(['Wed 15:00–16:00 Essay'], $this->plan());
        $revision = $this->ines->planRevisions()->latest('id')->firstOrFail();
        $older = static fn (?array $row): ?array => $row === null ? null : array_reverse(array_diff_key($row, ['put_back' => 0]) + ['user_id' => 1, 'gone_since' => 1], true);
        $revision->update(['rows' => array_map(static fn (array $rows): array => array_map(static fn (array $row): array => ['id' => $row['id'], 'before' => $older($row['before']), 'after' => $older($row['after'])], $rows), $revision->rows)]);

        $this->post('/plan/undo')->assertSessionHas('status', __('plan.undone.laid_out').' Essay is at 15:00 again.');

        self::assertSame(['Wed 15:00–16:00 Essay'], $this->plan());
    }

    #[Test]
    public function one_change_after_another_is_taken_back_also_over_a_mending(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 15:00', '2026-03-11 16:00');
        $this->task('Quotes', 30);
        $before = $this->plan();
        $this->post('/plan/lay-out');
        $laidOut = $this->plan();
        $this->meeting('Lighting review', '2026-03-11 09:00', '2026-03-11 09:45');
        $this->get('/shape')->assertSee('Moved by itself');
        self::assertNotSame($laidOut, $this->plan());

        $this->post('/plan/undo');
        self::assertSame($laidOut, $this->plan());
        $this->post('/plan/undo')->assertSessionHas('status', __('plan.undone.laid_out').' Essay is at 15:00 again.');
        self::assertSame($before, $this->plan());
        $this->post('/plan/undo')->assertSessionHas('status', __('plan.nothing_to_undo'));
    }

    #[Test]
    public function undo_of_undone_work_never_lets_two_clocks_run(): void
    {
        [$a, $b] = [$this->task('A', 30), $this->task('B', 30)];
        $block = $this->block($a, '2026-03-11 09:00', '2026-03-11 09:30');
        $this->block($b, '2026-03-11 09:30', '2026-03-11 10:00');
        $this->at('2026-03-11 09:00');
        $this->post("/work/start/{$a->id}", ['block' => $block->id]);
        $this->at('2026-03-11 09:10');
        $this->post("/blocks/{$block->id}/done");
        $done = (int) session('revision');
        $this->post("/work/start/{$b->id}");

        $this->post('/plan/undo', ['revision' => $done]);

        self::assertSame([$b->id], $this->ines->entries()->whereNull('ends_at')->pluck('task_id')->all());
        self::assertNull($a->refresh()->done_at, 'that it is done is taken back');
        $this->get('/work')->assertOk();
    }

    #[Test]
    public function the_database_itself_keeps_to_one_clock_an_account(): void
    {
        $task = $this->task('A');
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc('2026-03-11 08:00')]);
        $wim = $this->person('wim@example.org');
        $wim->entries()->create(['task_id' => $this->task('B', of: $wim)->id, 'starts_at' => $this->utc('2026-03-11 08:00')]);

        $this->expectException(UniqueConstraintViolationException::class);
        $this->ines->entries()->create(['task_id' => $task->id, 'starts_at' => $this->utc('2026-03-11 08:05')]);
    }

    #[Test]
    public function a_deleted_project_comes_back_with_its_tasks_and_no_task_points_at_nothing(): void
    {
        $this->post('/tasks/sort', ['ids' => [$this->task('Captions')->id], 'to' => 'project', 'project' => 'Catalogue']);
        $sorted = (int) session('revision');
        $project = $this->ines->projects()->sole();
        $this->delete("/projects/{$project->id}")->assertSessionHasNoErrors();
        $removed = (int) session('revision');
        self::assertNull($this->ines->tasks()->sole()->project_id);

        $this->post('/plan/undo', ['revision' => $removed]);
        self::assertSame($project->id, $this->ines->tasks()->sole()->project_id);
        self::assertSame('Catalogue', $this->ines->projects()->sole()->name);

        $this->delete("/projects/{$project->id}");
        $this->post('/plan/undo', ['revision' => $sorted]);
        self::assertNull($this->ines->tasks()->sole()->project_id);
        $this->get('/weigh/list?group=project')->assertOk();
        $this->get('/tasks/'.$this->ines->tasks()->sole()->id)->assertOk();
    }

    #[Test]
    public function every_planning_fact_of_a_task_comes_back(): void
    {
        $task = $this->task('Quotes');
        $before = $this->facts($task->refresh()->getAttributes());
        $this->patch("/tasks/{$task->id}", [
            'title' => 'Courier quotes', 'importance' => '4', 'push' => '1', 'due_date' => '2026-03-20', 'due_time' => '12:00', 'estimate' => '90', 'demand' => 'deep', 'part' => 'morning', 'splits' => '0',
            'not_before' => '2026-03-12',
        ])->assertSessionHasNoErrors();
        self::assertSame(1, $task->refresh()->push->value);

        $this->post('/plan/undo');

        self::assertSame($before, $this->facts($task->refresh()->getAttributes()));
    }

    /** Every column is journaled or on the list of those that are not: each is changed in every guarded table, and looked at again. */
    #[Test]
    public function every_column_comes_back_but_those_that_are_named(): void
    {
        $this->artisan('nekto:demo');
        $user = User::query()->where('email', DemoSeeder::EMAIL)->sole();
        $this->rowsTheDemoHasNot($user);
        foreach (Guarded::TABLES as $table => $left) {
            $rows = static fn (): Builder => match ($table) {
                'users' => DB::table($table)->where('id', $user->id),
                'hours_exceptions' => DB::table($table)->whereIn('hours_set_id', $user->hoursSets()->pluck('id')),
                default => DB::table($table)->where('user_id', $user->id),
            };
            $row = (array) $rows()->orderBy('id')->first();
            self::assertNotSame([], $row, "there is a row in {$table}");
            self::assertSame([], array_diff($left, array_keys($row)), "what is named of {$table} is there");
            $changed = array_map(self::other(...), array_filter($row, static fn (string $column): bool => $column !== 'id' && ! str_ends_with($column, '_id'), ARRAY_FILTER_USE_KEY));

            $revision = (new Journal(new Once))->record($user, RevisionCause::Changed, Clock::now(), static fn () => $rows()->where('id', $row['id'])->update($changed));
            (new Journal(new Once))->undo($user, $revision?->id, Clock::now());

            $is = (array) $rows()->where('id', $row['id'])->first();
            self::assertEqualsCanonicalizing(array_values(array_intersect(array_keys($changed), $left)), array_keys(array_filter($is, static fn (mixed $value, string $column): bool => $value !== $row[$column], ARRAY_FILTER_USE_BOTH)), $table);
            $rows()->where('id', $row['id'])->update($row);
        }
    }

    #[Test]
    public function no_column_that_planning_asks_is_left_out_of_undo(): void
    {
        $planning = ['importance', 'push', 'due_on', 'due_at', 'due_hard', 'not_before', 'estimate', 'said', 'said_at', 'by_steps', 'estimate_begun', 'min_chunk', 'max_chunk', 'demand', 'carried', 'area_id', 'project_id', 'section_id',
            'hours_set_id', 'position', 'picked_on', 'key', 'set_at', 'part', 'splits', 'stage', 'done_at', 'deleted_at', 'waiting_for', 'waiting_since', 'ask_on', 'return_on', 'repeat_id', 'habit_id', 'occurs_on', 'title'];

        self::assertSame([], array_intersect($planning, Guarded::TABLES['tasks']));
        self::assertEqualsCanonicalizing(Schema::getColumnListing('tasks'), ['id', ...$planning, ...Guarded::TABLES['tasks']], 'a new column of tasks is on one of the two lists');
        self::assertSame(['user_id'], Guarded::TABLES['blocks']);
        self::assertSame(['user_id'], Guarded::TABLES['entries']);
    }

    private function rowsTheDemoHasNot(User $user): void
    {
        $own = ['user_id' => $user->id];
        $task = $user->tasks()->firstOrFail();
        $time = ['starts_at' => $this->utc('2026-03-11 16:00'), 'ends_at' => $this->utc('2026-03-11 17:30')];
        $user->hoursSets()->firstOrFail()->exceptions()->create(['date' => '2026-03-23', 'stretches' => []]);
        $user->projects()->firstOrFail()->sections()->create($own + ['name' => 'Proofs', 'position' => 1]);
        $task->subtasks()->create($own + ['title' => 'Leaves']);
        $user->repeats()->create(['rule' => 'FREQ=WEEKLY', 'after_done' => false, 'days_off' => 'keep', 'pattern' => [], 'begins_on' => '2026-03-16']);
        $user->meetingNotes()->create(['meeting_id' => $user->meetings()->firstOrFail()->id, 'starts_at' => $time['starts_at'], 'text' => 'Two lenders come.']);
        $user->reserves()->create($time + ['title' => 'Errands']);
        $user->routines()->create(['title' => 'Mail', 'at' => 540, 'minutes' => 30, 'days' => 'mon', 'from' => '2026-03-01', 'parts' => []])->otherDays()->create($own + ['date' => '2026-03-16', 'dropped' => true]);
        $user->lunchDays()->create(['date' => '2026-03-12', 'from' => 780, 'to' => 825]);
        $user->promises()->create(['date' => '2026-03-15', 'taken_at' => $time['starts_at'], 'how' => 'hours', 'tasks' => []]);
        $user->earlyEnds()->create(['from_at' => $time['starts_at'], 'until_at' => $time['ends_at']]);
    }

    private static function other(mixed $value): mixed
    {
        return match (true) {
            $value === null => 1,
            is_int($value) => $value + 1,
            is_numeric($value) => (string) ((int) $value + 1),
            preg_match('/^\d{4}-\d\d-\d\d/', (string) $value) === 1 => '2031'.substr((string) $value, 4),
            default => "{$value} ",
        };
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private function facts(array $row): array
    {
        return array_diff_key($row, ['updated_at' => 0]);
    }

    #[Test]
    public function redo_takes_undo_back_step_by_step_over_everything_a_key_undoes(): void
    {
        $area = $this->ines->areas()->firstOrFail();
        $task = $this->task('Quotes');
        $this->task('Captions');
        $caught = $this->ines->tasks()->create(['title' => 'Lamps', 'area_id' => $area->id, 'stage' => 'inbox']);
        $acts = [
            fn () => $this->post('/gather', ['lines' => 'Ask Prue who turned plate 12']),
            fn () => $this->post('/tasks/sort', ['ids' => [$caught->id], 'to' => 'someday']),
            fn () => $this->post("/weigh/{$task->id}", ['answer' => 'make_time', 'importance' => 4, 'estimate' => '90 min']),
            fn () => $this->delete("/tasks/{$task->id}"),
            fn () => $this->patch("/settings/areas/{$area->id}", ['name' => 'Rivers', 'hue' => $area->hue]),
            fn () => $this->put('/settings/best-hours', ['week' => ['mon' => '09:00–11:00']]),
            fn () => $this->post('/plan/lay-out'),
        ];
        $states = [$this->rows()];
        foreach ($acts as $act) {
            $act()->assertSessionHasNoErrors();
            $states[] = $this->rows();
        }
        self::assertCount(count($states), array_unique(array_map(serialize(...), $states)), 'each of them changes something');
        for ($i = count($acts) - 1; $i >= 0; $i--) {
            $this->post('/plan/undo');
            self::assertEquals($states[$i], $this->rows(), "undone {$i}");
        }
        foreach (array_slice($states, 1) as $i => $state) {
            $this->post('/plan/redo')->assertSessionHas('status', static fn (string $said): bool => str_starts_with($said, 'Again: '));
            self::assertEquals($state, $this->rows(), "again {$i}");
        }
        $this->post('/plan/redo')->assertSessionHas('status', __('plan.nothing_to_redo'));
        $this->post('/plan/undo');
        self::assertEquals($states[count($acts) - 1], $this->rows(), 'and undo goes on from there');
    }

    #[Test]
    public function after_another_change_there_is_nothing_to_redo_by_key(): void
    {
        $this->post('/gather', ['lines' => 'Two lamps']);
        $this->post('/plan/undo');
        $this->get('/gather')->assertSee('action="/plan/redo"', false);
        $this->post('/gather', ['lines' => 'Three lamps']);
        $this->get('/gather')->assertDontSee('action="/plan/redo"', false);
        $this->post('/plan/redo')->assertSessionHas('status', __('plan.nothing_to_redo'));

        self::assertSame(['Three lamps'], $this->ines->tasks()->pluck('title')->all());
    }

    #[Test]
    public function redo_leaves_alone_what_was_changed_since_and_names_it(): void
    {
        $task = $this->task('Quotes');
        $this->patch("/tasks/{$task->id}", ['importance' => 4]);
        $revision = $this->ines->planRevisions()->latest('id')->value('id');
        $this->post('/plan/undo');
        $this->patch("/tasks/{$task->id}", ['importance' => 1]);
        $this->post('/plan/redo', ['revision' => $revision])->assertSessionHas('status', static fn (string $said): bool => str_contains($said, 'Quotes'));

        self::assertSame(1, $task->refresh()->importance?->value);
    }

    /** A day is promised once: what was promised anew meanwhile stays, and nothing is a fault. */
    #[Test]
    public function redo_brings_nothing_back_whose_name_or_day_another_has(): void
    {
        $this->at('2026-03-11 08:00');
        $this->task('Quotes');
        $this->post('/plan/lay-out');
        $revision = $this->ines->planRevisions()->latest('id')->value('id');
        $first = $this->ines->promises()->sole()->id;
        $this->post('/plan/undo', ['revision' => $revision]);
        $this->ines->promises()->delete();
        $this->ines->promises()->create(['date' => '2026-03-11', 'taken_at' => now(), 'how' => 'hours', 'tasks' => []]);

        $this->post('/plan/redo', ['revision' => $revision])->assertRedirect();
        self::assertSame('hours', $this->ines->promises()->sole()->how);
        self::assertNotSame(0, $first);
    }

    #[Test]
    public function nobody_redoes_anothers_change(): void
    {
        $this->post('/gather', ['lines' => 'Two lamps']);
        $revision = $this->ines->planRevisions()->latest('id')->value('id');
        $this->post('/plan/undo');
        $this->actingAs($this->person('wim@example.org'))->post('/plan/redo', ['revision' => $revision])->assertSessionHas('status', __('plan.nothing_to_redo'));

        self::assertSame(0, $this->ines->tasks()->count());
    }

    /** @return array<string, list<array<string, mixed>>> what undo guards, as it is */
    private function rows(): array
    {
        $rows = [];
        foreach (Guarded::TABLES as $table => $apart) {
            $rows[$table] = DB::table($table)->orderBy('id')->get()->map(static fn (object $row): array => array_diff_key((array) $row, array_flip($apart)))->all();
        }

        return $rows;
    }
}
