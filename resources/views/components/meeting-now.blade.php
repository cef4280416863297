{{-- The note of a meeting, and what was decided as tasks. --}}
@props(['meeting'])
@php $id = $meeting->occurrence->id; @endphp
<form method="post" action="/occurrences/{{ $id }}/note" class="meeting-note">@csrf
    <label for="meeting-note">Note</label>
    <input type="hidden" name="note_was" value="{{ App\Wording\TextMark::of($meeting->note) }}"><textarea class="field" id="meeting-note" name="note" rows="5" maxlength="20000">{{ old('note', $meeting->note) }}</textarea>
    @error('note')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div class="actions"><button class="button">Keep the note</button><span class="soft">it stays with this meeting</span></div>
</form>
<form method="post" action="/occurrences/{{ $id }}/decided" class="meeting-note" data-clear>@csrf
    <label for="decided">Decided: one task a line</label>
    <textarea class="field" id="decided" name="lines" rows="3" placeholder="Sam sends the list by friday">{{ old('lines') }}</textarea>
    @error('lines')<p class="error" role="alert">{{ $message }}</p>@enderror
    <div class="actions"><button class="button">Make them tasks</button><span class="soft">they go to Gather</span></div>
</form>
