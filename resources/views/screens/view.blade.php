@php use App\Wording\Times; @endphp
<x-layout :title="$title" at="views">
    <div class="title-row"><h1>{{ $title }}</h1><x-says /><span class="soft">{{ $count }} {{ $count === 1 ? 'task' : 'tasks' }}@if ($minutes), {{ Times::duration($minutes) }} left @endif</span><span class="end"><a class="button" href="/views/{{ $address }}{{ $sums === [] ? '?face=table' : '' }}" data-page-key="v">{{ $sums === [] ? 'Sums by group' : 'As a list' }} <kbd>V</kbd></a>@if ($view)<a class="button" href="/views/build?view={{ $view->id }}">Change</a>@endif<a class="button" href="/views" data-leave>All views</a></span></div>
    <p class="view-sentence">{{ $sentence }}</p>
    @if ($sums !== [])
        <table class="sums-table"><thead><tr><th scope="col">{{ $question->group === 'none' ? 'all' : __('find.groups')[$question->group] }}</th><th scope="col">tasks</th><th scope="col">estimated</th><th scope="col">actual</th><th scope="col">left</th></tr></thead>
            <tbody>@foreach ($sums as $name => $sum)<tr><th scope="row">{{ $name === '' ? 'all' : $name }}</th><td>{{ $sum['count'] }}</td><td>{{ Times::duration($sum['estimated']) }}</td><td>{{ Times::duration($sum['worked']) }}</td><td class="strong">{{ Times::duration($sum['left']) }}</td></tr>@endforeach</tbody>
            <tfoot><tr><th scope="row">together</th><td>{{ array_sum(array_column($sums, 'count')) }}</td><td>{{ Times::duration(array_sum(array_column($sums, 'estimated'))) }}</td><td>{{ Times::duration(array_sum(array_column($sums, 'worked'))) }}</td><td>{{ Times::duration(array_sum(array_column($sums, 'left'))) }}</td></tr></tfoot></table>
    @endif
    <x-answer :chances="$chances" :groups="$groups" :candidates="$candidates" :contradicts="$contradicts" :count="$count" />
    @if ($count > $shown)<p><a href="/views/{{ $address }}?all=1">{{ $count - $shown }} more</a></p>@endif
</x-layout>
