<x-layout title="Find, or do" at="search">
    <div class="title-row"><h1>Find, or do</h1><x-says /><span class="soft">a word finds; a word and what to do with it does</span><span class="end keys"><span><span class="key">N</span> from any screen</span></span></div>
    <div class="find-head">
        <form method="get" action="/search" class="find-line" role="search" id="find" data-find data-whole><input name="q" id="find-q" value="{{ $words }}" aria-label="Words to find, and what to do" maxlength="200" autocomplete="off" spellcheck="false" data-first autofocus>
            <p class="soft find-hint">also in one line: lyon <b>to Adaeze, ask fri</b> · ghent <b>thursday 9</b> · index <b>45 min</b> · essay <b>done</b></p><button hidden>Find</button></form>
        <div id="find-lie" data-own>@if ($lie !== [])<div class="lie" role="img" aria-label="Where they lie: {{ implode(', ', array_map(fn ($one) => $one['day'].' '.($one['past'] + $one['ahead']), array_filter($lie, fn ($one) => $one['past'] + $one['ahead'] > 0))) }}">
            @foreach ($lie as $one)<span @class(['lie-day', 'lie-today' => $one['today']])><i>@for ($i = 0; $i < min(6, $one['past'] + $one['ahead']); $i++)<b @class(['lie-past' => $one['past'] > 0])></b>@endfor</i>@if ($one['named'])<em>{{ $one['day'] }}</em>@endif</span>@endforeach</div>@endif</div>
    </div>
    @error('q')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div id="found" aria-live="polite">
        @if ($does !== [])
            <ul class="index-does" data-list aria-label="What this line does">@foreach ($does as $i => $one)<li id="does-{{ $one['task']->id }}"><form method="post" action="/search/do/{{ $one['task']->id }}">@csrf<input type="hidden" name="q" value="{{ $words }}"><button class="does" data-row @if ($i === 0) data-does @endif><span class="swatch hue-{{ $one['task']->area->hue }}"></span> {{ $one['task']->title }} <span class="over">→ {{ $one['does'] }}</span> @if ($i === 0)<span class="key">Enter</span>@endif</button></form></li>@endforeach</ul>
        @endif
        @if ($words !== '' && $count === 0)<div class="empty"><h2>Nothing found.</h2><p class="soft">Try fewer or other words.</p></div>@endif
        @if ($words === '')<div class="empty"><p class="soft">Tasks, projects, meetings, mail, files, what is done and what was let go, settings and screens: all in one index. Accents and capitals do not matter, slips are forgiven.</p></div>@endif
        <div class="index">
            @foreach ($groups as $kind => $entries)
                <section class="index-kind" aria-labelledby="kind-{{ $kind }}"><div class="index-head"><h2 id="kind-{{ $kind }}">{{ __("find.kinds.{$kind}") }}</h2><span class="soft">{{ count($entries) }}</span></div>
                    <ul data-list>@foreach ($entries as $one)
                        <li id="{{ $one->id }}" @class(['entry-row', "hue-{$one->hue}" => $one->hue !== ''])>
                            <div class="entry-main">@if ($one->hue !== '')<span class="swatch"></span>@endif<a href="{{ $one->address }}" data-row @if (str_contains($one->address, '/export/')) data-whole download @endif @class(['struck' => $one->state === 'done', 'faint' => $one->state === 'gone'])>@foreach (App\Wording\Found::parts($one->title, $sought) as [$letters, $isFound])<span @class(['found' => $isFound])>{{ $letters }}</span>@endforeach</a><i class="leader"></i><span class="entry-place">{{ $one->place }}</span></div>
                            @if ($one->note !== '')<p class="entry-note soft">{{ Str::limit($one->note, 130) }}</p>@endif
                            @if ($one->task && $one->state === '')
                                <div class="entry-acts">
                                    <form method="post" action="/tasks/{{ $one->task->id }}/place">@csrf<input type="hidden" name="day" value="{{ $person->local($now)->format('Y-m-d') }}"><button data-key="p">– pick for today, an hour<i class="leader"></i><span @class(['coral' => $isOver])>{{ $load }}</span> <span class="key">P</span></button></form>
                                    <details class="asks"><summary data-key="z">– hand off<i class="leader"></i><span>to whom, and when it is asked about</span> <span class="key">Z</span></summary><form method="post" action="/tasks/sort" class="menu">@csrf<input type="hidden" name="ids[]" value="{{ $one->task->id }}"><label for="to-{{ $one->task->id }}">To whom</label><input class="field" id="to-{{ $one->task->id }}" name="waiting_for" maxlength="200" required><label for="ask-{{ $one->task->id }}">Ask again on</label><x-day id="ask-{{ $one->task->id }}" name="ask_on" :keeps="false" /><button class="button button-main" name="to" value="waiting">Hand off</button></form></details>
                                    <details class="asks"><summary data-key="t">– another due date<i class="leader"></i><span>{{ $one->due }}</span> <span class="key">T</span></summary><form method="post" action="/tasks/{{ $one->task->id }}" class="menu">@csrf @method('patch')<label for="due-{{ $one->task->id }}">Due</label><x-day id="due-{{ $one->task->id }}" name="due_date" :value="$one->task->due_on" :keeps="false" /><button class="button button-main">Keep it</button></form></details>
                                    <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $one->task->id }}"><button name="to" value="done" data-key="d">– done<i class="leader"></i><span></span> <span class="key">D</span></button></form>
                                </div>
                            @elseif ($one->task && $one->state === 'done')
                                <div class="entry-acts"><form method="post" action="/tasks/{{ $one->task->id }}/reopen">@csrf<button data-key="d">– open it again<i class="leader"></i><span>with its minutes</span> <span class="key">D</span></button></form></div>
                            @elseif ($one->task)
                                <div class="entry-acts"><form method="post" action="/tasks/{{ $one->task->id }}/bring-back">@csrf<button data-key="d">– bring it back<i class="leader"></i><span>with all it had</span> <span class="key">D</span></button></form></div>
                            @endif
                        </li>@endforeach</ul></section>
            @endforeach
            @if ($words !== '')<section class="index-kind" aria-labelledby="kind-word"><div class="index-head"><h2 id="kind-word">The word itself</h2></div><ul data-list><li id="word-thought"><form method="post" action="/gather">@csrf<input type="hidden" name="lines" value="{{ $words }}"><button class="does" data-row>“{{ $words }}”, as a thought<i class="leader"></i><span>Gather</span></button></form></li></ul></section>@endif
        </div>
    </div>
    <x-screen-keys on="find" />
</x-layout>
