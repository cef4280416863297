{{-- All keys, shown by "?", found by a word. --}}
<dialog id="keys" aria-labelledby="keys-title">
    <div class="keys-head"><h2 id="keys-title">Keys</h2><input class="field" id="keys-search" type="search" aria-label="Find a key by what it does" placeholder="what does …" autocomplete="off" data-not-kept></div>
    <dl>
        @foreach (App\Screens\Keys::all() as $one)
            <div data-means="{{ mb_strtolower($one['means'].' '.$one['show']) }}"><dt>@isset($one['after'])<span class="key">{{ $one['after'] }}</span>@endisset<span class="key">{{ $one['show'] }}</span></dt><dd>{{ $one['means'] }}</dd></div>
        @endforeach
    </dl>
    @if (! ($person->single_keys ?? true))<p class="soft">Single keys are switched off in <a href="/settings">Settings</a>; arrows, Enter and Delete work.</p>@endif
    <form method="dialog"><button class="button button-main">Close</button></form>
</dialog>
