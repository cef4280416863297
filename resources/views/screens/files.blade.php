<x-layout title="Files" station="gather">
    <div class="title-row"><h1>Bring in, take along</h1><x-says /><span class="end"><a class="button" href="/gather" data-leave>Back to Gather</a></span></div>
    <div class="columns">
        <section aria-labelledby="bring"><div class="section-head"><h2 id="bring">Bring tasks in</h2><span class="soft">seen before they are taken</span></div>
            @if ($refused)<p class="error" role="alert">{{ __('files.too_large') }}</p>@endif
            <form method="post" action="/gather/files" enctype="multipart/form-data" data-whole>@csrf
                <div class="form-grid">
                    <div class="form-row wide"><label for="file">A file: todo.txt, a table (CSV), a Markdown check list, iCalendar to-dos, mail (.eml, mbox), up to 5 MB; or everything from another Nekto (.jsonl), up to 25 MB</label><input class="field" style="padding:6px 10px" id="file" type="file" name="file" @error('file') aria-invalid="true" aria-describedby="file-error" @enderror>@error('file')<span class="error" id="file-error">{{ $message }}</span>@enderror</div>
                    <div class="form-row wide"><label for="text">or its text</label><textarea class="field" id="text" name="text" rows="6">{{ old('text') }}</textarea>@error('text')<span class="error">{{ $message }}</span>@enderror</div>
                    <div class="form-row"><label for="format">Format</label><select class="field" id="format" name="format"><option value="">as it looks</option>@foreach ($formats as $format)<option value="{{ $format->value }}" @selected(old('format') === $format->value)>{{ $format->word() }}</option>@endforeach</select></div>
                </div><button class="button button-main">Look at it</button></form>
            @foreach ($previews as $preview)<div class="list-row"><span class="grow"><a href="/gather/files/{{ $preview->id }}">{{ $preview->name }}</a> <span class="soft">looked at, not taken yet</span></span><form method="post" action="/gather/files/{{ $preview->id }}" data-whole>@csrf @method('delete')<button class="button button-bare">Leave it</button></form></div>@endforeach
        </section>
        <section aria-labelledby="take"><div class="section-head"><h2 id="take">Take everything along</h2></div>
            <p class="soft">All tasks, done ones too. Nekto takes each of these back without doubles.</p>
            @foreach ($outgoing as $format)<div class="list-row"><span class="grow"><b class="strong">{{ $format->word() }}</b><br><span class="soft">{{ $format->loses() === [] ? __('files.loses_nothing') : __('files.loses', ['what' => implode(', ', array_map(fn ($field) => __("files.fields.{$field}"), $format->loses()))]) }}</span></span><a class="button" href="/gather/export/{{ $format->value }}" data-whole download>{{ $format->fileName() }}</a></div>@endforeach
            <div class="section-head"><h2>From elsewhere</h2></div>
            <div class="list-row"><span class="grow">Mail</span><a class="button" href="/gather/mailbox">The mailbox</a></div>
            <div class="list-row"><span class="grow">Web pages and programs</span><a class="button" href="/gather/tokens">Bookmarklet and tokens</a></div>
            <div class="list-row"><span class="grow">Meetings</span><a class="button" href="/meetings">Calendars</a></div>
            <div class="list-row"><span class="grow">What comes back</span><a class="button" href="/templates">Templates and repeats</a></div>
        </section>
    </div>
</x-layout>
