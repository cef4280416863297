<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Time\RealTime;
use Illuminate\Support\Facades\Crypt;
use Nekto\Core\Account\Totp;
use PHPUnit\Framework\Attributes\Test;

/** A code after the password: set up, asked for, used once, and a way in when the authenticator is lost. */
final class SecondFactorTest extends DoorsTestCase
{
    #[Test]
    public function it_is_on_once_a_code_of_it_was_typed(): void
    {
        $this->signIn();
        $there = $this->elsewhere();
        $this->post('/account/second', ['own_password' => 'wrong'])->assertSessionHasErrors('own_password');
        $this->post('/account/second', ['own_password' => self::PASSWORD])->assertSessionHasNoErrors();
        $secret = Crypt::decryptString((string) $this->ines->refresh()->second_secret);
        $this->get('/account')->assertSee('data-code="otpauth://totp/Nekto%3Amoura%40example.org?secret='.Totp::base32($secret).'&amp;issuer=Nekto"', false);
        self::assertNull($this->ines->second_since);

        $this->post('/account/second/confirm', ['code' => '000000'])->assertSessionHasErrors('code');
        $this->followingRedirects()->post('/account/second/confirm', ['code' => $this->code()])->assertSee('Recovery codes')->assertSee('10 recovery codes left');
        self::assertNotNull($this->ines->refresh()->second_since);
        self::assertNotNull($this->ines->signIns()->find($there)?->ended_at, 'browsers that never showed a code are signed out');
        $this->get('/account')->assertDontSee('data-code', false)->assertDontSee('role="list" Recovery');
    }

    #[Test]
    public function the_password_alone_lets_nobody_in(): void
    {
        $this->setUpSecond();
        $this->signIn(stays: true)->assertRedirect('/sign-in/code');
        $this->assertGuest();
        $this->get('/shape')->assertRedirect('/sign-in');
        $this->post('/sign-in/code', ['code' => '123'])->assertSessionHasErrors('code');
        RealTime::$ahead = 60;
        $code = $this->code();
        $this->post('/sign-in/code', ['code' => $code])->assertRedirect();
        $this->assertAuthenticatedAs($this->ines);
        self::assertTrue($this->ines->signIns()->latest('id')->firstOrFail()->stays);

        $this->otherBrowser();
        $this->signIn();
        $this->post('/sign-in/code', ['code' => $code])->assertSessionHasErrors('code'); // it was used
        $this->assertGuest();
    }

    #[Test]
    public function who_waits_too_long_types_the_password_again(): void
    {
        $this->setUpSecond();
        $this->signIn();
        RealTime::$ahead = 601;
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->post('/sign-in/code', ['code' => $this->code()])->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    #[Test]
    public function a_code_is_not_guessed(): void
    {
        $this->setUpSecond();
        $this->signIn();
        for ($i = 0; $i < 5; $i++) {
            $this->post('/sign-in/code', ['code' => "00000{$i}"])->assertSessionHasErrors('code');
        }
        RealTime::$ahead = 60;
        $this->post('/sign-in/code', ['code' => $this->code()])->assertTooManyRequests();
        self::assertSame(5, $this->ines->accountNotes()->where('kind', 'wrong_code')->count());
    }

    #[Test]
    public function a_recovery_code_lets_in_once(): void
    {
        $codes = $this->setUpSecond();
        self::assertCount(10, array_unique($codes));
        $this->signIn();
        $this->post('/sign-in/code', ['code' => ' '.strtoupper($codes[3])])->assertRedirect();
        $this->assertAuthenticatedAs($this->ines);
        self::assertCount(9, $this->ines->refresh()->recovery ?? []);

        $this->otherBrowser();
        $this->signIn();
        $this->post('/sign-in/code', ['code' => $codes[3]])->assertSessionHasErrors('code');
        $this->post('/sign-in/code', ['code' => ''])->assertSessionHasErrors('code');
    }

    #[Test]
    public function new_recovery_codes_void_the_former_ones_and_taking_it_away_asks_for_the_password(): void
    {
        $former = $this->setUpSecond();
        $this->actingAs($this->ines->refresh());
        $this->post('/account/second/recovery', ['own_password' => self::PASSWORD])->assertSessionHas('recovery', static fn (array $codes): bool => array_intersect($codes, $former) === [] && count($codes) === 10);
        $this->delete('/account/second', ['own_password' => 'wrong'])->assertSessionHasErrors('own_password');
        self::assertNotNull($this->ines->refresh()->second_since);
        $this->delete('/account/second', ['own_password' => self::PASSWORD]);
        self::assertSame([null, null, null], array_values($this->ines->refresh()->only(['second_since', 'second_secret', 'recovery'])));
    }

    #[Test]
    public function a_program_that_signs_in_is_told_what_comes_next(): void
    {
        $this->setUpSecond();
        $this->postJson('/sign-in', ['email' => 'moura@example.org', 'password' => self::PASSWORD])->assertOk()->assertExactJson(['next' => '/sign-in/code']);
        $this->assertGuest();
    }

    /** @return list<string> recovery codes */
    private function setUpSecond(): array
    {
        $second = app(\App\Accounts\SecondFactor::class);
        $second->offer($this->ines);

        return $second->confirm($this->ines, $this->code()) ?? throw new \LogicException('It fits.');
    }

    private function code(): string
    {
        return (new Totp(Crypt::decryptString((string) $this->ines->refresh()->second_secret)))->code(Totp::step(RealTime::seconds()));
    }
}
