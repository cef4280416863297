@props(['sums', 'group'])
@php use App\Wording\Times; @endphp
<table class="sums-table"><thead><tr><th scope="col">{{ $group === 'none' ? 'all' : __('find.groups')[$group] }}</th><th scope="col">tasks</th><th scope="col">estimated</th><th scope="col">actual</th><th scope="col">left</th></tr></thead>
    <tbody>@foreach ($sums as $name => $sum)<tr><th scope="row">{{ $name === '' ? 'all' : $name }}</th><td>{{ $sum['count'] }}</td><td>{{ Times::duration($sum['estimated']) }}</td><td>{{ Times::duration($sum['worked']) }}</td><td class="strong">{{ Times::duration($sum['left']) }}</td></tr>@endforeach</tbody>
    <tfoot><tr><th scope="row">together</th><td>{{ array_sum(array_column($sums, 'count')) }}</td><td>{{ Times::duration(array_sum(array_column($sums, 'estimated'))) }}</td><td>{{ Times::duration(array_sum(array_column($sums, 'worked'))) }}</td><td>{{ Times::duration(array_sum(array_column($sums, 'left'))) }}</td></tr></tfoot></table>
