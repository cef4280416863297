<?php

declare(strict_types=1);

namespace App\Screens\FirstDay;

use App\Edits\FirstStep;
use App\Models\Task;
use App\Models\User;
use App\Rows\Desk;
use App\Rows\WorkTimeLoader;
use App\Wording\Times;
use Nekto\Core\Day\DayLoad;
use Nekto\Core\Time\IntervalSet;

/** The first day: what is done of it, what comes next, and the day as it fills. */
final readonly class FirstDayScreen
{
    /** Lines that are shown as caught. */
    private const CAUGHT = 12;

    /** Tasks from which those are taken that are drawn. */
    private const LOOKED_AT = 100;

    /** Days within which the first one with hours is looked for. */
    private const AHEAD = 8;

    /** Minutes that a line without an estimate is drawn with. */
    private const USUAL = 30;

    public function __construct(private Desk $desk, private WorkTimeLoader $times) {}

    public function page(?FirstStep $asked): FirstDayPage
    {
        $user = $this->desk->user();
        $open = static fn () => $user->tasks()->whereNull('done_at');
        $tasks = $open()->latest('id')->limit(self::LOOKED_AT)->get();
        $lines = $open()->count();
        $unweighed = $open()->whereNull('importance')->count();
        $reads = $user->intakes()->where('kind', 'calendar')->underWay()->exists();
        $meetings = $user->occurrences()->where('ends_at', '>', $this->desk->now)->where('starts_at', '<', $this->desk->now->addDays(14))->count();
        $states = $this->states($user, $lines, $unweighed, $meetings, $reads);
        $load = $this->load($user);

        return new FirstDayPage(
            user: $user,
            step: $asked ?? self::next($states),
            states: $states,
            figures: $this->figures($states, $load, $lines, $unweighed, $meetings),
            vessel: Vessel::of($states, $load->hours - $load->breaks, $load->meetings, $load->loadLine, array_values($tasks->sortByDesc(static fn (Task $task): int => $task->importance->value ?? 0)->map(static fn (Task $task): array => ['title' => $task->title, 'minutes' => $task->estimate ?? self::USUAL, 'weight' => $task->importance->value ?? 0])->all())),
            caught: array_values($tasks->take(self::CAUGHT)->map(static fn (Task $task): string => $task->title)->all()),
            lines: $lines,
            unweighed: $unweighed,
            meetings: $meetings,
            reads: $reads,
            hours: HoursOffer::of($user, $this->desk->today()->weekdayKey()),
        );
    }

    /**
     * What the steps have brought by themselves counts, whoever pressed what.
     *
     * @return array<string, string>
     */
    private function states(User $user, int $lines, int $unweighed, int $meetings, bool $reads): array
    {
        $pressed = $user->first_day ?? [];
        $states = [];
        foreach (FirstStep::cases() as $step) {
            $states[$step->value] = $pressed[$step->value] ?? match (true) {
                $step === FirstStep::Calendar && $meetings > 0 && ! $reads => 'done',
                $step === FirstStep::Weigh && $lines > 0 && $unweighed === 0 => 'done',
                default => 'ahead',
            };
        }
        if ($states['weigh'] === 'done' && $unweighed > 0) { // more was caught since
            $states['weigh'] = 'ahead';
        }

        return $states;
    }

    /** @param  array<string, string>  $states */
    private static function next(array $states): FirstStep
    {
        foreach (FirstStep::cases() as $step) {
            if ($states[$step->value] === 'ahead') {
                return $step;
            }
        }

        return FirstStep::Shape;
    }

    /** Of the first day from today on that has hours. */
    private function load(User $user): DayLoad
    {
        $set = $user->hoursSets()->first();
        $nothing = IntervalSet::empty();
        $time = $this->times->load($user, $this->desk->today(), self::AHEAD);
        for ($i = 0; $set !== null && $i < self::AHEAD; $i++) {
            $load = $time->load($set->id, $this->desk->today()->plusDays($i), $nothing);
            if ($load->hours > 0) {
                return $load;
            }
        }

        return DayLoad::of($nothing, $nothing, $nothing, $nothing, $user->margin_percent);
    }

    /**
     * @param  array<string, string>  $states
     * @return array<string, string>
     */
    private function figures(array $states, DayLoad $load, int $lines, int $unweighed, int $meetings): array
    {
        $figures = [];
        foreach (FirstStep::cases() as $step) {
            $figures[$step->value] = match (true) {
                $states[$step->value] === 'left' => __('first.left'),
                $step === FirstStep::Hours && $states['hours'] === 'done' => __('first.figures.hours', ['open' => Times::duration($load->hours - $load->breaks)]),
                $step === FirstStep::Calendar && $meetings > 0 => trans_choice('first.figures.meetings', $meetings),
                $step === FirstStep::Gather && $lines > 0 => trans_choice('first.figures.lines', $lines),
                $step === FirstStep::Weigh && $lines > $unweighed => trans_choice('first.figures.weighed', $lines - $unweighed, ['of' => $lines]),
                default => __("first.takes.{$step->value}"),
            };
        }

        return $figures;
    }
}
