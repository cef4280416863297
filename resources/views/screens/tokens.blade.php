<x-layout title="Bookmarklet and tokens" station="gather">
    <div class="title-row"><h1>Catch web pages</h1><x-says /><span class="end"><a class="button" href="/gather/files" data-leave>Back</a></span></div>
    <div class="account"><section><div class="section-head"><h2>From the browser</h2></div>
    <p>Drag this link among your bookmarks; press it on any page, words chosen or not: <a class="button" href="javascript:(()=>{open('{{ url('/capture') }}?title='+encodeURIComponent(document.title)+'&amp;url='+encodeURIComponent(location.href)+'&amp;text='+encodeURIComponent(getSelection()+''),'nekto','width=520,height=420')})()">Catch in Nekto</a></p>
    <p class="soft">A small window shows what it found; Enter catches it for whoever is signed in here.</p>
    </section>
    @if (session('token'))<section>
        <div class="section-head"><h2>Your new token</h2><span class="soft">shown this once</span></div>
        <p><code class="token" id="new-token">{{ session('token') }}</code></p>
        <p class="soft">Programs send <code>POST {{ url('/capture') }}</code> with the token as <code>Authorization: Bearer …</code> and <code>title</code>, <code>url</code>, <code>text</code>. Words of the grammar work in the title. A token in an address is not taken: addresses are written into logs.</p>
    </section>@endif
    <section><div class="section-head"><h2>Tokens for programs</h2></div>
    @foreach ($tokens as $token)
        <div class="list-row"><span class="grow"><b class="strong">{{ $token->name }}</b> <span class="soft">made {{ App\Wording\Dates::of($person)->withMonthAndYear($person->local($token->created_at)) }}, {{ $token->last_used_at ? 'last used '.App\Wording\Dates::of($person)->short($person->local($token->last_used_at)).', '.App\Wording\Times::clock($person, $person->local($token->last_used_at)) : 'never used' }}</span></span>
            @if ($token->revoked_at)<span class="soft">revoked</span>@else<form method="post" action="/gather/tokens/{{ $token->id }}">@csrf @method('delete')<button class="button">Revoke</button></form>@endif</div>
    @endforeach
    @if ($tokens->isEmpty())<div class="empty"><p class="soft">A token lets a program put things into your inbox, and nothing else.</p></div>@endif
    <form method="post" action="/gather/tokens" class="pair">@csrf<input class="field" name="name" placeholder="A script at work" aria-label="Name of a new token" maxlength="100"><button class="button button-main">Make a token</button></form>
    @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
    </section></div>
</x-layout>
