<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Http\Requests\DayTaskRequest;
use App\Models\RevisionCause;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Replan;
use App\Time\Clock;
use App\Time\Moments;
use App\Time\Zones;
use App\Wording\Said;
use App\Wording\Times;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Nekto\Core\Capture\Kind;
use Nekto\Core\Capture\Understood;
use Nekto\Core\Capture\When;
use Nekto\Core\Task\Importance;
use Nekto\Core\Time\Grid;

/** A task typed where it is to stand: "Phone Wim at 16:45". It is anchored there, of medium importance until it is weighed. */
final readonly class DayTaskController
{
    /** Minutes of one that says none. */
    private const USUAL = 30;

    public function store(DayTaskRequest $request, #[CurrentUser] User $user, KeepLines $keep, Replan $replan, Said $said): RedirectResponse
    {
        $now = Clock::now();
        $line = (new CaughtLine($user, $now))->understand($request->line());
        $at = array_values(array_filter($line->parts, static fn (Understood $one): bool => $one->kind === Kind::At && $one->value instanceof When));
        $minute = $line->at()->minuteOfDay ?? $request->minute();
        $zone = Zones::named($user->zone);
        $moment = $minute === null ? null : Moments::moment($zone->at($request->day(), Grid::down($minute)));
        if ($moment === null || $moment <= $now) {
            return back()->withInput()->withErrors(['title' => __($moment === null && $at === [] ? 'shape.say_when' : 'gather.problem.before_now')]);
        }
        $more = [
            'set_at' => $moment, 'picked_on' => $request->day()->asString(), 'stage' => TaskStage::Open->value, 'importance' => $line->importance() ?? Importance::Medium,
            'estimate' => $line->minutes() ?? $request->minutes() ?? self::USUAL,
        ];
        $revision = $replan->after($user, $now, static function () use ($user, $line, $now, $keep, $more): void {
            $keep->one($user, $line, $now, $more);
        }, RevisionCause::Placed);

        return back()->with($said->about($revision?->refusing($keep->refused()), __('shape.task_stands', ['title' => $line->title, 'when' => Times::when($user, $moment, $now)])));
    }
}
