<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** docs/house.md is true: who may know whom, and that there is one way from rows to a plan and one way back. */
final class HouseTest extends TestCase
{
    /** Beginnings of names that a folder keeps away from, of the framework's and of single classes. */
    private const KEEPS_FROM = [
        'app/Models' => ['Illuminate\\Http', 'Illuminate\\View'],
        'app/Rows' => ['Illuminate\\Http', 'Illuminate\\View'],
        'app/Planning' => ['Illuminate\\Http', 'Illuminate\\View'],
        'app/Edits' => ['Illuminate\\Http', 'Illuminate\\View'],
        'app/Exchange' => ['Illuminate\\View'],
        'app/Screens' => ['Illuminate\\Http', 'App\\Planning\\Replan', 'App\\Planning\\PlanStore', 'App\\Undo\\Journal'],
    ];

    #[Test]
    public function every_folder_is_in_the_table_with_just_what_it_uses(): void
    {
        $table = self::table();
        $uses = self::graph();

        self::assertSame(array_keys($uses), array_keys($table), 'the folders');
        foreach ($uses as $folder => $used) {
            self::assertSame($table[$folder], array_keys($used), "{$folder}: ".json_encode(array_intersect_key($used, array_flip(array_diff(array_keys($used), $table[$folder])))));
        }
    }

    #[Test]
    public function there_is_no_circle(): void
    {
        self::assertSame([], self::circles(array_map(array_keys(...), self::graph())));
    }

    #[Test]
    public function a_planted_circle_is_found(): void
    {
        self::assertSame(['a', 'b', 'c'], self::circles(['a' => ['b'], 'b' => ['c'], 'c' => ['a'], 'd' => ['a']]));
        self::assertSame([], self::circles(['a' => ['b', 'c'], 'b' => ['c'], 'c' => []]));
    }

    #[Test]
    public function controllers_do_not_compute_and_screens_change_nothing(): void
    {
        foreach (self::KEEPS_FROM + ['app/Http/Controllers' => ['Nekto\\Core\\Planning', 'Nekto\\Core\\Pressure', 'Nekto\\Core\\Day', 'Nekto\\Core\\Hours']] as $folder => $forbidden) {
            foreach (self::uses($folder) as $file => $names) {
                foreach ($names as $name) {
                    foreach ($forbidden as $beginning) {
                        self::assertFalse(str_starts_with($name, $beginning), "{$file} uses {$name}");
                    }
                }
            }
        }
    }

    #[Test]
    public function what_the_page_names_is_there(): void
    {
        preg_match_all('/`((?:[A-Za-z]+[\/\\\\])+[A-Z][A-Za-z]+)(?:::\w+)?`/', (string) file_get_contents(self::root().'/docs/house.md'), $named);
        self::assertGreaterThan(20, count($named[1]));
        foreach (array_unique($named[1]) as $name) {
            $path = strtr($name, ['App\\' => 'app/', 'Nekto\\Core\\' => 'core/', '\\' => '/']);
            $found = array_filter(["{$path}.php", "app/{$path}.php", "core/{$path}.php", $path, "app/{$path}", "core/{$path}", "core/Planning/{$path}.php"], static fn (string $one): bool => file_exists(self::root()."/{$one}"));
            self::assertNotSame([], $found, $name);
        }
    }

    /** Whoever validates does so in a Form Request, and an address is named. */
    #[Test]
    public function controllers_neither_validate_nor_catch_conflicts(): void
    {
        foreach (self::files('app/Http/Controllers', 'php') as $file) {
            self::assertDoesNotMatchRegularExpression('/->validate\(|Validator::make|catch \(PlanConflict/', (string) file_get_contents($file), $file);
        }
        foreach (self::files('app/Http/Requests', 'php') as $file) {
            self::assertDoesNotMatchRegularExpression('/(?:->|::)(?:create|save|update|delete|insert|firstOrCreate)\(/', (string) file_get_contents($file), "{$file} writes");
        }
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
            if (in_array('App\\Planning\\PlanStore', $names, true)) {
                self::assertSame('app/Planning/Replan.php', $file);
            }
            if (in_array('Nekto\\Core\\Planning\\Planner', $names, true)) { // Prospects looks at a plan as it would be, and stores none
                self::assertContains($file, ['app/Planning/Replan.php', 'app/Planning/Prospects.php']);
            }
        }
        self::assertStringContainsString('PlanStore', (string) file_get_contents(self::root().'/app/Planning/Replan.php'));
    }

    /** @return array<string, list<string>> what each folder may use, by folder, as docs/house.md says it */
    private static function table(): array
    {
        preg_match_all('/^\| `((?:app|core)\/[^`]+)` \| [^|]+ \| ([^|]*) \|$/m', (string) file_get_contents(self::root().'/docs/house.md'), $rows, PREG_SET_ORDER);
        $table = [];
        foreach ($rows as [, $folder, $uses]) {
            preg_match_all('/`([^`]+)`/', $uses, $names);
            sort($names[1]);
            $table[$folder] = $names[1];
        }
        ksort($table);

        return $table;
    }

    /** @return array<string, array<string, list<string>>> for each folder the folders it uses, with the files that do */
    private static function graph(): array
    {
        $graph = [];
        foreach (self::uses('app') + self::uses('core') as $file => $names) {
            $folder = dirname($file);
            if ($folder === 'core') {
                continue; // the core's own autoloader
            }
            $graph[$folder] ??= [];
            foreach ($names as $name) {
                $used = dirname(strtr($name, ['App\\' => 'app/', 'Nekto\\Core\\' => 'core/', '\\' => '/']));
                if ($used !== $folder && preg_match('/^(?:app|core)\//', $used) === 1 && is_dir(self::root()."/{$used}")) {
                    $graph[$folder][$used][] = basename($file);
                }
            }
            ksort($graph[$folder]);
        }
        ksort($graph);

        return $graph;
    }

    /**
     * @param  array<string, list<string>>  $graph
     * @return list<string> those that lead back to themselves
     */
    private static function circles(array $graph): array
    {
        $circles = [];
        foreach (array_keys($graph) as $from) {
            $seen = [];
            $next = $graph[$from];
            while ($next !== []) {
                $at = array_pop($next);
                if (! isset($seen[$at])) {
                    $seen[$at] = true;
                    array_push($next, ...$graph[$at] ?? []);
                }
            }
            isset($seen[$from]) && $circles[] = $from;
        }

        return $circles;
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
