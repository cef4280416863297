{{-- Ways out of a crunch, each worked out: what it costs and what comes of it; tried before it is taken. --}}
@props(['ways'])
@php use App\Wording\Times; @endphp
@if ($ways->ways === [])<p>{{ __('shape.crunch.none', ['missing' => Times::duration($ways->missing)]) }}</p>@endif
<ol class="ways" data-list>
    @foreach ($ways->ways as $i => $way)
        <li><span class="key" aria-hidden="true">{{ $i + 1 }}</span><a class="way-says" href="/shape?change=way&amp;way={{ urlencode($way['way']) }}" data-row data-page-key="{{ $i + 1 }}">{{ $way['says'] }}</a><span class="way-costs">{{ ucfirst($way['costs']) }}.</span></li>
    @endforeach
</ol>
@if ($ways->ways !== [])
    <details class="ways-beside"><summary class="button" data-page-key="o">Side by side <kbd>O</kbd></summary>
        <table class="dues"><thead><tr><th scope="col"><span class="sr-only">what</span></th>@foreach ($ways->ways as $i => $way)<th scope="col" class="number">{{ $i + 1 }}</th>@endforeach</tr></thead>
            <tbody>
                <tr><th scope="row">done by</th>@foreach ($ways->ways as $way)<td class="number">{{ $way['done'] === '' ? '–' : $way['done'] }}</td>@endforeach</tr>
                <tr><th scope="row">late then, {{ $ways->lateNow }} now</th>@foreach ($ways->ways as $way)<td class="number">{{ $way['late'] }}</td>@endforeach</tr>
                <tr><th scope="row">weight × minutes</th>@foreach ($ways->ways as $way)<td class="number">{{ $way['pain'] }}</td>@endforeach</tr>
            </tbody></table>
        @foreach ($ways->ways as $i => $way)@if ($way['named'] !== [])<p class="soft">Late by {{ $i + 1 }}: {{ implode(', ', $way['named']) }}.</p>@endif @endforeach
    </details>
    <p class="soft">The least costly stands first. A press tries one: it is shown as a difference before it is taken.</p>
@endif
