@php use App\Wording\Times; @endphp
<x-layout :title="$message->subject" station="gather">
    <div class="title-row"><h1>{{ $message->subject }}</h1><x-says /><span class="end"><a class="button" href="/gather#mail" data-leave>Back to Gather</a></span></div>
    <p class="soft">{{ $message->from_name }} @if ($message->from_address)&lt;{{ $message->from_address }}&gt;@endif, {{ App\Wording\Dates::of($person)->full($person->local($message->received_at)).', '.App\Wording\Times::clock($person, $person->local($message->received_at)) }}</p>
    @if ($message->meeting)
        <div class="message-meeting">
            @if ($message->meeting->gone_at !== null)<p><b>{{ $message->meeting->summary }}</b> is called off. It lies in your calendar no more; undo brings it back.</p>
            @elseif ($next === null)<p><b>{{ $message->meeting->summary }}</b> has no time ahead.</p>
            @else<p><a href="/occurrences/{{ $next->id }}"><b>{{ $next->summary }}</b></a>, {{ Times::when($person, $next->starts_at, $now) }}{{ $next->all_day ? '' : '–'.Times::clock($person, $next->ends_at) }}{{ $next->place ? ', '.$next->place : '' }}, is in <a href="/calendars/{{ $message->meeting->calendar_id }}">{{ $message->meeting->calendar->name }}</a>.</p>
                @if ($isAsked)<form method="post" action="/occurrences/{{ $next->id }}/answer" class="actions">@csrf @if ($next->instance !== '')<input type="hidden" name="whole" value="1">@endif<button class="button" name="answer" value="accepted">Going</button><button class="button" name="answer" value="tentative">Perhaps</button><button class="button" name="answer" value="declined">Not going</button><span class="soft">{{ $next->answer === null || $next->answer === App\Models\Answer::Open ? 'not answered yet' : __("calendars.answer.{$next->answer->value}") }}</span></form>@endif
            @endif
        </div>
    @endif
    <div class="actions">
        @if ($message->task_id)<a class="button button-main" href="/tasks/{{ $message->task_id }}">To its task</a>
        @else<form method="post" action="/messages/{{ $message->id }}/take">@csrf<button class="button button-main" data-page-key="w">Make it a task <kbd>W</kbd></button></form>@endif
        <x-put-off :message="$message" />
        <form method="post" action="/messages/{{ $message->id }}/state">@csrf<button class="button" name="state" value="answered">Answered</button> <button class="button" name="state" value="filed" data-page-key="f">File <kbd>F</kbd></button></form>
    </div>
    @error('until')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div class="section-head"></div>
    <div class="letter">{{ $message->body }}</div>
    @foreach ($message->attachments as $file)<div class="list-row"><span class="grow">@icon('file') <a href="/files/{{ $file->id }}" data-whole download>{{ $file->name }}</a> <span class="soft">{{ number_format($file->size / 1000, 0) }} kB</span></span></div>@endforeach
</x-layout>
