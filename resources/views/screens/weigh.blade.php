@php use App\Wording\Times; @endphp
<x-layout title="Weigh" station="weigh">
    <div class="title-row"><h1>What is it worth, how pressing is it?</h1><x-says /><span class="soft field-note">Lines join equal pull. A mark is as long as its estimate. @if ($zoom)<a href="/weigh">Show all of the time</a>@endif</span>
        <span class="end"><a class="button" href="/weigh/list" data-page-key="v">As a list <kbd>V</kbd></a></span></div>
    @if ($current === null && $weighedCount === 0)
        <div class="section-head"></div>
        <div class="empty"><h2>Nothing to weigh.</h2><p class="soft">@if ($counts['gather']) {{ $counts['gather'] }} things wait in <a href="/gather">Gather</a>: send the oldest here with <span class="key">W</span>. @else Catch a thought first, in <a href="/gather">Gather</a> or with <span class="key">.</span> from any screen. @endif</p></div>
    @else
    <div class="weigh-screen">
        <div class="field-frame" x-data="field" data-axis='@json($axis->parts)' data-current="{{ $current->task->id ?? '' }}">
            <div class="field-heads" aria-hidden="true">
                @foreach ($axis->parts as $name => $part)@if ($part['to'] > $part['from'])<a href="/weigh?zoom={{ $zoom === $name ? '' : $name }}" tabindex="-1" style="left:{{ round(100 * $part['from'], 2) }}%;width:{{ round(100 * ($part['to'] - $part['from']), 2) }}%" title="{{ $zoom === $name ? 'show all' : 'look closer' }}">{{ __("weigh.axis.{$name}") }}</a>@endif @endforeach
            </div>
            <div class="field-side" aria-hidden="true">@foreach (['vital', 'high', 'medium', 'low'] as $word)<span>{{ $word }}</span>@endforeach</div>
            <div class="weigh-field" x-ref="field">
                <svg class="field-lines" viewBox="0 0 {{ App\Screens\Weigh\Field::WIDTH }} {{ App\Screens\Weigh\Field::HEIGHT }}" preserveAspectRatio="none" aria-hidden="true">
                    @foreach ($lines as $line)@continue($line->level % 20)<path class="field-area" d="{{ $line->area }}"/>@endforeach
                    @foreach ($lines as $line)<path @class(['field-line', 'field-line-thin' => $line->level % 20]) d="{{ $line->line }}"/>@endforeach
                </svg>
                @foreach ($lines as $line)@if ($line->at && $line->level % 20 === 0)<span class="field-level" style="left:{{ $line->at[0] }}%;top:{{ $line->at[1] }}%">{{ $line->level }}</span>@endif @endforeach
                @foreach ($axis->parts as $part)@if ($part['from'] > 0 && $part['to'] > $part['from'])<i class="field-cut" style="left:{{ round(100 * $part['from'], 2) }}%"></i>@endif @endforeach
                @foreach (['do_now' => 'do now', 'make_time' => 'make time', 'hand_off' => 'hand off', 'let_go' => 'let go'] as $value => $words)
                    <span class="corner corner-{{ $value }}" data-answer="{{ $value }}">{{ $words }} <kbd class="key">{{ ['do_now' => 'Q', 'make_time' => 'E', 'hand_off' => 'Z', 'let_go' => 'C'][$value] }}</kbd></span>
                @endforeach
                <ul class="marks" aria-label="Open tasks, by time left and importance">
                    @foreach ($marks as $mark)
                        @php $one = $mark->one; $task = $mark->task; @endphp
                        <li><a id="mark-{{ $task->id }}" href="/weigh?item={{ $task->id }}{{ $zoom ? '&zoom='.$zoom : '' }}" data-row data-mark="{{ $task->id }}" data-due="{{ $task->due_at ? '' : $task->due_on }}" data-importance="{{ $one->importance->value }}"
                            @class(['mark', "hue-{$task->area->hue}", 'mark-deep' => $task->demand->value === 'deep', 'mark-left' => $mark->left, 'mark-bare' => ! $mark->named])
                            style="left:{{ round(100 * $mark->x, 3) }}%;top:{{ round(100 * $mark->y, 3) }}%;--w:{{ round(App\Screens\Weigh\Field::markWidth($one->left), 1) }}px">
                            <span class="bar" aria-hidden="true"></span><span class="name">{{ $task->shortTitle() }}@if ($one->pressure() !== null)@pressure($one->pressure())@endif</span>
                            <span class="tip">{{ $task->title }}: pull {{ $one->pull->total() }} = importance {{ $one->pull->importance }} + pressure {{ $one->pull->pressure }}@if ($one->pressure() !== null) ({{ App\Wording\Figures::pressure($one->pressure()) }})@endif @if (isset($chances[$task->id])), {{ App\Wording\Figures::chance($chances[$task->id]) }}@endif @if ($one->pull->push) + push {{ $one->pull->push }}@endif + age {{ $one->pull->age }}@if ($one->pull->step) + step of a goal {{ $one->pull->step }}@endif @if ($one->due), due {{ Times::day($person, $one->due, $now) }}@endif @if ($one->left), {{ Times::duration($one->left) }}@endif</span></a></li>
                    @endforeach
                </ul>
                @if ($current)<span @class(['target', 'target-left' => $current->x > 0.75]) x-ref="target" aria-hidden="true" style="left:{{ round(100 * $current->x, 2) }}%;top:{{ round(100 * $current->y, 2) }}%"><b>{{ $current->task->shortTitle() }}</b></span>@endif
            </div>
            <div class="field-days" aria-hidden="true">@php $last = -1; @endphp
                @foreach ($axis->ticks() as $i => $tick)@if ($tick['at'] - $last > 0.045)@php $last = $tick['at']; @endphp<span style="left:{{ round(100 * $tick['at'], 2) }}%">{{ $i === 0 || $tick['day']->dayOfMonth() === 1 ? Times::day($person, Nekto\Core\Time\LocalDay::of($tick['day']->year(), $tick['day']->month(), $tick['day']->dayOfMonth())->number * 1440 + 720, $now) : $tick['day']->dayOfMonth() }}</span>@endif @endforeach
            </div>
        </div>
        <div class="stack">
            @if ($current)
                <x-weigh-card :chance="$chances[$current->task->id] ?? null" :card="$current" :place="$place" :many="count($unweighed)" :projects="$projects" />
                <ul class="stack-next" data-list>
                    @foreach ($unweighed as $one)
                        @if (isset($tasks[$one->id]) && $one->id !== $current->task->id)
                            <li id="next-{{ $one->id }}"><a href="/weigh?item={{ $one->id }}" data-row>{{ $tasks[$one->id]->title }}</a><span class="soft">{{ __("gather.source.{$tasks[$one->id]->source}") }}, {{ Times::when($person, $tasks[$one->id]->created_at, $now) }}</span>
                                <span class="soft wide">{{ $one->due ? 'due '.Times::day($person, $one->due, $now) : 'no date' }}, {{ $one->left ? Times::duration($one->left) : 'no estimate' }}</span></li>
                        @endif
                    @endforeach
                </ul>
                @if (count($unweighed) > 6)<p class="soft">{{ count($unweighed) - 6 }} more follow.</p>@endif
            @else
                <div class="section-head"><h2>Unweighed</h2><span class="soft">none</span></div>
                <div class="empty"><p class="soft">All that was caught is weighed. Press a mark to weigh it anew; drag it to change its date and importance.</p></div>
            @endif
            <x-screen-keys on="weigh" />
        </div>
    </div>
    @endif
</x-layout>
