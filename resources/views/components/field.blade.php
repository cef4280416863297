{{-- A labelled form field with its error beside it; what was typed stays. --}}
@props(['name', 'label', 'value' => '', 'type' => 'text', 'hint' => null, 'id' => null])
@php
    $id ??= $name;
    $key = str_replace(['[', ']'], ['.', ''], $name);
    $error = $errors->has($key);
@endphp
<div {{ $attributes->only('class')->class('form-row') }}>
    <label for="{{ $id }}">{{ $label }}</label>
    @if ($type === 'day')
    <x-day :name="$name" :id="$id" :value="$value" :aria-invalid="$error ? 'true' : null" :aria-describedby="$error ? $id.'-error' : ($hint ? $id.'-hint' : null)" />
    @else
    <input class="field" id="{{ $id }}" name="{{ $name }}" type="{{ $type }}" @if ($type !== 'password') value="{{ old($key, $value) }}" @endif
        @error($key) aria-invalid="true" aria-describedby="{{ $id }}-error" @else @if ($hint) aria-describedby="{{ $id }}-hint" @endif @enderror {{ $attributes->except('class') }}>
    @endif
    @error($key)<span class="error" id="{{ $id }}-error">{{ $message }}</span>@else @if ($hint)<span class="hint" id="{{ $id }}-hint">{{ $hint }}</span>@endif @enderror
</div>
