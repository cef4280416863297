{{-- Candidates as a printed table: why they are here, how much is left, when due, how much room, how strong the pull. --}}
@props(['bank', 'day', 'isPast', 'address', 'candidate', 'chosen'])
@php use App\Wording\Times; @endphp
<div class="section-head"><h2 id="bank-title">Bank</h2><span class="soft">{{ $bank->count }} {{ $bank->count === 1 ? 'candidate' : 'candidates' }}</span></div>
@if ($bank->count === 0)
    <div class="empty"><h2>Nothing waits for a day.</h2><p class="soft">@if ($counts['weigh']){{ $counts['weigh'] }} {{ $counts['weigh'] === 1 ? 'line waits' : 'lines wait' }} in <a href="/weigh">Weigh</a>. @elseif ($counts['gather']){{ $counts['gather'] }} {{ $counts['gather'] === 1 ? 'line waits' : 'lines wait' }} in <a href="/gather">Gather</a>. @else Catch some lines in <a href="/gather">Gather</a>. @endif What is weighed stands here, and is laid out with <span class="key">L</span>.</p></div>
@else
<table>
    <thead><tr><th><span class="sr-only">task</span></th><th>left</th><th>due</th><th>room</th><th>pull</th></tr></thead>
    @foreach ($bank->groups as $group)
        <tbody><tr class="group"><th scope="rowgroup" colspan="3">{{ $group['name'] }}</th><td colspan="2">{{ count($group['rows']) }}, {{ Times::duration($group['minutes']) }}</td></tr></tbody>
        <tbody class="rows" data-list>
        @foreach ($group['rows'] as $row)
            <tr id="bank-{{ $row->id }}" data-row tabindex="0" data-task="{{ $row->id }}" data-minutes="{{ $row->left ?? 0 }}" aria-label="{{ $row->title }}@if ($row->next !== ''), planned {{ $row->next }}@endif">
                <td><span class="what hue-{{ $row->hue }}">@spine($row->importance, 18)
                    <span><a href="/tasks/{{ $row->id }}" tabindex="-1" draggable="false">{{ $row->title }} @if ($row->carried)<span class="soft">@icon('carried'){{ $row->carried }}</span>@endif</a>@pressure($row->pressure)</span>
                    @unless ($isPast)<form method="post" action="/tasks/{{ $row->id }}/place">@csrf<input type="hidden" name="day" value="{{ $day->asString() }}"><button class="place sr-only" data-key="p" tabindex="-1" aria-label="Pick, give it time">Pick</button></form>@endunless</span></td>
                <td>{{ $row->left === null ? '–' : Times::column($row->left) }}</td>
                <td @class(['coral' => $row->late, 'strong' => $row->hard])>{{ $row->due }}@if ($row->hard)<span class="hard">hard</span>@endif</td>
                <td @class(['coral strong' => ($row->room ?? 0) < 0])>{{ $row->room === null ? '' : Times::column($row->room) }}</td>
                <td class="pull">{{ $row->pull }}</td>
            </tr>
        @endforeach
        </tbody>
    @endforeach
</table>
@if ($bank->hidden > 0)<p><a href="{{ $address }}?bank=1">{{ $bank->hidden }} more, by pull</a></p>@endif
@if ($bank->unestimated > 0)<p class="soft">{{ $bank->unestimated }} without an estimate cannot be laid out: <a href="/weigh">give them one</a>.</p>@endif
@endif
@if ($candidate !== null)
    <div class="pull-parts">
        <div class="section-head" style="border:0"><h3>{{ $chosen->task->title }}</h3><span class="soft">pull <b class="strong">{{ $candidate->pull->total() }}</b> of 100</span></div>
        <div class="bar" aria-hidden="true"><i style="--w:{{ $candidate->pull->importance }}"></i><i style="--w:{{ $candidate->pull->pressure }}"></i><i style="--w:{{ max(0, $candidate->pull->push) + $candidate->pull->age + $candidate->pull->step }}"></i></div>
        <p class="words soft"><span>importance <b class="strong">{{ $candidate->pull->importance }}</b></span><span>pressure <b class="strong">{{ $candidate->pull->pressure }}</b></span><span>push <b class="strong">{{ $candidate->pull->push }}</b>, age <b class="strong">{{ $candidate->pull->age }}</b>@if ($candidate->pull->step), step of a goal <b class="strong">{{ $candidate->pull->step }}</b>@endif</span></p>
    </div>
@endif
<x-screen-keys on="bank">@unless ($isPast)<span><a href="/shape?morning=left" data-page-key="j" data-here><span class="key">J</span> morning</a></span>@endunless</x-screen-keys>
