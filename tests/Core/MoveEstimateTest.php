<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Planning\Layout\Compiled;
use Nekto\Core\Planning\Layout\FreeTime;
use Nekto\Core\Planning\Layout\Timetable;
use Nekto\Core\Planning\Order\MoveEstimate;
use Nekto\Core\Planning\Order\Sequence;
use Nekto\Core\Task\Importance;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** What a move is thought to gain, compared with laying it out. */
final class MoveEstimateTest extends TestCase
{
    use TestTrait;

    private const DUE = ['Mon 10:00', 'Mon 11:00', 'Mon 12:00', 'Mon 14:00', 'Tue 10:00'];

    #[Test]
    public function where_every_minute_is_of_use_the_estimate_is_exact(): void
    {
        $this->limitTo(Runs::of(150))->forAll(self::someTasks())->then(function (array $tasks): void {
            $now = self::sequence($tasks);
            $estimate = new MoveEstimate(self::compiled($tasks));
            $estimate->follow($now);
            foreach (array_keys($tasks) as $task) {
                $gains = $estimate->gains($task);
                foreach (array_keys($tasks) as $to) {
                    $gain = $now->cost() - self::sequence($tasks, self::moved($now->order, $task, $to))->cost();

                    self::assertSame(max(0, $gain), $gains[$to] ?? 0, "task {$task} to place {$to}");
                }
            }
        });
    }

    #[Test]
    public function a_move_that_was_taken_is_gone_on_from_as_if_it_were_laid(): void
    {
        $this->limitTo(Runs::of(150))->forAll(self::someTasks(), Generators::choose(0, 1000))->then(function (array $tasks, int $at): void {
            $task = $at % count($tasks);
            $to = intdiv($at, 7) % count($tasks);
            $estimate = new MoveEstimate(self::compiled($tasks));
            $estimate->follow(self::sequence($tasks));
            $estimate->take($task, $to);
            $laid = self::sequence($tasks, self::moved(array_keys($tasks), $task, $to));
            $fresh = new MoveEstimate(self::compiled($tasks));
            $fresh->follow($laid);

            self::assertSame($laid->order, $estimate->order);
            self::assertSame($laid->place, array_replace($laid->place, $estimate->place));
            foreach (array_keys($tasks) as $one) {
                self::assertSame($fresh->gains($one), $estimate->gains($one));
            }
        });
    }

    #[Test]
    public function what_must_come_first_goes_along(): void
    {
        $compiled = new Compiled($problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')
            ->task('mail', 60)->task('quotes', 60)->task('contract', 30, after: ['quotes'])->task('call', 15)->build(), new FreeTime($problem));
        $estimate = new MoveEstimate($compiled);
        $estimate->follow(new Sequence($compiled, new Timetable($compiled), [0, 1, 2, 3]));
        $estimate->take(2, 0);
        $earlier = $estimate->order;
        $estimate->follow(new Sequence($compiled, new Timetable($compiled), [0, 1, 2, 3]));
        $estimate->take(1, 3);

        self::assertSame([1, 2, 0, 3], $earlier);
        self::assertSame([0, 3, 1, 2], $estimate->order);
    }

    #[Test]
    public function work_in_other_hours_stands_in_nobodys_way(): void
    {
        $problem = ProblemBuilder::problem()->open('Mon 09:00', 'Mon 17:00')->open('Mon 18:00', 'Mon 20:00', 'Home')
            ->task('bills', 60, hours: 'Home')->task('essay', 60, Importance::High)->build();
        $compiled = new Compiled($problem, new FreeTime($problem));
        $estimate = new MoveEstimate($compiled);
        $estimate->follow(new Sequence($compiled, new Timetable($compiled), [0, 1]));

        self::assertSame([], $estimate->gains(1));
        self::assertSame([], $estimate->gains(0));
    }

    /**
     * Tasks as size in quarter hours, importance, and place in the list of due times.
     *
     * @return \Eris\Generator<list<array{int, int, int}>>
     */
    private static function someTasks(): \Eris\Generator
    {
        return Generators::bind(
            Generators::choose(2, 9),
            static fn (int $count): \Eris\Generator => Generators::vector($count, Generators::tuple(Generators::choose(1, 6), Generators::choose(1, 4), Generators::choose(0, 5))),
        );
    }

    /** @param  list<array{int, int, int}>  $tasks */
    private static function compiled(array $tasks): Compiled
    {
        $builder = ProblemBuilder::problem()->open('Mon 09:00', 'Tue 09:00');
        foreach ($tasks as $i => [$quarters, $importance, $due]) {
            $builder->task("t{$i}", 15 * $quarters, Importance::from($importance), self::DUE[$due] ?? null, least: 15, most: 120);
        }
        $problem = $builder->build();

        return new Compiled($problem, new FreeTime($problem));
    }

    /**
     * @param  list<array{int, int, int}>  $tasks
     * @param  list<int>|null  $order
     */
    private static function sequence(array $tasks, ?array $order = null): Sequence
    {
        $compiled = self::compiled($tasks);

        return new Sequence($compiled, new Timetable($compiled), $order ?? array_keys($tasks));
    }

    /**
     * @param  list<int>  $order
     * @return list<int>
     */
    private static function moved(array $order, int $task, int $to): array
    {
        array_splice($order, (int) array_search($task, $order, true), 1);
        array_splice($order, $to, 0, [$task]);

        return $order;
    }
}
