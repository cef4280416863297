@php use App\Wording\Times; @endphp
<x-layout title="Gather" station="gather">
    <div class="title-row">
        <h1>What has come at me?</h1><x-says />
        <p class="end-text soft">one line or fifty; paste a list, <a href="/gather/files">bring in a file</a>, or read <a href="#mail">mail</a></p>
    </div>
    <section aria-labelledby="entry-title" x-data="entry">
        <div class="section-head section-over"><h2 id="entry-title" x-ref="heading">New lines</h2><span class="soft" x-text="summary"></span></div>
        <form method="post" action="/gather" id="entry" x-ref="form" data-clear>
            @csrf
            <div class="entry">
                <textarea name="lines" x-ref="text" aria-label="New lines" placeholder="Draft the offer for 90 min by friday" rows="2" spellcheck="true" @isset($shared) data-given @endisset
                    x-on:input="typed" x-on:keydown="key" @error('lines') aria-invalid="true" aria-describedby="lines-error" @enderror>{{ old('lines', $shared ?? '') }}</textarea>
                <div class="glosses" data-own x-ref="glosses" aria-live="polite"></div>
            </div>
            <div class="learned" data-own x-ref="learned" aria-live="polite"></div>
            <input type="hidden" name="refused" x-ref="refused">
            @error('lines')<p class="error" id="lines-error">{{ $message }}</p>@enderror
            @error('line')<p class="error" role="alert">{{ $message }}</p>@enderror
            <div class="actions">
                <button class="button button-main"><span x-text="keep">Keep</span> <kbd>Ctrl Enter</kbd></button>
                <button class="button" formaction="/meetings/own">As a meeting</button>
                <span class="keys"><span><span class="key">Tab</span> to what was understood</span><span><span class="key">Esc</span> there, take it as plain words</span><span><button class="button button-bare" type="button" data-show="grammar">What can be typed</button></span></span>
            </div>
        </form>
    </section>
    <section class="inbox-part" id="waiting-here" data-own aria-label="Waits to be sent" hidden></section>
    <section class="inbox-part" aria-labelledby="inbox-title">
        <div class="section-head"><h2 id="inbox-title">Inbox</h2><span class="soft">{{ $total }}, oldest first</span></div>
        @error('ids')<p class="error" role="alert">{{ $message }}</p>@enderror
        @foreach (['project', 'waiting_for', 'ask_on', 'return_on'] as $name)@error($name)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
        @if ($items->isEmpty())
            <div class="empty"><h2>Nothing has come in.</h2><p class="soft">Write a line above, or catch one from any screen with <span class="key">.</span> – what waits to be weighed is in <a href="/weigh">Weigh</a>.</p></div>
        @endif
        <datalist id="project-names">@foreach ($projects as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
        <datalist id="people">@foreach ($people as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
        <ul class="inbox" data-list>
            @foreach ($items as $item)
                <li id="item-{{ $item->id }}">
                    <label class="pick"><input type="checkbox" name="ids[]" value="{{ $item->id }}" form="sort" aria-label="Choose {{ $item->title }}" data-key=" "></label>
                    <span class="when soft">{{ Times::when($person, $item->created_at, $now) }}</span>
                    <span class="source">@icon($item->source) {{ __("gather.source.{$item->source}") }}</span>
                    <span class="swatch hue-{{ $item->area->hue }}" title="{{ $item->area->name }}"></span>
                    <span class="what"><a href="/tasks/{{ $item->id }}" data-row>{{ $item->title }}</a> @if ($item->note)<span class="soft">{{ Str::limit(Str::squish($item->note), 60) }}</span>@endif
                        @if ($item->estimate !== null && $item->estimate <= 2)<span class="hint-now">under two minutes: do it at once</span>@endif</span>
                    <span class="facts">
                        <span class="known"><x-task-facts :task="$item" /></span>
                        <span class="buttons">
                            @php $isQuick = $item->estimate !== null && $item->estimate <= 2; @endphp
                            <form method="post" action="/tasks/{{ $item->id }}/weigh" data-leaves data-waits="To Weigh: {{ $item->title }}" @class(['likely' => ! $isQuick])>@csrf<button class="button" data-key="w">Weigh it <kbd>W</kbd></button></form>
                            <form method="post" action="/tasks/sort" data-leaves data-waits="Done: {{ $item->title }}" @class(['likely' => $isQuick])>@csrf<input type="hidden" name="ids[]" value="{{ $item->id }}"><button class="button" name="to" value="done" data-key="d">Done <kbd>D</kbd></button></form>
                            <button class="button others" type="button" data-others aria-expanded="false" aria-label="More answers for {{ $item->title }}">…</button>
                            <x-sort-form :task="$item" to="project" label="Project" key-hint="g" />
                            <x-sort-form :task="$item" to="waiting" label="Waiting" key-hint="b" />
                            <x-sort-form :task="$item" to="someday" label="Someday" key-hint="s" />
                            <form method="post" action="/tasks/sort" data-leaves data-waits="As a note: {{ $item->title }}">@csrf<input type="hidden" name="ids[]" value="{{ $item->id }}"><button class="button" name="to" value="reference" data-key="r">Note <kbd>R</kbd></button></form>
                            <form method="post" action="/tasks/{{ $item->id }}" data-leaves data-waits="Let go: {{ $item->title }}">@csrf @method('delete')<button class="button" data-key="Delete">Let go</button></form>
                        </span>
                    </span>
                </li>
            @endforeach
        </ul>
        @if ($total > count($items))<p class="soft">{{ $total - count($items) }} more follow as these are sorted.</p>@endif
        @if ($items->isNotEmpty())
            <form method="post" action="/tasks/sort" id="sort" class="sort-bar" aria-label="What is chosen">
                @csrf
                <span class="soft">Chosen:</span>
                <button class="button" name="to" value="weigh">to Weigh</button>
                <span class="pair"><input class="field" name="project" list="project-names" aria-label="Project" placeholder="project"><button class="button" name="to" value="project">to project</button></span>
                <span class="pair"><input class="field" name="waiting_for" list="people" aria-label="Waiting for" placeholder="for whom"><button class="button" name="to" value="waiting">waiting</button></span>
                <button class="button" name="to" value="someday">someday</button>
                <button class="button" name="to" value="reference">note</button>
                <button class="button" name="to" value="done">done</button>
                <button class="button" name="to" value="let_go">let go</button>
            </form>
        @endif
        <x-screen-keys on="gather" />
    </section>
    <section class="inbox-part" aria-labelledby="mail">
        <div class="section-head"><h2 id="mail">Mail</h2><span class="soft">{{ count($messages) }} new @if ($putOff), {{ $putOff }} put off @endif · <a href="/gather/mailbox">about this mailbox</a></span></div>
        @error('until')<p class="error" role="alert">{{ $message }}</p>@enderror
        @if ($messages->isEmpty())<p class="soft">No message waits. Any .eml file can be dropped into the mailbox.</p>@endif
        <ul class="inbox inbox-mail" data-list>
            @foreach ($messages as $message)
                <li id="message-{{ $message->id }}">
                    <span class="pick"></span>
                    <span class="when soft">{{ Times::when($person, $message->received_at, $now) }}</span>
                    <span class="source">{{ Str::limit($message->from_name, 18) }}</span>
                    <span class="swatch"></span>
                    <span class="what"><a href="/messages/{{ $message->id }}" data-row>{{ $message->subject }}</a> <span class="soft">{{ Str::limit(Str::squish($message->body), 64) }}</span></span>
                    <span class="facts">
                        <span class="known">@if ($message->attachments_count)<span>@icon('file') {{ $message->attachments_count }}</span>@endif</span>
                        <span class="buttons">
                            <form method="post" action="/messages/{{ $message->id }}/take" class="likely" data-leaves data-waits="A task: {{ $message->subject }}">@csrf<button class="button" data-key="w">Make it a task <kbd>W</kbd></button></form>
                            <button class="button others" type="button" data-others aria-expanded="false" aria-label="More answers for {{ $message->subject }}">…</button>
                            <x-put-off :message="$message" />
                            <form method="post" action="/messages/{{ $message->id }}/state" data-leaves data-waits="Filed: {{ $message->subject }}">@csrf<button class="button" name="state" value="answered">Answered</button> <button class="button" name="state" value="filed" data-key="f">File <kbd>F</kbd></button></form>
                        </span>
                    </span>
                </li>
            @endforeach
        </ul>
    </section>
    @if ($waiting->isNotEmpty() || $someday || $references)
        <section class="inbox-part" aria-labelledby="waiting-title">
            <div class="section-head"><h2 id="waiting-title">Waiting</h2><span class="soft">@if ($someday)<a href="/views/someday">{{ $someday }} for someday</a>@endif @if ($references) · <a href="/views/notes">{{ $references }} kept as notes</a>@endif</span></div>
            <ul class="inbox" data-list>
                @foreach ($waiting as $item)
                    <li id="waiting-{{ $item->id }}">
                        <span class="pick"></span>
                        <span class="when soft">since {{ $item->waiting_since === null ? '' : Times::day($person, Carbon\CarbonImmutable::parse($item->waiting_since.' 12:00', $person->zone), $now) }}</span>
                        <span class="source">{{ Str::limit((string) $item->waiting_for, 16) }}</span>
                        <span class="swatch hue-{{ $item->area->hue }}" title="{{ $item->area->name }}"></span>
                        <span class="what"><a href="/tasks/{{ $item->id }}" data-row>{{ $item->title }}</a></span>
                        <span class="facts">
                            <span class="known">@if ($item->ask_on)<span>ask again <b class="strong">{{ Times::day($person, Carbon\CarbonImmutable::parse($item->ask_on.' 12:00', $person->zone), $now) }}</b></span>@endif</span>
                            <span class="buttons"><form method="post" action="/tasks/{{ $item->id }}/weigh" class="likely" data-leaves data-waits="To Weigh: {{ $item->title }}">@csrf<button class="button" data-key="w">It was answered <kbd>W</kbd></button></form></span>
                        </span>
                    </li>
                @endforeach
            </ul>
        </section>
    @endif
    <x-grammar />
</x-layout>
