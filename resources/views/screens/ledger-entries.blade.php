@php
    use App\Wording\Times;
    $query = http_build_query(array_filter(['period' => $key === 'own' ? null : $key, 'from' => $key === 'own' ? $period->first->asString() : null, 'until' => $key === 'own' ? $period->last->asString() : null, 'by' => $by->value === 'area' ? null : $by->value]));
    $last = null;
    $held = App\Screens\Ledger\EntriesScreen::asksMeetings($row);
@endphp
<x-layout title="Behind a figure" at="ledger">
    <div class="title-row"><h1>{{ $held ? 'Meetings' : ($promised ? 'Promised' : 'Worked') }}: {{ Times::duration($sum) }}</h1><x-says /><span>{{ $span }}, {{ count($rows) + $more }} {{ $held ? 'held' : ($promised ? 'promises' : 'entries') }}</span><span class="end"><a class="button" href="/ledger{{ $query === '' ? '' : "?{$query}" }}" data-page-key="[">Ledger <kbd>[</kbd></a></span></div>
    <table class="bill entries-bill"><thead><tr><th scope="col">day</th><th scope="col">{{ $promised ? '' : 'from, to' }}</th><th scope="col">{{ $held ? 'meeting' : 'task' }}</th><th scope="col" class="number">minutes</th></tr></thead><tbody>
        @foreach ($rows as $row)<tr><td>{{ $row['day'] === $last ? '' : $row['day'] }}</td><td class="soft">{{ $row['when'] }}</td><td>@if ($row['address'])<a href="{{ $row['address'] }}">{{ $row['title'] }}</a>@else{{ $row['title'] }}@endif</td><td class="number">{{ $row['minutes'] }}</td></tr>@php $last = $row['day']; @endphp @endforeach
        </tbody><tfoot><tr><th scope="row">Sum</th><td></td><td class="soft">@if ($more > 0){{ $more }} more rows are in the sum and not shown @endif</td><td class="number">{{ $sum }}</td></tr></tfoot></table>
    @if ($rows === [])<p class="soft">{{ __('ledger.nothing') }}</p>@endif
</x-layout>
