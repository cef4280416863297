{{-- What is known about a task, in few words. --}}
@props(['task', 'project' => true, 'chance' => null])
@php
    use App\Wording\Times;
    use App\Wording\Rules;
    $day = static fn (string $date): string => Times::day($person, Carbon\CarbonImmutable::parse("{$date} 12:00", $person->zone), $now);
@endphp
@if ($task->waiting_for)<span>waiting <b class="strong">for {{ $task->waiting_for }}</b></span>@endif
@if ($task->repeat)<span>{{ $task->repeat->rule === null ? 'again '.Rules::afterDone((string) $task->repeat->after_done).' after done' : Rules::inWords($task->repeat->rule) }}</span>@endif
@foreach ($task->contexts as $context)<span>at <b class="strong">{{ $context->name }}</b></span>@endforeach
@if ($project && $task->project)<span>project <b class="strong">{{ $task->project->name }}</b></span>@endif
@if ($task->importance)<span>importance <b class="strong">{{ $task->importance->word() }}</b></span>@endif
@if ($task->subtasks_count)<span><b class="strong">{{ $task->subtasks_count }}</b> {{ (int) $task->subtasks_count === 1 ? 'subtask' : 'subtasks' }}</span>@endif
@if ($task->estimate)<span>estimate <b class="strong">{{ Times::duration($task->estimate) }}</b></span>@endif
@if ($task->set_at)<span>set for <b class="strong">{{ Times::when($person, $task->set_at, $now) }}</b></span>@elseif ($task->picked_on)<span>picked for <b class="strong">{{ $day($task->picked_on) }}</b></span>@endif
@if ($task->not_before && $task->not_before > $now)<span>from <b class="strong">{{ $person->local($task->not_before)->format('H:i') === '00:00' ? Times::day($person, $task->not_before, $now) : Times::when($person, $task->not_before, $now) }}</b></span>@endif
@if ($task->due_at)<span>due <b class="strong">{{ Times::when($person, $task->due_at, $now) }}</b>{{ $task->due_hard ? ', hard' : '' }}</span>
@elseif ($task->due_on)<span>due <b class="strong">{{ $day($task->due_on) }}</b>{{ $task->due_hard ? ', hard' : '' }}</span>@endif
@if ($chance !== null && $task->done_at === null)<span>{{ App\Wording\Figures::chance($chance) }}</span>@endif
