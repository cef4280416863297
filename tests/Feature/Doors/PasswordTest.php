<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Accounts\StrongPassword;
use App\Models\MailedLink;
use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Passwords and addresses: what counts as one, how they are changed, how a forgotten one is set anew. */
final class PasswordTest extends DoorsTestCase
{
    private const NEW = 'quiet heron over slate';

    /** @return array<string, array{string, bool}> */
    public static function passwords(): array
    {
        return [
            'eleven characters' => ['heron slate', false],
            'twelve' => ['heron slates', true],
            'a common one' => ['123456qwerty', false],
            'a common one with digits' => ['Password123456', false],
            'a common one with signs' => ['!!football!!', false],
            'a common one twice' => ['sunshinesunshine', false],
            'a row of digits' => ['123456789012345', false],
            'few letters' => ['aaaaaaaaaaab', false],
            'keys beside each other' => ['qwertyuiop12', false],
            'one\'s own name and digits' => ['InesMoura2026!', false],
            'one\'s own address' => ['moura@example.org', false],
            'a name among other words' => ['moura walks by slates', true],
            'two hundred characters' => [str_repeat('heron slate ', 16).'quietly', true],
            'too many' => [str_repeat('heron slate ', 17), false],
            'other letters' => ['тихая цапля у реки', true],
            'only spaces' => [str_repeat(' ', 14), false],
        ];
    }

    #[Test]
    #[DataProvider('passwords')]
    public function what_is_guessed_first_is_no_password(string $password, bool $isOne): void
    {
        $this->signIn();
        $response = $this->put('/account/password', ['current_password' => self::PASSWORD, 'password' => $password]);

        $isOne ? $response->assertSessionHasNoErrors() : $response->assertSessionHasErrors('password');
        self::assertSame($isOne, Hash::check($password, $this->ines->refresh()->password));
    }

    #[Test]
    public function the_list_of_common_ones_ships_and_is_read(): void
    {
        self::assertTrue(StrongPassword::isCommon('1q2w3e4r5t6y'));
        self::assertFalse(StrongPassword::isCommon(self::NEW));
    }

    #[Test]
    public function no_letter_after_the_seventy_second_byte_is_cut_away(): void
    {
        $long = str_repeat('a long quiet river ', 5);
        $this->signIn();
        $this->put('/account/password', ['current_password' => self::PASSWORD, 'password' => "{$long}one"])->assertSessionHasNoErrors();

        self::assertFalse(Hash::check("{$long}two", $this->ines->refresh()->password));
        self::assertStringStartsWith('$argon2id$', $this->ines->password);
    }

    #[Test]
    public function one_of_an_earlier_version_still_lets_in_and_is_made_anew(): void
    {
        User::query()->whereKey($this->ines->id)->toBase()->update(['password' => password_hash(self::PASSWORD, PASSWORD_BCRYPT, ['cost' => 4])]);

        $this->signIn()->assertRedirect('/shape');
        self::assertStringStartsWith('$argon2id$', $this->ines->refresh()->password);
        self::assertTrue(Hash::check(self::PASSWORD, $this->ines->password));
    }

    #[Test]
    public function changing_it_asks_for_the_present_one_signs_every_other_browser_out_and_is_said_by_mail(): void
    {
        $this->signIn();
        $there = $this->elsewhere();
        $this->put('/account/password', ['current_password' => 'something else', 'password' => self::NEW])->assertSessionHasErrors(['current_password' => 'That is not your present password.']);
        self::assertNull($this->ines->signIns()->find($there)?->ended_at);

        $this->put('/account/password', ['current_password' => self::PASSWORD, 'password' => self::NEW])->assertSessionHasNoErrors();
        self::assertNotNull($this->ines->signIns()->find($there)?->ended_at);
        $this->get('/account')->assertOk()->assertSee('The password was changed');
        self::assertSame('Your password was changed', $this->ines->outboxMails()->latest('id')->value('subject'));

        $this->otherBrowser();
        $this->signIn()->assertSessionHasErrors('email');
        $this->signIn(self::NEW)->assertRedirect('/shape');
    }

    #[Test]
    public function a_forgotten_one_is_set_anew_by_a_link_that_works_once(): void
    {
        $there = $this->elsewhere();
        $this->post('/forgotten', ['email' => 'Moura@Example.org'])->assertRedirect('/forgotten');
        $link = $this->link();
        self::assertSame(0, $this->ines->outboxMails()->count(), 'an open window shows no link that lets in');
        $this->get($link)->assertRedirect('/forgotten/new');
        $this->get('/forgotten/new')->assertOk()->assertSee('moura@example.org')->assertDontSee(basename($link));
        $this->post('/forgotten/new', ['password' => 'short'])->assertSessionHasErrors('password');
        $this->post('/forgotten/new', ['password' => self::NEW])->assertRedirect('/sign-in');
        $this->assertGuest();
        self::assertNotNull($this->ines->signIns()->find($there)?->ended_at);

        $this->get($link);
        $this->get('/forgotten/new')->assertRedirect('/forgotten');
        $this->post('/forgotten/new', ['password' => 'another quiet heron'])->assertRedirect('/forgotten');
        $this->signIn(self::NEW)->assertRedirect('/shape');
    }

    #[Test]
    public function a_link_ends_after_an_hour_and_with_the_next_one(): void
    {
        $this->post('/forgotten', ['email' => 'moura@example.org']);
        $first = $this->link();
        $this->post('/forgotten', ['email' => 'moura@example.org']);
        $second = $this->link();
        $this->get($first);
        $this->get('/forgotten/new')->assertRedirect('/forgotten');
        $this->at('2026-03-11 09:01');
        $this->get($second);
        $this->get('/forgotten/new')->assertRedirect('/forgotten')->assertSessionHasErrors('email');
        $this->followingRedirects()->get('/forgotten/new')->assertSee('too old');
    }

    #[Test]
    public function nothing_tells_whether_there_is_an_account(): void
    {
        config(['nekto.door_milliseconds' => 250]);
        $said = function (string $address, array $sent): array {
            $this->otherBrowser();
            $began = hrtime(true);
            $response = $this->from($address)->post($address, $sent);

            return [$response->getStatusCode(), $response->headers->get('Location'), session('status'), session('errors')?->all(), (hrtime(true) - $began) / 1e6];
        };
        foreach (['/forgotten' => [], '/sign-in' => ['password' => 'something else']] as $address => $more) {
            $known = $said($address, ['email' => 'moura@example.org'] + $more);
            $unknown = $said($address, ['email' => 'nobody@example.org'] + $more);
            self::assertSame(array_slice($known, 0, 4), array_slice($unknown, 0, 4), $address);
            self::assertGreaterThanOrEqual(250, min($known[4], $unknown[4]), 'each refusal takes as long');
        }
        self::assertCount(1, Storage::files('post'));
        self::assertTrue(Hash::isHashed((string) Cache::get('accounts.nobody')), 'an unknown address costs a hash as well');
    }

    #[Test]
    public function a_new_address_counts_once_its_letter_is_answered(): void
    {
        $this->signIn();
        $this->put('/account/address', ['email' => 'ines@example.net', 'own_password' => 'wrong'])->assertSessionHasErrors('own_password');
        $this->put('/account/address', ['email' => 'INES@example.net', 'own_password' => self::PASSWORD])->assertSessionHasNoErrors();
        self::assertSame('moura@example.org', $this->ines->refresh()->email);
        self::assertSame('Another address was asked for', $this->ines->outboxMails()->latest('id')->value('subject'), 'the old address hears of it');

        $link = $this->link();
        $this->get($link)->assertRedirect('/account#address');
        self::assertSame('ines@example.net', $this->ines->refresh()->email);
        $this->get($link);
        self::assertSame('This link was used, or is too old. Ask for a new one.', session('status'));
    }

    #[Test]
    public function an_address_that_is_somebodys_is_none(): void
    {
        $this->person('wim@example.org');
        $this->signIn();
        $this->put('/account/address', ['email' => 'WIM@example.org', 'own_password' => self::PASSWORD])->assertSessionHasErrors('email');
        $this->put('/account/address', ['email' => 'later@example.org', 'own_password' => self::PASSWORD]);
        $link = $this->link();
        $this->person('later@example.org'); // taken between the letter and its answer
        $this->get($link);
        self::assertSame('moura@example.org', $this->ines->refresh()->email);
    }

    #[Test]
    public function a_changed_password_makes_every_letter_void(): void
    {
        $this->signIn();
        $this->put('/account/address', ['email' => 'thief@example.net', 'own_password' => self::PASSWORD]);
        $this->put('/account/password', ['current_password' => self::PASSWORD, 'password' => self::NEW]);

        self::assertSame(0, MailedLink::query()->count());
        $this->get($this->link());
        self::assertSame('moura@example.org', $this->ines->refresh()->email);
    }

    #[Test]
    public function wrong_tries_are_limited_for_each_account_wherever_they_come_from(): void
    {
        for ($i = 0; $i < 50; $i++) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.{$i}.1"])->signIn('guess')->assertSessionHasErrors('email');
        }
        $this->withServerVariables(['REMOTE_ADDR' => '10.1.0.1'])->signIn('guess')->assertTooManyRequests();
        self::assertSame(50, $this->ines->accountNotes()->where('kind', 'wrong_password')->count());

        $this->withCookie('nekto_session_was', "{$this->ines->id} ".substr(hash('sha256', 'moura@example.org'), 0, 16));
        $this->withServerVariables(['REMOTE_ADDR' => '10.2.0.1'])->signIn()->assertRedirect('/shape'); // her own browser is not kept out
    }
}
