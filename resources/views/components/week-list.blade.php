{{-- The week without times: what lies on each day, and what is picked for it. --}}
@props(['days'])
@php use App\Wording\Times; @endphp
<div class="week-lists">
    @foreach ($days as $day)
        <section @class(['week-list', 'week-today' => $day->isToday]) aria-labelledby="list-{{ $day->day->asString() }}">
            <div class="section-head"><h2 id="list-{{ $day->day->asString() }}"><a href="/shape/{{ $day->day->asString() }}">{{ $day->label }}</a></h2><span class="soft">{{ $day->date }}@if ($day->main !== null) · <b @class(['strong', 'coral' => $day->main->over() > 0])>{{ Times::duration($day->main->minutes) }}</b> of {{ Times::duration($day->main->load->loadLine) }}@endif</span></div>
            @if ($day->list === [] && $day->untimed === [])<p class="soft">{{ $day->open === [] ? __('week.no_hours') : __('week.nothing') }}</p>@endif
            <ul class="day-list" data-list>
                @foreach ($day->list as $one)<li><span class="grow"><a href="/tasks/{{ $one['task'] }}" data-row @class(['struck' => $one['done']])>{{ $one['title'] }}</a></span><span>{{ Times::column($one['minutes']) }}</span></li>@endforeach
                @foreach ($day->untimed as $one)<li><span class="grow"><a href="/tasks/{{ $one['task'] }}" data-row>{{ $one['title'] }}</a> <span class="soft">picked</span></span><span>{{ Times::column($one['minutes']) }}</span></li>@endforeach
            </ul>
            @foreach ($day->pieces as $piece)@if ($piece->kind === 'meeting')<p class="soft">{{ $piece->name }}</p>@endif @endforeach
        </section>
    @endforeach
</div>
