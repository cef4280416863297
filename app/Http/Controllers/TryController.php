<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\BlockEdit;
use App\Http\Requests\MoveBlockRequest;
use App\Models\Block;
use App\Models\Task;
use App\Models\User;
use App\Planning\Trial;
use App\Screens\Shape\DropPreview;
use App\Time\Clock;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** What a drop would do, asked while it is still in the air. */
final readonly class TryController
{
    public function __construct(private BlockEdit $edit, private Trial $trial, private DropPreview $preview) {}

    public function move(MoveBlockRequest $request, Block $block, #[CurrentUser] User $user): JsonResponse
    {
        [$start, $end] = $request->times($block);
        $before = (int) $block->task->estimate;

        return $this->answer($request, $user, fn () => $this->edit->move($block, $start, $end, Clock::now()), fn (): array => ['estimate' => [$before, (int) $block->task->estimate]]);
    }

    public function place(MoveBlockRequest $request, Task $task, #[CurrentUser] User $user): JsonResponse
    {
        if (! $request->filled('start')) {
            return response()->json(['refused' => __('task.unknown_time')]);
        }

        return $this->answer($request, $user, fn () => $this->edit->place($task, $request->start(), Clock::now()), static fn (): array => []);
    }

    /**
     * @param  \Closure(): ?\App\Models\PlanRevision  $change
     * @param  \Closure(): array<string, mixed>  $more
     */
    private function answer(MoveBlockRequest $request, User $user, \Closure $change, \Closure $more): JsonResponse
    {
        $tried = $this->trial->of($user, $request->day(), Clock::now(), $change);

        return response()->json($this->preview->of($user, $request->day(), $tried, $more(), Clock::now()));
    }
}
