@php
    use App\Models\CalendarBlocks;
    use App\Models\CalendarKind;
    use App\Wording\Times;
    $user = $page->user;
@endphp
<x-layout title="Meetings" at="meetings">
    <div class="title-row"><h1>Meetings and calendars</h1><x-says />
        <span class="figure-line"><span>fourteen days <b>{{ $page->count }} {{ $page->count === 1 ? 'meeting' : 'meetings' }}</b></span> <b>{{ Times::duration($page->minutes) }}</b> @if ($page->toAnswer)<span>to answer <b>{{ $page->toAnswer }}</b></span>@endif <span>calendars <b>{{ $page->calendars }}@if ($page->failing), {{ $page->failing === 1 ? 'one' : $page->failing }} failing @endif</b></span></span>
        <form class="end" method="post" action="/calendars/fetch">@csrf<button class="button">Fetch all now</button></form></div>
    <div class="meetings-columns">
        <section aria-labelledby="calendars" class="calendars">
            <div class="section-head cal-head"><h2 id="calendars">Calendars</h2><span class="label">shown</span><span class="label">blocks</span><span class="label">before, after</span></div>
            @foreach ($page->groups as $one)
                <div class="cal-group"><h3>@if ($one['group'])<a href="/calendars/{{ $one['rows'][0]->calendar->id ?? 0 }}#groups" @class(['plain' => $one['rows'] === []])>{{ $one['name'] }}</a>@else{{ $one['name'] }}@endif <span class="soft">{{ count($one['rows']) }}</span></h3>
                    @if ($one['group'] && $one['rows'] !== [])
                        <form method="post" action="/calendar-groups/{{ $one['group']->id }}" data-on-change>@csrf @method('patch')<input type="hidden" name="shown" value="0"><input class="tick" type="checkbox" name="shown" value="1" @checked($one['shown']) aria-label="Show the calendars of {{ $one['name'] }}"><button class="sr-only" tabindex="-1">Save</button></form>
                    @endif</div>
                @foreach ($one['rows'] as $row)
                    @php $calendar = $row->calendar; $fails = $calendar->why !== null; @endphp
                    <div class="cal-row" id="calendar-{{ $calendar->id }}">
                        <i class="cal-swatch hatch-{{ $calendar->hatching }}" aria-hidden="true"></i>
                        <div class="cal-name"><a href="/calendars/{{ $calendar->id }}">{{ $calendar->name }}</a><span @class(['coral' => $fails, 'soft' => ! $fails])>{{ $row->state }}</span></div>
                        <form method="post" action="/calendars/{{ $calendar->id }}" class="cal-form" data-on-change>@csrf @method('patch')
                            <input type="hidden" name="shown" value="0"><input class="tick" type="checkbox" name="shown" value="1" @checked($calendar->shown) aria-label="Show {{ $calendar->name }}"><span class="cal-word" aria-hidden="true">shown</span>
                            <input type="hidden" name="blocks" value="none"><input class="tick" type="checkbox" name="blocks" value="{{ $calendar->blocks === CalendarBlocks::Sure ? 'sure' : 'all' }}" @checked($calendar->blocks !== CalendarBlocks::None) aria-label="{{ $calendar->name }} blocks time" title="{{ $calendar->blocks === CalendarBlocks::Sure ? 'only what is sure' : 'also what is not sure' }}"><span class="cal-word" aria-hidden="true">blocks</span>
                            @if ($calendar->blocks === CalendarBlocks::None)<span class="soft cal-none">–</span>
                            @else<span class="cal-buffers"><input class="field" name="buffer_before" inputmode="numeric" value="{{ $calendar->buffer_before }}" placeholder="{{ $user->buffer_before }}" aria-label="Minutes before meetings of {{ $calendar->name }}"><input class="field" name="buffer_after" inputmode="numeric" value="{{ $calendar->buffer_after }}" placeholder="{{ $user->buffer_after }}" aria-label="Minutes after meetings of {{ $calendar->name }}"><span class="soft">min</span></span>@endif
                            <button class="sr-only" tabindex="-1">Save</button></form>
                        @if ($fails)
                            <div class="cal-fails"><p><b>Not fetched since {{ Times::when($user, $calendar->failing_since ?? $now, $now) }}.</b> {{ $calendar->why }} {{ $row->entries ? 'The last good copy still counts; changes made since are missing.' : '' }}</p>
                                <a class="link" href="/calendars/{{ $calendar->id }}#address">Change the address</a>
                                <form method="post" action="/calendars/{{ $calendar->id }}/fetch">@csrf<button class="link">Try now</button></form>
                                <form method="post" action="/calendars/{{ $calendar->id }}/keeper">@csrf<button class="link">Write to the keeper</button></form></div>
                        @endif
                    </div>
                @endforeach
            @endforeach
            @if ($page->calendars === 0)<div class="empty"><h2>No calendar yet.</h2><p class="soft">Follow the address your calendar has, or bring in a file that was exported from it. Planning goes around what is in it.</p></div>@endif
            @error('buffer_before')<p class="error" role="alert">{{ $message }}</p>@enderror
            @error('buffer_after')<p class="error" role="alert">{{ $message }}</p>@enderror
            @if ($refused)<p class="warning" role="alert">{{ $refused }}</p>@endif
            <div class="cal-add">
                <form method="post" action="/meetings" enctype="multipart/form-data" data-whole class="cal-file">@csrf
                    <label class="button" for="calendar">Choose a file</label><input class="file-in" id="calendar" type="file" name="calendar" accept=".ics,text/calendar" required aria-describedby="calendar-hint" @error('calendar') aria-invalid="true" @enderror><button class="button">Bring it in</button></form>
                <form method="post" action="/calendars" class="cal-follow">@csrf<input class="field" name="address" value="{{ old('address') }}" placeholder="or the address of a calendar" aria-label="The address of a calendar" inputmode="url" autocomplete="off" maxlength="2000" @error('address') aria-invalid="true" aria-describedby="address-error" @enderror><button class="button">Follow it</button></form>
            </div>
            @error('address')<p class="error" id="address-error" role="alert">{{ $message }}</p>@enderror
            @error('calendar')<p class="error" role="alert">{{ $message }}</p>@else<p class="hint" id="calendar-hint">An iCalendar file (.ics), up to {{ config('nekto.upload_megabytes') }} MB. A newer file of the same name takes the place of the former.</p>@enderror
            <details class="cal-more"><summary>Groups</summary>
                <form method="post" action="/calendar-groups" class="cal-follow">@csrf<input class="field" name="name" placeholder="A new group, as Work or Home" aria-label="The name of a new group" maxlength="80"><button class="button">Make it</button></form>
                @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
                @foreach ($page->groups as $one)
                    @if ($one['group'])<div class="list-row"><span class="grow">{{ $one['name'] }}</span><form method="post" action="/calendar-groups/{{ $one['group']->id }}">@csrf @method('delete')<button class="button button-bare">Take the group away</button></form></div>@endif
                @endforeach
            </details>
            @if ($imports->isNotEmpty())
                <div class="section-head"><h2>Came in lately</h2></div>
                @foreach ($imports as $import)
                    <div class="list-row"><span class="soft">{{ Times::when($user, $import->created_at, $now) }}</span><a class="grow" href="/meetings/imports/{{ $import->id }}">{{ $import->name }}</a><span class="soft">@if ($import->stage->isUnderWay()) {{ $import->percent() }} %, @elseif ($import->why) put aside, @endif{{ $import->added }} new, {{ $import->changed }} changed, {{ $import->gone }} gone{{ $import->failed ? ", {$import->failed} not read" : '' }}</span></div>
                @endforeach
            @endif
        </section>
        <section aria-labelledby="coming" class="coming">
            <div class="section-head"><h2 id="coming">The coming fourteen days</h2><span class="soft">{{ $page->span }}</span></div>
            <form method="post" action="/meetings/own" class="met-write pair" data-clear>@csrf<input class="field line-field" id="met-line" name="line" value="{{ old('line') }}" maxlength="500" placeholder="a meeting, as you would say it: meet Sam thu 14:00 for 45 min in room 2" aria-label="A meeting, in one line" autocomplete="off" data-page-key="+" @error('line') aria-invalid="true" aria-describedby="line-error" @enderror><button class="button">Write it down <kbd>+</kbd></button></form>
            @error('line')<p class="error" id="line-error" role="alert">{{ $message }}</p>@enderror
            @if ($page->days === [])<div class="empty"><h2>No meetings in these days.</h2><p class="soft">The whole of your hours is open. Meetings come from the address of a calendar, from a file, by mail, or from the line above.</p></div>@else
            <div class="met-row met-scale" aria-hidden="true"><span></span><span class="met-tape">@foreach ($page->marks as [$at, $hour])<b style="--l:{{ $at }}">{{ $hour }}</b>@endforeach</span><span>time</span><span></span><span class="met-right">get there</span><span>my answer</span><span>prepare</span><span class="met-right">follow up</span></div>
            @endif
            @foreach ($page->days as $day)
                <div class="met-day" data-list>
                @foreach ($day['rows'] as $i => $row)
                    @php $one = $row->occurrence; @endphp
                    <div @class(['met-row', 'met-past' => $row->isPast, 'met-chosen' => $row->isChosen, 'met-free' => ! $one->blocks()]) id="occurrence-{{ $one->id }}">
                        @if ($i === 0)<h3 @class(['met-date', 'met-today' => $day['isToday']])>{{ $day['label'] }}</h3>@else<span class="met-date"></span>@endif
                        <a class="met-tape" href="/meetings?row={{ $one->id }}#occurrence-{{ $one->id }}" tabindex="-1" aria-hidden="true">
                            @foreach ($page->line as [$left, $width, $solid])<i @class(['met-line', 'met-dots' => ! $solid]) style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
                            @if ($row->gap)<i class="met-gap" style="--l:{{ $row->gap[0] }};--w:{{ $row->gap[1] }}"></i>@endif
                            @if ($row->piece)<i class="met-piece hatch-{{ $one->meeting->calendar->hatching }}" style="--l:{{ $row->piece[0] }};--w:{{ $row->piece[1] }}"></i>@endif
                            @if ($day['isToday'] && $page->nowAt >= 0 && $page->nowAt <= 100)<i class="met-now" style="--l:{{ $page->nowAt }}"></i>@endif
                        </a>
                        <span class="met-when">{{ $row->when }}</span>
                        <span class="met-title"><a href="/occurrences/{{ $one->id }}">{{ $one->shownName() }}</a>@if ($one->meeting->ignored)<small>planned over</small>@elseif ($one->private)<small>private</small>@elseif ($one->tentative && ! $row->isOpen && $one->answer === null)<small>not sure</small>@elseif (! $one->blocks() && ! $one->all_day)<small>does not block</small>@endif</span>
                        <span class="met-right met-there">@if ($one->link && ! $row->isPast)<a class="link" href="{{ $one->link }}" rel="noopener noreferrer" target="_blank">Join</a>@elseif ($row->before){{ $row->before }} min @endif</span>
                        <span class="met-answer">@if ($row->isAsked && ! $row->isPast)
                            <details class="asks"><summary @class(['met-open' => $row->isOpen])>{{ $row->answer }}</summary><div class="menu"><form method="post" action="/occurrences/{{ $one->id }}/answer">@csrf
                                <button name="answer" value="accepted">Going</button><button name="answer" value="tentative">Perhaps</button><button name="answer" value="declined">Not going</button>
                                @if ($one->instance !== '')<label class="check"><input type="checkbox" name="whole" value="1"> all its times</label>@endif</form></div></details>
                        @else<span class="soft">{{ $row->answer }}</span>@endif</span>
                        <span class="met-tasks">@foreach ($row->prepared as $task)<a href="/tasks/{{ $task['id'] }}">{{ $task['title'] }}</a>@endforeach
                            @if ($row->prepared === [] && ! $row->isPast)<form method="post" action="/occurrences/{{ $one->id }}/task" class="met-do">@csrf<button class="link" name="when" value="before" aria-label="A task that prepares {{ $one->summary }}">Prepare</button></form>@endif</span>
                        <span class="met-tasks met-right">@foreach ($row->followed as $task)<a href="/tasks/{{ $task['id'] }}">{{ $task['title'] }}</a>@endforeach
                            @if ($row->followed === [])<form method="post" action="/occurrences/{{ $one->id }}/task" class="met-do">@csrf<button class="link" name="when" value="after" aria-label="A task that follows {{ $one->summary }}">Follow</button></form>@endif</span>
                        <div class="met-do met-more"><form method="post" action="/meetings/{{ $one->meeting_id }}">@csrf @method('patch')<input type="hidden" name="ignored" value="{{ $one->meeting->ignored ? 0 : 1 }}"><button class="link">{{ $one->meeting->ignored ? 'Let it block' : 'Plan over it' }}</button></form></div>
                    </div>
                @endforeach
                </div>
            @endforeach
            @error('answer')<p class="error" role="alert">{{ $message }}</p>@enderror
        </section>
    </div>
</x-layout>
