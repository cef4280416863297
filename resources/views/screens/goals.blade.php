@php
    use App\Screens\Goals\GoalRow;
    use App\Screens\Goals\StepRow;
    use App\Wording\Times;
    $isOver = $cycle !== null && $week === null && $cycle->span()->isOver(Nekto\Core\Time\LocalDay::fromString($person->local($now)->format('Y-m-d')));
    $first = $cycle?->span();
    $thisWeek = $week === null ? null : $first->begin($week)->asString();
    $open = $week ?? ($isOver ? 0 : 1);
@endphp
<x-layout title="Goals" at="goals">
    <div class="title-row">
        @if ($cycle)<h1>What the {{ $count }} weeks are for</h1>@else<h1>What the weeks are for</h1>@endif<x-says />
        @if ($cycle)<span class="end-text">cycle <b class="strong">{{ $span }}</b></span>@if ($steps['judged'])<span class="end-text">steps kept <b class="strong">{{ $steps['kept'] }} of {{ $steps['judged'] }}</b></span>@endif
            @if ($week)<span>this week <b class="strong">{{ $steps['done'] }} done, {{ $steps['placed'] }} placed, {{ $steps['open'] }} open</b></span>@endif @endif
        <span class="end no-print"><a class="button" href="/review" data-page-key="j">Review the week <kbd>J</kbd></a>
            @if ($goals !== [] && $week)<form method="post" action="/goals/place">@csrf<button class="button button-main" data-page-key="l">Place the steps <kbd>L</kbd></button></form>@endif</span>
    </div>
    @foreach (['weeks', 'date', 'week', 'lines', 'value', 'task'] as $name)@error($name)<p class="warning" role="alert">{{ $message }}</p>@enderror @endforeach
    @if ($cycle === null)
        <div class="goals-begin">
            <p class="lead">Days full of urgent things leave the year empty. Say what a stretch of weeks is for, give it at most three goals, and each week its steps.</p>
            <form method="post" action="/cycles" class="goal-form">@csrf
                <div class="form-row"><label for="cycle-from">Begins in the week of</label><x-day id="cycle-from" name="date" placeholder="this week" /></div>
                <div class="form-row"><label for="cycle-weeks">Weeks</label><input class="field field-short" id="cycle-weeks" name="weeks" type="number" min="1" max="{{ App\Models\Cycle::MOST_WEEKS }}" value="{{ old('weeks', 12) }}"></div>
                <div class="form-row wide"><label for="cycle-vision">What it is for</label><textarea class="field" id="cycle-vision" name="vision" rows="3" maxlength="20000" placeholder="a line, or a page">{{ old('vision', $earlier->first()?->vision) }}</textarea></div>
                <div class="actions wide"><button class="button button-main">Begin the cycle</button></div>
            </form>
        </div>
    @else
        @if ($cycle->vision)<details class="vision"><summary>{{ Str::limit(Str::of($cycle->vision)->explode("\n")->first(), 160) }}</summary><x-markdown :text="$cycle->vision" /></details>@endif
        @if ($isOver)<p class="warning">The cycle ended on {{ $first->last()->asString() ? App\Wording\Dates::of($person)->ofMonth($first->last()) : '' }}. <a href="/cycles/{{ $cycle->id }}">Close it with its account</a>, and the next one begins with what you carry over.</p>@endif
        @if ($asks !== [])
            <section class="step-asks" aria-labelledby="asks-title"><div class="section-head section-over"><h2 id="asks-title">Not finished in their week</h2><span class="soft">go over, or are let go; the task stays in any case</span></div>
                @foreach ($asks as $ask)<div class="list-row"><span class="grow">{{ $ask['title'] }} <span class="soft">{{ $ask['goal'] }}, week of {{ $ask['week'] }}</span></span><form method="post" action="/steps/{{ $ask['step'] }}/over">@csrf<button class="button" aria-label="{{ $ask['title'] }} goes over">Goes over</button></form><form method="post" action="/steps/{{ $ask['step'] }}">@csrf @method('delete')<button class="button button-bare" aria-label="Let the step {{ $ask['title'] }} go">Let go</button></form></div>@endforeach
            </section>
        @endif
        <div @class(['cycle', 'cycle-long' => count($weeks) > 14])>
            <div class="cycle-strip" aria-hidden="true"><span></span><div class="cycle-weeks">
                @foreach ($weeks as $number => $day)<span @class(['cycle-week', 'cycle-week-now' => $number === $open, 'cycle-week-past' => $number < $open, 'cycle-week-odd' => $number % 2 === 1, 'cycle-week-dated' => $number % 4 === 1])><b>{{ $number === $week ? "week {$number}, {$weekSpan}" : $number }}</b><i></i><small>{{ $day }}</small>@if ($number === $week)<em style="--p:{{ 1000 * $part }}">{{ $nowLabel }}</em>@endif</span>@endforeach
            </div></div>
            @foreach ($shown as $i => $row)
                @php $goal = $row->goal; @endphp
                <section class="goal hue-{{ $goal->area->hue }}" aria-labelledby="goal-{{ $goal->id }}">
                    <div class="goal-head">
                        <p class="goal-purpose">{{ $goal->purpose }}</p>
                        <h2 id="goal-{{ $goal->id }}"><span class="swatch swatch-goal"></span>{{ $goal->name }}</h2>
                        @if ($goal->moved_by === App\Models\MovedBy::Hand)<form method="post" action="/goals/{{ $goal->id }}/mark" class="goal-measure" data-on-change>@csrf<input type="hidden" name="goal" value="{{ $goal->id }}"><input class="field-inline" name="value" inputmode="decimal" value="{{ GoalRow::figure($row->value) }}" aria-label="Where {{ $goal->name }} stands" maxlength="12"> <b>of {{ GoalRow::figure($goal->target) }}</b> {{ $goal->unit }}{{ $goal->weekly ? ' this week' : '' }}@if ($errors->has('value') && (int) old('goal') === $goal->id)<span class="error" role="alert">{{ $errors->first('value') }}</span>@endif</form>
                        @else<p class="goal-measure"><b>{{ GoalRow::figure($row->value) }} of {{ GoalRow::figure($goal->target) }}</b> {{ $goal->unit }}{{ $goal->weekly ? ' this week' : '' }}</p>@endif
                        <p class="goal-facts">{{ $row->by }}</p>
                        <div class="goal-facts">@if ($row->judged)steps kept {{ $row->kept }} of {{ $row->judged }}@endif <details class="asks goal-more"><summary class="button button-bare" aria-label="Change {{ $goal->name }}">change</summary><div class="menu menu-wide"><x-goal-form :goal="$goal" :areas="$areas" :projects="$projects" :lists="$lists" /><form method="post" action="/goals/{{ $goal->id }}">@csrf @method('delete')<button class="button button-bare">Take the goal away</button> <span class="soft">its tasks stay</span></form></div></details></div>
                    </div>
                    <x-draught :row="$row" />
                    <div class="goal-weeks">
                        @foreach ($weeks as $number => $day)
                            @php $some = $row->weeks[$number] ?? []; $kept = count(array_filter($some, fn (StepRow $one): bool => $one->peg() === 'kept')); @endphp
                            @if ($number === $open)
                                <div class="goal-week goal-week-now">
                                    <ul class="steps" data-list>
                                        @foreach ($some as $one)
                                            <li class="step step-{{ $one->peg() }}" id="step-{{ $goal->id }}-{{ $one->task }}">
                                                <x-pegs :steps="[$one]" /><a href="/tasks/{{ $one->task }}" data-row @class(['struck' => $one->peg() === 'kept'])>{{ $one->short }}</a>
                                                <span class="step-when soft">{{ $one->when !== '' ? $one->when : ($one->peg() === 'missed' ? 'missed' : 'no block') }}</span><span class="step-minutes">{{ $one->minutes ? Times::column($one->minutes) : '' }}</span>
                                                @if ($one->peg() !== 'kept')<span class="step-acts">@if ($one->habit)<form method="post" action="/habits/{{ $one->habit }}/done" data-waits="Done: {{ $one->title }}">@csrf<button class="button button-bare" data-key="d" aria-label="{{ $one->title }} is done">done</button></form>@else<form method="post" action="/tasks/sort" data-waits="Done: {{ $one->title }}">@csrf<input type="hidden" name="ids[]" value="{{ $one->task }}"><button class="button button-bare" name="to" value="done" data-key="d" aria-label="{{ $one->title }} is done">done</button></form><form method="post" action="/steps/{{ $one->step }}">@csrf @method('delete')<button class="button button-bare" aria-label="{{ $one->title }} is no step">×</button></form>@endif
                                                    <form method="post" action="/plan/pick">@csrf<input type="hidden" name="task" value="{{ $one->task }}"><input type="hidden" name="day" value="{{ $person->local($now)->format('Y-m-d') }}"><button class="sr-only" data-key="p" tabindex="-1">Pick {{ $one->title }} for today</button></form></span>@endif
                                            </li>
                                        @endforeach
                                    </ul>
                                    <x-step-line :goal="$goal" :week="$first->begin($number)->asString()" :main="$i === 0" />
                                </div>
                            @else
                                <div @class(['goal-week', 'goal-week-past' => $number < $open])>
                                    @if (! $isOver && $number > $open && $some !== [] && count($some) <= 3 && ($row->weeks[$number + 1] ?? []) === [] && $some[0]->habit === null)<ul class="steps-coming">@foreach ($some as $one)<li><x-pegs :steps="[$one]" /><a href="/tasks/{{ $one->task }}" title="{{ $one->title }}">{{ $one->short }}</a></li>@endforeach</ul><span class="pegs-phone"><x-pegs :steps="$some" /></span><span class="pegs-line"></span>
                                    @else<x-pegs :steps="$some" /><span class="pegs-line"></span>@endif
                                    <span class="goal-end">{{ isset($row->ends[$number]) ? GoalRow::figure($row->ends[$number]) : '' }}</span><span class="sr-only">week {{ $number }}: {{ $kept }} of {{ count($some) }} steps kept</span>
                                </div>
                            @endif
                        @endforeach
                    </div>
                    <div class="goal-left"><span class="goal-left-name">{{ $i === 0 && ! $row->isOver ? 'work left against open time left' : '' }}</span><div>@unless ($row->isOver)<x-goal-vessel :row="$row" :scale="$scale" />@endunless
                        @if ($row->notes !== [] || $row->chance !== null)<div class="goal-note">@foreach ($row->notes as $n => $note)<p @class(['coral' => $n === 0 && $row->vessel->short() > 0 && ! $row->isOver])>{{ $note }}</p>@endforeach
                            @if ($row->vessel->short() > 0 && ! $row->isOver)@if ($row->vessel->undated > 0 && ! $goal->weekly)<form method="post" action="/goals/{{ $goal->id }}/date">@csrf<button class="button">Give it the goal’s date</button></form>@else<a class="button" href="/horizon?ways=1">Ways out</a>@endif @endif
                            @if ($row->chance !== null)<p class="goal-chance">chance <b @class(['coral' => $row->chance < 50])>{{ $row->chance }} %</b></p>@endif</div>@endif
                    </div></div>
                </section>
            @endforeach
            @if (count($shown) < count($goals))<p class="soft">{{ trans_choice('app.lens.others', count($goals) - count($shown), ['lens' => $lens->name()]) }}</p>@endif
            @if ($shown !== [])<div class="goal-scale" aria-hidden="true"><span><x-pegs :steps="['kept']" /> kept <x-pegs :steps="['missed']" /> missed <x-pegs :steps="['block']" /> has a block <x-pegs :steps="['none']" /> none yet <em>hours</em></span><div>@php $each = App\Screens\HourScale::step($scale, 6); @endphp @for ($hour = 0; $hour * 60 <= $scale; $hour += $each)<i style="--l:{{ round(60000 * $hour / $scale, 1) }}">{{ $hour }}</i>@endfor</div></div>@endif
        </div>
        @if ($goals === [])<div class="empty"><h2>No goal yet</h2><p class="soft">At most three, each with one number it is judged by. What would make these weeks a success?</p></div>@endif
    @endif
    <div class="goal-foot">
        <section aria-labelledby="habits-title"><div class="section-head"><h2 id="habits-title">Habits</h2><span class="soft">{{ $habits === [] ? 'so many times a week, wherever they fit' : 'this week, and the weeks before' }}</span></div>
            <ul class="habits" data-list>@foreach ($habits as $habit)
                <li id="habit-{{ $habit->habit->id }}" class="habit hue-{{ $habit->habit->area->hue }}"><span class="swatch"></span>
                    <details class="asks"><summary class="habit-title" data-row>{{ $habit->habit->title }}</summary><div class="menu menu-wide"><form method="post" action="/habits/{{ $habit->habit->id }}" class="goal-form">@csrf @method('patch')
                        <div class="form-row"><label for="habit-title-{{ $habit->habit->id }}">What</label><input class="field" id="habit-title-{{ $habit->habit->id }}" name="title" value="{{ $habit->habit->title }}" maxlength="120" required></div>
                        <div class="form-row"><label for="habit-minutes-{{ $habit->habit->id }}">Minutes</label><span class="pair"><input class="field field-short" id="habit-minutes-{{ $habit->habit->id }}" name="minutes" type="number" step="5" min="5" max="480" value="{{ $habit->habit->minutes }}"><input class="field field-short" name="times" type="number" min="1" max="7" value="{{ $habit->habit->times }}" aria-label="Times a week"> times a week</span></div>
                        <div class="form-row"><label for="habit-part-{{ $habit->habit->id }}">When</label><span class="pair"><select class="field" id="habit-part-{{ $habit->habit->id }}" name="part"><option value="">anywhere in its hours</option>@foreach (['morning', 'afternoon', 'evening'] as $part)<option value="{{ $part }}" @selected($habit->habit->part === $part)>in the {{ $part }}</option>@endforeach</select><input class="field field-short" name="best" value="{{ $habit->habit->best_at === null ? '' : Times::ofDay($person, $habit->habit->best_at) }}" aria-label="Best time" placeholder="about"></span></div>
                        <div class="form-row"><label for="habit-area-{{ $habit->habit->id }}">Area</label><select class="field" id="habit-area-{{ $habit->habit->id }}" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}" @selected($habit->habit->area_id === $area->id)>{{ $area->name }}</option>@endforeach</select></div>
                        <div class="form-row"><label for="habit-goal-{{ $habit->habit->id }}">Moves</label><select class="field" id="habit-goal-{{ $habit->habit->id }}" name="goal_id"><option value="">no goal</option>@foreach ($goals as $row)<option value="{{ $row->goal->id }}" @selected($habit->habit->goal_id === $row->goal->id)>{{ $row->goal->name }}</option>@endforeach</select></div>
                        <div class="form-row"><label for="habit-from-{{ $habit->habit->id }}">From</label><x-day id="habit-from-{{ $habit->habit->id }}" name="date" :value="$habit->habit->from" :keeps="false" /></div><div class="form-row"><label for="habit-until-{{ $habit->habit->id }}">Until</label><x-day id="habit-until-{{ $habit->habit->id }}" name="due_date" :value="$habit->habit->until" :keeps="false" placeholder="it goes on" /></div>
                        <div class="actions wide"><button class="button button-main">Keep</button></div></form><form method="post" action="/habits/{{ $habit->habit->id }}">@csrf @method('delete')<button class="button button-bare">Let it end</button> <span class="soft">what was done stays counted</span></form></div></details>
                    <span class="soft habit-rule">{{ $habit->rule }}</span><x-pegs :steps="$habit->times" /><b class="habit-count">{{ $habit->done() }} of {{ count($habit->times) }}</b>
                    <span class="habit-before soft">@foreach ($habit->before as [$done, $of])<span>{{ $done }}/{{ $of }}</span>@endforeach</span>
                    @if ($habit->done() < count($habit->times))<form method="post" action="/habits/{{ $habit->habit->id }}/done" data-waits="Done: {{ $habit->habit->title }}">@csrf<button class="button" data-key="d" aria-label="{{ $habit->habit->title }} is done">Done <kbd>D</kbd></button></form>@else<span class="soft">done</span>@endif</li>
            @endforeach</ul>
            <form method="post" action="/habits" class="pair habit-new" data-clear>@csrf<input class="field" name="line" maxlength="300" aria-label="A new habit, in a line" placeholder="stretch, 15 min, 3 times a week in the morning" value="{{ old('line') }}"><button class="button">A habit</button></form>
            @error('line')<p class="error" role="alert">{{ $message }}</p>@enderror
            @foreach (['title', 'minutes', 'times', 'best'] as $name)@error($name)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
        </section>
        @if ($cycle)<section aria-labelledby="more-title"><div class="section-head"><h2 id="more-title">The cycle</h2><span class="soft">{{ count($goals) }} of {{ App\Models\Goal::MOST }} goals</span></div>
                <details class="goal-add" @if ($goals === [] || old('goal_form') === 'new') open @endif><summary class="button">A goal</summary><x-goal-form :areas="$areas" :projects="$projects" :lists="$lists" :fourth="count($goals) >= App\Models\Goal::MOST" /></details>
                <details class="goal-add" @if ($errors->hasAny(['date', 'vision'])) open @endif><summary class="button">Its weeks, and what it is for</summary>
                    <form method="post" action="/cycles/{{ $cycle->id }}" class="goal-form">@csrf @method('patch')<input type="hidden" name="vision_was" value="{{ App\Wording\TextMark::of($cycle->vision) }}">
                        <div class="form-row"><label for="cycle-from">Begins in the week of</label><x-day id="cycle-from" name="date" :value="$cycle->begins_on" /></div>
                        <div class="form-row"><label for="cycle-weeks">Weeks</label><input class="field field-short" id="cycle-weeks" name="weeks" type="number" min="1" max="{{ App\Models\Cycle::MOST_WEEKS }}" value="{{ old('weeks', $cycle->weeks) }}"></div>
                        <div class="form-row wide"><label for="cycle-vision">What it is for</label><textarea class="field" id="cycle-vision" name="vision" rows="6" maxlength="20000">{{ old('vision', $cycle->vision) }}</textarea>@error('vision')<span class="error" role="alert">{{ $message }}</span>@enderror</div>
                        <div class="actions wide"><button class="button button-main">Keep</button></div></form></details>
                <p><a href="/cycles/{{ $cycle->id }}">Its account, and closing it</a>@foreach ($earlier as $one) · <a href="/cycles/{{ $one->id }}">{{ App\Wording\Dates::of($person)->span($one->span()->first, $one->span()->last()) }}</a>@endforeach</p>
            </section>@endif
    </div>
    <x-screen-keys on="goals" />
</x-layout>
