{{-- What the day carries, stacked against its load line; below it the sum. --}}
@props(['gauge', 'chosen', 'address'])
@php
    use App\Wording\Times;
    $load = $gauge->load;
    $scale = $gauge->scale;
    $top = max($load->open, $gauge->planned);
    $height = (int) ceil($top * $scale) + 14;
    $whole = max(60, $load->open, $gauge->planned);
@endphp
<div class="gauge" style="--height:{{ $height }};--quarter:{{ round(15 * $scale, 2) }};--open:{{ round($load->open * $scale, 1) }}" role="group" aria-label="{{ Times::duration($gauge->planned) }} planned, load line {{ Times::duration($load->loadLine) }}, open {{ Times::duration($load->open) }}">
    <i class="graduation"></i>
    @for ($hour = 0; $hour * 60 <= $top; $hour++)<span class="figure" style="--b:{{ round($hour * 60 * $scale, 1) }}">{{ $hour }}</span>@endfor
    <div class="vessel">@if ($load->margin > 0)<span class="margin" style="--margin:{{ round($load->margin * $scale, 1) }}">@if ($load->margin * $scale >= 20 && $gauge->planned <= $load->loadLine)margin {{ Times::duration($load->margin) }}@endif</span>@endif</div>
    <i class="load-line" style="--b:{{ round($load->loadLine * $scale, 1) }}"></i>
    @if ($load->margin * $scale > 30 && $gauge->planned <= $load->open)<span class="mark-text" style="--b:{{ round($load->open * $scale, 1) - 9 }}">open {{ Times::column($load->open) }}</span>@endif
    <span class="mark-text strong" style="--b:{{ round($load->loadLine * $scale, 1) - 32 }}">{{ Times::column($load->loadLine) }}</span>
    @if ($gauge->over() > 0)<span class="mark-text coral strong" style="--b:{{ round($load->loadLine * $scale, 1) + 14 }}">{{ Times::column($gauge->over()) }} over</span>
    @elseif ($gauge->free() * $scale >= 16 && $gauge->planned > 0)<span class="mark-text" style="left:42px;--b:{{ round($gauge->planned * $scale, 1) + 1 }}">{{ Times::column($gauge->free()) }} free</span>@endif
    @foreach ($gauge->pieces as $piece)
        <a href="{{ $address }}?block={{ $piece['id'] }}" tabindex="-1" aria-hidden="true" title="{{ $piece['label'] }}, {{ Times::duration($piece['minutes']) }}"
           @class(['gauge-piece', "hue-{$piece['hue']}", "state-{$piece['state']}", 'deep' => $piece['deep'], 'over' => $piece['over'], 'chosen' => $chosen?->id === $piece['id'], 'short' => $piece['height'] < 34, 'small' => $piece['height'] < 20, 'tiny' => $piece['height'] < 12])
           style="--b:{{ $piece['bottom'] }};--h:{{ $piece['height'] }}">
            <span class="name">{{ $piece['label'] }}</span><b>{{ $piece['minutes'] }}</b>
            @if ($piece['spent'])<i class="spent" style="--s:{{ $piece['spent'] }}"></i>@endif
        </a>
    @endforeach
</div>
<div class="gauge-lying" aria-hidden="true">
    <div class="vessel" style="--w:{{ round(100 * $load->open / $whole, 2) }}"><i class="margin" style="--m:{{ $load->open > 0 ? round(100 * $load->margin / $load->open, 2) : 0 }}"></i></div>
    @php $at = 0; @endphp
    @foreach ($gauge->pieces as $piece)
        <span @class(['gauge-piece', "hue-{$piece['hue']}", "state-{$piece['state']}", 'deep' => $piece['deep'], 'over' => $piece['over']]) style="--l:{{ round(100 * $at / $whole, 2) }};--w:{{ round(100 * $piece['minutes'] / $whole, 2) }}">@if ($piece['minutes'] >= 25)<b>{{ $piece['minutes'] }}</b>@endif</span>
        @php $at += $piece['minutes']; @endphp
    @endforeach
    <i class="load-line" style="--l:{{ round(100 * $load->loadLine / $whole, 2) }}"><span>load line {{ Times::duration($load->loadLine) }}</span></i>
    <i class="graduation" style="--w:{{ round(100 * $load->open / $whole, 2) }};--n:{{ max(1, intdiv($load->open, 15)) }}"></i>
</div>
<div class="bill">
    <div><span>{{ $gauge->hoursName }}</span><span>{{ Times::column($load->hours) }}</span></div>
    @if ($load->breaks)<div><span>lunch</span><span>−{{ Times::column($load->breaks) }}</span></div>@endif
    @if ($load->meetings)<div><span>meetings{{ $gauge->lead ? ", {$gauge->lead} to get there" : '' }}</span><span>−{{ Times::column($load->meetings) }}</span></div>@endif
    @if ($load->anchored)<div><span>anchored</span><span>−{{ Times::column($load->anchored) }}</span></div>@endif
    <div class="sum"><span>open</span><span>{{ Times::column($load->open) }}</span></div>
    <div><span>margin, {{ $person->margin_percent }} %</span><span>−{{ Times::column($load->margin) }}</span></div>
    <div class="line"><span>load line</span><span>{{ Times::column($load->loadLine) }}</span></div>
    <div class="note"><span>deep {{ Times::duration($gauge->deep) }} of {{ Times::duration($gauge->deepLimit) }}</span></div>
    @foreach ($gauge->others as $other)<div class="note"><span>{{ $other['name'] }} {{ Times::column($other['minutes']) }} of {{ Times::duration($other['line']) }}</span></div>@endforeach
</div>
