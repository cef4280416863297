{{-- Work without a time, drawn as wide as it takes. --}}
@props(['noPlace'])
@php use App\Wording\Times; @endphp
<section class="no-place" aria-labelledby="no-place">
    <h2 id="no-place"><span>No place yet</span> <small>{{ Times::duration($noPlace->minutes) }} in all</small></h2>
    <ul data-list>
        @foreach ($noPlace->tasks as $one)
            <li @class(['no-place-piece', 'no-place-deep' => $one['deep'], "hue-{$one['hue']}"]) style="--minutes:{{ $one['minutes'] }}"><a href="/tasks/{{ $one['task'] }}" data-row draggable="false" data-task="{{ $one['task'] }}" data-minutes="{{ $one['minutes'] }}">@spine($one['importance'], 26)<span class="no-place-title">{{ $one['title'] }}</span><b>{{ Times::column($one['minutes']) }}</b></a>@if ($one['due'] !== '')<small>due {{ $one['due'] }}</small>@endif</li>
        @endforeach
    </ul>
    @if ($noPlace->more > 0)<p class="soft"><a href="/weigh/list">{{ trans_choice('{1} one more|[2,*] :count more', $noPlace->more) }}</a></p>@endif
</section>
