<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Timebox;

/** Whether an address and a password belong together, in the same time whether the address is known or not. */
final readonly class CheckPassword
{
    public function __construct(private Happened $happened) {}

    /** The account; null if they do not, which is noted in it if there is one. */
    public function __invoke(string $email, #[\SensitiveParameter] string $password): ?User
    {
        return (new Timebox)->call(function (Timebox $box) use ($email, $password): ?User {
            $user = User::query()->where('email', strtolower($email))->first();
            $isRight = Hash::check($password, $user === null ? self::nobodys() : $user->password); // also where there is nobody: it takes as long
            if ($user === null || ! $isRight) {
                $user === null || ($this->happened)($user, 'wrong_password');

                return null;
            }
            $box->returnEarly();
            Hash::needsRehash($user->password) && $user->forceFill(['password' => $password])->save();

            return $user;
        }, 1000 * (int) config('nekto.door_milliseconds'));
    }

    /** A hash that nothing fits, made as those of accounts are. */
    private static function nobodys(): string
    {
        $known = Cache::get('accounts.nobody');
        if (! is_string($known) || Hash::needsRehash($known)) {
            Cache::forever('accounts.nobody', $known = Hash::make(bin2hex(random_bytes(16))));
        }

        return $known;
    }
}
