<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\HoursSet;
use App\Models\TaskStage;
use App\Models\User;
use App\Rows\RowMapper;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Hours\Stretch;
use Nekto\Core\Prospect\WayOutKind;
use Nekto\Core\Time\Grid;

/** Makes the change that a way out of a crunch is; what it is about and is not there any more is passed over. */
final readonly class TakeWay
{
    public function __construct(private TaskDoor $door) {}

    public function __invoke(User $user, CrunchWay $way, CarbonImmutable $now): void
    {
        if ($way->kind === WayOutKind::ExtraHours) {
            $set = $user->hoursSets()->with('exceptions')->find($way->about);
            $set === null || $this->open($user, $set, $way);

            return;
        }
        $task = $user->tasks()->with('user')->find($way->about);
        if ($task === null) {
            return;
        }
        $this->door->change($task, match ($way->kind) {
            WayOutKind::MoveDue => DueDay::columns($task, self::day($user, $way->amount - 1)),
            WayOutKind::Cut => ['estimate' => max(Grid::STEP, (int) $task->estimate - min($way->amount, $task->minutesToPlan($now) - Grid::STEP))],
            WayOutKind::Drop => ['stage' => TaskStage::Someday],
        }, $now);
    }

    /** On that day alone. */
    private function open(User $user, HoursSet $set, CrunchWay $way): void
    {
        $zone = Zones::named($user->zone);
        $day = $zone->dayOf($way->amount);
        $from = $zone->minuteOfDay($way->amount);
        $stretches = [...RowMapper::hours($set)->on($day), new Stretch($from, min(1440, $from + $way->minutes))];
        usort($stretches, static fn (Stretch $a, Stretch $b): int => $a->from <=> $b->from);
        $joined = [];
        foreach ($stretches as $next) {
            $last = end($joined);
            if ($last !== false && $next->from <= $last->to) {
                $next = new Stretch($last->from, max($last->to, $next->to));
                array_pop($joined);
            }
            $joined[] = $next;
        }
        $set->exceptions()->updateOrCreate(['date' => $day->asString()], ['stretches' => array_map(static fn (Stretch $one): array => [Stretch::clock($one->from), Stretch::clock($one->to)], $joined)]);
    }

    private static function day(User $user, int $moment): string
    {
        return $user->local(Moments::moment($moment))->format('Y-m-d');
    }
}
