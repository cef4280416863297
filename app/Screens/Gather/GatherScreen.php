<?php

declare(strict_types=1);

namespace App\Screens\Gather;

use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Rows\Desk;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What Gather shows: the inbox, the mailbox, and what sorting offers. */
final readonly class GatherScreen
{
    /** More than anyone sorts in one go; the rest follows as these go. */
    private const ROWS = 200;

    private const MESSAGES = 50;

    private const PEOPLE = 50;

    public function __construct(private Desk $desk) {}

    public function of(User $user): GatherPage
    {
        $today = $this->desk->today()->asString();
        $projects = $user->projects()->whereNull('done_at')->get(['id', 'user_id', 'name']);
        [$items, $waiting] = $this->tasks($user, $projects);
        $counts = DB::query()->selectSub($this->desk->lens()->tasks($user)->inbox()->toBase()->selectRaw('count(*)'), 'inbox')
            ->selectSub($this->desk->lens()->tasks($user)->whereNull('done_at')->where('stage', TaskStage::Someday)->toBase()->selectRaw('count(*)'), 'someday')
            ->selectSub($this->desk->lens()->tasks($user)->whereNull('done_at')->where('stage', TaskStage::Reference)->toBase()->selectRaw('count(*)'), 'notes')
            ->selectSub($user->messages()->where('state', 'new')->where('put_off_until', '>', $today)->toBase()->selectRaw('count(*)'), 'put_off')
            ->selectSub(DB::query()->fromSub($user->tasks()->whereNotNull('waiting_for')->distinct()->orderBy('waiting_for')->limit(self::PEOPLE)->toBase()->select('waiting_for'), 'people')->selectRaw('json_group_array(waiting_for)'), 'people')
            ->first() ?? throw new \LogicException('A select has a row.');

        return new GatherPage(
            total: (int) $counts->inbox,
            items: $items,
            waiting: $waiting,
            someday: (int) $counts->someday,
            references: (int) $counts->notes,
            messages: $user->messages()->where('state', 'new')
                ->where(static fn (Builder $query) => $query->whereNull('put_off_until')->orWhere('put_off_until', '<=', $today))
                ->withCount('attachments')->orderByDesc('received_at')->limit(self::MESSAGES)->get(),
            putOff: (int) $counts->put_off,
            projects: $projects->pluck('name'),
            people: new Collection(json_decode((string) $counts->people, true, 4, JSON_THROW_ON_ERROR)),
        );
    }

    /**
     * @param  Collection<int, \App\Models\Project>  $projects  open ones
     * @return array{Collection<int, Task>, Collection<int, Task>} the inbox, the oldest first, and what waits, by when to ask
     */
    private function tasks(User $user, Collection $projects): array
    {
        $inbox = $this->desk->lens()->tasks($user)->inbox()->orderBy('created_at')->orderBy('id')->limit(self::ROWS)->toBase()->select('tasks.id');
        $waits = $this->desk->lens()->tasks($user)->whereNull('done_at')->where('stage', TaskStage::Waiting)->orderBy('ask_on')->orderBy('id')->limit(self::ROWS)->toBase()->select('tasks.id');
        $tasks = $user->tasks()->where(static fn (Builder $one) => $one->whereIn('id', $inbox)->orWhereIn('id', $waits))->with(['contexts', 'links', 'repeat'])->withCount(['subtasks', 'attachments'])->get();
        $areas = $this->desk->areas();
        $byId = $projects->keyBy('id');
        foreach ($tasks as $task) {
            $task->setRelation('area', $areas[$task->area_id] ?? throw new \LogicException('Every task is in an area.'));
            if ($task->project_id === null || isset($byId[$task->project_id])) {
                $task->setRelation('project', $byId[$task->project_id ?? 0] ?? null);
            }
        }
        $tasks->loadMissing('project'); // of those that are in a closed one
        [$inbox, $waiting] = $tasks->toBase()->partition(static fn (Task $task): bool => $task->stage === TaskStage::Inbox);

        return [$inbox->sortBy([['created_at', 'asc'], ['id', 'asc']])->values(), $waiting->sortBy([['ask_on', 'asc'], ['id', 'asc']])->values()];
    }
}
