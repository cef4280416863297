@php use App\Find\Question; @endphp
<x-layout title="A view" at="views">
    <div class="title-row"><h1>{{ $own->name ?? 'A new view' }}</h1><x-says /><span class="end"><a class="button" href="/views" data-leave>All views</a></span></div>
    <p class="view-sentence" id="sentence">{{ $sentence }}</p>
    <form method="get" action="/views/build" id="build" data-on-change>
        @if ($own)<input type="hidden" name="view" value="{{ $own->id }}">@endif
        <div class="build-sentence">Tasks that
            @for ($i = 0; $i < $rows; $i++)
                @php $one = $conditions[$i] ?? null; @endphp
                <span class="word">@if ($i > 0)<select name="conditions[{{ $i }}][join]" aria-label="Joined by"><option value="and">and</option><option value="or" @selected(($one['join'] ?? '') === 'or')>or</option></select> @endif<select name="conditions[{{ $i }}][not]" aria-label="Not"><option value="0">are</option><option value="1" @selected($one['not'] ?? false)>are not</option></select> <select name="conditions[{{ $i }}][what]" aria-label="Condition {{ $i + 1 }}"><option value="">{{ $one === null ? 'a further word' : '–' }}</option>@foreach ($choices as $heading => $some)@if ($some !== [])<optgroup label="{{ $heading }}">@foreach ($some as $what => $words)<option value="{{ $what }}" @selected(($one['what'] ?? '') === $what)>{{ $words }}</option>@endforeach</optgroup>@endif @endforeach</select></span>{{ $i < $rows - 1 ? ' ' : '' }}
            @endfor;
            <span class="word"><select id="group" name="group" aria-label="Grouped">@foreach (__('find.groups') as $value => $words)<option value="{{ $value }}" @selected($group === $value)>{{ $words }}</option>@endforeach</select></span>; <span class="word"><select id="face" name="face" aria-label="Opens as">@foreach (__('find.faces') as $value => $words)<option value="{{ $value }}" @selected($question->face === $value)>{{ $words }}</option>@endforeach</select></span>; in the order of
            @for ($i = 0; $i < 3; $i++)<span class="word">{{ $i > 0 ? ', then ' : '' }}<select id="order-{{ $i }}" name="order[]" aria-label="{{ ['In order of', 'then', 'then'][$i] }}"><option value="">–</option>@foreach (__('find.orders') as $value => $words)<option value="{{ $value }}" @selected(($order[$i] ?? '') === $value)>{{ $words }}</option>@endforeach</select></span>@endfor.
        </div>
        <div class="actions"><button class="button button-main">Ask it</button></div>
    </form>
    <form method="post" action="/views" class="pair">@csrf
        @if ($own)<input type="hidden" name="view" value="{{ $own->id }}">@endif
        @foreach ($conditions as $i => $one)<input type="hidden" name="conditions[{{ $i }}][join]" value="{{ $one['join'] }}"><input type="hidden" name="conditions[{{ $i }}][not]" value="{{ $one['not'] ? 1 : 0 }}"><input type="hidden" name="conditions[{{ $i }}][what]" value="{{ $one['what'] }}">@endforeach
        <input type="hidden" name="group" value="{{ $group }}"><input type="hidden" name="face" value="{{ $question->face }}">@foreach ($order as $key)<input type="hidden" name="order[]" value="{{ $key }}">@endforeach
        <input class="field" name="name" value="{{ old('name', $own?->name) }}" placeholder="Name of the view" aria-label="Name of the view" maxlength="100"><label class="check"><input type="checkbox" name="pinned" value="1" @checked($own?->pinned)> pin to the head</label><button class="button">Keep it</button></form>
    @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
    @if ($sums !== null && $count > 0)<x-sums :sums="$sums" :group="$group" />@endif
    <x-answer :chances="$chances" :groups="$groups" :candidates="$candidates" :contradicts="$contradicts" :count="$count" />
</x-layout>
