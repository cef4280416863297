<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/** A rule outside the grammar, or one whose next instance is not found within the steps allowed. The message says which part. */
final class RuleRefused extends \DomainException
{
    /** Looking for its instances takes more steps than any real rule needs. */
    public bool $isEndless = false;

    public static function neverComesRound(): self
    {
        $refused = new self('its rule hardly ever comes round');
        $refused->isEndless = true;

        return $refused;
    }

    public static function tooOften(): self
    {
        return new self('it repeats too often');
    }
}
