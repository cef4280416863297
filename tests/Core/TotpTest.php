<?php

declare(strict_types=1);

namespace Tests\Core;

use Nekto\Core\Account\Totp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** RFC 6238, appendix B, RFC 4226, appendix D, and RFC 4648, section 10. */
final class TotpTest extends TestCase
{
    private const SECRET = '12345678901234567890';

    /** @return list<array{int, string, 'sha1'|'sha256'|'sha512'}> */
    public static function vectors(): array
    {
        return [
            [59, '94287082', 'sha1'], [59, '46119246', 'sha256'], [59, '90693936', 'sha512'],
            [1111111109, '07081804', 'sha1'], [1111111109, '68084774', 'sha256'], [1111111109, '25091201', 'sha512'],
            [1111111111, '14050471', 'sha1'], [1111111111, '67062674', 'sha256'], [1111111111, '99943326', 'sha512'],
            [1234567890, '89005924', 'sha1'], [1234567890, '91819424', 'sha256'], [1234567890, '93441116', 'sha512'],
            [2000000000, '69279037', 'sha1'], [2000000000, '90698825', 'sha256'], [2000000000, '38618901', 'sha512'],
            [20000000000, '65353130', 'sha1'], [20000000000, '77737706', 'sha256'], [20000000000, '47863826', 'sha512'],
        ];
    }

    /** @param  'sha1'|'sha256'|'sha512'  $hash */
    #[Test]
    #[DataProvider('vectors')]
    public function codes_are_those_of_the_standard(int $seconds, string $code, string $hash): void
    {
        $secret = substr(str_repeat(self::SECRET, 4), 0, ['sha1' => 20, 'sha256' => 32, 'sha512' => 64][$hash]);

        self::assertSame($code, (new Totp($secret, $hash, 8))->code(Totp::step($seconds)));
    }

    #[Test]
    public function codes_by_counter_are_those_of_the_standard(): void
    {
        $codes = ['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489'];

        self::assertSame($codes, array_map((new Totp(self::SECRET))->code(...), range(0, 9)));
    }

    #[Test]
    public function a_code_is_taken_a_step_early_or_late_and_once(): void
    {
        $totp = new Totp(self::SECRET);
        foreach ([[0, 40], [29, 40], [59, 40], [89, 40], [90, null], [-1, null]] as [$at, $taken]) {
            self::assertSame($taken === null ? null : 1, $totp->stepOf($totp->code(1), $at < 0 ? 120 : $at, null), (string) $at);
        }
        self::assertNull($totp->stepOf($totp->code(1), 40, 1), 'used');
        self::assertNull($totp->stepOf($totp->code(1), 40, 2), 'a later one was used');
        self::assertSame(2, $totp->stepOf(substr_replace($totp->code(2), ' ', 3, 0), 60, 1), 'typed with a gap');
        self::assertNull($totp->stepOf('', 40, null));
        self::assertNull($totp->stepOf($totp->code(1).'0', 40, null));
    }

    #[Test]
    public function bytes_are_typed_as_the_standard_has_them(): void
    {
        $vectors = ['f' => 'MY', 'fo' => 'MZXQ', 'foo' => 'MZXW6', 'foob' => 'MZXW6YQ', 'fooba' => 'MZXW6YTB', 'foobar' => 'MZXW6YTBOI'];
        foreach ($vectors as $bytes => $text) {
            self::assertSame($text, Totp::base32($bytes));
        }
    }

    #[Test]
    public function a_short_secret_is_none(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Totp('fifteen bytes..');
    }
}
