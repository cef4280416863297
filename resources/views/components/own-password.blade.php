{{-- The person's own password, asked for once more; what was wrong with it is said in the form it was typed into. --}}
@props(['form', 'label' => null])
@php $isWrong = old('form') === $form && $errors->has('own_password'); @endphp
<div @class(['form-row', 'bare' => $label !== null])>
    @if ($label === null)<label for="own-{{ $form }}">Your password</label>@endif
    <input type="hidden" name="form" value="{{ $form }}">
    <input class="field" id="own-{{ $form }}" name="own_password" type="password" autocomplete="current-password" required @if ($label !== null) placeholder="Your password" aria-label="{{ $label }}" @endif @if ($isWrong) aria-invalid="true" aria-describedby="own-{{ $form }}-error" @endif>
    @if ($isWrong)<span class="error" id="own-{{ $form }}-error">{{ $errors->first('own_password') }}</span>@endif
</div>
