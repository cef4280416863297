{{-- The chosen block: why it lies here, and what can be done with it without dragging. --}}
@props(['chosen', 'why', 'top', 'day', 'address', 'sheet', 'pull' => null])
@php
    use App\Wording\Times;
    $planned = $chosen->state->value === 'planned';
    $ahead = $planned && $chosen->ends_at > $now;
    $minutes = App\Rows\RowMapper::time($chosen)->length();
    $isKey = $sheet->block($chosen->id)?->key === true;
    $others = array_filter($sheet->ahead(), fn ($one): bool => $one->id !== $chosen->id);
    $joins = count(array_filter($sheet->ahead(), fn ($one): bool => $one->task === $chosen->task_id)) > 1;
    $batch = $chosen->reserve_id === null ? collect($sheet->reserves)->firstWhere('movable', true) : null;
@endphp
<section class="why" id="why" style="top:{{ $top }}px" aria-labelledby="why-title">
    <p class="why-task narrow-only"><b>{{ $chosen->task->title }}</b> <span class="soft">{{ Times::range($person, $chosen->starts_at, $chosen->ends_at) }}@if ($pull !== null), pull <b class="strong">{{ $pull }}</b>@endif</span></p>
    <div class="why-head"><h2 id="why-title">Why here</h2>
        @if ($ahead)<form method="post" action="/tasks/{{ $chosen->task_id }}/key">@csrf<input type="hidden" name="day" value="{{ $day->asString() }}"><button class="button button-bare" name="key" value="{{ $isKey ? 0 : 1 }}" data-page-key="k" title="{{ $isKey ? 'A key task of this day; take the mark away' : 'One of the at most '.$person->keys_most.' that make the day a success' }}">{{ $isKey ? 'Not key' : 'Key' }} <kbd>K</kbd></button></form>@endif</div>
    <p class="note-why">{{ $why }}</p>
    @if ($planned)
        <div class="row">
            <form method="post" action="/blocks/{{ $chosen->id }}/done">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><button class="button button-main" data-page-key="d">Done <kbd>D</kbd></button></form>
            @if ($ahead)
                <form method="post" action="/blocks/{{ $chosen->id }}/{{ $chosen->anchored ? 'release' : 'anchor' }}">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><button class="button" data-page-key="a">{{ $chosen->anchored ? 'Release' : 'Anchor' }} <kbd>A</kbd></button></form>
                <form class="narrow-only" method="post" action="/blocks/{{ $chosen->id }}/split">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><button class="button">Split</button></form>
                <form class="narrow-only" method="post" action="/blocks/{{ $chosen->id }}/send">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><button class="button" name="to" value="bank">Wait</button></form>
            @endif
        </div>
        <form class="row" method="post" action="/blocks/{{ $chosen->id }}/part">
            @csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}">
            <label for="left">Left</label>
            <input class="field" id="left" name="left" data-page-key="m" value="{{ old('left') }}" placeholder="30" aria-describedby="left-error">
            <button class="button">Part done</button>
            @error('left')<span class="error" id="left-error">{{ $message }}</span>@enderror
        </form>
        @if ($ahead)
            <form class="row" method="post" action="/blocks/{{ $chosen->id }}">
                @csrf @method('patch')<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><input type="hidden" name="day" value="{{ $day->asString() }}">
                <label for="start">At</label>
                <input class="field" id="start" name="start" maxlength="8" pattern="[0-2]?\d:[0-5]\d" value="{{ old('start', Times::clock($person, $chosen->starts_at)) }}">
                <input class="field field-minutes" id="minutes" name="minutes" inputmode="numeric" maxlength="3" value="{{ old('minutes', $minutes) }}" aria-label="for how many minutes">
                <button class="button">Move</button>
            </form>
            <details class="shape-more" id="shape-more"><summary class="button button-bare">Split, swap, send …</summary>
                <form class="row" method="post" action="/blocks/{{ $chosen->id }}/split">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><label for="first">after</label><input class="field field-minutes" id="first" name="first" inputmode="numeric" maxlength="3" value="{{ intdiv($minutes, 10) * 5 }}"><button class="button" data-page-key="x">Split <kbd>X</kbd></button></form>
                <div class="row">
                    @if ($joins)<form method="post" action="/blocks/{{ $chosen->id }}/join">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><button class="button">Join its next</button></form>@endif
                    <form method="post" action="/blocks/{{ $chosen->id }}/send">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><button class="button" name="to" value="tomorrow">Tomorrow</button><button class="button" name="to" value="bank">To the bank</button></form>
                </div>
                <form class="row" method="post" action="/blocks/{{ $chosen->id }}/send">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><input type="hidden" name="to" value="day"><x-day class="field field-day field-date" name="day" aria-label="Another day" /><button class="button">Send</button></form>
                @if ($others !== [])<form class="row" method="post" action="/blocks/{{ $chosen->id }}/swap">@csrf<input type="hidden" name="mark" value="{{ $chosen->mark() }}"><select class="field field-wide" name="with" aria-label="Swap with">@foreach ($others as $other)<option value="{{ $other->id }}">{{ Str::limit($other->title, 22) }}</option>@endforeach</select><button class="button">Swap</button></form>@endif
                @if ($batch !== null)<form class="row" method="post" action="/reserves/{{ $batch->id }}/tasks">@csrf<input type="hidden" name="task" value="{{ $chosen->task_id }}"><button class="button">Into “{{ Str::limit($batch->title, 18) }}”</button></form>@endif
            </details>
        @endif
    @endif
    <p class="row"><a class="button button-bare" href="/tasks/{{ $chosen->task_id }}">Open</a><a class="button button-bare" href="{{ $address }}" data-leave>Leave</a></p>
</section>
