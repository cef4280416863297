<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Task;
use App\Models\TaskStage;
use App\Models\User;
use App\Repeats\Pattern;
use App\Repeats\StartRepeat;
use Carbon\CarbonImmutable;
use Nekto\Core\Time\LocalDay;

/** Projects, contexts, what waits, what comes back, and what work took in the last weeks. */
final readonly class DemoOrder
{
    /** Name, area, short titles of its tasks. */
    private const PROJECTS = [
        ['Wall texts', 'Exhibition', ['Wall texts, room 3', 'Wall texts, room 4', 'River map'], ['Reading chair for the estuary room', 'Ask Tomás for the blue of panel 3']],
        ['Catalogue', 'Publications', ['Essay 2', 'Captions', 'Colour proofs', 'Credits'], ['Plate order for sections 3 to 5, can you confirm?']],
        ['Lender agreements', 'Loans & lenders', ['Ghent agreement', 'Lyon schedule', 'Porto insurance', 'Porto'], ['Insurance wording returned with two changes']],
        ['Object list', 'Loans & lenders', ['Object list', 'Condition reports'], ['Mount for object 112']],
    ];

    private const CONTEXTS = ['phone' => ['Porto', 'Dentist', 'Courier quotes'], 'desk' => ['Replies', 'Budget revision', 'Grant report'], 'workshop' => ['Case list', 'Packing film']];

    /** Title, area, for whom, since days, ask again in days. */
    private const WAITING = [
        ['Signed Ghent agreement', 'Loans & lenders', 'Adaeze', 3, 2],
        ['Spectrum of the new lamps', 'Exhibition', 'Wim', 2, 3],
    ];

    /** Title, area, deep, estimated and actual minutes, days ago. */
    private const DONE = [
        ['Wall texts, room 1', 'Exhibition', true, 120, 150, 20], ['Wall texts, room 2', 'Exhibition', true, 120, 135, 13], ['Mount for object 98', 'Exhibition', false, 30, 40, 16],
        ['Condition reports, file 7', 'Loans & lenders', false, 50, 45, 15], ['Condition reports, file 8', 'Loans & lenders', false, 50, 55, 8], ['Courier quotes, two crates', 'Loans & lenders', false, 20, 25, 22],
        ['Essay 1 corrections', 'Publications', true, 240, 330, 18], ['Captions, plates 49–70', 'Publications', true, 180, 225, 11], ['Invoices, February', 'Team', false, 30, 30, 9],
        ['Grant report: budget part', 'Team', true, 90, 120, 7], ['Lyon loan letter', 'Loans & lenders', false, 25, 30, 6], ['Floor plan, first pass', 'Exhibition', true, 90, 100, 12],
    ];

    public function __construct(private CarbonImmutable $now, private DemoDates $dates) {}

    public function fill(User $user): void
    {
        $areas = $user->areas()->pluck('id', 'name');
        foreach (self::PROJECTS as [$name, $area, $short, $titles]) {
            $project = $user->projects()->create(['name' => $name, 'area_id' => $areas[$area]]);
            $user->tasks()->where(static fn ($query) => $query->whereIn('short', $short)->orWhereIn('title', $titles))->update(['project_id' => $project->id]);
        }
        foreach (array_keys(self::CONTEXTS) as $i => $name) {
            $user->contexts()->create(['name' => $name, 'position' => $i]);
            $user->tasks()->whereIn('short', self::CONTEXTS[$name])->get()->each(static fn (Task $task) => $task->contexts()->attach($user->contexts()->where('name', $name)->value('id')));
        }
        foreach (self::WAITING as [$title, $area, $person, $since, $ask]) {
            $user->tasks()->create([
                'title' => $title, 'area_id' => $areas[$area], 'stage' => TaskStage::Waiting, 'waiting_for' => $person,
                'waiting_since' => $this->now->subDays($since)->format('Y-m-d'), 'ask_on' => $this->dates->dueOn($ask),
            ]);
        }
        $user->tasks()->create(['title' => 'A podcast on the estuary', 'area_id' => $areas['Publications'], 'stage' => TaskStage::Someday])->forceFill(['updated_at' => $this->now->subDays(26)])->saveQuietly();
        $user->tasks()->create(['title' => 'Humidity limits of the cases', 'area_id' => $areas['Exhibition'], 'stage' => TaskStage::Reference, 'note' => "Cases 1 to 6: **45 to 55 %**\n\n- never below 40\n- logger in case 3"]);
        $this->comesBack($user, $areas->all());
        $this->past($user, $areas->all());
    }

    /** @param  array<string, int>  $areas */
    private function comesBack(User $user, array $areas): void
    {
        $user->savedViews()->create(['name' => 'Calls', 'pinned' => false, 'question' => ['conditions' => [['join' => 'and', 'not' => false, 'what' => 'context:'.$user->contexts()->where('name', 'phone')->value('id')]], 'group' => 'none', 'order' => ['pull']]]);
        $log = $user->tasks()->create(['title' => 'Read the humidity loggers', 'area_id' => $areas['Exhibition'], 'stage' => TaskStage::Open, 'importance' => 2, 'estimate' => 10, 'said' => 10, 'due_on' => $this->dates->dueOn(4)]);
        $log->setRelation('user', $user);
        $log->update(['not_before' => CarbonImmutable::parse($this->dates->dueOn(4).' 00:00', $user->zone)->utc()]);
        app(StartRepeat::class)($log, 'FREQ=WEEKLY;BYDAY='.strtoupper(substr(CarbonImmutable::parse((string) $this->dates->dueOn(4))->format('D'), 0, 2)), null, $this->now, 'shift');
        $visit = $user->tasks()->make(['title' => 'Lender visit', 'area_id' => $areas['Loans & lenders'], 'stage' => TaskStage::Open, 'importance' => 3, 'estimate' => 95, 'demand' => 'light']);
        $visit->setRelation('user', $user)->setRelation('contexts', collect())->setRelation('links', collect());
        $visit->setRelation('subtasks', collect());
        $today = LocalDay::fromString($this->now->setTimezone($user->zone)->format('Y-m-d'));
        $user->templates()->create(['name' => 'Lender visit', 'pattern' => ['due_days' => 7, 'subtasks' => [
            ['title' => 'Book the viewing room', 'estimate' => 10], ['title' => 'Lay out the condition reports', 'estimate' => 25], ['title' => 'Walk the route', 'estimate' => 30], ['title' => 'Write down what was agreed', 'estimate' => 30],
        ]] + Pattern::of($visit, $today)]);
    }

    /** @param  array<string, int>  $areas */
    private function past(User $user, array $areas): void
    {
        foreach (self::DONE as [$title, $area, $deep, $estimate, $actual, $days]) {
            $begun = $this->now->subDays($days)->setTime(13, 20);
            $task = $user->tasks()->make(['title' => $title, 'area_id' => $areas[$area], 'stage' => TaskStage::Open, 'importance' => 3, 'estimate' => $estimate, 'said' => $estimate, 'demand' => $deep ? 'deep' : 'light', 'done_at' => $begun->addMinutes($actual)]);
            $task->created_at = $begun->subDays(3);
            $task->save();
            $user->entries()->create(['task_id' => $task->id, 'starts_at' => $begun, 'ends_at' => $begun->addMinutes($actual)]);
        }
    }
}
