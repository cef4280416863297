<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Rows\Candidate;
use App\Rows\Desk;
use App\Time\Moments;
use App\Wording\Times;
use Illuminate\Support\Collection;
use Nekto\Core\Prospect\DuePoint;

/**
 * The first due date that no plan can meet, on the day that arises: how many minutes are missing, and what competes for
 * them. The figures are those of the date's room.
 */
final readonly class CrunchLine
{
    private const NAMED = 3;

    /**
     * @param  string  $due  as it is said
     * @param  list<array{task: int, title: string, minutes: string}>  $tasks  due by then, the longest first
     * @param  int  $more  of them
     */
    private function __construct(public DuePoint $point, public string $due, public array $tasks, public int $more) {}

    /**
     * Null where all that is due can be met.
     *
     * @param  Collection<int, Candidate>  $open  tasks by id
     */
    public static function of(Desk $desk, Collection $open): ?self
    {
        $now = Moments::minute($desk->now);
        $short = $open->filter(static fn (Candidate $one): bool => $one->due !== null && $one->due > $now && $one->demand !== null && $one->demand->room() < 0)->sortBy('due')->first();
        if ($short === null || $short->demand === null) {
            return null;
        }
        $competing = self::competing($short, $open);
        $named = $competing->take(self::NAMED);
        $rows = $desk->tasks([...$named->pluck('id')->all(), $short->id]);
        $tasks = array_values($named->map(static fn (Candidate $one): array => ['task' => $one->id, 'title' => $rows[$one->id]->shortTitle(), 'minutes' => Times::duration($one->toPlan)])->all());

        return new self(
            self::point($short, $open) ?? throw new \LogicException('It is due.'),
            Times::due($desk->user(), (int) $short->due, $rows[$short->id]->due_at !== null, $desk->now),
            $tasks,
            $competing->count() - count($tasks),
        );
    }

    /**
     * The due date of a task with all that competes for the time until then; null if it has none.
     *
     * @param  Collection<int, Candidate>  $open  tasks by id
     */
    public static function point(Candidate $one, Collection $open): ?DuePoint
    {
        return $one->due === null || $one->demand === null ? null : new DuePoint((string) $one->set, $one->due, $one->demand->demand, $one->demand->supply, array_values(self::competing($one, $open)->map(static fn (Candidate $other): string => (string) $other->id)->all()));
    }

    /**
     * @param  Collection<int, Candidate>  $open
     * @return Collection<int, Candidate> due by then in the same hours, the longest first
     */
    private static function competing(Candidate $short, Collection $open): Collection
    {
        return $open->filter(static fn (Candidate $one): bool => $one->set === $short->set && $one->due !== null && $one->due <= $short->due && $one->toPlan > 0)->sortByDesc('toPlan');
    }

    /** A duration that no line ends within. */
    public static function unbroken(int $minutes): string
    {
        return str_replace(' ', "\u{a0}", Times::duration($minutes));
    }
}
