{{-- What the day carries, stacked against its load line. --}}
@props(['gauge', 'chosen', 'address'])
@php
    use App\Wording\Times;
    $load = $gauge->load;
@endphp
<div class="gauge" id="gauge-column" data-scale="{{ $gauge->scale }}" data-planned="{{ $gauge->planned }}" data-line="{{ $load->loadLine }}" style="--height:{{ $gauge->height() }};--quarter:{{ $gauge->pixels(15, 2) }};--open:{{ $gauge->pixels($load->open) }}" role="group" aria-label="{{ Times::duration($gauge->planned) }} planned, load line {{ Times::duration($load->loadLine) }}, open {{ Times::duration($load->open) }}">
    <i class="graduation"></i>
    @for ($hour = 0; $hour * 60 <= $gauge->top(); $hour++)<span class="figure" style="--b:{{ $gauge->pixels($hour * 60) }}">{{ $hour }}</span>@endfor
    <div class="vessel">@if ($load->margin > 0)<span class="margin" style="--margin:{{ $gauge->pixels($load->margin) }}">@if ($gauge->pixels($load->margin) >= 20 && $gauge->planned <= $load->loadLine)margin {{ Times::duration($load->margin) }}@endif</span>@endif</div>
    <i class="load-line" style="--b:{{ $gauge->pixels($load->loadLine) }}"></i>
    @if ($gauge->pixels($load->margin) > 30 && $gauge->planned <= $load->open)<span class="mark-text" style="--b:{{ $gauge->pixels($load->open) - 9 }}">open {{ Times::column($load->open) }}</span>@endif
    <span class="mark-text strong" style="--b:{{ $gauge->pixels($load->loadLine) - 32 }}">{{ Times::column($load->loadLine) }}</span>
    @if ($gauge->over() > 0)<span class="mark-text coral strong" style="--b:{{ $gauge->pixels($load->loadLine) + 14 }}">{{ Times::column($gauge->over()) }} over</span>
    @elseif ($gauge->pixels($gauge->free()) >= 16 && $gauge->planned > 0)<span class="mark-text" style="left:42px;--b:{{ $gauge->pixels($gauge->planned) + 1 }}">{{ Times::column($gauge->free()) }} free</span>@endif
    @foreach ($gauge->pieces as $piece)
        <a href="{{ $piece->id === null ? '/tasks/'.$piece->task : $address.'?block='.$piece->id }}" tabindex="-1" aria-hidden="true" title="{{ $piece->label }}, {{ Times::duration($piece->minutes) }}"
           @class(['gauge-piece', "hue-{$piece->hue}", "state-{$piece->state}", 'deep' => $piece->deep, 'over' => $piece->over, 'chosen' => $chosen !== null && $chosen->id === $piece->id, 'short' => $piece->height < 34, 'small' => $piece->height < 20, 'tiny' => $piece->height < 12])
           style="--b:{{ $piece->bottom }};--h:{{ $piece->height }}">
            <span class="name">{{ $piece->label }}</span><b>{{ $piece->minutes }}</b>
            @if ($piece->spent)<i class="spent" style="--s:{{ $piece->spent }}"></i>@endif
        </a>
    @endforeach
</div>
