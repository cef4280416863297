<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use App\Time\RealTime;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Account\Totp;

/** The second factor: a secret that the person's authenticator has too, and recovery codes for when it is lost. */
final readonly class SecondFactor
{
    private const SECRET_BYTES = 20;

    private const RECOVERY_CODES = 10;

    /** A new secret, which stands for nothing until a code of it was typed. */
    public function offer(User $user): void
    {
        $user->forceFill(['second_secret' => Crypt::encryptString(random_bytes(self::SECRET_BYTES)), 'second_since' => null, 'second_step' => null])->save();
    }

    /** For the authenticator; the secret is in it. */
    public function address(User $user): string
    {
        return 'otpauth://totp/'.rawurlencode("Nekto:{$user->email}").'?'.http_build_query(['secret' => Totp::base32($this->secret($user)), 'issuer' => 'Nekto'], '', '&', PHP_QUERY_RFC3986);
    }

    /** In groups of four, to be typed where no camera is. */
    public function words(User $user): string
    {
        return implode(' ', str_split(Totp::base32($this->secret($user)), 4));
    }

    /**
     * From now on it is asked for.
     *
     * @return list<string>|null recovery codes, to be shown once; null if the code is wrong
     */
    public function confirm(User $user, #[\SensitiveParameter] string $code): ?array
    {
        if ($user->second_secret === null || ! $this->isRight($user, $code)) {
            return null;
        }
        $user->forceFill(['second_since' => now()])->save();

        return $this->renewRecovery($user);
    }

    /** @return list<string> */
    public function renewRecovery(User $user): array
    {
        $codes = array_map(static fn (): string => implode('-', str_split(strtolower(Totp::base32(random_bytes(10))), 4)), range(1, self::RECOVERY_CODES));
        $user->forceFill(['recovery' => array_map(self::digest(...), $codes)])->save();

        return $codes;
    }

    public function end(User $user): void
    {
        $user->forceFill(['second_secret' => null, 'second_since' => null, 'second_step' => null, 'recovery' => null])->save();
    }

    /** A code of the authenticator or a recovery code; either works once. */
    public function passes(User $user, #[\SensitiveParameter] string $code): bool
    {
        return $this->isRight($user, $code) || $this->useRecovery($user, $code);
    }

    private function isRight(User $user, #[\SensitiveParameter] string $code): bool
    {
        return DB::transaction(function () use ($user, $code): bool {
            $fresh = User::query()->findOrFail($user->id); // the same code may come twice at once
            $step = $fresh->second_secret === null ? null : (new Totp($this->secret($fresh)))->stepOf($code, RealTime::seconds(), $fresh->second_step);
            $step === null || User::query()->whereKey($user->id)->update(['second_step' => $step]);

            return $step !== null;
        });
    }

    private function useRecovery(User $user, #[\SensitiveParameter] string $code): bool
    {
        return DB::transaction(function () use ($user, $code): bool {
            $fresh = User::query()->findOrFail($user->id);
            $left = array_values(array_diff($fresh->recovery ?? [], [self::digest($code)]));
            $isOne = count($left) < count($fresh->recovery ?? []);
            $isOne && $fresh->forceFill(['recovery' => $left])->save();

            return $isOne;
        });
    }

    private function secret(User $user): string
    {
        return Crypt::decryptString((string) $user->second_secret);
    }

    /** Eighty random bits need no slow hash. */
    private static function digest(#[\SensitiveParameter] string $code): string
    {
        return hash('sha256', (string) preg_replace('/[^a-z2-7]/', '', strtolower($code)));
    }
}
