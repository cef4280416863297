<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\TaskStage;
use Carbon\CarbonImmutable;
use Nekto\Core\Task\Demand;
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
     * @param  string|null  $rule  as in RFC 5545
     * @param  string|null  $afterDone  an ISO 8601 duration, where it comes back so long after it was done
     * @param  list<string>  $links  further addresses
     * @param  TaskStage|null  $stage  null: it comes into the inbox
     * @param  string|null  $area  its name
     * @param  array<string, mixed>|null  $own  the whole line, of our own format
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
        public ?array $own = null,
        public ?string $afterDone = null,
        public array $links = [],
        public ?TaskStage $stage = null,
        public ?Demand $demand = null,
        public ?string $area = null,
    ) {}

    /** False for what a file tells beside tasks: areas, hours, rules. */
    public function isTask(): bool
    {
        return ($this->own['is'] ?? 'task') === 'task';
    }

    /** @return array<string, mixed> as JSON can hold it */
    public function asJson(): array
    {
        return array_filter(array_map(static fn (mixed $value): mixed => match (true) {
            $value instanceof Importance, $value instanceof TaskStage, $value instanceof Demand => $value->value,
            $value instanceof CarbonImmutable => $value->toIso8601String(),
            default => $value,
        }, get_object_vars($this)), static fn (mixed $value): bool => $value !== null && $value !== [] && $value !== false);
    }

    /** @param  array<string, mixed>  $json  of asJson */
    public static function fromJson(array $json): self
    {
        foreach (['dueAt', 'start', 'caughtAt'] as $moment) {
            isset($json[$moment]) && $json[$moment] = CarbonImmutable::parse($json[$moment])->utc();
        }
        isset($json['stage']) && $json['stage'] = TaskStage::from($json['stage']);
        isset($json['demand']) && $json['demand'] = Demand::from($json['demand']);
        isset($json['importance']) && $json['importance'] = Importance::from($json['importance']);

        return new self(...$json);
    }
}
