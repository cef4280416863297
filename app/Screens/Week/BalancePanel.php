<?php

declare(strict_types=1);

namespace App\Screens\Week;

use App\Models\Block;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Wording\Dates;
use App\Wording\Times;
use Illuminate\Support\Collection;
use Nekto\Core\Day\Balance;
use Nekto\Core\Time\LocalDay;

/** What balancing the days would do, as a difference: each move by itself, and the days before and after. */
final readonly class BalancePanel
{
    /**
     * @param  list<array{value: string, title: string, hue: string, from: string, to: string, minutes: int, fromDay: int, toDay: int, at: int}>  $moves
     * @param  list<string>  $stillOver  days, as they are said
     */
    private function __construct(public array $moves, public array $stillOver, public bool $isNeeded) {}

    /**
     * @param  list<LocalDay>  $days
     * @param  bool  $isNeeded  some day is over its line
     */
    public static function of(Desk $desk, Balance $balance, array $days, bool $isNeeded): self
    {
        $rows = (new Collection($days))->flatMap(static fn (LocalDay $day): array => $desk->blocksOn($day)->all())->keyBy(static fn (Block $block): string => "{$block->task_id}/".RowMapper::start($block));
        $zone = $desk->time()->zone;
        $moves = [];
        foreach ($balance->moves as $move) {
            $block = $rows->get("{$move->block->task}/{$move->block->time->start}");
            $block === null || $moves[] = [
                'value' => "{$block->id}:{$block->mark()}:{$move->to->start}",
                'title' => $block->task->shortTitle(),
                'hue' => $block->task->area->hue,
                'from' => Times::range($desk->user(), $move->block->time->start, $move->block->time->end, $desk->now),
                'to' => Times::range($desk->user(), $move->to->start, $move->to->end, $desk->now),
                'minutes' => $move->to->length(),
                'fromDay' => $zone->dayOf($move->block->time->start)->number,
                'toDay' => $zone->dayOf($move->to->start)->number,
                'at' => $move->to->start,
            ];
        }

        return new self($moves, array_map(static fn (int $day): string => Dates::of($desk->user())->near(new LocalDay($day)), $balance->stillOver), $isNeeded);
    }

    /** Minutes that a day gains, or loses where they are fewer. */
    public function gain(LocalDay $day): int
    {
        return array_sum(array_map(static fn (array $move): int => ($move['toDay'] === $day->number ? $move['minutes'] : 0) - ($move['fromDay'] === $day->number ? $move['minutes'] : 0), $this->moves));
    }
}
