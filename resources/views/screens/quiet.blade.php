@php
    use App\Wording\Times;
    $until = $block && $block->ends_at > $now && $block->starts_at <= $now ? $block->ends_at : null;
    $isOn = $running && $task && $running->task_id === $task->id;
@endphp
<x-layout title="{{ $task?->title ?? 'Quiet' }}" :quiet="true" said>
    <section class="quiet" aria-labelledby="quiet-title">
        @if ($task)
            <p class="soft">{{ $task->area->name }}</p>
            <h1 id="quiet-title">{{ $task->title }}</h1>
            <p class="big">{{ $until ? Times::duration((int) $now->diffInMinutes($until)) : '–' }}</p>
            <p class="soft">@if ($until)until {{ Times::clock($person, $until) }}, @endif {{ Times::duration($spent) }} done today</p>
            @if ($task->subtasks->isNotEmpty())<ol class="subtasks">@foreach ($task->subtasks as $one)<li id="subtask-{{ $one->id }}"><form method="post" action="/subtasks/{{ $one->id }}">@csrf @method('patch')<input type="hidden" name="done" value="{{ $one->done_at ? 0 : 1 }}"><button class="tick" aria-pressed="{{ $one->done_at ? 'true' : 'false' }}" aria-label="{{ $one->title }} done"></button></form><span @class(['grow', 'struck' => $one->done_at])>{{ $one->title }}</span></li>@endforeach</ol>@endif
            <div class="quiet-buttons">
                <x-done-form :task="$task" :block="$block" />
                <x-clock-form :task="$task" :block="$block" :is-on="$isOn" :spent="$spent" />
                <a class="button button-bare" href="/work" data-leave>Back to Work <kbd>Esc</kbd></a>
            </div>
        @else
            <h1 id="quiet-title">Nothing is on.</h1>
            <p><a class="button" href="/work" data-leave>Back to Work <kbd>Esc</kbd></a></p>
        @endif
    </section>
</x-layout>
