<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Task;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

final class GatherTest extends FeatureTestCase
{
    #[Test]
    public function a_line_becomes_an_inbox_item_with_estimate_and_due_date(): void
    {
        $this->post('/gather', ['lines' => 'Draft the wall text for room 2 for 90 min by friday'])->assertRedirect();
        $item = $this->ines->tasks()->inbox()->sole();

        self::assertSame(['Draft the wall text for room 2', 90, 90, '2026-03-13', null], [$item->title, $item->estimate, $item->minutesLeft(Clock::now()), $item->due_on, $item->importance]);
        $this->get('/gather')->assertSee('Draft the wall text for room 2')->assertSee('1 h 30')->assertSee('Fri 13');
    }

    #[Test]
    public function a_due_time_is_kept_as_an_instant_of_the_persons_zone(): void
    {
        $this->ines->update(['zone' => 'America/New_York']);
        $this->post('/gather', ['lines' => 'Call Porto by friday 3pm']);

        self::assertSame('2026-03-13 19:00:00', $this->ines->tasks()->sole()->due_at?->toDateTimeString());
    }

    #[Test]
    public function several_lines_are_caught_at_once_and_empty_ones_left_out(): void
    {
        $this->post('/gather', ['lines' => "One 10 min\r\n\r\nTwo by friday  \nThree", 'refused' => '3:due by friday']);

        self::assertSame(['One', 'Two by friday', 'Three'], $this->ines->tasks()->orderBy('id')->pluck('title')->all());
    }

    #[Test]
    public function what_is_understood_is_told_while_typing(): void
    {
        $this->postJson('/gather/understand', ['lines' => "Read 30 min by friday\nPay by 31 feb"])->assertOk()
            ->assertJsonPath('lines.0.title', 'Read')
            ->assertJsonPath('lines.0.parts.0', ['kind' => 'minutes', 'start' => 5, 'length' => 6, 'gloss' => 'estimate', 'problem' => false, 'instead' => null])
            ->assertJsonPath('lines.0.parts.1.gloss', 'due Fri 13')
            ->assertJsonPath('lines.1.parts.0.problem', true);
    }

    #[Test]
    public function too_much_at_once_is_refused_and_nothing_is_lost(): void
    {
        $this->from('/gather')->post('/gather', ['lines' => str_repeat("One\n", 501)])->assertSessionHasErrors('lines')->assertSessionHasInput('lines');
        $this->from('/gather')->post('/gather', ['lines' => str_repeat('x', 2_000_000)])->assertSessionHasErrors('lines');
        $this->from('/gather')->post('/gather', ['lines' => " \n "])->assertSessionHasErrors('lines');
        self::assertSame(0, Task::query()->count());
    }

    #[Test]
    public function a_very_long_line_keeps_its_whole_text_as_a_note(): void
    {
        $this->post('/gather', ['lines' => $line = 'Ask '.str_repeat('and ask ', 60)]);
        $item = $this->ines->tasks()->sole();

        self::assertSame([200, trim($line)], [mb_strlen($item->title), $item->note]);
    }

    #[Test]
    public function markup_is_shown_as_it_was_typed(): void
    {
        $this->post('/gather', ['lines' => '<script>alert(1)</script>']);

        $this->get('/gather')->assertSee('&lt;script&gt;alert(1)&lt;/script&gt;', false)->assertDontSee('<script>alert', false);
    }

    #[Test]
    public function one_key_sends_an_item_to_weigh_and_letting_go_can_be_undone(): void
    {
        $this->post('/gather', ['lines' => "Mount for object 112\nOld flyers"]);
        [$mount, $flyers] = $this->ines->tasks()->orderBy('id')->get()->all();

        $this->post("/tasks/{$mount->id}/weigh");
        $this->delete("/tasks/{$flyers->id}");
        $this->get('/weigh')->assertSee('Mount for object 112');
        $this->get('/gather')->assertDontSee('data-row>Old flyers', false)->assertSee('Nothing has come in');

        $this->post('/plan/undo');
        $this->get('/gather')->assertSee('Old flyers');
        $this->post('/plan/undo');
        $this->get('/gather')->assertSee('Mount for object 112');
    }
}
