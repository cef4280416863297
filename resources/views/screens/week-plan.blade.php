@php use App\Wording\Times; use Nekto\Core\Time\LocalDay; $count = array_sum(array_map('count', $groups)); $dates = App\Wording\Dates::of($person); @endphp
<x-layout title="The week in one run" at="week">
    <form class="week-plan" id="week-plan" method="get" action="/week/plan/{{ $first->asString() }}" data-on-change x-data="weekPlan">
        <div class="title-row">
            <h1>The week in one run</h1><x-says />
            <span>{{ $title }}, placed <b @class(['strong', 'coral' => $over !== []])>{{ Times::duration($placed) }}</b> of <b class="strong">{{ Times::duration($line) }}</b></span>
            <span class="end">
                <a class="button button-bare" href="/week/plan/{{ $first->plusDays(-7)->asString() }}" data-page-key="[" aria-label="earlier week">@icon('before')</a><a class="button button-bare" href="/week/plan/{{ $first->plusDays(7)->asString() }}" data-page-key="]" aria-label="later week">@icon('after')</a>
                <a class="button" href="/week/{{ $first->asString() }}" data-leave>Leave it <kbd>Esc</kbd></a>
                @if ($count > 0 && $days !== [])<button class="button button-over" formmethod="post" formaction="/week/plan/{{ $first->asString() }}" data-page-key="l">Take it: {{ $over === [] ? __('weekplan.fits') : __('weekplan.over', ['days' => implode(', ', $over)]) }} <kbd>L</kbd></button>@endif
            </span>
        </div>
        @csrf
        @error('on.*')<p class="error" role="alert">{{ $message }}</p>@enderror
        <div class="week-plan-parts">
            <div class="plan-rows" data-list>
                <div class="plan-head" aria-hidden="true"><span></span><span>left</span><span class="plan-dots">@foreach ($days as $day)<span>{{ mb_substr($day->row->label, 0, 2) }}</span>@endforeach<span>later</span></span><span>due</span></div>
                @if ($days === [])<div class="empty"><h2>{{ __('weekplan.no_days') }}</h2></div>@elseif ($count === 0)<div class="empty"><h2>{{ __('weekplan.empty') }}</h2><p class="soft">Weigh what waits in <a href="/weigh">Weigh</a>, and say how long it takes.</p></div>@endif
                @foreach ($days === [] ? [] : $groups as $why => $rows)
                    <div class="section-head"><h2>{{ __("weekplan.group.{$why}") }}</h2><span class="soft">{{ count($rows) }}, {{ Times::duration(array_sum(array_map(static fn ($row) => array_sum($row->parts) ?: $row->minutes, $rows))) }}</span></div>
                    @foreach ($rows as $row)
                        <fieldset @class(['plan-row', "hue-{$row->hue}", 'plan-chosen' => $row->isChosen]) id="plan-{{ $row->task }}">
                            <legend class="sr-only">{{ $row->title }}</legend>
                            <span class="plan-title">@spine($row->importance, 22)<span>{{ $row->title }}</span>@if ($row->carried > 0)<span class="soft">@icon('carried'){{ $row->carried }}</span>@endif</span>
                            <span class="plan-minutes">{{ Times::column($row->minutes) }}</span>
                            <span class="plan-dots">
                                @foreach ($days as $day)
                                    @php $number = $day->row->day->number; $would = $row->would[$number] ?? 0; @endphp
                                    <label @class(['plan-dot', 'plan-part' => isset($row->parts[$number])]) title="{{ $dates->near($day->row->day) }}"><input type="radio" name="on[{{ $row->task }}]" value="{{ $day->row->day->asString() }}" @checked($row->day() === $number) aria-label="{{ $dates->long($day->row->day) }}"><i></i><b @class(['coral' => $would < 0])>{{ Times::column($would) }}</b></label>
                                @endforeach
                                <label class="plan-dot plan-wait"><input type="radio" name="on[{{ $row->task }}]" value="wait" @checked($row->parts === []) data-wait aria-label="it waits until next week"><i></i><b>&nbsp;</b></label>
                            </span>
                            <span @class(['plan-due', 'coral' => $row->isLate])>{{ $row->due }}</span>
                            @if ($row->says !== '')<span class="plan-says">{{ $row->says }}</span>@endif
                        </fieldset>
                    @endforeach
                @endforeach
            </div>
            <div class="plan-side">
                @foreach ($days as $day)
                    <section class="plan-day" aria-label="{{ $day->row->label }}">
                        <h2>{{ $day->row->label }} <small>{{ $day->row->date }}</small></h2>
                        <div class="plan-tape" aria-hidden="true"><i class="week-line"></i>@foreach ($day->row->open as [$left, $width])<i class="week-open" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach @foreach ($day->row->pieces as $piece)@if ($piece->kind === 'meeting' || $piece->anchored || $piece->state === 'done')<i @class(['week-piece', 'week-meeting' => $piece->kind === 'meeting', 'week-deep' => $piece->deep, 'week-light' => $piece->kind === 'block' && ! $piece->deep, "hue-{$piece->hue}" => $piece->hue, "hatch-{$piece->hatching}" => $piece->hatching]) style="--l:{{ $piece->left }};--w:{{ $piece->width }}"></i>@endif @endforeach</div>
                        <p><b @class(['strong', 'coral' => $day->planned > $day->line])>{{ Times::duration($day->planned) }}</b> of {{ Times::duration($day->line) }}, <span @class(['coral' => $day->deep > $day->deepLimit])>deep {{ Times::duration($day->deep) }}</span></p>
                        <meter min="0" max="{{ max(1, $day->line, $day->planned) }}" value="{{ $day->planned }}" aria-hidden="true" class="sr-only"></meter>
                        <div class="plan-bar" aria-hidden="true"><i class="bar-open" style="--w:{{ round(100 * $day->line / max(1, $day->line, $day->planned), 1) }}"></i><i class="bar-light" style="--l:0;--w:{{ round(100 * min($day->planned, $day->line) / max(1, $day->line, $day->planned), 1) }}"></i>@if ($day->planned > $day->line)<i class="bar-over" style="--l:{{ round(100 * $day->line / $day->planned, 1) }};--w:{{ round(100 - 100 * $day->line / $day->planned, 1) }}"></i>@endif</div>
                    </section>
                @endforeach
                @if ($later !== [])
                    <table class="dues plan-later"><thead><tr><th scope="col"><h2>What waits, together</h2></th><th scope="col" class="number"></th><th scope="col">due</th><th scope="col" class="number">in all</th><th scope="col" class="number">open</th><th scope="col" class="number">room</th></tr></thead>
                        <tbody>@foreach ($later as $one)<tr @class(['coral' => $one->room() < 0])><td class="dues-what">{{ $one->name }}</td><td class="number">{{ Times::duration($one->minutes) }}</td><td>{{ $one->due }}</td><td class="number">{{ Times::duration($one->all) }}</td><td class="number">{{ Times::duration($one->open) }}</td><td class="number"><b>{{ Times::duration($one->room()) }}</b></td></tr>@endforeach</tbody></table>
                    @php $short = collect($later)->first(static fn ($one) => $one->room() < 0); @endphp
                    @if ($short)<p class="coral">{{ __('weekplan.short', ['name' => $short->name, 'minutes' => Times::duration(-$short->room())]) }} <a href="/horizon?ways=1">Ways out on Horizon</a>.</p>@endif
                @endif
                @if ($more > 0)<p class="soft">{{ trans_choice('{1} One more task waits.|[2,*] :count more tasks wait.', $more) }}</p>@endif
            </div>
        </div>
    </form>
    <x-screen-keys on="weekplan" />
</x-layout>
