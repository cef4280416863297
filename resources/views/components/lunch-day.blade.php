{{-- Lunch of one day: at another time, or none. --}}
@props(['sheet', 'day', 'address'])
@php $gap = collect($sheet->gaps)->firstWhere('kind', 'lunch'); $action = "/lunch/{$day->asString()}"; $from = $person->lunch_from ?? 750; @endphp
<section class="why" id="why" style="top:{{ max(34, ($gap['top'] ?? 200) + 16) }}px" aria-labelledby="why-title">
    <h2 id="why-title">Lunch</h2>
    <p class="note-why">{{ $gap ? 'Kept free; only what you anchor lies in it.' : 'None is kept free on this day.' }}</p>
    <form class="row" method="post" action="{{ $action }}">@csrf @method('patch')
        <label for="lunch-start">At</label><input class="field" id="lunch-start" name="start" maxlength="8" value="{{ old('start', App\Wording\Times::ofDay($person, $from)) }}"><input class="field field-minutes" name="minutes" inputmode="numeric" maxlength="3" value="{{ old('minutes', max(5, ($person->lunch_to ?? 795) - $from)) }}" aria-label="for how many minutes"><button class="button">On this day</button></form>
    @foreach (['start', 'minutes'] as $field)@error($field)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
    <form class="row" method="post" action="{{ $action }}">@csrf @method('patch')<button class="button" name="what" value="drop">No lunch</button><button class="button" name="what" value="usual">As usual</button><a class="button button-bare" href="{{ $address }}" data-leave>Leave</a></form>
</section>
