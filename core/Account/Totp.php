<?php

declare(strict_types=1);

namespace Nekto\Core\Account;

/**
 * Codes that follow from a secret and the time: RFC 6238 over RFC 4226, with SHA-1, steps of thirty seconds and six digits
 * as every authenticator knows them.
 */
final readonly class Totp
{
    /** Seconds a code stands for. */
    public const STEP = 30;

    public const DIGITS = 6;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /**
     * @param  string  $secret  bytes, at least 16 (RFC 4226, section 4, R6)
     * @param  'sha1'|'sha256'|'sha512'  $hash
     */
    public function __construct(#[\SensitiveParameter] private string $secret, private string $hash = 'sha1', private int $digits = self::DIGITS)
    {
        strlen($secret) >= 16 || throw new \InvalidArgumentException('A secret has at least 128 bits.');
    }

    /**
     * The digits of a step, with zeros before (RFC 4226, 5.3).
     *
     * @param  int  $step  as step() counts them, or a counter
     */
    public function code(int $step): string
    {
        $digest = hash_hmac($this->hash, pack('J', $step), $this->secret, true);
        $offset = ord($digest[strlen($digest) - 1]) & 0x0F;
        $number = (ord($digest[$offset]) & 0x7F) << 24 | ord($digest[$offset + 1]) << 16 | ord($digest[$offset + 2]) << 8 | ord($digest[$offset + 3]);

        return str_pad((string) ($number % 10 ** $this->digits), $this->digits, '0', STR_PAD_LEFT);
    }

    /**
     * Steps of thirty seconds since 1970 (RFC 6238, 4.2).
     *
     * @param  int  $seconds  since 1970, UTC
     */
    public static function step(int $seconds): int
    {
        return intdiv($seconds, self::STEP);
    }

    /**
     * The step whose code was typed: that of the moment, or one to either side for a clock that is a little off. Null if
     * none, or if its code or a later one was used already.
     */
    public function stepOf(#[\SensitiveParameter] string $typed, int $seconds, ?int $lastUsed): ?int
    {
        $typed = (string) preg_replace('/\s/', '', $typed);
        $found = null;
        foreach ([-1, 0, 1] as $off) { // all three are looked at, whichever is right
            $step = self::step($seconds) + $off;
            if (hash_equals($this->code($step), $typed) && ($lastUsed === null || $step > $lastUsed)) {
                $found = $step;
            }
        }

        return $found;
    }

    /** RFC 4648 Base32 without padding, as people type it. */
    public static function base32(#[\SensitiveParameter] string $bytes): string
    {
        $bits = implode('', array_map(static fn (string $byte): string => str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT), str_split($bytes)));

        return implode('', array_map(static fn (string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))], str_split($bits, 5)));
    }
}
