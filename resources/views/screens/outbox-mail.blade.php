@php use App\Wording\Times; @endphp
<x-layout title="{{ $mail->subject }}" at="settings">
    <div class="title-row"><h1>{{ $mail->subject }}</h1><x-says /><span>to {{ $mail->to }}, {{ Times::when($person, $mail->sent_at, $now) }}</span><span class="end"><a class="button" href="/outbox/{{ $mail->id }}/source" data-whole>As a file</a><a class="button button-bare" href="/outbox">All of them</a></span></div>
    <pre class="mail-body">{{ $mail->body }}</pre>
</x-layout>
