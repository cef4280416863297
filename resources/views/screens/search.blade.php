<x-layout title="Search" at="search">
    <div class="title-row"><h1>{{ $words === '' ? 'Search' : 'Found for “'.$words.'”' }}</h1><x-says /><span class="soft">tasks, projects, mail and meetings; a slip of the finger does no harm</span></div>
    <form method="get" action="/search" class="pair search-form" data-whole role="search"><input class="field" name="q" value="{{ $words }}" aria-label="Words to search for" maxlength="200" autofocus><button class="button button-main">Search</button></form>
    <div class="section-head"><h2>Found</h2><span class="soft">{{ count($found) }}</span></div>
    @if ($words !== '' && $found === [])<div class="empty"><h2>Nothing found.</h2><p class="soft">Try fewer or other words.</p></div>@endif
    <ul class="inbox" data-list>@foreach ($found as $one)
        <li id="found-{{ $one['kind'] }}-{{ $one['id'] }}"><span class="pick"></span><span class="when soft">{{ ['tasks' => 'task', 'projects' => 'project', 'messages' => 'mail', 'meetings' => 'meeting'][$one['kind']] }}</span><span class="source"></span><span class="swatch"></span>
            <span class="what"><a href="{{ ['tasks' => '/tasks/', 'projects' => '/projects/', 'messages' => '/messages/', 'meetings' => '/meetings/'][$one['kind']] }}{{ $one['id'] }}" data-row>{{ $one['title'] }}</a> <span class="soft">{{ $one['body'] }}</span></span><span class="facts"></span></li>
    @endforeach</ul>
</x-layout>
