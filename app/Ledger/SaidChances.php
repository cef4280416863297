<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\User;
use App\Rows\Desk;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use App\Time\Zones;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nekto\Core\Ledger\Calibration;
use Nekto\Core\Ledger\Period;

/** What was said of each due date seven days before, or when it was first known after that; it is never changed. */
final readonly class SaidChances
{
    public const DAYS = 7;

    public function __construct(private WorkTimeLoader $times) {}

    /** @param  array<int, int>  $chances  % by task */
    public function note(User $user, array $chances, CarbonImmutable $now): void
    {
        $new = $chances === [] ? [] : $this->unsaid($user, array_keys($chances), $now);
        if ($new === []) {
            return;
        }
        $desk = new Desk(static fn (): User => $user, $now, $this->times);
        $minute = Moments::minute($now);
        $rows = [];
        foreach (array_intersect_key($chances, array_flip($new)) as $task => $percent) {
            $due = $desk->open()->one($task)?->due;
            if ($due !== null && $due > $minute && $due <= $minute + 1440 * self::DAYS) {
                $rows[] = ['user_id' => $user->id, 'task_id' => $task, 'due' => Moments::moment($due)->toDateTimeString(), 'percent' => $percent, 'said_at' => $now->toDateTimeString()];
            }
        }
        foreach (array_chunk($rows, 200) as $some) {
            DB::table('said_chances')->insertOrIgnore($some);
        }
    }

    /**
     * @param  list<int>  $tasks
     * @return list<int> those due soon of which nothing was said for that date yet
     */
    private function unsaid(User $user, array $tasks, CarbonImmutable $now): array
    {
        $last = $user->local($now)->addDays(self::DAYS);

        return array_map(intval(...), $user->tasks()->whereIntegerInRaw('id', $tasks)->whereNull('done_at')
            ->where(static fn ($one) => $one->where('due_on', '<=', $last->format('Y-m-d'))->orWhere('due_at', '<=', $last->utc())->orWhereNotNull('project_id'))
            ->whereNotExists(static fn ($said) => $said->from('said_chances')->whereColumn('said_chances.task_id', 'tasks.id')->where('due', '>', $now->toDateTimeString()))->toBase()->pluck('id')->all());
    }

    /**
     * Of due dates in a period that have come, and were not moved since: a task let go, or with another date, is none.
     *
     * @return list<Calibration>
     */
    public static function kept(User $user, Spent $spent, Period $period, CarbonImmutable $now): array
    {
        [$from, $until] = $spent->span($period);
        $zone = Zones::named($user->zone);
        $isSame = static fn (\stdClass $row): bool => $row->due_at !== null ? $row->due_at === $row->due : $row->due_on === null || $row->due_on === $zone->dayOf(Moments::stored($row->due) - 1)->asString(); // without a date of its own it goes by a milestone's

        return Calibration::of(array_values(DB::table('said_chances')->join('tasks', 'tasks.id', 'said_chances.task_id')->where('said_chances.user_id', $user->id)->whereNull('tasks.deleted_at')
            ->where('due', '>=', $from)->where('due', '<', $until)->where('due', '<=', $now->toDateTimeString())
            ->get(['percent', 'due', 'done_at', 'due_on', 'due_at'])->filter($isSame)->map(static fn (\stdClass $row): array => [(int) $row->percent, $row->done_at !== null && $row->done_at <= $row->due])->all()));
    }
}
