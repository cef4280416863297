<?php

declare(strict_types=1);

namespace App\Edits;

/** A task that is to be born, with what belongs to it. */
final readonly class TaskDraft
{
    /**
     * @param  array<string, mixed>  $columns  of tasks; what is missing gets its default
     * @param  list<array{title: string, estimate: int|null, done: bool}>  $subtasks
     * @param  list<string>  $contexts  names
     * @param  list<array{address: string, title: string|null}>  $links
     */
    public function __construct(public array $columns, public array $subtasks = [], public array $contexts = [], public array $links = []) {}

    /**
     * The same with other columns beside its own.
     *
     * @param  array<string, mixed>  $columns
     */
    public function with(array $columns): self
    {
        return new self($columns + $this->columns, $this->subtasks, $this->contexts, $this->links);
    }
}
