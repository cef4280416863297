{{-- What is being weighed: worth, date, estimate and answer in one form, sent in one breath. --}}
@props(['card', 'place', 'many', 'projects', 'chance' => null])
@php
    use App\Wording\Times;
    $task = $card->task;
    $one = $card->one;
    $chosen = (int) old('importance', $task->importance?->value);
    $letters = ['do_now' => 'q', 'make_time' => 'e', 'hand_off' => 'z', 'let_go' => 'c'];
@endphp
<form class="card" id="card-{{ $task->id }}" method="post" action="/weigh/{{ $task->id }}" tabindex="-1" aria-label="{{ $task->title }}" data-replaced data-waits="Weighed: {{ $task->title }}" x-data="card" data-preview="/weigh/{{ $task->id }}/preview" x-on:input.debounce.150ms="ask">
    @csrf
    <div class="section-head section-over"><h2>{{ $task->importance ? 'Weigh anew' : 'Unweighed' }}</h2><span class="soft">@if ($place > 0){{ $place }} of {{ $many }}@endif</span></div>
    <p class="soft">{{ __("gather.source.{$task->source}") }}, {{ Times::when($person, $task->created_at, $now) }}</p>
    <h3 class="card-title"><a href="/tasks/{{ $task->id }}">{{ $task->title }}</a></h3>
    @if ($task->note)<p class="note-text">{{ Str::limit(Str::squish($task->note), 180) }}</p>@endif
    <fieldset class="levels hue-{{ $task->area->hue }}"><legend class="sr-only">Importance</legend>
        @foreach (Nekto\Core\Task\Importance::cases() as $case)
            <label><input type="radio" name="importance" value="{{ $case->value }}" data-page-key="{{ $case->value }}" @checked($chosen === $case->value)>@spine($case->value)<span>{{ $case->word() }}</span><kbd class="key">{{ $case->value }}</kbd></label>
        @endforeach
    </fieldset>
    @error('importance')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div class="card-row"><label for="card-due">due</label><x-day id="card-due" name="due_date" data-page-key="t" data-enter="button[data-enter]" :value="$task->due_at ? $person->local($task->due_at)->format('Y-m-d') : $task->due_on" /><kbd class="key">T</kbd>@if ($task->due_at)<span class="soft">at {{ App\Wording\Times::clock($person, $task->due_at) }}</span>@endif @if ($task->due_hard)<span class="soft">hard</span>@endif @if ($chance !== null)<span class="soft">{{ App\Wording\Figures::chance($chance) }}</span>@endif</div>
    @error('due_date')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div class="card-row"><label for="card-estimate">estimate</label><input class="field" id="card-estimate" name="estimate" data-page-key="m" data-enter="button[data-enter]" value="{{ old('estimate', $task->estimate === null ? '' : Times::duration($task->estimate)) }}" placeholder="30 min"><span class="soft" x-ref="likely" data-own>@if ($card->likely)likely {{ Times::duration($card->likely) }}, careful {{ Times::duration($card->careful) }}@endif</span><kbd class="key">M</kbd></div>
    @error('estimate')<p class="error" role="alert">{{ $message }}</p>@enderror
    @if ($card->similar)<p class="soft card-hint">“{{ Str::limit($card->similar['title'], 34) }}” took {{ Times::duration($card->similar['minutes']) }} <button class="button" type="button" x-on:click="take" data-minutes="{{ Times::duration($card->similar['minutes']) }}">take it</button></p>@endif
    <div class="card-row"><label for="card-project">project</label><input class="field" id="card-project" name="project" list="card-projects" data-page-key="g" data-enter="button[data-enter]" value="{{ old('project', $task->project?->name) }}" maxlength="200"><kbd class="key">G</kbd></div>
    <datalist id="card-projects">@foreach ($projects as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
    <p class="card-pull"><span>pressure <b class="strong" x-ref="pressure" data-own>{{ App\Wording\Figures::pressure($one->pressure()) }}</b></span><span class="soft" x-ref="parts" data-own>@if ($one->importance)importance {{ $one->pull->importance }} + pressure {{ $one->pull->pressure }} =@endif</span><span>pull <b class="strong" x-ref="pull" data-own>{{ $one->importance ? $one->pull->total() : '–' }}</b></span></p>
    <details class="hand-off asks-not" @if ($errors->has('waiting_for') || old('answer') === 'hand_off') open @endif x-ref="handOff">
        <summary class="soft">hand off: to whom, by when, remind me when</summary>
        <div class="card-row"><label for="card-who">to whom</label><input class="field" id="card-who" name="waiting_for" data-enter="[value=hand_off]" maxlength="200" value="{{ old('waiting_for', $task->waiting_for) }}"></div>
        <div class="card-row"><label for="card-ask">ask again</label><x-day id="card-ask" name="ask_on" data-enter="[value=hand_off]" :value="$task->ask_on" /></div>
    </details>
    @error('waiting_for')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div class="answers">
        @foreach ($letters as $value => $letter)
            <button name="answer" value="{{ $value }}" data-page-key="{{ $letter }}" x-on:click="answer" @if ($value === ($card->answer?->value === 'do_now' ? 'do_now' : 'make_time')) data-enter @endif @class(['answer', 'answer-likely' => $card->answer?->value === $value])>{{ str_replace('_', ' ', $value) }} <kbd class="key">{{ strtoupper($letter) }}</kbd></button>
        @endforeach
    </div>
</form>
