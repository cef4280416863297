{{-- A station as a point of the line. Without an address it has not been built yet. --}}
@props(['name', 'href' => null, 'count' => null, 'current' => false, 'keyHint' => null])
@if ($href === null)
    <span class="station station-later" title="{{ $name }} is still being built"><span class="name">{{ $name }}</span><span class="dot"></span></span>
@else
    <a class="station" href="{{ $href }}" @if ($current) aria-current="page" @endif title="{{ $name }} ({{ $keyHint }})">
        <span class="name">{{ $name }}</span><span class="dot"></span>
        @if ($count !== null)<span class="count">{{ $count }}</span>@endif
    </a>
@endif
