{{-- One of some words. --}}
@props(['name', 'value', 'choices', 'label' => null])
<select class="field rule-choice" id="set-{{ $name }}" name="{{ $name }}" @if ($label) aria-label="{{ $label }}" @endif @error($name) aria-invalid="true" @enderror>@foreach ($choices as $one => $words)<option value="{{ $one }}" @selected((string) old($name, $value) === (string) $one)>{{ $words }}</option>@endforeach</select>
