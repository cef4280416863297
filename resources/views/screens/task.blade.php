@php
    use App\Wording\Times;
    use App\Wording\Rules;
    $local = $task->due_at === null ? null : $person->local($task->due_at);
    $start = $task->not_before === null ? null : $person->local($task->not_before);
    $select = static fn (string $name, mixed $own): string => (string) old($name, $own);
    $levels = ['' => 'not weighed'] + array_combine(array_column(Nekto\Core\Task\Importance::cases(), 'value'), array_map(static fn ($one) => $one->word(), Nekto\Core\Task\Importance::cases()));
    $repeats = $task->repeat && $task->repeat->ended_at === null ? ($task->repeat->rule === null ? Rules::afterDone((string) $task->repeat->after_done).' after it is done' : Rules::inWords($task->repeat->rule)) : 'never';
    $open = $task->done_at === null && ! $task->trashed();
@endphp
<x-layout :title="$task->title" :station="$task->stage->value === 'inbox' ? 'gather' : 'weigh'">
    <div class="task-head hue-{{ $task->area->hue }}">
        @spine($task->importance->value ?? 0, 96)
        <div class="task-said" data-sentence>
            <div class="title-row"><x-says /><h1 class="task-name"><form method="post" action="/tasks/{{ $task->id }}" @class(['word word-name', 'word-name-long' => mb_strlen($task->title) > 60]) data-word id="word-title-form">@csrf @method('patch')<textarea name="title" id="word-title" data-one-line rows="1" aria-label="Name" maxlength="200" required @class(['struck' => $task->done_at]) @error('title') aria-invalid="true" @enderror>{{ old('title', $task->title) }}</textarea><button hidden>Keep</button></form></h1>
                <span class="end">
                    @if ($task->trashed())<form method="post" action="/tasks/{{ $task->id }}/bring-back">@csrf<button class="button button-main">Bring it back</button></form>
                    @elseif ($task->done_at)<form method="post" action="/tasks/{{ $task->id }}/reopen">@csrf<button class="button button-main" data-page-key="d">Open it again <kbd>D</kbd></button></form>
                    @else
                        @if ($task->stage->value === 'inbox')<form method="post" action="/tasks/{{ $task->id }}/weigh">@csrf<button class="button" data-page-key="w">Weigh it <kbd>W</kbd></button></form>@endif
                        @if ($task->waiting_for)<form method="post" action="/tasks/{{ $task->id }}/weigh">@csrf<button class="button" data-page-key="w">It was answered <kbd>W</kbd></button></form>@endif
                        <details class="asks" id="hand-off"><summary class="button" data-page-key="z">Hand off <kbd>Z</kbd></summary>
                            <form method="post" action="/tasks/sort" class="menu">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><label for="hand-off-who">To whom</label><input class="field" id="hand-off-who" name="waiting_for" list="people" value="{{ $task->waiting_for }}" maxlength="200" required><label for="hand-off-ask">Ask again on</label><x-day id="hand-off-ask" name="ask_on" :value="$task->ask_on" :keeps="false" /><button class="button button-main" name="to" value="waiting">Hand off</button></form></details>
                        <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="button" name="to" value="done" data-page-key="d">Done <kbd>D</kbd></button></form>
                        <form method="post" action="/work/start/{{ $task->id }}">@csrf<button class="button button-main">Begin now</button></form>
                    @endif
                </span></div>
            @if ($task->trashed())<p class="soft">It was let go. What it had is all here.</p>@endif
            <fieldset class="sentence" @disabled($task->trashed())><legend class="sr-only">What it is</legend>
                <div class="sentence-first"><x-word :task="$task" name="importance" label="Importance" :value="$task->importance?->value" :choices="$levels" />, <x-word :task="$task" name="demand" label="Demand" :value="$task->demand->value" :choices="['light' => 'light', 'deep' => 'deep']" /> work for <x-word :task="$task" name="project_id" label="Project" :value="$task->project_id" :choices="['' => 'no project'] + $projects->pluck('name', 'id')->all()" />, <x-word :task="$task" name="estimate" label="Estimate" :value="$task->estimate === null ? '' : Times::duration($task->estimate)" empty="no estimate" /> in all, due <x-word :task="$task" name="due_date" label="Due" type="day" :value="$local?->format('Y-m-d') ?? $task->due_on" empty="no day">@if ($local)<input type="hidden" name="due_time" value="{{ $local->format('H:i') }}">@endif</x-word>@if ($task->due_on || $local) at <x-word :task="$task" name="due_time" label="Due time" :value="$local === null ? '' : Times::clock($person, $local)" empty="the end of its hours"><input type="hidden" name="due_date" value="{{ $local?->format('Y-m-d') ?? $task->due_on }}"></x-word>, a <x-word :task="$task" name="due_hard" label="A late day" :value="(int) $task->due_hard" :choices="[0 => 'soft', 1 => 'hard']" /> <span>date</span>@endif.
                    @foreach ($waits as $one)<a href="/tasks/{{ $one['id'] }}">{{ $one['title'] }}</a> waits for it.@endforeach</div>
                <details class="sentence-rest" id="task-rest" @if ($errors->hasAny(['min_chunk', 'max_chunk', 'not_before', 'picked_on', 'ask_on', 'waiting_for', 'contexts'])) open @endif>
                    <summary class="soft" data-page-key="v">and the rest: hours, part of the day, pieces, push, contexts <kbd>V</kbd></summary>
                    <div class="sentence-second"><x-word :task="$task" name="area_id" label="Area" :value="$task->area_id" :choices="$areas->pluck('name', 'id')->all()" />: in <x-word :task="$task" name="hours_set_id" label="Hours" :value="$task->hours_set_id" :choices="['' => 'the area’s hours'] + $sets->pluck('name', 'id')->all()" />, <x-word :task="$task" name="part" label="Part of the day" :value="$task->part" :choices="['' => 'at any time', 'morning' => 'mornings', 'afternoon' => 'afternoons', 'evening' => 'evenings']" /> rather, from <x-word :task="$task" name="not_before" label="Not before" type="day" :value="$start?->format('Y-m-d')" empty="now">@if ($start && $start->format('H:i') !== '00:00')<input type="hidden" name="not_before_time" value="{{ $start->format('H:i') }}">@endif</x-word>@if ($start) at <x-word :task="$task" name="not_before_time" label="Not before, at" :value="$start->format('H:i') === '00:00' ? '' : Times::clock($person, $task->not_before)" empty="any time"><input type="hidden" name="not_before" value="{{ $start->format('Y-m-d') }}"></x-word>@endif on; <x-word :task="$task" name="splits" label="Several blocks" :value="(int) $task->splits" :choices="[1 => 'in pieces', 0 => 'in one piece']" /> of <x-word :task="$task" name="min_chunk" label="Shortest block" :value="Times::duration($task->min_chunk)" /> to <x-word :task="$task" name="max_chunk" label="Longest block" :value="Times::duration($task->max_chunk)" />; <x-word :task="$task" name="push" label="Push" :value="$task->push->value" :choices="[1 => 'pushed by hand', 0 => 'not pushed', -1 => 'held back']" />; picked for <x-word :task="$task" name="picked_on" label="Picked for" type="day" :value="$task->picked_on" empty="no day" />; in the contexts <x-word :task="$task" name="contexts" label="Contexts, with commas" type="long" :value="$task->contexts->pluck('name')->implode(', ')" empty="none" />; waits for <x-word :task="$task" name="waiting_for" label="Waiting for" type="long" :value="$task->waiting_for" empty="nobody" />@if ($task->waiting_for), asked about again <x-word :task="$task" name="ask_on" label="Ask again on" type="day" :value="$task->ask_on" empty="by the rule" />@endif<span>@if ($task->project && $task->project->sections->isNotEmpty()); in the section <x-word :task="$task" name="section_id" label="Section" :value="$task->section_id" :choices="['' => 'none'] + $task->project->sections->pluck('name', 'id')->all()" />@endif</span>; comes back <a href="#comes-back">{{ $repeats }}</a>.</div>
                </details>
            </fieldset>
            <p class="sentence-words" data-words data-own aria-live="polite"></p>
            @foreach (['title', 'importance', 'estimate', 'due_date', 'due_time', 'not_before', 'not_before_time', 'min_chunk', 'max_chunk', 'picked_on', 'ask_on', 'waiting_for', 'contexts', 'left', 'ids'] as $name)@error($name)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
        </div>
    </div>
    @if ($days !== [])<section aria-label="When" class="task-tape"><x-day-tape :days="$days" label="From today to its date" />
        @php $ahead = $blocks->filter(fn ($block) => $block->isAhead($now))->sortBy('starts_at')->values(); @endphp
        <p class="tape-says soft">@if ($ahead->isNotEmpty())<span class="strong">{{ trans_choice('task.lies', max(0, count($ahead) - 4), ['times' => $ahead->take(4)->map(fn ($block) => Times::when($person, $block->starts_at, $now))->join(', ', count($ahead) > 4 ? ', ' : ' and ')]) }}</span>@endif @foreach ($gone as $one)<span>{{ $one['when'] }}: {{ $one['what'] }}</span>@endforeach
            @if ($slack && $slack->late > 0)<span class="coral">late by {{ Times::lateness($slack->late) }} by this plan</span>@elseif ($slack && $slack->dated)<span class="strong">slack {{ Times::duration($slack->minutes) }} of open time</span>@endif
            @if ($chance !== null)<span class="strong">{{ App\Wording\Figures::chance($chance) }}</span>@endif</p></section>@endif
    <div class="task-grid">
    <div>
        <div class="section-head"><h2>Subtasks</h2><span class="soft">@if ($task->subtasks->isNotEmpty()){{ $task->subtasks->whereNotNull('done_at')->count() }} of {{ count($task->subtasks) }} done @endif</span></div>
        <ol class="subtasks" data-list>
            @foreach ($task->subtasks as $i => $one)
                <li id="subtask-{{ $one->id }}">
                    <form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('patch')<input type="hidden" name="done" value="{{ $one->done_at ? 0 : 1 }}"><button class="tick" aria-pressed="{{ $one->done_at ? 'true' : 'false' }}" aria-label="{{ $one->title }} done"></button></form>
                    <form method="post" action="/subtasks/{{ $one->id }}" data-on-change class="grow">@csrf @method('patch')<textarea class="field plain @if ($one->done_at) struck @endif" name="title" data-one-line rows="1" aria-label="Subtask" maxlength="200">{{ $one->title }}</textarea></form>
                    <form method="post" action="/subtasks/{{ $one->id }}" data-on-change>@csrf @method('patch')<input class="field" name="estimate" value="{{ $one->estimate ? Times::duration($one->estimate) : '' }}" placeholder="{{ $shares[$i] > 0 ? Times::duration($shares[$i]) : 'min' }}" aria-label="Estimate of {{ $one->title }}"></form>
                    <form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('patch')<button class="button button-bare" name="move" value="up" aria-label="{{ $one->title }} up">↑</button><button class="button button-bare" name="move" value="down" aria-label="{{ $one->title }} down">↓</button></form>
                    <form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $one->title }} away">×</button></form>
                </li>
            @endforeach
        </ol>
        <form method="post" action="/tasks/{{ $task->id }}/subtasks" class="pair" data-clear>@csrf<textarea class="field" name="lines" rows="1" aria-label="New subtasks" placeholder="Measure the plinths 20 min – a line each">{{ old('lines') }}</textarea><button class="button">Add</button></form>
        @error('lines')<p class="error" role="alert">{{ $message }}</p>@enderror
        @php $stepsSum = (int) $task->subtasks->sum('estimate'); @endphp
        @if ($open && $task->estimate !== null && ! $task->by_steps && $stepsSum > $task->estimate)<p class="soft">The steps add up to {{ Times::duration($stepsSum) }}, the task says {{ Times::duration($task->estimate) }}.</p><form method="post" action="/tasks/{{ $task->id }}">@csrf @method('patch')<input type="hidden" name="estimate" value="{{ $stepsSum }}"><button class="button">Take {{ Times::duration($stepsSum) }}</button></form>@endif
        @if ($candidate)
            <div class="section-head"><h2>Pull</h2><span class="soft"><b class="strong">{{ $candidate->pull->total() }}</b> of 100</span></div>
            <p class="pull-bill">importance <b>{{ $candidate->pull->importance }}</b>, pressure @if ($candidate->pressure() !== null){{ $candidate->pressure() }} % @endif<b>{{ $candidate->pull->pressure }}</b>, push <b>{{ $candidate->pull->push }}</b>, age {{ (int) $task->created_at->diffInDays($now) }} days <b>{{ $candidate->pull->age }}</b>@if ($candidate->pull->step), step of a goal <b>{{ $candidate->pull->step }}</b>@endif @if ($candidate->demand !== null); room {{ Times::duration($candidate->demand->room()) }}@endif</p>
        @endif
    </div>
    <div>
        <div class="section-head"><h2><label for="note">Note</label></h2><span class="soft">Markdown</span></div>
        @if ($task->note)<x-markdown :text="$task->note" />@endif
        <form method="post" action="/tasks/{{ $task->id }}" id="note-form">@csrf @method('patch')<input type="hidden" name="note_was" value="{{ App\Wording\TextMark::of($task->note) }}"><textarea class="field note-field" id="note" name="note" rows="3" maxlength="20000" placeholder="what else is to be known" @error('note') aria-invalid="true" @enderror>{{ old('note', $task->note) }}</textarea>@error('note')<span class="error" role="alert">{{ $message }}</span>@enderror<div class="actions"><button class="button">Save</button></div></form>
        <div class="section-head"><h2>Links and files</h2><span class="soft">{{ count($task->links) + count($task->attachments) ?: '' }}</span></div>
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
        <div class="section-head" id="comes-back"><h2>Comes back</h2><span class="soft">{{ $repeats }}</span></div>
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
                @if ($left->worked > 0)<div><span>worked since</span><span>−{{ Times::duration($left->worked) }}</span></div>@endif
                <div class="sum"><span>left</span><span>{{ $left->isPast() && $left->worked > 0 ? 'past its estimate' : Times::duration($left->minutes()) }}</span></div>
                @if ($left->expected !== null)<div><span>the plan lays out, {{ $person->estimates->value }}</span><span>{{ Times::duration($left->toPlan()) }}</span></div>@endif
            @endif
            <div><span>{{ $task->done_at ? 'took' : 'worked in all' }}</span><span>{{ Times::duration($spent) }}</span></div>
        </div>
        @if ($holds !== [] || $waits !== [])
            <div class="section-head"><h2>Holds it up</h2><span class="soft">{{ count($holds) ?: 'nothing now' }}</span></div>
            @foreach ($holds as $one)<div class="list-row"><span class="grow">@if ($one['link'])<a href="{{ $one['link'] }}">{{ $one['title'] }}</a>@else<b class="strong">{{ $one['title'] }}</b>@endif<br><span class="soft">{{ $one['what'] }}</span></span></div>@endforeach
            @if ($waits !== [])<div class="section-head"><h2>Waits for it</h2><span class="soft">{{ count($waits) }}</span></div>
            @foreach ($waits as $one)<div class="list-row"><span class="grow"><a href="/tasks/{{ $one['id'] }}">{{ $one['title'] }}</a><br><span class="soft">{{ $one['what'] }}</span></span></div>@endforeach @endif
        @endif
        @if ($goals->isNotEmpty() && $task->habit_id === null)<div class="section-head"><h2>Moves a goal</h2><span class="soft">{{ $steps->isEmpty() ? 'no step yet' : trans_choice('{1} one step|[2,*] :count steps', count($steps)) }}</span></div>
            @foreach ($steps as $step)<div class="list-row"><span class="grow">{{ $goals->firstWhere('id', $step->goal_id)?->name }} <span class="soft">week of {{ App\Wording\Dates::of($person)->ofMonth(Nekto\Core\Time\LocalDay::fromString($step->week_on)) }}@if ($step->fate === 'over'), it went over @endif</span></span><form method="post" action="/steps/{{ $step->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="No step of {{ $goals->firstWhere('id', $step->goal_id)?->name }} any more">×</button></form></div>@endforeach
            @if ($task->done_at === null)<details class="asks"><summary class="button button-bare">make it a step</summary><div class="menu">@foreach ($goals as $goal)@foreach ([0 => 'this week', 7 => 'next week'] as $ahead => $words)<form method="post" action="/goals/{{ $goal->id }}/steps">@csrf<input type="hidden" name="task" value="{{ $task->id }}"><input type="hidden" name="week" value="{{ App\Time\Weeks::first($person, Nekto\Core\Time\LocalDay::fromString($person->local($now)->format('Y-m-d')))->plusDays($ahead)->asString() }}"><button>{{ $goal->name }}, {{ $words }}</button></form>@endforeach @endforeach</div></details>@endif @endif
        <div class="section-head"><h2>Time</h2><span class="soft">{{ $spent ? Times::duration($spent).' spent' : 'nothing spent yet' }}@if ($pairs), estimates corrected from {{ $pairs }} done tasks @endif</span></div>
        @foreach ($blocks as $block)<div class="list-row"><span class="grow">{{ App\Wording\Dates::of($person)->short($person->local($block->starts_at)) }}, {{ Times::range($person, $block->starts_at, $block->ends_at) }}</span><span class="soft">{{ $block->state->value }}@if ($block->anchored), anchored @endif</span></div>@endforeach
        <div class="section-head"><h2>What happened</h2><span class="soft">{{ max(0, count($history) - 3) ? max(0, count($history) - 3).' earlier' : '' }}</span></div>
        <ol class="history">@foreach (array_slice($history, 0, 3) as $line)<li><span class="soft">{{ $line['when'] }}</span> {{ $line['what'] }}</li>@endforeach</ol>
        @if (count($history) > 3)<details class="more"><summary>Earlier</summary><ol class="history">@foreach (array_slice($history, 3) as $line)<li><span class="soft">{{ $line['when'] }}</span> {{ $line['what'] }}</li>@endforeach</ol></details>@endif
        @if ($task->typed !== null && $task->typed !== $task->title)<p class="soft">typed as “{{ Str::limit($task->typed, 90) }}”</p>@endif
    </div>
    </div>
    <details class="more task-form" id="as-form" @if ($errors->hasAny(['left', 'area_id'])) open @endif><summary>All of it as a form; duplicate, let go</summary>
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
            </div>
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
            <div class="actions"><button class="button button-main">Save</button><a class="button" href="{{ $back }}">Leave</a></div>
        </form>
        <div class="actions">
            <form method="post" action="/tasks/{{ $task->id }}/duplicate">@csrf<button class="button">Duplicate</button></form>
            @unless ($task->trashed())<form method="post" action="/tasks/{{ $task->id }}">@csrf @method('delete')<button class="button">Let it go</button></form>@endunless
        </div>
    </details>
    <datalist id="people">@foreach ($people as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
    <x-screen-keys on="task"><label class="sr-only" for="word-due_date" data-page-key="t">Due</label><label class="sr-only" for="word-estimate" data-page-key="m">Estimate</label><label class="sr-only" for="word-project_id" data-page-key="g">Project</label></x-screen-keys>
</x-layout>
