{{-- A day as a basin: its work stands in its open time, as high as it is against the load line. --}}
@props(['day', 'wide', 'until'])
@php
    use App\Wording\Times;
    $work = $day->work;
    $date = $day->day->asString();
    $deep = $day->height($work->deep ?? 0);
    $all = $day->height($work->minutes ?? 0);
    $says = match (true) {
        ! $day->hasHours() && ($work->minutes ?? 0) === 0 => 'no hours',
        $day->isPast => $day->worked > 0 ? 'worked '.Times::duration($day->worked) : '',
        ($work->minutes ?? 0) === 0 => 'free '.Times::duration($work->load->loadLine),
        default => Times::duration($work->minutes).' of '.Times::duration($work->load->loadLine),
    };
@endphp
<div @class(['month-day', 'month-today' => $day->isToday, 'month-past' => $day->isPast, 'month-narrow' => ! $wide])>
    <a class="month-label" href="/shape/{{ $date }}" aria-label="{{ $day->label }}, {{ $says }}"><b>{{ $day->label }}</b>@if ($wide)<span @class(['coral' => ($work?->over() ?? 0) > 0])>{{ $says === 'no hours' ? '' : $says }}</span>@endif</a>
    <div class="basin" aria-hidden="true">
        @if ($day->hasHours())
            <i class="basin-margin"></i>
            @foreach ($day->open as [$left, $width])
                @if ($all > 0)<i class="basin-light" style="--l:{{ $left }};--w:{{ $width }};--h:{{ min(100, $all) }}"></i>@endif
                @if ($deep > 0)<i class="basin-deep" style="--l:{{ $left }};--w:{{ $width }};--h:{{ min(100, $deep) }}"></i>@endif
                @if ($all > 100)<i class="basin-over" style="--l:{{ $left }};--w:{{ $width }};--h:{{ $all - 100 }}"></i>@endif
            @endforeach
            @foreach ($day->piers as [$left, $width, $hatching])<i class="basin-pier hatch-{{ $hatching }}" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
            <i class="basin-line"></i>
            @if ($day->done() > 0)<i class="basin-done" style="--w:{{ $day->done() }}"></i>@endif
        @elseif ($day->note === '' && $wide)<em>{{ __('week.no_hours') }}</em>@endif
        @if ($day->note !== '')<em>{{ $day->note }}</em>@endif
        <i class="basin-base {{ $day->hasHours() ? '' : 'basin-closed' }}"></i>
        @if ($day->nowAt !== null)<i class="basin-now" style="--l:{{ $day->nowAt }}"></i>@endif
    </div>
    @if ($day->dues !== [] && ! $wide)
        <ul class="plumbs"><li @class(['coral' => $day->dues[0]['late']]) style="--l:{{ min(300, $day->dues[0]['left']) }};--n:0"><a href="{{ count($day->dues) === 1 ? $day->dues[0]['link'] : "/shape/{$date}" }}" aria-label="{{ implode(', ', array_column($day->dues, 'label')) }}{{ $day->more > 0 ? " and {$day->more} more" : '' }} due">{{ count($day->dues) + $day->more }} due</a></li></ul>
    @elseif ($day->dues !== [])
        <ul class="plumbs">
            @foreach ($day->dues as $i => $due)<li @class(['coral' => $due['late'], 'plumb-left' => $due['left'] > 450]) style="--l:{{ $due['left'] }};--n:{{ $i }}"><a href="{{ $due['link'] }}">{{ $due['label'] }}</a>@if ($day->more > 0 && $i === count($day->dues) - 1)<a href="/shape/{{ $date }}">and {{ $day->more }} more</a>@endif</li>@endforeach
        </ul>
    @endif
</div>
