{{-- A day as the person reads and types it: "Wed 18 Mar 2026", "fri", "18 april", "in 2 weeks". --}}
@props(['name', 'value' => null, 'keeps' => true])
@php
    $raw = (string) ($keeps ? old($name, $value) : $value);
    $shown = preg_match('/^\d{4}-\d{2}-\d{2}$/D', $raw) === 1 && checkdate((int) substr($raw, 5, 2), (int) substr($raw, 8, 2), (int) substr($raw, 0, 4)) ? App\Wording\Dates::of($person)->full(Nekto\Core\Time\LocalDay::fromString($raw)) : $raw;
@endphp
<input {{ $attributes->merge(['class' => 'field field-day', 'placeholder' => 'a day', 'autocomplete' => 'off', 'maxlength' => '60', 'data-typed-day' => '']) }} name="{{ $name }}" value="{{ $shown }}">
