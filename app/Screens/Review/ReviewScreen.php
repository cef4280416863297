<?php

declare(strict_types=1);

namespace App\Screens\Review;

use App\Goals\CycleEdit;
use App\Models\Area;
use App\Models\Cycle;
use App\Models\Entry;
use App\Models\Goal;
use App\Models\Review;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Review\MakeRule;
use App\Review\SlipRule;
use App\Rows\Account;
use App\Rows\AccountRow;
use App\Rows\Became;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\GoalSteps;
use App\Screens\Goals\StepRows;
use App\Screens\Week\WeekScreen;
use App\Time\Moments;
use App\Time\Weeks;
use App\Time\Zones;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Goals\Kept;
use Nekto\Core\Task\Demand;
use Nekto\Core\Time\LocalDay;

/** A week in review: what was won, what slipped and why, who waits, what comes. */
final readonly class ReviewScreen
{
    /** Pieces that are drawn of the next week. */
    private const PIECES = 9;

    /** Names of due tasks beside an area's question. */
    private const NAMED = 4;

    /** Reviews that can be reached from the page. */
    private const EARLIER = 12;

    private const SOMEDAY = 40;

    public function __construct(private Desk $desk, private WeekScreen $weeks) {}

    /** @param  int|null  $step  that is asked for; null: where it stands */
    public function of(User $user, LocalDay $week, ?int $step, ?int $place, bool $whole, CarbonImmutable $now): ReviewPage
    {
        $review = $user->reviews()->where('week_on', $week->asString())->first();
        $step = max(1, min(count(Review::STEPS), $step ?? $review->step ?? 1));
        $areas = $this->areas();
        $place = max(0, min(max(0, count($areas) - 1), $place ?? ($step === 4 ? $review->place ?? 0 : 0)));
        [$days, $slips] = $this->days($user, $week, $now);
        $cycle = CycleEdit::present($user);
        $number = $cycle?->span()->of($week);
        $goals = $cycle === null || $number === null ? [] : $this->goals($cycle, $number);
        $steps = ['kept' => 0, 'all' => 0, 'ahead' => 0];
        foreach ($goals as $row) {
            foreach ($row->steps as $one) {
                $steps['all']++;
                $steps['kept'] += $one->kept === Kept::Kept ? 1 : 0;
                $steps['ahead'] += $one->kept === Kept::ToCome ? 1 : 0;
            }
        }
        $keys = array_merge(...array_map(static fn (WeekRow $row): array => $row->keys, $days) ?: [[]]);
        $dates = Dates::of($user);
        $area = $areas[$place] ?? null;

        return new ReviewPage(
            review: $review,
            week: $week,
            span: $dates->span($week, $week->plusDays(6)),
            number: $number,
            step: $step,
            place: $place,
            whole: $whole,
            days: $days,
            promised: array_sum(array_map(static fn (WeekRow $row): int => $row->promised, $days)),
            actual: array_sum(array_map(static fn (WeekRow $row): int => $row->actual, $days)),
            keys: ['kept' => count(array_filter($keys, static fn (array $one): bool => $one['kept'])), 'all' => count(array_filter($keys, static fn (array $one): bool => ! $one['open']))],
            steps: $steps,
            goals: $goals,
            asks: array_map(static fn (\stdClass $row): array => ['step' => (int) $row->id, 'title' => (string) $row->title, 'goal' => (string) $row->name, 'week' => $dates->ofMonth(LocalDay::fromString($row->week_on))], GoalSteps::undecided(array_map(static fn (StepsOfWeek $row): int => $row->goal->id, $goals), Weeks::first($user, $this->desk->today()))),
            slips: $slips,
            areas: $areas,
            about: $area === null ? null : $this->about($user, $area, $now),
            waiting: $this->waiting($user, $now),
            someday: $this->someday($user, $review, $now),
            next: $this->next($user, $now),
            earlier: $user->reviews()->whereNotNull('closed_at')->where('week_on', '!=', $week->asString())->limit(self::EARLIER)->get(),
        );
    }

    /** @return Collection<int, Area> that are gone through one by one: those the lens shows */
    public function areas(): Collection
    {
        return $this->desk->areas()->filter(fn (Area $area): bool => $this->desk->lens()->holdsArea($area->id))->values()->toBase();
    }

    /** @return array<string, mixed> what is kept of it when it is closed */
    public function account(ReviewPage $page): array
    {
        return [
            'promised' => $page->promised, 'actual' => $page->actual, 'keys' => $page->keys, 'steps' => $page->steps,
            'days' => array_map(static fn (WeekRow $row): array => ['label' => $row->day->label, 'promised' => $row->promised, 'actual' => $row->actual, 'keys' => $row->keys], $page->days),
            'slips' => array_map(static fn (Slip $slip): array => ['reason' => $slip->reason, 'minutes' => $slip->minutes, 'titles' => array_column($slip->tasks, 'title')], $page->slips),
            'caught' => array_sum($page->review->caught ?? []),
            'next' => ['demand' => $page->next->demand, 'supply' => $page->next->supply],
        ];
    }

    /** @return list<StepsOfWeek> */
    private function goals(Cycle $cycle, int $week): array
    {
        $goals = $cycle->goals()->get();
        $steps = (new StepRows($this->desk))->of(array_values(array_map(intval(...), $goals->modelKeys())), $cycle->span());

        return array_values($goals->map(fn (Goal $goal): StepsOfWeek => new StepsOfWeek($goal->setRelation('area', $this->desk->areas()[$goal->area_id] ?? throw new \LogicException('Every goal is in an area.')), $steps[$goal->id][$week] ?? []))->all());
    }

    /** @return array{list<WeekRow>, list<Slip>} */
    private function days(User $user, LocalDay $week, CarbonImmutable $now): array
    {
        $zone = Zones::named($user->zone);
        $entries = $user->entries()->where('starts_at', '>=', Moments::moment($zone->day($week)->start))->where('starts_at', '<', Moments::moment($zone->day($week->plusDays(6))->end))->orderBy('starts_at')->get()->toBase()
            ->groupBy(static fn (Entry $entry): int => $zone->dayOf(Moments::minute($entry->starts_at))->number);
        $rows = $noted = [];
        foreach ($this->weeks->of($user, $week, $now, false)->days as $day) {
            $isAhead = $day->day->number > $this->desk->today()->number;
            $account = $isAhead ? null : Account::of($this->desk, $day->day, $entries[$day->day->number] ?? new Collection, $now, whole: false);
            $keys = array_map(fn (AccountRow $row): array => ['title' => $row->title, 'kept' => $row->became === Became::Kept, 'open' => $row->became !== Became::Kept && ($row->became === Became::ToCome || $day->day->equals($this->desk->today()))], array_values(array_filter($account->rows ?? [], static fn (AccountRow $row): bool => $row->key && $row->became !== Became::Added)));
            $rows[] = new WeekRow($day, $account?->promised() ?? 0, $isAhead ? 0 : $day->workedMinutes, $keys, $account?->isClosed() ?? false, $isAhead);
            foreach ($account->rows ?? [] as $row) {
                $why = trim((string) ($account->closed->slips[(string) $row->task] ?? ''));
                if ($why !== '' && ! $row->done) {
                    $noted[mb_strtolower($why)][] = [$why, ['title' => $row->title, 'minutes' => max(0, $row->promised - $row->actual), 'day' => $day->label, 'task' => $row->task]];
                }
            }
        }

        return [$rows, $this->slips($user, $noted)];
    }

    /**
     * @param  array<array-key, non-empty-list<array{string, array{title: string, minutes: int, day: string, task: int}}>>  $noted
     * @return list<Slip> what cost most first
     */
    private function slips(User $user, array $noted): array
    {
        $slips = [];
        foreach ($noted as $some) {
            $rule = SlipRule::for($some[0][0]);
            $tasks = array_column($some, 1);
            $slips[] = new Slip(ucfirst($some[0][0]), $tasks, array_sum(array_column($tasks, 'minutes')), $rule, MakeRule::holds($user, $rule, Weeks::first($user, $this->desk->today())->plusDays(7)));
        }
        usort($slips, static fn (Slip $a, Slip $b): int => [-$a->minutes, $a->reason] <=> [-$b->minutes, $b->reason]);

        return $slips;
    }

    /** @return array{due: list<string>, waiting: list<string>, undated: int} */
    private function about(User $user, Area $area, CarbonImmutable $now): array
    {
        $soon = $this->desk->time()->zone->day(Weeks::first($user, $this->desk->today())->plusDays(13))->end;
        $own = $this->desk->open()->all()->filter(static fn (Candidate $one): bool => $one->area === $area->id);
        $due = $own->filter(static fn (Candidate $one): bool => $one->due !== null && $one->due <= $soon)->sortBy('due')->take(self::NAMED);
        $tasks = $this->desk->tasks($due->pluck('id')->all());

        return [
            'due' => array_values($due->map(fn (Candidate $one): string => ($tasks[$one->id] ?? null)?->shortTitle().', '.Times::due($user, (int) $one->due, ($tasks[$one->id] ?? null)?->due_at !== null, $now))->all()),
            'waiting' => array_values($user->tasks()->whereNull('done_at')->where('area_id', $area->id)->whereNotNull('waiting_for')->whereIn('stage', [TaskStage::Waiting, TaskStage::Inbox])->limit(self::NAMED)->get()->map(static fn (Task $task): string => "{$task->shortTitle()} ({$task->waiting_for})")->all()),
            'undated' => $own->filter(static fn (Candidate $one): bool => $one->due === null)->count(),
        ];
    }

    /** @return list<array{task: Task, since: string, ask: string, due: bool, letter: array{subject: string, body: string}}> those to ask now first */
    private function waiting(User $user, CarbonImmutable $now): array
    {
        $today = $this->desk->today()->asString();
        $dates = Dates::of($user);
        $day = static fn (?string $on): string => $on === null ? '' : $dates->near(LocalDay::fromString($on));
        $rows = $user->tasks()->whereNull('done_at')->whereNotNull('waiting_for')->whereIn('stage', [TaskStage::Waiting, TaskStage::Inbox])->with('area')->orderByRaw('ask_on is null, ask_on')->orderBy('id')->limit(100)->get();

        return array_values($rows->filter(fn (Task $task): bool => $this->desk->lens()->holdsArea($task->area_id))->map(static fn (Task $task): array => [
            'task' => $task, 'since' => $day($task->waiting_since), 'ask' => $day($task->ask_on), 'due' => $task->stage === TaskStage::Inbox || ($task->ask_on !== null && $task->ask_on <= $today),
            'letter' => ['subject' => $task->title, 'body' => __('review.letter', ['person' => $task->waiting_for, 'what' => $task->title, 'since' => $task->waiting_since === null ? '' : $dates->ofMonth(LocalDay::fromString($task->waiting_since)), 'name' => $user->name])],
        ])->all());
    }

    /** @return list<array{task: Task, seen: string, kept: bool}> */
    private function someday(User $user, ?Review $review, CarbonImmutable $now): array
    {
        $seen = [];
        foreach ($user->reviews()->orderBy('week_on')->get(['week_on', 'kept']) as $one) {
            foreach ($one->kept as $id) {
                $seen[$id] = LocalDay::fromString($one->week_on)->plusDays(4)->number;
            }
        }
        $rows = [];
        foreach ($user->tasks()->whereNull('done_at')->where('stage', TaskStage::Someday)->with('area')->limit(500)->get() as $task) {
            $day = max($seen[$task->id] ?? 0, Moments::today($user, $task->updated_at)->number);
            $this->desk->lens()->holdsArea($task->area_id) && $rows[] = [$day, ['task' => $task, 'seen' => Dates::of($user)->ofMonth(new LocalDay($day)), 'kept' => in_array($task->id, $review->kept ?? [], true)]];
        }
        usort($rows, static fn (array $a, array $b): int => [$a[0], $a[1]['task']->id] <=> [$b[0], $b[1]['task']->id]);

        return array_slice(array_column($rows, 1), 0, self::SOMEDAY);
    }

    private function next(User $user, CarbonImmutable $now): NextWeek
    {
        $first = Weeks::first($user, $this->desk->today())->plusDays(7);
        $time = $this->desk->time();
        $set = $time->sets->first();
        $end = $time->zone->day($first->plusDays(6))->end;
        $dates = Dates::of($user);
        $span = $dates->span($first, $first->plusDays(6));
        if ($set === null) {
            return new NextWeek($span, $dates->near($first->plusDays(6)), [], 0, 0, 0, 0, null);
        }
        $curve = $this->desk->open()->curve($set->id);
        $at = $curve->at($end);
        $due = $this->desk->open()->weighed()->filter(static fn (Candidate $one): bool => $one->set === $set->id && $one->due !== null && $one->due <= $end && $one->toPlan > 0)->sortBy('due');
        $shown = $due->count() > self::PIECES ? $due->sortByDesc('toPlan')->take(self::PIECES)->sortBy('due') : $due;
        $tasks = $this->desk->tasks($shown->pluck('id')->all());
        $pieces = array_values($shown->map(static fn (Candidate $one): array => ['title' => isset($tasks[$one->id]) ? $tasks[$one->id]->shortTitle() : '', 'minutes' => $one->toPlan, 'hue' => ($tasks[$one->id] ?? null)->area->hue ?? 'slate', 'deep' => ($tasks[$one->id] ?? null)?->demand === Demand::Deep])->all());
        $crunch = null;
        foreach ($due->pluck('due')->unique() as $moment) {
            $room = min(array_map(static fn (Candidate $one): int => $one->demand?->room() ?? 0, $due->filter(static fn (Candidate $one): bool => $one->due === $moment)->all())); // deep work has less, as on Horizon
            if ($room < 0) {
                $names = $this->desk->tasks($due->filter(static fn (Candidate $one): bool => $one->due === $moment)->pluck('id')->all());
                $crunch = ['what' => (string) $names->first()?->title, 'when' => Times::due($user, (int) $moment, $names->first()?->due_at !== null, $now), 'missing' => -$room];

                break;
            }
        }

        return new NextWeek($span, $dates->near($first->plusDays(6)), $pieces, max(0, $at->demand - array_sum(array_column($pieces, 'minutes'))), $at->demand, $at->supply, $time->open($set->id)->minutesBetween(Moments::minute($now), $end), $crunch);
    }
}
