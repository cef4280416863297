{{-- What no plan can hold, on the day that arises: how much is missing, by when, and what competes for it. --}}
@props(['crunch'])
<div class="crunch" id="crunch">
    <div class="section-head section-warn"><h2 class="coral">Crunch</h2><span class="soft">by {{ $crunch->due }}</span></div>
    <p class="named"><b class="coral">{{ $crunch->missing }} of open time are missing.</b> {{ $crunch->demand }} must be done by {{ $crunch->due }}; under the load line its days carry {{ $crunch->supply }}.</p>
    <p class="soft">The longest: @foreach ($crunch->tasks as $one)<a href="/tasks/{{ $one['task'] }}">{{ $one['title'] }}</a>, {{ $one['minutes'] }}{{ $loop->last ? '' : '; ' }}@endforeach{{ $crunch->more > 0 ? "; {$crunch->more} more" : '' }}.</p>
</div>
