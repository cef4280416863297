{{-- A proposed day, taken whole or in part; nothing has changed yet. --}}
@props(['proposal', 'day', 'address', 'waits' => false])
@php use App\Wording\Times; @endphp
<form method="post" action="/plan/pick" class="proposal" id="proposal">
    @csrf <input type="hidden" name="day" value="{{ $day->asString() }}">
    @if ($waits)<p>The day fits its load line: nothing must wait.</p>@endif
    <div class="section-head section-over"><h2>A day that fits</h2><span class="soft">{{ Times::duration($proposal->minutes) }} of {{ Times::duration($proposal->line) }}, deep {{ Times::duration($proposal->deep) }} of {{ Times::duration($proposal->deepLimit) }}</span></div>
    @foreach ($proposal->others as $other)<p class="soft">{{ $other['name'] }} {{ Times::duration($other['minutes']) }} of {{ Times::duration($other['line']) }}</p>@endforeach
    @if ($proposal->picks === [])<p class="soft">Nothing weighed and estimated fits this day.</p>@endif
    <ul>
        @foreach ($proposal->picks as $pick)
            <li><label class="check"><input type="checkbox" name="picks[]" value="{{ $pick['task']->id }}" checked> <span class="swatch hue-{{ $pick['task']->area->hue }}"></span> <span class="grow"><b>{{ $pick['task']->shortTitle() }}</b> <span class="soft">{{ $pick['why'] }}</span></span></label>
                <span>{{ Times::column($pick['minutes']) }}</span>
                <label class="key-mark"><input type="checkbox" name="keys[]" value="{{ $pick['task']->id }}" @checked($pick['key']) aria-label="{{ $pick['task']->title }} is a key task"> key</label></li>
        @endforeach
    </ul>
    <div class="actions">@if ($proposal->picks !== [])<button class="button button-main">Take it and lay it out</button><button class="button" formmethod="get" formaction="/shape/{{ $day->asString() }}" name="change" value="picks">See it first</button>@else<a class="button button-main" href="/shape/{{ $day->plusDays(1)->asString() }}?propose=1">Propose the next day</a>@endif<a class="button" href="{{ $address }}" data-leave>Leave it</a></div>
    @if ($proposal->waiting !== [])
        <div class="section-head"><h2 id="can-wait">Can wait, together</h2><span class="soft">until its latest start</span></div>
        <p class="soft">{{ $proposal->together }}</p>
        <ul>@foreach ($proposal->waiting as $one)<li><span class="grow">{{ $one['task']->shortTitle() }}</span><span class="soft">@if ($one['late'])<span class="coral">late as it is</span>@else{{ $one['until'] === null ? 'no date hurries it' : Times::when($person, $one['until'], $now) }}@endif</span><span>{{ Times::column($one['minutes']) }}</span></li>@endforeach</ul>
        @if ($proposal->more)<p class="soft">and {{ $proposal->more }} more</p>@endif
    @endif
</form>
