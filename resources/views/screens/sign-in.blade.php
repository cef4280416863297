<x-layout title="Sign in">
    <div class="door page">
        <span class="wordmark">Nekto</span>
        <h1>What matters today, and does it fit?</h1>
        @if (session('status'))<p class="said" role="status">{{ session('status') }}</p>@endif
        <form method="post" action="/sign-in" data-whole>
            @csrf
            <x-field name="email" label="Mail address" type="email" autocomplete="username" required autofocus />
            <x-field name="password" label="Password" type="password" autocomplete="current-password" required />
            <label class="check"><input type="checkbox" name="remember" value="1"> Stay signed in here</label>
            <button class="button button-main">Sign in</button>
        </form>
        <p class="soft"><a href="/forgotten">Forgotten?</a> · No account yet? <a href="/sign-up">Open one</a></p>
    </div>
</x-layout>
