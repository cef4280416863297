<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Find\Search;
use App\Models\Task;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Rows\Candidate;
use App\Rows\Candidates;
use App\Rows\Desk;
use App\Rows\PastRatios;
use App\Rows\Steps;
use App\Rows\WhatIf;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Estimate\Correction;
use Nekto\Core\Pressure\Answer;
use Nekto\Core\Pressure\Push;
use Nekto\Core\Task\Importance;
use Nekto\Core\Text\Folded;

/** What Weigh shows: the field, the stack of what is unweighed, or the plain list. */
final readonly class WeighScreen
{
    /** Marks that can be told apart at all. */
    private const MARKS = 320;

    private const ROWS = 50;

    /** What the list can be grouped by. */
    public const GROUPS = ['none', 'answer', 'due', 'project', 'area'];

    public function __construct(private Desk $desk, private PastRatios $past, private Prospects $prospects) {}

    public function field(User $user, CarbonImmutable $now, ?int $item, ?string $zoom): FieldPage
    {
        $open = $this->desk->open();
        $time = $this->desk->time();
        $lens = $this->desk->lens();
        $all = $lens->narrow($open->all());
        $unweighed = $lens->narrow($open->unweighed());
        $shown = Candidate::byPull($lens->narrow($open->weighed()))->take(self::MARKS);
        $tasks = $this->desk->tasks([...$shown->keys()->all(), ...$unweighed->keys()->take(6)->all(), ...($item === null ? [] : [$item])]);
        $current = $item !== null && isset($tasks[$item], $all[$item]) ? $item : $unweighed->keys()->first();
        $axis = Axis::of(Moments::today($user, $now), $time, $zoom);
        $field = new Field($axis, $open->curves[$time->sets->first()->id ?? 0] ?? null);

        return new FieldPage(
            axis: $axis,
            zoom: $zoom,
            marks: $field->marks($shown->except([$current]), $tasks),
            lines: $field->lines(),
            unweighed: $unweighed,
            weighedCount: count($all) - count($unweighed),
            tasks: $tasks,
            chances: $this->prospects->chances($user, $now),
            current: $current === null ? null : $this->card($user, $tasks[$current], $all[$current], $axis),
            place: $current === null ? 0 : (int) array_search($current, $unweighed->keys()->all(), true) + 1,
            projects: $user->projects()->whereNull('done_at')->pluck('name'),
        );
    }

    public function list(User $user, CarbonImmutable $now, string $group, bool $whole): ListPage
    {
        $unweighed = $this->desk->lens()->narrow($this->desk->open()->unweighed());
        $weighed = Candidate::byPull($this->desk->lens()->narrow($this->desk->open()->weighed()));
        $shown = $whole ? $weighed : $weighed->take(self::ROWS);
        $first = $unweighed->take(self::ROWS);
        $tasks = $this->desk->tasks([...$first->keys()->all(), ...$shown->keys()->all()]);
        $projects = $user->projects()->whereNull('done_at')->pluck('name', 'id');

        $before = Steps::of($user)->before;
        $titles = $before === [] ? [] : DB::table('tasks')->where('user_id', $user->id)->whereIn('id', array_values($before))->pluck('title', 'id')->all();

        return new ListPage(
            before: $before === [] ? [] : array_replace(array_fill_keys(array_values($before), ''), array_map(static fn (string $title): string => __('task.waits_for', ['title' => $title]), array_filter(array_map(static fn (int $id): ?string => $titles[$id] ?? null, $before)))),
            user: $user, now: $now, unweighed: $first, unweighedCount: count($unweighed), weighedCount: count($weighed), shown: count($shown),
            chances: $this->prospects->chances($user, $now),
            tasks: $tasks, group: $group, areas: $this->desk->areas()->values(), projects: $projects,
            groups: $shown->groupBy(static fn (Candidate $one): string => self::group($one, $tasks[$one->id] ?? null, $group, $user, $projects), preserveKeys: true)->sortKeys(),
        );
    }

    /**
     * What a task would weigh, for the card, while it is being weighed; nothing if another window has settled it meanwhile.
     *
     * @param  array{due_on: string|null, due_at: CarbonImmutable|null}  $due
     */
    public function weighed(User $user, Task $task, ?Importance $importance, array $due, ?int $minutes, CarbonImmutable $now): Card
    {
        $one = Candidates::of($this->desk, new WhatIf($task->id, $importance, $due['due_on'], $due['due_at']?->utc()->toDateTimeString(), $minutes))->one($task->id) ?? abort(404);

        return $this->card($user, $task, $one, Axis::of($this->desk->today(), $this->desk->time(), null), $minutes);
    }

    private function card(User $user, Task $task, Candidate $one, Axis $axis, ?int $minutes = null): Card
    {
        $minutes ??= $task->estimate;
        $task->loadMissing('project');
        $correction = Correction::of($this->past->pairs($user), (string) $task->area_id, $task->demand, $minutes ?? 30);
        $similar = $this->similar($user, $task);

        return new Card(
            task: $task,
            one: $one,
            answer: Answer::of($one->importance, $one->pressure(), $task->push),
            likely: $minutes !== null && $correction->isReliable() ? $correction->likely($minutes) : null,
            careful: $minutes !== null && $correction->isReliable() ? $correction->carefully($minutes) : null,
            similar: $similar,
            x: $axis->place($one->due),
            y: (4.5 - ($one->importance->value ?? 2.5)) / 4,
        );
    }

    /**
     * Finished work with a like name, and what it took.
     *
     * @return array{title: string, minutes: int}|null
     */
    private function similar(User $user, Task $task): ?array
    {
        $words = array_slice(array_filter(Folded::words($task->title), static fn (string $word): bool => mb_strlen($word) > 3 && ! ctype_digit($word)), 0, 6);
        if ($words === []) {
            return null;
        }
        $match = implode(' OR ', array_map(static fn (string $word): string => "\"{$word}\"", $words));
        $rows = DB::select(
            'select t.title, '.Worked::sum($this->desk->now).' as minutes from search s join tasks t on t.id = s.rowid / 8 join entries on entries.task_id = t.id and entries.break = 0 and entries.ends_at is not null
             where s.search match ? and s.user_id = ? and s.kind = \'tasks\' and t.done_at is not null and t.deleted_at is null and t.id <> ? group by t.id having minutes > 0 order by s.rank limit 5',
            [Search::ownedBy($user, 'words : ('.$match.')'), $user->id, $task->id],
        );
        foreach ($rows as $row) {
            $shared = array_filter($words, static fn (string $word): bool => str_contains(Folded::of((string) $row->title), $word));
            if (2 * count($shared) > count($words)) {
                return ['title' => (string) $row->title, 'minutes' => (int) $row->minutes];
            }
        }

        return null;
    }

    /** @param  Collection<int, string>  $projects  names by id */
    private static function group(Candidate $one, ?Task $task, string $group, User $user, Collection $projects): string
    {
        return match ($group) {
            'answer' => self::answer(Answer::of($one->importance, $one->pressure(), $task->push ?? Push::None) ?? Answer::LetGo),
            'due' => $task === null ? '' : (($task->due_at === null ? $task->due_on : $user->local($task->due_at)->format('Y-m-d')) ?? __('find.in_no.due')),
            'project' => $projects[$task->project_id ?? 0] ?? __('find.in_no.project'),
            'area' => $task->area->name ?? '',
            default => '',
        };
    }

    /** With its place among the answers before it, to be sorted by. */
    private static function answer(Answer $answer): string
    {
        return array_search($answer, Answer::cases(), true).' '.__("weigh.answers.{$answer->value}");
    }
}
