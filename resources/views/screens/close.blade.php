@php
    use App\Rows\Became;
    use App\Screens\Close\CloseScreen;
    use App\Screens\Close\Stair;
    use App\Wording\Times;
    $date = Carbon\CarbonImmutable::parse($day->asString().' 12:00', $person->zone);
    $signed = static fn (int $minutes): string => ($minutes < 0 ? '−' : '+').Times::column(abs($minutes));
    $closed = $account->closed;
    $isClosed = $account->isClosed();
    $how = $account->promise === null ? 'none' : $account->promise->how;
@endphp
<x-layout title="Close" station="close">
    <form method="post" action="/close" id="close-form">@csrf<input type="hidden" name="date" value="{{ $day->asString() }}"></form>
    <div class="title-row"><h1>Account of {{ App\Wording\Dates::of($person)->long($date) }}</h1><x-says /><span class="soft">@if ($account->rows !== []){{ __("close.how.{$how}", ['time' => $account->promise ? Times::clock($person, $account->promise->taken_at) : '']) }}@endif</span><span class="end"><a class="button" href="/close/{{ $date->subDay()->format('Y-m-d') }}" data-go="ArrowLeft" aria-label="The day before">←</a>
        <a class="button" href="/close/{{ $day->asString() }}{{ $byArea ? '' : '?by=area' }}" data-page-key="v">{{ $byArea ? 'By what became' : 'By area' }} <kbd>V</kbd></a>
        @if ($isClosed)<span class="soft">closed at {{ Times::clock($person, $closed->closed_at) }}</span><form method="post" action="/close/open">@csrf<input type="hidden" name="date" value="{{ $day->asString() }}"><button class="button">Open it again</button></form>
        @else<button class="button button-main" form="close-form" name="close" value="1" data-enter>Close the day <kbd>Enter</kbd></button>@endif</span></div>
    @foreach (['start', 'day', 'left', 'slips', 'slips.*'] as $name)@error($name)<p class="warning" role="alert">{{ $message }}</p>@enderror @endforeach
    @if ($account->changes !== [])<p class="warning">Changed since it was closed: {{ implode('; ', array_map(fn ($one) => __("close.changed.{$one['what']}", ['title' => $one['title'], 'from' => Times::duration((int) $one['from']), 'to' => Times::duration((int) $one['to'])]), $account->changes)) }}.</p>@endif
    <div class="close-columns">
    <section aria-label="The day's account">
        <table class="bill">
            <thead><tr><th>task</th><th></th><th>promised</th><th>actual</th><th>difference</th><th>goes to</th></tr></thead>
            @foreach ($groups as $name => $rows)
                <tbody>
                <tr class="bill-area"><th scope="rowgroup">@if ($byArea)<span class="swatch hue-{{ $rows[0]->hue }}"></span> {{ $name === '' ? 'No area any more' : $name }}@else{{ __("close.became.{$name}") }}@endif</th><td></td><td>{{ Times::column((int) $rows->sum('promised')) }}</td><td>{{ Times::column((int) $rows->sum('actual')) }}</td><td>{{ $name === Became::ToCome->value ? '' : $signed((int) $rows->sum('actual') - (int) $rows->sum('promised')) }}</td><td></td></tr>
                @foreach ($rows as $row)
                    @continue(! $lens->holdsArea($row->area))
                    <tr><td><span class="swatch hue-{{ $row->hue }}" title="{{ $row->areaName }}"></span> <a href="/tasks/{{ $row->task }}" @class(['done-title' => $row->done])>{{ $row->title }}</a></td><td class="soft">{{ implode(', ', array_filter([$byArea ? __("close.states.{$row->became->value}") : ($row->became === Became::Added && $row->done ? 'done' : ''), $row->key ? 'key' : ''])) }} @if ($row->due && ! $row->done)<span class="coral">due</span>@endif</td><td>{{ $row->promised === 0 && in_array($row->became, [Became::Added, Became::Due], true) ? '' : Times::column($row->promised) }}</td><td>{{ Times::column($row->actual) }}</td><td>{{ $row->became === Became::ToCome ? '' : $signed($row->difference()) }}</td><td class="soft">@if ($goes[$row->task] !== '')@icon('to') {{ $goes[$row->task] }} @elseif ($row->done)<form method="post" action="/tasks/{{ $row->task }}/reopen">@csrf<button class="button button-bare" aria-label="Open {{ $row->title }} again">open again</button></form>@endif</td></tr>
                @endforeach
                @php $others = $rows->reject(fn ($row) => $lens->holdsArea($row->area)); @endphp
                @if ($others->isNotEmpty())<tr><td class="soft">{{ trans_choice('app.lens.others', count($others), ['lens' => $lens->name()]) }}</td><td></td><td>{{ Times::column((int) $others->sum('promised')) }}</td><td>{{ Times::column((int) $others->sum('actual')) }}</td><td></td><td></td></tr>@endif
                </tbody>
            @endforeach
            <tfoot><tr><th>The day's work</th><td></td><td>{{ Times::duration($account->promised()) }}</td><td>{{ Times::duration($account->actual()) }}</td><td>{{ $signed($account->actual() - $account->promised()) }}</td><td></td></tr></tfoot>
        </table>
        @if ($stair)
            <div class="section-head"><h2>From the promise to the day</h2><span class="soft">{{ $keys }}</span></div>
            <svg class="stair" viewBox="0 0 {{ Stair::WIDTH }} {{ $stair->foot + 30 }}" role="img" aria-label="Promised {{ Times::duration($account->promised()) }}; {{ implode('; ', array_column($stair->bars, 'label')) }}; worked {{ Times::duration($account->actual()) }}">
                @foreach ($stair->ticks as $tick)<path class="stair-scale" d="M{{ $tick['x'] }} {{ $stair->foot }}v6"/><text class="stair-tick" x="{{ $tick['x'] }}" y="{{ $stair->foot + 20 }}" text-anchor="middle">{{ $tick['label'] }}</text>@endforeach
                <path class="stair-scale" d="M30 {{ $stair->foot }}H{{ Stair::WIDTH - 30 }}"/>
                @foreach ($stair->bars as $bar)<rect class="stair-{{ $bar['kind'] }}" x="{{ $bar['x'] }}" y="{{ $bar['y'] }}" width="{{ $bar['width'] }}" height="12"/><text x="{{ $bar['labelX'] }}" y="{{ $bar['y'] + 10 }}" text-anchor="{{ $bar['end'] ? 'end' : 'start' }}">{{ $bar['label'] }}</text>@endforeach
                <path class="stair-promise" d="M{{ $stair->promised }} 16V{{ $stair->foot }}"/><circle class="stair-ring" cx="{{ $stair->promised }}" cy="10" r="6"/><text class="stair-strong" x="{{ $stair->promised + 11 }}" y="14">promised {{ Times::duration($account->promised()) }}</text>
                <path class="stair-actual" d="M{{ $stair->actual }} {{ $stair->foot - 10 }}v20"/>
            </svg>
        @endif
        <x-minutes-by-hand :entries="$entries" :tasks="$titles" :day="$day->asString()" />
        @if ($account->rows === [])<div class="empty"><p class="soft">Nothing was promised or worked on this day.</p></div>@endif
        <p class="soft">{{ Times::duration($account->actual()) }} of work, {{ Times::duration($held) }} in {{ trans_choice('shape.count.meetings', count($meetings)) }}, {{ Times::duration($breaks) }} of breaks.@if ($stair === null && $keys !== '') {{ ucfirst($keys) }}.@endif</p>
        @if (count($taught))
            <div class="section-head"><h2>What it taught</h2></div>
            @foreach ($taught as $one)<div class="list-row"><span class="grow">{{ $one['title'] }}: {{ $one['actual'] }} for {{ $one['estimate'] }}</span><span class="soft">{{ $one['likely'] === null ? 'too few like it to tell' : 'such work: likely × '.number_format($one['likely'], 1) }}</span></div>@endforeach
        @endif
    </section>
    <div>
        @foreach ($asks as $one)<x-how-much-left :task="$one['task']" :remaining="$one['remaining']" :now="$now" />@endforeach
        <div class="section-head"><h2>Unfinished</h2><span class="soft">{{ count($unfinished) }}</span></div>
        @foreach ($unfinished as $one)
            @continue(! $lens->holdsArea($one['task']->area_id))
            @php $task = $one['task']; @endphp
            <div class="unfinished" id="unfinished-{{ $task->id }}">@spine($task->importance->value ?? 0, 40, 'hue-'.$task->area->hue)
                <div><a class="unfinished-title" href="/tasks/{{ $task->id }}">{{ $task->title }}</a><span class="soft">{{ __("close.states.{$one['row']->became->value}") }} @if ($task->carried)@icon('carried') {{ $task->carried }}@endif</span></div>
                <span class="soft">@icon('to') <b class="strong">{{ $goes[$task->id] ?? 'no place yet' }}</b></span>
                @if ($one['next'])<details class="asks change-place" id="change-{{ $task->id }}"><summary class="button" aria-label="Change where {{ $task->title }} goes">Change</summary><form method="post" action="/blocks/{{ $one['next']->id }}/send" class="menu">@csrf<input type="hidden" name="mark" value="{{ $one['next']->mark() }}"><label for="day-{{ $task->id }}">Another day</label><x-day id="day-{{ $task->id }}" name="day" /><button class="button" name="to" value="day">Send it there</button><button class="button" name="to" value="tomorrow">Tomorrow</button><button class="button" name="to" value="bank">Not on its day</button><a href="/shape/{{ $person->local($one['next']->starts_at)->format('Y-m-d') }}?block={{ $one['next']->id }}">See it in Shape</a></form></details>@endif
                @if ($one['row']->became !== Became::ToCome)<label class="sr-only" for="slip-{{ $task->id }}">Why {{ $task->title }} slipped</label><input class="field wide" id="slip-{{ $task->id }}" form="close-form" name="slips[{{ $task->id }}]" data-enter=".keep-lines" list="slip-reasons" maxlength="300" placeholder="why it slipped" value="{{ old("slips.{$task->id}", $closed?->slips[$task->id] ?? '') }}">@endif
                @if ($task->carried >= CloseScreen::ASK_AFTER)
                    <div class="wide ask-row"><span class="coral">carried over {{ $task->carried }} times: </span><a class="button" href="/tasks/{{ $task->id }}">split or shrink it</a><x-sort-form :task="$task" to="waiting" label="Hand off" key-hint="" />
                        <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button" name="to" value="someday">Someday</button><button class="button" name="to" value="let_go">Let go</button></form></div>
                @endif
            </div>
        @endforeach
        @if ($unfinished === [])<p class="soft">Nothing is left over.</p>@endif
        @php $outside = count(array_filter($unfinished, fn (array $one): bool => ! $lens->holdsArea($one['task']->area_id))); @endphp
        @if ($outside > 0)<p class="soft">{{ trans_choice('app.lens.others', $outside, ['lens' => $lens->name()]) }}</p>@endif
        <datalist id="slip-reasons">@foreach (['estimated too short', 'a meeting ran over', 'something more urgent came', 'waited for somebody', 'no head for it', 'planned too much'] as $reason)<option value="{{ $reason }}"></option>@endforeach</datalist>
        <div class="section-head"><h2>Three lines</h2><span class="soft">kept with the day</span></div>
        @foreach (['went_well' => 'went well', 'in_the_way' => 'in the way', 'tomorrow' => 'tomorrow'] as $name => $words)
            <div class="line-row"><label for="{{ $name }}">{{ $words }}</label><input class="field plain" id="{{ $name }}" form="close-form" name="{{ $name }}" maxlength="500" data-enter=".keep-lines" data-then="{{ ['went_well' => 'in_the_way', 'in_the_way' => 'tomorrow', 'tomorrow' => 'main'][$name] }}" value="{{ old($name, $closed?->$name) }}"></div>
            @error($name)<p class="error" role="alert">{{ $message }}</p>@enderror
        @endforeach
        <div class="actions"><button class="button keep-lines" form="close-form">Keep the lines</button></div>
        <div class="section-head"><h2>{{ App\Wording\Dates::of($person)->weekdayOf($date->addDay()) }}, a sketch</h2><span class="soft">{{ Times::duration($tomorrowMinutes) }} laid out</span></div>
        <x-ribbon :ribbon="$tomorrow" sketch="Tomorrow" />
        <div class="actions"><a class="button" href="/shape/{{ $date->addDay()->format('Y-m-d') }}?change=lay-out" data-page-key="l">Lay it out again <kbd>L</kbd></a><a class="button button-bare" href="/shape/{{ $date->addDay()->format('Y-m-d') }}">See it in Shape</a></div>
    </div>
    </div>
</x-layout>
