{{-- Where a measure stands: a staff with its figures, water to the value, the ring where an even pace would need it. --}}
@props(['row'])
@php use App\Screens\Goals\GoalRow; @endphp
<div class="draught" role="img" aria-label="{{ GoalRow::figure($row->value) }} of {{ GoalRow::figure($row->goal->target) }} {{ $row->goal->unit }}; an even pace would be at {{ GoalRow::figure(round($row->pace, 1)) }}">
    @foreach ($row->marks() as $i => $mark)<span class="draught-figure" style="--p:{{ $row->place($mark) }}">{{ GoalRow::figure($mark) }}</span>@if ($i % 2 === 1)<i class="draught-unit" style="--p:{{ $row->place($row->marks()[$i - 1]) }};--h:{{ $row->place($mark) - $row->place($row->marks()[$i - 1]) }}"></i>@endif @endforeach
    <i class="draught-staff"></i><i class="draught-vessel"></i><i class="draught-water" style="--p:{{ $row->place($row->value) }}"></i><i class="draught-pace" style="--p:{{ $row->place($row->pace) }}"></i>
</div>
