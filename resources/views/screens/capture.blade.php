<x-layout title="Catch a page" quiet>
    <div class="door page">
        <span class="wordmark">Nekto</span>
        @if (session('caught'))
            <h1>Caught.</h1>
            <p class="card-title">{{ session('caught') }}</p>
            <p class="soft">It lies in your inbox. This window can be closed.</p>
        @else
            <h1>Catch this page</h1>
            <form method="post" action="/capture/page" data-whole>
                @csrf
                <input type="hidden" name="_once" value="{{ $once }}">
                <x-field name="title" label="As a thought" :value="$title" maxlength="1000" autocomplete="off" autofocus />
                <x-field name="url" label="Its address" :value="$address" maxlength="2000" autocomplete="off" />
                <div class="form-row"><label for="text">Words of it, as a note</label><textarea class="field" id="text" name="text" rows="3">{{ old('text', $words) }}</textarea></div>
                <button class="button button-main">Catch it</button>
            </form>
        @endif
    </div>
</x-layout>
