<?php

declare(strict_types=1);

namespace Nekto\Core\Plan;

use Nekto\Core\CoreException;

/** A planning problem that contradicts itself or cannot be read. The message begins with the offending path. */
final class InvalidProblem extends \InvalidArgumentException implements CoreException
{
    private function __construct(public readonly string $path, string $what)
    {
        parent::__construct("{$path}: {$what}");
    }

    public static function at(string $path, string $what): self
    {
        return new self($path, $what);
    }
}
