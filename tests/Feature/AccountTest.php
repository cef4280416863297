<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

final class AccountTest extends FeatureTestCase
{
    private const NEW = ['name' => 'Prue Lang', 'email' => 'Prue@Example.org', 'password' => 'catalogue-to-print', 'zone' => 'Asia/Tokyo'];

    protected function setUp(): void
    {
        parent::setUp();
        Auth::logout();
    }

    #[Test]
    public function an_account_begins_with_hours_areas_and_its_own_zone(): void
    {
        $this->post('/sign-up', self::NEW)->assertRedirect('/first-day');
        $prue = User::query()->where('email', 'prue@example.org')->firstOrFail();

        $this->assertAuthenticatedAs($prue);
        self::assertTrue(Hash::check('catalogue-to-print', $prue->password));
        self::assertSame('Asia/Tokyo', $prue->zone);
        self::assertSame(['Office hours', 'Evenings'], $prue->hoursSets()->pluck('name')->all());
        $this->get('/gather')->assertOk()->assertSee('Nothing has come in');
        $this->get('/shape')->assertOk();
    }

    /** @param  array<string, string>  $change */
    #[Test]
    #[DataProvider('refused')]
    public function what_cannot_be_an_account_is_said_and_kept_in_the_form(array $change, string $field): void
    {
        $this->from('/sign-up')->post('/sign-up', [...self::NEW, ...$change])->assertRedirect('/sign-up')->assertSessionHasErrors($field);
        $this->assertGuest();
        $this->followingRedirects()->from('/sign-up')->post('/sign-up', [...self::NEW, ...$change])->assertSee('value="Prue Lang"', false);
    }

    /** @return list<array{array<string, string>, string}> */
    public static function refused(): array
    {
        return [
            [['email' => 'moura@EXAMPLE.org'], 'email'], [['email' => 'nobody'], 'email'], [['password' => 'short'], 'password'],
            [['zone' => 'Mars/Olympus'], 'zone'],
        ];
    }

    #[Test]
    public function the_right_password_lets_in_and_signing_out_lets_go(): void
    {
        $this->post('/sign-in', ['email' => 'moura@example.org', 'password' => 'rivers-underfoot'])->assertRedirect('/shape');
        $this->assertAuthenticatedAs($this->ines);

        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    #[Test]
    public function after_five_wrong_passwords_one_has_to_wait(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->post('/sign-in', ['email' => 'moura@example.org', 'password' => 'guess'])->assertSessionHasErrors('email');
        }
        $this->post('/sign-in', ['email' => 'moura@example.org', 'password' => 'rivers-underfoot'])->assertTooManyRequests();
        $this->at('2026-03-11 08:02');
        $this->post('/sign-in', ['email' => 'moura@example.org', 'password' => 'rivers-underfoot'])->assertRedirect('/shape');
    }

    #[Test]
    public function guests_see_nothing_but_the_doors(): void
    {
        foreach (['/shape', '/gather', '/weigh', '/meetings', '/settings', '/tasks/1'] as $address) {
            $this->get($address)->assertRedirect('/sign-in');
        }
        foreach (['/sign-in', '/sign-up'] as $address) {
            $this->get($address)->assertOk();
        }
    }
}
