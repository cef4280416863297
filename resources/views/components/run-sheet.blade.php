{{-- The day from top to bottom in proportion: what happened, what is planned, how far it can slip. --}}
@props(['sheet', 'why', 'chosen', 'day', 'address', 'gauge', 'pull' => null, 'difference' => null, 'reserve' => null])
@php use App\Wording\Times; @endphp
<div class="sheet" x-ref="sheet" style="--height:{{ $sheet->height }}">
    @foreach ($sheet->closed as $closed)<i class="closed" style="--t:{{ $closed['top'] }};--h:{{ $closed['height'] }}"></i>@endforeach
    <i class="staff"></i>
    @foreach ($sheet->hours as $hour)<span class="hour" style="--t:{{ $hour['top'] }}">{{ $hour['label'] }}</span>@endforeach
    <span class="column-name" style="left:64px;top:12px">actual</span>
    <span class="column-name" style="left:132px;top:12px">planned</span>
    <span class="column-name" style="left:416px;top:12px">slack</span>
    @foreach ($sheet->names as $name)
        <i class="set-line" style="--t:{{ $name['top'] }}"></i><span class="set-name" style="--t:{{ $name['top'] }}">{{ $name['label'] }}</span>
    @endforeach
    @foreach ($sheet->gaps as $gap)<span class="gap-{{ $gap['kind'] }}" style="--t:{{ $gap['top'] }};--h:{{ $gap['height'] }}">{{ $gap['label'] }}</span>@endforeach
    @foreach ($sheet->actual as $actual)
        <i @class(['actual', "actual-{$actual['kind']}"]) style="--t:{{ $actual['top'] }};--h:{{ $actual['height'] }}"></i><span class="actual-time" style="--t:{{ $actual['top'] }}"><span class="sr-only">begun </span>{{ $actual['label'] }}</span>
    @endforeach
    @foreach ($sheet->reserves as $free)
        <a id="reserve-{{ $free['id'] }}" href="{{ $address }}?reserve={{ $free['id'] }}" data-block="reserve" data-row data-reserve="{{ $free['id'] }}" data-minutes="{{ $free['minutes'] }}" data-start="{{ $free['start'] }}"
           @class(['reserve', 'reserve-batch' => $free['count'] > 0, 'reserve-full' => $free['height'] - $free['filled'] < 20, 'block-movable' => $free['movable'], 'block-chosen' => $free['chosen']]) draggable="false"
           title="{{ $free['title'] }}" aria-label="{{ $free['title'] }}, {{ $free['count'] ? 'batch of '.$free['count'] : 'reserved' }}, {{ $free['range'] }}" style="--t:{{ $free['top'] }};--h:{{ $free['height'] }};--f:{{ $free['filled'] }}">
            <span class="title">{{ $free['title'] }}</span><span class="soft">{{ Times::column($free['minutes']) }}</span>
            @if ($free['movable'])<span class="grip" data-grip></span>@endif
        </a>
    @endforeach
    <div data-list>
    @foreach (collect([...$sheet->meetings, ...$sheet->blocks])->sortBy('top') as $item)
        @if (isset($item['task']))
            <a id="block-{{ $item['id'] }}" href="{{ $address }}?block={{ $item['id'] }}" data-row data-block="{{ $item['id'] }}" data-minutes="{{ $item['minutes'] }}" data-start="{{ $item['start'] }}" data-task="{{ $item['task'] }}" @if ($item['anchored'] || $item['begun'] || ! $item['movable']) data-fixed="1" @endif data-mark="{{ $item['mark'] }}"
               @class(['block', "block-{$item['size']}", "block-{$item['state']}", "hue-{$item['hue']}", 'deep' => $item['deep'], 'block-tight' => $item['size'] === 'tall' && $item['height'] < 54, 'block-movable' => $item['movable'], 'block-begun' => $item['begun'], 'block-chosen' => $item['chosen'], 'block-going' => $difference !== null && in_array($item['id'], $difference->going, true), 'block-batched' => $item['batched']])
               aria-label="{{ $item['title'] }}, {{ $item['range'] }}, {{ $item['area'] }}{{ $item['key'] ? ', key task' : '' }}{{ $item['deep'] ? ', deep' : '' }}{{ $item['anchored'] ? ', anchored' : '' }}{{ $item['state'] !== 'planned' ? ", {$item['state']}" : '' }}" @if ($item['chosen']) aria-current="true" @endif
               draggable="false" style="--t:{{ $item['top'] }};--h:{{ $item['height'] }}">
                @spine($item['importance'], $item['height'])
                <span class="body">
                    <span class="title">{{ $item['title'] }}</span>
                    @if ($item['key'])<span class="key-word">key</span>@endif
                    @if ($item['anchored'] && ! $item['batched'])@icon('anchor')@endif
                    @if ($item['carried'] > 0 && $item['state'] === 'planned')<span>@icon('carried'){{ $item['carried'] }}</span>@endif
                    <span class="minutes">{{ Times::column($item['minutes']) }}</span>
                    @if ($item['state'] === 'planned')@pressure($item['pressure'])@endif
                    @if ($item['size'] === 'tall')<span class="second"><span>{{ $item['range'] }}</span><span>{{ $item['extra'] }}</span></span>@endif
                </span>
                @if ($item['movable'])<span class="grip" data-grip></span>@endif
            </a>
        @else
            <a href="/occurrences/{{ $item['id'] }}" draggable="false" id="meeting-{{ $item['id'] }}" @class(['meeting', "meeting-{$item['size']}", 'meeting-free' => ! $item['busy']]) title="{{ $item['title'] }}, {{ $item['range'] }}" style="--t:{{ $item['top'] }};--h:{{ $item['height'] }}">
                <span class="title">{{ $item['title'] }}</span><span class="soft">@if ($item['place'] && mb_strlen($item['title'].$item['place']) < 34)<span class="place">{{ $item['place'] }}, </span>@endif{{ Times::column($item['minutes']) }}</span>
                @if ($item['height'] >= 44)<span class="range">{{ $item['range'] }}</span>@endif
            </a>
        @endif
    @endforeach
    </div>
    @foreach ($difference->ghosts ?? [] as $ghost)
        <div @class(['ghost ghost-stays', 'ghost-low' => $ghost['height'] < 34]) style="top:{{ $ghost['top'] }}px;height:{{ max(12, $ghost['height']) }}px"><span>{{ $ghost['title'] }}</span><span>{{ $ghost['range'] }}</span></div>
    @endforeach
    @php
        $tails = collect($sheet->tails);
        $foot = $sheet->height - 10;
        $outer = $tails->max('x') ?? 0;
        $near = $tails->whereNotNull('x')->min('x');
        $later = $tails->where('kind', 'later')->values();
        $rowOf = fn (array $tail): int => (int) $later->search(fn (array $one): bool => $one['x'] === $tail['x']);
        $lower = fn (array $tail): int => 14 * $tails->where('kind', 'today')->filter(fn (array $one): bool => $one['x'] < $tail['x'] && abs($one['to'] - $tail['to']) < 14)->count();
    @endphp
    <svg class="tails" aria-hidden="true">
        @foreach ($tails as $tail)
            @if ($tail['kind'] === 'none')
                <path class="none" d="M2 {{ $tail['from'] - 4 }}h16" />
            @elseif ($tail['kind'] === 'today')
                <path @class(['track', 'track-near' => $tail['x'] === $near]) d="M0 {{ $tail['from'] }}H{{ $tail['x'] }}V{{ $tail['to'] }}M{{ $tail['x'] - 6 }} {{ $tail['to'] }}h12" />
            @else
                @php $y = $foot - 18 * ($later->count() - 1 - $rowOf($tail)); @endphp
                <path @class(['track', 'track-near' => $tail['x'] === $near]) d="M0 {{ $tail['from'] }}H{{ $tail['x'] }}V{{ $y }}m-4 -6l4 6l4 -6" />
                @if ($tail['x'] < $outer)<path class="track lead" d="M{{ $tail['x'] }} {{ $y - 2 }}H{{ $outer + 8 }}" />@endif
            @endif
        @endforeach
    </svg>
    @foreach ($tails as $tail)
        @if ($tail['kind'] === 'none')
            <span class="tail-label tail-label-none" style="left:calc(var(--lane) + var(--lane-width) + 3px);top:{{ $tail['from'] }}px">{{ $tail['label'] }}</span>
        @elseif ($tail['kind'] === 'today')
            <span @class(['tail-label', 'tail-near' => $tail['x'] === $near]) style="left:calc(var(--lane) + var(--lane-width) + {{ $tail['x'] - 6 }}px);top:{{ $tail['to'] + 3 + $lower($tail) }}px"><span class="sr-only">slack </span>{{ $tail['label'] }}</span>
        @else
            <span @class(['tail-label', 'tail-far' => $tail['x'] === $near]) style="left:calc(var(--lane) + var(--lane-width) + {{ $outer + 10 }}px);top:{{ $foot - 18 * ($later->count() - 1 - $rowOf($tail)) - 10 }}px"><span class="sr-only">can end as late as </span>{{ $tail['label'] }}</span>
        @endif
    @endforeach
    @php
        $top = $chosen === null ? null : collect($sheet->blocks)->firstWhere('id', $chosen->id)['top'] ?? null;
        $whyTop = $top === null ? null : max(34, min($top + 16, $sheet->height - 300));
        $gaugeFoot = (int) ceil(max($gauge->load->open, $gauge->planned) * $gauge->scale) + 14 + 8;
    @endphp
    @foreach ($sheet->notes as $note)
        @unless ($whyTop !== null && $note['top'] > $whyTop - 80 && $note['top'] < $whyTop + 220)
            <p class="margin-note note-text" style="--t:{{ $note['top'] }}">{{ $note['text'] }}</p>
        @endunless
    @endforeach
    @if ($sheet->nowAt !== null)<span class="now-mark" style="--t:{{ $sheet->nowAt }}"><b>{{ $sheet->nowLabel }}</b></span>@endif
    @if ($top !== null && $gauge->chosenAt !== null)
        <i @class(['join', 'join-up' => $gaugeFoot - $gauge->chosenAt < $top + 12, 'join-down' => $gaugeFoot - $gauge->chosenAt >= $top + 12]) style="--from:{{ $top + 12 }};--to:{{ round($gaugeFoot - $gauge->chosenAt, 1) }}"></i>
    @endif
    @if ($reserve !== null)
        @php $at = collect($sheet->reserves)->firstWhere('id', $reserve->id); @endphp
        <section class="why" id="why" style="top:{{ max(34, ($at['top'] ?? 34) + 16) }}px" aria-labelledby="why-title">
            <h2 id="why-title">{{ ($at['count'] ?? 0) ? 'Batch' : 'Reserved' }}</h2>
            <p class="note-why">{{ ($at['count'] ?? 0) ? 'Small tasks in a row; the batch moves as one.' : 'Kept free of planning. Drop small tasks on it, and it becomes a batch.' }}</p>
            <form class="row" method="post" action="/reserves/{{ $reserve->id }}">@csrf @method('patch')<input type="hidden" name="day" value="{{ $day->asString() }}"><input type="hidden" name="title" value="{{ $reserve->title }}">
                <label for="reserve-start">At</label><input class="field" id="reserve-start" name="start" maxlength="5" value="{{ Times::clock($person, $reserve->starts_at) }}"><input class="field field-minutes" name="minutes" inputmode="numeric" maxlength="3" value="{{ App\Rows\RowMapper::time($reserve)->length() }}" aria-label="for how many minutes"><button class="button">Move</button></form>
            <form class="row" method="post" action="/reserves/{{ $reserve->id }}">@csrf @method('delete')<button class="button">Open it again</button><a class="button button-bare" href="{{ $address }}" data-leave>Leave</a></form>
        </section>
    @endif
    @if ($chosen !== null)
        @php
            $ahead = collect($sheet->blocks)->filter(fn (array $one): bool => $one['movable'] && ! $one['begun']);
            $batches = array_values(array_filter($sheet->reserves, fn (array $one): bool => $one['movable']));
        @endphp
        <x-why-here :chosen="$chosen" :why="$why" :top="$whyTop ?? 34" :day="$day" :address="$address" :pull="$pull" :is-key="collect($sheet->blocks)->firstWhere('id', $chosen->id)['key'] ?? false" :others="$ahead->where('id', '!=', $chosen->id)->values()->all()" :joins="$ahead->where('task', $chosen->task_id)->count() > 1" :batches="$chosen->reserve_id === null ? $batches : []" />
    @endif
</div>
