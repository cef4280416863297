{{-- A short value among words; what was proposed or refused stays in it. --}}
@props(['name', 'value', 'label' => null, 'unit' => null])
<input class="field rule-field" id="set-{{ $name }}" name="{{ $name }}" value="{{ old($name, $value) }}" autocomplete="off" @if ($label) aria-label="{{ $label }}" @endif @error($name) aria-invalid="true" aria-describedby="set-{{ $name }}-error" @enderror {{ $attributes }}>@if ($unit)<span class="rule-unit">{{ $unit }}</span>@endif
