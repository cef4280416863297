@php use App\Wording\Times; $pinnedSoFar = 0; @endphp
<x-layout title="Views" at="views">
    <div class="title-row"><h1>Views</h1><x-says /><span class="soft">Questions asked of the tasks again and again. The tick on each bar is the open time left this week, {{ Times::duration($open) }}.</span><span class="end"><a class="button" href="/search" data-leave>Find <kbd>N</kbd></a><a class="button button-main" href="/views/build" data-page-key="+">A new view <kbd>+</kbd></a></span></div>
    <ul class="views-index" data-list>
        @foreach ($views as $view)
            @php $isPinned = $view['saved']?->pinned; $pinnedSoFar += $isPinned ? 1 : 0; @endphp
            <li class="view-entry" id="view-{{ $view['address'] }}">
                <div><h2><a href="/views/{{ $view['address'] }}" data-row>{{ $view['name'] }}</a></h2>
                    <p class="view-sentence">{{ $view['sentence'] }}</p>
                    <p><b class="strong">{{ $view['count'] }}</b> {{ $view['count'] === 1 ? 'task' : 'tasks' }}@if ($view['minutes']), <b class="strong">{{ Times::duration($view['minutes']) }}</b>@endif @if ($isPinned)<span class="soft">{{ $pinnedSoFar <= App\Screens\Frame\Frame::PINNED ? 'in the head' : 'pinned; the head is full' }}</span>@endif</p>
                    @if ($view['minutes'])<div class="view-bar" aria-hidden="true"><i style="--w:{{ round(1000 * $view['minutes'] / $widest) }}"></i><b style="--l:{{ round(1000 * $open / $widest) }}"></b></div>@endif
                    @if ($view['saved'])<div class="view-acts"><form method="post" action="/views/{{ $view['saved']->id }}">@csrf @method('patch')<input type="hidden" name="pinned" value="{{ $isPinned ? 0 : 1 }}"><button class="button button-bare">{{ $isPinned ? 'Take out of the head' : 'Pin to the head' }}</button></form>
                        <a class="button button-bare" href="/views/build?view={{ $view['saved']->id }}">Change</a>
                        <form method="post" action="/views/{{ $view['saved']->id }}" data-whole>@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $view['name'] }} away">×</button></form></div>@endif</div>
                <div>
                    @foreach ($view['tasks'] as $task)<div class="view-task hue-{{ $task->area->hue }}">@spine($task->importance->value ?? 0, 18)<a href="/tasks/{{ $task->id }}" @class(['grow', 'struck' => $task->done_at])>{{ $task->title }}</a>@if ($task->carried)<span class="soft">@icon('carried'){{ $task->carried }}</span>@endif
                        <span class="soft">@if ($task->waiting_for){{ $task->waiting_for }}@elseif ($task->done_at){{ Times::day($person, $task->done_at, $now) }}@elseif ($task->due_at){{ Times::day($person, $task->due_at, $now) }}@elseif ($task->due_on){{ Times::day($person, Carbon\CarbonImmutable::parse($task->due_on.' 12:00', $person->zone), $now) }}@endif</span>
                        <span class="view-minutes">{{ $task->done_at === null && $task->estimate !== null ? Times::column($task->minutesLeft($now)) : '' }}</span></div>@endforeach
                    @if ($view['count'] === 0)<p class="soft">Nothing like that now.</p>@else<p><a class="soft" href="/views/{{ $view['address'] }}">{{ $view['count'] > count($view['tasks']) ? 'and '.($view['count'] - count($view['tasks'])).' more' : 'all of them' }}</a></p>@endif
                </div>
            </li>
        @endforeach
    </ul>
    <x-screen-keys on="views" />
</x-layout>
