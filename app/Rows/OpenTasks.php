<?php

declare(strict_types=1);

namespace App\Rows;

use Illuminate\Support\Collection;
use Nekto\Core\Pressure\DemandCurve;

/** A person's open tasks as they are weighed: each with its pressure and pull, and the due work of each set of hours. */
final readonly class OpenTasks
{
    /**
     * @param  Collection<int, Candidate>  $all  by task id, the oldest first
     * @param  array<int, DemandCurve>  $curves  by set of hours
     */
    public function __construct(public Collection $all, public array $curves) {}

    /** @return Collection<int, Candidate> */
    public function weighed(): Collection
    {
        return $this->all->filter(static fn (Candidate $one): bool => $one->importance !== null);
    }

    /** @return Collection<int, Candidate> */
    public function unweighed(): Collection
    {
        return $this->all->filter(static fn (Candidate $one): bool => $one->importance === null);
    }
}
