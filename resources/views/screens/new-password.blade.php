<x-layout title="New password">
    <div class="door page">
        <span class="wordmark">Nekto</span>
        <h1>A new password for {{ $email }}</h1>
        <form method="post" action="/forgotten/new" data-whole>
            @csrf
            <input class="sr-only" type="text" name="username" value="{{ $email }}" autocomplete="username" readonly tabindex="-1" aria-hidden="true">
            <x-field name="password" label="New password" type="password" autocomplete="new-password" hint="At least twelve characters; a few words in a row are easy to keep." required autofocus />
            <button class="button button-main">Keep it</button>
        </form>
    </div>
</x-layout>
