{{-- What the person wrote down of a meeting, to be changed: one of its times, or all. --}}
@props(['own', 'one'])
@php
    use App\Wording\Dates;
    use App\Wording\Times;
    $local = $person->local($one->starts_at);
    $minutes = App\Rows\RowMapper::time($one)->length();
    $repeats = $own->rule !== null;
@endphp
<div class="section-head" id="own"><h2>Change it</h2><span class="soft">{{ $repeats ? App\Wording\Rules::inWords($own->rule) : 'once' }}</span></div>
<form method="post" action="/occurrences/{{ $one->id }}" class="own-meeting">@csrf @method('patch')
    <div class="form-grid">
        <x-field class="wide" name="title" id="own-title" label="What" :value="$one->summary" maxlength="500" />
        <x-field name="day" id="own-day" label="Day" type="day" :value="$local->format('Y-m-d')" />
        <x-field name="start" id="own-start" label="From; empty for whole days" :value="$one->all_day ? '' : Times::clock($person, $one->starts_at)" maxlength="8" autocomplete="off" />
        @if ($one->all_day)<x-field name="days" id="own-days" label="Days" :value="max(1, intdiv($minutes, 1380))" inputmode="numeric" maxlength="2" />
        @else<x-field name="minutes" id="own-minutes" label="Minutes" :value="$minutes" inputmode="numeric" maxlength="4" />@endif
        <x-field name="place" id="own-place" label="Where" :value="$one->place" maxlength="200" placeholder="nowhere special" />
        <x-field name="link" id="own-link" label="Address to join it" :value="$one->link" maxlength="1000" placeholder="https://" inputmode="url" />
        <x-field class="wide" name="repeat" id="own-repeat" label="Comes back" :value="$repeats ? App\Wording\Rules::inWords($own->rule) : ''" maxlength="200" placeholder="not: “every thursday”, “every 2 weeks on tue until 30 june”" />
    </div>
    <div class="actions">@if ($repeats)<button class="button button-main" name="whole" value="0">Keep for this time</button><button class="button" name="whole" value="1">Keep for all its times</button>@else<button class="button button-main" name="whole" value="1">Keep it</button>@endif</div>
</form>
<form method="post" action="/occurrences/{{ $one->id }}" class="actions">@csrf @method('delete')
    @if ($repeats)<button class="button" name="what" value="one">Take this time away</button><button class="button" name="what" value="from_here">End it here</button>@endif
    <button class="button" name="what" value="all">{{ $repeats ? 'Take all of it away' : 'Take it away' }}</button></form>
