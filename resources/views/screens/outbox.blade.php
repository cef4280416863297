@php use App\Wording\Times; @endphp
<x-layout title="Outbox" at="settings">
    <div class="title-row"><h1>Outbox</h1><x-says /><span>mail that would have gone out; nothing leaves this machine</span></div>
    @forelse ($mails as $mail)
        <div class="list-row"><a class="grow" href="/outbox/{{ $mail->id }}">{{ $mail->subject }}</a><span class="soft">{{ $mail->to }}</span><span class="soft">{{ Times::when($person, $mail->sent_at, $now) }}</span></div>
    @empty
        <div class="empty"><h2>Nothing was sent.</h2><p class="soft">Reminders come by mail once you ask for it in <a href="/settings">Settings</a>.</p></div>
    @endforelse
</x-layout>
