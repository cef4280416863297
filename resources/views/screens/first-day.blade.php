@php
    use App\Edits\FirstStep;
    use App\Screens\FirstDay\Vessel;
    use App\Wording\Times;
    $hour = $person->local($now)->hour;
    $part = $hour < 12 ? 'morning' : ($hour < 18 ? 'afternoon' : 'evening');
    $first = explode(' ', $user->name)[0];
    $y = fn (float|int $minutes): float => Vessel::HEIGHT + 20 - $minutes * $vessel->scale;
@endphp
<x-layout title="Your first day">
    <div class="title-row first-title"><h1>Good {{ $part }}, {{ $first }}. Five steps, then the day is laid out.</h1><span class="soft">about nine minutes; each can be left out</span><x-says /></div>
    <div class="first-day">
        <ol class="course">
            @foreach (FirstStep::cases() as $one)
                @php $state = $states[$one->value]; $isOpen = $one === $step; @endphp
                <li @class(['station-step', 'step-open' => $isOpen, 'step-done' => $state === 'done', 'step-left' => $state === 'left'])>
                    <span class="step-number">{{ $one->number() }}</span><i class="step-point"></i>
                    <div class="step-head"><h2>@if ($isOpen){{ __("first.names.{$one->value}") }}@else<a href="/first-day?step={{ $one->value }}" data-here>{{ __("first.names.{$one->value}") }}</a>@endif</h2><em>{{ __("first.questions.{$one->value}") }}</em><span @class(['step-figure', 'moss' => $state === 'done'])>{{ $figures[$one->value] }}</span></div>
                    @if (! $isOpen)<p class="step-hint">{{ __("first.hints.{$one->value}") }}</p>
                    @else
                        <div class="step-body">
                        @if ($one === FirstStep::Hours)
                            <p>{{ __('first.hints.hours') }} Most people begin like this:</p>
                            <div class="offer-tapes" aria-hidden="true">
                                <div class="offer-row offer-ends"><span></span><span class="offer-tape"><b style="left:{{ $hours->fromAt }}%">{{ $hours->from }}</b>@if ($hours->lunch)<em style="left:{{ $hours->lunch['left'] }}%;width:{{ $hours->lunch['width'] }}%">lunch</em>@endif<b class="offer-to" style="left:{{ $hours->toAt }}%">{{ $hours->to }}</b></span></div>
                                @foreach ($hours->days as $day)
                                    <div class="offer-row"><span @class(['offer-today' => $day['isToday']])>{{ $day['name'] }}</span><span class="offer-tape"><i class="offer-dots"></i>@foreach ($day['stretches'] as $stretch)<i class="offer-open" style="left:{{ $stretch['left'] }}%;width:{{ $stretch['width'] }}%"></i>@endforeach @if ($hours->lunch)<i class="offer-lunch" style="left:{{ $hours->lunch['left'] }}%;width:{{ $hours->lunch['width'] }}%"></i>@endif</span></div>
                                @endforeach
                            </div>
                            <form method="post" action="/first-day" class="actions">@csrf<input type="hidden" name="step" value="hours"><button class="button button-over" name="how" value="done" data-first autofocus>Take these hours <kbd>Enter</kbd></button><a class="button" href="/settings">Draw my own</a><span class="soft">{{ $hours->words }}</span></form>
                        @elseif ($one === FirstStep::Calendar)
                            <p>{{ __('first.hints.calendar') }}</p>
                            @if ($reads)<p class="soft" data-watch role="status">Your calendar is being read: {{ trans_choice('first.figures.meetings', max(1, $meetings)) }} so far.</p>@endif
                            <form method="post" action="/meetings" enctype="multipart/form-data" data-whole class="cal-file">@csrf<label class="button" for="calendar">Choose a file</label><input class="file-in" id="calendar" type="file" name="calendar" accept=".ics,text/calendar" required @error('calendar') aria-invalid="true" @enderror data-send-at-once><button class="button">Bring it in</button></form>
                            @error('calendar')<p class="error" role="alert">{{ $message }}</p>@enderror
                            <form method="post" action="/calendars" class="pair step-line">@csrf<input class="field line-field" name="address" value="{{ old('address') }}" placeholder="or the address of a calendar" aria-label="The address of a calendar" inputmode="url" autocomplete="off" maxlength="2000" @error('address') aria-invalid="true" @enderror><button class="button">Follow it</button></form>
                            @error('address')<p class="error" role="alert">{{ $message }}</p>@enderror
                            <form method="post" action="/meetings/own" class="pair step-line" data-clear>@csrf<input class="field line-field" name="line" value="{{ old('line') }}" maxlength="500" placeholder="or a meeting: meet Sam tomorrow 14:00 for 45 min" aria-label="A meeting, in one line" autocomplete="off" @error('line') aria-invalid="true" @enderror><button class="button">Write it down</button></form>
                            @error('line')<p class="error" role="alert">{{ $message }}</p>@enderror
                            <form method="post" action="/first-day" class="actions">@csrf<input type="hidden" name="step" value="calendar">@if ($meetings > 0)<button class="button button-over" name="how" value="done" data-first autofocus>Go on <kbd>Enter</kbd></button>@else<button class="button" name="how" value="left">Without a calendar</button>@endif</form>
                        @elseif ($one === FirstStep::Gather)
                            <p>{{ __('first.hints.gather') }}</p>
                            <form method="post" action="/gather" data-clear class="step-gather" x-data="entry" x-ref="form">@csrf<textarea class="field" name="lines" rows="{{ $lines === 0 ? 5 : 3 }}" x-ref="text" x-on:input="typed" x-on:keydown="key" aria-label="What has come at you, a line each" placeholder="write to the landlord by friday&#10;slides for monday, 90 min&#10;call the dentist" data-first autofocus></textarea><input type="hidden" name="refused" x-ref="refused"><div data-own class="glosses" x-ref="glosses" aria-live="polite"></div><div class="actions"><button class="button button-main">Keep them</button></div></form>
                            @if ($lines > 0)
                                <ul class="step-caught">@foreach ($caught as $title)<li>{{ $title }}</li>@endforeach @if ($lines > count($caught))<li class="soft">and {{ $lines - count($caught) }} more</li>@endif</ul>
                            @endif
                            <form method="post" action="/first-day" class="actions">@csrf<input type="hidden" name="step" value="gather">@if ($lines > 0)<button class="button button-over" name="how" value="done">That is all: weigh them</button>@else<button class="button" name="how" value="left">Leave it out</button>@endif</form>
                        @elseif ($one === FirstStep::Weigh)
                            <p>{{ __('first.hints.weigh') }}</p>
                            @if ($lines === 0)<p>There is nothing to weigh yet. <a href="/first-day?step=gather" data-here>Catch some lines first.</a></p>
                            @elseif ($unweighed > 0)<p>{{ $unweighed }} {{ $unweighed === 1 ? 'line waits' : 'lines wait' }}. On the next screen they come one at a time: <kbd>1</kbd> to <kbd>4</kbd> says what it is worth, <kbd>T</kbd> by when, <kbd>M</kbd> how long, <kbd>Enter</kbd> the next.</p>
                            @else<p>All {{ $lines }} are weighed.</p>@endif
                            <div class="actions">@if ($unweighed > 0)<a class="button button-over" href="/weigh" data-first autofocus>Weigh them</a>@endif<form method="post" action="/first-day">@csrf<input type="hidden" name="step" value="weigh">@if ($unweighed === 0 && $lines > 0)<button class="button button-over" name="how" value="done" data-first autofocus>Go on <kbd>Enter</kbd></button>@else<button class="button" name="how" value="left">Leave it out</button>@endif</form></div>
                        @else
                            <p>{{ __('first.hints.shape') }}</p>
                            @if ($lines === $unweighed)<p>Nothing is weighed yet, so there is nothing to lay out. <a href="/first-day?step={{ $lines === 0 ? 'gather' : 'weigh' }}" data-here>{{ $lines === 0 ? 'Catch some lines first.' : "{$unweighed} lines wait to be weighed." }}</a></p>
                            @else<form method="post" action="/plan/lay-out" class="actions">@csrf<button class="button button-over" data-page-key="l" data-first autofocus>Lay out the day <kbd>L</kbd></button>@if ($unweighed > 0)<span class="soft">{{ $unweighed }} not weighed yet {{ $unweighed === 1 ? 'waits' : 'wait' }}</span>@endif</form>@endif
                        @endif
                        @if ($state !== 'ahead')<form method="post" action="/first-day" class="step-again">@csrf<input type="hidden" name="step" value="{{ $one->value }}"><a href="/first-day" data-here>{{ $state === 'left' ? 'It is left out: on with the next' : 'It is done: on with the next' }}</a></form>@endif
                        </div>
                    @endif
                </li>
            @endforeach
            <li class="course-end"><p><b>Work</b> and <b>Close</b> follow by themselves: one thing at a time, and an account in the evening.</p></li>
        </ol>
        <section class="first-side" aria-labelledby="vessel-title">
            <div class="section-head"><h2 id="vessel-title">Your day, as it fills</h2><span class="soft">@if ($vessel->number === 0)empty yet @else {{ Times::duration($vessel->number > 1 ? $vessel->open : $vessel->hours) }} open @endif</span></div>
            <svg class="vessel" viewBox="0 0 356 {{ Vessel::HEIGHT + 34 }}" role="img" aria-label="{{ $vessel->number === 0 ? 'Empty yet' : Times::duration($vessel->hours).' of hours, '.Times::duration($vessel->meetings).' of meetings, '.count($vessel->pieces).' pieces' }}">
                @for ($h = 0; $h * 60 <= $vessel->hours; $h++)<text class="vessel-hour" x="16" y="{{ $y($h * 60) + 4 }}" text-anchor="end">{{ $h }}</text>@if ($h * 60 + 30 <= $vessel->hours)<rect class="vessel-staff" x="24" y="{{ $y($h * 60 + 30) }}" width="5" height="{{ 15 * $vessel->scale }}"/><rect class="vessel-staff" x="24" y="{{ $y($h * 60 + 60 > $vessel->hours ? $vessel->hours : $h * 60 + 60) }}" width="5" height="{{ 15 * $vessel->scale }}"/>@endif @endfor
                <path class="vessel-edge" d="M24 20V{{ Vessel::HEIGHT + 20 }}M29 20V{{ Vessel::HEIGHT + 20 }}"/>
                <rect class="vessel-margin" x="34" y="20" width="140" height="{{ max(0, $y($vessel->line) - 20) }}"/>
                @if ($vessel->number >= 2 && $vessel->meetings > 0)<rect class="vessel-meetings" x="34" y="20" width="140" height="{{ $vessel->meetings * $vessel->scale }}"/>@endif
                @foreach ($vessel->pieces === [] ? [[0, 56], [58, 90], [150, 36], [188, 70]] : [] as [$from, $long])<rect class="vessel-ghost" x="38" y="{{ $y($from + $long) }}" width="132" height="{{ $long * $vessel->scale }}"/>@endforeach
                @foreach ($vessel->pieces as $piece)<rect @class(['vessel-piece', 'vessel-heavy' => $piece['weight'] > 0]) x="34" y="{{ Vessel::HEIGHT + 20 - $piece['bottom'] - $piece['height'] }}" width="140" height="{{ $piece['height'] }}"/>@if ($piece['height'] > 13)<text class="vessel-name" x="42" y="{{ Vessel::HEIGHT + 24 - $piece['bottom'] - $piece['height'] / 2 }}">{{ Illuminate\Support\Str::limit($piece['title'], 20) }}</text>@endif @endforeach
                <path @class(['vessel-rim', 'vessel-rim-drawn' => $vessel->number >= 1]) d="M34 20V{{ Vessel::HEIGHT + 20 }}H174V20"/>
                <path class="vessel-line" d="M24 {{ $y($vessel->line) }}H184"/><circle class="vessel-ring" cx="184" cy="{{ $y($vessel->line) }}" r="8"/>
                @foreach ([1 => 30, 2 => 66, 3 => 252, 4 => 309, 5 => 417] as $number => $at)<text @class(['vessel-part', 'vessel-now' => $number === $step->number(), 'vessel-was' => $number <= $vessel->number && $number !== $step->number()]) x="206" y="{{ $at + 5 }}" text-anchor="end">{{ $number }}</text><text @class(['vessel-words', 'vessel-now' => $number === $step->number()]) x="216" y="{{ $at + 5 }}">{{ __("first.parts.{$number}") }}</text>@endforeach
                <text class="vessel-words" x="216" y="{{ $y($vessel->line) + 4 }}">{{ __('first.parts.line') }}</text>
            </svg>
            <p class="soft">Everything in Nekto answers one question: does it fit under this line? Each step draws a part of the answer.</p>
            <form method="post" action="/sample" data-whole class="first-sample">@csrf<button class="link">Look at a filled sample instead</button> <span class="soft">nothing of it is kept</span></form>
            <form method="post" action="/first-day">@csrf<button class="link" name="how" value="over">I know my way: end this</button></form>
        </section>
    </div>
</x-layout>
