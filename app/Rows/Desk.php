<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Area;
use App\Models\Block;
use App\Models\ClosedDay;
use App\Models\Promise;
use App\Models\Task;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection as Rows;
use Illuminate\Support\Collection;
use Nekto\Core\Time\Interval;
use Nekto\Core\Time\LocalDay;

/**
 * What a page looks at of a person's rows, each read once, when it is first asked for. One for each request; whoever
 * changes rows afterwards lets it forget().
 */
final class Desk
{
    /** Due dates further ahead than this are measured against the open time of so many days. */
    public const DAYS = 92;

    private ?WorkTime $time = null;

    private ?WorkTime $near = null;

    /** @var array<int, WorkTime> by the day's number */
    private array $days = [];

    private ?PlannedTimes $planned = null;

    private ?OpenTasks $open = null;

    /** @var Collection<int, Area>|null by id */
    private ?Collection $areas = null;

    /** @var array<int, Task|null> by id */
    private array $tasks = [];

    /** @var array<int, Rows<int, Block>> by the day's number */
    private array $blocks = [];

    /** @var array<int, array{Promise|null, ClosedDay|null}> by the day's number */
    private array $kept = [];

    private ?Milestones $milestones = null;

    /** @var array<int, int>|null minutes by task */
    private ?array $begunLate = null;

    private ?User $user = null;

    private ?Lens $lens = null;

    /** @param  \Closure(): User  $person  asked when first needed: what is made for a request may be made before its sign-in is read */
    public function __construct(private readonly \Closure $person, public readonly CarbonImmutable $now, private readonly WorkTimeLoader $times) {}

    public function user(): User
    {
        return $this->user ??= ($this->person)();
    }

    public function forget(): void
    {
        $this->time = $this->near = $this->planned = $this->open = $this->areas = $this->lens = $this->milestones = $this->begunLate = null;
        $this->tasks = $this->blocks = $this->days = $this->kept = [];
    }

    /** Minutes of a task's work that no block stands for: of what is to plan, without what is laid out and to come, no further than until if that is said. */
    public function unplaced(Candidate $one, int $until = PHP_INT_MAX): int
    {
        $this->begunLate ??= Blocks::begunLate($this->user(), $this->blocksOn($this->today())->toBase(), $this->now);

        return max(0, $one->toPlan - $this->planned()->minutesAhead($one->id, Moments::minute($this->now), $until) - ($until > Moments::minute($this->now) ? $this->begunLate[$one->id] ?? 0 : 0));
    }

    public function milestones(): Milestones
    {
        return $this->milestones ??= Milestones::of($this->user());
    }

    public function today(): LocalDay
    {
        return Moments::today($this->user(), $this->now);
    }

    /** Hours and meetings from today on, as far ahead as any screen looks. */
    public function time(): WorkTime
    {
        return $this->time ??= $this->times->load($this->user(), $this->today(), self::DAYS);
    }

    /** The same from a day on; the past is read by itself. */
    public function timeFrom(LocalDay $day): WorkTime
    {
        return $day->equals($this->today()) ? $this->time() : $this->times->load($this->user(), $day, self::DAYS);
    }

    /** The same of a single day. */
    public function timeOn(LocalDay $day): WorkTime
    {
        return $this->days[$day->number] ??= $this->near($day)?->on($day) ?? $this->times->load($this->user(), $day, 1);
    }

    /** What is read of a day already; of today and tomorrow, which screens show together, no more than these is read. */
    private function near(LocalDay $day): ?WorkTime
    {
        if ($this->time?->covers($day) === true) {
            return $this->time;
        }
        if ($day->number === $this->today()->number || $day->number === $this->today()->number + 1) {
            return $this->near ??= $this->times->load($this->user(), $this->today(), 2);
        }

        return null;
    }

    /**
     * What is kept of a day, in one query. Read before its blocks, the tasks that were promised are read with theirs.
     *
     * @return array{Promise|null, ClosedDay|null}
     */
    public function kept(LocalDay $day): array
    {
        if (isset($this->kept[$day->number])) {
            return $this->kept[$day->number];
        }
        $user = $this->user();
        $rows = ClosedDay::query()->toBase()->selectRaw("'closed' as which, id, user_id, date, went_well, in_the_way, tomorrow, slips, closed_at, account, null as taken_at, null as how, null as tasks")
            ->where('user_id', $user->id)->where('date', $day->asString())
            ->unionAll(Promise::query()->toBase()->selectRaw("'promise', id, user_id, date, null, null, null, null, null, null, taken_at, how, tasks")->where('user_id', $user->id)->where('date', $day->asString()))->get()->keyBy('which');
        $promise = $rows->get('promise');
        $closed = $rows->get('closed');

        return $this->kept[$day->number] = [
            $promise === null ? null : (new Promise)->newFromBuilder(array_intersect_key((array) $promise, array_flip(['id', 'user_id', 'date', 'taken_at', 'how', 'tasks']))),
            $closed === null ? null : (new ClosedDay)->newFromBuilder(array_diff_key((array) $closed, array_flip(['which', 'taken_at', 'how', 'tasks']))),
        ];
    }

    public function planned(): PlannedTimes
    {
        return $this->planned ??= PlannedTimes::of($this->user());
    }

    public function open(): OpenTasks
    {
        return $this->open ??= Candidates::of($this);
    }

    /** What the person looks through. */
    public function lens(): Lens
    {
        if ($this->lens === null) {
            $id = $this->user()->lens_id;
            $group = $id === null ? null : $this->user()->calendarGroups()->find($id);
            $this->lens = $group === null ? Lens::none() : Lens::of($group, $this->areas());
        }

        return $this->lens;
    }

    /** @return Collection<int, Area> by id, in their order */
    public function areas(): Collection
    {
        return $this->areas ??= $this->user()->areas()->get()->keyBy('id')->toBase();
    }

    /**
     * The person's own of them, let go ones too, with areas; those known already are not asked for again.
     *
     * @param  list<int>  $ids
     * @return Collection<int, Task> by id
     */
    public function tasks(array $ids): Collection
    {
        $missing = array_values(array_diff(array_unique($ids), array_keys($this->tasks)));
        if ($missing !== []) {
            $this->tasks += array_fill_keys($missing, null);
            foreach ($this->user()->tasks()->withTrashed()->counted($this->now)->selectRaw('(select name from projects where projects.id = tasks.project_id and projects.deleted_at is null) as project_name')->whereIn('id', $missing)->get() as $task) {
                $this->tasks[$task->id] = $task->setRelation('user', $this->user())->setRelation('area', $this->areas()[$task->area_id] ?? throw new \LogicException('Every task is in an area.'));
            }
        }

        return (new Collection($ids))->mapWithKeys(fn (int $id): array => [$id => $this->tasks[$id] ?? null])->filter();
    }

    /** @return Rows<int, Block> of a day, with tasks and areas, by start */
    public function blocksOn(LocalDay $day): Rows
    {
        if (! isset($this->blocks[$day->number])) {
            $this->readBlocks($day, $day);
        }

        return $this->blocks[$day->number];
    }

    /** Reads the blocks of some days at once, for blocksOn(). */
    public function readBlocks(LocalDay $first, LocalDay $last): void
    {
        $zone = Zones::named($this->user()->zone);
        $blocks = Blocks::during($this->user(), new Interval($zone->day($first)->start, $zone->day($last)->end))->get();
        $tasks = $this->tasks(array_values(array_unique([...$blocks->pluck('task_id')->all(), ...array_column($this->kept[$first->number][0]->tasks ?? [], 'task')])));
        foreach ($blocks as $block) {
            $block->setRelation('task', $tasks[$block->task_id] ?? throw new \LogicException('Every block has a task.'))->setRelation('user', $this->user());
        }
        for ($number = $first->number; $number <= $last->number; $number++) {
            $day = $zone->day(new LocalDay($number));
            $this->blocks[$number] = $blocks->filter(static fn (Block $block): bool => RowMapper::time($block)->overlaps($day))->values();
        }
    }
}
