@php
    use App\Screens\Horizon\Curves;
    use App\Wording\Times;
    $query = static fn (array $with): string => '/horizon'.(($said = http_build_query(array_filter([...['weeks' => $weeks === 3 ? null : $weeks, 'hours' => $set === 0 ? 'all' : ($set === array_key_first($sets) ? null : $set)], ...$with]))) === '' ? '' : "?{$said}");
    $crunch = $crunches[0] ?? null;
@endphp
<x-layout title="Horizon" at="horizon">
    <div class="title-row">
        <h1>Will it all fit?</h1><x-says />
        <span>{{ $span }}. @if ($rows === []){{ __('horizon.nothing_due') }}@elseif ($crunches === []){{ __('horizon.no_crunch') }}@else<b class="coral">{{ trans_choice('horizon.crunches', count($crunches)) }}</b>@endif</span>
        <span class="end no-print">
            <a class="button" href="/month" data-page-key="v">Month <kbd>V</kbd></a>
            @if (count($sets) > 1)<span class="choices" role="group" aria-label="Hours">@foreach ($sets as $id => $name)<a @class(['button', 'button-bare' => $set !== $id]) href="{{ $query(['hours' => $id]) }}" @if ($set === $id) aria-current="true" @endif>{{ $name }}</a>@endforeach<a @class(['button', 'button-bare' => $set !== 0]) href="{{ $query(['hours' => 'all']) }}" @if ($set === 0) aria-current="true" @endif>Together</a></span>@endif
            <span class="choices" role="group" aria-label="How far">@foreach (App\Screens\Horizon\HorizonScreen::WEEKS as $some)<a @class(['button', 'button-bare' => $weeks !== $some]) href="{{ $query(['weeks' => $some === 3 ? null : $some]) }}" @if ($weeks === $some) aria-current="true" @endif>{{ $some }} weeks</a>@endforeach</span>
        </span>
    </div>
    <form class="if-line no-print" method="get" action="/horizon/if" data-on-change><label for="if-line">What if</label><input id="if-line" name="line" maxlength="500" autocomplete="off" data-page-key="+" placeholder="a talk, 12 h by the 24th, deep"><button class="button">Try it</button><kbd>+</kbd></form>
    <figure class="curves" x-data="dueDates" data-address="{{ $query([]) }}" aria-label="{{ __('horizon.chart', ['until' => $span, 'open' => Times::duration($curves->top), 'due' => Times::duration(end($rows) ? end($rows)->demand : 0)]) }}">
        <div class="curves-heights" aria-hidden="true"><i>hours</i>@foreach ($curves->heights as [$top, $label])<span style="--t:{{ $top }}">{{ $label }}</span>@endforeach</div>
        <div class="curves-field">
            @foreach ($curves->days as $day)@if ($day['narrow'])<i class="curves-closed" style="--l:{{ $day['left'] }};--w:{{ $day['width'] }}"></i>@endif @endforeach
            @foreach ($curves->heights as [$top, $label])<i class="curves-height" style="--t:{{ $top }}"></i>@endforeach
            <svg viewBox="0 0 1000 1000" preserveAspectRatio="none" aria-hidden="true">
                <defs><pattern id="over-hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V8" class="curve-hatch" /></pattern></defs>
                <polygon class="curve-ground" points="0,1000 {{ Curves::path($curves->demand) }} 1000,1000" />
                @if ($was)<polyline class="curve-was" points="{{ Curves::path($was->demand) }}" />@endif
                @foreach ($curves->over as $area)<polygon class="curve-over" points="{{ Curves::path($area) }}" />@endforeach
                <polyline @class(['curve-demand', 'curve-tried' => $was]) points="{{ Curves::path($curves->demand) }}" />
                <polyline class="curve-supply" points="{{ Curves::path($curves->supply) }}" />
            </svg>
            <span class="curve-name curve-name-supply" style="--l:{{ $curves->supply === [] ? 0 : $curves->supply[(int) (count($curves->supply) * 0.74)][0] }};--t:{{ $curves->supply === [] ? 0 : $curves->supply[(int) (count($curves->supply) * 0.74)][1] }}" aria-hidden="true">open time</span>
            <span class="curve-name curve-name-demand" aria-hidden="true" style="--t:{{ min(880, $curves->demand[count($curves->demand) - 1][1]) }}">work due</span>
            @foreach ($curves->nodes as $node)
                <i @class(['curve-node', 'curve-node-coral' => $node['coral'], 'curve-node-free' => count($node['tasks']) === 1]) style="--l:{{ $node['left'] }};--t:{{ $node['top'] }}" @if (count($node['tasks']) === 1) data-task="{{ $node['tasks'][0] }}" @endif title="{{ $node['label'] }}"></i>
                @if ($node['label'] !== '')<span class="curve-label" style="--l:{{ $node['left'] }};--t:{{ $node['top'] }}" aria-hidden="true">{{ $node['label'] }}</span>@endif
            @endforeach
            @foreach (array_filter([$crunches[0] ?? null, collect($crunches)->first(fn ($one) => abs($one->at[0] - $crunches[0]->at[0]) > 300)]) as $one)
                <p @class(['curve-crunch', 'curve-crunch-right' => $one->at[0] > 400]) style="--l:{{ $one->at[0] }};--t:{{ $one->at[1] }}"><b>{{ $one->row->name }}</b><span>{{ $one->row->when }}: <strong class="coral">{{ Times::duration($one->missing) }} missing</strong></span>@if ($one->done)<small>{{ __('horizon.done_by', ['when' => $one->done]) }}</small>@endif</p>
            @endforeach
            @if ($crunch && ($small = $curves->small()) !== null)
                <svg class="curve-inset" viewBox="{{ implode(' ', $small) }}" preserveAspectRatio="none" aria-hidden="true">
                    <polygon class="curve-ground" points="0,1000 {{ Curves::path($curves->demand) }} 1000,1000" />
                    @foreach ($curves->over as $area)<polygon class="curve-over curve-over-plain" points="{{ Curves::path($area) }}" />@endforeach
                    <polyline class="curve-demand" points="{{ Curves::path($curves->demand) }}" /><polyline class="curve-supply" points="{{ Curves::path($curves->supply) }}" />
                </svg><span class="curve-inset-name" aria-hidden="true">{{ $crunch->row->when }}, enlarged</span>
            @endif
            <span class="curves-now" style="--l:{{ $curves->now }}"><b>{{ $curves->nowLabel }}</b></span>
        </div>
        <div class="curves-days" aria-hidden="true">@foreach ($curves->days as $i => $day)<span @class(['curves-day', 'curves-day-odd' => $i % 2 === 1, 'curves-day-today' => $day['today'], 'curves-day-narrow' => $day['narrow']]) style="--l:{{ $day['left'] }};--w:{{ $day['width'] }}" data-day="{{ $day['day'] }}" title="{{ $day['title'] }}">{{ $day['label'] }}</span>@endforeach</div>
    </figure>
    @if ($tried)<x-due-tried :tried="$tried" :back="$query([])" />@endif
    <div class="horizon-parts">
        <section aria-labelledby="dues">
            <table class="dues">
                <thead><tr><th scope="col"><h2 id="dues">Due dates</h2></th><th scope="col"><span class="sr-only">what</span></th><th scope="col" class="number">due by then</th><th scope="col" class="number">open till then</th><th scope="col" class="number">room</th><th scope="col">pressure</th><th scope="col" class="number">chance</th></tr></thead>
                <tbody data-list>
                    @foreach ($rows as $row)
                        <tr @class(['coral' => $row->room < 0, 'dues-over' => $row->isOver]) data-row tabindex="-1" @if (count($row->tasks) === 1) data-task="{{ $row->tasks[0]['id'] }}" data-day="{{ $row->day }}" @endif>
                            <td>{{ $row->when }}@if ($row->isOver) <span class="soft">over</span>@endif</td>
                            <td class="dues-what">@if ($row->project)<a href="/projects/{{ $row->project }}"><i class="milestone" aria-hidden="true"></i>{{ $row->name }}</a>@elseif (count($row->tasks) === 1)<a href="/tasks/{{ $row->tasks[0]['id'] }}">{{ $row->name }}</a>@else<details class="asks"><summary>{{ $row->name }}</summary><div class="menu">@foreach ($row->tasks as $task)<a href="/tasks/{{ $task['id'] }}">{{ $task['title'] }} <span class="soft">{{ Times::column($task['minutes']) }}</span></a>@endforeach</div></details>@endif @if ($set === 0)<span class="soft">{{ $sets[$row->set] ?? '' }}</span>@endif</td>
                            <td class="number">{{ Times::duration($row->demand) }}</td><td class="number">@if ($row->isDeep())<abbr title="{{ __('horizon.deep_cut') }}">deep</abbr> @endif{{ Times::duration($row->supply) }}</td><td class="number"><b>{{ Times::duration($row->room) }}</b></td>
                            <td>@pressure($row->pressure) <span class="dues-percent">{{ $row->pressure > 990 ? 'no time' : $row->pressure.' %' }}</span></td><td class="number">{{ $row->chance === null ? '' : $row->chance.' %' }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($rows === [])<div class="empty"><h2>{{ __('horizon.nothing_due') }}</h2><p class="soft">Give tasks a due date and an estimate in <a href="/weigh">Weigh</a>, and they stand here against the time you have.</p></div>@endif
            @if ($beyond > 0)<p class="soft"><a href="{{ $query(['weeks' => $weeks === 3 ? 6 : 12]) }}">{{ trans_choice('horizon.beyond', $beyond) }}</a></p>@endif
        </section>
        <section class="horizon-ways" aria-labelledby="ways">
            @if ($crunch)
                <div class="section-head section-coral"><h2 id="ways">Ways out of {{ Times::duration($crunch->missing) }}</h2></div>
                <p><b>{{ $crunch->row->name }}</b>, {{ __('horizon.missing', ['when' => $crunch->row->when, 'missing' => Times::duration($crunch->missing)]) }}@if ($crunch->row->isDeep()) ({{ __('horizon.by_deep', ['plain' => $crunch->row->plainRoom < 0 ? __('horizon.by_deep_too', ['minutes' => Times::duration(-$crunch->row->plainRoom)]) : __('horizon.by_deep_only')]) }})@endif; {{ $crunch->done === null ? __('horizon.no_place') : __('horizon.done_by', ['when' => $crunch->done]) }}.</p>
                @if ($crunch->row->set === 0)<p>{{ __('horizon.hours_share') }}</p>@elseif ($ways)<x-ways :ways="$ways" />@else<p class="actions"><a class="button button-over" href="{{ $query(['ways' => 1]) }}" data-page-key="w">What would help <kbd>W</kbd></a> <span class="soft">nothing moves until taken</span></p>@endif
                <p class="soft">{{ __('horizon.competing', ['tasks' => implode(', ', array_map(static fn (array $one): string => $one['title'].' '.Times::duration($one['minutes']), $crunch->competing)).($crunch->more > 0 ? " and {$crunch->more} more" : '')]) }} @if ($crunch->earlier > 0){{ __('horizon.earlier', ['minutes' => Times::duration($crunch->earlier)]) }}@endif</p>
            @elseif ($rows !== [])
                <div class="section-head"><h2 id="ways">No crunch</h2></div>
                @php $least = collect($rows)->where('isOver', false)->sortBy('room')->first(); @endphp
                @if ($least)<p>The least room is {{ Times::duration($least->room) }}, on {{ $least->when }}: {{ $least->name }}.</p>@endif
            @endif
        </section>
    </div>
    <x-screen-keys on="horizon" />
</x-layout>
