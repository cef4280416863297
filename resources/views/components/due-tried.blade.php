{{-- A due date as it would be: what follows, before it is taken. --}}
@props(['tried', 'back'])
<form class="due-tried" id="due-tried" data-task="{{ $tried->task }}" data-day="{{ $tried->day->asString() }}" method="post" action="/tasks/{{ $tried->task }}" data-on-page>
    @csrf @method('PATCH')<input type="hidden" name="due_date" value="{{ $tried->day->asString() }}">@if ($tried->time)<input type="hidden" name="due_time" value="{{ $tried->time }}">@endif
    <h2>{{ $tried->title }}</h2><p class="over-text">{{ $tried->change }}</p>@foreach ($tried->words as $words)<p>{{ $words }}</p>@endforeach
    <span class="row"><button class="button button-over" data-enter>Take it <kbd>Enter</kbd></button><a class="button" href="{{ $back }}" data-leave>Leave it <kbd>Esc</kbd></a></span>
</form>
