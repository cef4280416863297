<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Time\RealTime;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Test;

/** Where one is signed in: seen, ended at once, over after a while; and what happened. */
final class SignInsTest extends DoorsTestCase
{
    #[Test]
    public function each_browser_is_in_the_list_and_can_be_signed_out(): void
    {
        $this->withHeader('User-Agent', 'Mozilla/5.0 (X11; Linux x86_64) Firefox/140.0')->signIn();
        $there = $this->elsewhere();
        $this->get('/account')->assertOk()->assertSee('Firefox, Linux')->assertSee('Safari, iPhone')->assertSee('10.0.0.7')->assertSee('Signed in');

        $this->delete("/account/sign-ins/{$there}")->assertRedirect('/account#signed-in');
        $this->get('/account')->assertDontSee('Safari, iPhone</b>', false)->assertSee('A browser was signed out: Safari, iPhone');
        $this->elsewhere();
        $this->elsewhere();
        $this->delete('/account/sign-ins');
        self::assertSame('2 other browsers were signed out.', session('status'));
        $this->get('/account')->assertOk();
    }

    #[Test]
    public function one_that_was_ended_elsewhere_is_over_with_its_next_request(): void
    {
        $this->signIn();
        $this->get('/shape')->assertOk();
        DB::table('sign_ins')->update(['ended_at' => now()]);
        Auth::forgetGuards(); // the next request looks anew
        $this->get('/shape')->assertRedirect('/sign-in');
        Auth::forgetGuards();
        $this->getJson('/pulse')->assertUnauthorized();
    }

    #[Test]
    public function nobodys_list_shows_or_ends_anothers(): void
    {
        $wim = $this->person('wim@example.org');
        $his = $this->elsewhere($wim);
        $this->signIn();
        $this->get('/account')->assertDontSee('10.0.0.7');
        $this->delete("/account/sign-ins/{$his}")->assertNotFound();
        $this->delete('/account/sign-ins');
        self::assertNull($wim->signIns()->find($his)?->ended_at);
    }

    #[Test]
    public function a_session_of_another_account_is_no_sign_in(): void
    {
        $his = $this->elsewhere($this->person('wim@example.org'));
        $this->signIn();
        $this->withSession(['sign_in' => $his]);
        Auth::forgetGuards();
        $this->get('/shape')->assertRedirect('/sign-in');
    }

    #[Test]
    public function signing_out_ends_it_and_makes_the_session_worthless(): void
    {
        $this->signIn();
        $this->post('/sign-out');
        self::assertSame(0, $this->ines->signIns()->going()->count());
        $this->get('/shape')->assertRedirect('/sign-in');
    }

    #[Test]
    public function one_that_does_not_stay_is_over_after_twelve_hours_and_each_after_thirty_days(): void
    {
        $this->signIn();
        RealTime::$ahead = 12 * 3600 - 5;
        $this->get('/shape')->assertOk();
        RealTime::$ahead += 12 * 3600 + 5;
        $this->get('/shape')->assertRedirect('/sign-in')->assertSessionMissing('sign_in');

        $this->signIn(stays: true);
        for ($day = 0; $day < 29; $day++) {
            RealTime::$ahead += 86_400;
            $this->get('/here')->assertJson(['account' => (string) $this->ines->id]);
        }
        $this->get('/account')->assertOk();
        RealTime::$ahead += 2 * 86_400;
        $this->get('/account')->assertRedirect('/sign-in');
    }

    #[Test]
    public function a_shorter_limit_can_be_set_and_open_windows_do_not_stretch_it(): void
    {
        $this->signIn(stays: true);
        $this->put('/account/idle', ['idle_minutes' => '15'])->assertRedirect();
        $this->get('/account')->assertOk();
        RealTime::$ahead = 14 * 60;
        Auth::forgetGuards();
        $this->getJson('/pulse', ['X-By-Itself' => '1'])->assertOk();
        RealTime::$ahead = 16 * 60;
        Auth::forgetGuards();
        $this->getJson('/pulse', ['X-By-Itself' => '1'])->assertUnauthorized();
        $this->get('/account')->assertRedirect('/sign-in');
        $this->put('/account/idle', ['idle_minutes' => '1']);
        self::assertSame(15, $this->ines->refresh()->idle_minutes, 'nobody signed in sets nothing');
    }

    #[Test]
    public function notes_are_kept_to_a_number_and_carry_no_secret(): void
    {
        for ($i = 0; $i < 510; $i++) {
            $this->ines->accountNotes()->create(['kind' => 'signed_in', 'agent' => '', 'address' => '', 'at' => now()]);
        }
        $this->signIn();
        self::assertLessThanOrEqual(500, $this->ines->accountNotes()->count());
        self::assertStringNotContainsString(self::PASSWORD, $this->ines->accountNotes()->get()->toJson());
    }

    #[Test]
    public function a_session_is_another_one_after_signing_in(): void
    {
        $this->get('/sign-in');
        $before = session()->getId();
        $this->signIn();
        self::assertNotSame($before, session()->getId());
    }
}
