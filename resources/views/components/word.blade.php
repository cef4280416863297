{{-- A word of a sentence that is changed in place: nothing is kept before Enter. --}}
@props(['task', 'name', 'label', 'value' => '', 'choices' => null, 'type' => 'text', 'empty' => '', 'field' => null])
@php
    $id = 'word-'.($field ?? $name);
    $kept = old($name, $value);
    $shown = $type === 'day' ? (preg_match('/^\d{4}-\d{2}-\d{2}$/D', (string) $kept) === 1 && checkdate((int) substr((string) $kept, 5, 2), (int) substr((string) $kept, 8, 2), (int) substr((string) $kept, 0, 4)) ? App\Wording\Dates::of($person)->full(Nekto\Core\Time\LocalDay::fromString((string) $kept)) : (string) $kept) : (string) $kept;
@endphp
<form method="post" action="/tasks/{{ $task->id }}" class="word" data-word id="{{ $id }}-form">@csrf @method('patch'){{ $slot }}
@if ($choices !== null)<select name="{{ $name }}" id="{{ $id }}" aria-label="{{ $label }}" @error($name) aria-invalid="true" @enderror>@foreach ($choices as $key => $words)<option value="{{ $key }}" @selected((string) $key === (string) $kept)>{{ $words }}</option>@endforeach</select>@else<input name="{{ $name }}" id="{{ $id }}" aria-label="{{ $label }}" value="{{ $shown }}" placeholder="{{ $empty }}" size="{{ max(3, mb_strlen($shown !== '' ? $shown : $empty)) }}" autocomplete="off" maxlength="{{ $type === 'long' ? 1000 : 60 }}" @error($name) aria-invalid="true" @enderror>@endif<button hidden>Keep</button></form>