<?php

declare(strict_types=1);

namespace App\Screens\Goals;

use App\Models\Goal;

/** A goal with its measure, its steps week by week, and its work against the time that is left. */
final readonly class GoalRow
{
    /**
     * @param  float  $value  where the measure stands; of a weekly one, this week
     * @param  float  $pace  where an even pace would need it now
     * @param  string  $by  its date, as it is said
     * @param  array<int, list<StepRow>>  $weeks  steps by the number of the week
     * @param  array<int, float>  $ends  where the measure stood at the end of each week that is over
     * @param  int|null  $chance  %; null where it is not known
     * @param  list<string>  $notes  what there is to say, the first as a warning if it is short
     * @param  bool  $isOver  its date has passed
     */
    public function __construct(
        public Goal $goal,
        public float $value,
        public float $pace,
        public string $by,
        public array $weeks,
        public array $ends,
        public int $kept,
        public int $judged,
        public GoalVessel $vessel,
        public ?int $chance,
        public array $notes,
        public bool $isOver,
    ) {}

    /** A figure of a measure: whole ones without a point. */
    public static function figure(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ' '), '0'), '.');
    }

    /** @return list<float> figures at the staff, from 0 to the target */
    public function marks(): array
    {
        $step = 1.0;
        foreach ([0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000] as $one) {
            if ($this->goal->target / $one <= 6.001) {
                $step = (float) $one;

                break;
            }
            $step = max($this->goal->target / 5, 1.0);
        }
        $marks = [];
        for ($i = 0; $i * $step <= $this->goal->target * 1.0001 && $i <= 12; $i++) {
            $marks[] = round($i * $step, 4);
        }

        return $marks;
    }

    /** A place on the staff, from 0 at the foot to 1000 at the target; what is beyond is drawn at the rim. */
    public function place(float $value): float
    {
        return round(1000 * max(0.0, min(1.0, $value / $this->goal->target)), 1);
    }
}
