{{-- A change before it is taken: what comes, goes and moves, from when to when, why; taken whole or in part. --}}
@props(['difference', 'gauge', 'day', 'address', 'ask', 'wayWords' => null])
@php
    use App\Edits\ChangeKind;
    use App\Wording\Times;
    $kind = $difference->change->kind;
    $inPart = $kind === ChangeKind::LayOut || $kind === ChangeKind::Way || $kind === ChangeKind::Mend;
    $after = $difference->gauge;
    $isPicks = $kind === ChangeKind::Picks;
@endphp
<form method="post" action="{{ $isPicks ? '/plan/pick' : '/plan/change' }}" class="difference" id="difference">
    @csrf <input type="hidden" name="kind" value="{{ $kind->value }}"><input type="hidden" name="day" value="{{ $day->asString() }}"><input type="hidden" name="minutes" value="{{ $difference->change->minutes }}">
    @if ($difference->change->way)<input type="hidden" name="way" value="{{ $difference->change->way->asText() }}">@endif
    @if ($isPicks)
        @foreach ($difference->change->tasks as $id)<input type="hidden" name="picks[]" value="{{ $id }}">@endforeach
        @foreach ($difference->change->keys as $id)<input type="hidden" name="keys[]" value="{{ $id }}">@endforeach
        @if ($ask->morning)<input type="hidden" name="morning" value="1">@endif
    @elseif ($kind === ChangeKind::Cut)
        @foreach ($difference->change->tasks as $id)<input type="hidden" name="tasks[]" value="{{ $id }}">@endforeach
    @endif
    <div class="section-head section-over"><h2>{{ __("shape.change.{$kind->value}") }}</h2><span class="soft">a proposal, nothing moved yet</span></div>
    @if ($wayWords)<p><b class="strong">{{ $wayWords }}.</b> All is laid out anew with it.</p>@endif
    @foreach ($difference->late as $sentence)<p class="coral">{{ $sentence }}</p>@endforeach
    @if ($difference->lines === [])
        <p class="soft">{{ $difference->nothing }}</p>
    @endif
    @if ($after)
        <table class="before-after"><thead><tr><th><span class="sr-only">what</span></th><th>now</th><th>then</th></tr></thead><tbody>
            <tr><td>planned</td><td>{{ Times::column($gauge->planned) }}</td><td class="strong">{{ Times::column($after->planned) }}</td></tr>
            <tr><td>over the load line</td><td @class(['coral' => $gauge->over() > 0])>{{ $gauge->over() }}</td><td @class(['strong', 'coral' => $after->over() > 0])>{{ $after->over() }}</td></tr>
            <tr><td>deep, of {{ Times::duration($gauge->deepLimit) }}</td><td>{{ Times::column($gauge->deep) }}</td><td class="strong">{{ Times::column($after->deep) }}</td></tr>
        </tbody></table>
    @endif
    <div class="actions">
        @if ($difference->lines !== [] || $isPicks || $kind === ChangeKind::Longer || $kind === ChangeKind::Way)<button class="button button-over" data-first>{{ $inPart ? 'Take it' : __("shape.take.{$kind->value}") }} <kbd>Enter</kbd></button>@endif
        @if ($kind === ChangeKind::Mend)
            <button class="button" form="leave-mending">Leave all as it is</button>
        @else
            <a class="button" href="{{ $address }}" data-leave>Leave it <kbd>Esc</kbd></a>
        @endif
    </div>
    <ul class="change-list">
        @foreach ($difference->lines as $line)
            @php $waits = $kind === ChangeKind::Wait && in_array($line['task'], $difference->change->tasks, true); @endphp
            <li class="change-row hue-{{ $line['hue'] }}">
                @spine($line['importance'], 30)
                <div class="grow">
                    <h3>{{ $line['title'] }}</h3>
                    <p>@if ($line['from'] !== null)<span class="was">{{ $line['from'] }}</span>@else<span class="soft">no time</span>@endif @icon('to')<span class="is">{{ $line['to'] ?? 'no place' }}</span></p>
                    <p class="soft">{{ ucfirst($line['why']) }}.@if ($line['late']) <span class="coral">{{ $line['late'] }} late.</span>@endif</p>
                </div>
                @if ($inPart)
                    <input type="hidden" name="listed[]" value="{{ $line['task'] }}"><label class="check"><input type="checkbox" name="take[]" value="{{ $line['task'] }}" checked aria-label="Take {{ $line['title'] }}"> take</label>
                @elseif ($waits)
                    <label class="check"><input type="checkbox" name="tasks[]" value="{{ $line['task'] }}" checked aria-label="{{ $line['title'] }} waits"> take</label>
                @endif
            </li>
        @endforeach
    </ul>
    @if ($difference->more)<p class="soft">and {{ $difference->more }} more, taken or left with the whole</p>@endif
</form>
@if ($kind === ChangeKind::Mend)
    <form method="post" action="/plan/change" id="leave-mending">@csrf<input type="hidden" name="kind" value="mend"><input type="hidden" name="day" value="{{ $day->asString() }}">
        @foreach ($difference->lines as $line)<input type="hidden" name="listed[]" value="{{ $line['task'] }}">@endforeach</form>
@endif
