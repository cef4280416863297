{{-- A meeting on a fixed block: both stay where they are until the person says what gives way. --}}
@props(['two', 'day', 'person'])
@php use App\Wording\Times; @endphp
<div class="two-at-once">
    <div class="section-head section-warn"><h2 class="coral">Two at once</h2><span class="soft">{{ $two->both }}</span></div>
    <p><b class="strong">{{ $two->block->task->shortTitle() }}</b>, anchored {{ Times::range($person, $two->block->starts_at, $two->block->ends_at) }}, and {{ $two->meeting }}, {{ $two->meets }}.</p>
    <div class="actions">
        @if ($two->start !== null)
            <form method="post" action="/blocks/{{ $two->block->id }}">@csrf @method('patch')<input type="hidden" name="mark" value="{{ $two->block->mark() }}"><input type="hidden" name="day" value="{{ $day->asString() }}"><input type="hidden" name="start" value="{{ $two->start }}"><input type="hidden" name="minutes" value="{{ $two->minutes }}">
                <button class="button button-over-line">Anchor it at {{ $two->goes }}</button></form>
        @endif
        <form method="post" action="/blocks/{{ $two->block->id }}/release">@csrf<input type="hidden" name="mark" value="{{ $two->block->mark() }}"><button class="button">Let the plan place it</button></form>
    </div>
</div>
