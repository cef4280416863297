<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\BlockState;
use App\Models\Entry;
use App\Models\Occurrence;
use App\Models\PlanRevision;
use App\Models\Task;
use App\Models\User;
use App\Repeats\Rest;
use App\Rows\Candidate;
use App\Rows\Desk;
use App\Rows\Picks;
use App\Rows\RowMapper;
use App\Rows\RunningClock;
use App\Rows\WorkTime;
use App\Time\Moments;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** One step of the guided run through the morning. */
final readonly class MorningRun
{
    private const DAYS_BACK = 4;

    private const CANDIDATES = 10;

    /** Titles that are said of what went by itself. */
    private const NAMED = 3;

    /**
     * @param  list<array{task: Task, state: string, next: Block|null}>  $left  unfinished work of the last day that had a plan
     * @param  Collection<int, Occurrence>  $meetings
     * @param  list<array{task: Task, minutes: int, pull: int, why: string}>  $candidates
     */
    private function __construct(public MorningStep $step, public array $left, public Collection $meetings, public array $candidates, public ?Entry $forgotten, public ?string $missing = null, public ?PlanRevision $rested = null, public string $resting = '') {}

    /** @param  Collection<int, Candidate>  $candidates */
    public static function of(Desk $desk, MorningStep $step, LocalDay $day, WorkTime $time, Collection $candidates): self
    {
        [$user, $now] = [$desk->user(), $desk->now];
        $span = $time->zone->day($day);
        $rested = $step === MorningStep::Left ? Rest::ofToday($user, $now) : null;

        return new self(
            $step,
            $step === MorningStep::Left ? self::left($user, $span->start, $now) : [],
            $time->occurrences->filter(static fn (Occurrence $one): bool => $one->interrupts() && RowMapper::start($one) < $span->end && RowMapper::end($one) > $span->start),
            $step === MorningStep::Candidates ? self::candidates($desk, $day, $candidates) : [],
            RunningClock::forgotten($user, $now),
            self::missing($user, $candidates),
            $rested,
            $rested === null ? '' : self::resting($user, $rested),
        );
    }

    /** "Three lay untouched for 60 days and went to someday: Packing film, Holiday cover plan and one more." */
    private static function resting(User $user, PlanRevision $rested): string
    {
        $titles = $user->tasks()->whereKey(array_column($rested->rows['tasks'] ?? [], 'id'))->orderBy('id')->pluck('title');
        $more = $titles->count() - self::NAMED;

        return trans_choice('shape.morning.rested', $titles->count(), ['days' => (int) $user->someday_after, 'titles' => $titles->take(self::NAMED)->implode(', ')]).($more > 0 ? ' '.trans_choice('shape.morning.rested_more', $more) : '').'.';
    }

    /**
     * What has to be there before a day can be chosen from it: the key of what is said; null where nothing is missing.
     *
     * @param  Collection<int, Candidate>  $candidates
     */
    private static function missing(User $user, Collection $candidates): ?string
    {
        return match (true) {
            $candidates->contains(static fn (Candidate $one): bool => $one->left !== null) => null,
            $candidates->isNotEmpty() => 'estimates',
            $user->tasks()->open()->exists() => 'weights',
            $user->tasks()->inbox()->exists() => 'sorting',
            default => 'lines',
        };
    }

    /** @return list<array{task: Task, state: string, next: Block|null}> */
    private static function left(User $user, int $today, CarbonImmutable $now): array
    {
        $start = Moments::moment($today);
        $last = $user->blocks()->where('ends_at', '<=', $start)->where('ends_at', '>', $start->subDays(self::DAYS_BACK))->max('starts_at');
        if ($last === null) {
            return [];
        }
        $from = $user->local(CarbonImmutable::parse((string) $last, 'UTC'))->startOfDay()->utc();
        $blocks = $user->blocks()->where('starts_at', '>=', $from)->where('ends_at', '<=', $start)->whereIn('state', [BlockState::Passed, BlockState::Part])->orderBy('starts_at')->get()->keyBy('task_id');
        $tasks = $user->tasks()->open()->with('area')->findMany($blocks->keys()->all());
        $worked = $user->entries()->where('break', false)->whereIn('task_id', $tasks->modelKeys())->where('starts_at', '>=', $from)->where('starts_at', '<', $start)->pluck('task_id')->flip();
        $next = $user->blocks()->whereIn('task_id', $tasks->modelKeys())->where('state', BlockState::Planned)->where('ends_at', '>', $now)->orderBy('starts_at')->get()->groupBy('task_id');

        return array_values($tasks->map(static fn (Task $task): array => [
            'task' => $task, 'state' => $blocks[$task->id]->state === BlockState::Part || $worked->has($task->id) ? __('shape.morning.part') : __('shape.morning.passed'), 'next' => $next[$task->id][0] ?? null,
        ])->all());
    }

    /**
     * @param  Collection<int, Candidate>  $candidates
     * @return list<array{task: Task, minutes: int, pull: int, why: string}>
     */
    private static function candidates(Desk $desk, LocalDay $day, Collection $candidates): array
    {
        [$user, $now] = [$desk->user(), $desk->now];
        $best = Candidate::byPull($candidates->filter(static fn (Candidate $one): bool => $one->isNext && $one->left !== null))->take(self::CANDIDATES);
        $tasks = $desk->tasks($best->keys()->all());
        $picks = new Picks($user, Moments::today($user, $now));

        return array_values($best->map(static fn (Candidate $one): array => [
            'task' => $tasks[$one->id], 'minutes' => $one->toPlan, 'pull' => $one->pull->total(), 'why' => ProposalPanel::why($user, $one, $tasks[$one->id], $picks, $day, $now),
        ])->values()->all());
    }
}
