<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Task;
use App\Models\User;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\Steps;
use App\Rows\WorkTime;
use App\Rows\WorkTimeLoader;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Plan\Block as CoreBlock;
use Nekto\Core\Plan\DayLimit;
use Nekto\Core\Plan\PlanningProblem;
use Nekto\Core\Plan\Tempo;
use Nekto\Core\Task\DueDate;
use Nekto\Core\Task\Importance;
use Nekto\Core\Task\Task as CoreTask;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\IntervalSet;
use Nekto\Core\Time\LocalDay;

/** Reads a person's open work as a planning problem, in nine queries. */
final readonly class ProblemLoader
{
    /** Minutes of the local day from and until. */
    private const PARTS = ['morning' => [0, 720], 'afternoon' => [720, 1080], 'evening' => [1080, 1440]];

    /** Nobody likes to be taken from what takes so few minutes: it is done in one go. */
    private const IN_ONE_GO = 30;

    public function __construct(private WorkTimeLoader $times) {}

    /**
     * @param  bool  $afresh  true: no regard to the last plan; false: calm
     * @param  list<int>  $hold  tasks whose blocks stay where they are
     */
    public function load(User $user, CarbonImmutable $now, bool $afresh, array $hold = []): LoadedProblem
    {
        $today = RowMapper::today($user, $now);
        $time = $this->times->load($user, $today, (int) config('nekto.horizon_days'));
        $tasks = $user->tasks()->plannable()->with('area')->orderBy('id')->get()->keyBy('id');
        $blocks = $user->blocks()->where('state', BlockState::Planned)->orderBy('starts_at')->get()
            ->filter(static fn (Block $block): bool => $tasks->has($block->task_id))->values();
        $running = $this->running($user, $blocks);
        [$fixed, $movable] = $blocks->partition(static fn (Block $block): bool => self::isFixed($block, $now, in_array($block->task_id, $hold, true), $running));
        $waiting = $afresh ? collect() : $movable->filter(static fn (Block $block): bool => $block->kept && RowMapper::end($block) <= RowMapper::minute($now));
        $movable = $movable->diff($waiting)->values();
        $anchored = self::coreBlocks($fixed, true);
        $step = (int) config('nekto.step');
        $left = $this->minutesToPlace($tasks, $waiting, $step);
        $steps = Steps::of($user);
        $picks = new Picks($user, $today);
        $worked = $this->workedToday($user, $time, $now);
        $spent = $worked->groupBy('task_id')->map(static fn (Collection $some): int => (int) $some->sum(static fn (Block $block): int => RowMapper::time($block)->length()))->all();

        return new LoadedProblem(new PlanningProblem(
            zone: $time->zone,
            now: RowMapper::minute($now),
            end: $time->span()->end,
            step: $step,
            hours: self::byName($time->hours),
            busy: $time->busy,
            tasks: array_values($tasks->filter(static fn (Task $task): bool => $left[$task->id] > 0)
                ->map(static fn (Task $task): CoreTask => self::task($task, $left, $time, $steps, $picks, $spent[$task->id] ?? 0, RowMapper::minute($now)))->all()),
            anchored: array_values(array_filter($anchored, static fn (CoreBlock $block): bool => $left[(int) $block->task] > 0)),
            previous: $afresh ? [] : self::coreBlocks($movable, false),
            deepLimit: new DayLimit($user->deep_limit),
            hoursLimits: $this->loadLines($time, $fixed, $worked, $tasks),
            parts: self::PARTS,
            tempo: Tempo::from($user->tempo),
        ), $time, $tasks, $movable);
    }

    /**
     * The block whose clock runs, if it does.
     *
     * @param  Collection<int, Block>  $blocks
     */
    private function running(User $user, Collection $blocks): ?Block
    {
        $id = $user->entries()->whereNull('ends_at')->whereNotNull('block_id')->value('block_id');

        return $id === null ? null : $blocks->firstWhere('id', $id);
    }

    /** Anchored, begun, put back by an undo or held: planning goes around it. A begun one yields to the one whose clock runs. */
    private static function isFixed(Block $block, CarbonImmutable $now, bool $held, ?Block $running): bool
    {
        $minute = RowMapper::minute($now);
        if ($running !== null && $running->id !== $block->id && ! $block->anchored && ! $block->kept && RowMapper::time($block)->overlaps(RowMapper::time($running))) {
            return false;
        }

        return RowMapper::end($block) > $minute && ($block->anchored || $block->kept || $held || RowMapper::start($block) <= $minute);
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  Collection<int, Block>  $waiting  past blocks that the person wants left where they are
     * @return array<int, int> minutes by task id, up to the next step
     */
    private function minutesToPlace(Collection $tasks, Collection $waiting, int $step): array
    {
        $left = [];
        foreach ($tasks as $task) {
            $left[$task->id] = (int) $task->minutes_left;
        }
        foreach ($waiting as $block) {
            $left[$block->task_id] -= RowMapper::time($block)->length();
        }

        return array_map(static fn (int $minutes): int => max(0, intdiv($minutes + $step - 1, $step) * $step), $left);
    }

    /**
     * @param  array<int, int>  $left  minutes by task id
     * @param  int  $worked  minutes of it today
     * @param  int  $now  minutes since 1970-01-01T00:00Z
     */
    private static function task(Task $task, array $left, WorkTime $time, Steps $steps, Picks $picks, int $worked, int $now): CoreTask
    {
        $before = $steps->before[$task->id] ?? 0;
        $minutes = $left[$task->id];
        $pick = $picks->day($task);
        $pick = $pick === null ? null : self::dayToBe($pick, $minutes, $time, $task->hoursSet(), $now);
        $due = $time->due($task->getAttributes()['due_on'], $task->getAttributes()['due_at'], $task->hoursSet());

        return new CoreTask(
            id: (string) $task->id,
            minutes: $minutes,
            importance: $task->importance ?? Importance::Low,
            hours: (string) $task->hoursSet(),
            due: $due === null ? null : new DueDate($due, $task->due_hard),
            notBefore: $task->not_before === null ? null : RowMapper::minute($task->not_before),
            minChunk: $task->splits && $minutes > min(self::IN_ONE_GO, $task->max_chunk) ? $task->min_chunk : $minutes,
            maxChunk: $task->splits ? $task->max_chunk : max($minutes, $task->max_chunk),
            after: ($left[$before] ?? 0) > 0 ? [(string) $before] : [],
            demand: $task->demand,
            part: $task->part,
            project: $task->project_id === null ? null : (string) $task->project_id,
            pick: $pick?->number,
            pickMinutes: Picks::share($minutes, $pick !== null && $pick->equals($time->first) ? $worked : 0),
            key: $task->key,
            waiting: isset($steps->stuck[$task->id]),
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

    /**
     * The load line of each day, less what of it was already worked today or is fixed without being anchored.
     *
     * @param  Collection<int, Block>  $fixed
     * @param  Collection<int, Block>  $worked  today
     * @param  Collection<int, Task>  $tasks
     * @return array<DayLimit> by the set's id
     */
    private function loadLines(WorkTime $time, Collection $fixed, Collection $worked, Collection $tasks): array
    {
        [$anchored, $begun] = $fixed->partition(static fn (Block $block): bool => $block->anchored);
        $spent = [];
        foreach ($worked->where('anchored', false) as $block) {
            $set = $block->task->hoursSet();
            $spent[$set][$time->first->number] = ($spent[$set][$time->first->number] ?? 0) + RowMapper::time($block)->length();
        }
        foreach ($begun as $block) {
            $day = $time->zone->dayOf(RowMapper::start($block))->number;
            $set = $tasks[$block->task_id]->hoursSet();
            $spent[$set][$day] = ($spent[$set][$day] ?? 0) + RowMapper::time($block)->length();
        }
        $taken = IntervalSet::covering(...$anchored->map(static fn (Block $block): Interval => RowMapper::time($block))->values()->all());
        $lines = [];
        foreach ($time->sets as $set) {
            $byDay = [];
            for ($i = 0; $i < $time->days; $i++) {
                $day = $time->first->plusDays($i);
                $byDay[$day->number] = max(0, $time->load($set->id, $day, $taken)->loadLine - ($spent[$set->id][$day->number] ?? 0));
            }
            $lines[(string) $set->id] = new DayLimit(null, $byDay);
        }

        return $lines;
    }

    /** @return Collection<int, Block> of today, done or worked in part */
    private function workedToday(User $user, WorkTime $time, CarbonImmutable $now): Collection
    {
        return $user->blocks()->whereIn('state', [BlockState::Done, BlockState::Part])
            ->where('starts_at', '>=', RowMapper::moment($time->zone->day($time->first)->start))->where('starts_at', '<=', $now)
            ->with('task:id,area_id,hours_set_id,deleted_at', 'task.area:id,hours_set_id')->get();
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
