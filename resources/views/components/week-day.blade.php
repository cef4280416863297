{{-- A day of the week: its tape, and what it carries. --}}
@props(['day', 'axis', 'top', 'balance' => null])
@php use App\Wording\Times; $date = $day->day->asString(); @endphp
<section @class(['week-row', 'week-today' => $day->isToday, 'week-past' => $day->isPast]) aria-labelledby="day-{{ $date }}" data-day="{{ $date }}">
    <h2 class="week-name" id="day-{{ $date }}"><a href="/shape/{{ $date }}"><span>{{ $day->label }}</span> <small>{{ $day->date }}@if ($day->isToday), today @endif</small></a></h2>
    <div class="week-tape" data-list>
        <i class="week-line"></i>
        @foreach ($day->open as [$left, $width])<i class="week-open" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
        @foreach ($axis->marks() as [$left, $hour])<i @class(['week-mark', 'week-hour' => $hour !== null]) style="--l:{{ $left }}"></i>@endforeach
        @foreach ($day->kept as [$left, $width])<i class="week-kept" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
        @if ($day->lunch !== null && $day->open !== [])<span class="week-lunch" style="--l:{{ $day->lunch }}">lunch</span>@endif
        @if ($day->open === [])<span class="week-none">{{ __('week.no_hours') }}</span>@endif
        @if ($day->allDay !== [])<span class="week-all-day">{{ implode(', ', $day->allDay) }}</span>@endif
        @foreach ($day->worked as [$left, $width])<i class="week-worked" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
        @foreach ($day->pieces as $piece)
            <a id="{{ $piece->kind }}-{{ $piece->id }}-{{ $date }}" href="{{ $piece->kind === 'block' ? "/shape/{$date}?block={$piece->id}" : "/occurrences/{$piece->id}" }}" data-row draggable="false"
               @if ($piece->movable) data-block="{{ $piece->id }}" data-mark="{{ $piece->mark }}" data-clock="{{ $piece->clock }}" @endif data-minutes="{{ $piece->minutes }}" @if ($piece->task) data-task="{{ $piece->task }}" @endif
               @class(['week-piece', 'week-meeting' => $piece->kind === 'meeting', 'week-deep' => $piece->deep, 'week-light' => $piece->kind === 'block' && ! $piece->deep, "week-{$piece->state}" => $piece->state !== '', 'week-outside' => $piece->outside, 'week-anchored' => $piece->anchored, 'week-movable' => $piece->movable, "hue-{$piece->hue}" => $piece->hue, "hatch-{$piece->hatching}" => $piece->hatching])
               title="{{ $piece->name }}" aria-label="{{ $piece->name }}{{ $piece->deep ? ', deep' : '' }}{{ $piece->anchored ? ', anchored' : '' }}{{ in_array($piece->state, ['', 'planned'], true) ? '' : ', '.$piece->state }}" style="--l:{{ $piece->left }};--w:{{ $piece->width }}">@if ($piece->where !== '')<span class="week-label-{{ $piece->where }}" aria-hidden="true"><b>{{ $piece->label }}</b>@if ($piece->anchored)@icon('anchor')@endif</span>@elseif ($piece->anchored)@icon('anchor')@endif @if ($piece->movable)<span class="week-grip" data-grip></span>@endif</a>
        @endforeach
        @foreach ($day->tails as $tail)
            @if ($tail->end === 'none')<i class="week-tail-none" style="--l:{{ $tail->left }}"></i>@else
            <i @class(['week-tail', "week-tail-{$tail->end}", 'week-tail-begins' => $tail->begins]) style="--l:{{ $tail->left }};--w:{{ $tail->width }};--track:{{ $tail->track }}">@if ($tail->label !== '')<em @class(['week-tail-left' => $tail->left + $tail->width > 700])>{{ $tail->label }}</em>@endif</i>@endif
        @endforeach
        @foreach ($balance->moves ?? [] as $move)@if ($move['toDay'] === $day->day->number)@php [$left, $width] = $axis->stretch(App\Time\Zones::named($person->zone), $day->day, new Nekto\Core\Time\Interval($move['at'], $move['at'] + $move['minutes'])); @endphp<i class="week-come" style="--l:{{ $left }};--w:{{ $width }}" title="{{ $move['title'] }}"></i>@endif @endforeach
        @if ($day->nowAt !== null)<span class="week-now" style="--l:{{ $day->nowAt }}"><b>{{ $day->nowLabel }}</b></span>@endif
    </div>
    <div class="week-sum">
        @if ($day->main === null || ($day->main->load->hours === 0 && $day->main->minutes === 0))
            <span class="soft">{{ __('week.no_open_time') }}</span>
        @else
            <b @class(['strong', 'coral' => $day->main->over() > 0])>{{ Times::duration($day->main->minutes) }}</b>@if ($day->main->over() > 0)<span class="coral"> {{ Times::duration($day->main->over()) }} over</span>@endif @if ($day->untimed !== [])<span class="soft"> + {{ Times::duration(array_sum(array_column($day->untimed, 'minutes'))) }} without a time</span>@endif
            @if ($balance && $balance->gain($day->day) !== 0)<b class="over-text">{{ $balance->gain($day->day) > 0 ? '+ ' : '' }}{{ Times::duration($balance->gain($day->day)) }}</b>@endif
            <x-day-bar :work="$day->work" :set="$day->main" :top="$top" />
            <span class="soft">of {{ Times::duration($day->main->load->loadLine) }}@if ($day->work->deep > 0), <span @class(['coral' => $day->work->deep > $day->work->deepLimit])>deep {{ Times::duration($day->work->deep) }}</span>@endif</span>
        @endif
    </div>
</section>
