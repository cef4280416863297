<x-layout title="Your account rests" quiet>
    <div class="door page">
        <span class="wordmark">Nekto</span>
        <h1>Your account rests until {{ $day }}.</h1>
        <p class="soft">Then it is deleted, with everything in it. Until then nothing is planned, read or sent for you, and you can take it back.</p>
        <form method="post" action="/account/leaving" data-whole>@csrf<button class="button button-main">Keep my account</button></form>
        <p class="soft">Take your tasks along: <a href="/gather/export/csv" download>all of them, as a file</a></p>
        <form method="post" action="/sign-out" data-whole>@csrf<button class="button button-bare">Sign out</button></form>
    </div>
</x-layout>
