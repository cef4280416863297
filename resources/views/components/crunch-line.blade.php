{{-- What no plan can hold, on the day that arises: how much is missing, by when, what competes for it, and the ways out. --}}
@props(['crunch', 'ways', 'address'])
<div class="crunch" id="crunch">
    <div class="section-head section-warn"><h2 class="coral">Crunch</h2><span class="soft">by {{ $crunch->due }}</span></div>
    <p class="named"><b class="coral">{{ $crunch->missing }} of open time are missing.</b> {{ $crunch->demand }} must be done by {{ $crunch->due }}; under the load line its days carry {{ $crunch->supply }}.</p>
    <p class="soft">The longest: @foreach ($crunch->tasks as $one)<a href="/tasks/{{ $one['task'] }}">{{ $one['title'] }}</a>, {{ $one['minutes'] }}{{ $loop->last ? '' : '; ' }}@endforeach{{ $crunch->more > 0 ? "; {$crunch->more} more" : '' }}.</p>
    @if ($ways)
        @forelse ($ways->ways as $way)
            <p class="way"><a class="button button-over-line" href="{{ $address }}?change=way&amp;way={{ $way['way'] }}" data-here>{{ $way['says'] }}</a> <span class="soft">{{ trans_choice('shape.crunch.late', $way['late'], ['now' => $ways->lateNow]) }}</span></p>
        @empty
            <p>{{ __('shape.crunch.none', ['missing' => $crunch->missing]) }}</p>
        @endforelse
    @else
        <p><a class="button" href="{{ $address }}?ways=1#crunch" data-here>Ways out</a></p>
    @endif
</div>
