{{-- A day from its first to its last open minute; as a picture alone where it is a sketch. --}}
@props(['ribbon', 'sketch' => null])
<{{ $sketch === null ? 'nav' : 'div' }} @class(['ribbon', 'ribbon-sketch' => $sketch !== null]) @if ($sketch === null) aria-label="Today" @else role="img" aria-label="{{ $sketch }}: {{ implode(', ', array_column($ribbon->pieces, 'name')) }}" @endif>
    <span>{{ $ribbon->from }}</span>
    <div class="tape">
        <i class="line"></i>
        @foreach ($ribbon->open as [$left, $width])<i class="open" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
        @foreach ($ribbon->ticks as [$left, $hour])<i class="rule-half @if ($hour) rule-hour @endif" style="--l:{{ $left }}"></i>@endforeach
        @foreach ($ribbon->gaps as [$left, $width])<i class="gap" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
        @if ($ribbon->lunch !== null)<span class="lunch" style="--l:{{ $ribbon->lunch }}">lunch</span>@endif
        @foreach ($ribbon->pieces as $piece)
            <{{ $sketch === null ? 'a' : 'span' }} @class(['piece', 'piece-meeting' => $piece->kind === 'meeting', 'piece-deep' => $piece->deep, 'piece-outside' => $piece->outside, 'piece-light' => $piece->kind === 'block' && ! $piece->deep, "piece-{$piece->state}" => $piece->state !== '', "hue-{$piece->hue}" => $piece->hue, "hatch-{$piece->hatching}" => $piece->hatching])
               @if ($sketch === null) href="/shape{{ $piece->kind === 'block' ? "?block={$piece->id}" : '' }}" title="{{ $piece->name }}" aria-label="{{ $piece->name }}" @endif
               style="--l:{{ $piece->left }};--w:{{ $piece->width }}">
                @if ($piece->fits === 'in')
                    <span class="in" aria-hidden="true" @if ($piece->after > 0) style="margin-left:{{ $piece->after }}%" @endif><b>{{ $piece->label }}@if ($piece->anchored)@icon('anchor')@endif</b></span>
                @elseif ($piece->fits === 'beside')
                    <span class="beside" aria-hidden="true">{{ $piece->label }}</span>
                @endif
            </{{ $sketch === null ? 'a' : 'span' }}>
        @endforeach
        @if ($ribbon->nowAt !== null)
            <span @class(['now', 'now-left' => $ribbon->nowLeft]) style="--l:{{ $ribbon->nowAt }}"><b>{{ $ribbon->nowLabel }}</b></span>
        @endif
    </div>
    <span>{{ $ribbon->to }}</span>
</{{ $sketch === null ? 'nav' : 'div' }}>
