@php use App\Wording\Times; @endphp
<x-layout title="Projects" at="projects">
    <div class="title-row"><h1>Projects</h1><x-says /><span class="soft">Several tasks with one outcome.</span></div>
    <div class="section-head"><h2>Going on</h2><span class="soft">{{ count($projects) }}</span></div>
    @if ($projects === [])<div class="empty"><h2>No projects yet.</h2><p class="soft">Make one below, or write <span class="key">+name</span> in any line.</p></div>@endif
    <ul class="inbox" data-list>
        @foreach ($projects as $row)
            <li id="project-{{ $row['project']->id }}"><span class="pick"></span><span class="when soft">{{ $row['open'] }} open</span><span class="source">{{ $row['project']->area->name }}</span><span class="swatch hue-{{ $row['project']->area->hue }}"></span>
                <span class="what"><a href="/projects/{{ $row['project']->id }}" data-row>{{ $row['project']->name }}</a></span>
                <span class="facts">@if ($row['minutes'])<span>left <b class="strong">{{ Times::duration($row['minutes']) }}</b></span>@endif @if ($row['end'])<span>by plan <b class="strong">{{ Times::day($person, $row['end'], $now) }}</b></span>@endif<span>{{ $row['done'] }} done</span>@if ($row['project']->sequential)<span>one after another</span>@endif</span></li>
        @endforeach
    </ul>
    <br>
    <div class="section-head"><h2>A new one</h2></div>
    <form method="post" action="/projects"><div class="form-grid">@csrf
        <x-field name="name" label="Name" maxlength="200" required />
        <div class="form-row"><label for="area_id">Area</label><select class="field" id="area_id" name="area_id">@foreach ($areas as $area)<option value="{{ $area->id }}">{{ $area->name }}</option>@endforeach</select></div>
        <div class="form-row"><span class="label">Its tasks</span><label class="check"><input type="hidden" name="sequential" value="0"><input type="checkbox" name="sequential" value="1"> come one after another</label></div>
    </div><button class="button button-main">Make it</button></form>
</x-layout>
