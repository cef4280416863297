<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\User;
use App\Rows\PastRatios;
use App\Rows\Slacks;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Estimate\Pair;
use Nekto\Core\Plan\Block;
use Nekto\Core\Plan\Plan;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Unplaced;
use Nekto\Core\Plan\UnplacedReason;
use Nekto\Core\Planning\Planner;
use Nekto\Core\Prospect\Chances;
use Nekto\Core\Prospect\LatestStarts;
use Nekto\Core\Prospect\Outcome;
use Nekto\Core\Prospect\Ratios;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task;
use Nekto\Core\Time\LocalDay;

/** What follows from a person's plan: kept beside it when it is stored, and computed anew when it was not. */
final readonly class Prospects
{
    /** Of a thousand runs a chance is known to a hundredth or two; these do. */
    private const RUNS = 400;

    /** Orders that are tried where only the number of what is late is wanted: the plainest one, with the new work and without. */
    private const EFFORT = 0;

    /** Pairs from which on a kind of work speaks for itself. */
    private const ENOUGH = 12;

    public function __construct(private ProblemLoader $problems, private PastRatios $past, private Planner $planner) {}

    public function slacks(User $user, CarbonImmutable $now): Slacks
    {
        return $this->kept($user, $now)[0];
    }

    /** @return array{Slacks, Anew|null} and what laying everything out anew would do, as the worker found out; null where it has not yet */
    public function kept(User $user, CarbonImmutable $now): array
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->first();
        if ($kept !== null) {
            return [Slacks::read($kept->slacks, $kept->late), is_string($kept->anew) ? Anew::read($kept->anew) : null];
        }
        $problem = $this->problems->load($user, $now)->problem;

        return [self::keep($user, $problem, $problem->previous === [] && $problem->anchored === [] ? $this->planner->plan($problem) : self::plan($problem)), null]; // where nothing is laid out yet, as it would be
    }

    /** The plan as it is laid out. */
    public static function plan(PlanningProblem $problem): Plan
    {
        $blocks = array_filter([...$problem->anchored, ...$problem->previous], static fn (Block $block): bool => $block->time->end > $problem->now);
        usort($blocks, static fn (Block $a, Block $b): int => $a->time->start <=> $b->time->start);
        $placed = [];
        foreach ($blocks as $block) {
            $placed[$block->task] = ($placed[$block->task] ?? 0) + $block->time->length();
        }
        $unplaced = [];
        foreach ($problem->tasks as $task) {
            $missing = $task->minutes - ($placed[$task->id] ?? 0);
            $missing > 0 && $unplaced[] = new Unplaced($task->id, $missing, UnplacedReason::NoOpenTime);
        }

        return new Plan($blocks, $unplaced);
    }

    public static function keep(User $user, PlanningProblem $problem, Plan $plan): Slacks
    {
        $late = [];
        foreach ((new Outcome($problem, $plan))->late as $task => $minutes) {
            $late[(int) $task] = $minutes;
        }
        $slacks = Slacks::from((new LatestStarts($problem, $plan))->blocks, $late);
        DB::table('prospects')->upsert([['user_id' => $user->id, 'slacks' => json_encode($slacks->blocks, JSON_THROW_ON_ERROR), 'late' => json_encode((object) $slacks->late, JSON_THROW_ON_ERROR), 'chances' => null, 'anew' => null]], ['user_id'], ['slacks', 'late', 'chances', 'anew']);

        return $slacks;
    }

    /** @return array<int, int>|null minutes of lateness by task, as the plan was stored; null where that is not known any more */
    public static function late(User $user): ?array
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->value('late');

        return is_string($kept) ? (array) json_decode($kept, true) : null;
    }

    /** @return Collection<int, User> accounts that want a better plan offered and whose plan changed since one was looked for */
    public static function unlooked(): Collection
    {
        return User::query()->where('offer_anew', '>', 0)->whereIn('id', DB::table('prospects')->whereNull('anew')->select('user_id'))->get();
    }

    /** Looks for it. That takes as long as laying out does, so no page waits for it; a plan that changes meanwhile is looked at again. */
    public function lookAnew(User $user, CarbonImmutable $now): void
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->value('slacks');
        $rows = $this->problems->read($user, $now);
        $calm = $this->problems->problem($rows);
        $anew = $calm->problem->hasPrevious()
            ? Anew::between($calm->problem, self::plan($calm->problem), $this->planner->plan($this->problems->problem($rows, afresh: true)->problem))
            : Anew::nothing();
        DB::table('prospects')->where('user_id', $user->id)->where('slacks', $kept)->update(['anew' => $anew->asText()]);
    }

    /**
     * The chance of each due task to be in time by the plan as it is, from what such work took.
     *
     * @return array<int, int> % by task; empty with too little history to tell
     */
    public function chances(User $user, CarbonImmutable $now): array
    {
        $kept = DB::table('prospects')->where('user_id', $user->id)->value('chances');
        if (is_string($kept)) {
            return (array) json_decode($kept, true);
        }
        $pairs = $this->past->pairs($user);
        $this->slacks($user, $now); // makes the row
        $chances = count($pairs) < Correction::LEAST ? [] : $this->simulated($this->problems->load($user, $now), $pairs);
        DB::table('prospects')->where('user_id', $user->id)->update(['chances' => json_encode((object) $chances, JSON_THROW_ON_ERROR)]);

        return $chances;
    }

    /**
     * @param  list<Pair>  $pairs
     * @return array<int, int>
     */
    private function simulated(LoadedProblem $loaded, array $pairs): array
    {
        $special = $like = $same = [];
        foreach ($loaded->problem->tasks as $task) {
            $row = $loaded->tasks[(int) $task->id] ?? null;
            $left = $row?->left(Moments::moment($loaded->problem->now));
            if ($row !== null && $left !== null) {
                $kind = "{$row->area_id} {$row->demand->value}";
                $like[$kind] ??= self::like($pairs, (string) $row->area_id, $row->demand);
                $of = $left->worked === 0 && $left->said === $left->toPlan() ? $kind : "{$kind} {$left->said} {$left->worked} {$left->toPlan()}"; // many are drawn from the same
                $special[$task->id] = $same[$of] ??= Ratios::ofRest($like[$kind], $left->said, $left->worked, $left->toPlan());
            }
        }
        $chances = [];
        $due = [];
        foreach ($loaded->problem->tasks as $task) {
            $due[$task->id] = $task->due->at ?? 0;
        }
        foreach ((new Chances($loaded->problem, self::plan($loaded->problem), Ratios::exact(), $special, self::RUNS, margin: $loaded->time->user->margin_percent / 100))->byTask as $task => $chance) {
            $due[$task] > $loaded->problem->now && $chances[(int) $task] = (int) round(100 * $chance); // what is overdue has none any more
        }

        return $chances;
    }

    /** How many tasks more would be late if a new piece of work went before all else: all is laid out anew, with it and without. */
    public function lateBy(User $user, int $minutes, int $set, Demand $demand, LocalDay $day, CarbonImmutable $now): int
    {
        $problem = $this->problems->problem($this->problems->read($user, $now), afresh: true)->problem;
        $planner = new Planner(self::EFFORT, arranged: false);
        $due = min($problem->end, $problem->zone->day($day)->end);
        $task = new Task('new', max($problem->step, intdiv($minutes + $problem->step - 1, $problem->step) * $problem->step), Importance::Vital, (string) $set, new DueDate($due, true), demand: $demand);
        $late = static fn (PlanningProblem $one): int => count(array_diff(array_keys((new Outcome($one, $planner->plan($one)))->late), ['new']));

        return max(0, $late($problem->with(tasks: [...$problem->tasks, $task])) - $late($problem));
    }

    /**
     * What such work took in the past; null with too little history to tell.
     *
     * @param  list<Pair>|null  $pairs  of the person, where they have been read already
     */
    public function ratios(User $user, Demand $demand, ?array $pairs = null): ?Ratios
    {
        $pairs ??= $this->past->pairs($user);

        return count($pairs) < Correction::LEAST ? null : new Ratios(self::like($pairs, '', $demand));
    }

    /**
     * What the narrowest kind of work took that has been done often enough.
     *
     * @param  list<Pair>  $pairs
     * @return non-empty-list<float>
     */
    private static function like(array $pairs, string $area, Demand $demand): array
    {
        foreach ([
            static fn (Pair $pair): bool => $pair->area === $area && $pair->demand === $demand,
            static fn (Pair $pair): bool => $pair->demand === $demand,
            static fn (Pair $pair): bool => true,
        ] as $belongs) {
            $ratios = array_map(static fn (Pair $pair): float => $pair->ratio(), array_values(array_filter($pairs, $belongs)));
            if (count($ratios) >= self::ENOUGH) {
                return $ratios;
            }
        }

        return array_map(static fn (Pair $pair): float => $pair->ratio(), $pairs) ?: [1.0];
    }

    /** The plan is another one without having been planned: an undo brought it back. */
    public static function forget(User $user): void
    {
        DB::table('prospects')->where('user_id', $user->id)->delete();
    }
}
