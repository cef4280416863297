@php
    use App\Wording\Times;
    $one = $meeting->occurrence;
@endphp
<x-layout title="{{ $one->summary }}" at="meetings">
    <div class="title-row"><h1>{{ $one->summary }}</h1><x-says /><span>{{ Times::when($person, $one->starts_at, $now) }}–{{ Times::clock($person, $one->ends_at) }}{{ $one->place ? ', '.$one->place : '' }}</span>
        <span class="end">@if ($meeting->join)<a class="button button-main" href="{{ $meeting->join }}" rel="noopener noreferrer" target="_blank">Join it</a>@endif<a class="button" href="/shape/{{ $person->local($one->starts_at)->format('Y-m-d') }}">See the day</a></span></div>
    <div class="columns"><section aria-label="Note and decisions"><x-meeting-now :meeting="$meeting" /></section>
        <section aria-label="Before and after"><div class="section-head"><h2>Around it</h2></div>
            <form method="post" action="/occurrences/{{ $one->id }}/task" class="actions">@csrf<button class="button" name="when" value="before">A task to prepare it</button><button class="button" name="when" value="after">A task that follows</button></form></section></div>
</x-layout>
