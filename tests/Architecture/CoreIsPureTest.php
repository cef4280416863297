<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** The core knows PHP and itself: no framework, no database, no clock, no chance, no input or output. */
final class CoreIsPureTest extends TestCase
{
    private const FORBIDDEN = [
        'time', 'date', 'microtime', 'hrtime', 'strtotime', 'mktime', 'getdate', 'localtime', 'idate', 'date_create', 'checkdnsrr',
        'rand', 'mt_rand', 'random_int', 'random_bytes', 'shuffle', 'uniqid', 'lcg_value', 'array_rand',
        'fopen', 'file', 'file_get_contents', 'file_put_contents', 'fwrite', 'fread', 'readfile', 'print_r', 'var_dump', 'printf', 'error_log',
        'exec', 'shell_exec', 'system', 'proc_open', 'sleep', 'usleep', 'getenv', 'ini_set', 'header', 'setlocale', 'date_default_timezone_get',
        'app', 'config', 'now', 'today', 'env', '__', 'collect', 'dd', 'dump', 'session', 'request', 'cache',
    ];

    #[Test]
    public function no_file_of_the_core_reaches_outside(): void
    {
        $faults = [];
        foreach (self::files() as $file) {
            foreach (self::faults((string) file_get_contents($file)) as $fault) {
                $faults[] = basename($file).": {$fault}";
            }
        }

        self::assertGreaterThan(30, count(self::files()), 'the core was found');
        self::assertSame([], $faults);
    }

    #[Test]
    #[DataProvider('planted')]
    public function a_planted_fault_is_found(string $code): void
    {
        self::assertNotSame([], self::faults("<?php\nnamespace Nekto\\Core\\Task;\n{$code}"));
    }

    /** @return list<array{string}> */
    public static function planted(): array
    {
        return [
            ['use Carbon\\CarbonImmutable;'], ['use Illuminate\\Support\\Collection;'], ['$a = new \\PDO("sqlite:");'], ['$a = time();'],
            ['$a = \\date("Y");'], ['$a = new \\DateTimeImmutable;'], ['$a = new \\DateTimeImmutable();'], ['$a = random_int(1, 2);'],
            ['echo "x";'], ['use App\\Models\\Task;'], ['\\App\\Clock::now();'], ['require "x.php";'], ['$a = $_GET["x"];'],
        ];
    }

    #[Test]
    public function what_the_core_may_do_is_no_fault(): void
    {
        self::assertSame([], self::faults('<?php namespace Nekto\\Core\\Task; use Nekto\\Core\\Time\\Zone; final class A { public function time(): int { return $this->date() + gmdate("Y", 0); } }'));
    }

    /** @return list<string> */
    private static function files(): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core', \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php' && $file->getFilename() !== 'autoload.php') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }

    /** @return list<string> */
    private static function faults(string $code): array
    {
        $tokens = array_values(array_filter(\PhpToken::tokenize($code), static fn (\PhpToken $token): bool => ! $token->isIgnorable()));
        $faults = [];
        foreach ($tokens as $i => $token) {
            $before = $tokens[$i - 1] ?? null;
            $after = $tokens[$i + 1] ?? null;
            if ($token->is([T_ECHO, T_PRINT, T_REQUIRE, T_REQUIRE_ONCE, T_INCLUDE, T_INCLUDE_ONCE, T_EVAL, T_GLOBAL, T_EXIT])
                || ($token->is(T_VARIABLE) && str_starts_with($token->text, '$_'))) {
                $faults[] = $token->text;
            } elseif ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                $name = ltrim($token->text, '\\');
                $isFunction = $after?->text === '(' && $before?->is(T_NEW) === false;
                if ((str_contains($name, '\\') && ! str_starts_with($name, 'Nekto\\Core')) || in_array($name, ['PDO', 'SQLite3'], true)
                    || ($isFunction && in_array(strtolower($name), self::FORBIDDEN, true))
                    || (in_array($name, ['DateTimeImmutable', 'DateTime'], true) && $before?->is(T_NEW) && ($after?->text !== '(' || ($tokens[$i + 2] ?? null)?->text === ')'))) {
                    $faults[] = $token->text;
                }
            } elseif ($token->is(T_STRING) && $after?->text === '(' && in_array(strtolower($token->text), self::FORBIDDEN, true)
                && ! ($before?->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_NEW]) ?? false)) {
                $faults[] = $token->text;
            }
        }

        return $faults;
    }
}
