@php use App\Wording\Times; @endphp
<x-layout title="Mailbox" station="gather">
    <div class="title-row"><h1>Mailbox</h1><x-says /><span class="end"><form method="post" action="/gather/mailbox/fetch">@csrf<button class="button">Look for new mail</button></form><a class="button" href="/gather#mail" data-leave>Back to Gather</a></span></div>
    <p class="soft">A stand-in for a mail account: any message dropped as .eml (or mbox) into <code>{{ $folder }}</code> arrives here; it is looked into every minute. Boxes have 25 MB at most.</p>
    @error('file')<p class="error" role="alert">{{ $message }}</p>@enderror
    <form method="post" action="/gather/mailbox" enctype="multipart/form-data" class="pair" data-whole>@csrf<input class="field" type="file" name="file" accept=".eml,.mbox,message/rfc822" aria-label="A message"><button class="button">Bring it in</button></form>
    @foreach ($intakes as $intake)<div class="list-row"><a class="grow" href="/meetings/imports/{{ $intake->id }}">{{ $intake->name }}</a><span class="soft">{{ $intake->stage->isUnderWay() ? "{$intake->percent()} %" : ($intake->why ?? $intake->problems[0]['what'] ?? '') }}</span></div>@endforeach
    @if ($intakes->contains(fn ($one) => $one->stage->isUnderWay()))<p class="soft" data-watch>Messages are being read; they appear one after another.</p>@endif
    <div class="section-head"><h2>All messages</h2><span class="soft">{{ count($messages) }}</span></div>
    <ul class="inbox" data-list>@foreach ($messages as $message)
        <li id="message-{{ $message->id }}"><span class="pick"></span><span class="when soft">{{ Times::when($person, $message->received_at, $now) }}</span><span class="source">{{ ['new' => 'new', 'taken' => 'a task', 'answered' => 'answered', 'filed' => 'filed'][$message->state] }}</span><span class="swatch"></span>
            <span class="what"><a href="/messages/{{ $message->id }}" data-row>{{ $message->subject }}</a> <span class="soft">{{ $message->from_name }}</span></span>
            <span class="facts">@if ($message->put_off_until)<span>put off until {{ $message->put_off_until }}</span>@endif @if ($message->state !== 'new')<form method="post" action="/messages/{{ $message->id }}/state">@csrf<button class="button" name="state" value="new">New again</button></form>@endif</span></li>
    @endforeach</ul>
</x-layout>
