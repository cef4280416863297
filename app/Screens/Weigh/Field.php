<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Models\Task;
use App\Rows\Candidate;
use Illuminate\Support\Collection;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Task\Importance;

/** The field: marks by time left and importance, lines of equal pull. Lengths are shares of its width and height. */
final readonly class Field
{
    public const WIDTH = 850;

    public const HEIGHT = 552;

    private const LANES = 5;

    private const LANE_TOP = 0.12;

    /** Above the middle of the uppermost band the lines go on as if a band more brought so much. */
    private const BEYOND_VITAL = 12;

    private const LEVELS = [10, 20, 30, 40, 50, 60, 70, 80];

    private const SAMPLES = 96;

    /** @param  DemandCurve|null  $curve  of the set of hours most work is in */
    public function __construct(private Axis $axis, private ?DemandCurve $curve) {}

    /**
     * Marks with a lane within their band of importance in which their names do not run into each other; where a crowd
     * leaves no room, the name is left out.
     *
     * @param  Collection<int, Candidate>  $candidates
     * @param  Collection<int, Task>  $tasks
     * @return list<Mark>
     */
    public function marks(Collection $candidates, Collection $tasks): array
    {
        $sorted = $candidates->filter(static fn (Candidate $one): bool => $one->importance !== null)->sortByDesc(static fn (Candidate $one): int => $one->pull->total())->all();
        $lanes = $marks = [];
        foreach ($sorted as $id => $one) {
            $task = $tasks[$id] ?? null;
            if ($task === null || $one->importance === null) {
                continue;
            }
            $x = $this->axis->place($one->due);
            $width = self::markWidth($one->left) / self::WIDTH;
            $name = min(190, 6.1 * mb_strlen($task->shortTitle()) + 14) / self::WIDTH;
            $left = $x + $width + $name > 0.995;
            [$from, $to] = $left ? [$x - $name, $x + $width] : [$x, $x + $width + $name];
            [$lane, $named] = $this->lane($lanes[$one->importance->value] ?? [], $from, $to, $x, $width);
            $lanes[$one->importance->value][$lane][] = $named ? [$from, $to] : [$x, $x + $width];
            $marks[] = new Mark($one, $task, $x, (4 - $one->importance->value + self::LANE_TOP + (1 - 2 * self::LANE_TOP) * $lane / (self::LANES - 1)) / 4, $width, $named, $left);
        }
        usort($marks, static fn (Mark $a, Mark $b): int => [$a->x, $a->y] <=> [$b->x, $b->y]);

        return $marks;
    }

    /** In pixels of the design: as long as its estimate, within reason. */
    public static function markWidth(?int $minutes): float
    {
        return $minutes === null ? 8 : max(7.0, min(64.0, $minutes / 7.5));
    }

    /**
     * Lines that join places of equal pull, as smooth paths, the area of more pull closed upward.
     *
     * @return list<PullLine>
     */
    public function lines(): array
    {
        if ($this->curve === null) {
            return [];
        }
        $pressure = [];
        for ($i = 0; $i <= self::SAMPLES; $i++) {
            $due = $this->axis->dueAt(min(0.9999, $i / self::SAMPLES));
            $pressure[] = $due === null ? 0.0 : Pull::ofPressure($this->curve->at($due)->pressure());
        }
        $pressure = self::smooth($pressure);

        return array_map(fn (int $level): PullLine => $this->line($level, $pressure), self::LEVELS);
    }

    /** @param  list<float>  $pressure */
    private function line(int $level, array $pressure): PullLine
    {
        $points = [];
        $label = null;
        foreach ($pressure as $i => $part) {
            $x = $i / self::SAMPLES * self::WIDTH;
            $y = (1 - self::heightFor($level - $part)) * self::HEIGHT;
            $points[] = sprintf('%.1f %.1f', $x, $y);
            if ($label === null && $i > 0.3 * self::SAMPLES - 3 * $level / 20 && $y > 14 && $y < self::HEIGHT - 14) {
                $label = [round(100 * $x / self::WIDTH, 2), round(100 * $y / self::HEIGHT, 2)];
            }
        }
        $line = 'M'.implode('L', $points);

        return new PullLine($level, $line, $line.sprintf('L%d -2L0 -2Z', self::WIDTH), $label);
    }

    /** Share of the height, from the bottom, at which importance alone brings so much pull: each at the middle of its band. */
    private static function heightFor(float $pull): float
    {
        $below = 0;
        foreach ([...array_map(Pull::ofImportance(...), Importance::cases()), Pull::ofImportance(Importance::Vital) + self::BEYOND_VITAL] as $band => $points) {
            if ($pull <= $points) {
                return max(-0.02, ($band - 0.5 + ($pull - $below) / max(1, $points - $below)) / 4);
            }
            $below = $points;
        }

        return 1.02;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function smooth(array $values): array
    {
        for ($turn = 0; $turn < 5; $turn++) {
            $last = count($values) - 1;
            $values = array_map(static fn (float $value, int $i): float => ($values[max(0, $i - 1)] + 2 * $value + $values[min($last, $i + 1)]) / 4, $values, array_keys($values));
        }

        return $values;
    }

    /**
     * @param  array<int, list<array{float, float}>>  $taken  by lane
     * @return array{int, bool} the lane, and whether the name has room
     */
    private function lane(array $taken, float $from, float $to, float $x, float $width): array
    {
        $free = static function (int $lane, float $a, float $b) use ($taken): bool {
            foreach ($taken[$lane] ?? [] as [$start, $end]) {
                if ($a < $end + 0.004 && $start < $b + 0.004) {
                    return false;
                }
            }

            return true;
        };
        foreach ([2, 1, 3, 0, 4] as $lane) {
            if ($free($lane, $from, $to)) {
                return [$lane, true];
            }
        }
        foreach ([2, 1, 3, 0, 4] as $lane) {
            if ($free($lane, $x, $x + $width)) {
                return [$lane, false];
            }
        }

        return [(int) round(4 * fmod(abs(sin($x * 9973)), 1)), false];
    }
}
