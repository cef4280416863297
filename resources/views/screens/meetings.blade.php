@php use App\Wording\Times; @endphp
<x-layout title="Meetings" at="meetings">
    <div class="title-row"><h1>Meetings</h1><x-says /><span class="soft">Planning goes around them.</span></div>
    <div class="columns">
        <section aria-labelledby="coming">
            <div class="section-head"><h2 id="coming">The coming fourteen days</h2></div>
            @if ($days->isEmpty())<div class="empty"><h2>No meetings yet.</h2><p class="soft">Export your calendar as an iCalendar file and bring it in here.</p></div>@endif
            @foreach ($days as $date => $some)
                <h3 class="label" style="padding-top:10px">{{ Carbon\CarbonImmutable::parse($date)->format('l j F') }}</h3>
                @foreach ($some as $one)
                    <div class="list-row" id="occurrence-{{ $one->id }}">
                        <span>{{ $one->all_day ? 'all day' : Times::range($user, $one->starts_at, $one->ends_at) }}</span>
                        <span class="grow"><b class="strong"><a href="/occurrences/{{ $one->id }}">{{ $one->summary }}</a></b> <span class="soft">{{ $one->place }}</span>
                            @unless ($one->busy && ! $one->meeting->ignored)<span class="faint">does not block</span>@endunless</span>
                        <form method="post" action="/meetings/{{ $one->meeting_id }}" data-on-change>@csrf @method('patch')
                            <label class="label" for="lead-{{ $one->id }}">to get there</label><input class="field" id="lead-{{ $one->id }}" name="lead_minutes" inputmode="numeric" value="{{ $one->meeting->lead_minutes }}" placeholder="{{ $user->buffer_before }}"><button class="sr-only" tabindex="-1">Save</button></form>
                        <form method="post" action="/occurrences/{{ $one->id }}/task">@csrf<button class="button button-bare" name="when" value="before" title="Make this a task: prepare it">Prepare</button><button class="button button-bare" name="when" value="after" title="Make this a task: what follows">Follow up</button></form>
                        <form method="post" action="/meetings/{{ $one->meeting_id }}">@csrf @method('patch')<input type="hidden" name="ignored" value="{{ $one->meeting->ignored ? 0 : 1 }}"><button class="button button-bare">{{ $one->meeting->ignored ? 'Let it block' : 'Plan over it' }}</button></form>
                    </div>
                @endforeach
            @endforeach
            @error('lead_minutes')<p class="error" role="alert">{{ $message }}</p>@enderror
        </section>
        <section aria-labelledby="bring">
            <div class="section-head"><h2 id="bring">Bring a calendar in</h2></div>
            @if ($refused)<p class="warning" role="alert">{{ $refused }}</p>@endif
            <form method="post" action="/meetings" enctype="multipart/form-data" data-whole>
                @csrf
                <div class="form-grid"><div class="form-row wide"><label for="calendar">An iCalendar file (.ics), up to {{ config('nekto.upload_megabytes') }} MB</label>
                    <input class="field" style="padding:6px 10px" id="calendar" type="file" name="calendar" accept=".ics,text/calendar" required @error('calendar') aria-invalid="true" aria-describedby="calendar-error" @enderror>
                    @error('calendar')<span class="error" id="calendar-error">{{ $message }}</span>@else<span class="hint">Bringing the same file in again changes only what has changed.</span>@enderror</div></div>
                <button class="button button-main">Bring it in</button>
            </form>
            <br>
            @if ($imports->isNotEmpty())
                <div class="section-head"><h2>Brought in lately</h2></div>
                @foreach ($imports as $import)
                    <div class="list-row"><span>{{ $user->local($import->created_at)->format('D j M, H:i') }}</span><a class="grow" href="/meetings/imports/{{ $import->id }}">{{ $import->name }}</a><span class="soft">@if ($import->stage->isUnderWay()) {{ $import->percent() }} %, @elseif ($import->why) put aside, @endif{{ $import->added }} new, {{ $import->changed }} changed, {{ $import->failed }} not read</span></div>
                @endforeach
            @endif
        </section>
    </div>
</x-layout>
