<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Occurrence;
use App\Rows\Lens;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Time\Moments;
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

    private const LETTER = 5.9;

    /** Half of the word "lunch", in thousandths. */
    private const LUNCH = 17;

    /** A day without hours shows these, by the wall clock. */
    private const DEFAULT_FROM = 540;

    private const DEFAULT_TO = 1050;

    private const SHORTEST = 240;

    /**
     * @param  list<RibbonPiece>  $pieces  by start
     * @param  array<int, array{float, float}>  $open  left and width of solid line
     * @param  array<int, array{float, bool}>  $ticks  left, and true at the full hour
     * @param  array<int, array{float, float}>  $gaps  left and width of buffers
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
    public static function of(WorkTime $time, Collection $blocks, CarbonImmutable $now, ?Lens $lens = null): self
    {
        $span = self::span($time);
        $place = static fn (int $minute): float => round(1000 * (min($span->end, max($span->start, $minute)) - $span->start) / $span->length(), 2);
        $stretch = static fn (Interval $interval): array => [$place($interval->start), $place($interval->end) - $place($interval->start)];
        $hours = IntervalSet::empty();
        foreach ($time->allHours() as $set) {
            $hours = $hours->union($set);
        }
        $gaps = [];
        foreach ($time->occurrences as $occurrence) {
            if ($occurrence->blocks() && ! $occurrence->all_day) {
                $meeting = RowMapper::time($occurrence);
                foreach (IntervalSet::covering(RowMapper::withBuffers($occurrence, $time->user))->without(IntervalSet::covering($meeting))->intervals as $gap) {
                    $gaps[] = $stretch($gap);
                }
            }
        }
        $minute = Moments::minute($now);
        $lunch = $time->lunch()->between($span->start, $span->end)->intervals[0] ?? null;
        $lunchAt = $lunch === null ? null : $place(intdiv($lunch->start + $lunch->end, 2));
        $pieces = self::pieces($time, $blocks, $span, $place, $lunchAt, $minute, $lens ?? Lens::none());
        $next = collect($pieces)->first(static fn (RibbonPiece $piece): bool => $piece->start > $minute);

        return new self(
            Times::hour($time->user, $span->start),
            Times::hour($time->user, $span->end),
            $pieces,
            array_map($stretch, $hours->between($span->start, $span->end)->intervals),
            self::ticks($span, $place),
            $gaps,
            $lunchAt,
            $minute >= $span->start && $minute <= $span->end ? $place($minute) : null,
            Times::brief($time->user, $minute),
            $next !== null && ($next->left - $place($minute)) * self::WIDTH / 1000 < 44,
        );
    }

    /** From the first to the last open minute of a day. */
    public static function span(WorkTime $time): Interval
    {
        $edges = [];
        foreach ($time->allHours() as $set) {
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
     * @return list<RibbonPiece>
     */
    private static function pieces(WorkTime $time, Collection $blocks, Interval $span, \Closure $place, ?float $lunch, int $now, Lens $lens): array
    {
        $rows = [
            ...$time->occurrences->filter(static fn (Occurrence $one): bool => ! $one->all_day && $one->blocks())->all(),
            ...$blocks->reject(static fn (Block $block): bool => $block->state === BlockState::Passed)->all(),
        ];
        $rows = array_values(array_filter($rows, static fn (Occurrence|Block $row): bool => RowMapper::time($row)->overlaps($span)));
        usort($rows, static fn (Occurrence|Block $a, Occurrence|Block $b): int => RowMapper::start($a) <=> RowMapper::start($b));
        $pieces = [];
        foreach ($rows as $i => $row) {
            $interval = RowMapper::time($row);
            $block = $row instanceof Block ? $row : null;
            $isSeen = $row instanceof Block ? $lens->holdsArea($row->task->area_id) : $lens->holdsMeeting($row);
            $text = match (true) {
                ! $isSeen => __('app.lens.outside'),
                $row instanceof Block => $row->task->shortTitle(),
                default => $row->shownName(),
            };
            $deep = $block?->task->demand === Demand::Deep;
            $left = $place($interval->start);
            $width = $place($interval->end) - $left;
            $next = isset($rows[$i + 1]) ? $place(RowMapper::start($rows[$i + 1])) : 1000.0;
            if ($lunch !== null && $lunch > $left + $width && $block !== null && ! $deep) {
                $next = min($next, $lunch - self::LUNCH);
            }
            $after = $interval->contains($now) ? $place($now) - $left : 0.0; // the label begins after the stem of now
            [$label, $fits] = self::label($text, $width - $after, $next - $left - $width, $block?->anchored === true);
            $pieces[] = new RibbonPiece(
                kind: $block === null ? 'meeting' : 'block',
                id: $row->id,
                name: $text.', '.Times::range($time->user, $interval->start, $interval->end),
                label: $label,
                hue: $block?->task->area->hue,
                hatching: $row instanceof Occurrence ? (int) $row->meeting->calendar->getAttributes()['hatching'] : null,
                state: $block === null ? '' : $block->state->value,
                outside: ! $isSeen,
                anchored: $block?->anchored === true,
                deep: $deep,
                start: $interval->start,
                left: $left,
                width: $width,
                fits: $fits,
                after: round($after / max(1.0, $width) * 100, 1),
            );
        }

        return $pieces;
    }

    /**
     * The whole label where it fits, or else what stands before its comma, its last or its first word; never one that is
     * cut.
     *
     * @return array{string, string} the label, and "in", "beside" or "" for where it goes
     */
    private static function label(string $label, float $width, float $free, bool $anchored): array
    {
        $words = explode(' ', $label);
        $last = (string) end($words);
        $texts = array_unique([$label, explode(',', $label)[0], mb_strtoupper(mb_substr($last, 0, 1)).mb_substr($last, 1), rtrim($words[0], ',:')]);
        foreach (['in' => $width, 'beside' => $free] as $place => $room) {
            foreach ($texts as $text) {
                if (mb_strlen($text) > 2 && mb_strlen($text) * self::LETTER + 12 + ($anchored ? 18 : 0) <= $room * self::WIDTH / 1000) {
                    return [$text, $place];
                }
            }
        }

        return [$label, ''];
    }

    /**
     * @param  \Closure(int): float  $place
     * @return array<int, array{float, bool}>
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
