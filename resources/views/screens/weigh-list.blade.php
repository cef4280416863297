<x-layout title="Weigh, as a list" station="weigh">
    <div class="title-row"><h1>What is it worth, how pressing is it?</h1><x-says /><span class="end">
        <form method="get" action="/weigh/list" class="pair" data-on-change><label class="label" for="group">grouped</label><select class="field" id="group" name="group">@foreach (__('weigh.groups') as $value => $words)<option value="{{ $value }}" @selected($group === $value)>{{ $words }}</option>@endforeach</select><noscript><button class="button">Show</button></noscript></form>
        <a class="button" href="/weigh" data-page-key="v">As a field <kbd>V</kbd></a></span></div>
    @if ($unweighed->isEmpty() && $weighedCount === 0)
        <div class="section-head"></div>
        <div class="empty"><h2>Nothing to weigh.</h2><p class="soft">Catch a thought first, in <a href="/gather">Gather</a> or with <span class="key">.</span> from any screen.</p></div>
    @endif
    @error('ids')<p class="error" role="alert">{{ $message }}</p>@enderror
    @if ($unweighed->isNotEmpty())
        <section aria-labelledby="unweighed">
            <div class="section-head section-over"><h2 id="unweighed">Unweighed</h2><span class="soft">{{ $unweighedCount }}, oldest first</span></div>
            <x-weigh-table :rows="$unweighed" :tasks="$tasks" :weighed="false" :areas="$areas" :projects="$projects" :before="$before" />
            @if ($unweighedCount > count($unweighed))<p class="soft">{{ $unweighedCount - count($unweighed) }} more follow when these are weighed.</p>@endif
        </section>
        <br>
    @endif
    @foreach ($groups as $name => $rows)
        <section aria-labelledby="group-{{ $loop->index }}">
            <div class="section-head"><h2 id="group-{{ $loop->index }}">{{ $name === '' ? 'By pull' : preg_replace('/^\d /', '', (string) $name) }}</h2><span class="soft">@if ($loop->first){{ $weighedCount }} open, pull = importance + pressure + push + age @else {{ count($rows) }} @endif</span></div>
            <x-weigh-table :rows="$rows" :tasks="$tasks" :weighed="true" :chances="$chances" :areas="$areas" :projects="$projects" :before="$before" />
        </section>
    @endforeach
    @if ($weighedCount > $shown)<p><a href="/weigh/list?all=1&group={{ $group }}">{{ $weighedCount - $shown }} more, by pull</a></p>@endif
    <form method="post" action="/tasks/many" id="sort" class="sort-bar" aria-label="What is chosen">
        @csrf
        <span class="soft">Chosen:</span>
        <select class="field" name="importance" aria-label="Importance"><option value="">importance</option>@foreach (Nekto\Core\Task\Importance::cases() as $case)<option value="{{ $case->value }}">{{ $case->word() }}</option>@endforeach</select>
        <x-day name="due_date" aria-label="Due" />
        <select class="field" name="area_id" aria-label="Area"><option value="">area</option>@foreach ($areas as $area)<option value="{{ $area->id }}">{{ $area->name }}</option>@endforeach</select>
        <select class="field" name="push" aria-label="Push"><option value="">push</option><option value="1">treat as urgent</option><option value="0">none</option><option value="-1">hold back</option></select>
        <input class="field" name="project" list="project-names" aria-label="Project" placeholder="project">
        <datalist id="project-names">@foreach ($projects as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
        <button class="button button-main">Change</button>
        <button class="button" formaction="/tasks/sort" name="to" value="done">done</button>
        <button class="button" formaction="/tasks/sort" name="to" value="someday">someday</button>
        <button class="button" formaction="/tasks/sort" name="to" value="let_go">let go</button>
    </form>
    <x-screen-keys on="list" />
</x-layout>
