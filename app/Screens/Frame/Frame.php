<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Models\User;
use App\Rows\Blocks;
use App\Rows\WorkTimeLoader;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\ChangeNote;
use Illuminate\Support\Facades\Auth;
use Illuminate\View\View;

/** What stands on every screen: counts of the stations, today's ribbon, the newest change that can be undone. Shared, so that every part of the page has it. */
final readonly class Frame
{
    public function __construct(private WorkTimeLoader $times) {}

    public function compose(View $view): void
    {
        $user = Auth::user();
        if (! $user instanceof User) {
            return;
        }
        $now = Clock::now();
        $today = Moments::today($user, $now);
        $time = $this->times->load($user, $today, 1);
        $span = $time->span();
        $blocks = Blocks::during($user, $span)->with('task.area')->get();
        $undo = $user->planRevisions()->whereNull('undone_at')->latest('id')->first(['id', 'user_id', 'cause', 'moves', 'seen_at', 'made_at']);
        $view->getFactory()->share([
            'person' => $user,
            'now' => $now,
            'counts' => [
                'gather' => $user->tasks()->inbox()->count(),
                'weigh' => $user->tasks()->open()->whereNull('importance')->count(),
            ],
            'ribbon' => Ribbon::of($time, $blocks, $now),
            'pinned' => $user->savedViews()->where('pinned', true)->limit(3)->pluck('name', 'id'),
            'mark' => Pulse::of($user),
            'undo' => UndoOffer::of($undo, $user, $now),
            'mended' => $undo !== null && $undo->seen_at === null ? (new ChangeNote($user, $now))->lines($undo) : [],
        ]);
    }
}
