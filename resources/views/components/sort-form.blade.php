{{-- An answer that needs a word more: it opens in place. --}}
@props(['task', 'to', 'label', 'keyHint'])
@php $id = "{$to}-{$task->id}"; @endphp
<details class="asks" id="{{ $id }}">
    <summary class="button" @if ($keyHint) data-key="{{ $keyHint }}" @endif>{{ $label }} @if ($keyHint)<kbd>{{ strtoupper($keyHint) }}</kbd>@endif</summary>
    <form method="post" action="/tasks/sort" class="menu" data-leaves data-waits="{{ $label }}: {{ $task->title }}">
        @csrf
        <input type="hidden" name="ids[]" value="{{ $task->id }}">
        @if ($to === 'project')
            <label for="{{ $id }}-name">Project, known or new</label><input class="field" id="{{ $id }}-name" name="project" list="project-names" value="{{ $task->project?->name }}" maxlength="200" required>
        @elseif ($to === 'waiting')
            <label for="{{ $id }}-who">Waiting for</label><input class="field" id="{{ $id }}-who" name="waiting_for" list="people" value="{{ $task->waiting_for }}" maxlength="200" required>
            <label for="{{ $id }}-ask">Ask again on</label><x-day id="{{ $id }}-ask" name="ask_on" :value="$task->ask_on" :keeps="false" />
        @else
            <label for="{{ $id }}-return">Show it again on (if at all)</label><x-day id="{{ $id }}-return" name="return_on" :value="$task->return_on" :keeps="false" />
        @endif
        <button class="button button-main" name="to" value="{{ $to }}">{{ ['project' => 'To the project', 'waiting' => 'Wait', 'someday' => 'For someday'][$to] }}</button>
    </form>
</details>
