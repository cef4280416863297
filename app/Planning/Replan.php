<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\User;
use App\Undo\Changed;
use App\Undo\Journal;
use Carbon\CarbonImmutable;
use Nekto\Core\Plan\PlanDifference;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Planning\Promises\HabitTasks;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Time\LocalDay;

/**
 * Plans a person's open work again and stores the result with its change note. If anything fails, the former plan
 * stays. Every change of the plan comes through here; there is no second way to a plan.
 */
final readonly class Replan
{
    public function __construct(
        private ProblemLoader $problems,
        private Planner $planner,
        private PlanStore $plans,
        private Journal $journal,
        private MoveNames $names,
        private Expected $expected,
    ) {}

    /**
     * @param  bool  $afresh  lay everything out anew instead of moving only what must
     * @param  list<int>  $hold  tasks whose blocks stay where they are
     * @param  \Closure(): void|null  $first  changes of rows that belong to the same revision
     * @param  \Closure(): void|null  $then  what belongs to it once the plan is stored
     * @param  LocalDay|null  $laidOut  a day that is laid out on request though the plan is mended
     */
    public function __invoke(User $user, CarbonImmutable $now, RevisionCause $cause, bool $afresh = false, ?\Closure $first = null, array $hold = [], ?\Closure $then = null, ?LocalDay $laidOut = null): ?PlanRevision
    {
        return $this->journal->record($user, $cause, $now, function () use ($user, $now, $cause, $afresh, $first, $hold, $then, $laidOut): Changed {
            $was = Prospects::late($user);
            $first === null || $first();
            $this->plans->dropWithoutWork($user);
            $this->expected->refresh($user);
            $rows = $this->problems->read($user, $now);
            $calm = $this->problems->problem($rows, hold: $hold, laidOut: $laidOut);
            $loaded = $afresh ? $this->problems->problem($rows, afresh: true, hold: $hold) : $calm;
            $plan = $this->planner->plan($loaded->problem);
            $passed = $loaded->movable->filter(static fn (Block $block): bool => ! $block->isAhead($now))->pluck('task_id')->unique();
            $this->plans->replace($user, $loaded, $plan, $now);
            $user->tasks()->whereKey($passed->all())->increment('carried');
            $then === null || $then();

            Prospects::keep($user, $loaded->problem, $plan);

            return new Changed($this->names->of((new PlanDifference((new HabitTasks($calm->problem))->problem, $plan))->moves(), $loaded, $cause), Lateness::becoming($was, $calm, new Outcome($loaded->problem, $plan)));
        });
    }

    /**
     * Makes a change that the plan may have to follow, in one transaction with what follows. Before a person's work was
     * first laid out nothing follows.
     *
     * @param  \Closure(): void  $change
     */
    public function after(User $user, CarbonImmutable $now, \Closure $change, RevisionCause $cause = RevisionCause::Changed): ?PlanRevision
    {
        if ($this->isUnderway($user)) {
            return $this($user, $now, $cause, first: $change);
        }

        return $this->journal->record($user, $cause, $now, $change);
    }

    /**
     * What the plan would be made of after a change of rows that has just been made; nothing is stored of the plan itself.
     * Null where nothing follows a change.
     */
    public function rowsAfter(User $user, CarbonImmutable $now): ?PlanRows
    {
        if (! $this->isUnderway($user)) {
            return null;
        }
        $this->plans->dropWithoutWork($user);
        $this->expected->refresh($user);

        return $this->problems->read($user, $now);
    }

    /**
     * What would move and what would become late: reckoned from rows alone, however long it takes nobody waits for it at the
     * database.
     *
     * @param  array<int, int>|null  $was  how late each task was, by task id; null: not known
     */
    public function foreseen(PlanRows $rows, ?array $was): Changed
    {
        $calm = $this->problems->problem($rows);
        $plan = $this->planner->plan($calm->problem);

        return new Changed($this->names->of((new PlanDifference((new HabitTasks($calm->problem))->problem, $plan))->moves(), $calm, RevisionCause::Changed), Lateness::becoming($was, $calm, new Outcome($calm->problem, $plan)));
    }

    /** True once a person's work has been laid out: from then on the plan looks after itself. */
    private function isUnderway(User $user): bool
    {
        return $user->blocks()->planned()->exists();
    }
}
