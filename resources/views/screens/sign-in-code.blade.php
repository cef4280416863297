<x-layout title="Sign in">
    <div class="door page">
        <span class="wordmark">Nekto</span>
        <h1>And the code, please</h1>
        <form method="post" action="/sign-in/code" data-whole>
            @csrf
            <x-field name="code" label="Code of your authenticator, or a recovery code" autocomplete="one-time-code" inputmode="text" maxlength="40" required autofocus />
            <button class="button button-main">Sign in</button>
        </form>
        <p class="soft"><a href="/sign-in">Somebody else</a></p>
    </div>
</x-layout>
