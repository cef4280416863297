{{-- A step by one line: goal and week are preset. --}}
@props(['goal', 'week', 'main' => false, 'id' => null])
<form method="post" action="/goals/{{ $goal->id }}/steps" class="step-new" data-clear x-data="entry" x-ref="form">@csrf<input type="hidden" name="week" value="{{ $week }}"><input type="hidden" name="refused" x-ref="refused"><input type="hidden" name="preset" value="project area">
    <span class="step-plus" aria-hidden="true">+</span><input name="lines" id="{{ $id ?? "step-{$goal->id}" }}" x-ref="text" x-on:input="typed" aria-label="A step of {{ $goal->name }}" placeholder="a step, one line" autocomplete="off" maxlength="2000" @if ($main) data-page-key="+" @endif>
    <div class="glosses catch-panel" data-own x-ref="glosses" aria-live="polite"></div></form>
