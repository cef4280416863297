<?php

declare(strict_types=1);

namespace Nekto\Core\Recurrence;

/** How often the periods of a rule come, the longest first. */
enum Frequency: int
{
    case Yearly = 0;
    case Monthly = 1;
    case Weekly = 2;
    case Daily = 3;
    case Hourly = 4;
    case Minutely = 5;
    case Secondly = 6;

    public static function read(string $word): ?self
    {
        foreach (self::cases() as $case) {
            if (strcasecmp($case->name, $word) === 0) {
                return $case;
            }
        }

        return null;
    }

    /** Seconds of one period, for those that have a fixed length by the wall clock. */
    public function seconds(): int
    {
        return match ($this) {
            self::Weekly => 604_800,
            self::Daily => 86_400,
            self::Hourly => 3600,
            self::Minutely => 60,
            self::Secondly => 1,
            default => throw new \LogicException('Months and years differ.'),
        };
    }
}
