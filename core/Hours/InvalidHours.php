<?php

declare(strict_types=1);

namespace Nekto\Core\Hours;

use Nekto\Core\CoreException;

/** Opening times that cannot be. */
final class InvalidHours extends \InvalidArgumentException implements CoreException
{
    public static function endNotAfterStart(int $from, int $to): self
    {
        return new self(sprintf('Hours must end after they start: %s to %s.', Stretch::clock($from), Stretch::clock($to)));
    }

    public static function notAClockTime(string $text): self
    {
        return new self("\"{$text}\" is not a time between 00:00 and 24:00.");
    }

    public static function overlap(int $from): self
    {
        return new self(sprintf('Two stretches overlap at %s.', Stretch::clock($from)));
    }

    public static function unknownKey(string $key): self
    {
        return new self("\"{$key}\" is neither a weekday (mon to sun) nor \"exceptions\".");
    }
}
