<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * Saves what the framework looks up anew in every request for each class, and for every row: which of some three hundred
 * methods carry an attribute (none does: a test holds that), what the casts are, and which moment a stored text means. A
 * page with a dozen models is some milliseconds quicker by it, one with hundreds of rows more (bench/README.md).
 */
trait WakesQuickly
{
    /** @var array<string, string>|null */
    private static ?array $knownCasts = null;

    /** @var array<string, CarbonImmutable> by how it is stored, in UTC; moments never change, so that one does for all who ask */
    private static array $moments = [];

    /** What a column holds, by its cast; relations, and whatever is not said here, as the framework has it. */
    public function getAttribute($key): mixed
    {
        if (! array_key_exists($key, $this->attributes) || (! isset($this->casts[$key]) && ($key === 'created_at' || $key === 'updated_at'))) {
            return parent::getAttribute($key);
        }
        $value = $this->attributes[$key];
        $cast = $this->casts[$key] ?? null;

        return match (true) {
            $value === null, $cast === null => $value,
            $cast === 'immutable_datetime' && is_string($value) && strlen($value) === 19 => self::$moments[$value] ??= new CarbonImmutable($value, 'UTC'),
            $cast === 'boolean' => (bool) $value,
            is_a($cast, \BackedEnum::class, true) => $cast::from($value),
            default => parent::getAttribute($key),
        };
    }

    protected static function bootTraits(): void
    {
        $initializers = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            method_exists(static::class, "boot{$name}") && static::{"boot{$name}"}();
            method_exists(static::class, "initialize{$name}") && $initializers[] = "initialize{$name}";
        }
        static::$traitInitializers[static::class] = $initializers;
    }

    protected function initializeHasAttributes(): void
    {
        $this->casts = self::$knownCasts ??= $this->ensureCastsAreStringValues([...$this->casts, ...$this->casts()]);
    }
}
