@php
    use App\Wording\Times;
    use App\Screens\Close\CloseScreen;
    use App\Screens\Close\DayState;
    $date = Carbon\CarbonImmutable::parse($day->asString().' 12:00', $person->zone);
    $signed = static fn (int $minutes): string => ($minutes < 0 ? '−' : '+').Times::column(abs($minutes));
    $isClosed = $closed?->closed_at !== null;
@endphp
<x-layout title="Close" station="close">
    <form method="post" action="/close" id="close-form">@csrf<input type="hidden" name="date" value="{{ $day->asString() }}"></form>
    <div class="title-row"><h1>Account of {{ $date->format('l j F') }}</h1><span class="end"><a class="button" href="/close/{{ $date->subDay()->format('Y-m-d') }}" data-go="ArrowLeft" aria-label="The day before">←</a>
        @if ($isClosed)<span class="soft">closed at {{ Times::clock($person, $closed->closed_at) }}</span><form method="post" action="/close/open">@csrf<input type="hidden" name="date" value="{{ $day->asString() }}"><button class="button">Open it again</button></form>
        @else<button class="button button-main" form="close-form" name="close" value="1" data-enter>Close the day <kbd>Enter</kbd></button>@endif</span></div>
    @foreach (['start', 'day', 'slips', 'slips.*'] as $name)@error($name)<p class="warning" role="alert">{{ $message }}</p>@enderror @endforeach
    <div class="close-columns">
    <section aria-label="The day's account">
        <table class="bill">
            <thead><tr><th>area, task</th><th></th><th>planned</th><th>actual</th><th>difference</th></tr></thead>
            @foreach ($areas as $rows)
                @php $area = $rows[0]->area; @endphp
                <tbody>
                <tr class="bill-area"><th scope="rowgroup"><span class="swatch hue-{{ $area->hue }}"></span> {{ $area->name }}</th><td></td><td>{{ Times::column((int) $rows->sum('planned')) }}</td><td>{{ Times::column((int) $rows->sum('actual')) }}</td><td>{{ $signed((int) $rows->sum('actual') - (int) $rows->sum('planned')) }}</td></tr>
                @foreach ($rows as $row)
                    <tr><td><a href="/tasks/{{ $row->task->id }}" @class(['done-title' => $row->state === DayState::Done])>{{ $row->task->title }}</a> @if (isset($keys[$row->task->id]))<span class="soft">key</span>@endif</td><td class="soft">{{ $row->state->word() }}</td><td>{{ Times::column($row->planned) }}</td><td>{{ Times::column($row->actual) }}</td><td>{{ $row->state === DayState::ToCome ? '' : $signed($row->actual - $row->planned) }}</td></tr>
                @endforeach
                </tbody>
            @endforeach
            <tfoot><tr><th>The day's work</th><td></td><td>{{ Times::duration($planned) }}</td><td>{{ Times::duration($actual) }}</td><td>{{ $signed($actual - $planned) }}</td></tr></tfoot>
        </table>
        <x-minutes-by-hand :entries="$entries" :tasks="$titles" :day="$day->asString()" />
        @if ($areas->isEmpty())<div class="empty"><p class="soft">Nothing was planned or worked on this day.</p></div>@endif
        <p class="soft">{{ Times::duration($actual) }} of work, {{ Times::duration($held) }} in {{ trans_choice('shape.count.meetings', count($meetings)) }}, {{ Times::duration($breaks) }} of breaks.
            @if (count($unplanned)) Not planned: {{ implode(', ', array_map(fn ($row) => $row->task->title.' '.Times::duration($row->actual), $unplanned)) }}.@endif
            @foreach ($keys as $key) Key task {{ $key['title'] }}: {{ $key['state'] }}.@endforeach</p>
        @if (count($taught))
            <div class="section-head"><h2>What it taught</h2></div>
            @foreach ($taught as $one)<div class="list-row"><span class="grow">{{ $one['title'] }}: {{ $one['actual'] }} for {{ $one['estimate'] }}</span><span class="soft">{{ $one['likely'] === null ? 'too few like it to tell' : 'such work: likely × '.number_format($one['likely'], 1) }}</span></div>@endforeach
        @endif
    </section>
    <div>
        <div class="section-head"><h2>Unfinished</h2><span class="soft">{{ count($unfinished) }}</span></div>
        @foreach ($unfinished as $one)
            @php $task = $one['task']; @endphp
            <div class="unfinished" id="unfinished-{{ $task->id }}">@spine($task->importance->value ?? 0, 40, 'hue-'.$task->area->hue)
                <div><a class="unfinished-title" href="/tasks/{{ $task->id }}">{{ $task->title }}</a><span class="soft">{{ $one['state']->word() }} @if ($task->carried)@icon('carried') {{ $task->carried }}@endif</span></div>
                <span class="soft">@icon('to') <b class="strong">{{ $one['next'] ? Times::when($person, $one['next']->starts_at, $now) : 'no place yet' }}</b></span>
                @if ($one['next'])<details class="asks change-place" id="change-{{ $task->id }}"><summary class="button" aria-label="Change where {{ $task->title }} goes">Change</summary><form method="post" action="/blocks/{{ $one['next']->id }}/send" class="menu">@csrf<input type="hidden" name="mark" value="{{ $one['next']->mark() }}"><label for="day-{{ $task->id }}">Another day</label><input class="field" type="date" id="day-{{ $task->id }}" name="day" min="{{ $person->local($now)->format('Y-m-d') }}"><button class="button" name="to" value="day">Send it there</button><button class="button" name="to" value="tomorrow">Tomorrow</button><button class="button" name="to" value="bank">Not on its day</button><a href="/shape/{{ $person->local($one['next']->starts_at)->format('Y-m-d') }}?block={{ $one['next']->id }}">See it in Shape</a></form></details>@endif
                @if ($one['state'] !== DayState::ToCome)<label class="sr-only" for="slip-{{ $task->id }}">Why {{ $task->title }} slipped</label><input class="field wide" id="slip-{{ $task->id }}" form="close-form" name="slips[{{ $task->id }}]" list="slip-reasons" maxlength="300" placeholder="why it slipped" value="{{ old("slips.{$task->id}", $closed?->slips[$task->id] ?? '') }}">@endif
                @if ($task->carried >= CloseScreen::ASK_AFTER)
                    <div class="wide ask-row"><span class="coral">carried over {{ $task->carried }} times: </span><a class="button" href="/tasks/{{ $task->id }}">split or shrink it</a><x-sort-form :task="$task" to="waiting" label="Hand off" key-hint="" />
                        <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button" name="to" value="someday">Someday</button><button class="button" name="to" value="let_go">Let go</button></form></div>
                @endif
            </div>
        @endforeach
        @if ($unfinished === [])<p class="soft">Nothing is left over.</p>@endif
        <datalist id="slip-reasons">@foreach (['estimated too short', 'a meeting ran over', 'something more urgent came', 'waited for somebody', 'no head for it', 'planned too much'] as $reason)<option value="{{ $reason }}"></option>@endforeach</datalist>
        <div class="section-head"><h2>Three lines</h2><span class="soft">kept with the day</span></div>
        @foreach (['went_well' => 'went well', 'in_the_way' => 'in the way', 'tomorrow' => 'tomorrow'] as $name => $words)
            <div class="line-row"><label for="{{ $name }}">{{ $words }}</label><input class="field plain" id="{{ $name }}" form="close-form" name="{{ $name }}" maxlength="500" value="{{ old($name, $closed?->$name) }}"></div>
            @error($name)<p class="error" role="alert">{{ $message }}</p>@enderror
        @endforeach
        <div class="actions"><button class="button" form="close-form">Keep the lines</button></div>
        <div class="section-head"><h2>{{ $date->addDay()->format('l j') }}, a sketch</h2><span class="soft">{{ Times::duration($tomorrowMinutes) }} laid out</span></div>
        <x-ribbon :ribbon="$tomorrow" sketch="Tomorrow" />
        <div class="actions"><a class="button" href="/shape/{{ $date->addDay()->format('Y-m-d') }}?change=lay-out" data-page-key="l">Lay it out again <kbd>L</kbd></a><a class="button button-bare" href="/shape/{{ $date->addDay()->format('Y-m-d') }}">See it in Shape</a></div>
    </div>
    </div>
</x-layout>
