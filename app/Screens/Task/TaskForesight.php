<?php

declare(strict_types=1);

namespace App\Screens\Task;

use App\Edits\TaskDoor;
use App\Models\Task;
use App\Models\TaskEvent;
use App\Planning\Foresee;
use App\Wording\ChangeNote;
use App\Wording\History;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** What a change of one task would do, in words: new for old, what is left then, what moves, what becomes late. */
final readonly class TaskForesight
{
    public function __construct(private Foresee $foresee, private TaskDoor $door) {}

    /**
     * @param  array<string, mixed>  $columns
     * @return array{change: string, words: list<string>}
     */
    public function of(Task $task, array $columns, CarbonImmutable $now): array
    {
        $user = $task->user;
        $before = $task->minutesLeft($now);
        /** @var list<TaskEvent> $changed */
        $changed = [];
        $left = $before;
        $foreseen = $this->foresee->of($user, $now, function () use ($task, $columns, $now, &$changed, &$left): void {
            $last = (int) $task->events()->max('id');
            $this->door->change($task, $columns, $now);
            $changed = $task->events()->where('id', '>', $last)->get()->all();
            $left = $task->minutesLeft($now);
        });
        $task->refresh()->recount();
        if ($foreseen->revision === null) {
            return ['change' => '', 'words' => [__('task.foresee.same')]];
        }
        $note = new ChangeNote($user, $now);

        return [
            'change' => implode('; ', array_column((new History($user))->lines(new Collection($changed)), 'what')),
            'words' => array_values(array_filter([
                $left === $before ? '' : __('task.foresee.left', ['left' => Times::duration($left)]),
                $note->movesOnly($foreseen->revision) ?: __('task.foresee.nothing_moves'),
                ...$note->late($foreseen->revision),
            ])),
        ];
    }
}
