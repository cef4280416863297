{{-- A task that ran past its estimate: how much of it is left, with a guess from what such work took. --}}
@props(['task', 'remaining', 'now', 'heading' => true])
@php
    use App\Wording\Times;
    $left = $task->left($now);
    $guesses = array_unique([$remaining->minutes, 10, 15, 30]);
    sort($guesses);
@endphp
<section class="how-much" aria-labelledby="how-much-{{ $task->id }}">
    <div class="section-head section-over"><h2 class="asks-back" id="how-much-{{ $task->id }}">Past its estimate: how much is left?</h2><span class="soft">{{ Times::duration($left->worked) }} worked of {{ Times::duration($left->said) }}</span></div>
    <p class="how-much-title">{{ $task->title }}</p>
    <div class="how-much-choices">
        <form method="post" action="/tasks/sort" data-sound>@csrf<input type="hidden" name="ids[]" value="{{ $task->id }}"><button class="choice" name="to" value="done"><b>none</b><span>it is done</span></button></form>
        <form method="post" action="/tasks/{{ $task->id }}">@csrf @method('patch')
            @foreach ($guesses as $minutes)<button @class(['choice', 'choice-guess' => $minutes === $remaining->minutes]) name="left" value="{{ $minutes }} min"><b>{{ Times::column($minutes) }}</b>@if ($minutes === $remaining->minutes)<span>the guess</span>@endif</button>@endforeach
        </form>
        <form method="post" action="/tasks/{{ $task->id }}" class="pair">@csrf @method('patch')<input class="field" name="left" maxlength="40" placeholder="another figure" aria-label="Another figure, such as 45 min" required><button class="button">Keep</button></form>
    </div>
    <p class="soft">{{ $remaining->tasks >= 5 ? trans_choice('work.guess', $remaining->tasks, ['left' => Times::duration($remaining->minutes)]) : trans_choice('work.guess_few', $remaining->tasks, ['left' => Times::duration($remaining->minutes)]) }} Until you say, five minutes of it stay laid out.</p>
</section>
