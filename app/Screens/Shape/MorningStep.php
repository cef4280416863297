<?php

declare(strict_types=1);

namespace App\Screens\Shape;

/** The guided run through the morning, a step at a time; each can be passed over. */
enum MorningStep: string
{
    /** What is left from the day before, and where it is placed. */
    case Left = 'left';

    /** Meetings, open time, load line. */
    case Holds = 'holds';

    /** By pull, each with its reason. */
    case Candidates = 'candidates';

    /** A day that fits. */
    case Day = 'day';

    /** What can wait, and how long. */
    case Wait = 'wait';

    /** The day laid out, as a difference. */
    case Lay = 'lay';

    /** It is taken. */
    case Done = 'done';

    public function next(): self
    {
        return match ($this) {
            self::Left => self::Holds,
            self::Holds => self::Candidates,
            self::Candidates => self::Day,
            self::Day => self::Wait,
            self::Wait => self::Lay,
            self::Lay, self::Done => self::Done,
        };
    }

    public function before(): ?self
    {
        foreach (self::cases() as $step) {
            if ($step !== $this && $step->next() === $this && $step !== self::Done) {
                return $step;
            }
        }

        return null;
    }

    public function number(): int
    {
        return 1 + (int) array_search($this, self::cases(), true);
    }
}
