@php
    use App\Wording\Times;
    $local = $task->due_at === null ? null : $person->local($task->due_at);
@endphp
<x-layout :title="$task->title" :station="$task->stage->value === 'inbox' ? 'gather' : 'weigh'">
    <div class="title-row"><h1>{{ $task->title }}</h1>
        <span class="soft">@if ($task->carried > 0)<x-icon name="carried" /> carried over {{ $task->carried }} times @endif</span></div>
    <div class="section-head"><h2>What it is</h2><span class="soft">@if ($task->typed !== null && $task->typed !== $task->title) typed as “{{ Str::limit($task->typed, 90) }}” @endif</span></div>
    <form method="post" action="/tasks/{{ $task->id }}">
        @csrf @method('patch')
        <input type="hidden" name="back" value="{{ old('back', $back) }}">
        <div class="form-grid">
            <x-field class="wide" name="title" label="Name" :value="$task->title" maxlength="200" required />
            <div class="form-row"><label for="area_id">Area</label>
                <select class="field" id="area_id" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}" @selected((int) old('area_id', $task->area_id) === $area->id)>{{ $area->name }}</option>@endforeach</select></div>
            <div class="form-row"><label for="importance">Importance</label>
                <select class="field" id="importance" name="importance"><option value="">not weighed</option>@foreach (Nekto\Core\Task\Importance::cases() as $case)<option value="{{ $case->value }}" @selected((string) old('importance', $task->importance?->value) === (string) $case->value)>{{ $case->word() }}</option>@endforeach</select></div>
            <x-field name="estimate" label="Estimate" :value="$task->estimate === null ? '' : Times::duration($task->estimate)" hint="as 45 min or 1 h 30" />
            <x-field name="minutes_left" label="Left" :value="$task->minutes_left ? Times::duration($task->minutes_left) : ''" hint="of the estimate" />
            <x-field name="due_date" label="Due" type="date" :value="$local?->format('Y-m-d') ?? $task->due_on" hint="end of that day's hours" />
            <x-field name="due_time" label="Due time" type="time" :value="$local?->format('H:i')" hint="only if it is due at a time" />
            <div class="form-row"><span class="label">A late day</span>
                <label class="check"><input type="hidden" name="due_hard" value="0"><input type="checkbox" name="due_hard" value="1" @checked(old('due_hard', $task->due_hard))> counts ten times (hard)</label></div>
            <div class="form-row"><label for="demand">Demand</label>
                <select class="field" id="demand" name="demand">@foreach (Nekto\Core\Task\Demand::cases() as $case)<option value="{{ $case->value }}" @selected(old('demand', $task->demand->value) === $case->value)>{{ $case->value }}</option>@endforeach</select></div>
            <div class="form-row"><label for="push">Push</label>
                <select class="field" id="push" name="push">@foreach ([1 => 'treat as urgent', 0 => 'none', -1 => 'hold back'] as $value => $word)<option value="{{ $value }}" @selected((int) old('push', $task->push->value) === $value)>{{ $word }}</option>@endforeach</select></div>
            <x-field name="not_before" label="Not before" type="date" :value="$task->not_before === null ? '' : $person->local($task->not_before)->format('Y-m-d')" />
            <x-field name="min_chunk" label="Shortest block" :value="Times::duration($task->min_chunk)" />
            <x-field name="max_chunk" label="Longest block" :value="Times::duration($task->max_chunk)" />
            <div class="form-row wide"><label for="note">Note</label><textarea class="field" id="note" name="note" rows="5" maxlength="20000">{{ old('note', $task->note) }}</textarea></div>
        </div>
        <div class="actions"><button class="button button-main">Save</button><a class="button" href="{{ $back }}">Leave</a></div>
    </form>
    <form method="post" action="/tasks/{{ $task->id }}">@csrf @method('delete')<button class="button button-bare">Let it go</button></form>
</x-layout>
