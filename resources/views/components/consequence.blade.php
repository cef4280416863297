{{-- What a change would do, before it is taken; inside the form that made it. --}}
@props(['form', 'leave'])
@php $consequence = session('consequence'); @endphp
@if (($consequence['form'] ?? null) === $form)
    <div class="consequence" role="group" aria-label="What it would do">
        @if ($consequence['title'] !== '')<b>{{ $consequence['title'] }}</b>@endif
        <span class="grow">{{ implode(' ', $consequence['words']) }} {{ $slot }}</span>
        <input type="hidden" name="seen" value="{{ $consequence['seen'] }}">
        <span class="row"><button class="button button-over" name="take" value="1">Take</button><a class="button button-bare" href="{{ $leave }}" data-leave>Leave</a></span>
    </div>
@endif
