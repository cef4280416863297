{{-- Tasks with what can be set about them in place; pull with its parts. --}}
@props(['rows', 'tasks', 'weighed'])
@php use App\Wording\Times; @endphp
<table class="weigh-list">
    <thead><tr><th>task</th><th>importance</th><th>estimate</th><th>due</th><th class="number">pressure</th><th class="number">pull</th></tr></thead>
    <tbody data-list>
    @foreach ($rows as $one)
        @php $task = $tasks[$one->id]; $form = "weigh-{$task->id}"; $wrong = old('form') === $form; @endphp
        <tr id="row-{{ $task->id }}" data-row tabindex="0" aria-label="{{ $task->title }}">
            <td><span class="title"><span class="swatch hue-{{ $task->area->hue }}" title="{{ $task->area->name }}"></span><a href="/tasks/{{ $task->id }}">{{ $task->title }}</a>@if ($task->carried > 0)<span class="soft"><x-icon name="carried" /> {{ $task->carried }}</span>@endif</span>
                @if ($wrong && $errors->any())<span class="error" role="alert">{{ $errors->first() }}</span>@endif</td>
            <td>
                <form class="worth hue-{{ $task->area->hue }}" method="post" action="/tasks/{{ $task->id }}">
                    @csrf @method('patch')
                    @foreach (Nekto\Core\Task\Importance::cases() as $case)
                        <button name="importance" value="{{ $case->value }}" data-key="{{ $case->value }}" aria-pressed="{{ $task->importance === $case ? 'true' : 'false' }}"><x-spine :importance="$case->value" />{{ $case->word() }}</button>
                    @endforeach
                </form>
            </td>
            <td><form id="{{ $form }}" method="post" action="/tasks/{{ $task->id }}" data-on-change>@csrf @method('patch')<input type="hidden" name="form" value="{{ $form }}">
                <input class="field" name="estimate" data-key="m" aria-label="Estimate of {{ $task->title }}" value="{{ $wrong ? old('estimate') : ($task->estimate === null ? '' : Times::duration($task->estimate)) }}" placeholder="none"></form></td>
            <td><form method="post" action="/tasks/{{ $task->id }}" data-on-change>@csrf @method('patch')<input type="hidden" name="form" value="{{ $form }}">
                @if ($task->due_at)<input type="hidden" name="due_time" value="{{ $person->local($task->due_at)->format('H:i') }}">@endif
                <input class="field" type="date" name="due_date" data-key="t" aria-label="Due date of {{ $task->title }}" value="{{ $task->due_at ? $person->local($task->due_at)->format('Y-m-d') : $task->due_on }}"></form></td>
            <td class="number">@if ($one->pressure() !== null)<span @class(['coral' => $one->pressure() > 100])>{{ $one->pressure() >= 999 ? 'over 900' : $one->pressure() }} %</span>@endif</td>
            <td class="number"><span class="strong">{{ $weighed ? $one->pull->total() : '' }}</span> @if ($weighed)<span class="faint">{{ $one->pull->importance }} + {{ $one->pull->pressure }}@if ($one->pull->push) {{ $one->pull->push > 0 ? '+ 10' : '− 10' }}@endif @if ($one->pull->age) + {{ $one->pull->age }}@endif</span>@endif</td>
        </tr>
    @endforeach
    </tbody>
</table>
