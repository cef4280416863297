<?php

declare(strict_types=1);

namespace App\Repeats;

use App\Edits\TaskDoor;
use App\Models\Repeat;
use App\Models\Task;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Nekto\Core\Recurrence\MonthDay;
use Nekto\Core\Time\LocalDay;

/** Makes a task the first occurrence of one that comes back. */
final readonly class StartRepeat
{
    public function __construct(private TaskDoor $door) {}

    public function __invoke(Task $task, ?string $rule, ?string $afterDone, CarbonImmutable $now, string $daysOff = 'keep'): ?Repeat
    {
        $today = Moments::today($task->user, $now);
        $wanted = $task->picked_on ?? ($task->not_before === null ? null : $task->user->local($task->not_before)->format('Y-m-d'));
        $from = $wanted === null ? $today : LocalDay::fromString($wanted);
        $day = $rule === null ? $from : Calendar::firstFrom($rule, $from, $from);
        if ($day === null) {
            return null;
        }
        $rule = $rule === null ? null : MonthDay::kept($rule, $day->month(), $day->dayOfMonth());
        $begin = $rule === null ? $day : self::begin($rule, $from, $day);
        $repeat = $task->user->repeats()->create([
            'rule' => $rule, 'after_done' => $afterDone, 'days_off' => $daysOff, 'begins_on' => $begin->asString(), 'pattern' => Pattern::of($task, $day),
        ]);
        $this->door->change($task, [
            'repeat_id' => $repeat->id,
            'occurs_on' => $day->asString(),
            'not_before' => $task->not_before ?? ($day->number > $today->number ? Moments::moment(Zones::named($task->user->zone)->at($day, 0)) : null),
            'due_on' => $task->due_on ?? ($task->due_at === null ? $day->asString() : null),
        ], $now);

        return $repeat;
    }

    /** An interval counts from the first day the rule names; one with ordinals from where it begins. */
    private static function begin(string $rule, LocalDay $from, LocalDay $day): LocalDay
    {
        return str_contains($rule, 'BYSETPOS') ? $from : $day;
    }
}
