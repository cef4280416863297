@php
    use App\Ledger\By;
    use App\Screens\Ledger\EstimateKind;
    use App\Wording\Times;
    [$from, $until] = explode(' ', $own);
    $of = $key === 'own' ? ['from' => $from, 'until' => $until] : ['period' => $key === 'four' ? null : $key];
    $query = array_filter([...$of, 'by' => $by === By::Area ? null : $by->value], fn ($one) => $one !== null);
    $address = static fn (array $with = [], string $page = '/ledger'): string => ($said = http_build_query(array_filter([...$query, ...$with], fn ($one) => $one !== null))) === '' ? $page : "{$page}?{$said}";
    $move = static fn (Nekto\Core\Ledger\Period $to): string => $address(['period' => null, 'from' => $to->first->asString(), 'until' => $to->last->asString()]);
    $next = ['area' => 'context', 'context' => 'demand', 'demand' => null][$by->value];
    $part = static fn (int $minutes): float => round(1000 * $minutes / $widest, 1);
    $hours = App\Screens\HourScale::step($scale, 4);
    $marks = [0.7, 0.8, 1.0, 1.2, 1.4, 1.6];
@endphp
<x-layout title="Ledger" at="ledger">
    <div class="title-row"><h1>Where time went</h1><x-says /><span>{{ $span }}, against {{ $beforeSpan }}</span>
        <span class="end no-print"><span class="choices" role="group" aria-label="Period">@foreach ($choices as $name => $words)<a @class(['button', 'button-bare' => $key !== $name]) href="{{ $address(['period' => $name === 'four' ? null : $name, 'from' => null, 'until' => null]) }}" @if ($key === $name) aria-current="true" @endif>{{ $words }}</a>@endforeach</span>
            <a class="button" href="{{ $move($period->before()) }}" data-page-key="[" aria-label="Earlier">← <kbd>[</kbd></a><a class="button" href="{{ $move($period->after()) }}" data-page-key="]" aria-label="Later">→ <kbd>]</kbd></a></span></div>
    @if ($well)<p class="ledger-well">{{ $well }}</p>@endif
    <div class="ledger">
        <section aria-labelledby="by-title">
            <table class="ledger-table">
                <thead><tr><th scope="col"><h2 id="by-title">By {{ ['area' => 'area and project', 'context' => 'context', 'demand' => 'demand'][$by->value] }}</h2> <a class="soft ledger-turn" href="{{ $address(['by' => $next]) }}" data-page-key="v">by {{ $next ?? 'area' }} <kbd>V</kbd></a></th><th scope="col" class="ledger-scale" aria-label="hours">@for ($hour = 0; $hour * 60 <= $scale; $hour += $hours)<i style="--l:{{ round(60000 * $hour / $scale, 1) }}">{{ $hour }}</i>@endfor<em>h</em></th><th scope="col" class="number">planned</th><th scope="col" class="number">actual</th><th scope="col" class="number">differs</th><th scope="col" class="number">against before</th></tr></thead>
                @foreach ($groups as $group)<tbody class="hue-{{ $group->hue }}">
                    <x-ledger-line :row="$group->sum" :scale="$scale" :query="$query" class="ledger-group" :bar="$group->rows === []"><span class="swatch"></span></x-ledger-line>
                    @foreach ($group->rows as $row)<x-ledger-line :row="$row" :scale="$scale" :query="$query" />@endforeach
                </tbody>@endforeach
                @if ($others)<tbody><tr><td colspan="6" class="soft">{{ trans_choice('app.lens.others', $others, ['lens' => $lens->name()]) }}</td></tr></tbody>@endif
                <tbody><x-ledger-line :row="$sum" :scale="$scale" :query="$query" class="ledger-sum" :bar="false">{{ __('ledger.own_work') }}</x-ledger-line></tbody>
                @if ($meetings !== [])<tbody><tr class="ledger-group"><th scope="row">{{ __('ledger.meetings') }}</th><td class="ledger-bar"></td><td></td><td class="number"><b><a href="{{ $address(['row' => 'meetings'], '/ledger/entries') }}">{{ Times::column(array_sum(array_column($meetings, 'actual'))) }}</a></b></td><td></td><td class="number soft">{{ ($against = array_sum(array_column($meetings, 'actual')) - array_sum(array_column($meetings, 'before'))) < 0 ? '−' : '+' }}{{ Times::column(abs($against)) }}</td></tr>@foreach ($meetings as $row)<x-ledger-line :row="$row" :scale="$scale" :query="$query" />@endforeach</tbody>@endif
            </table>
            @if ($groups === [])<div class="empty"><h2>{{ __('ledger.nothing') }}</h2><p class="soft">The clock on <a href="/work">Work</a> writes minutes down, and Close takes those entered by hand.</p></div>@endif
            <p class="soft">bar actual, tick planned, triangle the period before. {{ __('ledger.between', ['hours' => Times::duration($between->hours), 'accounted' => Times::duration($between->accounted), 'between' => Times::duration($between->between)]) }} @if ($between->outside){{ __('ledger.outside', ['minutes' => Times::duration($between->outside)]) }}@endif @if ($between->twice){{ __('ledger.twice', ['minutes' => Times::duration($between->twice)]) }}@endif @if ($withoutTask){{ __('ledger.without_task', ['minutes' => Times::duration($withoutTask)]) }}@endif</p>
            <div class="actions no-print"><form method="get" action="/ledger" class="pair"><label for="own-from">from</label><x-day id="own-from" name="from" :value="$from" :keeps="false" /><label for="own-until">to</label><x-day id="own-until" name="until" :value="$until" :keeps="false" />@if ($by !== By::Area)<input type="hidden" name="by" value="{{ $by->value }}">@endif<button class="button">Show</button></form><a class="button" href="{{ $address([], '/ledger/csv') }}" download>As CSV</a><a class="button button-bare" href="/reports">Reports</a></div>
        </section>
        <div>
            <section aria-labelledby="own-title"><div class="section-head"><h2 id="own-title">Own work and meetings</h2><span><b class="strong">{{ Times::duration($sum->actual) }}</b> own, {{ Times::duration(array_sum(array_column($meetings, 'actual'))) }} meetings</span></div>
                <table class="ledger-weeks"><caption class="sr-only">Deep and light work and meetings, part by part</caption><thead class="sr-only"><tr><th>from</th><th>drawn</th><th>own work and meetings</th></tr></thead><tbody>
                    @foreach ($parts as $one)<tr><th scope="row">{{ $one['label'] }}</th><td><span class="weeks-track">@if ($one['deep'])<i class="week-deep" style="--w:{{ $part($one['deep']) }}">@if ($part($one['deep']) > 130){{ Times::duration($one['deep']) }}@endif</i>@endif @if ($one['light'])<i class="week-light" style="--w:{{ $part($one['light']) }}">@if ($part($one['light']) > 130){{ Times::duration($one['light']) }}@endif</i>@endif @if ($one['meetings'])<i class="week-held" style="--w:{{ $part($one['meetings']) }}"><b>@if ($part($one['meetings']) > 130){{ Times::duration($one['meetings']) }}@endif</b></i>@endif</span></td>
                        <td class="number"><b>{{ Times::duration($one['deep'] + $one['light']) }}</b> + {{ Times::duration($one['meetings']) }}</td></tr>@endforeach</tbody></table>
                <p class="soft">deep {{ Times::duration(array_sum(array_column($parts, 'deep'))) }}, light {{ Times::duration(array_sum(array_column($parts, 'light'))) }}, meetings {{ Times::duration(array_sum(array_column($parts, 'meetings'))) }}</p></section>
            <section aria-labelledby="estimates-title"><div class="section-head"><h2 id="estimates-title">Estimates</h2><span class="soft">actual ÷ estimate, of the newest 400 tasks done; the line is 1: as estimated</span></div>
                @if ($estimates === [])<p class="soft">Done tasks that had an estimate and measured minutes stand here.</p>@else
                <table class="ledger-estimates"><thead><tr><th scope="col"><span class="sr-only">kind</span></th><th scope="col" class="factor-head" aria-label="scale">@foreach ($marks as $mark)<i @class(['factor-one' => $mark === 1.0]) style="--l:{{ EstimateKind::place($mark) }}">{{ $mark === 1.0 ? '1' : number_format($mark, 1) }}</i>@endforeach</th><th scope="col" class="number">usually</th><th scope="col" class="number">likely</th><th scope="col" class="number">pairs</th></tr></thead><tbody>
                    @foreach ($estimates as $kind)<tr><th scope="row">{{ $kind->name }}</th><td class="factor" style="--one:{{ EstimateKind::place(1.0) }}" aria-hidden="true">
                        @if ($kind->likely === null)<i class="factor-dot" style="--l:{{ EstimateKind::place($kind->median) }}"></i>@else<i class="factor-range" style="--l:{{ EstimateKind::place($kind->low) }};--w:{{ EstimateKind::place($kind->high) - EstimateKind::place($kind->low) }}"></i><i @class(['factor-bar', 'factor-over' => $kind->likely > 1.05]) style="--l:{{ min(EstimateKind::place(1.0), EstimateKind::place($kind->likely)) }};--w:{{ abs(EstimateKind::place($kind->likely) - EstimateKind::place(1.0)) }}"></i><i class="factor-median" style="--l:{{ EstimateKind::place($kind->likely) }}"></i>@if ($kind->earlier !== null)<i class="bar-was" style="--l:{{ EstimateKind::place($kind->earlier) }}"></i>@endif @endif</td>
                        @if ($kind->likely === null)<td class="number soft" colspan="2">too few to use yet</td>@else<td class="number">× {{ number_format($kind->low, 2) }} to {{ number_format($kind->high, 2) }}</td><td class="number"><b>× {{ number_format($kind->likely, 2) }}</b>@if ($kind->earlier !== null)<span class="sr-only">, its earlier half × {{ number_format($kind->earlier, 2) }}</span>@endif</td>@endif<td class="number">{{ $kind->pairs }}</td></tr>@endforeach</tbody></table>
                <p class="soft">bar what the plan corrects by, whisker two to eight of ten, triangle the earlier half of the pairs</p>@endif</section>
            <div class="ledger-feet">
                <section aria-labelledby="chances-title"><div class="section-head"><h2 id="chances-title">Chances kept</h2><span class="soft">{{ array_sum(array_column($chances, 'all')) }} due dates</span></div>
                    @foreach ($chances as $one)<div class="chance-row"><span>said {{ $one->percent }} %</span><x-pegs small :steps="[...array_fill(0, min(24, $one->kept), 'ink'), ...array_fill(0, min(24, $one->all - $one->kept), 'missed')]" /><span class="number"><b>{{ $one->kept }}</b> of {{ $one->all }}</span></div>@endforeach
                    @if ($chances !== [])@php $second = $chances[1] ?? $chances[0]; @endphp<p class="soft">{{ __('ledger.chance_says', ['all' => $second->all, 'percent' => $second->percent, 'due' => $second->due(), 'kept' => $second->kept]) }}</p>@else<p class="soft">What was said of due dates seven days before is set here against what came in time, once they have come.</p>@endif
                    @if ($carried !== [])<div class="section-head"><h2>Carried over most</h2></div>@foreach ($carried as $one)<div class="list-row"><a class="grow" href="/tasks/{{ $one['id'] }}">{{ $one['title'] }}</a><span class="soft">@icon('carried') {{ $one['carried'] }}{{ $one['done'] ? ', done' : '' }}</span></div>@endforeach @endif</section>
                <section aria-labelledby="promises-title"><div class="section-head"><h2 id="promises-title">Promises</h2><span class="soft"><b class="strong">{{ $promises['kept'] }}</b> of {{ $promises['all'] }} kept, {{ $promises['closed'] }} of {{ $promises['days'] }} closed</span></div>
                    @if ($days !== [])<div class="promise-days" role="img" aria-label="Key tasks of {{ count($days) }} days: {{ $promises['kept'] }} of {{ $promises['all'] }} kept">@foreach ($days as $day)<span @class(['promise-day', 'promise-open' => ! $day['closed'], 'promise-week' => $day['first']])><x-pegs small :steps="[...array_fill(0, $day['kept'], 'kept'), ...array_fill(0, $day['missed'], 'missed')]" />@if ($day['first'])<small>{{ $day['label'] }}</small>@endif</span>@endforeach</div>@endif
                    @if ($habits !== [])<table class="ledger-habits"><thead><tr><th scope="col"><span class="sr-only">what</span></th>@foreach ($weeks as $week)<th scope="col" class="number soft">{{ $week }}</th>@endforeach</tr></thead><tbody>@foreach ($habits as $habit)<tr><th scope="row">{{ $habit['name'] }}</th>@foreach ($habit['weeks'] as $one)<td class="number">{{ $one === null ? '' : "{$one[0]} of {$one[1]}" }}</td>@endforeach</tr>@endforeach</tbody></table>@endif</section>
            </div>
        </div>
    </div>
    <x-screen-keys on="ledger" />
</x-layout>
