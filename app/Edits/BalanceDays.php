<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Block;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Planning\PlanConflict;
use App\Planning\ProblemLoader;
use App\Planning\Prospects;
use App\Planning\Replan;
use App\Rows\DayWork;
use App\Rows\Desk;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Nekto\Core\Day\Balance;
use Nekto\Core\Time\LocalDay;

/** Makes each day of a week fit, and takes what of that the person wants. */
final readonly class BalanceDays
{
    public function __construct(private Desk $desk, private ProblemLoader $problems, private Replan $replan) {}

    /** What would move, from today on; nothing is changed. */
    public function of(User $user, LocalDay $first, LocalDay $last, CarbonImmutable $now): Balance
    {
        $today = $this->desk->today();
        $first = new LocalDay(max($first->number, $today->number));
        $loaded = $this->problems->load($user, $now);
        $this->desk->readBlocks($first, $last);
        $lines = $kinds = $held = $deep = [];
        $movable = $loaded->movable->filter(static fn (Block $block): bool => $block->isAhead($now));
        for ($day = $first; $day->number <= $last->number; $day = $day->plusDays(1)) {
            $time = $loaded->time->covers($day) ? $loaded->time->on($day) : $this->desk->timeOn($day);
            $work = DayWork::of($time, $day, $this->desk->blocksOn($day)->toBase());
            [$room, $deep[$day->number]] = $work->roomFor($movable->filter(static fn (Block $block): bool => $time->zone->dayOf(RowMapper::start($block))->equals($day)));
            foreach ($room as $set => $minutes) {
                $lines[$set][$day->number] = $minutes;
            }
        }
        $picks = new Picks($user, $today);
        $promised = array_column($this->desk->kept($today)[0]->tasks ?? [], 'task', 'task');
        foreach ($loaded->tasks as $task) {
            $kinds[(string) $task->id] = $task->project_id === null ? "area {$task->area_id}" : "project {$task->project_id}";
            if ($picks->day($task->setRelation('user', $user)) !== null || isset($promised[$task->id])) { // the person chose its day
                $held[(string) $task->id] = true;
            }
        }

        return new Balance($loaded->problem, Prospects::plan($loaded->problem), $lines, $deep, $first->number, $last->number, $held, $kinds);
    }

    /**
     * @param  Collection<int, Block>  $blocks  that go, as they were seen
     * @param  array<int, int>  $to  their new starts in minutes, by id
     *
     * @throws PlanConflict if one of them cannot go there any more; then nothing has moved
     */
    public function take(User $user, Collection $blocks, array $to, CarbonImmutable $now): ?PlanRevision
    {
        return ($this->replan)($user, $now, RevisionCause::Balanced, first: static function () use ($blocks, $to, $now): void {
            foreach ($blocks as $block) {
                $start = Moments::moment($to[$block->id]);
                $start < $now && throw PlanConflict::passed();
                $block->update(['starts_at' => $start, 'ends_at' => $start->addMinutes(RowMapper::time($block)->length()), 'reserve_id' => null]);
            }
        });
    }
}
