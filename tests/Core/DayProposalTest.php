<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Nekto\Core\Day\DayCandidate;
use Nekto\Core\Day\DayProposal;
use PHPUnit\Framework\Attributes\Test;
use PHPUnit\Framework\TestCase;

/** A day that fits: the most pull under the load line. */
final class DayProposalTest extends TestCase
{
    use TestTrait;

    #[Test]
    public function no_other_set_that_fits_has_more_pull(): void
    {
        $candidate = Generators::tuple(Generators::choose(1, 30), Generators::choose(1, 100), Generators::bool());
        $this->shrinkingTimeLimit(20)->limitTo(Runs::of(100))->forAll(Generators::vector(9, $candidate), Generators::choose(0, 60), Generators::choose(0, 40))->then(function (array $drawn, int $line, int $deep): void {
            $candidates = array_map(static fn (int $i, array $one): DayCandidate => new DayCandidate("t{$i}", 5 * $one[0], $one[1], $one[2]), array_keys($drawn), $drawn);
            $proposal = DayProposal::of($candidates, 5 * $line, 5 * $deep);

            self::assertLessThanOrEqual(5 * $line, $proposal->minutes);
            self::assertLessThanOrEqual(5 * $deep, $proposal->deepMinutes);
            self::assertSame(self::mostPull($candidates, 5 * $line, 5 * $deep), self::pull($candidates, $proposal->picks));
        });
    }

    #[Test]
    public function at_most_three_are_key_and_those_pull_most(): void
    {
        $candidates = array_map(static fn (int $i): DayCandidate => new DayCandidate("t{$i}", 30, 10 * $i), range(1, 6));

        self::assertSame(['t6', 't5', 't4'], DayProposal::of($candidates, 240, 240)->keys);

        $call = new DayCandidate('call', 15, 90, weight: 1);
        $vital = new DayCandidate('vital', 60, 84, weight: 8);
        self::assertSame(['vital', 'call'], DayProposal::of([$call, $vital], 240, 240)->keys, 'a short call does not make a day');
    }

    #[Test]
    public function what_was_picked_already_stays_before_anything_with_more_pull(): void
    {
        $proposal = DayProposal::of([new DayCandidate('mine', 60, 1, picked: true), new DayCandidate('strong', 60, 90), new DayCandidate('small', 30, 5)], 90, 240);

        self::assertSame(['small', 'mine'], $proposal->picks);
    }

    #[Test]
    public function long_ones_take_less_where_more_of_what_was_picked_fits_so_and_then_what_is_left(): void
    {
        $long = new DayCandidate('long', 120, 90, picked: true, least: 60);
        $small = static fn (string $id, bool $picked = true): DayCandidate => new DayCandidate($id, 30, 10, picked: $picked);
        $proposed = static fn (DayProposal $one): array => [$one->picks, $one->minutesOf, $one->minutes];

        self::assertSame([['long', 'a', 'b'], ['long' => 120, 'a' => 30, 'b' => 30], 180], $proposed(DayProposal::of([$long, $small('a'), $small('b')], 180, 240)));
        self::assertSame([['long', 'a', 'b'], ['long' => 90, 'a' => 30, 'b' => 30], 150], $proposed(DayProposal::of([$long, $small('a'), $small('b')], 150, 240)));
        self::assertSame([['long', 'a'], ['long' => 120, 'a' => 30], 150], $proposed(DayProposal::of([$long, $small('a'), $small('b', false)], 150, 240)), 'what nobody picked shortens nothing');
        self::assertSame([['a', 'b'], ['a' => 30, 'b' => 30], 60], $proposed(DayProposal::of([$long, $small('a'), $small('b')], 100, 240)), 'sixty would not fit beside them either');
    }

    #[Test]
    public function the_deep_limit_holds_for_what_long_ones_take_more(): void
    {
        $proposal = DayProposal::of([new DayCandidate('long', 120, 90, true, true, least: 60), new DayCandidate('deep', 30, 50, true, true), new DayCandidate('small', 30, 10, picked: true)], 200, 105);

        self::assertSame([['long' => 75, 'deep' => 30, 'small' => 30], 105], [$proposal->minutesOf, $proposal->deepMinutes]);
    }

    #[Test]
    public function what_does_not_fit_can_wait_and_says_how_long(): void
    {
        $proposal = DayProposal::of([
            new DayCandidate('now', 60, 90), new DayCandidate('no date', 60, 10), new DayCandidate('friday', 60, 20, waitsUntil: 5000), new DayCandidate('thursday', 60, 15, waitsUntil: 4000),
        ], 60, 240);

        self::assertSame([['thursday', 4000], ['friday', 5000], ['no date', null]], array_map(static fn (DayCandidate $one): array => [$one->id, $one->waitsUntil], $proposal->waiting));
    }

    #[Test]
    public function a_day_without_room_proposes_nothing(): void
    {
        $proposal = DayProposal::of([new DayCandidate('a', 5, 50)], -20, 0);

        self::assertSame([[], [], 0], [$proposal->picks, $proposal->keys, $proposal->minutes]);
    }

    /** @param  list<DayCandidate>  $candidates */
    private static function mostPull(array $candidates, int $line, int $deep): int
    {
        $most = 0;
        for ($set = 0; $set < 1 << count($candidates); $set++) {
            $chosen = array_filter($candidates, static fn (int $i): bool => ($set >> $i & 1) === 1, ARRAY_FILTER_USE_KEY);
            $minutes = array_sum(array_map(static fn (DayCandidate $one): int => $one->minutes, $chosen));
            $deepMinutes = array_sum(array_map(static fn (DayCandidate $one): int => $one->deep ? $one->minutes : 0, $chosen));
            if ($minutes <= $line && $deepMinutes <= $deep) {
                $most = max($most, array_sum(array_map(static fn (DayCandidate $one): int => $one->pull, $chosen)));
            }
        }

        return $most;
    }

    /**
     * @param  list<DayCandidate>  $candidates
     * @param  list<string>  $ids
     */
    private static function pull(array $candidates, array $ids): int
    {
        return array_sum(array_map(static fn (DayCandidate $one): int => in_array($one->id, $ids, true) ? $one->pull : 0, $candidates));
    }
}
