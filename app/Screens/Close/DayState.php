<?php

declare(strict_types=1);

namespace App\Screens\Close;

/** What became of a task on a day. */
enum DayState: string
{
    case Done = 'done';
    case NotPlanned = 'not_planned';
    case PartDone = 'part_done';
    case ToCome = 'to_come';
    case NotBegun = 'not_begun';

    public function isUnfinished(): bool
    {
        return in_array($this, [self::PartDone, self::NotBegun, self::ToCome], true);
    }

    public function word(): string
    {
        return __("close.states.{$this->value}");
    }
}
