<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Find\Conditions;
use App\Find\Question;
use App\Find\Shipped;
use App\Models\Task;
use App\Models\TaskStage;
use App\Time\Clock;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Saved views and the search. */
final class ViewTest extends FeatureTestCase
{
    /**
     * @param  list<string>  $conditions  "!" for not, "|" begins a further group
     * @param  list<string>  $found
     */
    #[Test]
    #[DataProvider('questions')]
    public function conditions_find_what_they_say(array $conditions, array $found): void
    {
        $this->someTasks();

        self::assertSame($found, $this->ask($conditions));
    }

    /** @return array<string, array{list<string>, list<string>}> */
    public static function questions(): array
    {
        return [
            'all that is open' => [[], ['Essay', 'Invoices', 'Late', 'Mail', 'New', 'Walk']],
            'overdue' => [['due:overdue'], ['Late']],
            'due within a week' => [['due:week'], ['Essay', 'Late']],
            'no date' => [['due:none'], ['Invoices', 'Mail', 'New', 'Walk']],
            'short' => [['estimate:15'], ['Mail']],
            'deep' => [['demand:deep'], ['Essay']],
            'vital' => [['importance:4'], ['Essay']],
            'unweighed' => [['importance:none'], ['New']],
            'in the inbox' => [['stage:inbox'], ['New']],
            'for the evening' => [['part:evening'], ['Walk']],
            'waiting' => [['stage:waiting'], ['Answer']],
            'someday' => [['stage:someday'], ['Podcast']],
            'done' => [['done:yes'], ['Old']],
            'let go' => [['let_go:yes'], ['Gone']],
            'not let go' => [['!let_go:yes', 'part:evening'], ['Walk']],
            'carried over' => [['carried:1'], ['Invoices']],
            'picked' => [['picked:today'], ['Mail']],
            'and' => [['estimate:60', 'demand:light'], ['Invoices', 'Late', 'Mail', 'Walk']],
            'not' => [['!due:none', '!demand:deep'], ['Late']],
            'or' => [['demand:deep', '|part:evening'], ['Essay', 'Walk']],
            'and before or' => [['demand:light', 'estimate:15', '|part:evening', 'demand:light'], ['Mail', 'Walk']],
            'not of what may be unknown' => [['!importance:2'], ['New', 'Walk']],
        ];
    }

    #[Test]
    public function a_view_reads_as_a_sentence(): void
    {
        $question = self::question(['due:week', '!repeats:yes', '|picked:today'], 'area', ['area', 'pull']);

        self::assertSame('Tasks due within 7 days and not a routine, or picked for today; by area; own order of areas, then most pull.', Conditions::sentence($question, $this->conditions()->choices($this->ines->areas()->get()->keyBy('id'))));
    }

    #[Test]
    public function the_index_says_of_each_view_what_the_view_itself_says(): void
    {
        $this->someTasks();
        $this->task('In the inbox', 35)->update(['stage' => TaskStage::Inbox, 'importance' => null]);
        $home = $this->ines->contexts()->create(['name' => 'home', 'position' => 1]);
        $this->task('Zinc', 10)->contexts()->attach($home);
        $orders = [['context', 'estimate'], ['title'], ['longest'], ['importance', 'newest'], ['project', 'oldest'], ['area', 'pull'], ['due']];
        foreach ($orders as $i => $order) {
            $this->ines->savedViews()->create(['name' => "View {$i}", 'question' => self::question(['stage:all'], ['none', 'context', 'part', 'stage', 'due'][$i % 5], $order)->asArray()]);
        }
        $index = $this->get('/views')->viewData('views');
        self::assertGreaterThan(10, count($index));
        foreach ($index as $one) {
            $view = $this->get("/views/{$one['address']}");
            $ids = $view->viewData('groups')->flatten(1)->pluck('id')->all();
            self::assertSame([$view->viewData('count'), $view->viewData('minutes'), array_slice($ids, 0, 3)], [$one['count'], $one['minutes'], array_column($one['tasks'], 'id')], $one['name']);
        }
    }

    #[Test]
    public function conditions_that_contradict_are_told(): void
    {
        $this->task('Essay', deep: true);
        foreach ([['demand:deep', 'demand:light'], ['due:none', 'due:overdue'], ['part:any', '!part:any'], ['area:1', 'area:2']] as $conditions) {
            self::assertTrue(self::question($conditions)->contradicts(), implode(' ', $conditions));
        }
        self::assertFalse(self::question(['demand:deep', 'demand:light', '|due:any'])->contradicts(), 'the other group can be met');
        $this->get('/views/build?'.http_build_query(['conditions' => [['what' => 'demand:deep'], ['what' => 'demand:light']]]))->assertOk()->assertSee('These conditions exclude each other');
    }

    #[Test]
    public function a_view_is_built_kept_pinned_changed_and_taken_away(): void
    {
        $this->someTasks();
        $data = ['conditions' => [['what' => 'demand:deep'], ['join' => 'or', 'what' => 'part:evening'], ['what' => '']], 'group' => 'area', 'order' => ['title']];
        $this->get('/views/build?'.http_build_query($data))->assertSee('Tasks deep, or for the evening; by area; title.')->assertSee('Essay')->assertDontSee('Invoices</a>', false);
        $this->post('/views', ['name' => 'Head work', 'pinned' => 1] + $data);
        $view = $this->ines->savedViews()->sole();

        $this->get("/views/{$view->id}")->assertSee('Head work')->assertSee('Essay');
        $this->get('/shape')->assertSee("href=\"/views/{$view->id}\"", false);
        $this->post('/views', ['name' => '', 'view' => $view->id] + $data)->assertSessionHasErrors('name');
        $this->post('/views', ['name' => 'Deep', 'view' => $view->id, 'conditions' => [['what' => 'demand:deep']]]);
        self::assertSame(['Deep', 1], [$view->refresh()->name, count($view->question['conditions'])]);
        $this->delete("/views/{$view->id}");
        self::assertSame(0, $this->ines->savedViews()->count());
    }

    #[Test]
    public function a_view_kept_as_sums_opens_with_them_at_one_press(): void
    {
        foreach (['Fee letter' => [45, 'Lenders'], 'Draft' => [60, 'Lenders'], 'Sketch' => [90, 'Wadden']] as $title => [$minutes, $project]) {
            $this->task($title, $minutes)->update(['project_id' => $this->ines->projects()->firstOrCreate(['name' => $project], ['area_id' => $this->ines->areas()->firstOrFail()->id])->id]);
        }
        $this->ines->entries()->create(['task_id' => $this->ines->tasks()->where('title', 'Sketch')->sole()->id, 'starts_at' => Clock::now()->subMinutes(20), 'ends_at' => Clock::now()]);
        $data = ['conditions' => [['what' => 'stage:open']], 'group' => 'project', 'face' => 'sums'];
        $this->post('/views', ['name' => 'Open by project', 'pinned' => 1] + $data);
        $view = $this->ines->savedViews()->sole();

        $sums = (string) preg_replace('/\s+/', ' ', strip_tags(str_replace('<', ' <', (string) $this->get("/views/{$view->id}")->getContent())));
        self::assertStringContainsString('Lenders 2 1 h 45 0 min 1 h 45', $sums);
        self::assertStringContainsString('Wadden 1 1 h 30 20 min 1 h 10', $sums);
        self::assertStringContainsString('together 3 3 h 15 20 min 2 h 55', $sums);
        $this->get("/views/{$view->id}?face=list")->assertDontSee('sums-table', false);
        $this->get('/views/build?'.http_build_query($data))->assertSee('sums-table', false);
        $this->get("/views/build?view={$view->id}")->assertSee('sums-table', false);
    }

    #[Test]
    public function ready_made_views_work_and_unknown_ones_do_not_exist(): void
    {
        $this->someTasks();
        foreach (array_keys(Shipped::names()) as $address) {
            $this->get("/views/{$address}")->assertOk();
        }
        $this->get('/views/cannot-wait')->assertSee('Late')->assertDontSee('>Essay</a>', false);
        $this->get('/views/none-such')->assertNotFound();
        $this->get('/views/999')->assertNotFound();
        $theirs = $this->person('wim@example.org')->savedViews()->create(['name' => 'Theirs', 'question' => []]);
        $this->get("/views/{$theirs->id}")->assertNotFound();
        $this->post('/views', ['name' => 'Mine now', 'view' => $theirs->id])->assertNotFound();
    }

    #[Test]
    public function what_makes_no_sense_in_a_question_is_left_out(): void
    {
        $question = Question::of(['conditions' => [['what' => 'due:someday; drop table'], ['what' => ['x']], 'y', ['what' => 'area:1 or 1']], 'group' => 'nonsense', 'order' => ['x', 'pull', 'pull'], 'face' => ['sums']]);

        self::assertSame(['conditions' => [], 'group' => 'none', 'order' => ['pull']], $question->asArray());
    }

    #[Test]
    public function an_own_order_of_areas_and_contexts_counts(): void
    {
        $second = $this->ines->areas()->skip(1)->firstOrFail();
        $this->task('In the first');
        $this->task('In the second')->update(['area_id' => $second->id]);
        $this->patch("/settings/areas/{$second->id}", ['move' => 'up']);

        $this->get('/views/build?'.http_build_query(['conditions' => [['what' => 'stage:open']], 'group' => 'area', 'order' => ['area']]))->assertSeeInOrder(['In the second', 'In the first']);
    }

    #[Test]
    #[DataProvider('searches')]
    public function the_search_finds_also_with_a_slip_of_the_finger(string $words, string $found): void
    {
        $this->task('Insurance wording for Porto')->update(['note' => 'Ask about the Lisbon depot']);
        $this->task('Courier quotes');
        $this->ines->projects()->create(['name' => 'Catalogue', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $this->ines->messages()->create(['message_id' => '1', 'from_name' => 'Prue', 'subject' => 'Proofs of section 2', 'body' => 'bleed on page 38', 'received_at' => Clock::now()]);
        $this->task('Insurance of others', of: $this->person('wim@example.org'));

        $said = html_entity_decode(strip_tags((string) $this->get('/search?q='.urlencode($words))->assertOk()->assertDontSee('of others')->getContent()));
        self::assertStringContainsString($found, $said);
    }

    /** @return array<string, array{string, string}> */
    public static function searches(): array
    {
        return [
            'a word' => ['insurance', 'Insurance wording'], 'its beginning' => ['insur', 'Insurance wording'], 'a slip' => ['insurence', 'Insurance wording'], 'letters swapped' => ['corier', 'Courier quotes'],
            'two words' => ['porto wording', 'Insurance wording'], 'in a note' => ['depot', 'Insurance wording'], 'a project' => ['catalog', 'Catalogue'], 'mail' => ['bleed', 'Proofs of section 2'],
            'two letters' => ['qu', 'Courier quotes'], 'nothing' => ['zzzz', 'Nothing found'], 'signs' => ['"; drop', 'Nothing found'],
        ];
    }

    #[Test]
    public function the_search_follows_what_changes(): void
    {
        $task = $this->task('Quotes');
        $task->update(['title' => 'Zeppelin']);
        $this->get('/search?q=quotes')->assertSee('Nothing found');
        $this->get('/search?q=zeppelin')->assertSee('/tasks/'.$task->id);
    }

    /**
     * @param  list<string>  $conditions
     * @return list<string> titles
     */
    private function ask(array $conditions): array
    {
        $query = $this->ines->tasks()->getQuery();
        $this->conditions()->apply($query, self::question($conditions));

        return array_values($query->orderBy('title')->pluck('title')->all());
    }

    /**
     * @param  list<string>  $conditions
     * @param  list<string>  $order
     */
    private static function question(array $conditions, string $group = 'none', array $order = ['pull']): Question
    {
        return Question::of(['group' => $group, 'order' => $order, 'conditions' => array_map(static fn (string $one): array => ['join' => str_starts_with($one, '|') ? 'or' : 'and', 'not' => str_contains($one, '!'), 'what' => ltrim($one, '|!')], $conditions)]);
    }

    private function conditions(): Conditions
    {
        return new Conditions($this->ines, '2026-03-11', Clock::now()->utc()->format('Y-m-d H:i:s'));
    }

    private function someTasks(): void
    {
        $this->task('Essay', 120, Importance::Vital, dueOn: '2026-03-16', deep: true);
        $this->task('Invoices', 30)->update(['carried' => 2]);
        $this->task('Late', 30, dueOn: '2026-03-10');
        $this->task('Mail', 10)->update(['picked_on' => '2026-03-11']);
        $this->task('Walk', 60, Importance::Low)->update(['part' => 'evening']);
        $this->only('New', ['stage' => TaskStage::Inbox, 'importance' => null, 'estimate' => null, 'said' => null]);
        $this->only('Answer', ['stage' => TaskStage::Waiting, 'waiting_for' => 'Ana', 'waiting_since' => '2026-03-10']);
        $this->only('Podcast', ['stage' => TaskStage::Someday]);
        $this->only('Old', ['done_at' => Clock::now()]);
        $this->task('Gone')->delete();
    }

    /** @param  array<string, mixed>  $columns */
    private function only(string $title, array $columns): Task
    {
        $task = $this->task($title);
        $task->update($columns);

        return $task;
    }
}
