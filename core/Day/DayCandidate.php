<?php

declare(strict_types=1);

namespace Nekto\Core\Day;

/** A task that could be picked for a day. */
final readonly class DayCandidate
{
    /**
     * @param  int  $minutes  that it would take on that day
     * @param  int  $pull  0 to 100
     * @param  bool  $picked  already; it stays if it fits at all
     * @param  int|null  $waitsUntil  the moment it can wait until without being late; null = no date hurries it
     * @param  int|null  $least  minutes that would do on a day on which not all that is picked fits; null = all of them
     * @param  int  $weight  of its importance: with the pull it says which tasks make the day a success
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public int $pull,
        public bool $deep = false,
        public bool $picked = false,
        public ?int $waitsUntil = null,
        public ?int $least = null,
        public int $weight = 1,
    ) {}

    /** The same with other minutes. */
    public function taking(int $minutes): self
    {
        return new self($this->id, $minutes, $this->pull, $this->deep, $this->picked, $this->waitsUntil, $this->least, $this->weight);
    }
}
