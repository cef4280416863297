<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use App\Screens\Weigh\Axis;
use App\Screens\Weigh\Field;
use App\Time\Clock;
use App\Time\Moments;
use Nekto\Core\Pressure\Answer;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\DueWork;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Pressure\Supply;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\LocalDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Test;

/** Where marks lie, and what the square answers. */
final class AxisTest extends FeatureTestCase
{
    #[Test]
    #[DataProvider('todays')]
    public function later_due_dates_lie_further_right_on_every_day_of_the_week(string $today): void
    {
        $this->at("{$today} 09:00");
        [$axis, $time] = $this->axis();
        $first = LocalDay::fromString($today)->number;
        $last = -1.0;
        for ($day = $first - 9; $day < $first + 100; $day++) {
            foreach ([600, 1020] as $minute) {
                $place = $axis->place($time->zone->at(new LocalDay($day), $minute));
                self::assertGreaterThanOrEqual($last, $place, LocalDay::fromString($today)->asString()." +{$day}");
                self::assertLessThan($axis->place(null), $place);
                $last = $place;
            }
        }
    }

    /** @return list<array{string}> a week, and weeks of both changes of the clock */
    public static function todays(): array
    {
        return [['2026-03-09'], ['2026-03-11'], ['2026-03-13'], ['2026-03-14'], ['2026-03-15'], ['2026-03-28'], ['2026-10-24'], ['2026-12-31']];
    }

    #[Test]
    public function the_parts_fill_the_width_also_when_one_is_looked_at_closely(): void
    {
        foreach ([null, 'late', 'today', 'week', 'fortnight', 'later', 'none'] as $zoom) {
            [$axis] = $this->axis($zoom);
            $at = 0.0;
            foreach ($axis->parts as $name => $part) {
                self::assertEqualsWithDelta($at, $part['from'], 1e-9);
                self::assertGreaterThanOrEqual($part['from'], $part['to']);
                $at = $part['to'];
                if ($name === $zoom) {
                    self::assertEqualsWithDelta(0.72, $part['to'] - $part['from'], 1e-9);
                }
            }
            self::assertEqualsWithDelta(1.0, $at, 1e-9);
        }
    }

    #[Test]
    public function a_place_of_the_field_and_the_moment_drawn_there_belong_together(): void
    {
        [$axis, $time] = $this->axis();
        foreach (['2026-03-11 12:00', '2026-03-13 15:00', '2026-03-20 09:30', '2026-04-10 17:00'] as $text) {
            $due = Moments::minute($this->utc($text));
            self::assertEqualsWithDelta($due, (int) $axis->dueAt($axis->place($due)), 61, $text);
        }
        self::assertNull($axis->dueAt(0.95));
        self::assertSame('Europe/Lisbon', $time->user->zone);
    }

    #[Test]
    public function lines_of_equal_pull_rise_where_pressure_falls(): void
    {
        [$axis, $time] = $this->axis();
        $set = $this->ines->hoursSets()->firstOrFail()->id;
        $now = Moments::minute(Clock::now());
        $curve = new DemandCurve([new DueWork(Moments::minute($this->utc('2026-03-13 17:00')), 1400)], new Supply($time->open($set), $now, $time->zone));
        $line = (new Field($axis, $curve))->lines()[3]; // pull 40
        preg_match_all('/[ML]([\d.]+) (-?[\d.]+)/', $line->line, $points, PREG_SET_ORDER);
        $height = static function (float $x) use ($points): float {
            foreach ($points as $point) {
                if ((float) $point[1] >= $x * Field::WIDTH) {
                    return (float) $point[2];
                }
            }

            return 0.0;
        };

        self::assertSame(40, $line->level);
        self::assertGreaterThan($height(0.02), $height(0.33), 'near the crunch less importance is enough');
        self::assertGreaterThan($height(0.85), $height(0.33));
    }

    #[Test]
    #[DataProvider('squares')]
    public function the_square_answers(?Importance $importance, ?int $pressure, Push $push, ?Answer $answer): void
    {
        self::assertSame($answer, Answer::of($importance, $pressure, $push));
    }

    /** @return array<string, array{Importance|null, int|null, Push, Answer|null}> */
    public static function squares(): array
    {
        return [
            'not weighed' => [null, 90, Push::None, null],
            'vital and pressing' => [Importance::Vital, 70, Push::None, Answer::DoNow],
            'vital with time' => [Importance::Vital, 69, Push::None, Answer::MakeTime],
            'high without a date' => [Importance::High, null, Push::None, Answer::MakeTime],
            'high and pushed' => [Importance::High, null, Push::Urgent, Answer::DoNow],
            'high, pressing, held back' => [Importance::High, 120, Push::HoldBack, Answer::MakeTime],
            'medium and pressing' => [Importance::Medium, 80, Push::None, Answer::HandOff],
            'medium with time' => [Importance::Medium, 10, Push::None, Answer::MakeTime],
            'low and pressing' => [Importance::Low, 150, Push::None, Answer::HandOff],
            'low with time' => [Importance::Low, null, Push::None, Answer::LetGo],
        ];
    }

    /** @return array{Axis, WorkTime} */
    private function axis(?string $zoom = null): array
    {
        $today = Moments::today($this->ines, Clock::now());
        $time = (new WorkTimeLoader)->load($this->ines, $today, 92);

        return [Axis::of($today, $time, $zoom), $time];
    }
}
