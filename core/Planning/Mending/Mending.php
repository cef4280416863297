<?php

declare(strict_types=1);

namespace Nekto\Core\Planning\Mending;

use Nekto\Core\Planning\Layout\Compiled;

/**
 * Repairs what broke of a plan with the least change. Whatever may stay stays to the minute. What lost its place goes into
 * free time or takes the place of a task that can go elsewhere: none, one, two, three tasks may move in turn, until nothing
 * fares worse than it must (iterative deepening; R. E. Korf, "Depth-first iterative-deepening", Artificial Intelligence 27,
 * 1985). Where no number is enough, what fares worse in the best of each is laid anew once more (ejection chains; F. Glover,
 * "Ejection chains, reference structures and alternating path methods", Discrete Applied Mathematics 65, 1996), and a task
 * that moves must save PRICE. Effort is counted in drafts, not in time: the same problem always gives the same answer.
 */
final class Mending
{
    /** What one more moved task must save: 480 weighted minutes of lateness, in twentieths. */
    private const PRICE = 20 * 480;

    /** Drafts that are looked at, by the number of tasks that may be pushed. */
    private const DRAFTS = [60, 160, 260, 260];

    /** Of the drafts that are left a way may take all but one in so many: else the first would use up what the others could find sooner. */
    private const SHARE = 4;

    /** After an answer as good as can be, so many more are looked at for one with fewer moved minutes. */
    private const MORE = 48;

    /** Drafts for laying anew what fares worse: of all such tasks, and of one. */
    private const AGAIN = 1600;

    private const AGAIN_OF_ONE = 150;

    /** What it takes to try groups of blocks, in drafts. */
    private const OF_GROUPS = 100;

    /** Where more tasks than this are loose, all of that goes to the best answer. */
    private const MANY = 3;

    /** Drafts that may still be looked at. */
    private int $left = 0;

    /** True once nothing can be less late. */
    private bool $isEnough = false;

    private ?Draft $best = null;

    /** What the search must be better than; null: anything is better than nothing. */
    private ?Draft $former = null;

    /**
     * @param  list<int>  $order  by urgency, predecessors first
     * @param  int  $least  what fares worse in any case, in twentieths of a weighted minute
     */
    public function __construct(private readonly Ways $ways, private readonly array $order, private readonly Compiled $of, private readonly int $least) {}

    /**
     * The draft with a place for everything loose that can have one.
     *
     * @param  bool  $again  what fares worse is laid once more where no number of pushed tasks is enough
     */
    public function mended(Draft $broken, bool $again = true): Draft
    {
        return $broken->loose === [] ? $broken : $this->ways->drawnForward($this->best($broken, $again));
    }

    private function best(Draft $broken, bool $again): Draft
    {
        $found = $this->intoFree($broken);
        $starts = [self::name($found) => $found];
        foreach (self::DRAFTS as $pushes => $drafts) {
            if ($found->worse <= $this->least && count($found->pushed) < $pushes) {
                return $found;
            }
            $this->search($broken, $pushes, $drafts);
            if ($this->best !== null) {
                $starts[self::name($this->best)] = $this->best;
                $found = $this->isBetter($this->best, $found) ? $this->best : $found;
            }
        }

        if ($found->worse <= $this->least || ! $again) {
            return $found;
        }

        return $this->laidAgain(count($broken->loose) > self::MANY ? [$found] : array_reverse($starts), $found);
    }

    private static function name(Draft $draft): string
    {
        return "{$draft->worse} {$draft->minutes}";
    }

    private function isBetter(Draft $a, Draft $b): bool
    {
        $key = fn (Draft $draft): array => [$draft->worse > $this->least, self::price($draft), $draft->minutes];

        return $key($a) < $key($b) || ($key($a) === $key($b) && $a->isBetterThan($b));
    }

    /** What fares worse, and what moved, in one figure. */
    public static function price(Draft $draft): int
    {
        return $draft->worse + self::PRICE * count($draft->pushed);
    }

    /** Everything loose in the best free time there is for it, one task after another: there is always such an answer. */
    private function intoFree(Draft $draft): Draft
    {
        while (($task = $this->next($draft)) !== null) {
            $best = null;
            foreach ($this->ways->free($draft, $task) as $way) {
                $best = $best === null || [$way->worse, $way->minutes, $way->ends] < [$best->worse, $best->minutes, $best->ends] ? $way : $best;
                if ($best->worse === $draft->worse) {
                    break;
                }
            }
            $draft = $best ?? $this->ways->givenUp($draft, $task);
        }

        return $draft;
    }

    /** @param  Draft|null  $former  only what is better than that is looked for */
    private function search(Draft $draft, int $pushes, int $drafts, ?Draft $former = null): void
    {
        $this->left = $drafts;
        $this->isEnough = false;
        $this->best = null;
        $this->former = $former;
        $this->goOn($draft, $pushes, 0);
    }

    /** @param  int  $spare  drafts that are left to others: no way takes more than a share of what there is */
    private function goOn(Draft $draft, int $pushes, int $spare): void
    {
        $task = $this->next($draft);
        if ($task === null) {
            $this->best = $draft;
            $this->isEnough = $draft->worse <= $this->least;
            $this->left = $this->isEnough ? min($this->left, self::MORE) : $this->left;

            return;
        }
        foreach ($this->waysFor($draft, $task, $pushes - count($draft->pushed)) as $way) {
            if ($this->left-- <= ($this->isEnough ? 0 : $spare)) {
                return;
            }
            if (count($way->pushed) <= $pushes && $this->isPromising($way)) {
                $this->goOn($way, $pushes, $spare + intdiv($this->left - $spare, self::SHARE));
            }
        }
    }

    private function isPromising(Draft $way): bool
    {
        if ($this->best === null) {
            return $this->former === null || $way->worse < $this->former->worse;
        }

        return $way->isBetterThan($this->best);
    }

    /**
     * Nothing is pushed for a task that finds free time in time.
     *
     * @return iterable<Draft>
     */
    private function waysFor(Draft $draft, int $task, int $pushes): iterable
    {
        $inTime = false;
        $worse = [];
        foreach ($this->ways->free($draft, $task) as $way) {
            if ($way->worse === $draft->worse && count($way->pushed) === count($draft->pushed)) {
                $inTime = true;
                yield $way;
            } elseif ($inTime) {
                return;
            } else {
                $worse[] = $way;
            }
        }
        yield from $this->ways->ontoOthers($draft, $task, $pushes);
        yield from $worse;
    }

    /** @param  array<Draft>  $starts */
    private function laidAgain(array $starts, Draft $found): Draft
    {
        foreach ($starts as $start) {
            $effort = intdiv(self::AGAIN, count($starts));
            while ($start !== null && $start->worse > $this->least && $effort > 0) {
                $start = $this->withOneLaidAgain($start, $effort);
                $found = $start !== null && $this->isBetter($start, $found) ? $start : $found;
            }
        }

        return $found;
    }

    /** Better by one task that fares worse, the worst first, laid anew; null if that is none. */
    private function withOneLaidAgain(Draft $draft, int &$effort): ?Draft
    {
        $worse = array_filter($draft->fares);
        arsort($worse);
        foreach ([1, 2] as $more) {
            foreach (array_keys($worse) as $task) {
                $drafts = min($effort, self::AGAIN_OF_ONE);
                $this->search($this->ways->opened($draft, $task), count($draft->pushed) + $more, $drafts, $draft);
                $effort -= $drafts - max(0, $this->left);
                if ($this->best === null || ! $this->isBetter($this->best, $draft)) {
                    $this->best = $this->ontoGroup($this->ways->opened($draft, $task), $task);
                    $effort -= self::OF_GROUPS;
                }
                if ($this->best !== null && $this->isBetter($this->best, $draft)) {
                    return $this->best;
                }
                if ($effort <= 0) {
                    return null;
                }
            }
        }

        return null;
    }

    private function ontoGroup(Draft $draft, int $task): ?Draft
    {
        $best = null;
        foreach ($this->ways->ontoGroups($draft, $task) as $way) {
            $way = $this->ways->withoutNeedless($this->intoFree($way));
            $best = $best === null || $this->isBetter($way, $best) ? $way : $best;
        }

        return $best;
    }

    /** The most urgent task that looks for a place and waits for no other one that does. */
    private function next(Draft $draft): ?int
    {
        if ($draft->loose !== []) {
            foreach ($this->order as $task) {
                if (isset($draft->loose[$task]) && array_intersect_key($draft->loose, $this->of->allPredecessors[$task]) === []) {
                    return $task;
                }
            }
        }

        return null;
    }
}
