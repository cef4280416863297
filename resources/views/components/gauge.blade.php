{{-- What the day carries, stacked against its load line; below it the sum. --}}
@props(['gauge', 'chosen', 'address'])
@php
    use App\Wording\Times;
    $load = $gauge->load;
@endphp
<x-gauge-column :gauge="$gauge" :chosen="$chosen" :address="$address" />
<div class="gauge-lying" aria-hidden="true">
    <div class="vessel" style="--w:{{ $gauge->percent($load->open) }}"><i class="margin" style="--m:{{ $load->open > 0 ? round(100 * $load->margin / $load->open, 2) : 0 }}"></i></div>
    @foreach ($gauge->pieces as $piece)
        <span @class(['gauge-piece', "hue-{$piece->hue}", "state-{$piece->state}", 'deep' => $piece->deep, 'over' => $piece->over]) style="--l:{{ $piece->from }};--w:{{ $piece->share }}">@if ($piece->minutes >= 25)<b>{{ $piece->minutes }}</b>@endif</span>
    @endforeach
    <i class="load-line" style="--l:{{ $gauge->percent($load->loadLine) }}"><span>load line {{ Times::duration($load->loadLine) }}</span></i>
    <i class="graduation" style="--w:{{ $gauge->percent($load->open) }};--n:{{ max(1, intdiv($load->open, 15)) }}"></i>
</div>
<div class="bill">
    <div><span>{{ $gauge->hoursName }}</span><span>{{ Times::column($load->hours) }}</span></div>
    @if ($load->breaks)<div><span>lunch</span><span>−{{ Times::column($load->breaks) }}</span></div>@endif
    @if ($load->meetings > $gauge->reserved)<div><span>meetings{{ $gauge->lead ? ", {$gauge->lead} to get there" : '' }}</span><span>−{{ Times::column($load->meetings - $gauge->reserved) }}</span></div>@endif
    @if ($gauge->reserved)<div><span>reserved</span><span>−{{ Times::column($gauge->reserved) }}</span></div>@endif
    @if ($load->anchored)<div><span>anchored</span><span>−{{ Times::column($load->anchored) }}</span></div>@endif
    <div class="sum"><span>open</span><span>{{ Times::column($load->open) }}</span></div>
    <div><span>margin, {{ $person->margin_percent }} %</span><span>−{{ Times::column($load->margin) }}</span></div>
    <div class="line"><span>load line</span><span>{{ Times::column($load->loadLine) }}</span></div>
    <div class="note"><span>deep {{ Times::duration($gauge->deep) }} of {{ Times::duration($gauge->deepLimit) }}</span></div>
    @foreach ($gauge->others as $other)<div class="note"><span>{{ $other['name'] }} {{ Times::column($other['minutes']) }} of {{ Times::duration($other['line']) }}</span></div>@endforeach
</div>
