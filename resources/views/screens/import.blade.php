@php
    use App\Models\IntakeStage;
    $isUnderWay = $import->stage->isUnderWay();
    $isCalendar = in_array($import->kind, ['calendar', 'message'], true);
    $back = ['calendar' => ['/meetings', 'All meetings'], 'message' => ['/meetings', 'All meetings'], 'mail' => ['/gather/mailbox', 'The mailbox'], 'tasks' => ['/gather/files', 'Files']][$import->kind];
@endphp
<x-layout title="Bringing in {{ $import->name }}" :at="$isCalendar ? 'meetings' : null" :station="$isCalendar ? null : 'gather'">
    <div class="title-row"><h1>{{ $import->name }}</h1><x-says /></div>
    <div @class(['section-head', 'section-warn' => $import->problems !== [] || $import->stage === IntakeStage::Aside])><h2>{{ ['waiting' => 'Being read', 'taking' => 'Being brought in', 'ready' => 'Read', 'finished' => 'Brought in', 'aside' => 'Put aside'][$import->stage->value] }}</h2><span class="soft">{{ number_format($import->taken) }} of {{ number_format($import->total) }}</span></div>
    <br>
    <div class="progress" role="progressbar" aria-label="Taken in" aria-valuemin="0" aria-valuemax="100" aria-valuenow="{{ $import->percent() }}"><i style="--w:{{ $import->percent() }}"></i></div>
    @if ($import->why)<p class="warning" role="alert">{{ $import->why }}</p>@endif
    <p class="import-counts" role="status">{{ number_format($import->added) }} new, @if ($import->kind === 'calendar'){{ number_format($import->changed) }} changed, {{ $import->gone ? number_format($import->gone).' gone, ' : '' }}@endif{{ number_format($import->same()) }} as they were{{ $import->failed ? ', '.number_format($import->failed).' not read' : '' }}.</p>
    @if ($isUnderWay)
        <p class="soft" data-watch>It goes on by itself, also when this page is left.</p>
        <noscript><p><a class="button" href="{{ request()->getPathInfo() }}">Look again</a></p></noscript>
    @else
        <div class="actions"><a class="button button-main" href="{{ $isCalendar ? '/shape' : '/gather' }}">{{ $isCalendar ? 'To today' : 'To Gather' }}</a><a class="button" href="{{ $back[0] }}">{{ $back[1] }}</a></div>
    @endif
    @if ($import->problems)
        <div class="section-head section-warn"><h2>Could not be read</h2><span class="soft">the rest was taken</span></div>
        @foreach ($import->problems as $problem)<div class="list-row"><span class="soft">line {{ $problem['line'] }}</span><span>{{ $problem['what'] }}</span></div>@endforeach
        @if ($import->failed > count($import->problems))<p class="soft">{{ number_format($import->failed - count($import->problems)) }} more of that kind.</p>@endif
    @endif
</x-layout>
