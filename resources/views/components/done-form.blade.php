{{-- Done, with its block if it has one that is on. --}}
@props(['task', 'block'])
@if ($block && $block->state->value === 'planned')
    <form method="post" action="/blocks/{{ $block->id }}/done" data-sound data-waits="Done: {{ $task->title }}" data-late="/tasks/sort" data-task="{{ $task->id }}">@csrf<input type="hidden" name="mark" value="{{ $block->mark() }}"><button class="button button-main" data-page-key="d">Done <kbd>D</kbd></button></form>
@else
    <form method="post" action="/tasks/sort" data-sound data-waits="Done: {{ $task->title }}">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button button-main" name="to" value="done" data-page-key="d">Done <kbd>D</kbd></button></form>
@endif
