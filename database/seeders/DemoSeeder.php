<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\OpenAccount;
use App\Habits\HabitWeeks;
use App\ICalendar\CalendarSplitter;
use App\ICalendar\EventGroup;
use App\Meetings\StoreMeeting;
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

    private DemoDates $dates;

    private CarbonImmutable $now;

    private bool $follows = true;

    /** @var array<string, Task> by short title */
    private array $tasks = [];

    public function __construct(private readonly OpenAccount $open, private readonly Replan $replan, private readonly HabitWeeks $weeks) {}

    public function run(): void
    {
        $this->fill(self::EMAIL, self::PASSWORD, follows: true);
    }

    /**
     * Opens an account with the scenario in it.
     *
     * @param  bool  $follows  its calendars follow addresses; else they are as if they had come from files
     */
    public function fill(string $email, #[\SensitiveParameter] string $password, bool $follows): User
    {
        $this->now = Clock::now();
        $this->follows = $follows;
        $this->dates = new DemoDates($this->now->setTimezone(DemoCalendar::ZONE)->startOfDay());
        DB::transaction(function () use ($email, $password): void {
            $user = ($this->open)('Ines Moura', $email, $password, DemoCalendar::ZONE);
            $this->hoursAndAreas($user);
            $this->meetings($user);
            $this->openTasks($user);
            $this->caught($user);
            $this->today($user);
            (new DemoOrder($this->now, $this->dates))->fill($user);
            (new DemoPast($this->dates))->fill($user);
            (new DemoGoals($this->now, $this->dates, $this->weeks))->fill($user);
        });
        $user = User::query()->where('email', $email)->firstOrFail();
        $user->blocks()->update(['put_back' => true]); // today is laid out already: only the rest is placed
        ($this->replan)($user, $this->now, RevisionCause::LaidOut);
        $user->blocks()->update(['put_back' => false]);
        Prospects::forget($user); // they were reckoned with today held fast
        $taken = $this->dates->at('08:52')->utc();
        $taken <= $this->now && TakeDay::today($user, TakeDay::PROPOSAL, $taken);
        (new DemoMail($this->now))->send($user);
        $user->planRevisions()->delete(); // the demo begins with a plan, not with a change

        return $user;
    }

    private function hoursAndAreas(User $user): void
    {
        [$office, $evenings] = $user->hoursSets()->get()->all();
        $week = array_fill_keys(['mon', 'tue', 'wed', 'thu', 'fri'], [['17:30', '18:30']]);
        $evenings->update(['week' => [...$week, 'sat' => [['10:00', '12:00']]]]);
        foreach ([[23, 'Museum closed', []], [26, 'Museum closed', []], [38, 'build-up, room 1', [['10:00', '16:00']]]] as [$days, $name, $hours]) {
            $office->exceptions()->create(['date' => $this->dates->day($days)->format('Y-m-d'), 'stretches' => $hours, 'name' => $name]);
        }
        if ($this->dates->todayIsOff()) {
            $office->exceptions()->create(['date' => $this->dates->day(0)->format('Y-m-d'), 'stretches' => [['09:00', '17:30']]]);
            $evenings->exceptions()->create(['date' => $this->dates->day(0)->format('Y-m-d'), 'stretches' => [['17:30', '18:30']]]);
        }
        $user->areas()->delete();
        foreach (DemoTasks::AREAS as $i => [$name, $hue, $atHome]) {
            $user->areas()->create(['name' => $name, 'hue' => $hue, 'hours_set_id' => $atHome ? $evenings->id : $office->id, 'position' => $i]);
        }
    }

    /** Through the same reader as any calendar. */
    private function meetings(User $user): void
    {
        $reader = TakeEvents::reader($user, $this->now);
        $groups = array_map(static fn (string $name) => $user->calendarGroups()->create(['name' => $name])->id, ['Work' => 'Work', 'Home' => 'Home']);
        foreach ($user->areas()->get() as $area) {
            $area->update(['group_id' => $groups[$area->name === 'Home' ? 'Home' : 'Work']]);
        }
        foreach (DemoCalendar::CALENDARS as $name => [$group, $kind, $hatching, $blocks, $before, $file]) {
            $kind = $this->follows || $kind !== 'address' ? $kind : 'file';
            $calendar = $user->calendars()->create([
                'name' => $name, 'named' => true, 'kind' => $kind, 'group_id' => $groups[$group], 'hatching' => $hatching, 'position' => $hatching, 'blocks' => $blocks, 'buffer_before' => $before,
                'file_name' => $kind === 'file' ? $file : null, 'address' => $kind === 'address' ? rtrim((string) config('nekto.sample_calendars'), '/')."/{$file}" : null,
            ]);
            $split = (new CalendarSplitter('VEVENT'))->split(DemoCalendar::text($this->dates, $name));
            foreach (EventGroup::of($split['components']) as $event) {
                $meeting = $calendar->meetings()->make(['uid' => $event->uid, 'source' => $event->text])->forceFill(['user_id' => $user->id]);
                StoreMeeting::now($meeting, $reader->read($event), $this->now);
            }
            $calendar->update($this->fetched($name, $kind));
        }
    }

    /** @return array<string, mixed> when a calendar was looked at last; one of them fails since last evening */
    private function fetched(string $name, string $kind): array
    {
        $evening = $this->dates->workday(-1)->setTime(18, 40)->utc();

        return match (true) {
            $name === DemoCalendar::FAILING => ['fetched_at' => $evening, 'tried_at' => $this->now->subMinutes(20), 'next_at' => $this->now->addMinutes(100), 'failures' => 6, 'failing_since' => $evening, 'why' => __('calendars.answers', ['status' => 404, 'words' => 'not found'])],
            $kind === 'address' => ['fetched_at' => $this->now->subMinutes(5), 'tried_at' => $this->now->subMinutes(5), 'next_at' => $this->now->addMinutes(10)],
            $kind === 'file' => ['fetched_at' => $name === 'Lighting' ? $this->dates->workday(-2)->setTime(9, 12)->utc() : $this->dates->day(-68)->setTime(20, 5)->utc()],
            default => [],
        };
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
