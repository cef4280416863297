<x-layout title="Open an account">
    <div class="door page">
        <span class="wordmark">Nekto</span>
        <h1>Open an account</h1>
        <form method="post" action="/sign-up" data-whole>
            @csrf
            <x-field name="name" label="Your name" autocomplete="name" required autofocus maxlength="100" />
            <x-field name="email" label="Mail address" type="email" autocomplete="username" required />
            <x-field name="password" label="Password" type="password" autocomplete="new-password" hint="At least twelve characters; a few words in a row are easy to keep." required />
            <input type="hidden" name="zone" value="{{ old('zone', 'UTC') }}" data-own-zone>
            <button class="button button-main">Open it</button>
        </form>
        <p class="soft">You have one? <a href="/sign-in">Sign in</a></p>
    </div>
</x-layout>
