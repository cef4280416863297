{{-- A line of the ledger: its bar, and the same figures in the same row. --}}
@props(['row', 'scale', 'query', 'class' => '', 'bar' => true])
@php
    use App\Wording\Times;
    $part = static fn (int $minutes): float => round(1000 * $minutes / $scale, 1);
    $signed = static fn (int $minutes): string => ($minutes < 0 ? '−' : '+').Times::column(abs($minutes));
    $over = $row->planned === null ? 0 : max(0, $row->actual - $row->planned);
    $address = static fn (bool $promised): string => '/ledger/entries?'.http_build_query(array_filter([...$query, 'row' => $row->key === '' && $class === 'ledger-sum' ? null : $row->key, 'promised' => $promised ? 1 : null], static fn ($one) => $one !== null));
@endphp
<tr @class([$class]) data-row tabindex="-1">
    <th scope="row">{{ $slot }}<span class="ledger-name">{{ $row->name }}</span></th>
    <td class="ledger-bar">@if ($bar)<span class="bar-track" aria-hidden="true"><i @class(['bar-actual', 'bar-meeting' => $row->isMeeting]) style="--w:{{ $part($row->actual - $over) }}"></i>@if ($over)<i class="bar-over" style="--l:{{ $part($row->actual - $over) }};--w:{{ $part($over) }}"></i>@endif @if ($row->planned !== null)<i class="bar-tick" style="--l:{{ $part($row->planned) }}"></i>@endif<i class="bar-was" style="--l:{{ $part($row->before) }}"></i></span>@endif</td>
    <td class="number soft">@if ($row->planned !== null)@if ($row->planned > 0)<a href="{{ $address(true) }}">{{ Times::column($row->planned) }}</a>@else{{ Times::column(0) }}@endif @endif</td>
    <td class="number"><b>@if ($row->actual === 0){{ Times::column($row->actual) }}@else<a href="{{ $address(false) }}">{{ Times::column($row->actual) }}</a>@endif</b></td>
    <td class="number">{{ $row->differs() === null ? '' : $signed($row->differs()) }}</td><td class="number soft">{{ $signed($row->against()) }}</td>
</tr>
