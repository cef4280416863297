{{-- A day's tape, small: light work stands, deep work hangs, meetings lie astride, what was worked is under it. --}}
@props(['day'])
<svg class="mini-tape" viewBox="0 0 1000 20" preserveAspectRatio="none" aria-hidden="true">
    @foreach ($day->open as [$left, $width])<path class="mini-open" d="M{{ $left }} 9h{{ $width }}" />@endforeach
    @foreach ($day->pieces as $piece)@php $y = $piece->kind === 'meeting' ? 3 : ($piece->deep ? 9 : 2); $h = $piece->kind === 'meeting' ? 12 : 7; @endphp
        <rect x="{{ $piece->left }}" y="{{ $y }}" width="{{ $piece->width }}" height="{{ $h }}" @class(['mini-meeting' => $piece->kind === 'meeting', 'mini-deep' => $piece->kind === 'block' && $piece->deep, 'mini-light' => $piece->kind === 'block' && ! $piece->deep]) />@endforeach
    @foreach ($day->worked as [$left, $width])<rect class="mini-worked" x="{{ $left }}" y="17" width="{{ $width }}" height="3" />@endforeach
</svg>
