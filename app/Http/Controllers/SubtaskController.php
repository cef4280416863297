<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\TaskEdit;
use App\Models\Subtask;
use App\Models\Task;
use App\Time\Clock;
use App\Wording\Said;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nekto\Core\Capture\DurationReader;
use Nekto\Core\Capture\Outline;
use Nekto\Core\Capture\Problem;

/** The steps of a task. Their estimates add up to the task's. */
final readonly class SubtaskController
{
    public function __construct(private TaskEdit $edit, private Said $said) {}

    /** One line or several; a duration at the end of a line is its estimate. */
    public function store(Request $request, Task $task): RedirectResponse
    {
        $items = Outline::of($request->string('lines')->limit(20_000, '')->toString(), nested: false);
        if ($items === []) {
            return back()->withErrors(['lines' => __('gather.empty')]);
        }
        $revision = $this->edit->around($task, Clock::now(), static function () use ($task, $items): void {
            $position = (int) $task->subtasks()->max('position');
            foreach ($items as $item) {
                [$title, $minutes] = DurationReader::apart($item->text);
                $task->subtasks()->create(['user_id' => $task->user_id, 'title' => mb_substr($title, 0, 200), 'estimate' => $minutes, 'position' => ++$position, 'done_at' => $item->done ? Clock::now() : null]);
            }
        });

        return back()->with($this->said->about($revision, __('task.saved', ['title' => $task->title])));
    }

    public function update(Request $request, Subtask $subtask): RedirectResponse
    {
        $data = $request->validate(['title' => ['sometimes', 'required', 'string', 'max:200'], 'estimate' => ['sometimes', 'nullable', 'string', 'max:40'], 'done' => ['sometimes', 'boolean'], 'move' => ['sometimes', 'in:up,down']]);
        $minutes = isset($data['estimate']) ? DurationReader::read((string) $data['estimate']) : null;
        if ($minutes instanceof Problem) {
            return back()->withErrors(['estimate' => __("gather.problem.{$minutes->value}")]);
        }
        $task = $subtask->task()->with('user')->firstOrFail();
        $revision = $this->edit->around($task, Clock::now(), function () use ($subtask, $task, $data, $minutes): void {
            if (isset($data['move'])) {
                $this->move($task, $subtask, $data['move'] === 'up' ? -1 : 1);
            }
            $columns = isset($data['title']) ? ['title' => $data['title']] : [];
            $columns += array_key_exists('estimate', $data) ? ['estimate' => $minutes] : [];
            $columns += isset($data['done']) ? ['done_at' => (bool) $data['done'] ? Clock::now() : null] : [];
            $columns === [] || $subtask->update($columns);
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
