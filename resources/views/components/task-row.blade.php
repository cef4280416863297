{{-- A task as a line of a list. --}}
@props(['task', 'one' => null, 'project' => true, 'chance' => null])
<li id="task-{{ $task->id }}">
    <span class="pick"></span>
    <span class="when soft">@if ($one && $one->importance)pull <b class="strong">{{ $one->pull->total() }}</b>@endif</span>
    <span class="source">{{ $task->area->name }}</span>
    <span class="swatch hue-{{ $task->area->hue }}"></span>
    <span class="what"><a href="/tasks/{{ $task->id }}" data-row @class(['struck' => $task->done_at])>{{ $task->title }}</a>@if ($task->carried > 0) <span class="soft">@icon('carried') {{ $task->carried }}</span>@endif</span>
    <span class="facts"><span class="known"><x-task-facts :task="$task" :project="$project" :chance="$chance" /></span>
        <span class="buttons">
            @if ($task->trashed())<form method="post" action="/tasks/{{ $task->id }}/bring-back" class="always" data-leaves>@csrf<button class="button">Bring back</button></form>
            @elseif ($task->done_at !== null)<form method="post" action="/tasks/{{ $task->id }}/reopen" class="always" data-leaves>@csrf<button class="button" data-key="d">Open it again <kbd>D</kbd></button></form>
            @else
                @if ($task->stage->value !== 'open')<form method="post" action="/tasks/{{ $task->id }}/weigh" data-waits="To Weigh: {{ $task->title }}">@csrf<button class="button" data-key="w">Weigh it <kbd>W</kbd></button></form>@endif
                <form method="post" action="/tasks/sort" class="likely" data-leaves data-waits="Done: {{ $task->title }}">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button" name="to" value="done" data-key="d">Done <kbd>D</kbd></button></form>
                {{ $slot }}
            @endif
        </span></span>
</li>
