<?php

declare(strict_types=1);

namespace App\Screens\Find;

use App\Catch\CaughtLine;
use App\Edits\DoneByLine;
use App\Find\Search;
use App\Models\Area;
use App\Models\Attachment;
use App\Models\Context;
use App\Models\Project;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Rows\DayWork;
use App\Rows\Desk;
use App\Time\Moments;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Text\Folded;

/** Everything of a person in one index, and what can be done with it. */
final readonly class FindScreen
{
    /** Entries of one kind. */
    private const MOST = 12;

    /** Tasks that a line could mean. */
    private const MEANT = 4;

    /** An hour more, as it would be picked. */
    private const HOUR = 60;

    private const DAYS_BACK = 9;

    private const DAYS_AHEAD = 13;

    /** Days between two that have their names written under them. */
    private const NAMES_APART = 5;

    public function __construct(private Desk $desk, private Search $search) {}

    public function of(User $user, string $words): FindPage
    {
        $now = $this->desk->now;
        $sought = Folded::words($words);
        $does = $this->does($user, $words);
        $found = (new Collection(($this->search)($user, $does === null ? $words : $does->words)))->groupBy('kind');
        $of = static fn (string $kind): array => $found->has($kind) ? $found[$kind]->pluck('id')->all() : [];
        $ids = [...$of('tasks'), ...($of('subtasks') === [] ? [] : $user->subtasks()->whereKey($of('subtasks'))->pluck('task_id')->all()), ...($of('attachments') === [] ? [] : $user->attachments()->whereKey($of('attachments'))->whereNotNull('task_id')->pluck('task_id')->all())];
        $inProjects = $does === null && $of('projects') !== [] ? $user->tasks()->whereNull('done_at')->whereIn('project_id', $user->projects()->whereKey($of('projects'))->get()->filter(static fn (Project $one): bool => self::isNamed($one->name, $sought))->modelKeys())->limit(self::MOST)->pluck('id')->all() : []; // its name stands for its tasks
        $rank = array_flip(array_values(array_unique([...$ids, ...$inProjects])));
        $tasks = $rank === [] ? new Collection : $user->tasks()->withTrashed()->counted($now)->getQuery()->whereKey(array_keys($rank))->with(['area', 'project'])->get()->sortBy(static fn (Task $task): int => $rank[$task->id])->values();
        [$open, $over] = $tasks->partition(static fn (Task $task): bool => $task->done_at === null && ! $task->trashed());
        $known = $this->desk->open();
        $open = $does === null ? $open->sortByDesc(static fn (Task $task): int => $known->one($task->id)?->pull->total() ?? -1)->values() : $open;
        $planned = $open->isEmpty() ? new Collection : $user->blocks()->planned()->whereIn('task_id', $open->pluck('id')->all())->where('ends_at', '>', $now)->orderBy('starts_at')->get()->groupBy('task_id');
        $groups = array_filter([
            'tasks' => $this->tasks($user, $open->take(self::MOST), $planned),
            'projects' => $this->projects($user, $of('projects'), $sought),
            'meetings' => $this->meetings($user, $found->get('meetings', new Collection), $found->get('meeting_notes', new Collection)),
            'mail' => $this->mail($user, $found->get('messages', new Collection)),
            'files' => self::files($user, $of('attachments')),
            'done' => $this->over($user, $over->take(self::MOST)),
            'places' => Places::of($sought),
        ]);
        [$load, $isOver] = $open->isEmpty() ? ['', false] : $this->load();

        return new FindPage(
            $words,
            $groups,
            array_sum(array_map(count(...), $groups)),
            $does === null ? [] : array_values($open->concat($over)->take(self::MEANT)->map(static fn (Task $task): array => ['task' => $task, 'does' => $does->said($task, $now)])->filter(static fn (array $one): bool => $one['does'] !== '')->all()),
            $sought,
            $this->lie($user, $open, $over, $planned),
            $load,
            $isOver,
        );
    }

    private function does(User $user, string $words): ?DoneByLine
    {
        return DoneByLine::of($user, (new CaughtLine($user, $this->desk->now))->parser, $words);
    }

    /**
     * @param  Collection<int, Task>  $open
     * @param  Collection<array-key, \Illuminate\Database\Eloquent\Collection<int, \App\Models\Block>>  $planned  blocks by task
     * @return list<Entry>
     */
    private function tasks(User $user, Collection $open, Collection $planned): array
    {
        $now = $this->desk->now;

        return array_values($open->map(function (Task $task) use ($user, $now, $planned): Entry {
            $one = $this->desk->open()->one($task->id);
            $block = $planned[$task->id][0] ?? null;
            $due = $task->due_at !== null ? Times::when($user, $task->due_at, $now) : ($task->due_on === null ? null : Times::day($user, CarbonImmutable::parse("{$task->due_on} 12:00", $user->zone), $now));

            return new Entry(
                "found-tasks-{$task->id}",
                $task->title,
                "/tasks/{$task->id}",
                $block !== null ? Times::when($user, $block->starts_at, $now) : ($due === null ? __("find.at.{$task->stage->value}") : __('find.no_block', ['due' => $due])),
                implode('; ', array_filter([
                    $task->project === null ? '' : __('find.in', ['project' => $task->project->name]),
                    $task->stage === TaskStage::Open ? '' : __("find.stages.{$task->stage->value}"),
                    $task->waiting_for === null ? '' : __('find.waits', ['person' => $task->waiting_for]),
                    $task->estimate === null ? '' : __('find.left', ['minutes' => Times::duration($task->minutesLeft($now))]),
                    $one?->importance === null ? '' : __('find.pull', ['pull' => $one->pull->total()]),
                ])),
                hue: $task->area->hue,
                task: $task,
                due: $due ?? __('find.at.open'),
            );
        })->all());
    }

    /**
     * @param  Collection<int, Task>  $over
     * @return list<Entry>
     */
    private function over(User $user, Collection $over): array
    {
        return array_values($over->map(fn (Task $task): Entry => new Entry(
            "found-tasks-{$task->id}", $task->title, "/tasks/{$task->id}", Times::day($user, $task->deleted_at ?? $task->done_at ?? $task->updated_at, $this->desk->now), $task->trashed() ? __('find.let_go') : '', $task->trashed() ? 'gone' : 'done', $task->area->hue, $task,
        ))->all());
    }

    /** @param  list<string>  $sought */
    private static function isNamed(string $name, array $sought): bool
    {
        return $sought !== [] && array_filter($sought, static fn (string $word): bool => ! str_contains(Folded::of($name), $word)) === [];
    }

    /**
     * Projects, and the areas and contexts whose names have the words.
     *
     * @param  list<int>  $ids
     * @param  list<string>  $sought
     * @return list<Entry>
     */
    private function projects(User $user, array $ids, array $sought): array
    {
        $projects = $ids === [] ? new Collection : $user->projects()->with('area')->withCount(['tasks as open_count' => static fn ($tasks) => $tasks->whereNull('done_at')])->whereKey($ids)->get()->sortBy(static fn (Project $one): int => (int) array_search($one->id, $ids, true))->take(self::MOST);
        $named = static fn (string $name): bool => self::isNamed($name, $sought);

        return [
            ...array_values($projects->map(static fn (Project $one): Entry => new Entry("found-projects-{$one->id}", $one->name, "/projects/{$one->id}", __('find.project'), trans_choice('find.open_tasks', (int) $one->getAttribute('open_count')).($one->done_at === null ? '' : ', '.__('find.closed')), hue: $one->area->hue))->all()),
            ...array_values($this->desk->areas()->filter(static fn (Area $one): bool => $named($one->name))->take(self::MOST)->map(static fn (Area $one): Entry => new Entry("found-areas-{$one->id}", $one->name, '/views/build?'.http_build_query(['conditions' => [['what' => 'stage:open'], ['what' => "area:{$one->id}"]], 'group' => 'project']), __('find.area'), hue: $one->hue))->all()),
            ...array_values($user->contexts()->get()->filter(static fn (Context $one): bool => $named($one->name))->take(self::MOST)->map(static fn (Context $one): Entry => new Entry("found-contexts-{$one->id}", $one->name, '/views/build?'.http_build_query(['conditions' => [['what' => 'stage:open'], ['what' => "context:{$one->id}"]]]), __('find.context')))->all()),
        ];
    }

    /**
     * @param  Collection<int, array{kind: string, id: int, title: string, body: string}>  $meetings
     * @param  Collection<int, array{kind: string, id: int, title: string, body: string}>  $notes
     * @return list<Entry>
     */
    private function meetings(User $user, Collection $meetings, Collection $notes): array
    {
        if ($meetings->isEmpty() && $notes->isEmpty()) {
            return [];
        }
        $noted = $user->meetingNotes()->whereKey($notes->pluck('id')->all())->pluck('meeting_id', 'id');
        $ids = array_slice(array_values(array_unique([...$meetings->pluck('id')->all(), ...$noted->values()->all()])), 0, self::MOST);
        $times = $user->occurrences()->with('meeting.calendar')->whereIn('meeting_id', $ids)->orderByRaw('abs(julianday(starts_at) - julianday(?))', [$this->desk->now->toDateTimeString()])->get()->groupBy('meeting_id');
        $entries = [];
        foreach ($ids as $id) {
            $time = $times[$id][0] ?? null;
            $note = $notes->first(static fn (array $one): bool => ($noted[$one['id']] ?? null) === $id);
            $time === null || $entries[] = new Entry("found-meetings-{$id}", $time->shownName(), "/meetings/{$id}", Times::when($user, $time->starts_at, $this->desk->now), $note === null ? '' : __('find.note', ['words' => $note['body']]));
        }

        return $entries;
    }

    /**
     * @param  Collection<int, array{kind: string, id: int, title: string, body: string}>  $found
     * @return list<Entry>
     */
    private function mail(User $user, Collection $found): array
    {
        $rows = $found->isEmpty() ? new Collection : $user->messages()->whereKey($found->pluck('id')->all())->get()->keyBy('id');

        return array_values($found->filter(static fn (array $one): bool => isset($rows[$one['id']]))->take(self::MOST)->map(fn (array $one): Entry => new Entry(
            "found-messages-{$one['id']}", $one['title'], "/messages/{$one['id']}", Times::when($user, $rows[$one['id']]->received_at, $this->desk->now), __('find.from', ['person' => $rows[$one['id']]->from_name, 'words' => $one['body']]),
        ))->all());
    }

    /**
     * @param  list<int>  $ids
     * @return list<Entry>
     */
    private static function files(User $user, array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $files = $user->attachments()->whereKey($ids)->whereNotNull('task_id')->latest('id')->limit(self::MOST)->get();
        $titles = $user->tasks()->whereKey($files->pluck('task_id')->all())->pluck('title', 'id');

        return array_values($files->filter(static fn (Attachment $file): bool => isset($titles[$file->task_id]))->map(static fn (Attachment $file): Entry => new Entry(
            "found-attachments-{$file->id}", $file->name, "/tasks/{$file->task_id}", '', __('find.with', ['title' => $titles[$file->task_id] ?? '']),
        ))->all());
    }

    /** @return array{string, bool} today's work with an hour more, and whether that is over its line */
    private function load(): array
    {
        $day = $this->desk->today();
        $work = array_values(DayWork::of($this->desk->timeOn($day), $day, $this->desk->blocksOn($day))->sets)[0] ?? null;
        if ($work === null) {
            return ['', false];
        }
        [$planned, $line] = [$work->minutes + self::HOUR, $work->load->loadLine];

        return [__($planned > $line ? 'find.over' : 'find.under', ['planned' => Times::duration($planned), 'line' => Times::duration($line), 'over' => Times::duration(max(0, $planned - $line))]), $planned > $line];
    }

    /**
     * @param  Collection<int, Task>  $open
     * @param  Collection<int, Task>  $over
     * @param  Collection<array-key, \Illuminate\Database\Eloquent\Collection<int, \App\Models\Block>>  $planned
     * @return list<array{day: string, past: int, ahead: int, today: bool, named: bool}>
     */
    private function lie(User $user, Collection $open, Collection $over, Collection $planned): array
    {
        $count = [];
        foreach ($open as $task) {
            $day = isset($planned[$task->id][0]) ? $user->local($planned[$task->id][0]->starts_at)->format('Y-m-d') : ($task->due_at === null ? $task->due_on : $user->local($task->due_at)->format('Y-m-d'));
            $day === null || $count[$day] = ($count[$day] ?? 0) + 1;
        }
        foreach ($over as $task) {
            $day = $user->local($task->deleted_at ?? $task->done_at ?? $task->updated_at)->format('Y-m-d');
            $count[$day] = ($count[$day] ?? 0) + 1;
        }
        if ($count === []) {
            return [];
        }
        $days = [];
        $today = Moments::today($user, $this->desk->now);
        $ends = [$today->plusDays(-self::DAYS_BACK)->asString() => -self::DAYS_BACK, $today->plusDays(self::DAYS_AHEAD)->asString() => self::DAYS_AHEAD];
        $named = null;
        for ($i = -self::DAYS_BACK; $i <= self::DAYS_AHEAD; $i++) {
            $day = $today->plusDays($i);
            $here = match ($ends[$day->asString()] ?? 0) { // what lies farther off is counted at the end it lies beyond
                -self::DAYS_BACK => array_sum(array_filter($count, static fn (string $one): bool => $one <= $day->asString(), ARRAY_FILTER_USE_KEY)),
                self::DAYS_AHEAD => array_sum(array_filter($count, static fn (string $one): bool => $one >= $day->asString(), ARRAY_FILTER_USE_KEY)),
                default => $count[$day->asString()] ?? 0,
            };
            $name = match ($i) {
                -self::DAYS_BACK => __('find.earlier', ['day' => Dates::of($user)->near($day)]),
                self::DAYS_AHEAD => __('find.later', ['day' => Dates::of($user)->near($day)]),
                default => Dates::of($user)->near($day),
            };
            $isNamed = $i === 0 || ($here > 0 && abs($i) >= self::NAMES_APART && ($named === null || $i - $named >= self::NAMES_APART));
            $named = $isNamed ? $i : $named;
            $days[] = ['day' => $name, 'past' => $i < 0 ? $here : 0, 'ahead' => $i >= 0 ? $here : 0, 'today' => $i === 0, 'named' => $isNamed];
        }

        return $days;
    }
}
