{{-- The day from top to bottom in proportion: what happened, what is planned, how far it can slip. --}}
@props(['sheet', 'why', 'chosen', 'day', 'address', 'gauge', 'pull' => null, 'difference' => null, 'reserve' => null, 'place' => null, 'lunch' => false])
@php use App\Screens\Shape\SheetBlock; use App\Wording\Times; @endphp
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
    @foreach ($sheet->gaps as $gap)@if ($gap['kind'] === 'lunch')<a class="gap-lunch" href="{{ $address }}?lunch=1" data-here style="--t:{{ $gap['top'] }};--h:{{ $gap['height'] }}">{{ $gap['label'] }}</a>@else<span class="gap-{{ $gap['kind'] }}" style="--t:{{ $gap['top'] }};--h:{{ $gap['height'] }}">{{ $gap['label'] }}</span>@endif @endforeach
    @foreach ($sheet->actual as $actual)
        <i @class(['actual', "actual-{$actual['kind']}"]) style="--t:{{ $actual['top'] }};--h:{{ $actual['height'] }}"></i><span class="actual-time" style="--t:{{ $actual['top'] }}"><span class="sr-only">begun </span>{{ $actual['label'] }}</span>
    @endforeach
    @foreach ($sheet->reserves as $free)
        <a id="{{ $free->key }}" href="{{ $address }}?{{ $free->routine ? 'routine='.$free->routine->routine->id : 'reserve='.$free->id }}" data-block="reserve" data-row data-move="{{ $free->address }}" @if ($free->id) data-reserve="{{ $free->id }}" @endif data-minutes="{{ $free->minutes }}" data-start="{{ $free->start }}"
           @class(['reserve', 'reserve-routine' => $free->routine, 'reserve-under' => $free->under, 'reserve-deep' => $free->routine?->routine->deep, 'reserve-batch' => $free->count > 0, 'reserve-full' => $free->height - $free->filled < 20, 'block-movable' => $free->movable, 'block-chosen' => $free->chosen]) draggable="false"
           title="{{ $free->title }}" aria-label="{{ $free->title }}, {{ $free->count ? 'batch of '.$free->count : ($free->routine?->routine->deep ? 'for deep work' : ($free->routine ? 'every week' : 'reserved')) }}, {{ $free->range }}" style="--t:{{ $free->top }};--h:{{ $free->height }};--f:{{ $free->filled }}">
            <span class="title">{{ $free->title }}</span><span class="soft">@if ($free->routine && $free->routine->routine->parts){{ count($free->routine->ticked) }} of {{ count($free->routine->routine->parts) }} · @endif{{ Times::column($free->minutes) }}</span>
            @if ($free->movable)<span class="grip" data-grip></span>@endif
        </a>
    @endforeach
    <div data-list>
    @foreach ($sheet->items() as $item)
        @if ($item instanceof SheetBlock)
            <a id="block-{{ $item->id }}" href="{{ $address }}?block={{ $item->id }}" data-row data-block="{{ $item->id }}" data-minutes="{{ $item->minutes }}" data-start="{{ $item->start }}" data-task="{{ $item->task }}" @if ($item->anchored || $item->begun || ! $item->movable) data-fixed="1" @endif data-mark="{{ $item->mark }}"
               @class(['block', "block-{$item->size}", "block-{$item->state}", "hue-{$item->hue}", 'deep' => $item->deep, 'block-tight' => $item->size === 'tall' && $item->height < 54, 'block-movable' => $item->movable, 'block-begun' => $item->begun, 'block-chosen' => $item->chosen, 'block-going' => $difference !== null && in_array($item->id, $difference->going, true), 'block-batched' => $item->batched, 'block-outside' => $item->outside])
               aria-label="{{ $item->title }}, {{ $item->range }}, {{ $item->area }}{{ $item->key ? ', key task' : '' }}{{ $item->deep ? ', deep' : '' }}{{ $item->anchored ? ', anchored' : '' }}{{ $item->state !== 'planned' ? ", {$item->state}" : '' }}" @if ($item->chosen) aria-current="true" @endif
               draggable="false" style="--t:{{ $item->top }};--h:{{ $item->height }}">
                @spine($item->importance, $item->height)
                <span class="body">
                    <span class="title">{{ $item->title }}</span>
                    @if ($item->key)<span class="key-word">key</span>@endif
                    @if ($item->anchored && ! $item->batched)@icon('anchor')@endif
                    @if ($item->carried > 0 && $item->state === 'planned')<span>@icon('carried'){{ $item->carried }}</span>@endif
                    <span class="minutes">{{ Times::column($item->minutes) }}</span>
                    @if ($item->state === 'planned')@pressure($item->pressure)@endif
                    @if ($item->size === 'tall')<span class="second"><span>{{ $item->range }}</span><span>{{ $item->extra }}</span></span>@endif
                </span>
                @if ($item->movable)<span class="grip" data-grip></span>@endif
            </a>
        @else
            <a href="/occurrences/{{ $item->id }}" draggable="false" id="meeting-{{ $item->id }}" @class(['meeting', "meeting-{$item->size}", "hatch-{$item->hatching}", 'meeting-free' => ! $item->busy, 'meeting-joined' => $item->link !== null, 'meeting-crosses' => $item->crosses]) title="{{ $item->title }}, {{ $item->range }}" style="--t:{{ $item->top }};--h:{{ $item->height }}">
                <span class="title">{{ $item->title }}</span><span class="soft">@if ($item->place && mb_strlen($item->title.$item->place) < 34)<span class="place">{{ $item->place }}, </span>@endif{{ Times::column($item->minutes) }}</span>
                @if ($item->height >= 44)<span class="range">{{ $item->range }}</span>@endif
            </a>
            @if ($item->link)<a class="meeting-join" href="{{ $item->link }}" rel="noopener noreferrer" target="_blank" title="Join {{ $item->title }}" @unless ($joins ?? false) data-page-key="h" @endunless style="--t:{{ $item->top }};--h:{{ $item->height }}">Join @unless ($joins ?? false)<kbd>H</kbd>@endunless</a>@php $joins = true; @endphp @endif
        @endif
    @endforeach
    </div>
    @foreach ($difference->ghosts ?? [] as $ghost)
        <div @class(['ghost ghost-stays', 'ghost-low' => $ghost['height'] < 34]) style="top:{{ $ghost['top'] }}px;height:{{ max(12, $ghost['height']) }}px"><span>{{ $ghost['title'] }}</span><span>{{ $ghost['range'] }}</span></div>
    @endforeach
    <svg class="tails" aria-hidden="true">
        @foreach ($sheet->tails as $tail)
            <path @class(['none' => $tail->kind === 'none', 'track' => $tail->kind !== 'none', 'track-near' => $tail->near]) d="{{ $tail->path }}" />
            @if ($tail->lead !== null)<path class="track lead" d="{{ $tail->lead }}" />@endif
        @endforeach
    </svg>
    @foreach ($sheet->tails as $tail)
        <span @class(['tail-label', 'tail-label-none' => $tail->kind === 'none', 'tail-near' => $tail->near && $tail->kind === 'today', 'tail-far' => $tail->near && $tail->kind === 'later']) style="left:calc(var(--lane) + var(--lane-width) + {{ $tail->left }}px);top:{{ $tail->top }}px">@if ($tail->spoken !== '')<span class="sr-only">{{ $tail->spoken }} </span>@endif{{ $tail->label }}</span>
    @endforeach
    @foreach ($sheet->notes as $note)
        @unless ($place?->covers($note['top']))
            <p class="margin-note note-text" style="--t:{{ $note['top'] }}">{{ $note['text'] }}</p>
        @endunless
    @endforeach
    @if ($sheet->nowAt !== null)<span @class(['now-mark', 'now-top' => $sheet->nowAt < 10]) style="--t:{{ $sheet->nowAt }}"><b>{{ $sheet->nowLabel }}</b></span>@endif
    @if ($place?->joinTo !== null)<i @class(['join', 'join-up' => $place->joinsUpward(), 'join-down' => ! $place->joinsUpward()]) style="--from:{{ $place->joinFrom }};--to:{{ $place->joinTo }}"></i>@endif
    @if ($reserve !== null)
        @php $at = $sheet->reserve($reserve->id); @endphp
        <section class="why" id="why" style="top:{{ max(34, ($at->top ?? 34) + 16) }}px" aria-labelledby="why-title">
            <h2 id="why-title">{{ ($at->count ?? 0) ? 'Batch' : 'Reserved' }}</h2>
            <p class="note-why">{{ ($at->count ?? 0) ? 'Small tasks in a row; the batch moves as one.' : 'Kept free of planning. Drop small tasks on it, and it becomes a batch.' }}</p>
            <form class="row" method="post" action="/reserves/{{ $reserve->id }}">@csrf @method('patch')<input type="hidden" name="day" value="{{ $day->asString() }}"><input type="hidden" name="title" value="{{ $reserve->title }}">
                <label for="reserve-start">At</label><input class="field" id="reserve-start" name="start" maxlength="8" value="{{ Times::clock($person, $reserve->starts_at) }}"><input class="field field-minutes" name="minutes" inputmode="numeric" maxlength="3" value="{{ App\Rows\RowMapper::time($reserve)->length() }}" aria-label="for how many minutes"><button class="button">Move</button></form>
            <form class="row" method="post" action="/reserves/{{ $reserve->id }}">@csrf @method('delete')<button class="button">Open it again</button><a class="button button-bare" href="{{ $address }}" data-leave>Leave</a></form>
        </section>
    @endif
    @if ($sheet->routine())<x-routine-day :at="$sheet->routine()" :address="$address" />@endif
    @if ($lunch)<x-lunch-day :sheet="$sheet" :day="$day" :address="$address" />@endif
    @if ($chosen !== null)
        <x-why-here :chosen="$chosen" :why="$why" :top="$place->top ?? 34" :day="$day" :address="$address" :pull="$pull" :sheet="$sheet" />
    @endif
</div>
