@php
    use App\Models\CalendarBlocks;
    use App\Models\CalendarKind;
    use App\Screens\Meetings\MeetingsScreen;
    $isFollowed = $calendar->kind === CalendarKind::Address;
    $blocks = old('blocks', $calendar->blocks->value);
@endphp
<x-layout :title="$calendar->name" at="meetings">
    <div class="title-row"><i class="cal-swatch hatch-{{ $calendar->hatching }}" aria-hidden="true"></i><h1>{{ $calendar->name }}</h1><x-says /><span class="soft">{{ MeetingsScreen::state($person, $calendar, $entries, $now) }}</span>
        <a class="button end" href="/meetings">All calendars</a></div>
    @if ($calendar->why)<p class="warning" role="alert">{{ $calendar->why }}</p>@endif
    <div class="columns">
        <section aria-labelledby="how">
            <div class="section-head"><h2 id="how">How planning takes it</h2></div>
            <form method="post" action="/calendars/{{ $calendar->id }}">@csrf @method('patch')
                <div class="form-grid">
                    <div class="form-row"><label for="name">Name</label><input class="field" id="name" name="name" value="{{ old('name', $calendar->name) }}" maxlength="120" required @error('name') aria-invalid="true" aria-describedby="name-error" @enderror>@error('name')<span class="error" id="name-error">{{ $message }}</span>@enderror</div>
                    <div class="form-row"><label for="group_id">Group</label><select class="field" id="group_id" name="group_id"><option value="">none</option>@foreach ($groups as $group)<option value="{{ $group->id }}" @selected((int) old('group_id', $calendar->group_id) === $group->id)>{{ $group->name }}</option>@endforeach</select></div>
                    <div class="form-row wide"><label for="blocks">Its meetings keep their time from being planned</label><select class="field" id="blocks" name="blocks"><option value="all" @selected($blocks === 'all')>all of them, also what is not sure or not answered</option><option value="sure" @selected($blocks === 'sure')>only what is sure</option><option value="none" @selected($blocks === 'none')>none</option></select></div>
                    <div class="form-row wide"><label for="whole_days">Whole days</label><select class="field" id="whole_days" name="whole_days"><option value="1">take the day, where they are busy</option><option value="0" @selected((string) old('whole_days', (int) $calendar->whole_days) === '0')>take no time: they are only shown</option></select></div>
                    @foreach (['buffer_before' => ['Kept free before, minutes', $person->buffer_before], 'buffer_after' => ['Kept free after, minutes', $person->buffer_after], 'travel' => ['To get to a place, minutes', 0]] as $name => [$label, $usual])
                        <div class="form-row"><label for="{{ $name }}">{{ $label }}</label><input class="field" id="{{ $name }}" name="{{ $name }}" inputmode="numeric" value="{{ old($name, $name === 'travel' && $calendar->travel === 0 ? '' : $calendar->{$name}) }}" placeholder="{{ $usual }}" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-error" @enderror>@error($name)<span class="error" id="{{ $name }}-error">{{ $message }}</span>@enderror</div>
                    @endforeach
                    <div class="form-row"><span class="label">Hatching</span><span class="checks">@foreach (range(1, App\Models\Calendar::HATCHINGS) as $n)<label class="check"><input type="radio" name="hatching" value="{{ $n }}" @checked((int) old('hatching', $calendar->hatching) === $n)><i class="cal-swatch hatch-{{ $n }}"></i><span class="sr-only">hatching {{ $n }}</span></label>@endforeach</span></div>
                    <div class="form-row wide"><input type="hidden" name="shown" value="0"><label class="check"><input type="checkbox" name="shown" value="1" @checked(old('shown', $calendar->shown))> shown by name; hidden, what blocks is only drawn as busy</label></div>
                </div>
                <p class="hint">The longer of the buffer and the way is kept free before a meeting that has a place. What a single meeting says of the way goes before both.</p>
                <div class="actions"><button class="button button-main">Save</button></div>
            </form>
        </section>
        <section aria-label="Where it comes from">
            @if ($isFollowed)
                <div class="section-head" id="address"><h2>Its address</h2></div>
                <form method="post" action="/calendars/{{ $calendar->id }}">@csrf @method('patch')
                    <div class="form-row wide"><label for="address-field">Who knows it can read the calendar</label><input class="field" id="address-field" name="address" value="{{ old('address', $calendar->address) }}" maxlength="2000" autocomplete="off" inputmode="url" @error('address') aria-invalid="true" aria-describedby="address-error" @enderror>@error('address')<span class="error" id="address-error">{{ $message }}</span>@enderror</div>
                    <div class="actions"><button class="button">Change the address</button></div></form>
                <form method="post" action="/calendars/{{ $calendar->id }}/fetch" class="actions">@csrf<button class="button">Fetch it now</button></form>
            @elseif ($calendar->kind === CalendarKind::File)
                <div class="section-head"><h2>A newer file</h2></div>
                <form method="post" action="/meetings" enctype="multipart/form-data" data-whole>@csrf<input type="hidden" name="into" value="{{ $calendar->id }}">
                    <div class="form-row wide"><label for="calendar">What is not in it any more goes, and can be brought back</label><input class="field" style="padding:6px 10px" id="calendar" type="file" name="calendar" accept=".ics,text/calendar" required @error('calendar') aria-invalid="true" aria-describedby="calendar-error" @enderror>@error('calendar')<span class="error" id="calendar-error">{{ $message }}</span>@enderror</div>
                    <div class="actions"><button class="button">Bring it in</button></div></form>
            @else
                <div class="section-head"><h2>Kept here</h2></div><p class="soft">Invitations that come by mail lie here, and follow what their organizers write.</p>
            @endif
            @if ($last)<p class="import-counts">Last taken in: <a href="/meetings/imports/{{ $last->id }}">{{ number_format($last->added) }} new, {{ number_format($last->changed) }} changed, {{ number_format($last->gone) }} gone{{ $last->problems !== [] ? ', something left out' : '' }}</a></p>@endif
            <div class="section-head" id="groups"><h2>Areas of its group</h2></div>
            @if ($calendar->group_id === null)<p class="soft">A group holds calendars and areas that belong together, as work or home. Choose one for this calendar first.</p>
            @else
                <form method="post" action="/calendar-groups/{{ $calendar->group_id }}">@csrf @method('patch')
                    <div class="form-row wide"><label for="group-name">Name of the group</label><input class="field" id="group-name" name="name" value="{{ $groups->firstWhere('id', $calendar->group_id)?->name }}" maxlength="80"></div>
                    <span class="checks"><input type="hidden" name="areas[]" value="">@foreach ($areas as $area)<label class="check"><input type="checkbox" name="areas[]" value="{{ $area->id }}" @checked($area->group_id === $calendar->group_id)> {{ $area->name }}</label>@endforeach</span>
                    <div class="actions"><button class="button">Save the group</button></div></form>
            @endif
            <div class="section-head"><h2>Take it away</h2></div>
            <form method="post" action="/calendars/{{ $calendar->id }}" class="actions">@csrf @method('delete')<button class="button">Remove this calendar</button><span class="soft">undo brings it back</span></form>
        </section>
    </div>
</x-layout>
