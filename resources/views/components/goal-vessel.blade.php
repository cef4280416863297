{{-- Work left of a goal against the open time until its date, on the scale that all goals share. --}}
@props(['row', 'scale'])
@php
    use App\Wording\Times;
    $vessel = $row->vessel;
    $part = static fn (int $minutes): float => round(1000 * $minutes / $scale, 1);
    $end = $vessel->other + $vessel->own;
@endphp
<div class="goal-work" role="img" aria-label="Other work due by then {{ Times::duration($vessel->other) }}, left of {{ $row->goal->name }} {{ Times::duration($vessel->own) }}, open {{ Times::duration($vessel->open) }} until {{ $vessel->until }}: {{ $vessel->short() ? Times::duration($vessel->short()).' short' : 'room '.Times::duration($vessel->room()) }}">
    <i class="goal-rim" style="--w:{{ $part($vessel->open) }}"></i>
    @if ($vessel->other)<span class="goal-other" style="--w:{{ $part($vessel->other) }}">@if ($part($vessel->other) > 205)other work due by then {{ Times::duration($vessel->other) }}@elseif ($part($vessel->other) > 85)other {{ Times::duration($vessel->other) }}@endif</span>@endif
    @if ($vessel->own)<span class="goal-own hue-{{ $row->goal->area->hue }}" style="--w:{{ $part($vessel->own) }}">@if ($part($vessel->own) > 85)<b>{{ Times::duration($vessel->own) }} left</b>@endif</span>@endif
    @if ($vessel->short())<i class="goal-short" style="--l:{{ $part($vessel->open) }};--w:{{ $part($vessel->short()) }}"></i>@endif
</div>
<p @class(['goal-says', 'goal-says-end' => $part(max($end, $vessel->open)) > 600]) style="--l:{{ $part(max($end, $vessel->open)) }}">@if ($vessel->own && $part($vessel->own) <= 85){{ Times::duration($vessel->own) }} left, @endif open {{ Times::duration($vessel->open) }} until {{ $vessel->until }} in {{ $vessel->set }}, @if ($vessel->short())<b class="coral">{{ Times::duration($vessel->short()) }} short</b>{{ $vessel->isDeep() ? ' under the deep limit' : '' }}@else room <b>{{ Times::duration($vessel->room()) }}</b>{{ $vessel->isDeep() ? ' under the deep limit, '.Times::duration($vessel->plainRoom()).' without it' : '' }}@endif</p>
