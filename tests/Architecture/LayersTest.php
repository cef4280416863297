<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Who may know whom: there is one way from rows to a plan and one way back. */
final class LayersTest extends TestCase
{
    /** @param  list<string>  $forbidden  beginnings of names */
    #[Test]
    #[DataProvider('layers')]
    public function a_layer_knows_only_what_it_may(string $folder, array $forbidden): void
    {
        $faults = [];
        foreach (self::uses($folder) as $file => $names) {
            foreach ($names as $name) {
                foreach ($forbidden as $beginning) {
                    if (str_starts_with($name, $beginning)) {
                        $faults[] = "{$file} uses {$name}";
                    }
                }
            }
        }

        self::assertSame([], $faults);
    }

    /** @return array<string, array{string, list<string>}> */
    public static function layers(): array
    {
        return [
            'models know no planning and no web' => ['app/Models', ['App\\Planning', 'App\\Screens', 'App\\Http', 'App\\Wording', 'Nekto\\Core\\Planning', 'Illuminate\\Http']],
            'controllers do not compute' => ['app/Http/Controllers', ['Nekto\\Core\\Planning', 'Nekto\\Core\\Pressure', 'Nekto\\Core\\Day', 'Nekto\\Core\\Hours']],
            'planning knows no web' => ['app/Planning', ['App\\Http', 'App\\Screens', 'Illuminate\\Http', 'Illuminate\\View']],
            'screens know no web and change nothing' => ['app/Screens', ['App\\Http', 'App\\Planning\\Replan', 'App\\Planning\\PlanStore', 'App\\Undo\\Journal', 'Illuminate\\Http']],
            'formats know no web pages' => ['app/Exchange', ['App\\Http', 'App\\Screens', 'Illuminate\\View']],
            'time knows none of the other concepts' => ['core/Time', ['Nekto\\Core\\Hours', 'Nekto\\Core\\Task', 'Nekto\\Core\\Pressure', 'Nekto\\Core\\Planning', 'Nekto\\Core\\Day', 'Nekto\\Core\\Capture']],
            'hours know time alone' => ['core/Hours', ['Nekto\\Core\\Task', 'Nekto\\Core\\Pressure', 'Nekto\\Core\\Planning', 'Nekto\\Core\\Day', 'Nekto\\Core\\Capture']],
            'tasks know nothing of plans' => ['core/Task', ['Nekto\\Core\\Hours', 'Nekto\\Core\\Pressure', 'Nekto\\Core\\Planning', 'Nekto\\Core\\Day', 'Nekto\\Core\\Capture']],
            'pressure knows nothing of plans' => ['core/Pressure', ['Nekto\\Core\\Planning', 'Nekto\\Core\\Day', 'Nekto\\Core\\Capture']],
        ];
    }

    #[Test]
    public function views_never_ask_the_database(): void
    {
        $faults = [];
        foreach (self::files('resources/views', 'php') as $file) {
            if (preg_match('/::query\(|->get\(\)|->findMany\(|->paginate\(|DB::/', (string) file_get_contents($file)) === 1) {
                $faults[] = $file;
            }
        }

        self::assertSame([], $faults);
    }

    #[Test]
    public function views_escape_everything(): void
    {
        foreach (self::files('resources/views', 'php') as $file) {
            self::assertStringNotContainsString('{!!', (string) file_get_contents($file), $file);
        }
    }

    #[Test]
    public function plans_change_in_one_place_only(): void
    {
        foreach (self::uses('app') as $file => $names) {
            if (in_array('App\\Planning\\PlanStore', $names, true) || in_array('Nekto\\Core\\Planning\\Planner', $names, true)) {
                self::assertSame('app/Planning/Replan.php', $file);
            }
        }
        self::assertStringContainsString('PlanStore', (string) file_get_contents(self::root().'/app/Planning/Replan.php'));
    }

    /** @return array<string, list<string>> names that a file imports or writes out in full, by file */
    private static function uses(string $folder): array
    {
        $uses = [];
        foreach (self::files($folder, 'php') as $file) {
            $names = [];
            foreach (\PhpToken::tokenize((string) file_get_contents($file)) as $token) {
                if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                    $names[] = ltrim($token->text, '\\');
                }
            }
            $uses[substr($file, strlen(self::root()) + 1)] = array_slice($names, 1); // the first is its own namespace
        }
        self::assertNotSame([], $uses);

        return $uses;
    }

    /** @return list<string> */
    private static function files(string $folder, string $extension): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::root()."/{$folder}", \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === $extension) {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }
}
