{{-- What a view finds, in groups. --}}
@props(['groups', 'candidates', 'contradicts', 'count', 'chances' => []])
@if ($contradicts)<div class="empty"><h2>These conditions exclude each other.</h2><p class="soft">No task can meet them. Join some of them by “or”, or take one away.</p></div>
@elseif ($count === 0)<div class="empty"><h2>Nothing like that.</h2><p class="soft">No task meets this at present.</p></div>@endif
@foreach ($groups as $name => $tasks)
    <div class="section-head"><h2>{{ $name === '' ? 'Tasks' : $name }}</h2><span class="soft">{{ count($tasks) }}, {{ App\Wording\Times::duration((int) $tasks->sum(static fn ($task) => $task->minutesLeft(App\Time\Clock::now()))) }}</span></div>
    <ul class="inbox" data-list>@foreach ($tasks as $task)<x-task-row :task="$task" :one="$candidates[$task->id] ?? null" :chance="$chances[$task->id] ?? null" />@endforeach</ul>
@endforeach
