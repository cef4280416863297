<?php

declare(strict_types=1);

namespace Tests\Feature\Doors;

use App\Models\User;
use App\Time\RealTime;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\Feature\FeatureTestCase;

/** A person at the sign-in; browsers are kept apart by their sessions. */
abstract class DoorsTestCase extends FeatureTestCase
{
    protected const PASSWORD = 'rivers-underfoot';

    protected function setUp(): void
    {
        parent::setUp();
        Auth::logout();
        Storage::fake('local');
        RealTime::$ahead = 0;
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    protected function signIn(string $password = self::PASSWORD, bool $stays = false, ?string $email = null): TestResponse
    {
        return $this->post('/sign-in', ['email' => $email ?? 'moura@example.org', 'password' => $password] + ($stays ? ['remember' => '1'] : []));
    }

    /** As if the next request came from a browser that is signed in nowhere. */
    protected function otherBrowser(): void
    {
        $this->flushSession();
        Auth::forgetGuards();
    }

    /** Signed in elsewhere too: a row as that browser's sign-in has made it. */
    protected function elsewhere(?User $user = null): int
    {
        return ($user ?? $this->ines)->signIns()->create(['agent' => 'Mozilla/5.0 (iPhone) Safari', 'address' => '10.0.0.7', 'stays' => true, 'began_at' => now(), 'seen_at' => now()])->id;
    }

    /** The link in the newest letter that lies in the stand-in for a mail server. */
    protected function link(): string
    {
        $letters = Storage::files('post');
        self::assertNotSame([], $letters);
        usort($letters, static fn (string $a, string $b): int => Storage::lastModified($a) <=> Storage::lastModified($b) ?: $a <=> $b);
        $text = quoted_printable_decode((string) Storage::get((string) end($letters)));
        self::assertSame(1, preg_match('/http:\/\/\S+/', $text, $match));
        Storage::delete((string) end($letters));

        return (string) parse_url($match[0], PHP_URL_PATH);
    }
}
