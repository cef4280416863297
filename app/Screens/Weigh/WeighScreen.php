<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Models\Task;
use App\Models\User;
use App\Rows\Candidate;
use App\Rows\Candidates;
use App\Rows\PastRatios;
use App\Rows\PlannedTimes;
use App\Rows\WorkTime;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Pressure\Answer;
use Nekto\Core\Pressure\DemandCurve;
use Nekto\Core\Pressure\Pull;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\Timeline;

/** What Weigh shows: the field, the stack of what is unweighed, or the plain list. */
final readonly class WeighScreen
{
    /** Marks that can be told apart at all. */
    private const MARKS = 320;

    private const ROWS = 50;

    public const GROUPS = ['none' => 'one list', 'answer' => 'by answer', 'due' => 'by date', 'project' => 'by project', 'area' => 'by area'];

    public function __construct(private Candidates $candidates, private PastRatios $past) {}

    /** @return array<string, mixed> */
    public function field(User $user, CarbonImmutable $now, ?int $item, ?string $zoom): array
    {
        [$all, $time] = $this->all($user, $now);
        $unweighed = $all->filter(static fn (Candidate $one): bool => $one->importance === null);
        $shown = Candidate::byPull($all->filter(static fn (Candidate $one): bool => $one->importance !== null))->take(self::MARKS);
        $tasks = $user->tasks()->with(['area', 'project'])->findMany([...$shown->keys()->all(), ...$unweighed->keys()->take(6)->all(), (int) $item])->keyBy('id');
        $current = $item !== null && isset($tasks[$item], $all[$item]) ? $item : $unweighed->keys()->first();
        $axis = Axis::of(Moments::today($user, $now), $time, $zoom);
        $field = new Field($axis, $this->mainCurve($all, $time, $now));

        return [
            'axis' => $axis,
            'zoom' => $zoom,
            'marks' => $field->marks($shown->except([$current]), $tasks),
            'lines' => $field->lines(),
            'unweighed' => $unweighed,
            'weighedCount' => count($all) - count($unweighed),
            'tasks' => $tasks,
            'current' => $current === null ? null : $this->card($user, $tasks[$current], $all[$current], $axis),
            'place' => $current === null ? 0 : (int) array_search($current, $unweighed->keys()->all(), true) + 1,
            'projects' => $user->projects()->whereNull('done_at')->pluck('name'),
        ];
    }

    /** @return array<string, mixed> */
    public function list(User $user, CarbonImmutable $now, string $group, bool $whole): array
    {
        [$all] = $this->all($user, $now);
        [$unweighed, $weighed] = $all->partition(static fn (Candidate $one): bool => $one->importance === null);
        $weighed = Candidate::byPull($weighed);
        $shown = $whole ? $weighed : $weighed->take(self::ROWS);
        $first = $unweighed->take(self::ROWS);
        $tasks = $user->tasks()->with(['area', 'project'])->findMany([...$first->keys(), ...$shown->keys()])->keyBy('id');

        return [
            'user' => $user, 'now' => $now, 'unweighed' => $first, 'unweighedCount' => count($unweighed), 'weighedCount' => count($weighed), 'shown' => count($shown),
            'tasks' => $tasks, 'group' => $group, 'areas' => $user->areas()->get(), 'projects' => $user->projects()->whereNull('done_at')->pluck('name', 'id'),
            'groups' => $shown->groupBy(static fn (Candidate $one): string => self::group($one, $tasks[$one->id] ?? null, $group, $user), preserveKeys: true)->sortKeys(),
        ];
    }

    /**
     * What a task would weigh, for the card, while it is being weighed.
     *
     * @return array<string, mixed>
     */
    public function weighed(User $user, Task $task, ?Importance $importance, ?string $dueOn, ?int $minutes, CarbonImmutable $now): array
    {
        [$all, $time] = $this->all($user, $now);
        $due = $time->due($dueOn, null, $task->hoursSet());
        $demand = $due === null ? null : $this->curve($all, $time, $now, $task->hoursSet(), $task->id, [$due, (int) $minutes])->at($due);
        $one = new Candidate($task->id, $importance, $minutes, 0, $due, $demand, Pull::of($importance, $demand?->pressure(), $task->push));
        $axis = Axis::of(Moments::today($user, $now), $time, null);

        return $this->card($user, $task, $one, $axis, $minutes);
    }

    /** @return array{Collection<int, Candidate>, WorkTime} */
    private function all(User $user, CarbonImmutable $now): array
    {
        $time = $this->candidates->time($user, Moments::today($user, $now));

        return [$this->candidates->of($user, PlannedTimes::of($user), $time, $now), $time];
    }

    /** @return array<string, mixed> */
    private function card(User $user, Task $task, Candidate $one, Axis $axis, ?int $minutes = null): array
    {
        $minutes ??= $task->estimate;
        $correction = Correction::of($this->past->pairs($user), (string) $task->area_id, $task->demand, $minutes ?? 30);
        $similar = $this->similar($user, $task);

        return [
            'task' => $task,
            'one' => $one,
            'answer' => Answer::of($one->importance, $one->pressure(), $task->push),
            'likely' => $minutes !== null && $correction->isReliable() ? $correction->likely($minutes) : null,
            'careful' => $minutes !== null && $correction->isReliable() ? $correction->carefully($minutes) : null,
            'similar' => $similar,
            'x' => $axis->place($one->due),
            'y' => (4.5 - ($one->importance->value ?? 2.5)) / 4,
        ];
    }

    /**
     * Finished work with a like name, and what it took.
     *
     * @return array{title: string, minutes: int}|null
     */
    private function similar(User $user, Task $task): ?array
    {
        $words = array_slice(array_filter(preg_split('/[^\p{L}]+/u', mb_strtolower($task->title)) ?: [], static fn (string $word): bool => mb_strlen($word) > 3), 0, 6);
        if ($words === []) {
            return null;
        }
        $match = implode(' OR ', array_map(static fn (string $word): string => "\"{$word}\"", $words));
        $rows = DB::select(
            "select t.title, sum(strftime('%s', e.ends_at) - strftime('%s', e.starts_at)) / 60 as minutes from search s join tasks t on t.id = s.rowid / 4 join entries e on e.task_id = t.id and e.ends_at is not null
             where s.search match ? and s.user_id = ? and s.kind = 'tasks' and t.done_at is not null and t.deleted_at is null and t.id <> ? group by t.id having minutes > 0 order by s.rank limit 5",
            ['title : ('.$match.')', $user->id, $task->id],
        );
        foreach ($rows as $row) {
            $shared = array_filter($words, static fn (string $word): bool => str_contains(mb_strtolower((string) $row->title), $word));
            if (2 * count($shared) > count($words)) {
                return ['title' => (string) $row->title, 'minutes' => (int) $row->minutes];
            }
        }

        return null;
    }

    /** @param  Collection<int, Candidate>  $all */
    private function mainCurve(Collection $all, WorkTime $time, CarbonImmutable $now): ?DemandCurve
    {
        $set = $time->sets->first()?->id;

        return $set === null ? null : $this->curve($all, $time, $now, $set, 0, null);
    }

    /**
     * @param  Collection<int, Candidate>  $all
     * @param  array{int, int}|null  $more  due moment and minutes of a task that is being weighed
     */
    private function curve(Collection $all, WorkTime $time, CarbonImmutable $now, int $set, int $without, ?array $more): DemandCurve
    {
        $work = $more === null ? [] : [$more];
        foreach ($all as $id => $one) {
            if ($one->due !== null && $one->importance !== null && $id !== $without && $one->set === $set) {
                $work[] = [$one->due, (int) $one->left];
            }
        }

        return new DemandCurve($work, new Timeline($time->open($set)), Moments::minute($now));
    }

    private static function group(Candidate $one, ?Task $task, string $group, User $user): string
    {
        return match ($group) {
            'answer' => ['do_now' => '1 Do now', 'make_time' => '2 Make time', 'hand_off' => '3 Hand off', 'let_go' => '4 Let go'][Answer::of($one->importance, $one->pressure())->value ?? 'let_go'],
            'due' => $task === null ? '' : (($task->due_at === null ? $task->due_on : $user->local($task->due_at)->format('Y-m-d')) ?? 'No date'),
            'project' => $task->project->name ?? 'In no project',
            'area' => $task->area->name ?? '',
            default => '',
        };
    }
}
