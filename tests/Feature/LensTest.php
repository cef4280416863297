<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\CalendarGroup;
use App\Models\Task;
use PHPUnit\Framework\Attributes\Test;

/** A group of areas and calendars narrows what every screen lists; what is reckoned is of everything. */
final class LensTest extends FeatureTestCase
{
    private CalendarGroup $home;

    protected function setUp(): void
    {
        parent::setUp();
        $this->home = $this->ines->calendarGroups()->create(['name' => 'Home']);
        $area = $this->ines->areas()->where('name', 'Home')->firstOrFail();
        $area->update(['group_id' => $this->home->id]);
        $this->block($this->task('Wall texts'), '2026-03-11 09:00', '2026-03-11 10:00');
        $this->task('Proofs unplaced', minutes: 30);
        $this->block($this->atHome($this->task('Bicycle')), '2026-03-11 17:45', '2026-03-11 18:45');
        $this->atHome($this->task('Boiler letter', minutes: 30));
        $this->atHome($this->task('Curtains'))->update(['stage' => 'inbox', 'importance' => null]);
        $this->task('Crates caught')->update(['stage' => 'inbox', 'importance' => null]);
        $this->meeting('Loans committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $this->ines->calendars()->update(['group_id' => $this->ines->calendarGroups()->create(['name' => 'Work', 'position' => 9])->id]);
        $this->ines->projects()->create(['name' => 'Rivers', 'area_id' => $this->ines->areas()->firstOrFail()->id]);
    }

    #[Test]
    public function every_screen_is_narrowed_and_says_so(): void
    {
        $this->post('/lens', ['to' => $this->home->id]);

        $this->get('/gather')->assertSee('Only <b>Home</b> is listed', false)->assertSee('Curtains')->assertDontSee('Crates caught');
        $this->get('/weigh')->assertDontSee('Proofs unplaced');
        $this->get('/weigh/list')->assertSee('Bicycle')->assertDontSee('Wall texts');
        $this->get('/shape')->assertSee('Bicycle')->assertSee('Boiler letter')->assertDontSee('Proofs unplaced')->assertSee('outside, 09:00–10:00', false)->assertDontSee('Loans committee');
        $this->get('/meetings')->assertDontSee('Loans committee');
        $this->get('/projects')->assertDontSee('Rivers</a>', false);
        $this->post('/lens', ['to' => '']);
        $this->get('/shape')->assertSee('Wall texts')->assertDontSee('is listed');
    }

    #[Test]
    public function goals_are_those_of_its_areas_and_their_sums_of_all(): void
    {
        $cycle = $this->ines->cycles()->create(['begins_on' => '2026-03-09', 'weeks' => 12]);
        foreach (['Run a race' => $this->home->areas()->firstOrFail(), 'Print the book' => $this->ines->areas()->firstOrFail()] as $name => $area) {
            $this->post('/goals', ['name' => $name, 'target' => '5', 'area_id' => $area->id])->assertSessionHasNoErrors();
        }
        $this->post('/lens', ['to' => $this->home->id]);

        $this->get('/goals')->assertSee('Where Run a race stands')->assertDontSee('Where Print the book stands')->assertSee('one outside Home')->assertSee('2 of 3 goals');
        self::assertSame(2, $cycle->goals()->count());
    }

    #[Test]
    public function a_line_of_the_review_goes_to_the_area_that_is_asked_about(): void
    {
        $this->post('/lens', ['to' => $this->home->id]);
        $this->get('/review/2026-03-09?step=4')->assertSee('A line for Home');
        $this->post('/review/2026-03-09', ['step' => 4, 'place' => 0, 'lines' => 'ring the plumber']);

        self::assertSame('Home', $this->ines->tasks()->where('title', 'ring the plumber')->sole()->area->name);
        $this->post('/review/2026-03-09', ['step' => 4, 'place' => 0])->assertRedirect('/review/2026-03-09?step=5');
    }

    #[Test]
    public function what_is_reckoned_is_of_everything(): void
    {
        $sum = fn (): string => preg_match('/id="gauge-sum".*?<b class="strong">([^<]*)/s', (string) $this->get('/shape')->getContent(), $part) === 1 ? $part[1] : '';
        $before = [$sum(), $this->plan()];

        $this->post('/lens', ['to' => $this->home->id]);
        self::assertSame($before, [$sum(), $this->plan()]);
        self::assertSame('1 h 00', $before[0]);
        $this->post('/plan/lay-out');
        self::assertContains('Proofs unplaced', $this->ines->blocks()->with('task')->get()->map(static fn ($block): string => $block->task->title)->all(), 'what is not seen is laid out too');
    }

    #[Test]
    public function one_key_goes_from_lens_to_lens_and_back_to_everything(): void
    {
        $empty = $this->ines->calendarGroups()->create(['name' => 'Empty', 'position' => 5]);
        $seen = [];
        for ($i = 0; $i < 4; $i++) {
            $this->post('/lens', ['to' => 'next']);
            $seen[] = $this->ines->refresh()->lens_id;
        }
        self::assertSame([$this->home->id, $empty->id, (int) $this->ines->calendarGroups()->where('name', 'Work')->value('id'), null], $seen);

        $this->post('/lens', ['to' => $empty->id]);
        $this->get('/gather')->assertOk()->assertSee('no area belongs to it yet')->assertDontSee('Curtains');
        foreach (['/shape', '/weigh', '/work', '/close', '/meetings', '/projects'] as $page) {
            $this->get($page)->assertOk();
        }
        $this->delete("/calendar-groups/{$empty->id}");
        $this->get('/gather')->assertSee('Curtains');
    }

    #[Test]
    public function what_is_caught_or_written_down_meanwhile_is_seen(): void
    {
        $this->ines->calendars()->update(['group_id' => null]);
        $this->post('/lens', ['to' => $this->home->id]);
        $this->post('/gather', ['lines' => 'Water the plants']);
        $this->post('/meetings/own', ['line' => 'plumber today 15:00']);

        $this->get('/gather')->assertSee('Water the plants');
        $this->get('/meetings')->assertSee('plumber');
    }

    #[Test]
    public function a_lens_of_somebody_else_is_none(): void
    {
        $theirs = $this->person('wim@example.org')->calendarGroups()->create(['name' => 'Theirs']);
        $this->post('/lens', ['to' => $theirs->id]);
        self::assertNull($this->ines->refresh()->lens_id);
    }

    #[Test]
    public function a_group_is_filled_and_emptied_in_the_settings(): void
    {
        $work = $this->ines->areas()->where('name', 'Work')->firstOrFail();
        $this->patch("/calendar-groups/{$this->home->id}", ['name' => 'Mine', 'areas' => ['', $work->id], 'calendars' => ['', $this->ines->calendars()->value('id')]])->assertSessionHasNoErrors();

        self::assertSame([$work->id], $this->ines->areas()->where('group_id', $this->home->id)->pluck('id')->all());
        self::assertSame(1, $this->home->calendars()->count());
        $this->get('/settings/areas')->assertSee('value="Mine"', false);
        $this->post('/lens', ['to' => $this->home->id]);
        $this->get('/meetings')->assertSee('Loans committee');
    }

    private function atHome(Task $task): Task
    {
        $task->update(['area_id' => $this->ines->areas()->where('name', 'Home')->firstOrFail()->id]);

        return $task->refresh();
    }
}
