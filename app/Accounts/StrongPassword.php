<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Long enough, and nothing that is tried first: not among the commonest, not one of them with digits around it or said
 * twice, no row of a few letters, not the person's own name or address (OWASP ASVS 4.0, 2.1.1, 2.1.7).
 */
final readonly class StrongPassword implements ValidationRule
{
    public const LEAST = 12;

    public const MOST = 200;

    /** Letters, digits and signs that differ. */
    private const DIFFERENT = 5;

    /** Shorter parts of a name say nothing. */
    private const OWN_WORD = 4;

    /** @param  list<string>  $own  name and address */
    public function __construct(private array $own) {}

    public function validate(string $attribute, #[\SensitiveParameter] mixed $value, \Closure $fail): void
    {
        $password = is_string($value) ? $value : '';
        match (true) {
            mb_strlen($password) < self::LEAST => $fail(__('account.password_short', ['count' => self::LEAST])),
            mb_strlen($password) > self::MOST => $fail(__('account.password_long', ['count' => self::MOST])),
            self::isCommon($password) => $fail(__('account.password_common')),
            $this->isOwn($password) => $fail(__('account.password_own')),
            default => null,
        };
    }

    public static function isCommon(#[\SensitiveParameter] string $password): bool
    {
        $plain = mb_strtolower($password);
        $core = (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $plain);
        $once = preg_match('/^(.+?)\1+$/su', $plain, $part) === 1 ? $part[1] : $plain;
        $known = self::commonest();

        return count(array_unique(mb_str_split($plain))) < self::DIFFERENT
            || isset($known[$plain]) || isset($known[$once]) || ($core !== '' && mb_strlen($core) < self::LEAST && isset($known[$core]))
            || preg_match('/^(?:0?1234567890?|9876543210?|abcdefghijkl|qwertyuiop)+/', $plain) === 1;
    }

    private function isOwn(#[\SensitiveParameter] string $password): bool
    {
        $left = mb_strtolower($password);
        foreach ([...$this->own, 'nekto'] as $text) {
            foreach (preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text)) ?: [] as $word) {
                mb_strlen($word) >= self::OWN_WORD && $left = str_replace($word, '', $left);
            }
        }

        return $left !== mb_strtolower($password) && mb_strlen((string) preg_replace('/[^\p{L}]/u', '', $left)) < self::OWN_WORD;
    }

    /** @return array<string, int> */
    private static function commonest(): array
    {
        return array_flip(file(resource_path('passwords/common.txt'), FILE_IGNORE_NEW_LINES) ?: []);
    }
}
