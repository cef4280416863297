<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Models\Block;
use App\Models\Occurrence;
use App\Rows\Lens;
use App\Rows\RowMapper;
use App\Rows\WorkTime;
use App\Time\Moments;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/** Meetings and blocks of a day on its tape, each label where it has room: in its piece, above light work and meetings, below deep work. */
final class WeekPieces
{
    /** The width in pixels that labels are measured for, and what a letter takes. */
    private const WIDTH = 960;

    private const LETTER = 5.9;

    private const PADDING = 13;

    /** Between two labels. */
    private const APART = 4;

    private const ANCHOR = 18;

    private function __construct(private readonly WorkTime $time, private readonly LocalDay $day, private readonly WeekAxis $axis, private readonly CarbonImmutable $now, private readonly Lens $lens) {}

    /**
     * @param  Collection<int, Block>  $blocks  of the day, by start
     * @return list<WeekPiece> by start
     */
    public static function of(WorkTime $time, LocalDay $day, WeekAxis $axis, Collection $blocks, CarbonImmutable $now, Lens $lens): array
    {
        $span = $time->zone->day($day);
        $rows = array_values(array_filter([
            ...$time->occurrences->filter(static fn (Occurrence $one): bool => ! $one->all_day && $one->blocks())->all(),
            ...$blocks->all(),
        ], static fn (Occurrence|Block $row): bool => RowMapper::time($row)->overlaps($span)));
        usort($rows, static fn (Occurrence|Block $a, Occurrence|Block $b): int => RowMapper::start($a) <=> RowMapper::start($b));
        $pieces = new self($time, $day, $axis, $now, $lens);

        return array_map($pieces->piece(...), $rows, $pieces->labels($rows));
    }

    /**
     * The longest of each name that fits into its piece; else the longest that fits between the labels above, or below.
     * Never one that is cut.
     *
     * @param  list<Occurrence|Block>  $rows  by start
     * @return list<array{string, string}> the label, and where it goes
     */
    private function labels(array $rows): array
    {
        $labels = $outside = [];
        foreach ($rows as $i => $row) {
            $texts = $this->texts($row);
            $room = $this->pixels($row)[1] - self::PADDING - ($row instanceof Block && $row->anchored ? self::ANCHOR : 0);
            $fits = array_values(array_filter($texts, static fn (string $text): bool => self::width($text) <= $room));
            $labels[$i] = [$fits[0] ?? $texts[0], $fits === [] ? '' : 'in'];
            $fits === [] && $outside[self::isDeep($row) ? 'under' : 'over'][] = $i;
        }
        $minute = Moments::minute($this->now);
        $flag = $this->time->zone->day($this->day)->contains($minute) ? $this->axis->place($this->time->zone->minuteOfDay($minute)) * self::WIDTH / 1000 : 0.0;
        foreach ($outside as $lane) {
            $end = 0.0;
            foreach ($lane as $n => $i) {
                $from = $this->pixels($rows[$i])[0];
                $until = isset($lane[$n + 1]) ? $this->pixels($rows[$lane[$n + 1]])[0] - self::APART : (float) self::WIDTH;
                $until = $from < $flag ? min($until, $flag) : $until; // it is not written over the present
                $icon = $rows[$i] instanceof Block && $rows[$i]->anchored ? self::ANCHOR : 0;
                foreach ($from < $end ? [] : array_slice($this->texts($rows[$i]), 1) as $text) {
                    if ($from + self::width($text) + $icon <= $until) {
                        $labels[$i] = [$text, 'out'];
                        $end = $from + self::width($text) + $icon + self::APART;

                        break;
                    }
                }
            }
        }

        return $labels;
    }

    /** @return non-empty-list<string> what it may be called, the longest first; from the second on outside its piece, too */
    private function texts(Occurrence|Block $row): array
    {
        $name = $this->name($row);
        $short = $row instanceof Block && $this->isSeen($row) ? $row->task->shortTitle() : $name;
        $words = explode(' ', $short);

        return [$name, $short, ...array_values(array_unique([explode(',', $short)[0], rtrim($words[0], ',:')]))];
    }

    private function name(Occurrence|Block $row): string
    {
        return match (true) {
            ! $this->isSeen($row) => __('app.lens.outside'),
            $row instanceof Block => $row->task->title,
            default => $row->shownName(),
        };
    }

    private function isSeen(Occurrence|Block $row): bool
    {
        return $row instanceof Block ? $this->lens->holdsArea($row->task->area_id) : $this->lens->holdsMeeting($row);
    }

    private static function isDeep(Occurrence|Block $row): bool
    {
        return $row instanceof Block && $row->task->demand === Demand::Deep;
    }

    /** @return array{float, float} left and width */
    private function pixels(Occurrence|Block $row): array
    {
        [$left, $width] = $this->axis->stretch($this->time->zone, $this->day, RowMapper::time($row));

        return [$left * self::WIDTH / 1000, $width * self::WIDTH / 1000];
    }

    private static function width(string $text): float
    {
        return mb_strlen($text) * self::LETTER;
    }

    /** @param  array{string, string}  $label  and where it goes */
    private function piece(Occurrence|Block $row, array $label): WeekPiece
    {
        $interval = RowMapper::time($row);
        $block = $row instanceof Block ? $row : null;
        [$left, $width] = $this->axis->stretch($this->time->zone, $this->day, $interval);

        return new WeekPiece(
            kind: $block === null ? 'meeting' : 'block',
            id: $row->id,
            task: $block?->task_id,
            name: $this->name($row).', '.Times::range($this->time->user, $interval->start, $interval->end),
            label: $label[0],
            where: $label[1],
            hue: $block?->task->area->hue,
            hatching: $row instanceof Occurrence ? (int) $row->meeting->calendar->getAttributes()['hatching'] : null,
            state: $block === null ? '' : $block->state->value,
            outside: ! $this->isSeen($row),
            anchored: $block?->anchored === true,
            deep: self::isDeep($row),
            movable: $block?->isAhead($this->now) === true && ! $block->isOn($this->now) && $this->time->zone->dayOf($interval->start)->equals($this->day),
            minutes: $interval->length(),
            start: $interval->start,
            clock: $this->time->zone->minuteOfDay($interval->start),
            left: $left,
            width: $width,
            mark: $block?->mark() ?? '',
        );
    }
}
