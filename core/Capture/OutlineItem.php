<?php

declare(strict_types=1);

namespace Nekto\Core\Capture;

/** A line of a pasted list. */
final readonly class OutlineItem
{
    /**
     * @param  bool  $done  its box is ticked
     * @param  int  $line  where it stands, from 1
     * @param  list<self>  $under  its subtasks
     */
    public function __construct(public string $text, public bool $done, public int $line, public array $under = []) {}

    /** @param  list<self>  $under */
    public function with(array $under): self
    {
        return new self($this->text, $this->done, $this->line, $under);
    }
}
