<?php

declare(strict_types=1);

namespace App\Rows;

use Illuminate\Support\Collection;
use Nekto\Core\Pressure\DueDemand;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Task\Importance;

/** What was computed about an open task, without its text. */
final readonly class Candidate
{
    /**
     * @param  int  $id  the task's
     * @param  Importance|null  $importance  null while unweighed
     * @param  int|null  $left  minutes of work left, 0 past the estimate; null without one
     * @param  int  $toPlan  minutes to be laid out: a step where it is past its estimate, 0 without one
     * @param  int  $carried  how often it was carried over
     * @param  int|null  $due  minutes since 1970-01-01T00:00Z
     * @param  bool  $isNext  nothing of its project must be done before it
     * @param  int  $set  of hours it is done in
     */
    public function __construct(
        public int $id,
        public ?Importance $importance,
        public ?int $left,
        public int $toPlan,
        public int $carried,
        public ?int $due,
        public ?DueDemand $demand,
        public Pull $pull,
        public bool $isNext = true,
        public int $set = 0,
        public int $area = 0,
    ) {}

    /**
     * Those with the most pull first; of equal ones the older.
     *
     * @param  Collection<int, self>  $candidates
     * @return Collection<int, self>
     */
    public static function byPull(Collection $candidates): Collection
    {
        $rank = $candidates->map(static fn (self $one): int => -1_000_000_000 * $one->pull->total() + $one->id)->all();
        asort($rank);

        return (new Collection($rank))->map(static fn (int $place, int $key): self => $candidates[$key]);
    }

    /** %, null without a due date. */
    public function pressure(): ?int
    {
        return $this->demand?->pressure();
    }
}
