{{-- What no plan can hold, on the day that arises: how much is missing, by when, what competes for it, and the ways out. --}}
@props(['crunch', 'ways', 'address'])
@php
    use App\Screens\Shape\CrunchLine;
    $point = $crunch->point;
@endphp
<div class="crunch" id="crunch">
    <div class="section-head section-warn"><h2 class="coral">Crunch</h2><span class="soft">by {{ $crunch->due }}</span></div>
    <p class="named"><b class="coral">{{ CrunchLine::unbroken($point->missing()) }} of open time are missing.</b> {{ CrunchLine::unbroken($point->demand) }} must be done by {{ $crunch->due }}; under load line and deep limit its days carry {{ CrunchLine::unbroken($point->supply) }}.</p>
    <p class="soft">The longest: @foreach ($crunch->tasks as $one)<a href="/tasks/{{ $one['task'] }}">{{ $one['title'] }}</a>, {{ $one['minutes'] }}{{ $loop->last ? '' : '; ' }}@endforeach{{ $crunch->more > 0 ? "; {$crunch->more} more" : '' }}.</p>
    @if ($ways)
        @forelse ($ways->ways as $way)
            <p class="way"><a class="button button-over-line" href="{{ $address }}?change=way&amp;way={{ $way['way'] }}" data-here>{{ $way['says'] }}</a> <span class="soft">{{ trans_choice('shape.crunch.late', $way['late'], ['now' => $ways->lateNow]) }}</span></p>
        @empty
            <p>{{ __($ways->missing > $point->missing() ? 'shape.crunch.none_more' : 'shape.crunch.none', ['missing' => CrunchLine::unbroken($ways->missing)]) }}</p>
        @endforelse
    @else
        <p><a class="button" href="{{ $address }}?ways=1#crunch" data-here>Ways out</a></p>
    @endif
</div>
