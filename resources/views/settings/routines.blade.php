@php use App\Wording\Dates; use App\Wording\Times; use Nekto\Core\Hours\WeeklyHours; @endphp
<section aria-labelledby="routines">
    <div class="section-head"><h2 id="routines">Reserved every week</h2><span class="soft">mail, focus, what you do each day</span></div>
    @foreach ($more['routines'] as $routine)
        @php
            $mine = old('form') === "routine-{$routine->id}";
            $days = explode(',', $routine->days);
            $said = match (true) {
                count($days) === 7 => 'every day',
                $days === ['mon', 'tue', 'wed', 'thu', 'fri'] => 'on weekdays',
                default => implode(', ', array_map(fn (string $day): string => Dates::of($user)->weekday(1 + (int) array_search($day, WeeklyHours::WEEKDAYS, true), short: true), $days)),
            };
        @endphp
        <details class="routine" id="routine-{{ $routine->id }}" @if ($mine) open @endif><summary><b>{{ $routine->title }}</b> <span class="soft">{{ Times::between($user, $routine->at, $routine->at + $routine->minutes) }} {{ $said }}{{ $routine->deep ? ', deep work only' : '' }}{{ $routine->until ? ', until '.Dates::of($user)->ofMonth(Nekto\Core\Time\LocalDay::fromString($routine->until)) : '' }}</span></summary>
            <form method="post" action="/routines/{{ $routine->id }}">@csrf @method('patch')<input type="hidden" name="form" value="routine-{{ $routine->id }}"><input type="hidden" name="try" value="1">
                <div class="form-grid">
                    @foreach (['title' => ['What', $routine->title], 'start' => ['From', Times::ofDay($user, $routine->at)], 'minutes' => ['Minutes', $routine->minutes]] as $name => [$label, $value])
                        <div @class(['form-row', 'wide' => $name === 'title'])><label for="r{{ $routine->id }}-{{ $name }}">{{ $label }}</label><input class="field" id="r{{ $routine->id }}-{{ $name }}" name="{{ $name }}" value="{{ $mine ? old($name, $value) : $value }}" maxlength="120">@if ($mine)@error($name)<span class="error">{{ $message }}</span>@enderror @endif</div>
                    @endforeach
                    <div class="form-row wide"><span class="label">On</span><span class="checks">@foreach (App\Screens\Settings\HoursFace::order($user) as $number)@php $key = WeeklyHours::WEEKDAYS[$number - 1]; @endphp<label class="check"><input type="checkbox" name="days[]" value="{{ $key }}" @checked(in_array($key, $mine ? (array) old('days', []) : $days, true))> {{ Dates::of($user)->weekday($number, short: true) }}</label>@endforeach</span>@if ($mine)@error('days')<span class="error">{{ $message }}</span>@enderror @endif</div>
                    <div class="form-row wide"><label for="r{{ $routine->id }}-parts">Its parts, a line each, with their minutes</label><textarea class="field" id="r{{ $routine->id }}-parts" name="parts" rows="3" placeholder="sort the tray 10">{{ $mine ? old('parts') : implode("\n", array_map(fn (array $part): string => trim($part['title'].' '.($part['minutes'] ?? '')), $routine->parts)) }}</textarea>@if ($mine)@error('parts')<span class="error">{{ $message }}</span>@enderror @endif</div>
                    <div class="form-row"><label for="r{{ $routine->id }}-until">Until</label><x-day id="r{{ $routine->id }}-until" name="until" :value="$routine->until" :keeps="$mine" placeholder="for good" /></div>
                    <div class="form-row"><span class="label">Kept for</span><label class="check"><input type="hidden" name="deep" value="0"><input type="checkbox" name="deep" value="1" @checked($mine ? old('deep') : $routine->deep)> deep work only</label></div>
                </div>
                <div class="actions"><button class="button">See what it does</button></div>
                <x-consequence :form="'routine-'.$routine->id" leave="/settings/rules" />
            </form>
            <form method="post" action="/routines/{{ $routine->id }}" class="actions">@csrf @method('delete')<button class="button button-bare">Take it away</button></form>
        </details>
    @endforeach
    <form method="post" action="/routines" class="date-line" id="routine-line">@csrf<input type="hidden" name="form" value="routine"><input type="hidden" name="try" value="1">
        <input class="field line-field" name="line" value="{{ old('form') === 'routine' ? old('line') : '' }}" maxlength="300" placeholder="what, when, on which days: one line" aria-label="Time to reserve every week, in one line" autocomplete="off" @error('line') aria-invalid="true" aria-describedby="routine-error" @enderror>
        @error('line')<p class="error" id="routine-error" role="alert">{{ $message }}</p>@else<p class="hint">“mail 30 min at 9:00 every weekday”, “focus every mon, wed 9:00 for 2 h deep”</p>@enderror
        <x-consequence form="routine" leave="/settings/rules#routines" /></form>
</section>
