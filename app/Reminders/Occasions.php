<?php

declare(strict_types=1);

namespace App\Reminders;

use App\Models\BlockState;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Rows\RowMapper;
use App\Rows\RunningClock;
use App\Rows\WorkTimeLoader;
use App\Time\Moments;
use App\Time\Weeks;
use App\Wording\Times;
use Carbon\CarbonImmutable;

/** What there is to be reminded of at a moment. What is done, moved or closed is no occasion any more. */
final readonly class Occasions
{
    /** A due time is an occasion for so long. */
    private const DUE_HOURS = 2;

    /** So is the hour for closing the day. */
    private const DAY_HOURS = 4;

    private const MORNING = 8;

    public function __construct(private WorkTimeLoader $times) {}

    /** @return list<Occasion> */
    public function of(User $user, CarbonImmutable $now): array
    {
        $kinds = explode(',', $user->reminds);

        return [
            ...(in_array('meetings', $kinds, true) ? $this->meetings($user, $now) : []),
            ...(in_array('blocks', $kinds, true) ? $this->blocks($user, $now) : []),
            ...(in_array('due', $kinds, true) ? $this->due($user, $now) : []),
            ...(in_array('waiting', $kinds, true) ? $this->waiting($user, $now) : []),
            ...(in_array('close', $kinds, true) ? $this->close($user, $now) : []),
            ...(in_array('review', $kinds, true) ? $this->review($user, $now) : []),
            ...(in_array('report', $kinds, true) ? $this->reports($user, $now) : []),
        ];
    }

    /** @return list<Occasion> of meetings that keep their time, early enough to get there */
    private function meetings(User $user, CarbonImmutable $now): array
    {
        $soon = $user->occurrences()->interrupting()->with('meeting.calendar')->where('starts_at', '>=', $now)->where('starts_at', '<=', $now->addMinutes(RowMapper::FURTHEST_WAY))->orderBy('starts_at')->limit(100)->get();
        $occasions = [];
        foreach ($soon as $one) {
            if ($one->isShown() && $one->starts_at <= $now->addMinutes(RowMapper::announced($one, $user))) {
                $occasions[] = new Occasion("meeting:{$one->id}:{$one->starts_at->getTimestamp()}", 'meetings', $one->summary, __('remind.meeting', ['when' => Times::range($user, $one->starts_at, $one->ends_at), 'place' => $one->place === null || str_contains($one->place, '://') ? '' : ", {$one->place}"]), "/occurrences/{$one->id}", link: $one->link);
            }
        }

        return $occasions;
    }

    /** @return list<Occasion> */
    private function blocks(User $user, CarbonImmutable $now): array
    {
        $running = RunningClock::of($user)?->task_id;
        $occasions = [];
        foreach ($user->blocks()->where('state', BlockState::Planned)->where('starts_at', '>=', $now)->where('starts_at', '<=', $now->addMinutes($user->remind_before))->with('task')->orderBy('starts_at')->get() as $block) {
            if ($block->task_id !== $running && $block->task->done_at === null) {
                $occasions[] = new Occasion("block:{$block->task_id}:{$block->starts_at->getTimestamp()}", 'blocks', $block->task->title, __('remind.block', ['when' => Times::range($user, $block->starts_at, $block->ends_at)]), '/work', $block->task_id);
            }
        }

        return $occasions;
    }

    /**
     * Due times when they are near; a due date at the lead before its hours end.
     *
     * @return list<Occasion>
     */
    private function due(User $user, CarbonImmutable $now): array
    {
        $today = $user->local($now)->format('Y-m-d');
        $tasks = $user->tasks()->whereNull('done_at')->whereIn('stage', [TaskStage::Open, TaskStage::Inbox])->with('area')
            ->where(static fn ($query) => $query->where('due_on', $today)->orWhereBetween('due_at', [$now->subHours(self::DUE_HOURS), $now->addDay()]))->orderBy('id')->get();
        if ($tasks->isEmpty()) {
            return [];
        }
        $time = $this->times->load($user, Moments::today($user, $now), 1);
        $occasions = [];
        foreach ($tasks as $task) {
            $due = Moments::moment((int) $time->due($task->getAttributes()['due_on'], $task->getAttributes()['due_at'], $task->hoursSet()));
            $lead = $task->due_at === null ? max(60, $user->remind_before) : $user->remind_before;
            if ($now >= $due->subMinutes($lead) && $now < $due->addHours(self::DUE_HOURS)) {
                $occasions[] = new Occasion("due:{$task->id}:{$due->getTimestamp()}", 'due', $task->title, __('remind.due', ['when' => Times::clock($user, $due)]), "/tasks/{$task->id}", $task->id);
            }
        }

        return $occasions;
    }

    /** @return list<Occasion> from the morning of the day to ask again, when it lies in the inbox once more */
    private function waiting(User $user, CarbonImmutable $now): array
    {
        $local = $user->local($now);
        if ($local->hour < self::MORNING) {
            return [];
        }
        $tasks = $user->tasks()->whereNull('done_at')->whereNotNull('waiting_for')->where(static fn ($query) => $query->where('stage', TaskStage::Inbox)
            ->orWhere(static fn ($query) => $query->where('stage', TaskStage::Waiting)->where('ask_on', '<=', $local->format('Y-m-d'))))->orderBy('id')->get();

        return array_values($tasks->map(static fn (Task $task): Occasion => new Occasion("waiting:{$task->id}:{$task->waiting_since}", 'waiting', $task->title, __('remind.waiting', ['person' => $task->waiting_for]), "/tasks/{$task->id}", $task->id))->all());
    }

    /** @return list<Occasion> */
    private function close(User $user, CarbonImmutable $now): array
    {
        $local = $user->local($now);
        $day = $local->format('Y-m-d');
        if ($user->close_at === null || ! $this->isIn($user, $user->close_at, $now) || $user->closedDays()->where('date', $day)->whereNotNull('closed_at')->exists()) {
            return [];
        }

        return [new Occasion("close:{$day}", 'close', __('remind.close_title'), __('remind.close'), '/close')];
    }

    /** @return list<Occasion> the weekly review on its day, until its week is closed */
    private function review(User $user, CarbonImmutable $now): array
    {
        $today = Moments::today($user, $now);
        $week = Weeks::first($user, $today)->asString();
        if ($today->weekday() !== $user->review_on || ! $this->isIn($user, $user->review_at, $now) || $user->reviews()->where('week_on', $week)->whereNotNull('closed_at')->exists()) {
            return [];
        }

        return [new Occasion("review:{$week}", 'review', __('remind.review_title'), __('remind.review'), '/review')];
    }

    /** @return list<Occasion> */
    private function reports(User $user, CarbonImmutable $now): array
    {
        $today = Moments::today($user, $now);
        $occasions = [];
        foreach ($user->reports()->whereNotNull('remind_at')->get() as $report) {
            if (($report->remind_on === null || $report->remind_on === $today->weekday()) && $this->isIn($user, (int) $report->remind_at, $now)) {
                $occasions[] = new Occasion("report:{$report->id}:{$today->asString()}", 'report', $report->name, __('remind.report'), "/reports/{$report->id}");
            }
        }

        return $occasions;
    }

    /** It is that time of the day, or not long after. */
    private function isIn(User $user, int $minute, CarbonImmutable $now): bool
    {
        $local = $user->local($now);
        $since = 60 * $local->hour + $local->minute - $minute;

        return $since >= 0 && $since < 60 * self::DAY_HOURS;
    }
}
