<?php

declare(strict_types=1);

namespace App\Rows;

use Illuminate\Support\Collection;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\JointSupply;

/** A person's open tasks as they are weighed: each with its pressure and pull, and the due work of each set of hours. */
final class OpenTasks
{
    /** @var Collection<int, Candidate>|null */
    private ?Collection $all = null;

    /** @var array<int, Candidate> those that were asked for one by one */
    private array $ones = [];

    /**
     * @param  array<int, \stdClass>  $rows  by task id, the oldest first
     * @param  array<int, DemandCurve>  $curves  by set of hours
     * @param  \Closure(\stdClass): Candidate  $weigh
     * @param  \Closure(list<int>): JointSupply  $together  what some sets of hours allow together
     * @param  \Closure(int): DemandCurve  $without  the curve of a set of hours in which nothing is due
     */
    public function __construct(private readonly array $rows, public readonly array $curves, private readonly \Closure $weigh, public readonly \Closure $together, private readonly \Closure $without) {}

    /** The due work of any set of hours, also of one in which nothing is due. */
    public function curve(int $set): DemandCurve
    {
        return $this->curves[$set] ?? ($this->without)($set);
    }

    /** @return Collection<int, Candidate> by task id, the oldest first */
    public function all(): Collection
    {
        return $this->all ??= new Collection(array_map($this->weigh, $this->rows));
    }

    /** Null if it is none of them. */
    public function one(int $task): ?Candidate
    {
        return isset($this->rows[$task]) ? $this->all[$task] ?? $this->ones[$task] ??= ($this->weigh)($this->rows[$task]) : null;
    }

    /** @return Collection<int, Candidate> */
    public function weighed(): Collection
    {
        return $this->all()->filter(static fn (Candidate $one): bool => $one->importance !== null);
    }

    /** @return Collection<int, Candidate> */
    public function unweighed(): Collection
    {
        return $this->all()->filter(static fn (Candidate $one): bool => $one->importance === null);
    }
}
