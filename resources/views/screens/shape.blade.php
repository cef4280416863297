@php
    use App\Wording\Times;
    $date = Carbon\CarbonImmutable::parse($day->asString());
    $address = $isToday ? '/shape' : '/shape/'.$day->asString();
@endphp
<x-layout title="{{ $date->format('l j F') }}" station="shape">
    <div class="title-row">
        <h1>{{ $date->format('l j F') }}@if ($date->year !== $person->local($now)->year) {{ $date->year }}@endif</h1>
        @foreach (array_slice($areas, 0, 3) as $area)
            <span><span class="swatch hue-{{ $area['hue'] }}"></span>&nbsp; {{ $area['name'] }} &nbsp;<b class="strong">{{ Times::duration($area['minutes']) }}</b></span>
        @endforeach
        <span class="end">
            <a class="button button-bare" href="/shape/{{ $day->plusDays(-1)->asString() }}" data-go="ArrowLeft"><x-icon name="before" /> {{ $date->subDay()->format('D j') }}</a>
            @unless ($isToday)<a class="button button-bare" href="/shape">Today</a>@endunless
            <a class="button button-bare" href="/shape/{{ $day->plusDays(1)->asString() }}" data-go="ArrowRight">{{ $date->addDay()->format('D j') }} <x-icon name="after" /></a>
            @if ($canUndo)<form method="post" action="/plan/undo">@csrf<button class="button" data-page-key="u">Undo <kbd>U</kbd></button></form>@endif
            @unless ($isPast)<a class="button" href="{{ $address }}?propose=1" data-page-key="y" data-here>Propose a day <kbd>Y</kbd></a>@endunless
            <form method="post" action="/plan/lay-out">@csrf<button class="button button-main" data-page-key="l">Lay it out <kbd>L</kbd></button></form>
        </span>
    </div>
    @if ($errors->any())<p class="warning" role="alert">{{ $errors->first() }}</p>@endif
    <div class="shape" x-data="runSheet" data-day="{{ $day->asString() }}" data-from="{{ $sheet->span->start }}" data-scale="{{ App\Screens\RunSheet::SCALE }}" data-offset="{{ App\Planning\Zones::named($person->zone)->offsetAt($sheet->span->start) }}" data-address="{{ $address }}">
        <section class="run-sheet" aria-labelledby="sheet-title">
            <div class="section-head"><h2 id="sheet-title">Run sheet</h2>
                <span class="soft">{{ count($sheet->blocks) }} {{ count($sheet->blocks) === 1 ? 'block' : 'blocks' }}, {{ count($sheet->meetings) }} {{ count($sheet->meetings) === 1 ? 'meeting' : 'meetings' }}@if ($sheet->allDay); all day: {{ implode(', ', $sheet->allDay) }}@endif · <a href="/shape/{{ $day->asString() }}/list">as a list</a></span></div>
            <x-run-sheet :sheet="$sheet" :why="$why" :chosen="$chosen" :day="$day" :address="$address" :gauge="$gauge" />
        </section>
        <section class="gauge-part" aria-labelledby="gauge-title">
            <div class="section-head"><h2 id="gauge-title">Gauge</h2><span @class(['coral' => $gauge->over() > 0])><b class="strong">{{ Times::duration($gauge->planned) }}</b> of {{ Times::duration($gauge->load->loadLine) }}</span></div>
            <x-gauge :gauge="$gauge" :chosen="$chosen" :address="$address" />
        </section>
        <section class="bank" aria-labelledby="bank-title">
            @if ($mended)
                <div id="change-note">
                    <div class="section-head section-over"><h2>Moved by itself</h2><span class="soft">{{ count($mended) }} {{ count($mended) === 1 ? 'move' : 'moves' }}</span></div>
                    @foreach (array_slice($mended, 0, 6) as $line)
                        <div class="change"><h3>{{ $line['title'] }}</h3>
                            <p>@if ($line['from'] !== null)<span class="was">{{ $line['from'] }}</span>@endif<x-icon name="to" /><span class="is">{{ $line['to'] ?? 'no place' }}</span></p>
                            <p>{{ ucfirst($line['why']) }}.</p></div>
                    @endforeach
                    @if (count($mended) > 6)<p class="soft">and {{ count($mended) - 6 }} more</p>@endif
                    <div class="actions">
                        <form method="post" action="/plan/seen">@csrf<button class="button">Good</button></form>
                        <form method="post" action="/plan/undo">@csrf<button class="button">Undo <kbd>U</kbd></button></form>
                    </div>
                </div>
            @endif
            @if ($proposal)<x-proposal :proposal="$proposal" :day="$day" :address="$address" />@endif
            <x-bank :bank="$bank" :day="$day" :is-past="$isPast" :address="$address" :candidate="$chosenCandidate" :chosen="$chosen" />
        </section>
    </div>
</x-layout>
