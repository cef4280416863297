<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\OpenAccount;
use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\Meetings\TakeEvents;
use App\Models\BlockState;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Planning\Prospects;
use App\Planning\Replan;
use App\Planning\TakeDay;
use App\Time\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** The sample scenario: Ines Moura and the travelling exhibition "Rivers Underfoot", dated around today. */
final class DemoSeeder extends Seeder
{
    public const EMAIL = 'ines@example.org';

    public const PASSWORD = 'rivers-underfoot';

    private const ZONE = 'Europe/Lisbon';

    private DemoDates $dates;

    private CarbonImmutable $now;

    /** @var array<string, Task> by short title */
    private array $tasks = [];

    public function run(OpenAccount $open, Replan $replan): void
    {
        $this->now = Clock::now();
        $this->dates = new DemoDates($this->now->setTimezone(self::ZONE)->startOfDay());
        DB::transaction(function () use ($open): void {
            $user = $open('Ines Moura', self::EMAIL, self::PASSWORD, self::ZONE);
            $this->hoursAndAreas($user);
            $this->meetings($user);
            $this->openTasks($user);
            $this->caught($user);
            $this->today($user);
            (new DemoOrder($this->now, $this->dates))->fill($user);
        });
        $user = User::query()->where('email', self::EMAIL)->firstOrFail();
        $user->blocks()->update(['put_back' => true]); // today is laid out already: only the rest is placed
        $replan($user, $this->now, RevisionCause::LaidOut);
        $user->blocks()->update(['put_back' => false]);
        Prospects::forget($user); // they were reckoned with today held fast
        $taken = $this->dates->at('08:52')->utc();
        $taken <= $this->now && TakeDay::today($user, TakeDay::PROPOSAL, $taken);
        (new DemoMail($this->now))->send($user);
        $user->planRevisions()->delete(); // the demo begins with a plan, not with a change
    }

    private function hoursAndAreas(User $user): void
    {
        [$office, $evenings] = $user->hoursSets()->get()->all();
        $week = array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], [['17:30', '18:30']]);
        $evenings->update(['week' => [...$week, 'sat' => [['10:00', '12:00']]]]);
        if ($this->dates->todayIsOff()) {
            $office->exceptions()->create(['date' => $this->dates->day(0)->format('Y-m-d'), 'stretches' => [['09:00', '17:30']]]);
            $evenings->exceptions()->create(['date' => $this->dates->day(0)->format('Y-m-d'), 'stretches' => [['17:30', '18:30']]]);
        }
        $user->areas()->delete();
        foreach (DemoTasks::AREAS as $i => [$name, $hue, $atHome]) {
            $user->areas()->create(['name' => $name, 'hue' => $hue, 'hours_set_id' => $atHome ? $evenings->id : $office->id, 'position' => $i]);
        }
    }

    /** Through the same reader as any calendar file. */
    private function meetings(User $user): void
    {
        $split = (new CalendarSplitter('VEVENT'))->split(DemoCalendar::text($this->dates));
        $reader = TakeEvents::reader($user, $this->now);
        foreach (EventGroup::of($split['components']) as $group) {
            $meeting = $user->meetings()->make(['uid' => $group->uid, 'source' => $group->text]);
            $meeting->lead_minutes = str_starts_with($group->uid, 'lighting') ? 15 : null;
            TakeEvents::store($meeting, $reader->read($group), $this->now);
        }
    }

    private function openTasks(User $user): void
    {
        $areas = $user->areas()->pluck('id', 'name');
        foreach (DemoTasks::OPEN as [$title, $short, $area, $importance, $minutes, $due, $deep, $carried, $age]) {
            $task = $user->tasks()->make([
                'title' => $title, 'short' => $short, 'area_id' => $areas[$area], 'stage' => TaskStage::Open, 'importance' => $importance,
                'estimate' => $minutes, 'said' => $minutes, 'demand' => $deep ? 'deep' : 'light', 'min_chunk' => $deep ? 30 : 15, 'carried' => $carried,
                'due_on' => $this->dates->dueOn($due),
            ]);
            $task->created_at = $this->now->subDays($age);
            $task->save();
            $this->tasks[$short] = $task;
        }
    }

    private function caught(User $user): void
    {
        $areas = $user->areas()->pluck('id', 'name');
        foreach (DemoTasks::CAUGHT as [$title, $area, $stage, $source, $note, $estimate, $due, $hoursAgo]) {
            $task = $user->tasks()->make([
                'title' => $title, 'area_id' => $areas[$area], 'stage' => $stage, 'source' => $source, 'note' => $note,
                'estimate' => $estimate, 'said' => $estimate,
                'due_on' => $this->dates->dueOn($due),
            ]);
            $task->created_at = $this->now->subMinutes((int) (60 * $hoursAgo));
            $task->save();
        }
    }

    /** Today as it was laid out in the morning, and as it has gone until now. */
    private function today(User $user): void
    {
        foreach (DemoTasks::TODAY as [$short, $from, $to, $anchored, $begun]) {
            [$start, $end] = [$this->dates->at($from)->utc(), $this->dates->at($to)->utc()];
            if ($short === null) {
                $start < $this->now && $user->entries()->create(['starts_at' => $this->dates->at($begun)->utc(), 'ends_at' => min($this->now, $end)]);

                continue;
            }
            $task = $this->tasks[$short];
            $task->update(['picked_on' => $this->dates->day(0)->format('Y-m-d'), 'key' => in_array($short, DemoTasks::KEYS, true)]);
            $minutes = (int) $start->diffInMinutes($end);
            $over = $end <= $this->now;
            $whole = $minutes >= (int) $task->estimate;
            $block = $user->blocks()->create([
                'task_id' => $task->id, 'starts_at' => $start, 'ends_at' => $end, 'anchored' => $anchored, 'reasons' => [['code' => 'earliest_open']],
                'state' => match (true) {
                    ! $over => BlockState::Planned,
                    $whole => BlockState::Done,
                    default => BlockState::Part,
                },
            ]);
            if ($start < $this->now) {
                $user->entries()->create(['task_id' => $task->id, 'block_id' => $block->id, 'starts_at' => $this->dates->at($begun)->utc(), 'ends_at' => $over ? $end : null]);
            }
            if ($over) {
                $task->update(['done_at' => $whole ? $end : null]);
            }
        }
    }
}
