<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Importance;

/** A typed line and what was understood of it. Words that were not understood make up the title. */
final readonly class Line
{
    /** @param  list<Understood>  $parts  by their place in the line, not overlapping; those with a problem too */
    public function __construct(public string $text, public string $title, public array $parts) {}

    public function minutes(): ?int
    {
        return $this->first(Kind::Minutes)?->minutes;
    }

    public function due(): ?Due
    {
        return $this->first(Kind::Due)?->due;
    }

    public function importance(): ?Importance
    {
        return $this->first(Kind::Importance)?->importance;
    }

    private function first(Kind $kind): ?Understood
    {
        foreach ($this->parts as $part) {
            if ($part->kind === $kind && $part->problem === null) {
                return $part;
            }
        }

        return null;
    }
}
