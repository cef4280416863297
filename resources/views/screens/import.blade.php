<x-layout title="Bringing in {{ $import->file_name }}" at="meetings">
    @php $percent = $import->total === 0 ? 100 : (int) floor(100 * $import->taken / $import->total); @endphp
    <div class="title-row"><h1>{{ $import->file_name }}</h1><x-says /></div>
    <div class="section-head @if ($import->problems) section-warn @endif"><h2>{{ $import->finished_at ? 'Brought in' : 'Being brought in' }}</h2><span class="soft">{{ $import->taken }} of {{ $import->total }}</span></div>
    <br>
    <div class="progress" role="progressbar" aria-label="Events taken in" aria-valuemin="0" aria-valuemax="100" aria-valuenow="{{ $percent }}"><i style="--w:{{ $percent }}"></i></div>
    <p style="padding:8px 0" role="status">{{ number_format($import->added) }} new, {{ number_format($import->changed) }} changed, {{ number_format($import->taken - $import->added - $import->changed - collect($import->problems)->count() < 0 ? 0 : $import->taken - $import->added - $import->changed - collect($import->problems)->count()) }} as they were{{ $import->problems ? ', '.count($import->problems).' not read' : '' }}.</p>
    @if ($import->finished_at === null)
        <form method="post" action="/meetings/imports/{{ $import->id }}/step" id="go-on" data-press-on>@csrf<button class="button button-main">Go on</button></form>
    @else
        <div class="actions"><a class="button button-main" href="/shape">To today</a><a class="button" href="/meetings">All meetings</a></div>
    @endif
    @if ($import->problems)
        <div class="section-head section-warn"><h2>Could not be read</h2><span class="soft">the rest was taken</span></div>
        @foreach ($import->problems as $problem)<div class="list-row"><span class="soft">line {{ $problem['line'] }}</span><span>{{ $problem['what'] }}</span></div>@endforeach
    @endif
</x-layout>
