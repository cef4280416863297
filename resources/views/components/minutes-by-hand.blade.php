{{-- Minutes of a day, put right or entered afterwards. --}}
@props(['entries', 'tasks', 'day'])
@php use App\Wording\Times; @endphp
<details class="more" id="by-hand" @if ($errors->hasAny(['from', 'to', 'day'])) open @endif><summary>Minutes by hand</summary>
    @foreach ($entries->whereNotNull('ends_at') as $entry)
        @php $what = $entry->break ? 'break' : $tasks[$entry->task_id] ?? 'other'; @endphp
        <form class="pair" method="post" action="/work/entries/{{ $entry->id }}">@csrf @method('patch')<input type="hidden" name="day" value="{{ $person->local($entry->starts_at)->format('Y-m-d') }}"><input class="field field-clock" maxlength="8" name="from" value="{{ $person->local($entry->starts_at)->format('H:i') }}" aria-label="{{ $what }} from"><input class="field field-clock" maxlength="8" name="to" value="{{ $person->local($entry->ends_at)->format('H:i') }}" aria-label="{{ $what }} until"><span class="soft grow">{{ $what }}</span><button class="button">Save</button><button class="button button-bare" form="drop-entry-{{ $entry->id }}" aria-label="Take this entry of {{ $what }} away">×</button></form>
        <form method="post" action="/work/entries/{{ $entry->id }}" id="drop-entry-{{ $entry->id }}">@csrf @method('delete')</form>
    @endforeach
    <form class="pair" method="post" action="/work/entries">@csrf<input type="hidden" name="day" value="{{ $day }}"><input class="field field-clock" maxlength="8" name="from" placeholder="9:00" aria-label="From" value="{{ old('from') }}"><input class="field field-clock" maxlength="8" name="to" placeholder="9:30" aria-label="Until" value="{{ old('to') }}"><select class="field" name="task_id" aria-label="Task">@foreach ($tasks as $id => $title)<option value="{{ $id }}" @selected((int) old('task_id') === $id)>{{ Str::limit($title, 40) }}</option>@endforeach</select><button class="button">Add</button></form>
    @foreach (['from', 'to', 'day'] as $name)@error($name)<p class="error" role="alert">{{ $message }}</p>@enderror @endforeach
</details>
