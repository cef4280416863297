@php
    use App\Models\Review;
    use App\Wording\Times;
    $date = $week->asString();
    $page = ['review' => $review, 'week' => $week, 'days' => $days, 'keys' => $keys, 'steps' => $steps, 'goals' => $goals, 'asks' => $asks, 'slips' => $slips, 'areas' => $areas, 'place' => $place, 'about' => $about, 'waiting' => $waiting, 'someday' => $someday, 'next' => $next, 'promised' => $promised, 'actual' => $actual];
    $lines = [
        1 => 'own work '.Times::duration($actual).' of '.Times::duration($promised),
        2 => "key tasks {$keys['kept']} of {$keys['all']}, steps {$steps['kept']} of {$steps['all']}",
        3 => $slips === [] ? 'no notes' : Times::duration(array_sum(array_map(fn ($slip) => $slip->minutes, $slips))).', '.trans_choice('{1} one reason|[2,*] :count reasons', count($slips)),
        4 => trans_choice('{1} one area|[2,*] :count areas', max(1, count($areas))).(array_sum($review?->caught ?? []) ? ', '.array_sum($review->caught).' caught' : ''),
        5 => count($waiting) === 0 ? 'nobody' : count($waiting).', '.count(array_filter($waiting, fn ($one) => $one['due'])).' to ask now',
        6 => count($someday) === 0 ? 'nothing' : count($someday).', longest unseen since '.$someday[0]['seen'],
        7 => Times::duration($next->demand).' due by '.$next->until.', '.Times::duration($next->supply).' can be planned',
    ];
    $isClosed = $review?->closed_at !== null;
    $nextName = $step === 4 && isset($areas[$place + 1]) ? $areas[$place + 1]->name : ($step < 7 ? __('review.names.'.Review::STEPS[$step]) : null);
    $back = $step === 4 && $place > 0 ? "?step=4&place=".($place - 1) : ($step > 1 ? '?step='.($step - 1) : null);
    $top = $next->top();
    $part = fn (int $minutes): float => round(1000 * $minutes / $top, 1);
@endphp
<x-layout :title="'Review of '.$span" at="goals">
    <div class="title-row"><h1>Review of {{ $number ? "week {$number}" : 'the week' }}</h1><x-says /><span>{{ $span }}. {{ $isClosed ? 'Closed '.App\Wording\Dates::of($person)->ofMonth($person->local($review->closed_at)).'.' : 'It can be left and taken up again.' }}</span>
        <span class="end no-print">
            @if ($isClosed)<form method="post" action="/review/{{ $date }}/open">@csrf<button class="button">Open it again</button></form>@endif
            @if (! $whole && $back)<a class="button" href="/review/{{ $date }}{{ $back }}" data-page-key="[">Back <kbd>[</kbd></a>@endif
            <a class="button" href="/review/{{ $date }}{{ $whole ? "?step={$step}" : '?all=1' }}" data-page-key="v">{{ $whole ? 'Step by step' : 'All at once' }} <kbd>V</kbd></a>
            <a class="button button-bare" href="/goals" data-leave>Leave it here</a>
            @if (! $whole && ! $isClosed)@if ($step === 7)<button class="button button-main" form="close-review" data-enter>Close the week <kbd>Enter</kbd></button>@elseif ($step === 4)<button class="button button-main" form="area-form" data-enter>Next: {{ $nextName }} <kbd>Enter</kbd></button>@else<form method="post" action="/review/{{ $date }}">@csrf<input type="hidden" name="step" value="{{ $step }}"><button class="button button-main" data-enter>Next: {{ $nextName }} <kbd>Enter</kbd></button></form>@endif @elseif ($whole && ! $isClosed)<button class="button button-main" form="close-review">Close the week</button>@endif
        </span></div>
    @if ($isClosed && $review->account)
        @php $was = $review->account; @endphp
        <p class="review-kept">As it was closed: own work <b>{{ Times::duration((int) $was['actual']) }}</b> of {{ Times::duration((int) $was['promised']) }}, key tasks {{ $was['keys']['kept'] }} of {{ $was['keys']['all'] }}, steps {{ $was['steps']['kept'] }} of {{ $was['steps']['all'] }}, {{ $was['caught'] }} caught; due by the end of the next week {{ Times::duration((int) $was['next']['demand']) }}, {{ Times::duration((int) $was['next']['supply']) }} could be planned.</p>
    @endif
    @if ($isClosed && $review->note)<blockquote class="review-note">{{ $review->note }}</blockquote>@endif
    @if ($whole)
        <div class="review-whole">@foreach (Review::STEPS as $i => $name)<section aria-labelledby="step-{{ $name }}" @class(['review-part', "review-part-{$name}"])><div @class(['section-head', 'section-coral' => $name === 'next' && $next->crunch])><h2 id="step-{{ $name }}">{{ __("review.names.{$name}") }}</h2><span class="soft">{{ $lines[$i + 1] }}</span></div><x-review-step :page="$page" :number="$i + 1" /></section>@endforeach</div>
    @else
        <div class="review">
            <ol class="course">
                @foreach (Review::STEPS as $i => $name)
                    @php $n = $i + 1; @endphp
                    <li @class(['course-step', 'course-done' => $n < $step, 'course-now' => $n === $step])><span class="course-number">{{ $n }}</span><i class="course-mark" aria-hidden="true"></i>
                        @if ($n === $step)<div class="course-open"><h2>{{ __("review.names.{$name}") }}</h2><x-review-step :page="$page" :number="$n" /></div>
                        @else<a class="course-name" href="/review/{{ $date }}?step={{ $n }}">{{ __("review.names.{$name}") }}</a><span @class(['course-says', 'coral' => $n === 7 && $next->over() > 0])>{{ $lines[$n] }}</span>
                            @if ($name === 'week')<span class="course-drawn course-tapes">@foreach ($days as $row)<x-mini-tape :day="$row->day" />@endforeach</span>@elseif ($name === 'promises')<span class="course-drawn"><x-pegs :steps="array_merge(...array_map(fn ($row) => array_map(fn ($one) => $one['kept'] ? 'kept' : ($one['open'] ? 'none' : 'missed'), $row->keys), $days) ?: [[]])" /> <x-pegs :steps="array_merge(...array_map(fn ($row) => $row->steps, $goals) ?: [[]])" /></span>@endif @endif</li>
                @endforeach
            </ol>
            <aside aria-labelledby="next-title"><div class="section-head"><h2 id="next-title">Until the end of next week</h2><span><b class="strong">{{ Times::duration($next->demand) }}</b> of {{ Times::duration($next->supply) }}</span></div>
                <div class="next-vessel" role="img" aria-label="{{ Times::duration($next->demand) }} due by {{ $next->until }}, {{ Times::duration($next->supply) }} can be planned, {{ Times::duration($next->open) }} open">
                    <i class="next-staff"></i>@for ($hour = 0; $hour * 60 <= $top; $hour += App\Screens\HourScale::step($top, 6))<span class="next-hour" style="--b:{{ $part($hour * 60) }}">{{ $hour }}</span>@endfor
                    <i class="next-rim" style="--h:{{ $part($next->open) }}"></i>
                    @php $at = 0; @endphp
                    @foreach ($next->pieces as $piece)<span @class(['next-piece', "hue-{$piece['hue']}", 'next-deep' => $piece['deep']]) style="--b:{{ $part($at) }};--h:{{ $part($piece['minutes']) }}">@if ($part($piece['minutes']) > 38)<b>{{ $piece['title'] }}</b><em>{{ Times::duration($piece['minutes']) }}</em>@endif</span>@php $at += $piece['minutes']; @endphp @endforeach
                    @if ($next->rest)<span class="next-piece next-rest" style="--b:{{ $part($at) }};--h:{{ $part($next->rest) }}">@if ($part($next->rest) > 38)<b>others</b><em>{{ Times::duration($next->rest) }}</em>@endif</span>@endif
                    <i class="next-line" style="--b:{{ $part($next->supply) }}"><em>{{ Times::duration($next->supply) }}<br>under the lines</em></i>
                    @if ($next->over())<span class="next-over" style="--b:{{ $part($next->supply) }};--h:{{ $part($next->over()) }}"><b>{{ Times::duration($next->over()) }} over</b></span>@endif
                </div>
                <p class="soft">Stacked by due date from the foot, so what stands over the line is the latest due. It moves with every line caught.</p></aside>
        </div>
    @endif
    @if ($earlier->isNotEmpty())<p class="soft no-print">Earlier: @foreach ($earlier as $one)<a href="/review/{{ $one->week_on }}?all=1">{{ App\Wording\Dates::of($person)->ofMonth(Nekto\Core\Time\LocalDay::fromString($one->week_on)) }}</a>@if (! $loop->last) · @endif @endforeach</p>@endif
    <x-screen-keys on="review" />
</x-layout>
