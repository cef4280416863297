@php use App\Wording\Times; $new = $preview->total - $preview->changed; @endphp
<x-layout title="Looked at" station="gather">
    <div class="title-row"><h1>{{ $preview->name }}</h1><x-says /><span class="soft">{{ $format->word() }}: {{ $preview->total }} {{ $format === App\Exchange\Format::Own ? 'lines' : 'tasks' }}, {{ $new }} new, {{ trans_choice('{0} every line read|{1} 1 line not read|[2,*] :count lines not read', $preview->failed) }}</span></div>
    <div class="actions">
        @if ($new > 0)<form method="post" action="/gather/files/{{ $preview->id }}" data-whole>@csrf<button class="button button-main">Take {{ $new === 1 ? 'it' : 'all '.$new }}</button></form>@else<p class="soft">Nothing in it is new.</p>@endif
        <form method="post" action="/gather/files/{{ $preview->id }}" data-whole>@csrf @method('delete')<button class="button">Leave it</button></form></div>
    @if ($preview->header)
        <div class="section-head"><h2>What the columns hold</h2></div>
        <form method="post" action="/gather/files/{{ $preview->id }}" data-whole>@csrf @method('patch')<div class="form-grid">
            @foreach ($preview->header as $i => $heading)<div class="form-row"><label for="column-{{ $i }}">{{ $heading === '' ? 'column '.($i + 1) : $heading }}</label><select class="field" id="column-{{ $i }}" name="columns[{{ $i }}]"><option value="">nothing</option>@foreach ($choices as $choice)<option value="{{ $choice }}" @selected(($preview->columns[$i] ?? '') === $choice)>{{ $choice }}</option>@endforeach</select></div>@endforeach
        </div><button class="button">Read it so</button></form>
    @endif
    @if ($preview->problems !== [])
        <div class="section-head section-warn"><h2>Not read</h2><span class="soft">the rest can be taken</span></div>
        <ul class="problems">@foreach (array_slice($preview->problems, 0, 100) as $problem)<li><b class="strong">line {{ $problem['line'] }}</b> {{ $problem['what'] }}</li>@endforeach</ul>
        @if ($preview->failed > 100)<p class="soft">{{ $preview->failed - 100 }} more of that kind.</p>@endif
    @endif
    <div class="section-head"><h2>{{ $format === App\Exchange\Format::Own ? 'What it holds' : 'Tasks' }}</h2><span class="soft">@if ($preview->total > count($drafts)) the first {{ count($drafts) }} @endif</span></div>
    <ul class="inbox">
        @foreach ($drafts as $draft)
            <li><span class="pick"></span><span class="when soft">line {{ $draft->line }}</span><span class="source">{{ isset($known[$draft->key]) ? 'taken before' : ($draft->isTask() ? 'new' : str_replace('_', ' ', $draft->own['is'])) }}</span><span class="swatch"></span>
                <span class="what"><span @class(['draft', 'struck' => $draft->done, 'faint' => isset($known[$draft->key])])>{{ $draft->title }}</span>@if ($draft->note) <span class="soft">{{ Str::limit(Str::squish($draft->note), 60) }}</span>@endif</span>
                <span class="facts">@if ($draft->subtasks)<span>{{ count($draft->subtasks) }} subtasks</span>@endif @foreach ($draft->contexts as $context)<span>at {{ $context }}</span>@endforeach @if ($draft->project)<span>project <b class="strong">{{ $draft->project }}</b></span>@endif @if ($draft->importance)<span>{{ $draft->importance->word() }}</span>@endif @if ($draft->minutes)<span>{{ Times::duration($draft->minutes) }}</span>@endif @if ($draft->waitingFor)<span>waiting for {{ $draft->waitingFor }}</span>@endif @if ($draft->due || $draft->dueAt)<span>due <b class="strong">{{ $draft->dueAt ? Times::when($person, $draft->dueAt, $now) : $draft->due }}</b></span>@endif</span></li>
        @endforeach
    </ul>
</x-layout>
