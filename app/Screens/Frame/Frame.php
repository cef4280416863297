<?php

declare(strict_types=1);

namespace App\Screens\Frame;

use App\Models\PlanRevision;
use App\Models\User;
use App\Rows\Desk;
use App\Wording\ChangeNote;
use Illuminate\Contracts\Container\Container;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

/** What stands on every screen: counts of the stations, today's ribbon, the newest change that can be undone. Shared, so that every part of the page has it. */
final readonly class Frame
{
    /** Views in the head. */
    public const PINNED = 4;

    public function __construct(private Container $container) {}

    public function compose(View $view): void
    {
        $user = Auth::user();
        if (! $user instanceof User) {
            return;
        }
        $desk = $this->container->make(Desk::class);
        $now = $desk->now;
        $today = $desk->today();
        $lens = $desk->lens();
        $asked = DB::query()->selectSub($lens->tasks($user)->inbox()->toBase()->selectRaw('count(*)'), 'gather')
            ->selectSub($lens->tasks($user)->open()->whereNull('importance')->toBase()->selectRaw('count(*)'), 'weigh')
            ->selectSub(DB::query()->fromSub($user->savedViews()->where('pinned', true)->limit(self::PINNED)->toBase()->select(['id', 'name']), 'views')->selectRaw('json_group_object(id, name)'), 'pinned')
            ->selectSub(DB::query()->fromSub($user->calendarGroups()->toBase()->select(['id', 'name']), 'groups')->selectRaw('json_group_object(id, name)'), 'lenses')
            ->selectSub(PlanRevision::redoable($user)->toBase()->selectRaw('min(id)'), 'redo')
            ->selectSub(DB::table('changes')->where('user_id', $user->id)->select('count'), 'mark')->first() ?? throw new \LogicException('A select has a row.');
        $undo = $user->planRevisions()->whereNull('undone_at')->latest('id')->first(['id', 'user_id', 'cause', 'moves', 'late', 'went', 'seen_at', 'made_at']);
        $note = $undo !== null && $undo->seen_at === null ? new ChangeNote($user, $now) : null;
        $view->getFactory()->share([
            'person' => $user,
            'now' => $now,
            'lens' => $lens,
            'lenses' => json_decode((string) $asked->lenses, true, 4, JSON_THROW_ON_ERROR),
            'counts' => ['gather' => (int) $asked->gather, 'weigh' => (int) $asked->weigh],
            'ribbon' => Ribbon::of($desk->timeOn($today), $desk->blocksOn($today), $now, $lens),
            'pinned' => json_decode((string) $asked->pinned, true, 4, JSON_THROW_ON_ERROR),
            'mark' => (string) $asked->mark,
            'redo' => $asked->redo === null ? null : (int) $asked->redo,
            'undo' => UndoOffer::of($undo, $user, $now),
            'mendedLate' => $note === null ? [] : array_values(array_filter([$note->went($undo), ...$note->late($undo)])),
            'mended' => $note === null ? [] : $note->lines($undo),
        ]);
    }
}
