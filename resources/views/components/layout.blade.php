{{-- The frame of every screen: head, ribbon, one main thing, and what was said last. --}}
@props(['title', 'station' => null, 'at' => null, 'quiet' => false, 'foot' => null, 'said' => false])
<!doctype html>
<html lang="en" data-theme="{{ $person->theme ?? 'auto' }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>{{ $title }} · Nekto</title>
    <meta name="theme-color" content="#F4F5EF" media="(prefers-color-scheme: light)">
    <meta name="theme-color" content="#0F191E" media="(prefers-color-scheme: dark)">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-180.png">
    <link rel="manifest" href="/nekto.webmanifest">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body @auth data-single-keys="{{ $person->single_keys ? 'on' : 'off' }}" data-clock="{{ App\Time\Clock::stands() ? 'stands' : 'runs' }}" data-sound="{{ $person->sound ? 'on' : 'off' }}" @endauth @class(['quiet-page' => $quiet])>
<div id="page" @auth data-account="{{ $person->id }}" data-pulse="{{ $mark }}" data-now="{{ now()->getTimestampMs() }}" data-zone="{{ $person->zone }}" @if ($person->twelve_hours) data-twelve @endif @endauth @if ($errors->any()) data-refused="{{ $errors->first() }}" @endif>
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
                    <a href="/week" @if ($at === 'week') aria-current="page" @endif>Week</a>
                    <a href="/horizon" @if ($at === 'horizon') aria-current="page" @endif>Horizon</a>
                    <a href="/goals" @if ($at === 'goals') aria-current="page" @endif>Goals</a>
                    <a href="/ledger" @if ($at === 'ledger') aria-current="page" @endif>Ledger</a>
                    <a href="/search" data-page-key="n" @if ($at === 'search') aria-current="page" @endif>Find</a>
                    @if ($pinned)<span class="pinned-row">@foreach ($pinned as $id => $name)<a class="pinned" href="/views/{{ $id }}" title="{{ $name }}">{{ $name }}</a>@endforeach</span>@endif
                </nav>
                <form class="catch" method="post" action="/gather" data-clear x-data="entry" x-ref="form">
                    @csrf
                    <input id="catch" name="lines" x-ref="text" x-on:input="typed" aria-label="Catch a thought" placeholder="Catch a thought" autocomplete="off" maxlength="2000">
                    <input type="hidden" name="refused" x-ref="refused">
                    <span class="key" aria-hidden="true">.</span>
                    <div data-own class="glosses catch-panel" x-ref="glosses" aria-live="polite"></div>
                </form>
                <details class="person">
                    <summary>{{ $person->name }}</summary>
                    <div class="menu">
                        <a href="/projects">Projects</a>
                        <a href="/views">Views</a>
                        <a href="/meetings">Meetings</a>
                        <a href="/reports">Reports</a>
                        <a href="/settings">Settings</a>
                        <a href="/account">Your account</a>
                        @if ($lenses !== [] && ! $lens->isOn())<form method="post" action="/lens">@csrf<button name="to" value="next" data-page-key="0">Narrow to {{ reset($lenses) }} <kbd>0</kbd></button>@foreach (array_slice($lenses, 1, null, true) as $id => $name)<button name="to" value="{{ $id }}">Narrow to {{ $name }}</button>@endforeach</form>@endif
                        <button type="button" data-show="keys">All keys</button>
                        @if ($undo)<x-undo :revision="$undo->id"><button data-page-key="u">{{ $undo->label }}</button></x-undo>@endif
                        @if ($redo)<x-undo :revision="$redo" again><button data-page-key="U">Redo: take the undo back</button></x-undo>@endif
                        <form method="post" action="/sign-out" data-whole>@csrf<button>Sign out</button></form>
                    </div>
                </details>
            </div>
            <x-ribbon :ribbon="$ribbon" />
            @if ($person->sample_of !== null)
                <div class="lens-line"><form method="post" action="/sample/end" data-whole>@csrf<span>This is a filled sample, the day of {{ $person->name }}. Nothing of it is kept.</span><button class="button">Back to your own day</button></form></div>
            @elseif ($person->first_day !== null && ! request()->routeIs('first.show'))
                <div class="lens-line first-line"><span>Your first day goes on: five steps, then the day is laid out.</span><a @class(['button', 'button-over' => request()->routeIs('weigh.*') && $counts['weigh'] === 0]) href="/first-day">Go on</a></div>
            @endif
            @if ($lens->isOn())
                <div class="lens-line" role="status"><form method="post" action="/lens">@csrf<span>@if (request()->routeIs('gather.index', 'weigh.*', 'shape.*', 'work.show', 'close.show', 'meetings.index', 'projects.index', 'goals.index'))Only <b>{{ $lens->name() }}</b> is listed{{ $lens->areas() === [] ? '; no area belongs to it yet' : '' }}. <span class="lens-more">Plan, gauge and figures are of everything.</span>@else You look through <b>{{ $lens->name() }}</b>. <span class="lens-more">This page is of everything.</span>@endif</span><button class="button button-bare" name="to" value="">Everything</button><button class="button button-bare" name="to" value="next" data-page-key="0">Next <kbd>0</kbd></button>@if ($lens->areas() === [])<a href="/settings/areas#groups">Say what belongs to it</a>@endif</form></div>
            @endif
        </header>
    @endif
    <main id="main" tabindex="-1" @auth class="page" @endauth>
        @if ($said)<div class="title-row title-row-bare"><x-says /></div>@endif
        {{ $slot }}
    </main>
    @if (Auth::check() && ! $quiet)
        <nav class="foot-nav page" aria-label="More">
            <a href="/week">Week</a>
            <a href="/horizon">Horizon</a>
            <a href="/goals">Goals</a>
            <a href="/ledger">Ledger</a>
            <a href="/reports">Reports</a>
            <a href="/projects">Projects</a>
            <a href="/views">Views</a>
            <a href="/search">Search</a>
            <a href="/meetings">Meetings</a>
            <a href="/settings">Settings</a>
            <a href="/account">Your account</a>
            @if ($undo)<x-undo :revision="$undo->id"><button>{{ $undo->label }}</button></x-undo>@endif
            <form method="post" action="/sign-out" data-whole>@csrf<button>Sign out</button></form>
        </nav>
    @endif
    @if (Auth::check() && ! $quiet)
        {{-- On a phone, under the thumb beside the catch field: what the page mainly does. --}}
        <div @class(['foot-bar', 'foot-acts' => $foot !== null])>{{ $foot }}</div>
    @endif
    @auth
        <x-keys />
    @endauth
</div>
</body>
</html>
