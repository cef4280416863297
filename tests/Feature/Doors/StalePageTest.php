<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Time\RealTime;
use Illuminate\Support\Facades\Auth;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\Test;

/** A page that was open too long, without scripts: what was typed stands in it again, after signing in if need be. */
final class StalePageTest extends DoorsTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->app['env'] = 'local'; // in tests the framework leaves the check of the key out
    }

    #[Test]
    public function a_key_that_is_over_brings_the_text_back_to_its_page(): void
    {
        $this->signIn();
        $this->from('/gather')->post('/gather', ['lines' => 'Ring the courier', '_token' => 'stale'])->assertRedirect('/gather')->assertSessionHas('status', __('app.page_expired'));
        self::assertSame(0, $this->ines->tasks()->count());
        $this->get('/gather')->assertOk()->assertSee('Ring the courier');
        $this->get('/gather')->assertDontSee('Ring the courier');
        $this->get('/settings')->assertDontSee('Ring the courier');
    }

    #[Test]
    public function a_sign_in_that_is_over_brings_it_back_after_the_next_one(): void
    {
        $task = $this->task('Quotes');
        $this->signIn();
        RealTime::$ahead = 13 * 3600;
        $this->from("/tasks/{$task->id}")->patch("/tasks/{$task->id}", ['title' => 'Quotes for the crates', 'note' => 'Both, with prices', '_token' => session()->token()])->assertRedirect('/sign-in');
        self::assertSame('Quotes', $task->refresh()->title);
        Auth::forgetGuards();
        $this->get('/sign-in')->assertOk()->assertDontSee('Both, with prices');
        $this->signIn()->assertRedirect();
        $this->get("/tasks/{$task->id}")->assertOk()->assertSee('Quotes for the crates')->assertSee('Both, with prices')->assertSee('What you had typed is here again');
    }

    #[Test]
    public function a_guest_whose_key_is_over_too_finds_it_after_signing_in(): void
    {
        $this->from('/gather')->post('/gather', ['lines' => "Ring the courier\nBook the van", '_token' => 'stale'])->assertRedirect('/gather');
        $this->get('/gather')->assertRedirect('/sign-in');
        $this->get('/sign-in')->assertOk();
        $this->signIn()->assertRedirect(url('/gather'));
        $this->get('/gather')->assertSee('Ring the courier')->assertSee('Book the van');
    }

    #[Test]
    public function who_signs_in_at_the_same_browser_next_is_not_given_anothers_text(): void
    {
        $this->person('wim@example.org');
        $this->signIn();
        $this->withCookie('nekto_session_was', "{$this->ines->id} mark");
        RealTime::$ahead = 13 * 3600;
        $this->from('/gather')->post('/gather', ['lines' => 'Ring the courier', '_token' => session()->token()])->assertRedirect('/sign-in');
        Auth::forgetGuards();
        $this->get('/sign-in');
        $this->post('/sign-in', ['email' => 'wim@example.org', 'password' => self::PASSWORD, '_token' => session()->token()]);
        $this->get('/gather')->assertOk()->assertDontSee('Ring the courier');
        self::assertStringNotContainsString('courier', (string) json_encode(session()->all()));
    }

    #[Test]
    public function secrets_are_not_kept(): void
    {
        $this->signIn();
        $this->from('/account')->put('/account/password', ['current_password' => self::PASSWORD, 'password' => 'quiet heron over slate', '_token' => 'stale'])->assertRedirect('/account');
        self::assertStringNotContainsString('heron', (string) json_encode(session()->all()));
    }

    #[Test]
    public function a_page_with_scripts_is_told_and_keeps_it_itself(): void
    {
        $this->signIn();
        $this->post('/gather', ['lines' => 'Ring', '_token' => 'stale'], ['X-Act' => '1'])->assertStatus(419)->assertSessionMissing('kept_text');
    }

    /** With the session's own key, as a page that is fresh sends it. */
    protected function signIn(string $password = self::PASSWORD, bool $stays = false, ?string $email = null): TestResponse
    {
        $this->get('/sign-in');

        return $this->post('/sign-in', ['email' => 'moura@example.org', 'password' => $password, '_token' => session()->token()]);
    }
}
