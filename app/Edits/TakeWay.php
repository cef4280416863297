<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\TaskStage;
use App\Models\User;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Prospect\WayOutKind;

/** Makes the change that a way out of a crunch is; what it is about and is not there any more is passed over. */
final readonly class TakeWay
{
    public function __construct(private TaskDoor $door) {}

    public function __invoke(User $user, CrunchWay $way, CarbonImmutable $now): void
    {
        $zone = Zones::named($user->zone);
        if ($way->kind === WayOutKind::ExtraHours) {
            $set = $way->amount < Moments::minute($now) ? null : $user->hoursSets()->with('exceptions')->find($way->about); // what went by cannot be opened
            $set === null || OpenHours::on($set, $zone->dayOf($way->amount), $zone->minuteOfDay($way->amount), $way->minutes);

            return;
        }
        $task = $user->tasks()->with('user')->find($way->about);
        $task === null || $this->door->change($task, match ($way->kind) {
            WayOutKind::MoveDue => DueDay::columns($task, $zone->dayOf($way->amount - 1)->asString()),
            WayOutKind::Cut => CutBy::columns($task, $way->amount, $now),
            WayOutKind::Drop => ['stage' => TaskStage::Someday],
        }, $now);
    }
}
