<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\Mail;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;

/** From an empty account to a day that is laid out; and a filled sample that leaves nothing behind. */
final class FirstDayTest extends FeatureTestCase
{
    #[Test]
    public function five_steps_lead_from_signing_up_to_a_day_that_is_laid_out(): void
    {
        $user = $this->newcomer();
        $this->get('/first-day')->assertOk()->assertSee('Good morning, Wim. Five steps')->assertSee('empty yet')->assertSee('38 h 45 a week, 7 h 45 a day without lunch');

        $this->post('/first-day', ['step' => 'hours', 'how' => 'done'])->assertRedirect('/first-day');
        $this->get('/first-day')->assertSee('What is taken already?')->assertSee('7 h 45 open')->assertSee('Without a calendar');
        $this->post('/meetings/own', ['line' => 'meet Sam today 14:00 for 45 min']);
        $this->get('/first-day')->assertSee('one meeting in two weeks')->assertSee('Keep them');
        $this->post('/gather', ['lines' => "write to the landlord by friday 20 min\nslides for monday, 90 min\ncall the dentist 10 min"]);
        $this->get('/first-day')->assertSee('That is all: weigh them')->assertSee('slides for monday');
        $this->post('/first-day', ['step' => 'gather', 'how' => 'done']);
        self::assertSame(0, $user->tasks()->inbox()->count(), 'no step lacks the next: what was caught can be weighed');
        $this->get('/first-day')->assertSee('3 lines wait.');
        $this->get('/weigh')->assertSee('Your first day goes on');
        foreach ($user->tasks()->get() as $task) {
            $this->post("/weigh/{$task->id}", ['importance' => '3', 'answer' => 'weighed']);
            $task->update(['importance' => Importance::High]);
        }
        $this->get('/first-day')->assertSee('3 of 3 weighed')->assertSee('Lay out the day');
        $this->post('/plan/lay-out');
        self::assertTrue($user->blocks()->exists());
        $this->get('/first-day')->assertRedirect('/shape');
        self::assertNull($user->refresh()->first_day, 'it goes away by itself');
        $this->get('/shape')->assertDontSee('Your first day goes on');
    }

    #[Test]
    public function who_begins_on_a_free_day_sees_the_first_day_that_was_laid_out(): void
    {
        $this->at('2026-03-14 10:00');
        $user = $this->newcomer();
        $this->get('/first-day')->assertSee('7 h 45 a day without lunch');
        $this->task('Slides', of: $user);
        $this->post('/plan/lay-out');
        $this->get('/first-day')->assertRedirect('/shape/2026-03-16');
    }

    #[Test]
    public function every_step_is_left_out_and_taken_up_again(): void
    {
        $user = $this->newcomer();
        foreach (['hours', 'calendar', 'gather', 'weigh'] as $step) {
            $this->post('/first-day', ['step' => $step, 'how' => 'left']);
        }
        $this->get('/first-day')->assertSee('Nothing is weighed yet, so there is nothing to lay out')->assertSee('left out');
        $this->post('/first-day', ['step' => 'gather', 'how' => 'again'])->assertRedirect('/first-day?step=gather');
        self::assertArrayNotHasKey('gather', $user->refresh()->first_day ?? []);
        foreach (['step' => 'nothing', 'how' => 'ever'] as $name => $value) {
            $this->post('/first-day', [$name => $value])->assertRedirect('/first-day');
        }
        $this->post('/first-day', ['how' => 'over'])->assertRedirect('/shape');
        $this->get('/first-day')->assertRedirect('/shape');
    }

    #[Test]
    public function whoever_has_an_account_already_sees_nothing_of_it(): void
    {
        $this->get('/first-day')->assertRedirect('/shape');
        $this->get('/shape')->assertDontSee('Your first day');
    }

    #[Test]
    public function a_morning_without_anything_to_choose_from_says_what_is_missing(): void
    {
        $this->get('/shape?morning=left')->assertSee('Nothing is caught yet')->assertSee('href="/gather"', false);
        $this->post('/gather', ['lines' => implode("\n", array_map(static fn (int $i): string => "Line {$i}", range(1, 15)))]);
        foreach (['left', 'holds', 'candidates', 'day', 'wait', 'lay'] as $step) {
            $this->get("/shape?morning={$step}")->assertSee('15 lines wait in Gather');
        }
        $this->ines->tasks()->update(['stage' => 'open']);
        $this->get('/shape?morning=left')->assertSee('15 lines wait to be weighed')->assertSee('href="/weigh"', false);
        $this->ines->tasks()->update(['importance' => 3]);
        $this->get('/shape?morning=candidates')->assertSee('What is weighed has no estimate yet');
        $this->ines->tasks()->limit(1)->update(['estimate' => 30, 'said' => 30]);
        $this->get('/shape?morning=candidates')->assertDontSee('First something to choose from')->assertSee('Line 1');
    }

    #[Test]
    public function a_filled_sample_is_looked_at_and_left_and_nothing_of_it_stays(): void
    {
        Mail::fake();
        $user = $this->newcomer();
        $this->post('/sample')->assertRedirect('/shape');
        $sample = User::query()->where('sample_of', $user->id)->sole();
        $this->assertAuthenticatedAs($sample);
        $this->get('/shape')->assertOk()->assertSee('Back to your own day')->assertSee('Wall texts');
        $this->get('/account')->assertRedirect('/shape');
        $this->put('/account/address', ['email' => 'x@example.org', 'own_password' => 'a'])->assertRedirect('/shape');

        $this->post('/sample/end')->assertRedirect('/first-day');
        $this->assertAuthenticatedAs($user);
        self::assertSame(0, $user->tasks()->count());
        $this->artisan('nekto:minute');
        self::assertFalse(User::query()->whereKey($sample->id)->exists());
        self::assertSame(0, \DB::table('tasks')->where('user_id', $sample->id)->count());
        $this->post('/sample/end')->assertRedirect('/shape');
        $this->assertAuthenticatedAs($user);
    }

    #[Test]
    public function from_a_sample_nobody_comes_into_an_account_whose_sign_in_has_ended(): void
    {
        $user = $this->newcomer();
        $this->post('/sample');
        $user->signIns()->update(['ended_at' => now()]);

        $this->post('/sample/end')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    #[Test]
    public function a_sample_that_nobody_left_is_thrown_away_after_a_day_and_a_second_takes_its_place(): void
    {
        $user = $this->newcomer();
        $this->post('/sample');
        $first = User::query()->where('sample_of', $user->id)->sole();
        $this->post('/sample')->assertRedirect('/shape');
        self::assertSame(0, User::query()->where('sample_of', $first->id)->count(), 'no sample of a sample');
        $this->at('2026-03-12 09:00');
        $first->forceFill(['created_at' => Clock::now()->subHours(25)])->save();
        $this->artisan('nekto:minute');
        self::assertFalse(User::query()->whereKey($first->id)->exists());
    }

    private function newcomer(): User
    {
        $this->post('/sign-out');
        $this->post('/sign-up', ['name' => 'Wim Aalders', 'email' => 'wim@example.org', 'password' => 'three words in a row', 'zone' => 'Europe/Lisbon'])->assertRedirect('/first-day');

        return User::query()->where('email', 'wim@example.org')->sole();
    }
}
