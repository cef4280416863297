{{-- Takes one change back, the one it was offered for: a page that was drawn before another change names the same one still. --}}
@props(['revision'])
<form method="post" action="/plan/undo">@csrf<input type="hidden" name="revision" value="{{ $revision }}">{{ $slot }}</form>
