<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

use Nekto\Core\Task\Importance;

/** One number from 0 to 100 that ranks tasks, with its parts: they add up to it unless it is cut off at either end. */
final readonly class Pull
{
    /** Pressure counts up to this much, reached at 120 %. */
    private const MOST_PRESSURE = 40;

    private const FULL_PRESSURE = 120;

    private const PUSH = 10;

    /** Of equals the step of a goal comes first. */
    public const STEP = 6;

    /** Age counts up to this much, a point for every three days. */
    private const MOST_AGE = 10;

    private const DAYS_A_POINT = 3;

    private function __construct(
        public int $importance,
        public int $pressure,
        public int $push,
        public int $age,
        public int $step,
    ) {}

    /**
     * @param  int|null  $pressure  %, null without a due date
     * @param  int  $days  since the task was caught
     * @param  bool  $isStep  it moves a goal, and its week has come
     */
    public static function of(?Importance $importance, ?int $pressure, Push $push = Push::None, int $days = 0, bool $isStep = false): self
    {
        return new self(
            self::ofImportance($importance),
            (int) round(self::ofPressure($pressure ?? 0)),
            self::PUSH * $push->value,
            min(self::MOST_AGE, intdiv(max(0, $days), self::DAYS_A_POINT)),
            $isStep ? self::STEP : 0,
        );
    }

    /** What importance adds. */
    public static function ofImportance(?Importance $importance): int
    {
        return match ($importance) {
            null => 0,
            Importance::Low => 5,
            Importance::Medium => 12,
            Importance::High => 24,
            Importance::Vital => 40,
        };
    }

    /** What pressure adds, before it is rounded. */
    public static function ofPressure(int $percent): float
    {
        return self::MOST_PRESSURE * min(self::FULL_PRESSURE, max(0, $percent)) / self::FULL_PRESSURE;
    }

    public function total(): int
    {
        return max(0, min(100, $this->importance + $this->pressure + $this->push + $this->age + $this->step));
    }
}
