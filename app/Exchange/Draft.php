<?php

declare(strict_types=1);

namespace App\Exchange;

use Carbon\CarbonImmutable;
use Nekto\Core\Task\Importance;

/** A task as a file tells of it. */
final readonly class Draft
{
    /**
     * @param  int  $line  where it stands in the file, from 1
     * @param  string  $key  the same each time the file is read: tells a task that is known already
     * @param  string|null  $due  Y-m-d
     * @param  int|null  $minutes  estimate
     * @param  list<string>  $contexts
     * @param  list<array{title: string, estimate: int|null, done: bool}>  $subtasks
     */
    public function __construct(
        public int $line,
        public string $key,
        public string $title,
        public bool $done = false,
        public ?string $note = null,
        public ?Importance $importance = null,
        public ?string $due = null,
        public ?CarbonImmutable $dueAt = null,
        public ?CarbonImmutable $start = null,
        public ?int $minutes = null,
        public ?string $project = null,
        public array $contexts = [],
        public array $subtasks = [],
        public ?string $waitingFor = null,
        public ?string $link = null,
        public ?string $rule = null,
        public ?CarbonImmutable $caughtAt = null,
    ) {}
}
