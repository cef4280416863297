<?php

declare(strict_types=1);

namespace Nekto\Core\Task;

/** What a task is worth, set by the person. */
enum Importance: int
{
    case Low = 1;
    case Medium = 2;
    case High = 3;
    case Vital = 4;

    /** Each step is worth twice the one below it. */
    public function weight(): int
    {
        return 1 << ($this->value - 1);
    }

    /** "low" to "vital". */
    public function word(): string
    {
        return strtolower($this->name);
    }

    public static function fromWord(string $word): ?self
    {
        foreach (self::cases() as $case) {
            if ($case->word() === strtolower($word)) {
                return $case;
            }
        }

        return null;
    }
}
