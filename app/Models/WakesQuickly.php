<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Saves what the framework looks up anew in every request for each class, and for every row: which of some three hundred
 * methods carry an attribute (none does: a test holds that), and what the casts are. A page with a dozen models is some
 * milliseconds quicker by it, one with hundreds of rows more (bench/README.md).
 */
trait WakesQuickly
{
    /** @var array<string, string>|null */
    private static ?array $knownCasts = null;

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
