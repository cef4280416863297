{{-- A day over its line: by how much, and the cheapest ways out, each to be looked at before it is taken. --}}
@props(['overfull', 'address', 'gauge'])
@php
    use App\Edits\ChangeKind;
    use App\Wording\Times;
    $day = $overfull->day;
@endphp
<div class="ways" id="ways">
    <div class="section-head section-over"><h2>{{ Times::duration($day->over) }} over the load line</h2><span class="soft">ways out</span></div>
    @if ($overfull->change(ChangeKind::Wait))
        <p><a class="button button-over-line" href="{{ $address }}?change=wait" data-here>{{ trans_choice('shape.way.wait', count($day->waiting)) }}</a> <span class="soft">{{ $overfull->names(ChangeKind::Wait) }}: {{ $day->pullLeft }} of {{ $day->pull }} pull</span></p>
    @endif
    @if ($overfull->change(ChangeKind::Longer))
        <p><a class="button button-over-line" href="{{ $address }}?change=longer" data-here>Open {{ Times::duration($day->longer) }} more</a> <span class="soft">{{ $gauge->hoursName }}, on this day alone</span></p>
    @endif
    @if ($overfull->change(ChangeKind::Cut))
        <p><a class="button button-over-line" href="{{ $address }}?change=cut" data-here>Cut one by {{ Times::duration($day->cutBy()) }}</a> <span class="soft">{{ $overfull->names(ChangeKind::Cut) }}, the least pull that can bear it</span></p>
    @endif
</div>
