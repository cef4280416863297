{{-- Tasks with what can be set about them in place; pull with its parts. --}}
@props(['rows', 'tasks', 'weighed', 'areas', 'projects', 'chances' => [], 'before' => []])
@php use App\Wording\Times; @endphp
<table class="weigh-list">
    <thead><tr><th>task</th><th>importance</th><th>estimate</th><th>due</th><th class="number">pressure</th><th class="number">pull</th></tr></thead>
    <tbody data-list>
    @foreach ($rows as $one)
        @php $task = $tasks[$one->id]; $form = "weigh-{$task->id}"; $wrong = old('form') === $form; @endphp
        <tr id="row-{{ $task->id }}" data-row tabindex="0" aria-label="{{ $task->title }}">
            <td><span class="title"><input type="checkbox" name="ids[]" value="{{ $task->id }}" form="sort" data-key=" " aria-label="Choose {{ $task->title }}"><span class="swatch hue-{{ $task->area->hue }}" title="{{ $task->area->name }}"></span><a href="/tasks/{{ $task->id }}">{{ $task->title }}</a>@if ($task->carried > 0)<span class="soft">@icon('carried') {{ $task->carried }}</span>@endif @isset($before[$task->id])<span class="soft">{{ $before[$task->id] === '' ? 'the next step' : $before[$task->id] }}</span>@endisset</span>
                <details class="asks asks-row"><summary class="button button-bare" data-key="o" aria-label="More of {{ $task->title }}">more</summary>
                    <form method="post" action="/tasks/{{ $task->id }}" class="menu">@csrf @method('patch')<input type="hidden" name="back" value="{{ url()->full() }}">
                        <label for="title-{{ $task->id }}">Name</label><input class="field" id="title-{{ $task->id }}" name="title" value="{{ $task->title }}" maxlength="200" required>
                        <label for="area-{{ $task->id }}">Area</label><select class="field" id="area-{{ $task->id }}" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}" @selected($area->id === $task->area_id)>{{ $area->name }}</option>@endforeach</select>
                        <label for="project-{{ $task->id }}">Project</label><select class="field" id="project-{{ $task->id }}" name="project_id"><option value="">none</option>@foreach ($projects as $id => $name)<option value="{{ $id }}" @selected($id === $task->project_id)>{{ $name }}</option>@endforeach</select>
                        <label for="push-{{ $task->id }}">Push</label><select class="field" id="push-{{ $task->id }}" name="push">@foreach ([1 => 'treat as urgent', 0 => 'none', -1 => 'hold back'] as $value => $word)<option value="{{ $value }}" @selected($task->push->value === $value)>{{ $word }}</option>@endforeach</select>
                        <label for="demand-{{ $task->id }}">Demand</label><select class="field" id="demand-{{ $task->id }}" name="demand">@foreach (Nekto\Core\Task\Demand::cases() as $case)<option @selected($task->demand === $case)>{{ $case->value }}</option>@endforeach</select>
                        <label for="from-{{ $task->id }}">Not before</label><x-day id="from-{{ $task->id }}" name="not_before" :value="$task->not_before === null ? '' : $person->local($task->not_before)->format('Y-m-d')" :keeps="false" />
                        <button class="button button-main">Save</button></form></details>
                @if ($wrong && $errors->any())<span class="error" role="alert">{{ $errors->first() }}</span>@endif</td>
            <td>
                <form class="worth hue-{{ $task->area->hue }}" method="post" action="/tasks/{{ $task->id }}">
                    @csrf @method('patch')
                    @foreach (Nekto\Core\Task\Importance::cases() as $case)
                        <button name="importance" value="{{ $case->value }}" data-key="{{ $case->value }}" aria-pressed="{{ $task->importance === $case ? 'true' : 'false' }}">@spine($case->value){{ $case->word() }}</button>
                    @endforeach
                </form>
            </td>
            <td><form id="{{ $form }}" method="post" action="/tasks/{{ $task->id }}" data-on-change>@csrf @method('patch')<input type="hidden" name="form" value="{{ $form }}">
                <input class="field" name="estimate" data-key="m" aria-label="Estimate of {{ $task->title }}" value="{{ $wrong ? old('estimate') : ($task->estimate === null ? '' : Times::duration($task->estimate)) }}" placeholder="none"></form></td>
            <td><form method="post" action="/tasks/{{ $task->id }}" data-on-change>@csrf @method('patch')<input type="hidden" name="form" value="{{ $form }}">
                @if ($task->due_at)<input type="hidden" name="due_time" value="{{ $person->local($task->due_at)->format('H:i') }}">@endif
                <x-day name="due_date" data-key="t" aria-label="Due date of {{ $task->title }}" :value="$task->due_at ? $person->local($task->due_at)->format('Y-m-d') : $task->due_on" :keeps="false" /></form>@if ($task->due_hard)<span class="hard">hard</span>@endif @if (isset($chances[$task->id]))<span class="hard">{{ App\Wording\Figures::chance($chances[$task->id]) }}</span>@endif</td>
            <td class="number">@if ($one->pressure() !== null)<span @class(['coral' => $one->pressure() > 100])>{{ App\Wording\Figures::pressure($one->pressure()) }}</span>@endif</td>
            <td class="number"><span class="strong">{{ $weighed ? $one->pull->total() : '' }}</span> @if ($weighed)<span class="faint">{{ $one->pull->importance }} + {{ $one->pull->pressure }}@if ($one->pull->push) {{ $one->pull->push > 0 ? '+ 10' : '− 10' }}@endif @if ($one->pull->age) + {{ $one->pull->age }}@endif @if ($one->pull->step) + {{ $one->pull->step }}@endif</span>@endif</td>
        </tr>
    @endforeach
    </tbody>
</table>
