@php
    use App\Models\Answer;
    use App\Wording\Times;
    $one = $meeting->occurrence;
    $calendar = $one->meeting->calendar;
    $gone = $calendar->removed_at ?? $one->meeting->gone_at;
    $isGone = $gone !== null && $one->ends_at > $gone;
@endphp
<x-layout title="{{ $one->summary }}" at="meetings">
    <div class="title-row"><i class="cal-swatch hatch-{{ $calendar->hatching }}" aria-hidden="true"></i><h1>{{ $one->summary }}</h1><x-says /><span>{{ Times::when($person, $one->starts_at, $now) }}–{{ Times::clock($person, $one->ends_at) }}{{ $one->place ? ', '.$one->place : '' }}</span>
        <span class="end">@if ($meeting->join)<a class="button button-main" href="{{ $meeting->join }}" data-page-key="h" rel="noopener noreferrer" target="_blank">Join it <kbd>H</kbd></a>@endif<a class="button" href="/shape/{{ $person->local($one->starts_at)->format('Y-m-d') }}">See the day</a></span></div>
    <div class="columns"><section aria-label="Note and decisions"><x-meeting-now :meeting="$meeting" />
            @if ($meeting->earlier)
                <div class="section-head"><h2>Notes of its other times</h2></div>
                @foreach ($meeting->earlier as $note)<div class="earlier-note"><h3 class="label">{{ App\Wording\Dates::of($person)->full($person->local($note->starts_at)).', '.App\Wording\Times::clock($person, $person->local($note->starts_at)) }}</h3><p class="kept-lines">{{ $note->text }}</p></div>@endforeach
            @endif</section>
        <section aria-label="Before and after">
            @if ($isGone)<p class="warning">It is no more in {{ $calendar->name }} since {{ Times::when($person, $gone, $now) }}, and takes no time. What is written here stays with it.</p>
            @elseif ($meeting->isAsked)
                <div class="section-head" id="answer"><h2>Your answer</h2><span class="soft">{{ $one->answer === null || $one->answer === Answer::Open ? 'waited for' : __("calendars.answer.{$one->answer->value}") }}, to {{ $one->meeting->organizer }}</span></div>
                <form method="post" action="/occurrences/{{ $one->id }}/answer" class="actions">@csrf
                    <button class="button" name="answer" value="accepted" @if ($one->answer === Answer::Accepted) aria-pressed="true" @endif>Going</button><button class="button" name="answer" value="tentative" @if ($one->answer === Answer::Tentative) aria-pressed="true" @endif>Perhaps</button><button class="button" name="answer" value="declined" @if ($one->answer === Answer::Declined) aria-pressed="true" @endif>Not going</button>
                    @if ($one->instance !== '')<label class="check"><input type="checkbox" name="whole" value="1"> all its times</label>@endif</form>
                @error('answer')<p class="error" role="alert">{{ $message }}</p>@enderror
            @endif
            <div class="section-head"><h2>Around it</h2></div>
            <form method="post" action="/occurrences/{{ $one->id }}/task" class="actions">@csrf<button class="button" name="when" value="before">A task to prepare it</button><button class="button" name="when" value="after">A task that follows</button></form>
            @unless ($isGone)<form method="post" action="/meetings/{{ $one->meeting_id }}">@csrf @method('patch')
                <div class="form-row"><label for="lead_minutes">Minutes to get there, each time</label><span class="pair"><input class="field" id="lead_minutes" name="lead_minutes" inputmode="numeric" value="{{ old('lead_minutes', $one->meeting->lead_minutes) }}" placeholder="{{ App\Rows\RowMapper::before($one, $person) }}" @error('lead_minutes') aria-invalid="true" aria-describedby="lead-error" @enderror><button class="button">Keep it</button></span>@error('lead_minutes')<span class="error" id="lead-error">{{ $message }}</span>@enderror</div></form>
            <form method="post" action="/meetings/{{ $one->meeting_id }}" class="actions">@csrf @method('patch')<input type="hidden" name="ignored" value="{{ $one->meeting->ignored ? 0 : 1 }}"><button class="button">{{ $one->meeting->ignored ? 'Let it block again' : 'Plan over it' }}</button><span class="soft">{{ $one->blocks() ? 'planning goes around it' : 'planning does not go around it' }}</span></form>@endunless
            @if ($meeting->own && ! $isGone)<x-own-meeting :own="$meeting->own" :one="$one" />@endif
            @unless ($isGone)<p class="soft">In <a href="/calendars/{{ $calendar->id }}">{{ $calendar->name }}</a>{{ $one->private ? '; private' : '' }}.</p>@endunless
            @if ($meeting->description !== '')<div class="section-head"><h2>What it says</h2></div><p class="kept-lines">{{ $meeting->description }}</p>@endif
        </section></div>
</x-layout>
