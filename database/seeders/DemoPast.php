<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\TaskStage;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Twelve weeks that Ines has behind her, the same from the same seed: what she promised each day, what she worked, what
 * slipped and why, and which days she closed.
 */
final class DemoPast
{
    private const SEED = 1911;

    public const WEEKS = 12;

    /** A kind of work: area, project, deep, minutes of one piece, actual to estimated (usual, spread), how often, titles. */
    private const KINDS = [
        ['Exhibition', 'Wall texts', true, 90, 1.0, 0.1, 5, ['Wall texts, room 1', 'Wall texts, room 2', 'Wall texts, the weir', 'Wall texts, the ferry', 'Wall texts, low water']],
        ['Exhibition', null, true, 60, 1.1, 0.1, 3, ['Floor plan, first pass', 'Floor plan, doors', 'Floor plan, sight lines', 'Lighting plan, gallery 1']],
        ['Loans & lenders', 'Lender agreements', false, 45, 1.05, 0.15, 5, ['Leiden agreement', 'Basel agreement', 'Bergen letter', 'Trieste schedule', 'Cork insurance', 'Zurich courier terms', 'Ferrara agreement', 'Graz letter']],
        ['Loans & lenders', 'Object list', false, 50, 1.0, 0.1, 4, ['Condition reports, file 1', 'Condition reports, file 2', 'Condition reports, file 3', 'Condition reports, file 4', 'Object list, drawings', 'Object list, models']],
        ['Publications', 'Catalogue', true, 90, 1.35, 0.18, 4, ['Essay 1, first reading', 'Essay 1, notes', 'Essay 3, first reading', 'Foreword', 'Essay 3, notes']],
        ['Publications', 'Catalogue', true, 60, 1.25, 0.15, 3, ['Captions, plates 71–90', 'Captions, plates 91–110', 'Captions, plates 111–126', 'Captions, maps']],
        ['Team', null, true, 60, 1.4, 0.18, 2, ['Budget, crates', 'Budget, insurance', 'Budget, mounts', 'Grant report, figures']],
        ['Team', null, false, 30, 0.95, 0.1, 6, ['Invoices', 'Replies', 'Travel bookings', 'Minutes of the team hour']],
    ];

    private const REASONS = ['a meeting ran over', 'estimated too short', 'something more urgent came', 'planned too much', 'waited for somebody'];

    private Randomizer $chance;

    /** @var array<string, int> how often each title has come */
    private array $parts = [];

    public function __construct(private readonly DemoDates $dates)
    {
        $this->chance = new Randomizer(new Mt19937(self::SEED));
    }

    public function fill(User $user): void
    {
        $areas = $user->areas()->get()->keyBy('name')->all();
        $projects = $user->projects()->pluck('id', 'name')->all();
        $this->meetings($user);
        for ($ago = 7 * self::WEEKS; $ago >= 1; $ago--) {
            $day = $this->dates->day(-$ago);
            $day->isWeekend() || $this->day($user, $areas, $projects, $day);
        }
        $this->chances($user);
    }

    /** Weekly meetings were held before what a calendar is read of, too. */
    private function meetings(User $user): void
    {
        foreach ($user->occurrences()->with('meeting')->orderBy('starts_at')->get()->groupBy('meeting_id') as $some) {
            $first = $some->firstOrFail();
            if (count($some) < 4 || $first->all_day) {
                continue;
            }
            for ($week = 1; $week <= 2 * self::WEEKS; $week++) {
                $start = $user->local($first->starts_at)->subWeeks($week)->utc();
                if ($start >= $this->dates->day(-7 * self::WEEKS)->utc() && $start < $this->dates->day(0)->utc()) {
                    DB::table('occurrences')->insert(['user_id' => $user->id, 'meeting_id' => $first->meeting_id, 'summary' => $first->summary, 'place' => $first->place, 'starts_at' => $start->toDateTimeString(), 'ends_at' => $start->addMinutes((int) $first->starts_at->diffInMinutes($first->ends_at))->toDateTimeString(), 'busy' => true, 'instance' => $start->format('Ymd\THis\Z'), 'answer' => $first->answer?->value]);
                }
            }
        }
    }

    /**
     * @param  array<string, \App\Models\Area>  $areas
     * @param  array<string, int>  $projects
     */
    private function day(User $user, array $areas, array $projects, CarbonImmutable $day): void
    {
        $span = [$day->utc(), $day->addDay()->utc()];
        $busy = $user->occurrences()->where('starts_at', '>=', $span[0])->where('starts_at', '<', $span[1])->where('busy', true)->orderBy('starts_at')->get(['starts_at', 'ends_at'])->toBase()->concat($user->entries()->where('starts_at', '>=', $span[0])->where('starts_at', '<', $span[1])->get(['starts_at', 'ends_at']))->map(static fn ($one): array => [$one->starts_at, $one->ends_at])->all();
        $busy[] = [$day->setTime(12, 30)->utc(), $day->setTime(13, 15)->utc()];
        usort($busy, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $at = $day->setTime(9, $this->chance->getInt(0, 9))->utc();
        $end = $day->setTime(17, 20)->utc();
        $promise = $rows = $slips = [];
        $pieces = $this->chance->getInt(4, 5);
        for ($i = 0; $i < $pieces; $i++) {
            [$area, $project, $isDeep, $estimate, $usual, $spread, , $titles] = $this->kind();
            $title = $titles[$this->chance->getInt(0, count($titles) - 1)];
            $this->parts[$title] = ($this->parts[$title] ?? 0) + 1;
            $title .= $this->parts[$title] > 1 ? ', part '.$this->parts[$title] : '';
            $actual = max(5, (int) round($estimate * ($usual + $spread * ($this->chance->getInt(-100, 100) + $this->chance->getInt(-100, 100)) / 100)));
            [$start, $until] = $this->free($at, $actual, $busy);
            $isKept = $until <= $end && $this->chance->getInt(1, 100) > ($i === 2 && $day >= $this->dates->day(-2) ? 100 : 6); // one of each of the last two days slips, so that this week's review has what to ask
            $done = $isKept ? $until : $this->dates->day(0)->min($day->addDays(2)->setTime(9, 5))->utc();
            $id = $this->task($user, $areas[$area]->id, $project === null ? null : $projects[$project] ?? null, $title, $isDeep, $estimate, $start->subDays(4), $done, $day);
            if ($isKept) {
                $block = DB::table('blocks')->insertGetId(['user_id' => $user->id, 'task_id' => $id, 'starts_at' => $start->toDateTimeString(), 'ends_at' => $until->toDateTimeString(), 'state' => 'done', 'reasons' => '[]']);
                DB::table('entries')->insert(['user_id' => $user->id, 'task_id' => $id, 'block_id' => $block, 'starts_at' => $start->toDateTimeString(), 'ends_at' => $until->toDateTimeString(), 'break' => 0]);
                $at = $until->addMinutes($this->chance->getInt(2, 9));
            } else {
                $slips[$id] = self::REASONS[$this->chance->getInt(0, count(self::REASONS) - 1)];
            }
            $begins = (int) ($start->getTimestamp() / 60);
            $promise[] = ['task' => $id, 'title' => $title, 'minutes' => $estimate, 'times' => [[$begins, $begins + $estimate]], 'key' => $i < 2, 'due' => false];
            $rows[] = ['task' => $id, 'title' => $title, 'area' => $areas[$area]->id, 'areaName' => $area, 'hue' => $areas[$area]->hue, 'promised' => $estimate, 'actual' => $isKept ? (int) $start->diffInMinutes($until) : 0, 'became' => $isKept ? 'kept' : 'moved', 'key' => $i < 2, 'due' => false, 'done' => $isKept, 'next' => null, 'fate' => null];
        }
        DB::table('promises')->insert(['user_id' => $user->id, 'date' => $day->format('Y-m-d'), 'taken_at' => $day->setTime(8, 50)->utc()->toDateTimeString(), 'how' => 'proposal', 'tasks' => json_encode($promise, JSON_THROW_ON_ERROR)]);
        if ($this->chance->getInt(1, 100) > 8) {
            DB::table('closed_days')->insert(['user_id' => $user->id, 'date' => $day->format('Y-m-d'), 'slips' => json_encode((object) $slips, JSON_THROW_ON_ERROR), 'closed_at' => $day->setTime(17, 25)->utc()->toDateTimeString(), 'account' => json_encode(['rows' => $rows], JSON_THROW_ON_ERROR)]);
        }
    }

    /** @return array{string, string|null, bool, int, float, float, int, list<string>} */
    private function kind(): array
    {
        $place = $this->chance->getInt(1, array_sum(array_column(self::KINDS, 6)));
        foreach (self::KINDS as $kind) {
            $place -= $kind[6];
            if ($place <= 0) {
                return $kind;
            }
        }

        return self::KINDS[0];
    }

    /**
     * The first stretch from a moment on that no meeting cuts.
     *
     * @param  array<array-key, array{CarbonImmutable, CarbonImmutable}>  $busy  by start
     * @return array{CarbonImmutable, CarbonImmutable}
     */
    private function free(CarbonImmutable $at, int $minutes, array $busy): array
    {
        foreach ($busy as [$from, $to]) {
            if ($at < $to && $at->addMinutes($minutes) > $from) {
                $at = $to->addMinutes(2);
            }
        }

        return [$at, $at->addMinutes($minutes)];
    }

    private function task(User $user, int $area, ?int $project, string $title, bool $isDeep, int $estimate, CarbonImmutable $born, CarbonImmutable $done, CarbonImmutable $day): int
    {
        return DB::table('tasks')->insertGetId([
            'user_id' => $user->id, 'area_id' => $area, 'project_id' => $project, 'title' => $title, 'stage' => TaskStage::Open->value, 'source' => 'typed', 'importance' => 3, 'estimate' => $estimate, 'estimate_begun' => $estimate, 'said' => $estimate, 'demand' => $isDeep ? 'deep' : 'light',
            'due_on' => $day->format('Y-m-d'), 'picked_on' => $day->format('Y-m-d'), 'done_at' => $done->toDateTimeString(), 'created_at' => $born->toDateTimeString(), 'updated_at' => $done->toDateTimeString(),
        ]);
    }

    /** What was said of due dates seven days before, and came true about as often. */
    private function chances(User $user): void
    {
        $tasks = DB::table('tasks')->where('user_id', $user->id)->whereNotNull('done_at')->whereNotNull('picked_on')->orderBy('id')->get(['id', 'due_on', 'done_at'])->all();
        foreach ($tasks as $i => $task) {
            if ($i % 4 === 0) {
                $due = CarbonImmutable::parse("{$task->due_on} 17:30", $user->zone)->utc();
                $isInTime = $task->done_at <= $due->toDateTimeString();
                $percent = $isInTime ? [96, 94, 82, 93, 78, 61][$this->chance->getInt(0, 5)] : [81, 62, 34, 28, 91][$this->chance->getInt(0, 4)];
                DB::table('said_chances')->insert(['user_id' => $user->id, 'task_id' => $task->id, 'due' => $due->toDateTimeString(), 'percent' => $percent, 'said_at' => $due->subDays(7)->toDateTimeString()]);
            }
        }
    }
}
