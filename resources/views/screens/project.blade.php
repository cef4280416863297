@php
    use App\Wording\Times;
    $rank = 0;
@endphp
<x-layout :title="$project->name" at="projects">
    <div class="title-row hue-{{ $project->area->hue }}"><span class="swatch swatch-title"></span><h1>{{ $project->name }}</h1><x-says />
        <p class="sums"><span>left <b class="strong">{{ Times::duration($minutes) }}</b></span>
            <span>by plan <b class="strong">{{ $end ? Times::when($person, $end, $now) : 'not planned yet' }}</b>@unless ($whole), part of it has no place @endunless</span>
            @if ($chance !== null)<span>chance of its dates <b @class(['strong', 'coral' => $chance < 50])>{{ $chance }} %</b></span>@endif
            <span>done <b class="strong">{{ count($done) }}</b> of <b class="strong">{{ count($done) + $sections->flatten(1)->count() }}</b></span>
            @if ($project->due_on)<span>milestone <b class="strong">{{ App\Wording\Dates::of($person)->short(Nekto\Core\Time\LocalDay::fromString($project->due_on)) }}</b></span>@endif
            @if ($unestimated)<span class="coral">{{ $unestimated }} without an estimate</span>@endif</p>
        <span class="end">
            <form method="post" action="/projects/{{ $project->id }}">@csrf @method('patch')<input type="hidden" name="done" value="{{ $project->done_at ? 0 : 1 }}"><button class="button">{{ $project->done_at ? 'Open it again' : 'It is done' }}</button></form>
            <label class="button button-main" for="new-lines" data-page-key="+">A task <kbd>+</kbd></label></span></div>
    @if ($vessel)
        <section aria-labelledby="vessel-title"><div class="section-head"><h2 id="vessel-title">Work left against open time</h2><span class="soft">open until {{ Times::when($person, $vessel->due, $now) }} <b class="strong">{{ Times::duration($vessel->open) }}</b>@if ($vessel->short()), <b class="coral">{{ Times::duration($vessel->short()) }} short</b>@else, <b class="strong">{{ Times::duration($vessel->open - $vessel->demand()) }} room</b>@endif</span></div>
            <div class="work-vessel hue-{{ $project->area->hue }}" role="img" aria-label="Other work due by then {{ Times::duration($vessel->other) }}; {{ implode(', ', array_map(fn ($one) => $one['task']->shortTitle().' '.Times::duration($one['minutes']), $vessel->own)) }}; open {{ Times::duration($vessel->open) }}">
                <span class="vessel-rim" style="--w:{{ $vessel->part($vessel->open) }}"></span>
                @if ($vessel->other)<span class="vessel-other" style="--w:{{ $vessel->part($vessel->other) }}"><b>other work due by then {{ Times::duration($vessel->other) }}</b></span>@endif
                @foreach ($vessel->own as $one)<span class="vessel-own" style="--w:{{ $vessel->part($one['minutes']) }}"><b>{{ $one['task']->shortTitle() }} <i>{{ Times::duration($one['minutes']) }}</i></b></span>@endforeach
                @if ($vessel->short())<span class="vessel-short" style="--l:{{ $vessel->part($vessel->open) }};--w:{{ $vessel->part($vessel->short()) }}"></span>@endif
            </div></section>
    @endif
    @if ($days !== [])<section aria-labelledby="weeks-title"><div class="section-head"><h2 id="weeks-title">The coming weeks</h2></div><x-day-tape :days="$days" label="Where its work lies" /></section>@endif
    <div class="project-grid"><div>
        <div class="section-head"><h2>{{ $project->sequential ? 'In line, one after another' : 'Its tasks, in any order' }}</h2><span class="step-heads soft"><span>left</span><span>lies on</span><span>done by plan</span><span>late by</span></span></div>
        @foreach ([null, ...$project->sections] as $section)
            @php $some = $sections[$section?->id ?? 0] ?? collect(); $sequential = $section ? $section->sequential : $project->sequential; @endphp
            @if ($section)<div class="step-section"><h3>{{ $section->name }}</h3><span class="soft">{{ trans_choice('{0} nothing in it|{1} 1 task|[2,*] :count tasks', count($some)) }}{{ $sequential ? ', one after another' : '' }}
                <form class="inline" method="post" action="/sections/{{ $section->id }}">@csrf @method('patch')<input type="hidden" name="sequential" value="{{ $sequential ? 0 : 1 }}"><button class="button button-bare">{{ $sequential ? 'let them be free' : 'one after another' }}</button></form><form class="inline section-by" method="post" action="/sections/{{ $section->id }}" data-on-change>@csrf @method('patch')<label>by <x-day name="due_date" :value="$section->due_on" :keeps="false" aria-label="Milestone of {{ $section->name }}" /></label></form><form class="inline" method="post" action="/sections/{{ $section->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take the section {{ $section->name }} away">×</button></form></span></div>@endif
            <ol @class(['steps', 'steps-line' => $sequential]) data-list data-order="/projects/{{ $project->id }}/order" data-section="{{ $section?->id }}">
                @foreach ($some as $task)
                    @php $lie = $lies[$task->id] ?? null; $waitsFor = isset($before[$task->id]) ? $sections->flatten(1)->firstWhere('id', $before[$task->id]) : null; $isNext = $sequential && ! isset($before[$task->id]); @endphp
                    <li id="step-{{ $task->id }}" data-task="{{ $task->id }}" @class(['step', 'step-next' => $isNext, 'step-deep' => $isNext && $task->demand->value === 'deep', 'hue-'.$task->area->hue])>
                        <span class="step-handle" data-handle title="Drag it to another place" aria-hidden="true"></span>@spine($task->importance->value ?? 0, 34)
                        <span class="step-what"><a href="/tasks/{{ $task->id }}" data-row>{{ $task->title }}</a>
                            <span class="soft">@if ($isNext){{ 'the next step'.($lie ? ', '.Times::when($person, $lie['from'], $now) : '') }} @elseif ($waitsFor){{ 'waits for '.$waitsFor->shortTitle() }} @elseif (isset($before[$task->id]) && $project->after){{ 'after '.$project->after->name }} @elseif ($task->waiting_for){{ 'waits for '.$task->waiting_for }} @elseif ($task->importance === null)not weighed yet @endif @if ($task->subtasks_count){{ $task->subtasks_count }} subtasks @endif</span></span>
                        <span class="step-left">{{ $task->estimate === null ? '?' : Times::column($task->minutesLeft($now)) }}</span>
                        <span class="step-lies soft">{{ $lie ? (Times::day($person, $lie['from'], $now) === Times::day($person, $lie['to'], $now) ? Times::day($person, $lie['from'], $now) : Times::day($person, $lie['from'], $now).' to '.Times::day($person, $lie['to'], $now)) : 'no place yet' }}</span>
                        <span @class(['step-end', 'coral' => isset($late[$task->id])])>{{ $lie ? Times::when($person, $lie['end'], $now) : '' }}</span>
                        <span @class(['step-late', 'coral' => isset($late[$task->id])])>{{ isset($late[$task->id]) ? Times::lateness($late[$task->id]) : ($lie ? '0' : '') }}</span>
                        <span class="buttons"><form method="post" action="/tasks/sort" data-leaves data-waits="Done: {{ $task->title }}">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button button-bare" name="to" value="done" data-key="d">Done</button></form><form method="post" action="/projects/{{ $project->id }}/order">@csrf<input type="hidden" name="task" value="{{ $task->id }}"><button class="button button-bare" name="move" value="up" data-key="Alt ArrowUp" aria-label="{{ $task->title }} up">↑</button><button class="button button-bare" name="move" value="down" data-key="Alt ArrowDown" aria-label="{{ $task->title }} down">↓</button></form></span>
                    </li>
                @endforeach
            </ol>
            @if ($some->isEmpty() && ! $section && $project->sections->isEmpty())<div class="empty"><p class="soft">Nothing is in it yet. Write its first tasks below, a line each.</p></div>@endif
        @endforeach
        <form method="post" action="/projects/{{ $project->id }}/tasks" class="project-add" data-clear x-data="entry" x-ref="form">@csrf
            <div class="entry"><textarea name="lines" id="new-lines" rows="1" x-ref="text" x-on:input="typed" x-on:keydown="key" aria-label="New tasks, a line each" placeholder="half-title page, 40 min, by friday" data-enter-sends>{{ old('lines') }}</textarea><div class="glosses" data-own x-ref="glosses" aria-live="polite"></div></div>
            <div class="learned" data-own x-ref="learned" aria-live="polite"></div><input type="hidden" name="refused" x-ref="refused"><input type="hidden" name="preset" value="project area">
            <div class="actions"><button class="button">Add <kbd>Enter</kbd></button></div></form>
        @error('lines')<p class="error" role="alert">{{ $message }}</p>@enderror
        <x-screen-keys on="project" />
        @if ($done->isNotEmpty())<details class="more"><summary>Done, {{ count($done) }}</summary><ul class="inbox">@foreach ($done->take(50) as $task)<x-task-row :task="$task" :project="false" />@endforeach</ul></details>@endif
        <form method="post" action="/projects/{{ $project->id }}/sections" class="pair" data-clear>@csrf<input class="field" name="name" placeholder="A new section" aria-label="A new section" maxlength="200"><button class="button">Add section</button></form>
        @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
    </div><div>
        <div @class(['section-head', 'section-warn' => $holds !== []])><h2>What holds it up</h2><span class="soft">{{ count($holds) ?: 'nothing now' }}</span></div>
        @foreach ($holds as $one)<div class="list-row"><span class="grow"><b class="hold-title">{{ $one['title'] }}</b><br><span class="soft">{{ $one['what'] }}</span></span>
            @if ($one['form'] === 'answered')<form method="post" action="/tasks/{{ $one['task'] }}/weigh">@csrf<button class="button">It was answered</button></form>
            @elseif ($one['form'] === 'any_order')<form method="post" action="/projects/{{ $project->id }}">@csrf @method('patch')<input type="hidden" name="sequential" value="0"><button class="button">In any order</button></form>
            @elseif ($one['link'])<a class="button" href="{{ $one['link'] }}">{{ match (true) { $one['link'] === '/shape' => 'Ways out', str_starts_with($one['link'], '/projects/') => 'Look', default => 'Say it' } }}</a>@endif</div>@endforeach
        @if (! $project->sequential && $sections->flatten(1)->count() > 1)<form method="post" action="/projects/{{ $project->id }}" class="pair">@csrf @method('patch')<input type="hidden" name="sequential" value="1"><button class="button">One after another</button></form>@endif
        <div class="section-head"><h2><label for="note">Notes</label></h2></div>
        @if ($project->note)<x-markdown :text="$project->note" />@endif
        <form method="post" action="/projects/{{ $project->id }}">@csrf @method('patch')<input type="hidden" name="note_was" value="{{ App\Wording\TextMark::of($project->note) }}"><textarea class="field note-field" id="note" @error('note') aria-invalid="true" @enderror name="note" rows="3" maxlength="20000" placeholder="what is to be known about it">{{ old('note', $project->note) }}</textarea>@error('note')<span class="error" role="alert">{{ $message }}</span>@enderror<div class="actions"><button class="button">Save</button></div></form>
        @foreach ($notes as $task)<div class="list-row"><a href="/tasks/{{ $task->id }}">{{ $task->title }}</a></div>@endforeach
        <div class="section-head"><h2>About it</h2></div>
        <form method="post" action="/projects/{{ $project->id }}"><div class="form-grid">@csrf @method('patch')
            <x-field class="wide" name="name" label="Name" :value="$project->name" maxlength="200" required id="project-name" />
            <div class="form-row"><label for="area_id">Area</label><select class="field" id="area_id" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}" @selected($project->area_id === $area->id)>{{ $area->name }}</option>@endforeach</select></div>
            <div class="form-row"><label for="milestone">Milestone</label><x-day id="milestone" name="due_date" :value="$project->due_on" placeholder="all of it by" />@error('due_date')<span class="error" role="alert">{{ $message }}</span>@enderror</div>
            @if ($others->isNotEmpty())<div class="form-row"><label for="after_id">Begins</label><select class="field" id="after_id" name="after_id" @error('after_id') aria-invalid="true" @enderror><option value="">at any time</option>@foreach ($others as $other)<option value="{{ $other->id }}" @selected((int) old('after_id', $project->after_id) === $other->id)>after {{ $other->name }}</option>@endforeach</select>@error('after_id')<span class="error" role="alert">{{ $message }}</span>@enderror</div>@endif</div>
            <button class="button">Save</button></form>
        <form method="post" action="/projects/{{ $project->id }}" data-whole class="pair">@csrf @method('delete')<button class="button">Take the project away</button><span class="soft">its tasks stay</span></form>
    </div></div>
</x-layout>
