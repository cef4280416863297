<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Http\Requests\BlockRequest;
use App\Http\Requests\MoveBlockRequest;
use App\Http\Requests\PartDoneRequest;
use App\Models\Block;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\BlockEdit;
use App\Planning\FreePlace;
use App\Planning\PlanConflict;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** What a person does to blocks by hand. */
final readonly class BlockController
{
    public function __construct(private BlockEdit $edit, private Said $said) {}

    public function move(MoveBlockRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);
        [$start, $end] = $request->times($block);
        try {
            $revision = $this->edit->move($block, $start, $end, Clock::now());
        } catch (PlanConflict $conflict) {
            return back()->withInput()->withErrors(['start' => $conflict->getMessage()]);
        }

        return back()->with($this->said->about($revision));
    }

    public function anchor(BlockRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);
        try {
            $revision = $this->edit->move($block, $block->starts_at, $block->ends_at, Clock::now(), RevisionCause::Anchored);
        } catch (PlanConflict $conflict) {
            return back()->withErrors(['start' => $conflict->getMessage()]);
        }

        return back()->with($this->said->about($revision));
    }

    public function release(BlockRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);

        return back()->with($this->said->about($this->edit->release($block, Clock::now())));
    }

    public function done(BlockRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);

        return back()->with($this->said->about($this->edit->done($block, Clock::now())));
    }

    public function partDone(PartDoneRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);

        return back()->with($this->said->about($this->edit->partDone($block, $request->left(), Clock::now())));
    }

    /** Gives a task of the bank a time: the one it was dropped at, or the first free one of the day. */
    public function place(MoveBlockRequest $request, Task $task, #[CurrentUser] User $user, FreePlace $places): RedirectResponse
    {
        $now = Clock::now();
        try {
            $start = $request->filled('start') ? $request->start() : $places->on($user, $task, $request->day(), $now);
            $revision = $this->edit->place($task, $start, $now);
        } catch (PlanConflict $conflict) {
            return back()->withErrors(['place' => $conflict->getMessage()]);
        }

        return back()->with($this->said->about($revision));
    }
}
