<x-layout :title="$title" at="views">
    <div class="title-row"><h1>{{ $title }}</h1><x-says /><span class="end">@if ($view)<a class="button" href="/views/build?view={{ $view->id }}">Change</a>@endif<a class="button" href="/views" data-leave>All views</a></span></div>
    <p class="sentence">{{ $sentence }}</p>
    <x-answer :chances="$chances" :groups="$groups" :candidates="$candidates" :contradicts="$contradicts" :count="$count" />
    @if ($count > $shown)<p><a href="/views/{{ $address }}?all=1">{{ $count - $shown }} more</a></p>@endif
</x-layout>
