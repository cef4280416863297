<?php

declare(strict_types=1);

namespace Tests\Feature;

use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** The guided run through the morning. */
final class MorningTest extends FeatureTestCase
{
    #[Test]
    public function each_step_says_its_own_and_leads_on(): void
    {
        $this->block($this->task('Left over'), '2026-03-10 09:00', '2026-03-10 10:00');
        $this->meeting('Committee', '2026-03-11 11:00', '2026-03-11 12:00');
        $essay = $this->task('Essay', dueOn: '2026-03-12');

        $this->get('/shape')->assertSee('Go through the morning');
        $this->get('/shape?morning=left')->assertSeeInOrder(['Left from before', 'Left over', 'not begun', '10:00', 'On: what today holds']);
        $this->get('/shape?morning=holds')->assertSeeInOrder(['What today holds', 'Committee', '11:00–12:00', 'open time', '6 h 45', 'load line', '5 h 24']);
        $this->get('/shape?morning=candidates')->assertSeeInOrder(['Candidates', 'Essay', 'due Thu 12']);
        $this->get('/shape?morning=day')->assertSeeInOrder(['A day that fits', 'Essay', 'On: what can wait']);
        $this->get("/shape?morning=wait&picks[]={$essay->id}")->assertSee('What can wait')->assertSee("picks%5B0%5D={$essay->id}", false);
        $this->get("/shape?morning=lay&picks[]={$essay->id}")->assertSee('a proposal, nothing moved yet');
        self::assertNull($essay->refresh()->picked_on, 'nothing is stored on the way');

        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$essay->id], 'keys' => [$essay->id], 'morning' => 1])->assertRedirect('/shape/2026-03-11?morning=done');
        $this->get('/shape/2026-03-11?morning=done')->assertSeeInOrder(['The day is laid out', 'It fits.', 'Begin']);
        $this->get('/shape')->assertDontSee('Go through the morning');
    }

    #[Test]
    public function of_a_task_too_long_for_a_day_as_much_is_laid_on_it_as_was_proposed(): void
    {
        $captions = $this->task('Captions', 900, Importance::Low);
        $this->task('Urgent', 1500, Importance::Vital, dueOn: '2026-03-16');
        $this->get('/shape?morning=day')->assertSeeInOrder(['Captions', '2 h 00']);

        $this->post('/plan/pick', ['day' => '2026-03-12', 'picks' => [$captions->id], 'keys' => [$captions->id]]);

        self::assertSame(120, $this->ines->blocks()->where('task_id', $captions->id)->where('starts_at', '<', '2026-03-13')->where('starts_at', '>', '2026-03-12')->get()
            ->sum(static fn ($block): int => (int) $block->starts_at->diffInMinutes($block->ends_at)));
        self::assertContains('Thu 09:00–11:00 Captions', $this->plan());
    }

    #[Test]
    public function it_can_be_put_away_for_the_day_and_comes_back_the_next(): void
    {
        $this->post('/shape/morning')->assertRedirect('/shape');
        $this->get('/shape')->assertDontSee('Go through the morning');
        $this->at('2026-03-12 08:00');
        $this->get('/shape')->assertSee('Go through the morning');
    }

    #[Test]
    public function a_day_without_anything_else_is_gone_through_as_well(): void
    {
        $this->task('Later', minutes: 30)->update(['not_before' => '2026-05-01 09:00:00']);
        foreach (['left' => 'Nothing was left over.', 'holds' => 'No meetings.', 'candidates' => 'Candidates', 'day' => 'Nothing weighed and estimated fits this day.', 'wait' => 'Everything fits.', 'lay' => 'Nothing would move', 'done' => 'The day is laid out'] as $step => $words) {
            $this->get("/shape?morning={$step}")->assertOk()->assertSee($words);
        }
    }

    #[Test]
    public function ids_of_others_in_the_address_pick_nothing(): void
    {
        $theirs = $this->task('Theirs', of: $this->person('wim@example.org'));

        $this->get("/shape?morning=lay&picks[]={$theirs->id}")->assertOk()->assertDontSee('Theirs');
        $this->post('/plan/pick', ['day' => '2026-03-11', 'picks' => [$theirs->id], 'morning' => 1]);
        self::assertNull($theirs->refresh()->picked_on);
    }
}
