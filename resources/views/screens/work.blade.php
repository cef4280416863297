@php
    use App\Wording\Times;
    use App\Models\Block;
    $until = $block && $block->ends_at > $now ? $block->ends_at : null;
    $until = $nextMeeting && ($until === null || $nextMeeting->starts_at < $until) && $block && $block->starts_at <= $now ? $nextMeeting->starts_at : $until;
    $waitsToBegin = $block && $block->starts_at > $now;
    $until = $waitsToBegin ? $block->starts_at : $until;
    $titles = array_column($rows, 'title', 'task');
    $left = $until ? (int) $now->diffInMinutes($until) : null;
    $isOn = $running && $task && $running->task_id === $task->id;
@endphp
<x-layout title="Work" station="work" said>
    @if ($forgotten)
        <section class="forgotten" aria-labelledby="forgotten-title"><div class="section-head section-over"><h2 id="forgotten-title">The clock still runs</h2><span class="soft">since {{ Times::when($person, $forgotten->starts_at, $now) }}</span></div>
            <p>{{ $forgottenTask ? '“'.$forgottenTask->title.'”' : ($forgotten->break ? 'A break' : 'An entry') }} has been going on for longer than anybody works. When did you stop?</p>
            <form method="post" action="/work/forgotten" class="pair">@csrf<input class="field field-clock" name="until" maxlength="8" aria-label="Stopped at" value="{{ old('until', App\Wording\Times::clock($person, $likelyEnd)) }}"><button class="button button-main" data-first>I stopped then</button><button class="button" name="none" value="1">I did not work on it</button></form>
            @error('until')<p class="error" role="alert">{{ $message }}</p>@enderror</section>
    @endif
    @if ($stopped)
        <section class="forgotten" aria-labelledby="stopped-title"><div class="section-head section-over"><h2 id="stopped-title">Did the work go on?</h2><span class="soft">stopped at {{ Times::when($person, $stopped->ends_at, $now) }}</span></div>
            <p>{{ $stopped->stopped_by }} stopped the clock{{ isset($titles[$stopped->task_id]) ? ' of “'.$titles[$stopped->task_id].'”' : '' }}.</p>
            <form method="post" action="/work/entries/{{ $stopped->id }}/went-on" class="pair">@csrf<button class="button button-main" name="none" value="1" data-first>No, it stopped</button><input class="field field-clock" name="until" maxlength="8" aria-label="Until" value="{{ old('until', App\Wording\Times::clock($person, $wentOn)) }}"><button class="button">Yes, until then</button></form>
            @error('until')<p class="error" role="alert">{{ $message }}</p>@enderror</section>
    @endif
    @if ($remaining)<x-how-much-left :task="$task" :remaining="$remaining" :now="$now" />@endif
    @if ($turn)
        <p @class(['turn', 'turn-due' => ($turn->breakAt !== null && $turn->breakAt <= App\Time\Moments::minute($now)) || ($turn->backAt !== null && $turn->backAt <= App\Time\Moments::minute($now))])>
            @if ($turn->backAt !== null)
                {{ $turn->isLong ? 'A long break' : 'A break' }} until <b>{{ Times::clock($person, $turn->backAt) }}</b>.@if ($turn->backAt <= App\Time\Moments::minute($now)) It is over: go on with Space.@endif
            @elseif ($turn->breakAt !== null && $turn->breakAt <= App\Time\Moments::minute($now))
                {{ Times::duration($turn->worked) }} without a break: take {{ $turn->breakMinutes }} min now, with K.
            @else
                Stretch {{ $turn->number }} of {{ $turn->of }}@if ($turn->breakAt !== null); {{ $turn->isLong ? 'the long break' : 'a break' }} at <b>{{ Times::clock($person, $turn->breakAt) }}</b>@endif.
            @endif
        </p>
    @endif
    <div class="work-columns">
    <div>
        @if ($meeting)
            @php $on = $meeting->occurrence; @endphp
            <section class="work-now work-meeting" aria-labelledby="work-title"><div class="work-body">
                <p>meeting, {{ Times::range($person, $on->starts_at, $on->ends_at) }}{{ $on->place ? ', '.$on->place : '' }}</p>
                <h1 id="work-title"><a href="/occurrences/{{ $on->id }}">{{ $on->shownName() }}</a></h1>
                <p class="big">{{ Times::duration((int) $now->diffInMinutes($on->ends_at)) }}</p>
                @if ($meeting->join)<a class="button" href="{{ $meeting->join }}" data-page-key="h" rel="noopener noreferrer" target="_blank">Join it <kbd>H</kbd></a>@endif
                <form method="post" action="/occurrences/{{ $on->id }}/task">@csrf<button class="button" name="when" value="after">A task that follows from it</button></form>
                <x-meeting-now :meeting="$meeting" />
            </div></section>
        @elseif ($task)
            <section @class(['work-now', 'work-deep' => $task->demand->value === 'deep', "hue-{$task->area->hue}"]) aria-labelledby="work-title">
                @spine($task->importance->value ?? 0, 40, 'work-spine')
                <div class="work-body">
                    <div class="work-top">
                        <div><p>{{ $task->area->name }}{{ ($task->getAttributes()['project_name'] ?? null) ? ', '.$task->project_name : '' }} @if ($isKey)<span>· key task</span>@endif</p>
                            <h1 id="work-title">{{ $task->title }}</h1>
                            @if ($candidate)@pressure($candidate->pressure())<p>@if ($candidate->due){{ $task->due_hard ? 'due, hard, ' : 'due ' }}{{ Times::when($person, $candidate->due, $now) }}@else no due date @endif @if ($candidate->pressure() !== null) · pressure {{ App\Wording\Figures::pressure($candidate->pressure()) }} @endif · pull {{ $candidate->pull->total() }}</p>@endif</div>
                        <div class="work-left"><p class="big" @if ($isOn) data-runs="{{ $until?->getTimestamp() }}" @endif>{{ $left === null ? '–' : Times::duration($left) }}</p>
                            <p>@if ($waitsToBegin) until it begins, {{ Times::when($person, $block->starts_at, $now) }} @elseif ($until && $nextMeeting && $until == $nextMeeting->starts_at) left until {{ $nextMeeting->shownName() }}, {{ Times::clock($person, $until) }} @elseif ($until) left until {{ Times::clock($person, $until) }} @else no block now @endif</p>
                            <p>{{ Times::duration($spent) }} done today{{ $task->said === null ? '' : ($remaining ? ', past its estimate' : ', '.Times::duration($task->minutesLeft($now)).' of work left') }}</p></div>
                    </div>
                    <div class="work-buttons">
                        <x-done-form :task="$task" :block="$block" />
                        <x-clock-form :task="$task" :block="$block" :is-on="$isOn" :spent="$spent" />
                        @if ($block && $block->state->value === 'planned' && ! $waitsToBegin)
                            <details class="asks" id="part"><summary class="button" data-page-key="m">Part done <kbd>M</kbd></summary><form method="post" action="/blocks/{{ $block->id }}/part" class="menu">@csrf<input type="hidden" name="mark" value="{{ $block->mark() }}"><label for="left">How much is left?</label><input class="field" id="left" name="left" value="{{ old('left', Times::duration(max(5, $task->minutesLeft($now)))) }}"><button class="button button-main">Place the rest</button></form></details>
                            <details class="asks" id="blocked" @if ($errors->hasAny(['by', 'ask_on'])) open @endif><summary class="button" data-page-key="b">Blocked <kbd>B</kbd></summary><form method="post" action="/work/blocks/{{ $block->id }}/blocked" class="menu">@csrf<input type="hidden" name="mark" value="{{ $block->mark() }}"><label for="by">By whom or what?</label><input class="field" id="by" name="by" maxlength="200" value="{{ old('by') }}" required><label for="ask">Ask again on</label><x-day id="ask" name="ask_on" />@foreach (['by', 'ask_on'] as $name)@error($name)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach<button class="button button-main">It waits</button></form></details>
                            <details class="asks" id="more"><summary class="button" data-page-key="o">More time <kbd>O</kbd></summary><form method="post" action="/work/blocks/{{ $block->id }}/more" class="menu">@csrf<input type="hidden" name="mark" value="{{ $block->mark() }}">@foreach ([15, 30, 60] as $minutes)<button class="button" name="minutes" value="{{ $minutes }}">+ {{ $minutes }} min</button>@endforeach</form></details>
                        @endif
                        <form method="post" action="/work/rest" data-waits="Break">@csrf<button class="button" data-page-key="k">{{ $running?->break ? 'On a break' : 'Break' }} <kbd>K</kbd></button></form>
                        <a class="button" href="/work?quiet=1" data-page-key="i">Only this <kbd>I</kbd></a>
                    </div>
                    @foreach (['left', 'minutes', 'start'] as $name)@error($name)<p class="error-on-deep" role="alert">{{ $message }}</p>@enderror @endforeach
                    @if ($block && $block->starts_at <= $now && $block->ends_at > $block->starts_at)
                        @php $span = max(1, $block->starts_at->diffInMinutes($block->ends_at)); @endphp
                        <div class="work-scale" aria-hidden="true">
                            @foreach ($entries->where('task_id', $task->id) as $entry)@php $from = max(0, $block->starts_at->diffInMinutes($entry->starts_at, false)); $to = min($span, $block->starts_at->diffInMinutes($entry->ends_at ?? $now, false)); @endphp @if ($to > $from)<i class="work-bar" style="left:{{ round(100 * $from / $span, 2) }}%;width:{{ round(100 * ($to - $from) / $span, 2) }}%"></i>@endif @endforeach
                            <b class="work-flag" style="left:{{ round(min(100, 100 * $block->starts_at->diffInMinutes($now) / $span), 2) }}%">{{ Times::clock($person, $now) }}</b>
                            @for ($minute = 0; $minute <= $span; $minute += 15)<span style="left:{{ round(100 * $minute / $span, 2) }}%">{{ Times::clock($person, $block->starts_at->addMinutes($minute)) }}</span>@endfor
                        </div>
                    @endif
                </div>
            </section>
        @else
            @php $isOver = count($next) === 0; @endphp
            <div class="empty"><h2>Nothing is laid out for now.</h2><p class="soft">{{ $isOver ? 'Nothing more comes today. If that was all, close the day; or lay out more.' : 'What comes is below. Begin it now, or something else from the bank.' }}</p>
                <p class="actions"><a @class(['button', 'button-main' => $isOver]) href="/close">Close the day</a><a @class(['button', 'button-main' => ! $isOver]) href="/shape">Shape the day</a></p></div>
        @endif
        <section aria-labelledby="next-title"><div class="section-head"><h2 id="next-title">Next</h2><span class="soft">@if ($nextMeeting){{ Times::duration((int) $now->diffInMinutes($nextMeeting->starts_at)) }} until {{ $nextMeeting->shownName() }}@endif</span></div>
            <div class="work-next">
                @forelse ($next as $one)
                    @if ($one instanceof Block)
                        <div class="next-block hue-{{ $one->task->area->hue }}">@spine($one->task->importance->value ?? 0)<div><b>{{ $one->task->title }} @if ($one->anchored)@icon('anchor')@endif</b><span class="soft">{{ Times::range($person, $one->starts_at, $one->ends_at) }}</span></div><span class="minutes">{{ Times::column((int) $one->starts_at->diffInMinutes($one->ends_at)) }}</span>
                            <form method="post" action="/work/start/{{ $one->task_id }}">@csrf<input type="hidden" name="block" value="{{ $one->id }}"><button class="button" aria-label="Begin {{ $one->task->title }} now">Begin now</button></form></div>
                    @else
                        <div class="next-block next-meeting"><div><b><a href="/occurrences/{{ $one->id }}">{{ $one->shownName() }}</a></b><span class="soft">{{ Times::range($person, $one->starts_at, $one->ends_at) }}{{ $one->place ? ', '.$one->place : '' }}</span>@if ($one->link)<a class="link" href="{{ $one->link }}" @if (! $meeting && $one->is($nextMeeting)) data-page-key="h" @endif rel="noopener noreferrer" target="_blank">Join @if (! $meeting && $one->is($nextMeeting))<kbd>H</kbd>@endif</a>@endif</div><span class="minutes">{{ Times::column((int) $one->starts_at->diffInMinutes($one->ends_at)) }}</span></div>
                    @endif
                @empty<p class="soft">Nothing more today.</p>
                @endforelse
            </div></section>
        <section aria-labelledby="rest-title"><div class="section-head"><h2 id="rest-title">The rest of the day</h2></div>
            <div class="actions">
                @if ($ended !== null)<p class="soft">The day ended at {{ Times::clock($person, $ended) }}.</p><form method="post" action="/plan/go-on">@csrf<button class="button">It goes on after all</button></form>
                @else<form method="post" action="/plan/end-day">@csrf<button class="button">Clear it: the day ends now</button></form><span class="soft">everything left, anchored too, is laid out elsewhere; undo brings it back</span>@endif
            </div></section>
        <section aria-labelledby="catch-title"><div class="section-head"><h2 id="catch-title">Catch</h2><span class="soft">goes to Gather, the clock runs on</span></div>
            <form method="post" action="/gather" id="work-catch" class="pair" data-clear>@csrf<textarea class="field" name="lines" rows="1" aria-label="Catch a thought without leaving" placeholder="ask Wim whether case 4 can take the long label"></textarea><button class="button">Keep</button></form></section>
    </div>
    <div>
        @if ($task && ! $meeting)
            <div class="section-head"><h2>Subtasks</h2><span class="soft">@if ($task->subtasks->isNotEmpty()){{ $task->subtasks->whereNotNull('done_at')->count() }} of {{ count($task->subtasks) }} done @else <a href="/tasks/{{ $task->id }}">add some</a> @endif</span></div>
            <ol class="subtasks">@foreach ($task->subtasks as $one)<li id="subtask-{{ $one->id }}"><form method="post" action="/subtasks/{{ $one->id }}" data-waits="{{ $one->title }}">@csrf @method('patch')<input type="hidden" name="done" value="{{ $one->done_at ? 0 : 1 }}"><button class="tick" aria-pressed="{{ $one->done_at ? 'true' : 'false' }}" aria-label="{{ $one->title }} done"></button></form><span @class(['grow', 'struck' => $one->done_at])>{{ $one->title }}</span><span class="soft">{{ $one->estimate ? Times::column($one->estimate) : '' }}</span></li>@endforeach</ol>
            <div class="section-head"><h2>Notes</h2><span class="soft"><a href="/tasks/{{ $task->id }}">the whole task</a></span></div>
            @if ($task->note)<x-markdown :text="$task->note" />@else<p class="soft">none</p>@endif
            @foreach ($task->links as $link)<p>@icon('link') <a href="{{ $link->address }}" rel="noopener noreferrer">{{ $link->title ?? Str::limit($link->address, 50) }}</a></p>@endforeach
        @endif
        <div class="section-head"><h2>Block by block</h2></div>
        <table class="account"><thead><tr><th>today</th><th>promised</th><th>actual</th><th>differs</th></tr></thead><tbody>
            @foreach ($rows as $row)<tr @class(['strong' => $task?->id === $row->task])><td><a href="/tasks/{{ $row->task }}" @class(['struck' => $row->done])>{{ $row->title }}</a>@if ($row->became === App\Rows\Became::Added) <span class="soft">added</span>@endif</td><td>{{ $row->promised === 0 ? '' : Times::column($row->promised) }}</td><td>{{ $row->actual === 0 ? '' : Times::column($row->actual) }}</td><td>@if ($row->became !== App\Rows\Became::ToCome && ($row->actual > 0 || $row->done)){{ ($row->difference() < 0 ? '−' : '+').Times::column(abs($row->difference())) }}@endif</td></tr>@endforeach
        </tbody></table>
        <x-minutes-by-hand :entries="$entries" :tasks="array_column($rows, 'title', 'task')" :day="$person->local($now)->format('Y-m-d')" />
    </div>
    </div>
</x-layout>
