<?php

declare(strict_types=1);

namespace Tests\Architecture;

use App\Models\WakesQuickly;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;
use Tests\TestCase;

/** What WakesQuickly takes for granted: no model has anything that the framework would find and it would not. */
final class ModelsTest extends TestCase
{
    use RefreshDatabase;

    /** @param  class-string<Model>  $class */
    #[Test]
    #[DataProvider('models')]
    public function a_model_has_nothing_that_is_only_found_by_looking_through_its_methods(string $class): void
    {
        self::assertContains(WakesQuickly::class, class_uses_recursive($class));
        foreach ((new \ReflectionClass($class))->getMethods() as $method) {
            self::assertSame([], [...$method->getAttributes(Boot::class), ...$method->getAttributes(Initialize::class)], $method->getName());
            self::assertNotSame(Attribute::class, $method->getReturnType() instanceof \ReflectionNamedType ? $method->getReturnType()->getName() : null, $method->getName());
            self::assertDoesNotMatchRegularExpression('/^[gs]et.+Attribute$/', $method->getDeclaringClass()->getName() === $class && ! method_exists(Model::class, $method->getName()) ? $method->getName() : '');
        }
    }

    #[Test]
    public function a_column_is_read_as_the_framework_would_read_it(): void
    {
        $this->artisan('nekto:demo')->assertSuccessful();
        foreach (self::models() as [$class]) {
            $model = new $class;
            $row = (array) (DB::table($model->getTable())->orderByDesc('id')->first() ?? []);
            $some = array_map(self::stored(...), array_diff_key($model->getCasts(), ['id' => 0]));
            foreach ([$row, $some, array_fill_keys(array_keys($some), null)] as $stored) {
                $read = $model->newFromBuilder($stored);
                foreach (array_keys($stored) as $column) {
                    self::assertEquals($read->getAttributeValue($column), $read->getAttribute($column), "{$class}: {$column}");
                    self::assertSame(get_debug_type($read->getAttributeValue($column)), get_debug_type($read->getAttribute($column)), "{$class}: {$column}");
                }
            }
        }
    }

    private static function stored(string $cast): mixed
    {
        return match (true) {
            in_array($cast, ['immutable_datetime', 'datetime'], true) => '2026-03-29 01:30:00',
            $cast === 'boolean', $cast === 'integer' => 1,
            $cast === 'array' => '[1]',
            $cast === 'encrypted' => Crypt::encryptString('x'),
            is_a($cast, \BackedEnum::class, true) => $cast::cases()[0]->value,
            default => 'text',
        };
    }

    /** @return array<string, array{class-string<Model>}> */
    public static function models(): array
    {
        $models = [];
        foreach (glob(dirname(__DIR__, 2).'/app/Models/*.php') ?: [] as $file) {
            $class = 'App\\Models\\'.basename($file, '.php');
            if (is_subclass_of($class, Model::class)) {
                $models[basename($file, '.php')] = [$class];
            }
        }

        return $models;
    }
}
