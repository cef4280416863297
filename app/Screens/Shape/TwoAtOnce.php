<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Edits\FreePlace;
use App\Models\Block;
use App\Models\Occurrence;
use App\Rows\Desk;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Wording\Times;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** A meeting on a block that the person fixed: nothing is moved unasked, so it is said, with two ways on. */
final readonly class TwoAtOnce
{
    /**
     * @param  Block  $block  with its task
     * @param  string  $both  the time at which there are two
     * @param  string|null  $start  as "13:45": the first free time of the day for it; null if there is none
     */
    private function __construct(public Block $block, public string $meeting, public string $meets, public string $both, public ?string $start, public ?string $goes, public int $minutes) {}

    /**
     * @param  Collection<int, Block>  $blocks  of the day
     * @return list<self>
     */
    public static function on(Desk $desk, LocalDay $day, Collection $blocks, FreePlace $places): array
    {
        [$user, $now] = [$desk->user(), $desk->now];
        $found = [];
        foreach ($blocks->filter(static fn (Block $block): bool => $block->isAhead($now)) as $block) {
            $meeting = $desk->time()->occurrences->first(static fn (Occurrence $one): bool => $block->clashesWith($one));
            if ($meeting === null) {
                continue;
            }
            $minutes = RowMapper::time($block)->length();
            $start = $places->first($user, $block->task->hoursSet(), $day, $minutes, $now, $blocks->reject(static fn (Block $other): bool => $other->id === $block->id || ! $other->isFixed($now))->values());
            $found[] = new self(
                $block,
                $meeting->shownName(),
                Times::range($user, $meeting->starts_at, $meeting->ends_at),
                Times::range($user, max($block->starts_at, $meeting->starts_at), min($block->ends_at, $meeting->ends_at)),
                $start === null ? null : Times::clock($user, Moments::minute($start)),
                $start === null ? null : Times::range($user, $start, $start->addMinutes($minutes)),
                $minutes,
            );
        }

        return $found;
    }
}
