@php
    use App\Wording\Times;
    $date = Carbon\CarbonImmutable::parse($day->asString());
    $counted = $picked->isEmpty() ? trans_choice('shape.count.blocks', count($sheet->blocks)) : trans_choice('shape.count.picks', $picked->count()).($keys > 0 ? ", {$keys} key" : '');
    $address = $isToday ? '/shape' : '/shape/'.$day->asString();
@endphp
<x-layout title="{{ App\Wording\Dates::of($person)->long($date) }}" station="shape">
    <x-slot:foot>
        <a class="button" href="#bank-title">Bank {{ $bank->count }}</a>
        @unless ($isPast)<a class="button button-main" href="{{ $address }}?change=lay-out" data-here>Lay it out</a>@endunless
    </x-slot:foot>
    <div class="title-row day-title">
        <h1>{{ App\Wording\Dates::of($person)->long($date) }}@if ($date->year !== $person->local($now)->year) {{ $date->year }}@endif</h1><x-says />
        @if ($late)<x-late-line :late="$late" />@endif
        @foreach ($late ? [] : array_slice($areas, 0, 3) as $area)
            <span class="area-sum"><span class="swatch hue-{{ $area['hue'] }}"></span>&nbsp; {{ $area['name'] }} &nbsp;<b class="strong">{{ Times::duration($area['minutes']) }}</b></span>
        @endforeach
        <span class="end">
            <a class="button button-bare to-day" href="/shape/{{ $day->plusDays(-1)->asString() }}" data-go="ArrowLeft">@icon('before') <span>{{ App\Wording\Dates::of($person)->near($date->subDay()) }}</span></a>
            @unless ($isToday)<a class="button button-bare" href="/shape">Today</a>@endunless
            <a class="button button-bare to-day" href="/shape/{{ $day->plusDays(1)->asString() }}" data-go="ArrowRight"><span>{{ App\Wording\Dates::of($person)->near($date->addDay()) }}</span> @icon('after')</a>
            @unless ($isPast)
                <a class="button" href="{{ $address }}?propose=1" data-page-key="y" data-here>Propose a day <kbd>Y</kbd></a>
                <a @class(['button', 'button-over-line' => $overfull]) href="{{ $address }}?change=wait" data-page-key="w" data-here>What can wait <kbd>W</kbd></a>
                <a class="button button-main in-foot" href="{{ $address }}?change=lay-out" data-page-key="l" data-here>Lay it out <kbd>L</kbd></a>
            @endunless
        </span>
    </div>
    <div class="shape" x-data="runSheet" data-day="{{ $day->asString() }}" data-from="{{ $sheet->span->start }}" data-scale="{{ App\Screens\Shape\RunSheet::SCALE }}" data-offset="{{ App\Time\Zones::named($person->zone)->offsetAt($sheet->span->start) }}" data-address="{{ $address }}">
        <section class="run-sheet" aria-labelledby="sheet-title">
            <div class="section-head"><h2 id="sheet-title">Run sheet</h2>
                <span class="soft">{{ $counted }}, {{ trans_choice('shape.count.meetings', count($sheet->meetings)) }}@if ($sheet->allDay); all day: {{ implode(', ', $sheet->allDay) }}@endif · <a href="/shape/{{ $day->asString() }}/list">as a list</a>
                @unless ($isPast)· <details class="asks reserve-ask" id="reserve-ask" @if ($errors->hasAny(['reserve', 'title', 'link'])) open @endif><summary data-page-key="+">take time <kbd>+</kbd></summary><form method="post" action="/meetings/own" class="menu" data-clear>@csrf<input type="hidden" name="day" value="{{ $day->asString() }}">
                    <label for="reserve-title">What for</label><input class="field" id="reserve-title" name="title" maxlength="500" value="{{ old('title') }}" placeholder="meet Sam in room 2, or phone Kim at 16:45" autocomplete="off">
                    <label for="reserve-from">From</label><input class="field" id="reserve-from" name="start" maxlength="8" value="{{ old('start') }}" placeholder="{{ Times::ofDay($person, 960) }}">
                    <label for="reserve-minutes">Minutes</label><input class="field" id="reserve-minutes" name="minutes" inputmode="numeric" maxlength="3" value="{{ old('minutes', 30) }}" required>
                    @foreach (['reserve', 'title', 'link'] as $field)@error($field)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
                    <span class="row"><button class="button button-main">A meeting</button><button class="button" formaction="/day-tasks">A task</button><button class="button" formaction="/reserves">Keep it free</button></span><span class="hint">or drag over a gap of the sheet</span></form></details>@endunless</span></div>
            <x-run-sheet :sheet="$sheet" :pull="$chosenCandidate?->pull->total()" :why="$why" :chosen="$chosen" :day="$day" :address="$address" :gauge="$gauge" :difference="$difference" :reserve="$reserve" :place="$place" :lunch="$ask->lunch" />
        </section>
        <section class="gauge-part" aria-labelledby="gauge-title">
            <div class="section-head"><h2 id="gauge-title">Gauge</h2><span id="gauge-sum" @class(['coral' => $gauge->over() > 0])><b class="strong">{{ Times::duration($gauge->planned) }}</b> of {{ Times::duration($gauge->load->loadLine) }}{{ $gauge->waiting ? ', '.Times::duration($gauge->waiting).' without a time' : '' }}<span class="lying-only">{{ $gauge->over() > 0 ? ', '.Times::duration($gauge->over()).' over' : ', '.Times::duration($gauge->free()).' free' }}</span></span></div>
            <x-gauge :gauge="$gauge" :chosen="$chosen" :address="$address" />
        </section>
        <section class="bank" aria-labelledby="bank-title">
            @if ($morning)
                <x-morning :morning="$morning" :gauge="$gauge" :sheet="$sheet" :day="$day" :address="$address" :ask="$ask" :proposal="$proposal" :difference="$difference" />
            @elseif ($difference)
                <x-difference :difference="$difference" :gauge="$gauge" :day="$day" :address="$address" :ask="$ask" :way-words="$wayWords" />
            @elseif ($overfull && $ask->change === null && ! $proposal)
                <x-overfull :overfull="$overfull" :address="$address" :gauge="$gauge" />
            @endif
            @if (! $difference && ! $morning && ! $proposal)
                @foreach ($twoAtOnce as $two)<x-two-at-once :two="$two" :day="$day" :person="$person" />@endforeach
            @endif
            @if ($needsMending && ! $difference && ! $morning)
                <div id="to-mend"><div class="section-head section-over"><h2>The plan needs mending</h2></div><p>Work has gone by undone, or a meeting lies on it. <a class="button" href="{{ $address }}?change=mend" data-here>See what would move</a></p></div>
            @endif
            @if ($proposal && ! $morning)<x-proposal :proposal="$proposal" :day="$day" :address="$address" :waits="$ask->change !== null" />@endif
            @if (($mended || $mendedLate) && ! $difference)
                <div id="change-note">
                    <div class="section-head section-over"><h2>{{ $mended ? 'Moved by itself' : 'Changed by itself' }}</h2>@if ($mended)<span class="soft">{{ count($mended) }} {{ count($mended) === 1 ? 'move' : 'moves' }}</span>@endif</div>
                    @foreach ($mendedLate as $sentence)<p class="coral">{{ $sentence }}</p>@endforeach
                    @foreach (array_slice($mended, 0, 6) as $line)
                        <div class="change"><h3>{{ $line['title'] }}</h3>
                            <p>@if ($line['from'] !== null)<span class="was">{{ $line['from'] }}</span>@endif @icon('to')<span class="is">{{ $line['to'] ?? 'no place' }}</span></p>
                            <p>{{ ucfirst($line['why']) }}.</p></div>
                    @endforeach
                    @if (count($mended) > 6)<p class="soft">and {{ count($mended) - 6 }} more</p>@endif
                    <div class="actions">
                        <form method="post" action="/plan/seen">@csrf<button class="button">Good</button></form>
                        <x-undo :revision="$undo->id"><button class="button">Undo <kbd>U</kbd></button></x-undo>
                    </div>
                </div>
            @endif
            @if ($anew && ! $difference && ! $morning && ! $proposal)
                <p class="offer" id="anew">{{ trans_choice('shape.anew', $anew->tasks, ['less' => Times::duration($anew->less)]) }} <a href="{{ $address }}?change=lay-out" data-here>See it</a></p>
            @endif
            @if ($crunch && ! $difference && ! $morning && ! $proposal)<x-crunch-line :crunch="$crunch" :ways="$ways" :address="$address" />@endif
            @if ($isToday && ! $morning && ! $difference && ! $proposal && $invite)
                <div class="invite" id="invite"><p>A new day: <a class="button" href="/shape?morning=left" data-here>Go through the morning <kbd>J</kbd></a></p><form method="post" action="/shape/morning">@csrf<button class="button button-bare">Not today</button></form></div>
            @endif
            <x-bank :bank="$bank" :day="$day" :is-past="$isPast" :address="$address" :candidate="$chosenCandidate" :chosen="$chosen" />
        </section>
    </div>
</x-layout>
