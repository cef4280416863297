<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Rows\Blocks;
use App\Rows\Candidate;
use App\Rows\DayLimits;
use App\Rows\Desk;
use App\Rows\Milestones;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\Steps;
use App\Rows\Taken;
use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Plan\Block as CoreBlock;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Task\Demand;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task as CoreTask;
use Nekto\Core\Time\Grid;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Reads a person's open work, in ten queries, and makes a planning problem of it. */
final readonly class ProblemLoader
{
    /** What each further piece of a task costs, in twentieths of a minute: for a task of medium importance 300 minutes later. */
    private const PIECE = 600;

    /** Minutes: nobody likes to be taken from what takes so few; unless the person splits it, it is done in one go. */
    private const IN_ONE_GO = 60;

    public function __construct(private WorkTimeLoader $times) {}

    /** The problem of planning calmly: what has a place keeps it if it can. */
    public function load(User $user, CarbonImmutable $now): LoadedProblem
    {
        return $this->problem($this->read($user, $now));
    }

    public function read(User $user, CarbonImmutable $now): PlanRows
    {
        $today = Moments::today($user, $now);
        $time = $this->times->load($user, $today, (int) config('nekto.horizon_days'));
        $tasks = $user->tasks()->plannable()->counted($now)->with('area')->orderBy('id')->get()->keyBy('id');
        $blocks = $user->blocks()->planned()->orderBy('starts_at')->get()->filter(static fn (Block $block): bool => $tasks->has($block->task_id))
            ->each(static fn (Block $block): Block => $block->setRelation('task', $tasks[$block->task_id] ?? throw new \LogicException('Filtered before.')))->values();
        $running = $user->entries()->whereNull('ends_at')->whereNotNull('block_id')->value('block_id');
        $habits = HabitProblem::rows($user, $tasks);

        return new PlanRows($now, $time, $tasks, $blocks, $running === null ? null : $blocks->firstWhere('id', $running), Steps::of($user), new Picks($user, $today), $this->workedToday($user, $time, $now), Blocks::workedIn($user, $blocks, $now), Blocks::workedUntil($user, $blocks->filter(static fn (Block $block): bool => $block->hasPassed($now)), $now), Milestones::of($user), $habits, HabitProblem::doneDays($user, $habits, $today));
    }

    /**
     * @param  bool  $afresh  true: no regard to the last plan; false: calm
     * @param  list<int>  $hold  tasks whose blocks stay where they are
     * @param  LocalDay|null  $laidOut  a day that is laid out on request though the plan is mended
     */
    public function problem(PlanRows $rows, bool $afresh = false, array $hold = [], ?LocalDay $laidOut = null): LoadedProblem
    {
        $now = Moments::minute($rows->now);
        [$fixed, $movable] = self::apart($rows, $hold);
        $waiting = $afresh ? collect() : $movable->filter(static fn (Block $block): bool => $block->put_back && ! $block->isAhead($rows->now));
        $movable = $movable->diff($waiting)->values();
        $left = $this->minutesToPlace($rows, $fixed, $waiting);
        $spent = $rows->worked->groupBy('task_id')->map(static fn (Collection $some): int => (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()))->all();
        $ahead = $afresh ? collect() : $movable->filter(static fn (Block $block): bool => $block->isAhead($rows->now));
        $shortest = $ahead->groupBy('task_id')->map(static fn (Collection $some): int => (int) $some->min(static fn (Block $block): int => RowMapper::time($block)->length()))->all();
        $habits = HabitProblem::of($rows, $left, $fixed);
        $limits = self::limits($rows, $fixed)->orAsLaid($rows->time, [...$ahead->map(self::taken(...))->all(), ...($afresh ? [] : self::looseToday($rows, $left, $fixed->concat($ahead)))]);

        return new LoadedProblem(new PlanningProblem(
            zone: $rows->time->zone,
            now: $now,
            end: $rows->time->span()->end,
            step: Grid::STEP,
            hours: self::byName($rows->time->allHours()),
            busy: $rows->time->busy(),
            tasks: array_values($rows->tasks->filter(static fn (Task $task): bool => $left[$task->id] > 0 && ! isset($habits->free[$task->id]))
                ->map(static fn (Task $task): CoreTask => self::task($task, $left, $rows, $spent[$task->id] ?? 0, $shortest[$task->id] ?? null))->all()),
            anchored: array_values(array_filter(self::coreBlocks($fixed, true), static fn (CoreBlock $block): bool => $left[(int) $block->task] > 0)),
            previous: $afresh ? [] : self::coreBlocks($movable, false),
            deepLimit: $limits->deep,
            hoursLimits: $limits->lines,
            parts: $rows->time->user->dayParts() + $habits->parts,
            bestHours: $rows->time->bestHours(),
            deepOnly: $rows->time->deepOnly()->intervals === [] ? null : $rows->time->deepOnly(),
            tempo: Tempo::from($rows->time->user->tempo),
            leastPiece: $rows->time->user->least_piece,
            lineIsWish: true,
            pieceCost: self::PIECE,
            begins: $rows->time->user->day_begins,
            pulls: $afresh || $laidOut !== null ? $this->pulls($rows) : [],
            laidOut: $laidOut?->number,
            habits: $habits->habits,
        ), $rows->time, $rows->tasks, $movable, $rows->running === null ? null : (string) $rows->running->task_id);
    }

    /** @return array<int, int> by task id */
    private function pulls(PlanRows $rows): array
    {
        $open = (new Desk(static fn (): User => $rows->time->user, $rows->now, $this->times))->open();

        return $open->weighed()->map(static fn (Candidate $one): int => $one->pull->total())->all();
    }

    /**
     * What planning goes around, and what it may move. Of two fixed blocks that lie at the same time only one can stay:
     * the one whose clock runs, then anchored ones, then those put back by an undo.
     *
     * @param  list<int>  $hold
     * @return array{Collection<int, Block>, Collection<int, Block>} by start
     */
    private static function apart(PlanRows $rows, array $hold): array
    {
        $running = $rows->running;
        [$fixed, $movable] = $rows->blocks->partition(static fn (Block $block): bool => $block->isFixed($rows->now) || ($block->isAhead($rows->now) && in_array($block->task_id, $hold, true)));
        $rank = static fn (Block $block): array => [$block->id !== $running?->id, ! $block->anchored, ! $block->put_back, RowMapper::start($block)];
        $stays = [];
        $taken = IntervalSet::empty();
        foreach ($fixed->sort(static fn (Block $a, Block $b): int => $rank($a) <=> $rank($b)) as $block) {
            if (! $taken->overlaps(RowMapper::time($block))) {
                $stays[$block->id] = true;
                $taken = $taken->union(IntervalSet::covering(RowMapper::time($block)));
            }
        }
        [$stay, $yield] = $fixed->partition(static fn (Block $block): bool => isset($stays[$block->id]));

        return [$stay->values(), $yield->isEmpty() ? $movable->values() : $movable->concat($yield)->sortBy(static fn (Block $block): int => RowMapper::start($block))->values()];
    }

    /**
     * What is left, and with it what was worked of a block that is on: that block counts whole, also where it was begun
     * late. Fixed time is never more than there is to do.
     *
     * @param  Collection<int, Block>  $fixed
     * @param  Collection<int, Block>  $waiting  past blocks that the person wants left where they are
     * @return array<int, int> minutes by task id, whole steps
     */
    private function minutesToPlace(PlanRows $rows, Collection $fixed, Collection $waiting): array
    {
        $left = $held = [];
        foreach ($rows->tasks as $id => $task) {
            $left[$id] = $task->minutesToPlan($rows->now);
        }
        foreach ($fixed as $block) {
            $left[$block->task_id] += Grid::up($rows->workedIn[$block->id] ?? 0);
        }
        foreach ($waiting as $block) {
            $left[$block->task_id] = max(0, $left[$block->task_id] - RowMapper::time($block)->length());
        }
        foreach ($fixed as $block) {
            $held[$block->task_id] = ($held[$block->task_id] ?? 0) + RowMapper::time($block)->length();
        }
        foreach ($held as $id => $minutes) {
            $left[$id] = max($left[$id], $minutes);
        }

        return $left;
    }

    /**
     * The least minutes of a block: what takes an hour at most is done in one go, unless the person wants shorter blocks.
     *
     * @param  int  $least  minutes of a piece
     */
    private static function leastOf(Task $task, int $minutes, int $least): int
    {
        return $task->splits && $minutes > min(self::IN_ONE_GO, $task->max_chunk) ? min($task->max_chunk, max($task->min_chunk, $least)) : $minutes;
    }

    /**
     * What went by undone today and looks for a place: today carries it, be it out of the margin, before anything that was
     * promised leaves the day.
     *
     * @param  array<int, int>  $left  minutes by task id
     * @param  Collection<int, Block>  $placed  fixed or ahead
     * @return list<Taken>
     */
    private static function looseToday(PlanRows $rows, array $left, Collection $placed): array
    {
        $today = $rows->time->zone->day($rows->time->first);
        $has = $placed->groupBy('task_id')->map(static fn (Collection $some): int => (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()));
        $loose = [];
        foreach ($rows->blocks->filter(static fn (Block $block): bool => $block->hasPassed($rows->now) && RowMapper::time($block)->overlaps($today))->groupBy('task_id') as $task => $passed) {
            $block = $passed->firstOrFail();
            $minutes = min($left[$task] - ($has[$task] ?? 0), (int) $passed->sum(static fn (Block $block): int => RowMapper::time($block)->length()));
            $minutes > 0 && $loose[] = new Taken($block->task->hoursSet(), $block->task->demand === Demand::Deep, Moments::minute($rows->now), $minutes, true);
        }

        return $loose;
    }

    private static function taken(Block $block): Taken
    {
        return new Taken($block->task->hoursSet(), $block->task->demand === Demand::Deep, RowMapper::start($block), RowMapper::time($block)->length(), ! $block->anchored);
    }

    /**
     * @param  array<int, int>  $left  minutes by task id
     * @param  int  $worked  minutes of it today
     * @param  int|null  $shortest  minutes of its shortest block that may stay: what was laid when other lengths held
     */
    private static function task(Task $task, array $left, PlanRows $rows, int $worked, ?int $shortest): CoreTask
    {
        $time = $rows->time;
        $before = array_filter($rows->steps->after[$task->id] ?? [], static fn (int $id): bool => ($left[$id] ?? 0) > 0);
        $minutes = $left[$task->id];
        $pick = $rows->picks->day($task);
        $pick = $pick === null ? null : self::dayToBe($pick, $minutes, $time, $task->hoursSet(), Moments::minute($rows->now));
        $stored = $task->getAttributes();
        $due = $rows->milestones === null ? $time->due($stored['due_on'], $stored['due_at'], $task->hoursSet()) : $rows->milestones->due($time, $stored['due_on'], $stored['due_at'], $task->hoursSet(), $task->project_id, $task->section_id);

        return new CoreTask(
            id: (string) $task->id,
            minutes: $minutes,
            importance: $task->importance ?? Importance::Low,
            hours: (string) $task->hoursSet(),
            due: $due === null ? null : new DueDate($due, $task->due_hard),
            notBefore: $task->not_before === null ? null : Moments::minute($task->not_before),
            minChunk: min($shortest ?? $minutes, self::leastOf($task, $minutes, $time->user->least_piece)),
            maxChunk: $task->splits ? $task->max_chunk : max($minutes, $task->max_chunk),
            after: array_map(strval(...), array_values($before)),
            demand: $task->demand,
            part: $task->part,
            project: $task->project_id === null ? null : (string) $task->project_id,
            pick: $pick?->number,
            pickMinutes: Picks::share($minutes, $pick !== null && $pick->equals($time->first) ? $worked : 0),
            key: $task->key,
            waiting: isset($rows->steps->stuck[$task->id]),
        );
    }

    /**
     * What is picked for today and finds no time in the rest of it is left over for the next day that has open time.
     *
     * @param  int  $minutes  of it that are left
     * @param  int  $now  minutes since 1970-01-01T00:00Z
     */
    private static function dayToBe(LocalDay $pick, int $minutes, WorkTime $time, int $set, int $now): LocalDay
    {
        $end = $time->zone->day($time->first)->end;
        if (! $pick->equals($time->first) || ! $time->user->carry_picks || $time->open($set)->minutesBetween($now, $end) >= Picks::least($minutes)) {
            return $pick;
        }
        $next = $time->open($set)->between($end, $time->span()->end)->intervals[0] ?? null;

        return $next === null ? $pick : $time->zone->dayOf($next->start);
    }

    /** @param  Collection<int, Block>  $fixed */
    private static function limits(PlanRows $rows, Collection $fixed): DayLimits
    {
        $anchored = $fixed->filter(static fn (Block $block): bool => $block->anchored)->map(static fn (Block $block): Interval => RowMapper::time($block));
        $taken = $rows->worked->concat($fixed)->map(self::taken(...));

        foreach ($rows->workedUntil as $id => $until) { // what goes by with this plan has taken its part of the day too
            $block = $rows->blocks->firstWhere('id', $id) ?? throw new \LogicException('Read together.');
            $taken->push(new Taken($block->task->hoursSet(), $block->task->demand === Demand::Deep, RowMapper::start($block), (int) $block->starts_at->diffInMinutes($until), ! $block->anchored));
        }

        return DayLimits::of($rows->time, IntervalSet::covering(...$anchored->values()->all()), $taken->all());
    }

    /** @return Collection<int, Block> of today, done or worked in part */
    private function workedToday(User $user, WorkTime $time, CarbonImmutable $now): Collection
    {
        return $user->blocks()->whereIn('state', [BlockState::Done, BlockState::Part])
            ->where('starts_at', '>=', Moments::moment($time->zone->day($time->first)->start))->where('starts_at', '<=', $now)
            ->with('task:id,area_id,hours_set_id,demand,deleted_at', 'task.area:id,hours_set_id')->get()->toBase();
    }

    /**
     * @param  Collection<int, Block>  $blocks
     * @return list<CoreBlock>
     */
    private static function coreBlocks(Collection $blocks, bool $anchored): array
    {
        return array_values($blocks->map(
            static fn (Block $block): CoreBlock => new CoreBlock((string) $block->task_id, RowMapper::time($block), $anchored),
        )->all());
    }

    /**
     * @param  array<int, IntervalSet>  $hours
     * @return array<IntervalSet> by the set's id
     */
    private static function byName(array $hours): array
    {
        $named = [];
        foreach ($hours as $id => $set) {
            $named[(string) $id] = $set;
        }

        return $named;
    }
}
