@php use App\Wording\Rules; use App\Wording\Times; @endphp
<x-layout title="What comes back" station="gather">
    <div class="title-row"><h1>What comes back</h1><x-says /><span class="end"><a class="button" href="/gather" data-leave>Back to Gather</a></span></div>
    <div class="columns">
        <section aria-labelledby="templates"><div class="section-head"><h2 id="templates">Templates</h2><span class="soft">dates count from the day it begins</span></div>
            @if ($templates->isEmpty())<div class="empty"><p class="soft">Open a task and keep it as a template: its subtasks, estimates and dates come along.</p></div>@endif
            @foreach ($templates as $template)
                <div class="list-row"><span class="grow"><b class="strong">{{ $template->name }}</b> <span class="soft">{{ count($template->pattern['subtasks'] ?? []) }} subtasks @if ($template->pattern['estimate'] ?? null), {{ Times::duration((int) $template->pattern['estimate']) }}@endif @if (($template->pattern['due_days'] ?? null) !== null), due after {{ $template->pattern['due_days'] }} days @endif</span></span>
                    <form method="post" action="/templates/{{ $template->id }}" class="pair" data-whole>@csrf<x-day name="day" aria-label="From which day" :value="$person->local($now)->format('Y-m-d')" :keeps="false" /><button class="button">Use it</button></form>
                    <form method="post" action="/templates/{{ $template->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $template->name }} away">×</button></form></div>
            @endforeach
            @error('day')<p class="error" role="alert">{{ $message }}</p>@enderror
        </section>
        <section aria-labelledby="repeats"><div class="section-head"><h2 id="repeats">Repeating tasks</h2></div>
            @if ($repeats->isEmpty())<div class="empty"><p class="soft">Write “every friday” in any line, or say in a task how it comes back.</p></div>@endif
            @foreach ($repeats as $repeat)
                @php $next = $repeat->tasks->first(); @endphp
                <div class="list-row"><span class="grow">@if ($next)<a href="/tasks/{{ $next->id }}">{{ $next->title }}</a>@else{{ $repeat->pattern['title'] ?? '' }}@endif <span class="soft">{{ $repeat->rule === null ? Rules::afterDone((string) $repeat->after_done).' after done' : Rules::inWords($repeat->rule) }}@if ($next?->occurs_on), next {{ $next->occurs_on }}@endif @if ($repeat->paused_at), paused @endif</span></span>
                    <form method="post" action="/repeats/{{ $repeat->id }}" class="pair">@csrf @method('patch')<button class="button" name="what" value="{{ $repeat->paused_at ? 'go_on' : 'pause' }}">{{ $repeat->paused_at ? 'Go on' : 'Pause' }}</button><button class="button" name="what" value="end">End</button></form></div>
            @endforeach
        </section>
    </div>
</x-layout>
