<x-layout title="Weigh" station="weigh">
    <div class="title-row"><h1>What is it worth, how pressing is it?</h1></div>
    @if ($unweighed->isEmpty() && $weighed->isEmpty())
        <div class="section-head"></div>
        <div class="empty"><h2>Nothing to weigh.</h2><p class="soft">@if ($counts['gather']) {{ $counts['gather'] }} things wait in <a href="/gather">Gather</a>: send the oldest here with <span class="key">W</span>. @else Catch a thought first, in <a href="/gather">Gather</a> or with <span class="key">.</span> from any screen. @endif</p></div>
    @endif
    @if ($unweighed->isNotEmpty())
        <section aria-labelledby="unweighed">
            <div class="section-head section-over"><h2 id="unweighed">Unweighed</h2><span class="soft">{{ $unweighedCount }}, oldest first</span></div>
            <x-weigh-table :rows="$unweighed" :tasks="$tasks" :weighed="false" />
            @if ($unweighedCount > count($unweighed))<p class="soft">{{ $unweighedCount - count($unweighed) }} more follow when these are weighed.</p>@endif
        </section>
        <br>
    @endif
    @if ($weighed->isNotEmpty())
        <section aria-labelledby="weighed">
            <div class="section-head"><h2 id="weighed">By pull</h2><span class="soft">{{ $weighedCount }} open, pull = importance + pressure + push + age</span></div>
            <x-weigh-table :rows="$weighed" :tasks="$tasks" :weighed="true" />
            @if ($weighedCount > count($weighed))<p><a href="/weigh?all=1">{{ $weighedCount - count($weighed) }} more, by pull</a></p>@endif
        </section>
    @endif
    <p class="keys">
        <span><span class="key">↑</span><span class="key">↓</span> move</span>
        <span><span class="key">1</span><span class="key">2</span><span class="key">3</span><span class="key">4</span> low, medium, high, vital</span>
        <span><span class="key">T</span> due</span><span><span class="key">M</span> estimate</span><span><span class="key">U</span> undo</span>
    </p>
</x-layout>
