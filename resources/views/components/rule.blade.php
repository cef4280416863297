{{-- One rule: what it is called, its value, and what it does today. With "tries", what a change would do is shown first. --}}
@props(['name', 'label', 'at', 'says' => null, 'tries' => true, 'fields' => null, 'group' => false])
@php $fields ??= [$name]; $leave = $at === 'hours' ? '/settings' : "/settings/{$at}"; $bad = array_filter($fields, fn ($one) => $errors->has($one)); @endphp
<form class="rule" id="rule-{{ $name }}" method="post" action="/settings" data-on-change>
    @csrf @method('put')<input type="hidden" name="form" value="{{ $name }}"><input type="hidden" name="at" value="{{ $at }}">@if ($tries)<input type="hidden" name="try" value="1">@endif
    <div class="rule-line" @if ($group) role="group" aria-labelledby="rule-{{ $name }}-name" @endif>
        @if ($group)<span class="rule-name" id="rule-{{ $name }}-name">{{ $label }}</span>@else<label class="rule-name" for="set-{{ $fields[0] }}">{{ $label }}</label>@endif
        <span class="rule-fields">{{ $slot }}</span>
    </div>
    @if (($says ?? '') !== '')<p class="rule-says">{{ $says }}</p>@endif
    @foreach ($bad as $one)<p class="error" role="alert" id="set-{{ $one }}-error">{{ $errors->first($one) }}</p>@endforeach
    <noscript><button class="button">{{ $tries ? 'Try it' : 'Keep it' }}</button></noscript>
    <x-consequence :form="$name" :leave="$leave" />
</form>
