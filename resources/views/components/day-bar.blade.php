{{-- What a day carries, lying: deep and light up to its open time, the load line with its ring. --}}
@props(['work', 'set', 'top'])
@php
    use App\Wording\Times;
    $part = static fn (int $minutes): float => round(100 * $minutes / max(1, $top), 2);
@endphp
<div class="day-bar" role="img" aria-label="{{ __('week.bar', ['planned' => Times::duration($set->minutes), 'line' => Times::duration($set->load->loadLine), 'open' => Times::duration($set->load->open)]) }}">
    <i class="bar-open" style="--w:{{ $part($set->load->open) }}"></i>
    <i class="bar-deep" style="--l:0;--w:{{ $part($set->deep) }}"></i>
    @if ($set->minutes > $set->deep)<i class="bar-light" style="--l:{{ $part($set->deep) }};--w:{{ $part($set->minutes - $set->deep) }}"></i>@endif
    @if ($set->over() > 0)<i class="bar-over" style="--l:{{ $part($set->load->loadLine) }};--w:{{ $part($set->over()) }}"></i>@endif
    <i class="bar-line" style="--l:{{ $part($set->load->loadLine) }}"></i>
</div>
