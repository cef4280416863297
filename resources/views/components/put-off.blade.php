{{-- A message that is put off until a day. --}}
@props(['message'])
@php $local = $person->local($now); @endphp
<details class="asks" id="put-off-{{ $message->id }}">
    <summary class="button" data-key="o">Put off <kbd>O</kbd></summary>
    <form method="post" action="/messages/{{ $message->id }}/put-off" class="menu" data-leaves data-waits="Put off: {{ $message->subject }}">
        @csrf
        <button class="button" name="until" value="{{ $local->format('Y-m-d') }}">today</button>
        <button class="button" name="until" value="{{ $local->addDay()->format('Y-m-d') }}">tomorrow</button>
        <button class="button" name="until" value="{{ $local->addWeek()->startOfWeek()->format('Y-m-d') }}">next week</button>
        <label for="until-{{ $message->id }}">or on</label><x-day id="until-{{ $message->id }}" name="date" data-enter=".until-date" /><button class="button until-date" name="until" value="">put off</button>
    </form>
</details>
