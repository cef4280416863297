<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\TaskEdit;
use App\Http\Requests\LinesRequest;
use App\Http\Requests\SubtaskRequest;
use App\Models\Subtask;
use App\Models\Task;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Http\RedirectResponse;
use Nekto\Core\Capture\DurationReader;

/** The steps of a task. */
final readonly class SubtaskController
{
    /** Letters of a step, its estimate included. */
    private const LONGEST = 200;

    public function __construct(private TaskEdit $edit, private Said $said) {}

    /** One line or several; a duration at the end of a line is its estimate. */
    public function store(LinesRequest $request, Task $task): RedirectResponse
    {
        $items = $request->items(nested: false);
        foreach ($items as $item) {
            if (mb_strlen($item->text) > self::LONGEST) {
                return back()->withInput()->withErrors(['lines' => __('task.subtask_too_long', ['line' => $item->line, 'most' => self::LONGEST])]);
            }
        }
        $revision = $this->edit->around($task, Clock::now(), static function () use ($task, $items): void {
            $position = (int) $task->subtasks()->max('position');
            foreach ($items as $item) {
                [$title, $minutes] = DurationReader::apart($item->text);
                $task->subtasks()->create(['user_id' => $task->user_id, 'title' => $title, 'estimate' => $minutes, 'position' => ++$position, 'done_at' => $item->done ? Clock::now() : null]);
            }
        });

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $task->title])));
    }

    public function update(SubtaskRequest $request, Subtask $subtask): RedirectResponse
    {
        $task = $subtask->task()->with('user')->firstOrFail();
        $revision = $this->edit->around($task, Clock::now(), function () use ($subtask, $task, $request): void {
            if ($request->by() !== 0) {
                $this->move($task, $subtask, $request->by());
            }
            $columns = $request->safe(['title']);
            $columns += $request->has('estimate') ? ['estimate' => $request->estimate()] : [];
            $columns += $request->has('done') ? ['done_at' => $request->boolean('done') ? Clock::now() : null] : [];
            $subtask->update($columns);
        });

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $task->title])));
    }

    public function destroy(Subtask $subtask): RedirectResponse
    {
        $task = $subtask->task()->with('user')->firstOrFail();
        $revision = $this->edit->around($task, Clock::now(), static function () use ($subtask): void {
            $subtask->delete();
        });

        return back()->with($this->said->about($revision, __('task.subtask_gone', ['title' => $subtask->title])));
    }

    private function move(Task $task, Subtask $subtask, int $by): void
    {
        $order = array_values($task->subtasks()->pluck('id')->all());
        $at = (int) array_search($subtask->id, $order, true);
        $to = max(0, min(count($order) - 1, $at + $by));
        [$order[$at], $order[$to]] = [$order[$to], $order[$at]];
        foreach ($order as $position => $id) {
            $task->subtasks()->whereKey($id)->update(['position' => $position]);
        }
    }
}
