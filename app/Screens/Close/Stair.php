<?php

declare(strict_types=1);

namespace App\Screens\Close;

use App\Rows\Account;
use App\Rows\AccountRow;
use App\Rows\Became;
use App\Wording\Times;

/** From what was promised to what was worked, step by step, to be drawn. All in pixels. */
final readonly class Stair
{
    public const WIDTH = 632;

    /** Where the scale begins and ends; labels stand beside the bars. */
    private const FROM = 150;

    private const TO = 490;

    private const TOP = 26;

    private const PITCH = 20;

    /** Most ticks on the scale. */
    private const TICKS = 7;

    /**
     * @param  list<array{kind: string, x: float, width: float, y: int, label: string, labelX: float, end: bool}>  $bars  end: the label ends there
     * @param  list<array{x: float, label: string}>  $ticks
     */
    private function __construct(public array $bars, public array $ticks, public float $promised, public float $actual, public int $foot) {}

    /** Null where nothing was promised or worked. */
    public static function of(Account $account): ?self
    {
        $sum = static fn (\Closure $of): int => array_sum(array_map($of, $account->rows));
        $stood = static fn (AccountRow $row): bool => $row->became === Became::Kept || $row->became === Became::Begun;
        $steps = array_filter([
            'away' => -$sum(static fn (AccountRow $row): int => $row->became === Became::Moved ? $row->promised : 0),
            'coming' => -$sum(static fn (AccountRow $row): int => $row->became === Became::ToCome ? $row->promised : 0),
            'less' => $sum(static fn (AccountRow $row): int => $stood($row) ? min(0, $row->difference()) : 0),
            'over' => $sum(static fn (AccountRow $row): int => $stood($row) ? max(0, $row->difference()) : 0),
            'added' => $sum(static fn (AccountRow $row): int => $row->became === Became::Added ? $row->actual : 0),
        ]);
        if ($steps === []) {
            return null;
        }
        $at = $account->promised();
        $ends = [$at, $account->actual()];
        foreach ($steps as $minutes) {
            $ends[] = $at += $minutes;
        }
        [$least, $most] = [min($ends), max($ends)];
        $scale = (self::TO - self::FROM) / max(30, $most - $least);
        $x = static fn (int $minutes): float => round(self::FROM + ($minutes - $least) * $scale, 1);
        $bars = [];
        $at = $account->promised();
        foreach ($steps as $kind => $minutes) {
            [$from, $to] = [min($at, $at + $minutes), max($at, $at + $minutes)];
            $bars[] = [
                'kind' => $kind, 'x' => $x($from), 'width' => max(1.0, round($x($to) - $x($from), 1)), 'y' => self::TOP + self::PITCH * count($bars),
                'label' => __("close.stair.{$kind}").' '.($minutes < 0 ? '−' : '+').Times::column(abs($minutes)), 'labelX' => $minutes < 0 ? $x($from) - 6 : $x($to) + 6, 'end' => $minutes < 0,
            ];
            $at += $minutes;
        }

        return new self($bars, self::ticks($least, $most, $x), $x($account->promised()), $x($account->actual()), self::TOP + self::PITCH * count($bars) + 12);
    }

    /** @return list<array{x: float, label: string}> */
    private static function ticks(int $least, int $most, \Closure $x): array
    {
        $step = 15;
        foreach ([15, 30, 60, 120, 240] as $step) {
            if (($most - $least) / $step <= self::TICKS) {
                break;
            }
        }
        $ticks = [];
        for ($minutes = (int) ceil($least / $step) * $step; $minutes <= $most; $minutes += $step) {
            $ticks[] = ['x' => $x($minutes), 'label' => Times::duration($minutes)];
        }

        return $ticks;
    }
}
