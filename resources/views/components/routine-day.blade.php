{{-- A routine on one day: its parts to tick, another time, or not today. --}}
@props(['at', 'address'])
@php $one = $at->routine; $routine = $one->routine; @endphp
<section class="why" id="why" style="top:{{ max(34, $at->top + 16) }}px" aria-labelledby="why-title">
    <h2 id="why-title">{{ $routine->title }}</h2>
    <p class="note-why">{{ $routine->deep ? 'Kept for deep work; nothing light is laid here.' : 'Kept free on its days.' }} {{ $one->isMoved ? 'Today at another time than usual.' : '' }}</p>
    @foreach ($routine->parts as $i => $part)
        <form method="post" action="{{ $at->address }}" class="routine-part">@csrf @method('patch')<input type="hidden" name="what" value="tick"><button class="button button-bare" name="part" value="{{ $i }}" aria-pressed="{{ in_array($i, $one->ticked, true) ? 'true' : 'false' }}"><i @class(['tick-box', 'ticked' => in_array($i, $one->ticked, true)])></i> {{ $part['title'] }}@if ($part['minutes']) <span class="soft">{{ $part['minutes'] }}</span>@endif</button></form>
    @endforeach
    <form class="row" method="post" action="{{ $at->address }}">@csrf @method('patch')
        <label for="routine-start">At</label><input class="field" id="routine-start" name="start" maxlength="8" value="{{ old('start', App\Wording\Times::clock($person, $at->start)) }}"><input class="field field-minutes" name="minutes" inputmode="numeric" maxlength="3" value="{{ old('minutes', $at->minutes) }}" aria-label="for how many minutes"><button class="button">Move today’s</button></form>
    @foreach (['start', 'minutes'] as $field)@error($field)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
    <form class="row" method="post" action="{{ $at->address }}">@csrf @method('patch')<button class="button" name="what" value="drop">Not today</button>@if ($one->isMoved)<button class="button" name="what" value="usual">As usual</button>@endif<a class="button button-bare" href="/settings/rules#routine-{{ $routine->id }}">Every week</a><a class="button button-bare" href="{{ $address }}" data-leave>Leave</a></form>
</section>
