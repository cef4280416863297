<?php

declare(strict_types=1);

namespace Nekto\Core\Pressure;

/**
 * The due work of one set of hours against what can be planned until then. Work is of two kinds: deep work has less time
 * than all work has. A due date holds only if every cut through days and kinds does (the demand theorem of D. Gale, "A
 * theorem on flows in networks", 1957): for deep work due by a date these are all pairs of a date up to it – light work
 * due by that one takes its time first – and the date itself. Of several cuts the one with the least room counts.
 */
final class DemandCurve
{
    /** @var list<int> different due moments, ascending */
    private array $dues = [];

    /** @var array<int, int> minutes of deep work due by the first n of them */
    private array $deepBy = [0];

    /** @var array<int, int> minutes of light work, likewise */
    private array $lightBy = [0];

    /** @var list<DueWork> that cannot begin at once */
    private readonly array $released;

    /** @var array<string, DueDemand> */
    private array $known = [];

    /**
     * @param  list<DueWork>  $work
     * @param  Supply|null  $deep  what of the supply may be deep; null: all
     */
    public function __construct(array $work, public readonly Supply $supply, private readonly ?Supply $deep = null)
    {
        usort($work, static fn (DueWork $a, DueWork $b): int => $a->due <=> $b->due);
        $last = -1;
        foreach ($work as $one) {
            if ($last < 0 || $this->dues[$last] !== $one->due) {
                $this->dues[] = $one->due;
                $this->deepBy[] = $this->deepBy[$last + 1];
                $this->lightBy[] = $this->lightBy[$last + 1];
                $last++;
            }
            $one->deep ? $this->deepBy[$last + 1] += $one->minutes : $this->lightBy[$last + 1] += $one->minutes;
        }
        $this->released = array_values(array_filter($work, static fn (DueWork $one): bool => $one->from !== null && $one->from > $supply->now));
    }

    /**
     * @param  bool  $deep  whether deep work is asked about, which has the deep limit beside the others
     * @param  int|null  $from  the earliest start of what is asked about
     */
    public function at(int $due, bool $deep = false, ?int $from = null): DueDemand
    {
        $key = $due.($deep ? 'd' : '');
        $found = $this->known[$key] ??= $this->tightest($due, $deep);
        if ($from === null || $from <= $this->supply->now) {
            return $found;
        }
        $minutes = 0;
        foreach ($this->released as $one) {
            $minutes += $one->due <= $due && $one->from >= $from && (! $deep || $one->deep) ? $one->minutes : 0;
        }

        return self::tighter($found, new DueDemand($minutes, ($deep ? $this->deep ?? $this->supply : $this->supply)->between($from, $due)));
    }

    /** @return list<array{int, int}> due moments, ascending, and the minutes of all work that is due by then */
    public function steps(): array
    {
        return array_map(fn (int $due, int $i): array => [$due, $this->deepBy[$i + 1] + $this->lightBy[$i + 1]], $this->dues, array_keys($this->dues));
    }

    private function tightest(int $due, bool $deep): DueDemand
    {
        $low = 0;
        $high = count($this->dues);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            $this->dues[$middle] <= $due ? $low = $middle + 1 : $high = $middle;
        }
        $found = new DueDemand($this->deepBy[$low] + $this->lightBy[$low], $this->supply->until($due));
        if (! $deep || $this->deep === null) {
            return $found;
        }
        $found = self::tighter($found, new DueDemand($this->deepBy[$low], $this->deep->until($due)));
        for ($i = 0; $i < $low; $i++) {
            if ($this->lightBy[$i + 1] > $this->lightBy[$i] && $this->dues[$i] < $due) {
                $found = self::tighter($found, new DueDemand($this->deepBy[$low] + $this->lightBy[$i + 1], $this->supply->until($this->dues[$i]) + $this->deep->between($this->dues[$i], $due)));
            }
        }

        return $found;
    }

    private static function tighter(DueDemand $one, DueDemand $other): DueDemand
    {
        return $other->room() < $one->room() ? $other : $one;
    }
}
