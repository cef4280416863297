{{-- Starts the clock, or pauses it. --}}
@props(['task', 'block', 'isOn', 'spent'])
@if ($isOn)
    <form method="post" action="/work/pause" data-waits="Pause">@csrf<button class="button" data-page-key=" ">Pause <kbd>Space</kbd></button></form>
@else
    <form method="post" action="/work/start/{{ $task->id }}" data-waits="Start: {{ $task->title }}">@csrf<input type="hidden" name="block" value="{{ $block?->id }}"><button class="button" data-page-key=" ">{{ $spent ? 'Go on' : 'Start' }} <kbd>Space</kbd></button></form>
@endif
