@php use App\Wording\Times; @endphp
<x-layout :title="$title" at="views">
    <div class="title-row"><h1>{{ $title }}</h1><x-says /><span class="soft">{{ $count }} {{ $count === 1 ? 'task' : 'tasks' }}@if ($minutes), {{ Times::duration($minutes) }} left @endif</span><span class="end"><a class="button" href="/views/{{ $address }}?face={{ $sums === null ? 'sums' : 'list' }}" data-page-key="v">{{ $sums === null ? 'Sums by group' : 'As a list' }} <kbd>V</kbd></a>@if ($view)<a class="button" href="/views/build?view={{ $view->id }}">Change</a>@endif<a class="button" href="/views" data-leave>All views</a></span></div>
    <p class="view-sentence">{{ $sentence }}</p>
    @if ($sums !== null && $count > 0)<x-sums :sums="$sums" :group="$question->group" />@endif
    <x-answer :chances="$chances" :groups="$groups" :candidates="$candidates" :contradicts="$contradicts" :count="$count" />
    @if ($count > $shown)<p><a href="/views/{{ $address }}?all=1">{{ $count - $shown }} more</a></p>@endif
</x-layout>
