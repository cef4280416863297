@php
    use App\Wording\Times;
    use App\Wording\Rules;
    $local = $task->due_at === null ? null : $person->local($task->due_at);
    $select = static fn (string $name, mixed $own): string => (string) old($name, $own);
@endphp
<x-layout :title="$task->title" :station="$task->stage->value === 'inbox' ? 'gather' : 'weigh'">
    <div class="title-row"><h1>{{ $task->title }}</h1><x-says />
        <span class="soft">{{ ['inbox' => 'in the inbox', 'open' => '', 'waiting' => 'waiting for '.$task->waiting_for, 'someday' => 'for someday', 'reference' => 'kept as a note'][$task->stage->value] }} @if ($task->done_at) done @endif @if ($task->carried > 0)@icon('carried') {{ trans_choice('shape.proposed.carried', $task->carried) }} @endif</span>
        <span class="end">
            @if ($task->stage->value === 'inbox')<form method="post" action="/tasks/{{ $task->id }}/weigh">@csrf<button class="button">Weigh it</button></form>@endif
            @if ($task->done_at === null)<form method="post" action="/work/start/{{ $task->id }}">@csrf<button class="button">Begin now</button></form>@endif
            <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button" name="to" value="done" data-page-key="d">Done <kbd>D</kbd></button></form>
            <form method="post" action="/tasks/{{ $task->id }}/duplicate">@csrf<button class="button">Duplicate</button></form>
            <form method="post" action="/tasks/{{ $task->id }}">@csrf @method('delete')<button class="button">Let it go</button></form>
        </span></div>
    <div class="task-columns">
    <div>
        <div class="section-head"><h2>What it is</h2><span class="soft">@if ($task->typed !== null && $task->typed !== $task->title) typed as “{{ Str::limit($task->typed, 70) }}” @endif</span></div>
        <form method="post" action="/tasks/{{ $task->id }}" id="task-form">
            @csrf @method('patch')
            <input type="hidden" name="back" value="{{ old('back', $back) }}">
            <div class="form-grid">
                <x-field class="wide" name="title" label="Name" :value="$task->title" maxlength="200" required />
                <div class="form-row"><label for="importance">Importance</label>
                    <select class="field" id="importance" name="importance"><option value="">not weighed</option>@foreach (Nekto\Core\Task\Importance::cases() as $case)<option value="{{ $case->value }}" @selected($select('importance', $task->importance?->value) === (string) $case->value)>{{ $case->word() }}</option>@endforeach</select></div>
                <x-field name="estimate" label="Estimate" :value="$task->estimate === null ? '' : Times::duration($task->estimate)" :hint="$likely ? 'likely '.Times::duration($likely).', careful '.Times::duration($careful) : 'as 45 min or 1 h 30'" />
                <x-field name="due_date" label="Due" type="day" :value="$local?->format('Y-m-d') ?? $task->due_on" hint="end of that day's hours" />
                <div class="form-row"><label for="project_id">Project</label>
                    <select class="field" id="project_id" name="project_id"><option value="">none</option>@foreach ($projects as $project)<option value="{{ $project->id }}" @selected($select('project_id', $task->project_id) === (string) $project->id)>{{ $project->name }}</option>@endforeach</select></div>
                <div class="form-row wide"><label for="note">Note, in Markdown</label><input type="hidden" name="note_was" value="{{ App\Wording\TextMark::of($task->note) }}"><textarea class="field" id="note" name="note" rows="4" maxlength="20000" @error('note') aria-invalid="true" @enderror>{{ old('note', $task->note) }}</textarea>@error('note')<span class="error" role="alert">{{ $message }}</span>@enderror</div>
            </div>
            @if ($task->note)<x-markdown :text="$task->note" />@endif
            <details class="more" @if ($errors->hasAny(['due_time', 'left', 'min_chunk', 'max_chunk', 'not_before', 'not_before_time', 'picked_on', 'ask_on'])) open @endif>
                <summary>The rest of it</summary>
                <div class="form-grid">
                    <div class="form-row"><label for="area_id">Area</label>
                        <select class="field" id="area_id" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}" @selected($select('area_id', $task->area_id) === (string) $area->id)>{{ $area->name }}</option>@endforeach</select></div>
                    <x-field name="contexts" label="Contexts, with commas" :value="$task->contexts->pluck('name')->implode(', ')" list="context-names" maxlength="1000" />
                    <datalist id="context-names">@foreach ($contexts as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
                    @if ($task->project && $task->project->sections->isNotEmpty())
                        <div class="form-row"><label for="section_id">Section</label><select class="field" id="section_id" name="section_id"><option value="">none</option>@foreach ($task->project->sections as $section)<option value="{{ $section->id }}" @selected($select('section_id', $task->section_id) === (string) $section->id)>{{ $section->name }}</option>@endforeach</select></div>
                    @endif
                    <x-field name="due_time" label="Due time" maxlength="8" :value="$local === null ? '' : App\Wording\Times::clock($person, $local)" hint="only if it is due at a time" />
                    <div class="form-row"><span class="label">A late day</span>
                        <label class="check"><input type="hidden" name="due_hard" value="0"><input type="checkbox" name="due_hard" value="1" @checked(old('due_hard', $task->due_hard))> counts ten times (hard)</label></div>
                    <x-field name="left" label="Left" :value="$task->done_at === null && $task->said ? Times::duration($task->minutesLeft(App\Time\Clock::now())) : ''" hint="now" />
                    <div class="form-row"><label for="demand">Demand</label>
                        <select class="field" id="demand" name="demand">@foreach (Nekto\Core\Task\Demand::cases() as $case)<option value="{{ $case->value }}" @selected(old('demand', $task->demand->value) === $case->value)>{{ $case->value }}</option>@endforeach</select></div>
                    <div class="form-row"><label for="push">Push</label>
                        <select class="field" id="push" name="push">@foreach ([1 => 'treat as urgent', 0 => 'none', -1 => 'hold back'] as $value => $word)<option value="{{ $value }}" @selected((int) old('push', $task->push->value) === $value)>{{ $word }}</option>@endforeach</select></div>
                    <x-field name="not_before" label="Not before" type="day" :value="$task->not_before === null ? '' : $person->local($task->not_before)->format('Y-m-d')" />
                    <x-field name="not_before_time" label="at" maxlength="8" :value="$task->not_before === null || $person->local($task->not_before)->format('H:i') === '00:00' ? '' : App\Wording\Times::clock($person, $task->not_before)" />
                    <x-field name="picked_on" label="Picked for" type="day" :value="$task->picked_on" />
                    <div class="form-row"><label for="part">Part of the day</label><select class="field" id="part" name="part"><option value="">any</option>@foreach (['morning', 'afternoon', 'evening'] as $part)<option @selected(old('part', $task->part) === $part)>{{ $part }}</option>@endforeach</select></div>
                    <div class="form-row"><label for="hours_set_id">Hours</label><select class="field" id="hours_set_id" name="hours_set_id"><option value="">the area's</option>@foreach ($sets as $set)<option value="{{ $set->id }}" @selected($select('hours_set_id', $task->hours_set_id) === (string) $set->id)>{{ $set->name }}</option>@endforeach</select></div>
                    <div class="form-row"><span class="label">Several blocks</span><label class="check"><input type="hidden" name="splits" value="0"><input type="checkbox" name="splits" value="1" @checked(old('splits', $task->splits))> may be split</label></div>
                    <x-field name="min_chunk" label="Shortest block" :value="Times::duration($task->min_chunk)" />
                    <x-field name="max_chunk" label="Longest block" :value="Times::duration($task->max_chunk)" />
                    <x-field name="waiting_for" label="Waiting for" :value="$task->waiting_for" maxlength="200" />
                    <x-field name="ask_on" label="Ask again on" type="day" :value="$task->ask_on" />
                </div>
            </details>
            <div class="actions"><button class="button button-main">Save</button><a class="button" href="{{ $back }}">Leave</a></div>
        </form>
        <div class="section-head"><h2>Subtasks</h2><span class="soft">@if ($task->subtasks->isNotEmpty()){{ $task->subtasks->whereNotNull('done_at')->count() }} of {{ count($task->subtasks) }} done, {{ Times::duration((int) $task->subtasks->sum('estimate')) }} together @endif</span></div>
        <ol class="subtasks" data-list>
            @foreach ($task->subtasks as $one)
                <li id="subtask-{{ $one->id }}">
                    <form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('patch')<input type="hidden" name="done" value="{{ $one->done_at ? 0 : 1 }}"><button class="tick" aria-pressed="{{ $one->done_at ? 'true' : 'false' }}" aria-label="{{ $one->title }} done"></button></form>
                    <form method="post" action="/subtasks/{{ $one->id }}" data-on-change class="grow">@csrf @method('patch')<input class="field plain @if ($one->done_at) struck @endif" name="title" value="{{ $one->title }}" aria-label="Subtask" maxlength="200"></form>
                    <form method="post" action="/subtasks/{{ $one->id }}" data-on-change>@csrf @method('patch')<input class="field" name="estimate" value="{{ $one->estimate ? Times::duration($one->estimate) : '' }}" placeholder="min" aria-label="Estimate of {{ $one->title }}"></form>
                    <form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('patch')<button class="button button-bare" name="move" value="up" aria-label="{{ $one->title }} up">↑</button><button class="button button-bare" name="move" value="down" aria-label="{{ $one->title }} down">↓</button></form>
                    <form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $one->title }} away">×</button></form>
                </li>
            @endforeach
        </ol>
        <form method="post" action="/tasks/{{ $task->id }}/subtasks" class="pair" data-clear>@csrf<textarea class="field" name="lines" rows="1" aria-label="New subtasks" placeholder="Measure the plinths 20 min – a line each">{{ old('lines') }}</textarea><button class="button">Add</button></form>
        @error('lines')<p class="error" role="alert">{{ $message }}</p>@enderror
    </div>
    <div>
        @if ($remaining)<x-how-much-left :task="$task" :remaining="$remaining" :now="$now" />@endif
        <div class="section-head"><h2>Estimate</h2><span class="soft">@if ($chance !== null){{ App\Wording\Figures::chance($chance) }}@endif</span></div>
        <div class="bill-lines">
            @if ($task->estimate_begun !== null && $task->estimate_begun !== $task->estimate)<div><span>when the work began</span><span>{{ Times::duration($task->estimate_begun) }}</span></div>@endif
            <div><span>as typed</span><span>{{ $task->estimate === null ? 'none' : Times::duration($task->estimate) }}</span></div>
            @if ($likely)<div><span>likely, of {{ $pairs }} like it</span><span>{{ Times::duration($likely) }}</span></div><div><span>careful, eight of ten</span><span>{{ Times::duration($careful) }}</span></div>@endif
            @if ($left)
                <div class="line"><span>{{ $task->said_at ? 'said to be left, '.Times::when($person, $task->said_at, $now) : 'said to be left' }}</span><span>{{ Times::duration($left->said) }}</span></div>
                <div><span>worked since</span><span>−{{ Times::duration($left->worked) }}</span></div>
                <div class="sum"><span>left</span><span>{{ $left->isPast() && $left->worked > 0 ? 'past its estimate' : Times::duration($left->minutes()) }}</span></div>
                @if ($left->expected !== null)<div><span>the plan lays out, {{ $person->estimates->value }}</span><span>{{ Times::duration($left->toPlan()) }}</span></div>@endif
            @endif
            <div><span>{{ $task->done_at ? 'took' : 'worked in all' }}</span><span>{{ Times::duration($spent) }}</span></div>
        </div>
        <div class="section-head"><h2>Comes back</h2></div>
        @if ($task->repeat && $task->repeat->ended_at === null)
            <p>{{ ucfirst($task->repeat->rule === null ? Rules::afterDone((string) $task->repeat->after_done).' after it is done' : Rules::inWords($task->repeat->rule)) }}; days off: {{ ['keep' => 'also then', 'skip' => 'left out', 'shift' => 'on the next open day'][$task->repeat->days_off] }}. @if ($task->repeat->paused_at)<b class="strong">Paused.</b>@endif</p>
            <form method="post" action="/repeats/{{ $task->repeat_id }}" class="pair">@csrf @method('patch')
                <button class="button" name="what" value="pattern">Later ones like this</button>
                <button class="button" name="what" value="{{ $task->repeat->paused_at ? 'go_on' : 'pause' }}">{{ $task->repeat->paused_at ? 'Go on' : 'Pause' }}</button>
                <button class="button" name="what" value="end">End</button></form>
            <p class="soft">What is changed above changes this one alone.</p>
        @endif
        <form method="post" action="/tasks/{{ $task->id }}/repeat" class="pair">@csrf<input class="field" name="repeat" value="{{ old('repeat') }}" placeholder="every 2 weeks on tuesday" aria-label="How it comes back" maxlength="200">
            <select class="field" name="days_off" aria-label="On days off"><option value="keep">also on days off</option><option value="skip">not on days off</option><option value="shift">then the next open day</option></select><button class="button">{{ $task->repeat_id ? 'Change' : 'Repeat' }}</button></form>
        @error('repeat')<p class="error" role="alert">{{ $message }}</p>@enderror
        <form method="post" action="/tasks/{{ $task->id }}/template" class="pair">@csrf<input class="field" name="name" placeholder="{{ $task->title }}" aria-label="Name of the template" maxlength="200"><button class="button">Keep as template</button></form>
        <div class="section-head"><h2>Links and files</h2></div>
        @foreach ($task->links as $link)
            <div class="list-row"><span class="grow">@icon('link') @if (str_starts_with($link->address, '/'))<a href="{{ $link->address }}">{{ $link->title }}</a>@else<a href="{{ $link->address }}" rel="noopener noreferrer" target="_blank">{{ $link->title ?? Str::limit($link->address, 60) }}</a>@endif</span>
                <form method="post" action="/links/{{ $link->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take the link away">×</button></form></div>
        @endforeach
        @foreach ($task->attachments as $file)
            <div class="list-row"><span class="grow">@icon('file') <a href="/files/{{ $file->id }}" data-whole download>{{ $file->name }}</a> <span class="soft">{{ number_format($file->size / 1000, 0) }} kB</span></span>
                <form method="post" action="/files/{{ $file->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $file->name }} away">×</button></form></div>
        @endforeach
        <form method="post" action="/tasks/{{ $task->id }}/links" class="pair" data-clear>@csrf<input class="field" name="address" type="url" placeholder="https://" aria-label="Address" maxlength="2000" value="{{ old('address') }}"><button class="button">Add link</button></form>
        @error('address')<p class="error" role="alert">{{ $message }}</p>@enderror
        <form method="post" action="/tasks/{{ $task->id }}/files" enctype="multipart/form-data" class="pair" data-whole>@csrf<input class="field" type="file" name="file" aria-label="File"><button class="button">Keep file</button></form>
        @error('file')<p class="error" role="alert">{{ $message }}</p>@enderror
        <div class="section-head"><h2>Time</h2><span class="soft">{{ $spent ? Times::duration($spent).' spent' : 'nothing spent yet' }}@if ($pairs), estimates corrected from {{ $pairs }} done tasks @endif</span></div>
        @foreach ($blocks as $block)<div class="list-row"><span class="grow">{{ App\Wording\Dates::of($person)->short($person->local($block->starts_at)) }}, {{ Times::range($person, $block->starts_at, $block->ends_at) }}</span><span class="soft">{{ $block->state->value }}@if ($block->anchored), anchored @endif</span></div>@endforeach
        <details class="more"><summary>What happened to it</summary>
            <ol class="history">@foreach ($history as $line)<li><span class="soft">{{ $line['when'] }}</span> {{ $line['what'] }}</li>@endforeach</ol></details>
    </div>
    </div>
</x-layout>
