@php use App\Wording\Times; $date = Carbon\CarbonImmutable::parse($day->asString()); $withTimes = request()->boolean('times'); @endphp
<x-layout title="List of {{ App\Wording\Dates::of($person)->long($date) }}" station="shape">
    <div class="title-row"><h1>{{ App\Wording\Dates::of($person)->long($date) }}</h1><x-says /><span class="soft">{{ Times::duration($list->minutes) }} of work @if ($list->done), {{ Times::duration($list->done) }} done @endif</span>
        <span class="end no-print"><a class="button" href="/shape/{{ $day->asString() }}/list{{ $withTimes ? '' : '?times=1' }}">{{ $withTimes ? 'Without times' : 'With times' }}</a><a class="button" href="/shape/{{ $day->asString() }}" data-leave>Run sheet</a></span></div>
    @if ($list->parts === [])<div class="section-head"></div><div class="empty"><h2>Nothing is picked for this day.</h2><p class="soft">Propose a day in <a href="/shape/{{ $day->asString() }}?propose=1">Shape</a>, or pick tasks from its bank.</p></div>@endif
    @foreach ($list->parts as $part => $rows)
        <div class="section-head"><h2>{{ ucfirst($part) }}</h2><span class="soft">{{ Times::duration((int) array_sum(array_column($rows, 'minutes'))) }}</span></div>
        <ul class="day-list" data-list>
            @foreach ($rows as $row)
                <li id="listed-{{ $row['task']->id }}">
                    <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $row['task']->id }}"><button class="tick" name="to" value="done" data-key="d" aria-pressed="{{ $row['done'] ? 'true' : 'false' }}" aria-label="{{ $row['task']->title }} done" @disabled($row['done'])></button></form>
                    <span class="swatch hue-{{ $row['task']->area->hue }}" title="{{ $row['task']->area->name }}"></span>
                    <span class="grow"><a href="/tasks/{{ $row['task']->id }}" data-row @class(['struck' => $row['done']])>{{ $row['task']->title }}</a> <span class="soft">{{ $row['task']->project?->name }} @if ($row['key']) · key task @endif</span></span>
                    @if ($withTimes && $row['from'] !== null)<span class="soft">{{ Times::clock($person, $row['from']) }}</span>@endif
                    <span>{{ $row['minutes'] ? Times::column($row['minutes']) : '' }}</span>
                </li>
            @endforeach
        </ul>
    @endforeach
</x-layout>
