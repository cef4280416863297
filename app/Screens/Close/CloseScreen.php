<?php

declare(strict_types=1);

namespace App\Screens\Close;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Screens\Frame\Ribbon;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Time\LocalDay;

/** The day's account like a bill: planned, actual, difference; what is unfinished and where it went; tomorrow's sketch. */
final readonly class CloseScreen
{
    public const ASK_AFTER = 4;

    public function __construct(private Desk $desk, private PastRatios $past) {}

    public function of(User $user, LocalDay $day, CarbonImmutable $now): ClosePage
    {
        $time = $this->desk->timeOn($day);
        $this->desk->readBlocks($day, $day->plusDays(1));
        $span = $time->zone->day($day);
        [$from, $until] = [Moments::moment($span->start), Moments::moment($span->end)];
        $blocks = $this->desk->blocksOn($day);
        $entries = $user->entries()->where('starts_at', '>=', $from)->where('starts_at', '<', $until)->orderBy('starts_at')->get();
        $tasks = $blocks->map(static fn (Block $block): Task => $block->task)->keyBy('id');
        $other = $this->desk->tasks(array_values($entries->pluck('task_id')->filter()->diff($tasks->keys())->unique()->all()));
        $rows = $this->rows($tasks->union($other), $blocks, $entries, $now);
        $meetings = $time->occurrences->filter(static fn (Occurrence $one): bool => $one->interrupts() && $one->starts_at < $until && $one->ends_at > $from);
        $held = (int) $meetings->filter(static fn (Occurrence $one): bool => $one->ends_at <= $now)->sum(static fn (Occurrence $one): int => RowMapper::time($one)->length());
        $next = $day->plusDays(1);
        $nextTime = $this->desk->timeOn($next);
        $coming = $this->desk->blocksOn($next);

        return new ClosePage(
            day: $day,
            entries: $entries,
            titles: $tasks->union($other)->map(static fn (Task $task): string => $task->title)->all(),
            areas: collect($rows)->groupBy(static fn (DayRow $row): int => $row->area->id),
            planned: (int) array_sum(array_column($rows, 'planned')),
            actual: (int) array_sum(array_column($rows, 'actual')),
            breaks: (int) $entries->where('break', true)->sum(static fn (Entry $one): int => (int) $one->starts_at->diffInMinutes($one->ends_at ?? $now)),
            meetings: $meetings,
            held: $held,
            unplanned: array_values(array_filter($rows, static fn (DayRow $row): bool => $row->planned === 0)),
            keys: $this->keys($user, $day, $until, $now),
            unfinished: $this->unfinished($user, $rows, $until, $now),
            taught: $this->taught($user, $rows),
            closed: $user->closedDays()->firstWhere('date', $day->asString()),
            tomorrow: Ribbon::of($nextTime, $coming, $now),
            tomorrowDate: $next,
            tomorrowMinutes: (int) $coming->sum(static fn (Block $block): int => RowMapper::time($block)->length()),
        );
    }

    /**
     * The day's key tasks, with or without a time on it: kept are those done before it ended.
     *
     * @return array<int, array{title: string, state: string}> by task id
     */
    private function keys(User $user, LocalDay $day, CarbonImmutable $until, CarbonImmutable $now): array
    {
        $picks = new Picks($user, Moments::today($user, $now));

        return $picks->of($user->tasks()->where('key', true)->getQuery(), $day)->orderBy('id')->get()->mapWithKeys(static fn (Task $task): array => [$task->id => [
            'title' => $task->title,
            'state' => match (true) {
                $task->done_at !== null && $task->done_at < $until => __('close.keys.kept'),
                $now < $until => __('close.keys.open'),
                default => __('close.keys.missed'),
            },
        ]])->all();
    }

    /**
     * @param  Collection<int, Task>  $tasks
     * @param  Collection<int, Block>  $blocks
     * @param  Collection<int, Entry>  $entries
     * @return list<DayRow>
     */
    private function rows(Collection $tasks, Collection $blocks, Collection $entries, CarbonImmutable $now): array
    {
        $rows = [];
        foreach ($tasks as $task) {
            $own = $blocks->where('task_id', $task->id);
            $planned = self::planned($task, $own, $now);
            $actual = Worked::minutes($entries->where('task_id', $task->id), $now);
            $rows[] = new DayRow($task, $task->area, $planned, $actual, match (true) {
                $task->done_at !== null => DayState::Done,
                $planned === 0 => DayState::NotPlanned,
                $actual > 0 => DayState::PartDone,
                $own->contains(static fn (Block $block): bool => $block->state === BlockState::Planned && $block->ends_at > $now) => DayState::ToCome,
                default => DayState::NotBegun,
            });
        }
        usort($rows, static fn (DayRow $a, DayRow $b): int => [$a->area->id, -$a->planned] <=> [$b->area->id, -$b->planned]);

        return $rows;
    }

    /**
     * What was placed again that day counts once, also where that went by as well.
     *
     * @param  Collection<int, Block>  $own
     */
    private static function planned(Task $task, Collection $own, CarbonImmutable $now): int
    {
        $length = static fn (Block $block): int => RowMapper::time($block)->length();
        $stood = $own->reject(static fn (Block $block): bool => $block->state === BlockState::Passed);
        if ($stood->isNotEmpty()) {
            return (int) $stood->sum($length);
        }
        $whole = (int) $own->sum($length);

        return $task->done_at === null && $task->said !== null ? min($whole, max($task->minutesToPlan($now), (int) $own->max($length))) : $whole;
    }

    /**
     * @param  list<DayRow>  $rows
     * @return list<array{task: Task, state: DayState, next: Block|null}>
     */
    private function unfinished(User $user, array $rows, CarbonImmutable $until, CarbonImmutable $now): array
    {
        $open = array_values(array_filter($rows, static fn (DayRow $row): bool => $row->state->isUnfinished()));
        $next = $user->blocks()->whereIn('task_id', array_map(static fn (DayRow $row): int => $row->task->id, $open))->where('state', BlockState::Planned)->where('ends_at', '>', $now)->orderBy('starts_at')->get()->groupBy('task_id');

        return array_map(static fn (DayRow $row): array => ['task' => $row->task, 'state' => $row->state, 'next' => ($next[$row->task->id] ?? null)?->first()], $open);
    }

    /**
     * @param  list<DayRow>  $rows
     * @return list<array{title: string, estimate: int, actual: int, likely: float|null}>
     */
    private function taught(User $user, array $rows): array
    {
        $pairs = $this->past->pairs($user);
        $taught = [];
        foreach ($rows as $row) {
            if ($row->state === DayState::Done && $row->actual > 0 && $row->task->estimate !== null) {
                $correction = Correction::of($pairs, (string) $row->area->id, $row->task->demand, $row->task->estimate);
                $taught[] = ['title' => $row->task->title, 'estimate' => $row->task->estimate, 'actual' => $row->actual, 'likely' => $correction->isReliable() ? $correction->median : null];
            }
        }

        return $taught;
    }
}
