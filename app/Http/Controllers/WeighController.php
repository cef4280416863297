<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\TaskEdit;
use App\Http\Requests\WeighRequest;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Screens\Weigh\WeighScreen;
use App\Time\Clock;
use App\Wording\Figures;
use App\Wording\Said;
use App\Wording\Times;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What it is worth and how pressing it is. */
final readonly class WeighController
{
    public function __construct(private WeighScreen $screen) {}

    public function field(Request $request, #[CurrentUser] User $user): View
    {
        $zoom = in_array($request->query('zoom'), ['late', 'today', 'week', 'fortnight', 'later', 'none'], true) ? $request->string('zoom')->toString() : null;

        return view('screens.weigh', $this->screen->field($user, Clock::now(), $request->integer('item') ?: null, $zoom));
    }

    public function list(Request $request, #[CurrentUser] User $user): View
    {
        $group = in_array($request->query('group'), WeighScreen::GROUPS, true) ? $request->query('group') : 'none';

        return view('screens.weigh-list', $this->screen->list($user, Clock::now(), $group, $request->boolean('all')));
    }

    /** What it would weigh, while the card is being filled. */
    public function preview(WeighRequest $request, Task $task, #[CurrentUser] User $user): JsonResponse
    {
        $card = $this->screen->weighed($user, $task, $request->importance(), $request->due(), $request->minutes(), Clock::now());
        [$one, $likely, $careful, $answer] = [$card->one, $card->likely, $card->careful, $card->answer];

        return response()->json([
            'pull' => $one->importance === null ? null : $one->pull->total(),
            'parts' => "importance {$one->pull->importance} + pressure {$one->pull->pressure} =",
            'pressure' => $one->pressure(),
            'pressure_words' => Figures::pressure($one->pressure()),
            'likely' => $likely === null ? '' : 'likely '.Times::duration($likely).', careful '.Times::duration((int) $careful),
            'answer' => $answer?->value,
            'x' => round($card->x, 4),
            'y' => round($card->y, 4),
        ]);
    }

    /** One of the four answers, with all that was set in the same breath. */
    public function answer(WeighRequest $request, Task $task, Said $said, TaskEdit $edit): RedirectResponse
    {
        $revision = $request->letsGo()
            ? $edit->letGo($task->user, collect([$task]), Clock::now())
            : $edit->change($task, $request->columns(Clock::now()), Clock::now(), RevisionCause::Sorted, $request->project());

        return redirect('/weigh')->with($said->about($revision, __("task.answered.{$request->answer()->value}", ['title' => $task->title, 'person' => $request->string('waiting_for')->toString()])));
    }
}
