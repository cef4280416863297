@php
    use App\Screens\Horizon\Curves;
    use App\Wording\Times;
    $said = ['title' => $wanted->title, 'long' => $wanted->minutes === null ? $wanted->long : Times::duration($wanted->minutes), 'demand' => $wanted->deep ? 'deep' : 'light', 'by' => $wanted->by === null ? $wanted->due : $wanted->by->asString()];
    $address = static fn (array $with): string => '/horizon/if?'.http_build_query([...$said, ...$with]);
@endphp
<x-layout title="What if" at="horizon">
    <form class="if-sentence" id="if" method="get" action="/horizon/if" data-on-change>
        <h1>What if</h1>
        <p><input name="title" value="{{ $wanted->title }}" aria-label="What" maxlength="200" placeholder="somebody" autocomplete="off"> wanted <input name="long" value="{{ $said['long'] }}" aria-label="How long" maxlength="40" placeholder="40 h" autocomplete="off" @if ($wanted->minutes === null) aria-invalid="true" @endif> of <select name="demand" aria-label="Demand"><option value="deep" @selected($wanted->deep)>deep</option><option value="light" @selected(! $wanted->deep)>light</option></select> work by <input name="by" value="{{ $wanted->by === null ? $wanted->due : $byWords }}" aria-label="By when" maxlength="60" placeholder="any day" autocomplete="off">?</p>
        <button class="sr-only">Try it</button><x-says />
    </form>
    <div class="if-acts">
        <span class="soft">tried, not stored</span>
        @if ($wanted->by)<a class="button button-bare" href="{{ $address(['by' => $wanted->by->plusDays(-1)->asString()]) }}" data-go="ArrowLeft" aria-label="a day sooner">@icon('before')</a><a class="button button-bare" href="{{ $address(['by' => $wanted->by->plusDays(1)->asString()]) }}" data-go="ArrowRight" aria-label="a day later">@icon('after')</a>@endif
        <a class="button" href="/horizon" data-leave>Put it away <kbd>Esc</kbd></a>
        <form method="post" action="/horizon/if">@csrf @foreach ($said as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach<button class="button button-over" @disabled($wanted->problem !== '')>Keep it as a task</button></form>
    </div>
    @if ($wanted->problem !== '')<p class="error" role="alert">{{ $wanted->problem }}</p>@endif
    @error('wanted')<p class="error" role="alert">{{ $message }}</p>@enderror
    @if ($curves)
        <figure class="curves" aria-label="Open time and work due, with the new work as it would be done">
            <div class="curves-heights" aria-hidden="true"><i>hours</i>@foreach ($curves->heights as [$top, $label])<span style="--t:{{ $top }}">{{ $label }}</span>@endforeach</div>
            <div class="curves-field">
                @foreach ($curves->days as $day)@if ($day['narrow'])<i class="curves-closed" style="--l:{{ $day['left'] }};--w:{{ $day['width'] }}"></i>@endif @endforeach
                @foreach ($curves->heights as [$top, $label])<i class="curves-height" style="--t:{{ $top }}"></i>@endforeach
                <svg viewBox="0 0 1000 1000" preserveAspectRatio="none" aria-hidden="true">
                    <defs><pattern id="over-hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V8" class="curve-hatch" /></pattern></defs>
                    <polygon class="curve-ground" points="0,1000 {{ Curves::path($curves->demand) }} 1000,1000" />
                    @foreach ($curves->over as $area)<polygon class="curve-over" points="{{ Curves::path($area) }}" />@endforeach
                    <polyline class="curve-demand" points="{{ Curves::path($curves->demand) }}" />
                    <polyline class="curve-supply" points="{{ Curves::path($curves->supply) }}" />
                    @if ($ramp)<polyline class="curve-new" points="{{ Curves::path($ramp) }}" />@endif
                </svg>
                <span class="curve-name curve-name-supply" aria-hidden="true" style="--l:{{ $curves->supply[(int) (count($curves->supply) * 0.6)][0] ?? 0 }};--t:{{ $curves->supply[(int) (count($curves->supply) * 0.6)][1] ?? 0 }}">open time</span>
                <span class="curve-name curve-name-demand" aria-hidden="true" style="--t:{{ min(880, $curves->demand[count($curves->demand) - 1][1]) }}">work due, as it is</span>
                @if ($honestAt !== null)<span @class(['curve-honest', 'curve-honest-left' => $honestAt > 700]) style="--l:{{ $honestAt }}"><i>earliest honest date</i><b>{{ $honest->label }}, {{ $honest->chance >= 100 ? 'all but sure' : intdiv($honest->chance, 10).' in 10' }}</b></span>@endif
                <span class="curves-now" style="--l:{{ $curves->now }}"><b>{{ $curves->nowLabel }}</b></span>
            </div>
            <div class="curves-bars" aria-hidden="true">
                @foreach ($bars as $bar)<i class="bar-day" style="--l:{{ $bar['left'] }};--w:{{ $bar['width'] }}"><i class="bar-planned" style="--h:{{ round(100 * $bar['planned'] / $highest, 1) }}"></i><i class="bar-deep-part" style="--h:{{ round(100 * min($bar['planned'], $bar['deep']) / $highest, 1) }}"></i>@if ($bar['new'] > 0)<i class="bar-new" style="--b:{{ round(100 * $bar['planned'] / $highest, 1) }};--h:{{ round(100 * $bar['new'] / $highest, 1) }}"></i>@endif<i class="bar-limit" style="--b:{{ round(100 * $bar['line'] / $highest, 1) }}"></i></i>@endforeach
            </div>
            <div class="curves-days" aria-hidden="true">@foreach ($curves->days as $i => $day)<span @class(['curves-day', 'curves-day-odd' => $i % 2 === 1, 'curves-day-today' => $day['today'], 'curves-day-narrow' => $day['narrow']]) style="--l:{{ $day['left'] }};--w:{{ $day['width'] }}">{{ $day['label'] }}</span>@endforeach</div>
        </figure>
        <div class="if-parts">
            <section aria-labelledby="dates">
                <div class="section-head section-over"><h2 id="dates">By which date could it be promised?</h2></div>
                <table class="dues if-dates"><thead><tr><th scope="col"><span class="sr-only">by</span></th><th scope="col"><span class="sr-only">which is</span></th><th scope="col" class="number">fits by then</th><th scope="col" class="number">of {{ Times::duration($wanted->minutes) }}</th><th scope="col" class="number">chance</th></tr></thead>
                    <tbody data-list>@foreach ($rows as $row)<tr @class(['if-honest' => $row->isHonest])><td><a href="{{ $address(['by' => $row->day->asString()]) }}" data-row>{{ $row->label }}</a></td><td>{{ $row->name }}</td><td class="number">{{ Times::duration($row->fits) }}</td><td class="number"><b>{{ $row->room > 0 ? '+' : '' }}{{ Times::duration($row->room) }}</b></td><td @class(['number', 'coral' => $row->chance < 50])>{{ $row->chance < 1 ? 'under 1 %' : ($row->chance >= 100 ? 'over 99 %' : $row->chance.' %') }}</td></tr>@endforeach</tbody></table>
                <p class="soft">{{ __($assumed ? 'whatif.assumed' : 'whatif.from_history') }}</p>
            </section>
            <section aria-labelledby="does"><div class="section-head section-over"><h2 id="does">What it would do</h2></div>
                @foreach ($does as $one)<div class="if-row"><h3>{{ $one['title'] }}</h3><p>{{ $one['what'] }}</p>@if ($one['then'] !== '')<span @class(['if-then', 'coral' => $one['coral']])>@if ($one['before'] !== ''){{ $one['before'] }} @icon('to')@endif <b>{{ $one['then'] }}</b></span>@endif</div>@endforeach
            </section>
            <section aria-labelledby="sooner"><div class="section-head section-over"><h2 id="sooner">Ways, if it must be sooner</h2>@if ($soonerBy !== '')<span class="soft">by {{ $soonerBy }}</span>@endif</div>
                @foreach ($ways as $way)<div class="if-row"><h3>{{ $way->says }}</h3><p @class(['coral' => $way->hurts])>{{ $way->costs }}</p><span class="if-then">{{ $way->before }} % @icon('to') <b>{{ $way->then >= 100 ? 'over 99' : $way->then }} %</b></span></div>@endforeach
                @if ($ways === [])<p class="soft">None is needed: it can be promised for when it is asked.</p>@endif
                @if ($letter)<details class="if-letter" @if ($errors->hasAny(['to', 'subject', 'body'])) open @endif><summary class="button" data-page-key="m">Write it: by {{ $honest->label }} <kbd>M</kbd></summary>
                    <form method="post" action="/horizon/letter" class="form-grid">@csrf<x-field name="to" label="To" type="email" maxlength="200" required /><x-field name="subject" label="About" :value="$letter['subject']" maxlength="250" required />
                        <div class="form-row"><label for="letter-body">Letter</label><textarea class="field" id="letter-body" name="body" rows="9" maxlength="20000">{{ old('body', $letter['body']) }}</textarea></div>@error('body')<p class="error" role="alert">{{ $message }}</p>@enderror
                        <button class="button button-main">Into the outbox</button></form></details>@endif
            </section>
        </div>
    @else
        <div class="empty"><h2>What is asked of you?</h2><p class="soft">Say how long it would take and by when it is wanted, as in “40 h of deep work by 24 April”. It is tried against your weeks, and nothing is stored.</p></div>
    @endif
    <x-screen-keys on="whatif" />
</x-layout>
