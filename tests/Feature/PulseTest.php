<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Devices;
use App\Time\Clock;
use PHPUnit\Framework\Attributes\Test;

/** What tells a window that another one has changed something. */
final class PulseTest extends FeatureTestCase
{
    #[Test]
    public function the_mark_differs_after_every_change_and_only_then(): void
    {
        $essay = $this->task('Essay');
        $block = $this->block($essay, '2026-03-11 09:00', '2026-03-11 10:00');
        $marks = [$this->mark()];
        self::assertSame($marks[0], $this->mark(), 'looking changes nothing');

        foreach ([
            fn () => $this->patch("/blocks/{$block->id}", ['day' => '2026-03-11', 'start' => '11:00', 'minutes' => 60]),
            fn () => $this->post('/plan/undo'),
            fn () => $this->post("/work/start/{$essay->id}"),
            fn () => $this->post('/work/pause'),
            fn () => $this->post('/gather', ['lines' => 'A thought']),
            fn () => $this->post('/close', ['date' => '2026-03-11', 'close' => 1]),
            fn () => $this->post('/close/open', ['date' => '2026-03-11']),
        ] as $i => $change) {
            $this->at('2026-03-11 08:'.sprintf('%02d', 10 + $i));
            $change();
            $mark = $this->mark();
            self::assertNotSame(end($marks), $mark, "change {$i}");
            $marks[] = $mark;
        }
        $before = $this->mark();
        $this->task('Theirs', of: $this->person('wim@example.org'));
        self::assertSame($before, $this->mark(), 'others do not count');
    }

    #[Test]
    public function the_page_carries_the_mark_of_what_it_shows(): void
    {
        $this->get('/shape')->assertSee("data-pulse=\"{$this->mark()}\"", false);
    }

    #[Test]
    public function it_mends_the_plan_of_an_open_window_and_needs_no_page_for_it(): void
    {
        $this->block($this->task('Essay'), '2026-03-11 09:00', '2026-03-11 10:00');
        $before = $this->mark();
        $this->at('2026-03-11 10:01');

        self::assertNotSame($before, $this->mark());
        self::assertContains('Wed 09:00–10:00 Essay (passed)', $this->plan());
    }

    #[Test]
    public function what_no_window_would_send_is_refused_and_breaks_nothing(): void
    {
        foreach (['held[]=a', 'window[]=a', 'held='.str_repeat('a', 5000), 'window='.str_repeat('a', 50)] as $query) {
            $this->getJson("/pulse?{$query}")->assertStatus(422);
        }
        $this->getJson('/pulse?held=,,a,:,block:1:2')->assertOk()->assertJson(['settled' => []]);
        $this->getJson('/pulse?window=&held=')->assertOk();
    }

    /** The window of a browser that is alone need not ask often. */
    #[Test]
    public function it_says_to_ask_again_soon_only_while_another_device_is_in_use(): void
    {
        $this->get('/shape');
        $this->get('/pulse')->assertJsonPath('soon', false);

        Devices::note($this->ines->id, 'the session of a phone', Clock::now());
        $this->get('/pulse')->assertJsonPath('soon', true);
        $this->at('2026-03-11 08:04');
        $this->get('/pulse')->assertJsonPath('soon', true);
        $this->at('2026-03-11 08:05');
        $this->get('/pulse')->assertJsonPath('soon', false);

        Devices::note($this->person('wim@example.org')->id, 'the session of another account', Clock::now());
        $this->get('/pulse')->assertJsonPath('soon', false);
    }

    #[Test]
    public function a_window_that_draws_itself_anew_is_not_in_use(): void
    {
        $this->get('/shape', ['X-By-Itself' => '1']);
        self::assertFalse(Devices::isAnother($this->ines->id, 'another', Clock::now()));
        $this->get('/shape');
        self::assertTrue(Devices::isAnother($this->ines->id, 'another', Clock::now()));
    }

    #[Test]
    public function it_is_for_those_who_are_signed_in(): void
    {
        auth()->logout();
        $this->get('/pulse')->assertRedirect('/sign-in');
    }

    private function mark(): string
    {
        return (string) $this->get('/pulse')->json('mark');
    }
}
