@php
    use Nekto\Core\Hours\Stretch;
    use Nekto\Core\Plan\Tempo;
    $names = ['mon' => 'Monday', 'tue' => 'Tuesday', 'wed' => 'Wednesday', 'thu' => 'Thursday', 'fri' => 'Friday', 'sat' => 'Saturday', 'sun' => 'Sunday'];
    $said = fn (array $day): string => implode(', ', array_map(fn (array $pair): string => "{$pair[0]}–{$pair[1]}", $day));
@endphp
<x-layout title="Settings" at="settings">
    <div class="title-row"><h1>Settings</h1><x-says /></div>
    <div class="columns">
        <section aria-labelledby="rules">
            <div class="section-head"><h2 id="rules">Your rules</h2></div>
            <form method="post" action="/settings">
                @csrf @method('put')
                <div class="form-grid">
                    <x-field class="wide" name="zone" label="Time zone" :value="$user->zone" list="zones" autocomplete="off" />
                    <datalist id="zones">@foreach ($zones as $zone)<option value="{{ $zone }}">@endforeach</datalist>
                    <x-field name="margin_percent" label="Margin, % of open time" :value="$user->margin_percent" inputmode="numeric" hint="kept free for surprises" />
                    <x-field name="deep_limit" label="Deep work, minutes a day at most" :value="$user->deep_limit" inputmode="numeric" />
                    <x-field name="least_piece" label="Shortest piece of work, minutes" :value="$user->least_piece" inputmode="numeric" hint="25 to 60; what takes an hour at most stays whole" />
                    <x-field name="offer_anew" label="Offer a better plan from, minutes" :value="$user->offer_anew" inputmode="numeric" hint="less late by weight; 0 never" />
                    <x-field name="buffer_before" label="Free before a meeting, minutes" :value="$user->buffer_before" inputmode="numeric" />
                    <x-field name="buffer_after" label="Free after a meeting, minutes" :value="$user->buffer_after" inputmode="numeric" />
                    <x-field name="lunch_from" label="Lunch from" placeholder="none" maxlength="5" :value="$user->lunch_from === null ? '' : Stretch::clock($user->lunch_from)" />
                    <x-field name="lunch_to" label="to" placeholder="none" maxlength="5" :value="$user->lunch_to === null ? '' : Stretch::clock($user->lunch_to)" />
                    <x-field class="wide" name="addresses" label="Further mail addresses of yours in calendars" :value="$user->addresses" hint="with commas between; a meeting you declined under one of them does not block" />
                    <div class="form-row wide"><label for="estimates">The plan lays out</label><select class="field" id="estimates" name="estimates">@foreach (App\Models\EstimateUse::cases() as $use)<option value="{{ $use->value }}" @selected(old('estimates', $user->estimates->value) === $use->value)>{{ __("settings.estimates.{$use->value}") }}</option>@endforeach</select><p class="soft">{{ trans_choice('settings.pairs', $pairs) }}</p></div>
                    <div class="form-row wide"><label for="tempo">When life interferes</label><select class="field" id="tempo" name="tempo">@foreach (Tempo::cases() as $tempo)<option value="{{ $tempo->value }}" @selected(old('tempo', $user->tempo) === $tempo->value)>{{ __("settings.tempo.{$tempo->value}") }}</option>@endforeach</select></div>
                    <div class="form-row wide"><label for="day_begins">A day that is laid out begins</label><select class="field" id="day_begins" name="day_begins">@foreach (Nekto\Core\Plan\DayBegins::cases() as $begins)<option value="{{ $begins->value }}" @selected(old('day_begins', $user->day_begins->value) === $begins->value)>{{ __("settings.begins.{$begins->value}") }}</option>@endforeach</select></div>
                    <div class="form-row"><label for="theme">Looks</label><select class="field" id="theme" name="theme">@foreach (['auto' => 'as the system', 'light' => 'light', 'dark' => 'dark'] as $value => $word)<option value="{{ $value }}" @selected(old('theme', $user->theme) === $value)>{{ $word }}</option>@endforeach</select></div>
                    <div class="form-row"><label for="month_first">A date as 3/4</label><select class="field" id="month_first" name="month_first"><option value="0">day first: 3 April</option><option value="1" @selected(old('month_first', $user->month_first))>month first: 4 March</option></select></div>
                    <div class="form-row"><label for="carry_picks">Picks that were not done</label><select class="field" id="carry_picks" name="carry_picks"><option value="1">go over to the next day</option><option value="0" @selected(! old('carry_picks', $user->carry_picks))>are offered again</option></select></div>
                    <div class="form-row wide"><label for="mend_asks">When the plan needs mending</label><select class="field" id="mend_asks" name="mend_asks"><option value="0">mend it at once, with a note and undo</option><option value="1" @selected(old('mend_asks', $user->mend_asks))>show me first what would move</option></select></div>
                    <h3 class="wide form-part">Rhythm and reminders</h3>
                    <x-field name="rhythm_work" label="Work before a break, minutes" placeholder="no rhythm" :value="$user->rhythm_work ?? ''" inputmode="numeric" hint="empty: no rhythm" />
                    <x-field name="rhythm_break" label="A break, minutes" :value="$user->rhythm_break" inputmode="numeric" />
                    <x-field name="rhythm_long" label="The long break, minutes" :value="$user->rhythm_long" inputmode="numeric" />
                    <x-field name="rhythm_after" label="It comes after so many stretches" :value="$user->rhythm_after" inputmode="numeric" />
                    <div class="form-row wide"><span class="label">Remind me of</span><span class="checks"><input type="hidden" name="reminds[]" value="">@foreach (['meetings' => 'meetings', 'blocks' => 'blocks', 'due' => 'due times', 'waiting' => 'answers I wait for', 'close' => 'closing the day'] as $kind => $words)<label class="check"><input type="checkbox" name="reminds[]" value="{{ $kind }}" @checked(in_array($kind, old('reminds', explode(',', $user->reminds)), true))> {{ $words }}</label>@endforeach</span></div>
                    <x-field name="remind_before" label="So many minutes before" :value="$user->remind_before" inputmode="numeric" />
                    <x-field name="close_at" label="Close the day at" maxlength="5" placeholder="no reminder" :value="$user->close_at === null ? '' : Stretch::clock($user->close_at)" />
                    <div class="form-row"><span class="label">By mail</span><label class="check"><input type="hidden" name="remind_mail" value="0"><input type="checkbox" name="remind_mail" value="1" @checked(old('remind_mail', $user->remind_mail))> too, into the <a href="/outbox">outbox</a></label></div>
                    <div class="form-row"><span class="label">In this browser</span><button class="button field" type="button" data-allow-notes>Allow notifications</button></div>
                    <div class="form-row"><span class="label">Sound</span><label class="check"><input type="hidden" name="sound" value="0"><input type="checkbox" name="sound" value="1" @checked(old('sound', $user->sound))> a soft one when something is done</label></div>
                    <div class="form-row"><span class="label">Single keys</span><label class="check"><input type="hidden" name="single_keys" value="0"><input type="checkbox" name="single_keys" value="1" @checked(old('single_keys', $user->single_keys))> work without Ctrl or Alt</label></div>
                </div>
                <button class="button button-main">Save</button>
            </form>
        </section>
        <section aria-labelledby="hours">
            <x-best-hours :$names :$sets :$said :week="$user->best_hours ?? []" />
            @foreach ($sets as $set)
                <div class="section-head"><h2 @if ($loop->first) id="hours" @endif>{{ $set->name }}</h2><span class="soft">several stretches with a comma between; empty is closed</span></div>
                <form method="post" action="/settings/hours/{{ $set->id }}" data-whole>
                    @csrf @method('put')<input type="hidden" name="set" value="{{ $set->id }}">
                    @foreach ($names as $key => $name)
                        @php $mine = (int) old('set') === $set->id; $wrong = $mine && $errors->has("week.{$key}"); @endphp
                        <div class="week-row"><label for="week-{{ $set->id }}-{{ $key }}">{{ $name }}</label>
                            <input class="field" id="week-{{ $set->id }}-{{ $key }}" name="week[{{ $key }}]" value="{{ $mine ? old("week.{$key}") : $said($set->week[$key] ?? []) }}" placeholder="closed" @if ($wrong) aria-invalid="true" aria-describedby="week-{{ $set->id }}-{{ $key }}-error" @endif>
                            @if ($wrong)<span class="error" id="week-{{ $set->id }}-{{ $key }}-error">{{ $errors->first("week.{$key}") }}</span>@endif</div>
                    @endforeach
                    <div class="actions"><button class="button button-main">Save {{ $set->name }}</button></div>
                </form>
                <h3>Dates with other hours</h3>
                @foreach ($set->exceptions as $exception)
                    <div class="list-row"><span class="grow">{{ Carbon\CarbonImmutable::parse($exception->date)->format('D j F Y') }}</span><span>{{ $exception->stretches === [] ? 'closed' : $said($exception->stretches) }}</span>
                        <form method="post" action="/settings/hours/{{ $set->id }}/dates/{{ $exception->id }}" data-whole>@csrf @method('delete')<button class="button button-bare">As usual</button></form></div>
                @endforeach
                <form class="form-grid" method="post" action="/settings/hours/{{ $set->id }}/dates" data-whole>
                    @csrf<input type="hidden" name="dates_of" value="{{ $set->id }}">
                    @php $mine = (int) old('dates_of') === $set->id; @endphp
                    <div class="form-row"><label for="date-{{ $set->id }}">Date</label><input class="field" type="date" id="date-{{ $set->id }}" name="date" value="{{ $mine ? old('date') : '' }}">@if ($mine && $errors->has('date'))<span class="error">{{ $errors->first('date') }}</span>@endif</div>
                    <div class="form-row"><label for="stretches-{{ $set->id }}">Hours, or nothing for closed</label><input class="field" id="stretches-{{ $set->id }}" name="stretches" value="{{ $mine ? old('stretches') : '' }}" placeholder="closed">@if ($mine && $errors->has('stretches'))<span class="error">{{ $errors->first('stretches') }}</span>@endif</div>
                    <div class="form-row"><span class="label">&nbsp;</span><button class="button field">Add date</button></div>
                </form>
            @endforeach
        </section>
    </div>
    <div class="columns">
        <section aria-labelledby="areas-title"><div class="section-head"><h2 id="areas-title">Areas</h2><span class="soft">in your own order</span></div>
            @error('area')<p class="error" role="alert">{{ $message }}</p>@enderror @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
            @foreach ($areas as $area)
                <div class="list-row"><span class="swatch hue-{{ $area->hue }}"></span>
                    <form method="post" action="/settings/areas/{{ $area->id }}" class="grow">@csrf @method('patch')<input class="field" style="width:11em" name="name" value="{{ $area->name }}" aria-label="Name of the area" maxlength="100">
                        <select class="field" style="width:auto" name="hue" aria-label="Colour of {{ $area->name }}">@foreach (App\Models\Area::HUES as $hue)<option @selected($hue === $area->hue)>{{ $hue }}</option>@endforeach</select>
                        <select class="field" style="width:auto" name="hours_set_id" aria-label="Hours of {{ $area->name }}">@foreach ($sets as $set)<option value="{{ $set->id }}" @selected($set->id === $area->hours_set_id)>{{ $set->name }}</option>@endforeach</select><button class="button">Save</button></form>
                    <form method="post" action="/settings/areas/{{ $area->id }}">@csrf @method('patch')<button class="button button-bare" name="move" value="up" aria-label="{{ $area->name }} up">↑</button></form>
                    <form method="post" action="/settings/areas/{{ $area->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $area->name }} away">×</button></form></div>
            @endforeach
            <form method="post" action="/settings/areas" class="pair" data-clear>@csrf<input class="field" name="name" placeholder="A new area" aria-label="A new area" maxlength="100"><button class="button">Add</button></form>
        </section>
        <section aria-labelledby="contexts-title"><div class="section-head"><h2 id="contexts-title">Contexts</h2><span class="soft">what a task needs: a place, a person, a tool</span></div>
            @error('context')<p class="error" role="alert">{{ $message }}</p>@enderror
            @foreach ($contexts as $context)<div class="list-row"><span class="grow">{{ $context->name }}</span><form method="post" action="/settings/contexts/{{ $context->id }}">@csrf @method('patch')<button class="button button-bare" aria-label="{{ $context->name }} up">↑</button></form><form method="post" action="/settings/contexts/{{ $context->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $context->name }} away">×</button></form></div>@endforeach
            <form method="post" action="/settings/contexts" class="pair" data-clear>@csrf<input class="field" name="context" placeholder="phone" aria-label="A new context" maxlength="100"><button class="button">Add</button></form>
        </section>
    </div>
</x-layout>
