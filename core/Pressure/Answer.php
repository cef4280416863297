<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

use Nekto\Core\Task\Importance;

/** What to do with something that was weighed. */
enum Answer: string
{
    case DoNow = 'do_now';
    case MakeTime = 'make_time';
    case HandOff = 'hand_off';
    case LetGo = 'let_go';

    /** From so much pressure on something presses. */
    private const PRESSING = 70;

    /** By the square of importance and pressure; null while the importance is not known. */
    public static function of(?Importance $importance, ?int $pressure, Push $push = Push::None): ?self
    {
        if ($importance === null) {
            return null;
        }
        $presses = $push === Push::Urgent || ($push !== Push::HoldBack && ($pressure ?? 0) >= self::PRESSING);

        return $importance->value >= Importance::High->value
            ? ($presses ? self::DoNow : self::MakeTime)
            : ($presses || $importance === Importance::Medium ? ($presses ? self::HandOff : self::MakeTime) : self::LetGo);
    }

    /** "do now". */
    public function words(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
