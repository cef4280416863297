<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use PHPUnit\Framework\Attributes\Test;

/** Lines with all they can say, lists, web pages. */
final class CaptureTest extends FeatureTestCase
{
    #[Test]
    public function all_that_a_line_says_is_kept(): void
    {
        $this->ines->projects()->create(['name' => 'Wall texts', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
        $this->post('/gather', ['lines' => 'Ring Ana +wall-texts @phone tomorrow at 10:30 for 15 min, high, light, https://example.org/a']);
        $item = $this->ines->tasks()->with(['project', 'contexts', 'links'])->sole();

        self::assertSame(['Ring Ana', 'Wall texts', ['phone'], '2026-03-12', '2026-03-12 10:30:00', 15, 'high', 'https://example.org/a'], [
            $item->title, $item->project?->name, $item->contexts->pluck('name')->all(), $item->picked_on, $item->set_at?->toDateTimeString(), $item->estimate, $item->importance?->word(), $item->links[0]?->address,
        ]);
    }

    #[Test]
    public function an_earliest_start_a_part_of_the_day_and_a_person_to_wait_for_are_kept(): void
    {
        $this->post('/gather', ['lines' => "Call the framer not before 14:00 tomorrow\nWalk tomorrow evening\nContract, waiting for Adaeze"]);
        [$framer, $walk, $contract] = $this->ines->tasks()->orderBy('id')->get()->all();

        self::assertSame('2026-03-12 14:00:00', $framer->not_before?->toDateTimeString());
        self::assertSame(['2026-03-12', 'evening'], [$walk->picked_on, $walk->part]);
        self::assertSame(['Adaeze', '2026-03-11'], [$contract->waiting_for, $contract->waiting_since]);
        $this->get('/gather')->assertSeeInOrder(['Waiting', 'Adaeze', 'Contract', 'ask again']);
    }

    #[Test]
    public function indented_lines_become_subtasks_and_marks_go(): void
    {
        $this->post('/gather', ['lines' => "- [ ] Hang room 3\n  - Measure 20 min\n  - [x] Order hooks\n1. Write to Lyon"]);
        [$hang, $write] = $this->ines->tasks()->with('subtasks')->orderBy('id')->get()->all();

        self::assertSame(['Hang room 3', 'Write to Lyon'], [$hang->title, $write->title]);
        self::assertSame([['Measure', 20, false], ['Order hooks', null, true]], $hang->subtasks->map(static fn ($one): array => [$one->title, $one->estimate, $one->done_at !== null])->all());
        self::assertSame(20, $hang->estimate, 'subtasks add up');
    }

    #[Test]
    public function the_preview_counts_what_it_understood(): void
    {
        $this->postJson('/gather/understand', ['lines' => "- Bins every 2 weeks on tuesday\n  - Glass\nContract, waiting for Adaeze"])->assertOk()
            ->assertJsonPath('summary', '2 tasks, 1 subtask, 1 repeats, 1 waits')
            ->assertJsonPath('lines.0.parts.0.gloss', 'repeats from Tue 17')
            ->assertJsonPath('lines.1.line', 3)
            ->assertJsonPath('lines.1.parts.0.gloss', 'waits for Adaeze');
    }

    #[Test]
    public function catching_can_be_undone(): void
    {
        $this->post('/gather', ['lines' => "One\nTwo"]);
        $this->post('/plan/undo');

        self::assertSame(0, Task::withTrashed()->count());
    }

    #[Test]
    public function strange_text_is_kept_as_text(): void
    {
        $this->post('/gather', ['lines' => "Ask \u{202E}evil\u{202C} \x07 person\n".'שלום 30 min by friday']);
        [$ask, $hello] = $this->ines->tasks()->orderBy('id')->get()->all();

        self::assertSame('Ask evil person', $ask->title);
        self::assertSame(['שלום', 30, '2026-03-13'], [$hello->title, $hello->estimate, $hello->due_on]);
    }

    #[Test]
    public function ten_thousand_lines_are_refused_with_a_way_out_and_stay_in_the_field(): void
    {
        $this->from('/gather')->post('/gather', ['lines' => str_repeat("a\n", 10_000)])->assertSessionHasErrors(['lines' => 'These are 10,000 lines; up to 500 fit at once. Nothing was taken; bring longer lists in as a file.'])->assertSessionHasInput('lines');
        self::assertSame(0, Task::query()->count());
    }

    #[Test]
    public function a_set_time_becomes_a_block_when_the_task_is_weighed(): void
    {
        $this->post('/gather', ['lines' => 'Ring Ana at 15:00 for 30 min']);
        $task = $this->ines->tasks()->sole();
        $this->post("/weigh/{$task->id}", ['answer' => 'make_time', 'importance' => 3, 'estimate' => '30 min']);

        self::assertSame(['Wed 15:00–15:30 Ring Ana!'], $this->plan());
    }

    #[Test]
    public function a_token_catches_a_page_for_its_owner_and_stops_when_revoked(): void
    {
        $token = $this->token();
        $this->get('/gather/tokens')->assertSee($token);
        $this->get('/gather/tokens')->assertDontSee($token)->assertSee('never used');
        auth()->logout();

        $this->postJson('/capture', ['title' => 'River survey by friday', 'url' => 'https://example.org/1911', 'text' => 'sheet 14'], ['Authorization' => "Bearer {$token}"])->assertCreated();
        $task = $this->ines->tasks()->with('links')->sole();
        self::assertSame(['River survey', '2026-03-13', 'sheet 14', 'link', 'https://example.org/1911'], [$task->title, $task->due_on, $task->note, $task->source, $task->links[0]?->address]);
        $this->postJson('/capture', ['title' => 'From a program'], ['Authorization' => "Bearer {$token}"])->assertCreated()->assertJsonPath('title', 'From a program');
        $this->postJson('/capture', [], ['Authorization' => "Bearer {$token}"])->assertUnprocessable();

        $row = $this->ines->captureTokens()->sole();
        self::assertNotNull($row->last_used_at);
        $this->actingAs($this->ines)->delete("/gather/tokens/{$row->id}");
        $this->postJson('/capture', ['title' => 'Again'], ['Authorization' => "Bearer {$token}"])->assertUnauthorized();
        self::assertSame(['A token was made: Browser', 'A token was revoked: Browser'], $this->ines->accountNotes()->orderBy('id')->get()->map(static fn ($note): string => __("account.happened.{$note->kind}", ['about' => $note->about]))->all());
        self::assertSame(2, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_token_in_an_address_is_not_taken(): void
    {
        $token = $this->token();
        auth()->logout();
        $this->postJson("/capture?token={$token}", ['title' => 'Seen in a log'])->assertUnauthorized();
        $this->get("/capture?token={$token}&title=x")->assertRedirect('/sign-in');
        self::assertSame(0, $this->ines->tasks()->count());
    }

    #[Test]
    public function a_bookmark_shows_what_it_found_and_one_press_catches_it_once(): void
    {
        $page = $this->get('/capture?title='.urlencode('River survey by friday').'&url='.urlencode('https://example.org/1911').'&text='.urlencode('sheet <14>'))->assertOk()->assertSee('value="River survey by friday"', false)->assertSee('sheet &lt;14&gt;', false);
        self::assertSame(0, $this->ines->tasks()->count(), 'a page that opens it has caught nothing');
        self::assertSame(1, preg_match('/name="_once" value="(\w{32})"/', (string) $page->getContent(), $once));
        $sent = ['title' => 'River survey by friday', 'url' => 'https://example.org/1911', 'text' => 'sheet <14>', '_once' => $once[1]];
        $this->post('/capture/page', $sent)->assertRedirect('/capture');
        $this->post('/capture/page', $sent);
        $task = $this->ines->tasks()->with('links')->sole();
        self::assertSame(['River survey', '2026-03-13', 'sheet <14>', 'https://example.org/1911'], [$task->title, $task->due_on, $task->note, $task->links[0]?->address]);
        $this->post('/capture/page', ['title' => ' '])->assertSessionHasErrors('title');
    }

    #[Test]
    public function a_page_cannot_send_a_link_that_runs(): void
    {
        $token = $this->token();
        $this->postJson('/capture', ['token' => $token, 'title' => 'Trap', 'url' => 'javascript:alert(1)'])->assertCreated();

        self::assertSame(0, $this->ines->tasks()->sole()->links()->count());
    }

    #[Test]
    public function a_meeting_becomes_a_task_before_it_or_after_it(): void
    {
        $this->meeting('Loans committee', '2026-03-12 11:00', '2026-03-12 12:00');
        $id = $this->ines->occurrences()->value('id');
        $this->post("/occurrences/{$id}/task", ['when' => 'before']);
        $this->post("/occurrences/{$id}/task", ['when' => 'after']);
        [$before, $after] = $this->ines->tasks()->orderBy('id')->get()->all();

        self::assertSame(['Prepare Loans committee', '2026-03-12 11:00:00', 'meeting'], [$before->title, $before->due_at?->toDateTimeString(), $before->source]);
        self::assertSame(['Follow up: Loans committee', '2026-03-12 12:00:00'], [$after->title, $after->not_before?->toDateTimeString()]);
    }

    private function token(): string
    {
        $this->post('/gather/tokens', ['name' => 'Browser'])->assertSessionHas('token');
        $token = session('token');

        return is_string($token) ? $token : self::fail('A token is shown once.');
    }
}
