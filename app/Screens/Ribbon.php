<?php

declare(strict_types=1);

namespace App\Screens;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Occurrence;
use App\Planning\RowMapper;
use App\Planning\WorkTime;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;

/** Today as a tape: everything in thousandths of its width. */
final readonly class Ribbon
{
    /** The width it is designed for, to decide where a label goes. */
    private const WIDTH = 1152;

    private const LETTER = 6.3;

    /** A day without hours shows these, by the wall clock. */
    private const DEFAULT_FROM = 540;

    private const DEFAULT_TO = 1050;

    private const SHORTEST = 240;

    /**
     * @param  list<array<string, mixed>>  $pieces  kind, left, width, label, name, href, hue, state, deep, fits ('in', 'beside' or '')
     * @param  list<array{float, float}>  $open  left and width of solid line
     * @param  list<array{float, bool}>  $ticks  left, and true at the full hour
     * @param  list<array{float, float}>  $gaps  left and width of buffers
     */
    private function __construct(
        public string $from,
        public string $to,
        public array $pieces,
        public array $open,
        public array $ticks,
        public array $gaps,
        public ?float $lunch,
        public ?float $nowAt,
        public string $nowLabel,
        public bool $nowLeft,
    ) {}

    /** @param  Collection<int, Block>  $blocks  of the day, with tasks and areas, by start */
    public static function of(WorkTime $time, Collection $blocks, CarbonImmutable $now): self
    {
        $span = self::span($time);
        $place = static fn (int $minute): float => round(1000 * (min($span->end, max($span->start, $minute)) - $span->start) / $span->length(), 2);
        $stretch = static fn (Interval $interval): array => [$place($interval->start), $place($interval->end) - $place($interval->start)];
        $hours = IntervalSet::empty();
        foreach ($time->hours as $set) {
            $hours = $hours->union($set);
        }
        $gaps = [];
        foreach ($time->occurrences as $occurrence) {
            if (RowMapper::blocks($occurrence) && ! $occurrence->all_day) {
                $meeting = RowMapper::time($occurrence);
                foreach (IntervalSet::covering(RowMapper::withBuffers($occurrence, $time->user))->without(IntervalSet::covering($meeting))->intervals as $gap) {
                    $gaps[] = $stretch($gap);
                }
            }
        }
        $minute = RowMapper::minute($now);
        $lunch = $time->lunch->between($span->start, $span->end)->intervals[0] ?? null;
        $pieces = self::pieces($time, $blocks, $span, $place);
        $next = collect($pieces)->first(static fn (array $piece): bool => $piece['start'] > $minute);

        return new self(
            Times::clock($time->user, $span->start),
            Times::clock($time->user, $span->end),
            $pieces,
            array_map($stretch, $hours->between($span->start, $span->end)->intervals),
            self::ticks($span, $place),
            $gaps,
            $lunch === null ? null : $place(intdiv($lunch->start + $lunch->end, 2)),
            $minute >= $span->start && $minute <= $span->end ? $place($minute) : null,
            Times::clock($time->user, $minute),
            $next !== null && ($next['left'] - $place($minute)) * self::WIDTH / 1000 < 44,
        );
    }

    private static function span(WorkTime $time): Interval
    {
        $edges = [];
        foreach ($time->hours as $set) {
            foreach ($set->intervals as $interval) {
                array_push($edges, $interval->start, $interval->end);
            }
        }
        if ($edges === []) {
            return new Interval($time->zone->at($time->first, self::DEFAULT_FROM), $time->zone->at($time->first, self::DEFAULT_TO));
        }

        return new Interval(min($edges), max(max($edges), min($edges) + self::SHORTEST));
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @param  \Closure(int): float  $place
     * @return list<array<string, mixed>>
     */
    private static function pieces(WorkTime $time, Collection $blocks, Interval $span, \Closure $place): array
    {
        $pieces = [];
        foreach ($time->occurrences as $occurrence) {
            if (! $occurrence->all_day && RowMapper::blocks($occurrence)) {
                $pieces[] = ['kind' => 'meeting', 'id' => $occurrence->id, 'row' => $occurrence, 'label' => $occurrence->summary, 'hue' => null, 'state' => '', 'anchored' => false, 'deep' => false];
            }
        }
        foreach ($blocks as $block) {
            if ($block->state !== BlockState::Passed) {
                $pieces[] = [
                    'kind' => 'block', 'id' => $block->id, 'row' => $block, 'label' => $block->task->shortTitle(), 'hue' => $block->task->area->hue,
                    'state' => $block->state->value, 'anchored' => $block->anchored, 'deep' => $block->task->demand === Demand::Deep,
                ];
            }
        }
        $pieces = array_values(array_filter($pieces, static fn (array $piece): bool => RowMapper::time($piece['row'])->overlaps($span)));
        usort($pieces, static fn (array $a, array $b): int => $a['row']->starts_at <=> $b['row']->starts_at);
        foreach ($pieces as $i => $piece) {
            $interval = RowMapper::time($piece['row']);
            $left = $place($interval->start);
            $width = $place($interval->end) - $left;
            $next = isset($pieces[$i + 1]) ? $place(RowMapper::minute($pieces[$i + 1]['row']->starts_at)) : 1000.0;
            $pieces[$i] = [
                ...array_diff_key($piece, ['row' => true]),
                'start' => $interval->start,
                'left' => $left,
                'width' => $width,
                'name' => $piece['label'].', '.Times::range($time->user, $interval->start, $interval->end),
                'fits' => self::fits($piece['label'], $width, $next - $left - $width, $piece['anchored']),
            ];
        }

        return $pieces;
    }

    private static function fits(string $label, float $width, float $free, bool $anchored): string
    {
        $needed = mb_strlen($label) * self::LETTER + 12 + ($anchored ? 20 : 0);

        return match (true) {
            $needed <= $width * self::WIDTH / 1000 => 'in',
            $needed <= $free * self::WIDTH / 1000 => 'beside',
            default => '',
        };
    }

    /**
     * @param  \Closure(int): float  $place
     * @return list<array{float, bool}>
     */
    private static function ticks(Interval $span, \Closure $place): array
    {
        $ticks = [];
        for ($at = $span->start + (30 - $span->start % 30) % 30; $at <= $span->end; $at += 30) {
            $ticks[] = [$place($at), $at % 60 === 0];
        }

        return $ticks;
    }
}
