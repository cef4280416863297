{{-- The rule under a title: how much must be done by its due date, against the open time until then. --}}
@props(['percent'])
@if ($percent !== null)
    <span @class(['pressure', 'pressure-2' => $percent > 40 && $percent <= 70, 'pressure-3' => $percent > 70 && $percent <= 100, 'pressure-4' => $percent > 100]) title="pressure {{ $percent }} %" aria-hidden="true"><i style="--p:{{ $percent }}"></i></span>
@endif
