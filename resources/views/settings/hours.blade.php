@php
    use Nekto\Core\Time\LocalDay;
    $set = $hours->set;
    $form = $set === null ? "hours-{$hours->face}" : 'hours-'.$set->id;
    $leave = '/settings'.(request('set') === null ? '' : '?set='.request('set'));
    $action = $set === null ? '/settings/best-hours' : "/settings/hours/{$set->id}";
    $mine = old('form') === $form;
    $gives = session('consequence.form') === $form && (session('consequence.also') || old('yield') === '0');
@endphp
<section class="settings-main" aria-labelledby="hours">
    <div class="section-head"><h2 id="hours">Hours</h2><span class="soft">drag an end, or Tab to it and use the arrows: a quarter of an hour a step</span></div>
    <nav class="sets" aria-label="Sets of hours">
        @foreach ($hours->sets as $one)<a href="/settings?set={{ $one->id }}" @if ($one->id === $set?->id) aria-current="page" @endif>{{ $one->name }}</a>@endforeach
        <a class="sets-best" href="/settings?set=best" @if ($hours->face === 'best') aria-current="page" @endif>Best hours</a>
        <a class="sets-new" href="/settings?set=new" @if ($hours->face === 'new') aria-current="page" @endif>a new set</a>
        <span class="soft sets-for">@if ($set !== null){{ $hours->areas === [] ? 'no area is done in them' : 'for '.implode(', ', $hours->areas) }}@elseif ($hours->face === 'best')deep work goes there where that makes nothing late @endif</span>
    </nav>
    @if ($hours->face === 'new')
        <form method="post" action="/settings/hours" class="new-set">@csrf
            <x-field name="name" label="What are these hours called?" maxlength="60" placeholder="Early, Weekend, Studio …" />
            <div class="form-row"><label for="like">They begin</label><select class="field" id="like" name="like"><option value="">empty, to be drawn</option>@foreach ($hours->sets as $one)<option value="{{ $one->id }}">like {{ $one->name }}</option>@endforeach</select></div>
            <div class="actions"><button class="button button-main">Make them</button></div>
        </form>
    @else
        <form method="post" action="{{ $action }}" class="tapes" id="tapes" x-data="tapes" data-from="{{ $hours->from }}" data-to="{{ $hours->to }}" data-on-change>
            @csrf @method('put')<input type="hidden" name="form" value="{{ $form }}"><input type="hidden" name="try" value="1"><input type="hidden" name="yield" value="{{ $gives ? 0 : 1 }}">
            <div class="tape-row tape-scale" aria-hidden="true"><span></span><span class="tape-marks">@foreach ($hours->marks as $mark)<i @class(['mark-hour' => $mark['label'] !== '']) style="left:{{ $mark['at'] }}%">@if ($mark['label'] !== '')<b>{{ $mark['label'] }}</b>@endif</i>@endforeach</span></div>
            @foreach ($hours->days as $day)
                <div @class(['tape-row', 'tape-today' => $day['key'] === $hours->today]) data-day="{{ $day['key'] }}">
                    <span class="tape-day" id="day-{{ $day['key'] }}" aria-label="{{ $day['name'] }}">{{ $day['short'] }}</span>
                    <div class="tape" data-tape="week-{{ $day['key'] }}" role="group" aria-labelledby="day-{{ $day['key'] }}">
                        <i class="tape-line"></i>
                        @foreach ($hours->nights as $night)<i class="tape-night" style="left:{{ $night['left'] }}%;width:{{ $night['width'] }}%"></i>@endforeach
                        @foreach ($day['others'] as $other)<span class="tape-other" style="left:{{ $other['left'] }}%;width:{{ $other['width'] }}%" title="{{ $other['name'] }}">@if ($loop->parent->first)<em>{{ $other['name'] }}</em>@endif</span>@endforeach
                        <span class="tape-draw" aria-hidden="true"></span>
                        @foreach ($day['stretches'] as $i => $one)
                            <span class="tape-open" style="left:{{ $one['left'] }}%;width:{{ $one['width'] }}%"></span>
                            @foreach (['from' => 'begins', 'to' => 'ends'] as $end => $word)
                                @php $at = $one[$end]; $new = $one[$end === 'from' ? 'newFrom' : 'newTo']; @endphp
                                <span @class(['tape-end', "tape-end-{$end}", 'tape-end-new' => $new]) id="end-{{ $day['key'] }}-{{ $i }}-{{ $end }}" role="slider" tabindex="0" data-stretch="{{ $i }}" data-end="{{ $end }}"
                                    aria-label="{{ $day['name'] }}{{ count($day['stretches']) > 1 ? ', '.($i + 1).'.' : '' }} {{ $word }}" aria-valuemin="0" aria-valuemax="1440" aria-valuenow="{{ $at }}" aria-valuetext="{{ $end === 'from' ? $one['saidFrom'] : $one['saidTo'] }}"
                                    style="left:{{ $end === 'from' ? $one['left'] : $one['left'] + $one['width'] }}%"><b>{{ $end === 'from' ? $one['saidFrom'] : $one['saidTo'] }}</b></span>
                            @endforeach
                        @endforeach
                        @foreach ($day['stretches'] === [] ? [] : $hours->lunch as $lunch)<span class="tape-lunch" style="left:{{ $lunch['left'] }}%;width:{{ $lunch['width'] }}%"><em>lunch</em></span>@endforeach
                        @if ($day['stretches'] === [])<button class="tape-none" type="button" data-open><em>{{ $hours->face === 'best' ? 'none' : 'closed' }}: draw here to open some</em></button>@endif
                    </div>
                </div>
            @endforeach
            @if ($mine && $errors->has('week'))<p class="error" role="alert">{{ $errors->first('week') }}</p>@endif
            <x-consequence :form="$form" :leave="$leave">
                @if ($gives)<label class="check"><input type="checkbox" name="yield" value="1" @checked(old('yield', '1') === '1')> the others give way</label>@endif
            </x-consequence>
            <details class="written" @if ($mine && $errors->any()) open @endif><summary class="soft">Write them instead</summary>
                @foreach ($hours->days as $day)
                    @php $wrong = $mine && $errors->has("week.{$day['key']}"); @endphp
                    <div class="week-row"><label for="week-{{ $day['key'] }}">{{ $day['name'] }}</label>
                        <input class="field" id="week-{{ $day['key'] }}" name="week[{{ $day['key'] }}]" value="{{ $day['text'] }}" placeholder="{{ $hours->face === 'best' ? 'none' : 'closed' }}" autocomplete="off" @if ($wrong) aria-invalid="true" aria-describedby="week-{{ $day['key'] }}-error" @endif>
                        @if ($wrong)<span class="error" id="week-{{ $day['key'] }}-error">{{ $errors->first("week.{$day['key']}") }}</span>@endif</div>
                @endforeach
                <p class="hint">Several stretches with a comma between; “22:00–02:00” goes on over midnight.</p>
                <div class="actions"><button class="button">See what it does</button></div>
            </details>
        </form>
        <p class="tape-foot soft"><a href="{{ $leave }}{{ str_contains($leave, '?') ? '&' : '?' }}{{ request('scale') === 'day' ? '' : 'scale=day' }}" data-here>{{ request('scale') === 'day' ? 'the day’s hours' : 'the whole 24 hours' }}</a></p>
    @endif
    @if ($set !== null)
        <div class="settings-two">
            <section aria-labelledby="dates">
                <div class="section-head"><h2 id="dates">Dates with other hours</h2><span class="soft">{{ $hours->later > 0 || ! request()->boolean('all') ? 'next twelve weeks' : 'all' }}</span></div>
                <div class="dates">
                    @foreach ($hours->dates as $one)
                        <div class="date-row"><b>{{ $one['day'] }}</b><span class="grow">{{ $one['name'] }}</span><span>{{ $one['hours'] }}</span>
                            <form method="post" action="/settings/hours/{{ $set->id }}/dates/{{ $one['exception']->id }}">@csrf @method('delete')<button class="button button-bare" title="As usual again" aria-label="{{ $one['day'] }}: as usual again">×</button></form></div>
                    @endforeach
                    @if ($hours->later > 0)<p class="soft"><a href="/settings?set={{ $set->id }}&all=1#dates">and {{ $hours->later }} later</a></p>@endif
                </div>
                <form method="post" action="/settings/hours/{{ $set->id }}/dates" class="date-line" id="date-line">@csrf<input type="hidden" name="form" value="dates"><input type="hidden" name="try" value="1">
                    <input class="field line-field" name="line" value="{{ old('line') }}" maxlength="300" placeholder="a date and its hours, one line" aria-label="A date and its hours, in one line" autocomplete="off" @error('line') aria-invalid="true" aria-describedby="line-error" @enderror>
                    @error('line')<p class="error" id="line-error" role="alert">{{ $message }}</p>@else<p class="hint">“3–6 april closed”, “18 april 10:00–16:00 fair”, “next week off”</p>@enderror
                    <x-consequence form="dates" leave="{{ $leave }}#dates" /></form>
                <details class="written" @error('holidays') open @enderror><summary class="soft">Public holidays from a calendar file</summary>
                    <form method="post" action="/settings/hours/{{ $set->id }}/holidays" enctype="multipart/form-data" class="form-grid" data-whole>@csrf
                        <input class="field" type="file" name="holidays" accept=".ics,text/calendar" aria-label="A calendar file with holidays"><label class="check"><input type="hidden" name="everywhere" value="0"><input type="checkbox" name="everywhere" value="1" checked> days off, whatever the hours</label><button class="button">Close these days</button></form>
                    @error('holidays')<p class="error" role="alert">{{ $message }}</p>@enderror
                    <p class="hint">Its whole days of the next two years; days that have hours of their own keep them.</p></details>
            </section>
            <section aria-labelledby="week-sum">
                <div class="section-head"><h2 id="week-sum">What this week carries</h2></div>
                @php $week = $more['week']; @endphp
                <table class="week-bill"><tbody>
                    <tr><th scope="row">{{ $set->name }}, {{ $week->days }} {{ $week->days === 1 ? 'day' : 'days' }}</th><td>{{ App\Wording\Times::duration($week->hours) }}</td></tr>
                    @foreach (['lunch' => $week->breaks, 'meetings, ways to them, reserved' => $week->meetings, 'anchored' => $week->anchored] as $words => $minutes)
                        @if ($minutes > 0)<tr><th scope="row">{{ $words }}</th><td>−{{ App\Wording\Times::duration($minutes) }}</td></tr>@endif
                    @endforeach
                    <tr class="week-bill-sum"><th scope="row">open</th><td>{{ App\Wording\Times::duration($week->open) }}</td></tr><tr class="week-bill-sum week-bill-last"><th scope="row">load line, {{ $user->margin_percent }} % margin</th><td>{{ App\Wording\Times::duration($week->loadLine) }}</td></tr></tbody></table>
                <details class="written" @if ($errors->has('to') || ($errors->has('name') && old('form') === 'rename') || session('consequence.form') === 'remove') open @endif><summary class="soft">Rename, or take away</summary>
                    <form method="post" action="/settings/hours/{{ $set->id }}" class="pair">@csrf @method('patch')<input type="hidden" name="form" value="rename"><input class="field" name="name" value="{{ old('form') === 'rename' ? old('name') : $set->name }}" maxlength="60" aria-label="Name of these hours"><button class="button">Rename</button></form>
                    @if (old('form') === 'rename')@error('name')<p class="error" role="alert">{{ $message }}</p>@enderror @endif
                    @if (count($hours->sets) > 1)
                        <form method="post" action="/settings/hours/{{ $set->id }}" class="remove-set">@csrf @method('delete')<input type="hidden" name="form" value="remove"><input type="hidden" name="try" value="1">
                            <label class="label" for="to">What is done in them goes on in</label><span class="pair"><select class="field" id="to" name="to">@foreach ($hours->sets as $one)@if ($one->id !== $set->id)<option value="{{ $one->id }}" @selected((int) old('to') === $one->id)>{{ $one->name }}</option>@endif @endforeach</select><button class="button">Take {{ $set->name }} away</button></span>
                            @error('to')<p class="error" role="alert">{{ $message }}</p>@enderror
                            <x-consequence form="remove" :leave="$leave" /></form>
                    @endif
                </details>
            </section>
        </div>
    @endif
</section>
<div class="settings-side">
    <x-rules-of-day :user="$user" :says="$says" at="hours" />
    <x-rules-of-life :user="$user" :says="$says" at="hours" />
</div>
