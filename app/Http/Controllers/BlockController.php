<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\BlockEdit;
use App\Edits\BlockShape;
use App\Edits\FreePlace;
use App\Edits\KeyTasks;
use App\Edits\LetWait;
use App\Edits\SendBlock;
use App\Http\Requests\BlockRequest;
use App\Http\Requests\KeyRequest;
use App\Http\Requests\MoveBlockRequest;
use App\Http\Requests\PartDoneRequest;
use App\Http\Requests\SendRequest;
use App\Models\Block;
use App\Models\BlockState;
use App\Models\PlanRevision;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Planning\Trial;
use App\Rows\RowMapper;
use App\Time\Clock;
use App\Time\Zones;
use App\Wording\Said;
use App\Wording\Times;
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
        $before = (int) $block->task->estimate;
        $revision = $this->edit->move($block, $start, $end, Clock::now());
        $after = (int) $block->task->estimate;

        return back()->with($this->said->about($revision, $after > $before ? __('shape.moved_and_grown', ['before' => Times::duration($before), 'after' => Times::duration($after)]) : null));
    }

    public function anchor(BlockRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);
        $revision = $this->edit->move($block, $block->starts_at, $block->ends_at, Clock::now(), RevisionCause::Anchored);

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

        return back()->with($this->said->about($this->edit->done($block, Clock::now(), Clock::said())));
    }

    public function partDone(PartDoneRequest $request, Block $block): RedirectResponse
    {
        $request->ensureCurrent($block);

        return back()->with($this->said->about($this->edit->partDone($block, $request->left(), Clock::now())));
    }

    /** Cuts it in two: in halves, or after so many minutes. */
    public function split(BlockRequest $request, Block $block, BlockShape $shape): RedirectResponse
    {
        return $this->shape($request, $block, static fn (): ?PlanRevision => $shape->split($block, self::minutes($request->integer('first')), Clock::now()));
    }

    public function join(BlockRequest $request, Block $block, BlockShape $shape): RedirectResponse
    {
        return $this->shape($request, $block, static fn (): ?PlanRevision => $shape->join($block, Clock::now()));
    }

    public function swap(BlockRequest $request, Block $block, #[CurrentUser] User $user, BlockShape $shape): RedirectResponse
    {
        $other = $user->blocks()->where('state', BlockState::Planned)->find($request->integer('with'));

        return $other === null || $other->is($block)
            ? back()->withErrors(['start' => __('shape.swap_with_what')])
            : $this->shape($request, $block, static fn (): ?PlanRevision => $shape->swap($block, $other, Clock::now()));
    }

    /** To another day, or back to the bank. */
    public function send(SendRequest $request, Block $block, #[CurrentUser] User $user, SendBlock $send, LetWait $wait, Trial $trial): RedirectResponse
    {
        $now = Clock::now();
        $day = $request->day($now);

        $from = Zones::named($user->zone)->dayOf(RowMapper::start($block));
        $change = static fn (): ?PlanRevision => $day === null ? $wait($user, [$block->task_id], $from, $now) : $send($block, $day, $now);
        if (! $request->boolean('late')) { // never past a due date unwarned
            $request->ensureCurrent($block);
            $warning = $this->said->warning($trial->of($user, $from, $now, $change)->revision, "/blocks/{$block->id}/send", array_filter($request->safe(['to', 'day', 'mark'])));
            if ($warning !== null) {
                return back()->with($warning);
            }
            $block->refresh()->load(['task', 'user']);
        }

        return $this->shape($request, $block, $change);
    }

    /** Null for none; no day has more than its minutes. */
    private static function minutes(int $given): ?int
    {
        return $given === 0 ? null : max(-1440, min(1440, $given));
    }

    /** @param  \Closure(): ?PlanRevision  $change */
    private function shape(BlockRequest|SendRequest $request, Block $block, \Closure $change): RedirectResponse
    {
        $request->ensureCurrent($block);
        $revision = $change();

        return back()->with($this->said->about($revision));
    }

    /** Marks a task as one of the day's key tasks, or takes the mark away. */
    public function key(KeyRequest $request, Task $task, KeyTasks $keys): RedirectResponse
    {
        $revision = $request->boolean('key') ? $keys->mark($task, $request->day(), Clock::now()) : $keys->unmark($task, Clock::now());

        return back()->with($this->said->about($revision));
    }

    /** Gives a task of the bank a time: the one it was dropped at, or the first free one of the day. */
    public function place(MoveBlockRequest $request, Task $task, #[CurrentUser] User $user, FreePlace $places): RedirectResponse
    {
        $now = Clock::now();
        $start = $request->filled('start') ? $request->start() : $places->on($user, $task, $request->day(), $now);
        $revision = $start === null ? $this->edit->pick($task, $request->day(), $now) : $this->edit->place($task, $start, $now);

        return back()->with($this->said->about($revision, $start === null ? __('shape.picked_without_time', ['title' => $task->title]) : null));
    }
}
