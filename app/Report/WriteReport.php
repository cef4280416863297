<?php

declare(strict_types=1);

namespace App\Report;

use App\Ledger\By;
use App\Ledger\Spent;
use App\Models\BlockState;
use App\Models\Report;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Models\Worked;
use App\Planning\Prospects;
use App\Time\Weeks;
use App\Wording\Dates;
use App\Wording\Times;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Nekto\Core\Ledger\Period;
use Nekto\Core\Time\LocalDay;

/**
 * Puts a report together: of a day, a week or a project, in the sections that were chosen. What lies in a private area, bears
 * a private context, or is a private meeting is left out, and only counted.
 */
final class WriteReport
{
    /** Lines of a section. */
    private const MOST = 60;

    private const DUE_DAYS = 14;

    private int $hidden = 0;

    public function __construct(private readonly Prospects $prospects) {}

    public function __invoke(User $user, Report $report, LocalDay $day, CarbonImmutable $now): ReportText
    {
        $this->hidden = 0;
        $first = $report->scope === 'day' ? $day : Weeks::first($user, $day);
        $period = $report->scope === 'day' ? new Period($day, $day) : new Period($first, $first->plusDays(6));
        $sections = [];
        foreach (array_intersect(explode(',', $report->sections), Report::SECTIONS) as $section) {
            $sections[__("report.sections.{$section}")] = array_slice(match ($section) {
                'done' => $this->done($user, $report, $period, $now),
                'begun' => $this->begun($user, $report, $period, $now),
                'next' => $this->next($user, $report, $period, $now),
                'stuck' => $this->stuck($user, $report, $now),
                'due' => $this->due($user, $report, $now),
                'time' => $this->time($user, $report, $period, $now),
                default => $this->meetings($user, $period, $now),
            }, 0, self::MOST);
        }
        $dates = Dates::of($user);
        $name = $report->scope === 'project' ? (string) $report->project?->name : ($report->scope === 'day' ? $dates->long($day) : $dates->span($period->first, $period->last));

        return new ReportText(__('report.title', ['name' => $name, 'person' => $user->name]), $sections, $this->hidden);
    }

    /** @return list<string> */
    private function done(User $user, Report $report, Period $period, CarbonImmutable $now): array
    {
        [$from, $until] = (new Spent($user, $now))->span($period);

        return $this->titles($this->of($user, $report)->where('done_at', '>=', $from)->where('done_at', '<', $until)->orderBy('done_at'), static fn (Task $task): string => $task->title);
    }

    /** @return list<string> worked on, and not done */
    private function begun(User $user, Report $report, Period $period, CarbonImmutable $now): array
    {
        $worked = (new Spent($user, $now))->entries($period)->whereNotNull('entries.task_id')->groupBy('entries.task_id')->selectRaw('entries.task_id, '.Worked::sum($now).' as minutes')->pluck('minutes', 'task_id')->all();

        return $this->titles($this->of($user, $report)->whereNull('done_at')->whereIntegerInRaw('id', array_keys($worked))->orderBy('id'), static fn (Task $task): string => __('report.begun_line', ['title' => $task->title, 'worked' => Times::duration((int) $worked[$task->id]), 'left' => $task->said === null ? '?' : Times::duration($task->minutesLeft($now))]));
    }

    /** @return list<string> what is laid out or picked for the stretch after it; of a project what is next in it */
    private function next(User $user, Report $report, Period $period, CarbonImmutable $now): array
    {
        $tasks = $this->of($user, $report)->whereNull('done_at')->where('stage', TaskStage::Open);
        if ($report->scope === 'project') {
            return $this->titles($tasks->orderByRaw('due_on is null and due_at is null, coalesce(due_on, due_at), position')->limit(10), $this->withDue($user, $now));
        }
        $after = $period->after();
        [$from, $until] = (new Spent($user, $now))->span($after);
        $tasks->where(static fn (Builder $one): Builder => $one->whereBetween('picked_on', [$after->first->asString(), $after->last->asString()])
            ->orWhereHas('blocks', static fn (Builder $block): Builder => $block->where('state', BlockState::Planned)->where('starts_at', '>=', $from)->where('starts_at', '<', $until)));

        return $this->titles($tasks->orderByDesc('importance')->orderBy('id'), $this->withDue($user, $now));
    }

    /** @return list<string> what waits for somebody, and what will be late by the plan */
    private function stuck(User $user, Report $report, CarbonImmutable $now): array
    {
        $late = $this->prospects->slacks($user, $now)->late;
        $waiting = $this->titles($this->of($user, $report)->whereNull('done_at')->whereNotNull('waiting_for')->whereIn('stage', [TaskStage::Waiting, TaskStage::Inbox])->orderBy('waiting_since'), static fn (Task $task): string => __('report.waits_line', ['title' => $task->title, 'person' => $task->waiting_for]));

        return [...$waiting, ...$this->titles($this->of($user, $report)->whereNull('done_at')->whereIntegerInRaw('id', array_keys($late))->orderBy('id'), static fn (Task $task): string => __('report.late_line', ['title' => $task->title, 'late' => Times::lateness($late[$task->id])]))];
    }

    /** @return list<string> */
    private function due(User $user, Report $report, CarbonImmutable $now): array
    {
        $until = $user->local($now)->addDays(self::DUE_DAYS);

        return $this->titles($this->of($user, $report)->whereNull('done_at')->where(static fn (Builder $one): Builder => $one->where('due_on', '<=', $until->format('Y-m-d'))->orWhere('due_at', '<=', $until->utc()))->orderByRaw('coalesce(due_on, due_at)'), $this->withDue($user, $now));
    }

    /** @return list<string> */
    private function time(User $user, Report $report, Period $period, CarbonImmutable $now): array
    {
        $areas = $user->areas()->get()->keyBy('id');
        $lines = [];
        foreach ((new Spent($user, $now))->by(By::Area, $period) as $row) {
            $area = $areas[(int) $row['group']] ?? null;
            if ($area === null || $area->private || ($report->project_id !== null && (int) $row['part'] !== $report->project_id)) {
                continue;
            }
            $lines[$area->name] = ($lines[$area->name] ?? 0) + $row['minutes'];
        }
        arsort($lines);

        return array_map(static fn (string $name, int $minutes): string => "{$name}: ".Times::duration($minutes), array_keys($lines), $lines);
    }

    /** @return list<string> */
    private function meetings(User $user, Period $period, CarbonImmutable $now): array
    {
        [$from, $until] = (new Spent($user, $now))->span($period);
        $lines = [];
        foreach ($user->occurrences()->interrupting()->with('meeting.calendar')->where('starts_at', '>=', $from)->where('starts_at', '<', $until)->orderBy('starts_at')->limit(200)->get() as $one) {
            if ($one->private || ! $one->isShown()) {
                $this->hidden++;
            } else {
                $lines[] = Dates::of($user)->near($user->local($one->starts_at)).' '.Times::clock($user, $one->starts_at).' '.$one->summary;
            }
        }

        return $lines;
    }

    /** @return Builder<Task> */
    private function of(User $user, Report $report): Builder
    {
        return Task::query()->where('user_id', $user->id)->with(['area', 'contexts', 'user'])->when($report->scope === 'project', static fn (Builder $one): Builder => $one->where('project_id', $report->project_id));
    }

    /**
     * @param  Builder<Task>  $tasks
     * @param  \Closure(Task): string  $line
     * @return list<string>
     */
    private function titles(Builder $tasks, \Closure $line): array
    {
        $lines = [];
        foreach ($tasks->limit(5 * self::MOST)->get() as $task) {
            if ($task->area->private || $task->contexts->contains('private', true)) {
                $this->hidden++;
            } else {
                $lines[] = $line($task);
            }
        }

        return $lines;
    }

    /** @return \Closure(Task): string */
    private function withDue(User $user, CarbonImmutable $now): \Closure
    {
        $dates = Dates::of($user);

        return static fn (Task $task): string => $task->title.match (true) {
            $task->due_at !== null => ', '.__('report.due_line', ['when' => Times::when($user, $task->due_at, $now)]),
            $task->due_on !== null => ', '.__('report.due_line', ['when' => $dates->near(LocalDay::fromString($task->due_on))]),
            default => '',
        };
    }
}
