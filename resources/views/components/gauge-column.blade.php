{{-- What the day carries, stacked against its load line. --}}
@props(['gauge', 'chosen', 'address'])
@php
    use App\Wording\Times;
    $load = $gauge->load;
    $scale = $gauge->scale;
    $top = max($load->open, $gauge->planned);
    $height = (int) ceil($top * $scale) + 14;
@endphp
<div class="gauge" id="gauge-column" data-scale="{{ $scale }}" data-planned="{{ $gauge->planned }}" data-line="{{ $load->loadLine }}" style="--height:{{ $height }};--quarter:{{ round(15 * $scale, 2) }};--open:{{ round($load->open * $scale, 1) }}" role="group" aria-label="{{ Times::duration($gauge->planned) }} planned, load line {{ Times::duration($load->loadLine) }}, open {{ Times::duration($load->open) }}">
    <i class="graduation"></i>
    @for ($hour = 0; $hour * 60 <= $top; $hour++)<span class="figure" style="--b:{{ round($hour * 60 * $scale, 1) }}">{{ $hour }}</span>@endfor
    <div class="vessel">@if ($load->margin > 0)<span class="margin" style="--margin:{{ round($load->margin * $scale, 1) }}">@if ($load->margin * $scale >= 20 && $gauge->planned <= $load->loadLine)margin {{ Times::duration($load->margin) }}@endif</span>@endif</div>
    <i class="load-line" style="--b:{{ round($load->loadLine * $scale, 1) }}"></i>
    @if ($load->margin * $scale > 30 && $gauge->planned <= $load->open)<span class="mark-text" style="--b:{{ round($load->open * $scale, 1) - 9 }}">open {{ Times::column($load->open) }}</span>@endif
    <span class="mark-text strong" style="--b:{{ round($load->loadLine * $scale, 1) - 32 }}">{{ Times::column($load->loadLine) }}</span>
    @if ($gauge->over() > 0)<span class="mark-text coral strong" style="--b:{{ round($load->loadLine * $scale, 1) + 14 }}">{{ Times::column($gauge->over()) }} over</span>
    @elseif ($gauge->free() * $scale >= 16 && $gauge->planned > 0)<span class="mark-text" style="left:42px;--b:{{ round($gauge->planned * $scale, 1) + 1 }}">{{ Times::column($gauge->free()) }} free</span>@endif
    @foreach ($gauge->pieces as $piece)
        <a href="{{ $piece['id'] === null ? '/tasks/'.$piece['task'] : $address.'?block='.$piece['id'] }}" tabindex="-1" aria-hidden="true" title="{{ $piece['label'] }}, {{ Times::duration($piece['minutes']) }}"
           @class(['gauge-piece', "hue-{$piece['hue']}", "state-{$piece['state']}", 'deep' => $piece['deep'], 'over' => $piece['over'], 'chosen' => $chosen !== null && $chosen->id === $piece['id'], 'short' => $piece['height'] < 34, 'small' => $piece['height'] < 20, 'tiny' => $piece['height'] < 12])
           style="--b:{{ $piece['bottom'] }};--h:{{ $piece['height'] }}">
            <span class="name">{{ $piece['label'] }}</span><b>{{ $piece['minutes'] }}</b>
            @if ($piece['spent'])<i class="spent" style="--s:{{ $piece['spent'] }}"></i>@endif
        </a>
    @endforeach
</div>
