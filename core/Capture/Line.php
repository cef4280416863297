<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

use Nekto\Core\Task\Demand;
use Nekto\Core\Task\Importance;

/** A typed line and what was understood of it. Words that were not understood make up the title. */
final readonly class Line
{
    /** @param  list<Understood>  $parts  by their place in the line, not overlapping; those with a problem too */
    public function __construct(public string $text, public string $title, public array $parts) {}

    /**
     * The same with what similar lines got before, where the line says nothing of it.
     *
     * @param  list<Understood>  $learned
     */
    public function with(array $learned): self
    {
        return new self($this->text, $this->title, [...$this->parts, ...$learned]);
    }

    public function minutes(): ?int
    {
        $value = $this->first(Kind::Minutes);

        return is_int($value) ? $value : null;
    }

    public function due(): ?When
    {
        return $this->when(Kind::Due);
    }

    /** The earliest start. */
    public function start(): ?When
    {
        return $this->when(Kind::Start);
    }

    /** The day it is asked about, where it is somebody else's turn. */
    public function ask(): ?When
    {
        return $this->when(Kind::Ask);
    }

    /** The day it is picked for: named alone, or with a set time. */
    public function on(): ?When
    {
        return $this->when(Kind::On) ?? ($this->at()?->day === null ? null : new When($this->at()->day));
    }

    /** The set time. */
    public function at(): ?When
    {
        return $this->when(Kind::At);
    }

    public function repeat(): ?Recurrence
    {
        $value = $this->first(Kind::Repeat);

        $last = $this->first(Kind::Until);

        return $value instanceof Recurrence ? (is_int($last) || $last instanceof When ? $value->until($last) : $value) : null;
    }

    public function importance(): ?Importance
    {
        $value = $this->first(Kind::Importance);

        return $value instanceof Importance ? $value : null;
    }

    public function demand(): ?Demand
    {
        $value = $this->first(Kind::Demand);

        return $value instanceof Demand ? $value : null;
    }

    /** Of a project, a person to wait for, a part of the day or an address. */
    public function name(Kind $kind): ?string
    {
        $value = $this->first($kind);

        return is_string($value) ? $value : null;
    }

    /** @return list<string> each once */
    public function contexts(): array
    {
        $contexts = [];
        foreach ($this->parts as $part) {
            if ($part->kind === Kind::Context && is_string($part->value) && ! in_array($part->value, $contexts, true)) {
                $contexts[] = $part->value;
            }
        }

        return $contexts;
    }

    private function when(Kind $kind): ?When
    {
        $value = $this->first($kind);

        return $value instanceof When ? $value : null;
    }

    private function first(Kind $kind): int|string|When|Recurrence|Importance|Demand|null
    {
        foreach ($this->parts as $part) {
            if ($part->kind === $kind && $part->problem === null) {
                return $part->value;
            }
        }

        return null;
    }
}
