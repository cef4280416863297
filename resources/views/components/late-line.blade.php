{{-- What will be late by the plan as it is, and what is overdue; each name leads to its task. --}}
@props(['late'])
<p class="late-line"><b>{{ $late->sentence }}</b>
    <span class="late-names">@foreach ($late->names as $one)<a href="/tasks/{{ $one['task'] }}" title="{{ $one['says'] }}">{{ $one['title'] }}</a>{{ $loop->last ? ($late->more > 0 ? '' : '.') : ($late->breakAfter === $loop->iteration ? '; ' : ', ') }}@endforeach
    @if ($late->more > 0)<a href="/views/cannot-wait">and {{ $late->more }} more</a>.@endif</span></p>
