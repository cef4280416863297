<?php

declare(strict_types=1);

namespace App\Screens\Work;

use App\Models\Block;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\Task;
use App\Rows\AccountRow;
use App\Rows\Candidate;
use App\Screens\Page;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Remaining;
use Nekto\Core\Work\Turn;

/** What is on, what comes next, and the day block by block. */
final readonly class WorkPage extends Page
{
    /**
     * @param  Entry|null  $stopped  by a meeting, and nobody has said yet whether the work went on
     * @param  CarbonImmutable|null  $wentOn  until when it probably did, if so
     * @param  Remaining|null  $remaining  of the task, where it is past its estimate
     * @param  int  $spent  minutes on the task today
     * @param  Collection<int, Entry>  $entries  of today, by start
     * @param  list<Block|Occurrence>  $next
     * @param  list<AccountRow>  $rows  the day's account so far
     * @param  int|null  $ended  UTC minute since which the day is over
     */
    public function __construct(
        public ?Entry $running,
        public ?Block $block,
        public ?Task $task,
        public ?Candidate $candidate,
        public bool $isKey,
        public ?MeetingScreen $meeting,
        public ?Entry $forgotten,
        public ?Task $forgottenTask,
        public ?CarbonImmutable $likelyEnd,
        public ?Entry $stopped,
        public ?CarbonImmutable $wentOn,
        public ?Remaining $remaining,
        public ?Turn $turn,
        public ?Occurrence $nextMeeting,
        public int $spent,
        public Collection $entries,
        public array $next,
        public array $rows,
        public ?int $ended,
        public CarbonImmutable $now,
    ) {}
}
