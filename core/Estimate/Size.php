<?php

declare(strict_types=1);

namespace Nekto\Core\Estimate;

/** Short and long work err differently. */
enum Size: string
{
    case Short = 'short';
    case Middle = 'middle';
    case Long = 'long';

    public static function of(int $minutes): self
    {
        return match (true) {
            $minutes <= 30 => self::Short,
            $minutes <= 120 => self::Middle,
            default => self::Long,
        };
    }
}
