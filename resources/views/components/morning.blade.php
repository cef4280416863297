{{-- The guided run through the morning: one step at a time beside the sheet; each can be passed over, nothing is locked. --}}
@props(['morning', 'gauge', 'sheet', 'day', 'address', 'ask', 'proposal', 'difference'])
@php
    use App\Screens\Shape\MorningStep;
    use App\Wording\Times;
    $step = $morning->step;
    $next = $step->next();
    $carried = http_build_query(['picks' => $ask->picks, 'keys' => $ask->keys]);
@endphp
<section class="morning" id="morning" aria-labelledby="morning-title">
    <div class="section-head section-over"><h2 id="morning-title">{{ __("shape.morning.title.{$step->value}") }}</h2>
        @if ($step !== MorningStep::Done)<span class="soft">morning, {{ $step->number() }} of 6</span>@endif</div>
    @if ($morning->missing !== null && $step !== MorningStep::Done)
        @if ($morning->forgotten)<p class="warning">The clock of an earlier day still runs. <a href="/work">Say when you stopped</a>.</p>@endif
        <div class="empty"><h2>{{ __('shape.morning.missing.title') }}</h2><p>{{ trans_choice("shape.morning.missing.{$morning->missing}", $morning->missing === 'weights' ? $counts['weigh'] : $counts['gather']) }}</p></div>
        <div class="actions"><a class="button button-main" href="{{ ['lines' => '/gather', 'sorting' => '/gather', 'weights' => '/weigh', 'estimates' => '/weigh/list'][$morning->missing] }}" data-first>{{ __("shape.morning.missing.go.{$morning->missing}") }} <kbd>Enter</kbd></a><form method="post" action="/shape/morning">@csrf<button class="button button-bare">Not today</button></form></div>
    @elseif ($step === MorningStep::Left)
        @if ($morning->forgotten)<p class="warning">The clock of an earlier day still runs. <a href="/work">Say when you stopped</a>.</p>@endif
        @if ($morning->rested !== null)<div class="morning-row"><p class="grow">{{ $morning->resting }}</p><x-undo :revision="$morning->rested->id"><button class="button" data-page-key="b">Bring back <kbd>B</kbd></button></x-undo></div>@endif
        @forelse ($morning->left as $one)
            <div class="morning-row hue-{{ $one['task']->area->hue }}">@spine($one['task']->importance->value ?? 0, 30)<div class="grow"><a href="/tasks/{{ $one['task']->id }}">{{ $one['task']->title }}</a> @if ($one['task']->carried)<span class="soft">@icon('carried'){{ $one['task']->carried }}</span>@endif
                <p class="soft">{{ $one['state'] }} @icon('to') <b class="strong">{{ $one['next'] ? Times::when($person, $one['next']->starts_at, $now) : 'no place yet' }}</b></p></div>
                @if ($one['next'] && $person->local($one['next']->starts_at)->isSameDay($person->local($now)))
                    <form method="post" action="/blocks/{{ $one['next']->id }}/send">@csrf<input type="hidden" name="mark" value="{{ $one['next']->mark() }}"><button class="button" name="to" value="tomorrow" aria-label="{{ $one['task']->title }} tomorrow instead">Tomorrow</button></form>
                @else
                    <form method="post" action="/tasks/{{ $one['task']->id }}/place">@csrf<input type="hidden" name="day" value="{{ $day->asString() }}"><button class="button" aria-label="{{ $one['task']->title }} today instead">Today</button></form>
                @endif</div>
        @empty<p class="soft">Nothing was left over.</p>
        @endforelse
    @elseif ($step === MorningStep::Holds)
        @forelse ($morning->meetings as $one)<div class="morning-row"><span class="grow">{{ $one->shownName() }}</span><span class="soft">{{ Times::range($person, $one->starts_at, $one->ends_at) }}</span></div>@empty<p class="soft">No meetings.</p>@endforelse
        <table class="before-after"><tbody>
            <tr><td>open time</td><td class="strong">{{ Times::duration($gauge->load->open) }}</td></tr>
            <tr><td>load line, {{ $person->margin_percent }} % kept free</td><td class="strong">{{ Times::duration($gauge->load->loadLine) }}</td></tr>
            <tr><td>planned so far</td><td @class(['strong', 'coral' => $gauge->over() > 0])>{{ Times::duration($gauge->planned) }}</td></tr>
        </tbody></table>
    @elseif ($step === MorningStep::Candidates)
        @foreach ($morning->candidates as $one)<div class="morning-row hue-{{ $one['task']->area->hue }}">@spine($one['task']->importance->value ?? 0, 18)<div class="grow"><a href="/tasks/{{ $one['task']->id }}">{{ $one['task']->title }}</a> <span class="soft">{{ $one['why'] }}</span></div><span>{{ Times::column($one['minutes']) }}</span><b class="pull">{{ $one['pull'] }}</b></div>@endforeach
    @elseif ($step === MorningStep::Day && $proposal)
        <form method="get" action="{{ $address }}" class="proposal" id="morning-day">
            <input type="hidden" name="morning" value="{{ $next->value }}">
            <p class="soft">{{ Times::duration($proposal->minutes) }} of {{ Times::duration($proposal->line) }}, deep {{ Times::duration($proposal->deep) }} of {{ Times::duration($proposal->deepLimit) }}@foreach ($proposal->others as $other), {{ $other['name'] }} {{ Times::duration($other['minutes']) }} of {{ Times::duration($other['line']) }}@endforeach</p>
            <ul>@foreach ($proposal->picks as $pick)<li><label class="check"><input type="checkbox" name="picks[]" value="{{ $pick['task']->id }}" checked> <span class="swatch hue-{{ $pick['task']->area->hue }}"></span> <span class="grow"><b>{{ $pick['task']->shortTitle() }}</b> <span class="soft">{{ $pick['why'] }}</span></span></label><span>{{ Times::column($pick['minutes']) }}</span><label class="key-mark"><input type="checkbox" name="keys[]" value="{{ $pick['task']->id }}" @checked($pick['key']) aria-label="{{ $pick['task']->title }} is a key task"> key</label></li>@endforeach</ul>
            @if ($proposal->picks === [])<p class="soft">Nothing weighed and estimated fits this day.</p>@endif
        </form>
    @elseif ($step === MorningStep::Wait && $proposal)
        @if ($proposal->waiting !== [])<p class="soft">{{ $proposal->together }}</p>@endif
        @forelse ($proposal->waiting as $one)<div class="morning-row"><span class="grow">{{ $one['task']->shortTitle() }}</span><span class="soft">@if ($one['late'])<span class="coral">late as it is</span>@else{{ $one['until'] === null ? 'no date hurries it' : 'until '.Times::when($person, $one['until'], $now) }}@endif</span><span>{{ Times::column($one['minutes']) }}</span></div>@empty<p class="soft">Everything fits.</p>@endforelse
        @if ($proposal->more)<p class="soft">and {{ $proposal->more }} more</p>@endif
    @elseif ($step === MorningStep::Lay && $difference)
        <x-difference :difference="$difference" :gauge="$gauge" :day="$day" :address="$address" :ask="$ask" />
    @elseif ($step === MorningStep::Done)
        <p>{{ count($sheet->blocks) }} blocks, {{ Times::duration($gauge->planned) }} of {{ Times::duration($gauge->load->loadLine) }}. @if ($gauge->over() > 0)<span class="coral">{{ Times::duration($gauge->over()) }} over.</span>@else It fits.@endif</p>
        <div class="actions"><a class="button button-main" href="/work" data-first>Begin <kbd>Enter</kbd></a><a class="button button-bare" href="{{ $address }}" data-leave>Stay here</a></div>
    @endif
    @if ($step !== MorningStep::Done && $morning->missing === null)
        <div class="actions">
            @if ($step === MorningStep::Day)<button class="button button-main" form="morning-day" data-first>On: what can wait <kbd>Enter</kbd></button>
            @elseif ($step !== MorningStep::Lay)<a class="button button-main" href="{{ $address }}?morning={{ $next->value }}{{ $step === MorningStep::Wait ? '&'.$carried : '' }}" data-here data-first>{{ $step === MorningStep::Wait ? 'Lay it out' : 'On: '.mb_strtolower(__("shape.morning.title.{$next->value}")) }} <kbd>Enter</kbd></a>@endif
            @if ($step->before())<a class="button button-bare" href="{{ $address }}?morning={{ $step->before()->value }}" data-here>Back</a>@endif
            <form method="post" action="/shape/morning">@csrf<button class="button button-bare">Not today</button></form>
        </div>
    @endif
</section>
