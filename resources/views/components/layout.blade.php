{{-- The frame of every screen: head, ribbon, one main thing, and what was said last. --}}
@props(['title', 'station' => null, 'at' => null, 'quiet' => false, 'foot' => null])
<!doctype html>
<html lang="en" data-theme="{{ $person->theme ?? 'auto' }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>{{ $title }} · Nekto</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body @auth data-single-keys="{{ $person->single_keys ? 'on' : 'off' }}" data-clock="{{ App\Time\Clock::stands() ? 'stands' : 'runs' }}" data-sound="{{ $person->sound ? 'on' : 'off' }}" @endauth @class(['quiet-page' => $quiet])>
<div id="page" @auth data-pulse="{{ $mark }}" @endauth>
    <a class="skip" href="#main">To the content</a>
    @if (Auth::check() && ! $quiet)
        <header>
            <div class="head">
                <a class="wordmark" href="/shape" aria-label="Nekto, to today">Nekto</a>
                <nav class="stations" aria-label="Stations">
                    <x-station name="Gather" href="/gather" :count="$counts['gather'] ?: null" :current="$station === 'gather'" key-hint=",g" />
                    <x-station name="Weigh" href="/weigh" :count="$counts['weigh'] ?: null" :current="$station === 'weigh'" key-hint=",w" />
                    <x-station name="Shape" href="/shape" :current="$station === 'shape'" key-hint=",s" />
                    <x-station name="Work" href="/work" :current="$station === 'work'" key-hint=",k" />
                    <x-station name="Close" href="/close" :current="$station === 'close'" key-hint=",c" />
                </nav>
                <nav class="views" aria-label="Views">
                    @foreach ($pinned as $id => $name)<a class="pinned" href="/views/{{ $id }}" title="{{ $name }}">{{ $name }}</a>@endforeach
                    <a href="/projects" @if ($at === 'projects') aria-current="page" @endif>Projects</a>
                    <a href="/views" @if ($at === 'views') aria-current="page" @endif>Views</a>
                    <a href="/search" data-page-key="n" @if ($at === 'search') aria-current="page" @endif>Search</a>
                    <a href="/meetings" @if ($at === 'meetings') aria-current="page" @endif>Meetings</a>
                </nav>
                <form class="catch" method="post" action="/gather" data-clear x-data="entry" x-ref="form">
                    @csrf
                    <input id="catch" name="lines" x-ref="text" x-on:input="typed" aria-label="Catch a thought" placeholder="Catch a thought" autocomplete="off" maxlength="2000">
                    <input type="hidden" name="refused" x-ref="refused">
                    <span class="key" aria-hidden="true">.</span>
                    <div class="glosses catch-panel" x-ref="glosses" aria-live="polite"></div>
                </form>
                <details class="person">
                    <summary>{{ $person->name }}</summary>
                    <div class="menu">
                        <a href="/settings">Settings</a>
                        <button type="button" data-show="keys">All keys</button>
                        @if ($undo)<x-undo :revision="$undo->id"><button data-page-key="u">{{ $undo->label }}</button></x-undo>@endif
                        @if ($redo)<x-undo :revision="$redo" again><button data-page-key="U">Redo: take the undo back</button></x-undo>@endif
                        <form method="post" action="/sign-out" data-whole>@csrf<button>Sign out</button></form>
                    </div>
                </details>
            </div>
            <x-ribbon :ribbon="$ribbon" />
        </header>
    @endif
    <main id="main" tabindex="-1" @auth class="page" @endauth>
        @isset($notMended)<p class="warning" role="alert">{{ $notMended }}</p>@endisset
        {{ $slot }}
    </main>
    @if (Auth::check() && ! $quiet)
        <nav class="foot-nav page" aria-label="More">
            <a href="/projects">Projects</a>
            <a href="/views">Views</a>
            <a href="/search">Search</a>
            <a href="/meetings">Meetings</a>
            <a href="/settings">Settings</a>
            @if ($undo)<x-undo :revision="$undo->id"><button>{{ $undo->label }}</button></x-undo>@endif
            <form method="post" action="/sign-out" data-whole>@csrf<button>Sign out</button></form>
        </nav>
    @endif
    @if (Auth::check() && ! $quiet)
        {{-- On a phone, under the thumb beside the catch field: what the page mainly does. --}}
        <div @class(['foot-bar', 'foot-acts' => $foot !== null])>{{ $foot }}</div>
    @endif
    @auth
        @if (session('status'))
            <div class="toast" role="status" id="toast" x-data="toast">
                <span>{{ session('status') }}</span>
                @if (session('offer') !== null)
                    <form method="post" action="{{ session('offer')['action'] }}">@csrf @foreach (session('offer')['fields'] as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach<button>{{ session('offer')['label'] }}</button></form>
                @endif
                @if (session('revision') !== null)
                    <x-undo :revision="session('revision')"><button>Undo <span aria-hidden="true">&nbsp;U</span></button></x-undo>
                @endif
                <button class="close" type="button" x-on:click="close" aria-label="Close">×</button>
            </div>
        @endif
        <x-keys />
    @endauth
</div>
</body>
</html>
