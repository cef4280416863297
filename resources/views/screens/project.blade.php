@php use App\Wording\Times; @endphp
<x-layout :title="$project->name" at="projects">
    <div class="title-row"><h1>{{ $project->name }}</h1><x-says /><span class="soft"><span class="swatch hue-{{ $project->area->hue }}"></span> {{ $project->area->name }} @if ($project->done_at) · done @endif</span>
        <span class="end"><form method="post" action="/projects/{{ $project->id }}">@csrf @method('patch')<input type="hidden" name="done" value="{{ $project->done_at ? 0 : 1 }}"><button class="button">{{ $project->done_at ? 'Open it again' : 'It is done' }}</button></form>
            <form method="post" action="/projects/{{ $project->id }}" data-whole>@csrf @method('delete')<button class="button">Close it</button></form></span></div>
    <p class="sums"><span>left <b class="strong">{{ Times::duration($minutes) }}</b></span>
        <span>finished by plan <b class="strong">{{ $end ? Times::when($person, $end, $now) : 'not planned yet' }}</b>@unless ($whole), part of it has no place @endunless</span>
        <span>chance of its dates <b class="strong">{{ $chance === null ? 'not known: too little history or no due date' : $chance.' %' }}</b></span>
        @if ($unestimated)<span class="coral">{{ $unestimated }} without an estimate</span>@endif</p>
    <div class="task-columns"><div>
        @foreach ([null, ...$project->sections] as $section)
            @php $some = $sections[$section?->id ?? 0] ?? collect(); $sequential = $section ? $section->sequential : $project->sequential; @endphp
            @if ($section || $some->isNotEmpty() || $project->sections->isEmpty())
            <div class="section-head"><h2>{{ $section->name ?? 'Tasks' }}</h2><span class="soft">{{ $sequential ? 'one after another: only the first is a candidate' : 'in any order' }}
                @if ($section)<form class="inline" method="post" action="/sections/{{ $section->id }}">@csrf @method('patch')<input type="hidden" name="sequential" value="{{ $sequential ? 0 : 1 }}"><button class="button button-bare">{{ $sequential ? 'let them be free' : 'one after another' }}</button></form><form class="inline" method="post" action="/sections/{{ $section->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take the section {{ $section->name }} away">×</button></form>@endif</span></div>
            <ul class="inbox" data-list>
                @foreach ($some as $task)
                    <x-task-row :task="$task" :project="false" :chance="$chances[$task->id] ?? null"><form method="post" action="/projects/{{ $project->id }}/order">@csrf<input type="hidden" name="task" value="{{ $task->id }}"><button class="button button-bare" name="move" value="up" aria-label="{{ $task->title }} up">↑</button><button class="button button-bare" name="move" value="down" aria-label="{{ $task->title }} down">↓</button></form></x-task-row>
                @endforeach
            </ul>
            @if ($some->isEmpty())<p class="soft">Nothing here.</p>@endif
            @endif
        @endforeach
        <form method="post" action="/projects/{{ $project->id }}/sections" class="pair" data-clear>@csrf<input class="field" name="name" placeholder="A new section" aria-label="A new section" maxlength="200"><button class="button">Add section</button></form>
        @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
        @if ($done->isNotEmpty())<div class="section-head"><h2>Done</h2><span class="soft">{{ count($done) }}</span></div><ul class="inbox">@foreach ($done->take(20) as $task)<x-task-row :task="$task" :project="false" />@endforeach</ul>@endif
    </div><div>
        <div class="section-head"><h2>About it</h2></div>
        <form method="post" action="/projects/{{ $project->id }}"><div class="form-grid">@csrf @method('patch')
            <x-field class="wide" name="name" label="Name" :value="$project->name" maxlength="200" required id="project-name" />
            <div class="form-row"><label for="area_id">Area</label><select class="field" id="area_id" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}" @selected($project->area_id === $area->id)>{{ $area->name }}</option>@endforeach</select></div>
            <div class="form-row"><span class="label">Its tasks</span><label class="check"><input type="hidden" name="sequential" value="0"><input type="checkbox" name="sequential" value="1" @checked($project->sequential)> one after another</label></div>
            <div class="form-row wide"><label for="note">Note, in Markdown</label><input type="hidden" name="note_was" value="{{ App\Wording\TextMark::of($project->note) }}"><textarea class="field" id="note" @error('note') aria-invalid="true" @enderror name="note" rows="5" maxlength="20000">{{ old('note', $project->note) }}</textarea>@error('note')<span class="error" role="alert">{{ $message }}</span>@enderror</div></div>
            <button class="button button-main">Save</button></form>
        @if ($project->note)<x-markdown :text="$project->note" />@endif
        <div class="section-head"><h2>Waiting for answers</h2><span class="soft">{{ count($waiting) }}</span></div>
        @foreach ($waiting as $task)<div class="list-row"><span class="grow"><a href="/tasks/{{ $task->id }}">{{ $task->title }}</a></span><span class="soft">{{ $task->waiting_for }}@if ($task->waiting_since), since {{ $task->waiting_since }}@endif</span></div>@endforeach
        @if ($notes->isNotEmpty())<div class="section-head"><h2>Notes</h2></div>@foreach ($notes as $task)<div class="list-row"><a href="/tasks/{{ $task->id }}">{{ $task->title }}</a></div>@endforeach @endif
    </div></div>
</x-layout>
