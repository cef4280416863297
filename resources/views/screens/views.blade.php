<x-layout title="Views" at="views">
    <div class="title-row"><h1>Views</h1><x-says /><span class="soft">Questions to your tasks that you ask again and again.</span><span class="end"><a class="button button-main" href="/views/build">A new view</a></span></div>
    <div class="columns">
        <section><div class="section-head"><h2>Yours</h2></div>
            @if ($own->isEmpty())<div class="empty"><p class="soft">Choose conditions, see the answer, keep it under a name.</p></div>@endif
            @foreach ($own as $view)<div class="list-row"><a class="grow" href="/views/{{ $view->id }}">{{ $view->name }}</a>
                <form method="post" action="/views/{{ $view->id }}">@csrf @method('patch')<input type="hidden" name="pinned" value="{{ $view->pinned ? 0 : 1 }}"><button class="button">{{ $view->pinned ? 'Unpin' : 'Pin to the head' }}</button></form>
                <a class="button" href="/views/build?view={{ $view->id }}">Change</a>
                <form method="post" action="/views/{{ $view->id }}" data-whole>@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $view->name }} away">×</button></form></div>@endforeach
        </section>
        <section><div class="section-head"><h2>Ready-made</h2></div>@foreach ($shipped as $address => $name)<div class="list-row"><a href="/views/{{ $address }}">{{ $name }}</a></div>@endforeach</section>
    </div>
</x-layout>
