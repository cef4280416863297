{{-- What one step of a review is about. --}}
@props(['page', 'number'])
@php
    use App\Models\Review;
    use App\Review\SlipRule;
    use App\Wording\Times;
    extract($page);
    $date = $week->asString();
    $name = Review::STEPS[$number - 1];
    $following = App\Time\Weeks::first($person, Nekto\Core\Time\LocalDay::fromString($person->local($now)->format('Y-m-d')))->plusDays(7)->asString();
@endphp
@if ($name === 'week')
    <table class="review-week"><caption class="sr-only">The week as it was</caption><thead><tr><th scope="col"><span class="sr-only">day</span></th><th scope="col"><span class="sr-only">drawn</span></th><th scope="col" class="number">promised</th><th scope="col" class="number">actual</th><th scope="col">key tasks, {{ $keys['kept'] }} of {{ $keys['all'] }} kept</th></tr></thead><tbody>
        @foreach ($days as $row)<tr><th scope="row">{{ $row->day->label }} {{ $row->day->day->dayOfMonth() }}</th><td><x-mini-tape :day="$row->day" /></td><td class="number soft">{{ $row->promised ? Times::column($row->promised) : '' }}</td><td class="number"><b>{{ $row->actual ? Times::column($row->actual) : '' }}</b></td><td>@forelse ($row->keys as $one)<span class="review-key"><x-pegs :steps="[$one['kept'] ? 'kept' : ($one['open'] ? 'none' : 'missed')]" /> {{ $one['title'] }}</span>@empty<span class="soft">{{ $row->isAhead ? 'to come' : ($row->closed || $row->actual ? '' : '–') }}</span>@endforelse</td></tr>@endforeach
        </tbody><tfoot><tr><th scope="row">Own work</th><td></td><td class="number">{{ Times::duration($promised) }}</td><td class="number"><b>{{ Times::duration($actual) }}</b></td><td class="soft">{{ count(array_filter($days, fn ($row) => $row->closed)) }} of {{ count(array_filter($days, fn ($row) => ! $row->isAhead && ($row->promised || $row->actual))) }} days closed</td></tr></tfoot></table>
@elseif ($name === 'promises')
    @forelse ($goals as $row)<div class="review-goal hue-{{ $row->goal->area->hue }}"><span class="swatch"></span><b>{{ $row->goal->name }}</b><span class="review-pegs">@forelse ($row->steps as $one)<span class="review-key"><x-pegs :steps="[$one]" /> {{ $one->short }}</span>@empty<span class="soft">no steps this week</span>@endforelse</span></div>@empty<p class="soft">No cycle covers this week. <a href="/goals">Goals</a> give a week its steps.</p>@endforelse
    <p class="soft">key tasks {{ $keys['kept'] }} of {{ $keys['all'] }}, steps {{ $steps['kept'] }} of {{ $steps['all'] }}@if ($steps['ahead']), {{ $steps['ahead'] }} to come @endif</p>
    @foreach ($asks as $ask)<div class="list-row"><span class="grow">{{ $ask['title'] }} <span class="soft">{{ $ask['goal'] }}, week of {{ $ask['week'] }}, not finished</span></span><form method="post" action="/steps/{{ $ask['step'] }}/over">@csrf<button class="button" aria-label="{{ $ask['title'] }} goes over">Goes over</button></form><form method="post" action="/steps/{{ $ask['step'] }}">@csrf @method('delete')<button class="button button-bare" aria-label="Let the step {{ $ask['title'] }} go">Let go</button></form></div>@endforeach
@elseif ($name === 'slipped')
    @forelse ($slips as $slip)
        <div class="review-slip"><h3>{{ $slip->reason }}</h3><b>{{ Times::duration($slip->minutes) }}</b>
            <p class="soft">@foreach ($slip->tasks as $one){{ $one['day'] }}: <a href="/tasks/{{ $one['task'] }}">{{ $one['title'] }}</a>, {{ Times::duration($one['minutes']) }}@if (! $loop->last). @endif @endforeach</p>
            <p class="review-next"><i>next time</i> {{ __("review.rule.next.{$slip->rule->value}") }}</p>
            <span class="review-rule">@if ($slip->holds)<span class="soft">{{ __('review.rule.holds') }}</span>@else<form method="post" action="/review/rule">@csrf<button class="button over-text" name="rule" value="{{ $slip->rule->value }}">{{ __("review.rule.press.{$slip->rule->value}") }}</button></form>@endif
                <details class="asks"><summary class="button button-bare" aria-label="Another rule for {{ $slip->reason }}">another</summary><div class="menu">@foreach (SlipRule::cases() as $rule)<form method="post" action="/review/rule">@csrf<button name="rule" value="{{ $rule->value }}">{{ __("review.rule.next.{$rule->value}") }}</button></form>@endforeach<a href="/horizon?ways=1">See ways out</a></div></details></span></div>
    @empty<p class="soft">Nothing that slipped has a note. Close asks why, day by day.</p>@endforelse
    @error('rule')<p class="error" role="alert">{{ $message }}</p>@enderror
@elseif ($name === 'areas')
    @php $area = $areas[$place] ?? null; @endphp
    <p class="review-areas">@foreach ($areas as $i => $one)<a @class(['review-area', "hue-{$one->hue}", 'review-area-now' => $i === $place]) href="/review/{{ $date }}?step=4&place={{ $i }}" @if ($i === $place) aria-current="step" @endif>@if ($i === $place)<span class="swatch"></span>@endif{{ $one->name }}@if (($review->caught[$one->id] ?? 0) > 0) {{ $review->caught[$one->id] }}@endif</a>@endforeach<span class="soft">{{ $place + 1 }} of {{ count($areas) }}</span></p>
    @if ($area)
        <p class="review-prompt">{{ $area->prompt ?? __('review.ask') }}</p>
        <p class="soft">@if ($about['due'] !== [])Due: {{ implode('; ', $about['due']) }}. @endif @if ($about['waiting'] !== [])Waiting: {{ implode(', ', $about['waiting']) }}. @endif @if ($about['undated'])No due date: {{ $about['undated'] }}.@endif</p>
        <form method="post" action="/review/{{ $date }}" class="review-line" x-data="entry" x-ref="form" id="area-form">@csrf<input type="hidden" name="step" value="4"><input type="hidden" name="place" value="{{ $place }}"><input type="hidden" name="refused" x-ref="refused"><input type="hidden" name="preset" value="project area">
            <input name="lines" x-ref="text" x-on:input="typed" aria-label="A line for {{ $area->name }}" autocomplete="off" maxlength="2000" autofocus placeholder="a line, or Enter for the next area"><div class="glosses catch-panel" data-own x-ref="glosses" aria-live="polite"></div></form>
        @error('lines')<p class="error" role="alert">{{ $message }}</p>@enderror
        <p class="keys"><span><span class="key">Enter</span> keep the line</span><span><span class="key">Enter</span> on an empty line: {{ isset($areas[$place + 1]) ? 'next area' : 'on' }}</span></p>
        <details class="asks"><summary class="button button-bare">change the question</summary><form method="post" action="/review/prompt/{{ $area->id }}" class="menu menu-wide">@csrf @method('patch')<label class="sr-only" for="prompt">What {{ $area->name }} is asked</label><input class="field" id="prompt" name="prompt" maxlength="300" value="{{ $area->prompt }}" placeholder="{{ __('review.ask') }}"><button class="button">Keep</button></form></details>
    @endif
@elseif ($name === 'waiting')
    @forelse ($waiting as $one)
        <div class="list-row review-row"><span class="grow"><a href="/tasks/{{ $one['task']->id }}" class="review-title">{{ $one['task']->title }}</a> <span class="soft">{{ $one['task']->waiting_for }}{{ $one['since'] ? ", since {$one['since']}" : '' }}{{ $one['ask'] ? ", ask {$one['ask']}" : '' }}</span></span>
            <details class="asks"><summary @class(['button', 'button-bare' => ! $one['due']])>Nudge</summary><form method="post" action="/review/nudge/{{ $one['task']->id }}" class="menu menu-wide">@csrf<label>To <input class="field" type="email" name="to" required placeholder="address" value=""></label><label>Subject <input class="field" name="subject" maxlength="250" required value="{{ $one['letter']['subject'] }}"></label><label class="sr-only" for="nudge-{{ $one['task']->id }}">Letter</label><textarea class="field" id="nudge-{{ $one['task']->id }}" name="body" rows="6" maxlength="20000">{{ $one['letter']['body'] }}</textarea><button class="button button-main">Into the outbox</button></form></details>
            <form method="post" action="/review/later/{{ $one['task']->id }}">@csrf<button class="button button-bare" aria-label="Ask about {{ $one['task']->title }} later">Later</button></form>
            <form method="post" action="/tasks/{{ $one['task']->id }}/weigh">@csrf<button class="button button-bare" aria-label="{{ $one['task']->title }} came">It came</button></form></div>
    @empty<p class="soft">Nobody is waited for.</p>@endforelse
    @foreach (['to', 'subject', 'body'] as $field)@error($field)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
@elseif ($name === 'someday')
    @forelse ($someday as $one)
        <div class="list-row review-row"><span class="grow"><a href="/tasks/{{ $one['task']->id }}" class="review-title">{{ $one['task']->title }}</a> <span class="soft">{{ $one['task']->area->name }}, {{ $one['kept'] ? 'kept in this review' : 'seen '.$one['seen'] }}</span></span>
            <form method="post" action="/review/{{ $date }}/keep/{{ $one['task']->id }}">@csrf<button @class(['button', 'button-bare' => $one['kept']]) aria-label="Keep {{ $one['task']->title }}">Keep</button></form>
            <form method="post" action="/tasks/sort">@csrf<input type="hidden" name="ids[]" value="{{ $one['task']->id }}"><button class="button button-bare" name="to" value="weigh" aria-label="{{ $one['task']->title }} now">Now</button><button class="button button-bare" name="to" value="let_go" aria-label="Let {{ $one['task']->title }} go">Let go</button></form></div>
    @empty<p class="soft">Nothing is kept for someday.</p>@endforelse
@else
    @if ($next->crunch)<p class="coral"><b>{{ __('review.missing', ['what' => $next->crunch['what'], 'when' => $next->crunch['when'], 'missing' => Times::duration($next->crunch['missing'])]) }}</b></p>@else<p>{{ __('review.fits', ['until' => $next->until]) }}</p>@endif
    <p class="soft">{{ Times::duration($next->demand) }} due by {{ $next->until }}; {{ Times::duration($next->supply) }} can be planned until then under the load lines, {{ Times::duration($next->open) }} are open.</p>
    <div class="actions">@if ($goals !== [])<form method="post" action="/goals/place" class="inline">@csrf<input type="hidden" name="week" value="{{ $following }}"><button class="button" data-page-key="l">Place its steps <kbd>L</kbd></button></form>@endif<a class="button" href="/week/plan/{{ $following }}">Plan next week</a>@if ($next->crunch)<a class="button" href="/horizon?ways=1">Ways out</a>@endif<a class="button button-bare" href="/reports">Write it to others</a></div>
    @if ($review?->closed_at === null)<form method="post" action="/review/{{ $date }}/close" id="close-review">@csrf<input type="hidden" name="step" value="7"><label for="review-note">What this week taught</label><textarea class="field" id="review-note" name="note" rows="2" maxlength="5000">{{ old('note', $review?->note) }}</textarea>@error('note')<span class="error" role="alert">{{ $message }}</span>@enderror</form>
    @elseif ($review->note)<p class="review-prompt">{{ $review->note }}</p>@endif
@endif
