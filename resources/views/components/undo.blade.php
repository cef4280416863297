{{-- Takes one change back (or, again, its undo), the one it was offered for: a page that was drawn before another change names the same one still. --}}
@props(['revision', 'again' => false])
<form method="post" action="/plan/{{ $again ? 'redo' : 'undo' }}">@csrf<input type="hidden" name="revision" value="{{ $revision }}">{{ $slot }}</form>
