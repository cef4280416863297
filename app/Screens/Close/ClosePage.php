<?php

declare(strict_types=1);

namespace App\Screens\Close;

use App\Models\Block;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\Task;
use App\Rows\Account;
use App\Rows\AccountRow;
use App\Screens\Frame\Ribbon;
use App\Screens\Page;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Remaining;
use Nekto\Core\Time\LocalDay;

/** A day in review. */
final readonly class ClosePage extends Page
{
    /**
     * @param  Collection<int, Entry>  $entries  of the day, by start
     * @param  array<int, string>  $titles  by task id
     * @param  array<int, string>  $goes  where each one's work goes from that day, in words; empty where it is done
     * @param  string  $keys  how many key tasks were kept, in words
     * @param  Collection<array-key, Collection<int, AccountRow>>  $groups  by what became of them, or by area
     * @param  int  $breaks  minutes
     * @param  Collection<int, Occurrence>  $meetings
     * @param  int  $held  minutes of meetings that are over
     * @param  list<array{row: AccountRow, task: Task, next: Block|null}>  $unfinished
     * @param  list<array{task: Task, remaining: Remaining}>  $asks
     * @param  list<array{title: string, estimate: int, actual: int, likely: float|null}>  $taught
     */
    public function __construct(
        public CarbonImmutable $now,
        public LocalDay $day,
        public Collection $entries,
        public array $titles,
        public Account $account,
        public array $goes,
        public string $keys,
        public bool $byArea,
        public Collection $groups,
        public ?Stair $stair,
        public int $breaks,
        public Collection $meetings,
        public int $held,
        public array $unfinished,
        public array $asks,
        public array $taught,
        public Ribbon $tomorrow,
        public LocalDay $tomorrowDate,
        public int $tomorrowMinutes,
    ) {}
}
