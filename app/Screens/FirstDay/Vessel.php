<?php

declare(strict_types=1);

namespace App\Screens\FirstDay;

use App\Edits\FirstStep;

/** The day as it fills: each step of the first day draws its part of the gauge. */
final readonly class Vessel
{
    /** Pixels from the foot to the rim. */
    public const HEIGHT = 456;

    /** Pieces that are drawn; more are too thin to be told apart. */
    private const PIECES = 24;

    /**
     * @param  float  $scale  pixels a minute
     * @param  int  $meetings  minutes that they take
     * @param  int  $line  minutes the day can carry
     * @param  list<array{bottom: float, height: float, title: string, weight: int}>  $pieces  from the foot up
     */
    private function __construct(public int $number, public float $scale, public int $hours, public int $meetings, public int $open, public int $line, public array $pieces) {}

    /**
     * @param  array<string, string>  $states  of the steps
     * @param  list<array{title: string, minutes: int, weight: int}>  $lines  what was caught, the weightiest first once weighed
     */
    public static function of(array $states, int $hours, int $meetings, int $line, array $lines): self
    {
        $drawn = 0;
        foreach (FirstStep::cases() as $step) {
            ($states[$step->value] ?? '') === 'ahead' || $drawn = $step->number();
        }
        $hours = max(60, $hours);
        $scale = self::HEIGHT / $hours;
        $pieces = [];
        $at = 0;
        foreach (array_slice($lines, 0, self::PIECES) as $one) {
            if ($at + $one['minutes'] > $hours) {
                break;
            }
            $pieces[] = ['bottom' => round($at * $scale, 1), 'height' => round($one['minutes'] * $scale, 1), 'title' => $one['title'], 'weight' => $one['weight']];
            $at += $one['minutes'];
        }

        return new self($drawn, round($scale, 4), $hours, $meetings, max(0, $hours - $meetings), $line, $pieces);
    }
}
