<?php

declare(strict_types=1);

namespace App\Rows;

use App\Models\Area;
use App\Models\Block;
use App\Models\Task;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection as Rows;
use Illuminate\Support\Collection;
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

    private ?PlannedTimes $planned = null;

    private ?OpenTasks $open = null;

    /** @var Collection<int, Area>|null by id */
    private ?Collection $areas = null;

    /** @var array<int, Task|null> by id */
    private array $tasks = [];

    /** @var array<int, Rows<int, Block>> by the day's number */
    private array $blocks = [];

    private ?User $user = null;

    /** @param  \Closure(): User  $person  asked when first needed: what is made for a request may be made before its sign-in is read */
    public function __construct(private readonly \Closure $person, public readonly CarbonImmutable $now, private readonly WorkTimeLoader $times) {}

    public function user(): User
    {
        return $this->user ??= ($this->person)();
    }

    public function forget(): void
    {
        $this->time = $this->planned = $this->open = $this->areas = null;
        $this->tasks = $this->blocks = [];
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

    /** The same from a day on; of a single day by itself, read by itself where no more is known yet. */
    public function timeFrom(LocalDay $day, int $days = self::DAYS): WorkTime
    {
        return match (true) {
            $days === 1 && $this->time?->covers($day) === true => $this->time->on($day),
            $days > 1 && $day->equals($this->today()) => $this->time(),
            default => $this->times->load($this->user(), $day, $days),
        };
    }

    public function planned(): PlannedTimes
    {
        return $this->planned ??= PlannedTimes::of($this->user());
    }

    public function open(): OpenTasks
    {
        return $this->open ??= Candidates::of($this->user(), $this->planned(), $this->time(), $this->now);
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
            foreach ($this->user()->tasks()->withTrashed()->whereIn('id', $missing)->get() as $task) {
                $this->tasks[$task->id] = $task->setRelation('user', $this->user())->setRelation('area', $this->areas()[$task->area_id] ?? throw new \LogicException('Every task is in an area.'));
            }
        }

        return (new Collection($ids))->mapWithKeys(fn (int $id): array => [$id => $this->tasks[$id] ?? null])->filter();
    }

    /** @return Rows<int, Block> of a day, with tasks and areas, by start */
    public function blocksOn(LocalDay $day): Rows
    {
        return $this->blocks[$day->number] ??= $this->read($day);
    }

    /** @return Rows<int, Block> */
    private function read(LocalDay $day): Rows
    {
        $blocks = Blocks::during($this->user(), Zones::named($this->user()->zone)->day($day))->get();
        $tasks = $this->tasks(array_values(array_unique($blocks->pluck('task_id')->all())));
        foreach ($blocks as $block) {
            $block->setRelation('task', $tasks[$block->task_id] ?? throw new \LogicException('Every block has a task.'))->setRelation('user', $this->user());
        }

        return $blocks;
    }
}
