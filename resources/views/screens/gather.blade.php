<x-layout title="Gather" station="gather">
    <div class="title-row">
        <h1>What has come at me?</h1>
        <span class="end soft">one line or fifty</span>
    </div>
    <section aria-labelledby="entry-title" x-data="entry">
        <div class="section-head section-over"><h2 id="entry-title">New lines</h2><span class="soft" x-text="summary"></span></div>
        <form method="post" action="/gather" id="entry" x-ref="form" data-clear>
            @csrf
            <div class="entry">
                <div class="glosses" x-ref="glosses" aria-live="polite"></div>
                <textarea name="lines" x-ref="text" aria-label="New lines" placeholder="Draft the wall text for room 2 for 90 min by friday" maxlength="20000" rows="2"
                    x-on:input="typed" x-on:keydown="key" @error('lines') aria-invalid="true" aria-describedby="lines-error" @enderror>{{ old('lines') }}</textarea>
            </div>
            <input type="hidden" name="refused" x-ref="refused">
            @error('lines')<p class="error" id="lines-error">{{ $message }}</p>@enderror
            <div class="actions">
                <button class="button button-main">Keep <kbd>Ctrl Enter</kbd></button>
                <span class="keys"><span><span class="key">Tab</span> to what was understood</span><span><span class="key">Esc</span> there, take it as plain words</span></span>
            </div>
        </form>
    </section>
    <section class="inbox-part" aria-labelledby="inbox-title">
        <div class="section-head"><h2 id="inbox-title">Inbox</h2><span class="soft">{{ count($items) }}, oldest first</span></div>
        @if ($items->isEmpty())
            <div class="empty"><h2>Nothing has come in.</h2><p class="soft">Write a line above, or catch one from any screen with <span class="key">.</span> – what waits to be weighed is in <a href="/weigh">Weigh</a>.</p></div>
        @endif
        <ul class="inbox" data-list>
            @foreach ($items as $item)
                <li id="item-{{ $item->id }}">
                    <span class="when soft">{{ $person->local($item->created_at)->isSameDay($person->local($now)) ? $person->local($item->created_at)->format('H:i') : $person->local($item->created_at)->format('D H:i') }}</span>
                    <span class="source"><x-icon :name="$item->source" /> {{ __("gather.source.{$item->source}") }}</span>
                    <span class="swatch hue-{{ $item->area->hue }}" title="{{ $item->area->name }}"></span>
                    <span class="what"><a href="/tasks/{{ $item->id }}" data-row>{{ $item->title }}</a> @if ($item->note)<span class="soft">{{ Str::limit($item->note, 60) }}</span>@endif</span>
                    <span class="facts">
                        @if ($item->importance)<span>importance <b class="strong">{{ $item->importance->word() }}</b></span>@endif
                        @if ($item->estimate)<span>estimate <b class="strong">{{ App\Wording\Times::duration($item->estimate) }}</b></span>@endif
                        @if ($item->due_at)<span>due <b class="strong">{{ App\Wording\Times::when($person, $item->due_at, $now) }}</b></span>
                        @elseif ($item->due_on)<span>due <b class="strong">{{ App\Wording\Times::day($person, Carbon\CarbonImmutable::parse($item->due_on.' 12:00', $person->zone), $now) }}</b></span>@endif
                        <span class="buttons">
                            <form method="post" action="/tasks/{{ $item->id }}/weigh">@csrf<button class="button" data-key="w">Weigh it <kbd>W</kbd></button></form>
                            <form method="post" action="/tasks/{{ $item->id }}">@csrf @method('delete')<button class="button" data-key="Delete">Let go</button></form>
                        </span>
                    </span>
                </li>
            @endforeach
        </ul>
        <p class="keys">
            <span><span class="key">↑</span><span class="key">↓</span> move</span>
            <span><span class="key">Enter</span> open</span>
            <span><span class="key">W</span> to Weigh</span>
            <span><span class="key">Delete</span> let go, can be undone</span>
        </p>
    </section>
</x-layout>
