<x-layout title="Forgotten password">
    <div class="door page">
        <span class="wordmark">Nekto</span>
        <h1>A new password</h1>
        @if (session('status'))<p class="said" role="status">{{ session('status') }}</p>@endif
        <p class="soft">A letter with a link goes to your address. Nothing changes until you open it.</p>
        <form method="post" action="/forgotten" data-whole>
            @csrf
            <x-field name="email" label="Mail address" type="email" autocomplete="username" required autofocus />
            <button class="button button-main">Send the letter</button>
        </form>
        <p class="soft"><a href="/sign-in">Back to the sign-in</a></p>
    </div>
</x-layout>
