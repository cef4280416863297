<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\Room;
use Nekto\Core\Planning\Mending\Draft;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** Free time and the use of days, changed together. */
final class RoomTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function what_is_given_back_leaves_the_room_as_it_was(): void
    {
        $taken = 0;
        $this->limitTo(Runs::of(120))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed) use (&$taken): void {
            $of = self::compiled($seed);
            $room = new Room($of);
            $lies = [];
            for ($i = 0; $i < 25; $i++) {
                [$task, $start, $end] = self::some($of);
                if ($room->accepts($task, $start, $end)) {
                    $room->takeFor($task, $start, $end);
                    $lies[] = [$task, $start, $end];
                    self::assertFalse($room->accepts($task, $start, $end), 'it is taken');
                }
            }
            self::assertSame($lies === [], self::seen($of, $room) === self::seen($of, new Room($of)));
            shuffle($lies);
            foreach ($lies as $one) {
                $room->giveBack(...$one);
                self::assertTrue($room->accepts(...$one));
            }
            self::assertSame(self::seen($of, new Room($of)), self::seen($of, $room));
            $taken += count($lies);
        });
        self::assertGreaterThan(200, $taken, 'the property was looked at');
    }

    #[Test]
    public function no_day_takes_more_than_its_limits(): void
    {
        $this->limitTo(Runs::of(80))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $of = self::compiled($seed);
            $room = new Room($of);
            $used = $deep = [];
            for ($i = 0; $i < 40; $i++) {
                [$task, $start, $end] = self::some($of);
                if ($room->accepts($task, $start, $end)) {
                    $room->takeFor($task, $start, $end);
                    $day = intdiv($start, 1440);
                    $used[$day] = ($used[$day] ?? 0) + $end - $start;
                    $deep[$day] = ($deep[$day] ?? 0) + ($of->deep[$task] ? $end - $start : 0);
                }
            }
            foreach ($used as $day => $minutes) {
                self::assertLessThanOrEqual(240, $minutes);
                self::assertLessThanOrEqual(120, $deep[$day]);
            }
        });
    }

    #[Test]
    public function a_clone_goes_its_own_way(): void
    {
        $of = self::compiled(7);
        $room = new Room($of);
        do {
            [$task, $start, $end] = self::some($of);
        } while (! $room->accepts($task, $start, $end));
        $other = clone $room;
        $other->takeFor($task, $start, $end);

        self::assertTrue($room->accepts($task, $start, $end));
        self::assertFalse($room->isLike($other));
    }

    /** A draft that is taken apart again is as it was, however its blocks grew together meanwhile. */
    #[Test]
    public function a_draft_that_is_taken_apart_is_empty(): void
    {
        $this->limitTo(Runs::of(80))->forAll(Generators::choose(1, 1_000_000))->then(function (int $seed): void {
            $of = self::compiled($seed);
            $draft = new Draft($of);
            for ($i = 0; $i < 30; $i++) {
                [$task, $start, $end] = self::some($of);
                $draft->room->accepts($task, $start, $end) && $draft->lay($task, $start, $end);
            }
            foreach ($draft->blocks as $task => $blocks) {
                foreach ($blocks as $i => [$start, $end]) {
                    self::assertSame($end - $start, $draft->run($task, $start, $end));
                    self::assertTrue($i === 0 || $blocks[$i - 1][1] < $start, 'blocks of one task lie apart, by time');
                }
                foreach ($blocks as [$start, $end]) {
                    $middle = $start + 5 * intdiv($end - $start, 10);
                    $middle > $start && $draft->take($task, $start, $middle);
                    $draft->take($task, max($start, $middle), $end);
                }
                self::assertSame([], $draft->blocks[$task]);
            }
            self::assertSame(self::seen($of, new Room($of)), self::seen($of, $draft->room));
        });
    }

    /** @return list<array{int, int, int, int, int}> by lane and window with time in it: where it lies and what its day has room for, light and deep */
    private static function seen(Compiled $of, Room $room): array
    {
        $seen = [];
        foreach ($room->free->starts as $lane => $starts) {
            foreach ($starts as $i => $start) {
                $day = $room->free->days[$lane][$i];
                $room->free->ends[$lane][$i] > $start && $seen[] = [$lane, $start, $room->free->ends[$lane][$i], $room->use->room($lane, $day, false), $room->use->room($lane, $day, true)];
            }
        }

        return $seen;
    }

    private static function compiled(int $seed): Compiled
    {
        $problem = RandomProblem::of($seed)->with(dayLimit: new DayLimit(240), deepLimit: new DayLimit(120));

        return new Compiled($problem, new FreeTime($problem));
    }

    /** @return array{int, int, int} a task and some time on the grid, whether free or not */
    private static function some(Compiled $of): array
    {
        $start = $of->problem->first + 5 * mt_rand(0, intdiv($of->problem->end - $of->problem->first, 5) - 20);

        return [mt_rand(0, count($of->ids) - 1), $start, $start + 5 * mt_rand(1, 18)];
    }
}
