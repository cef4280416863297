<?php

declare(strict_types=1);

namespace App\Screens\Close;

use App\Models\Block;
use App\Models\ClosedDay;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\Task;
use App\Screens\Frame\Ribbon;
use App\Screens\Page;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** A day in review. */
final readonly class ClosePage extends Page
{
    /**
     * @param  Collection<int, Entry>  $entries  of the day, by start
     * @param  array<int, string>  $titles  by task id
     * @param  Collection<int, Collection<int, DayRow>>  $areas  what was planned or worked on, by area id
     * @param  int  $breaks  minutes, as $planned and $actual
     * @param  Collection<int, Occurrence>  $meetings
     * @param  int  $held  minutes of meetings that are over
     * @param  list<DayRow>  $unplanned
     * @param  array<int, array{title: string, state: string}>  $keys  key tasks by id
     * @param  list<array{task: Task, state: DayState, next: Block|null}>  $unfinished
     * @param  list<array{title: string, estimate: int, actual: int, likely: float|null}>  $taught
     */
    public function __construct(
        public LocalDay $day,
        public Collection $entries,
        public array $titles,
        public Collection $areas,
        public int $planned,
        public int $actual,
        public int $breaks,
        public Collection $meetings,
        public int $held,
        public array $unplanned,
        public array $keys,
        public array $unfinished,
        public array $taught,
        public ?ClosedDay $closed,
        public Ribbon $tomorrow,
        public LocalDay $tomorrowDate,
        public int $tomorrowMinutes,
    ) {}
}
