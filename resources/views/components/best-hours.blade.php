@props(['names', 'week', 'sets', 'said'])
@php
    [$first, $last] = [360, 1320]; // drawn from 06:00 to 22:00
    $span = function (array $pair) use ($first, $last): array {
        [$from, $to] = array_map(Nekto\Core\Hours\Stretch::minutes(...), $pair);

        return [max($first, $from) - $first, max(0, min($last, $to) - max($first, $from))];
    };
@endphp
<div class="section-head"><h2 id="best-hours">Best hours</h2><span class="soft">deep work goes there where that makes nothing late</span></div>
<form class="best-form" method="post" action="/settings/best-hours" x-data="bestHours">
    @csrf @method('put')<input type="hidden" name="set" value="best">
    <div class="best-row best-scale" aria-hidden="true"><span></span><span class="best-marks">@foreach (['06', '09', '12', '15', '18', '21'] as $hour)<span>{{ $hour }}</span>@endforeach</span></div>
    @foreach ($names as $key => $name)
        @php $mine = old('set') === 'best'; $wrong = $mine && $errors->has("week.{$key}"); @endphp
        <div class="best-row"><label for="best-{{ $key }}">{{ $name }}</label>
            <svg class="best-strip" data-best="best-{{ $key }}" viewBox="0 0 960 24" preserveAspectRatio="none" aria-hidden="true">
                @foreach ($sets as $set)@foreach ($set->week[$key] ?? [] as $pair)@php [$x, $width] = $span($pair); @endphp<rect class="best-open" x="{{ $x }}" width="{{ $width }}" y="0" height="24"/>@endforeach @endforeach
                @foreach ([180, 360, 540, 720, 900] as $x)<path class="best-tick" d="M{{ $x }} 0v24" vector-effect="non-scaling-stroke"/>@endforeach
                <g class="best-on" data-own>@foreach ($week[$key] ?? [] as $pair)@php [$x, $width] = $span($pair); @endphp<rect x="{{ $x }}" width="{{ $width }}" y="3" height="18"/>@endforeach</g>
            </svg>
            <input class="field" id="best-{{ $key }}" name="week[{{ $key }}]" value="{{ $mine ? old("week.{$key}") : $said($week[$key] ?? []) }}" placeholder="none" @if ($wrong) aria-invalid="true" aria-describedby="best-{{ $key }}-error" @endif>
            @if ($wrong)<span class="error" id="best-{{ $key }}-error">{{ $errors->first("week.{$key}") }}</span>@endif</div>
    @endforeach
    <p class="soft">Drag over the days to draw them, over drawn hours to take them away; or write them.</p>
    <div class="actions"><button class="button button-main">Save best hours</button></div>
</form>
