@php $say = fn (array $row): string => implode('', $row); @endphp
<section class="settings-main" aria-labelledby="areas-title">
    <div class="section-head"><h2 id="areas-title">Areas</h2><span class="soft">in your own order</span></div>
    @error('area')<p class="error" role="alert">{{ $message }}</p>@enderror @error('name')<p class="error" role="alert">{{ $message }}</p>@enderror
    @foreach ($more['areas'] as $area)
        <div class="area-row" id="area-{{ $area->id }}"><span class="swatch hue-{{ $area->hue }}"></span>
            <form method="post" action="/settings/areas/{{ $area->id }}" class="area-form" data-on-change>@csrf @method('patch')<input type="hidden" name="form" value="area-{{ $area->id }}"><input type="hidden" name="try" value="1">
                <input class="field" name="name" value="{{ old('form') === "area-{$area->id}" ? old('name', $area->name) : $area->name }}" aria-label="Name of the area" maxlength="100">
                <select class="field" name="hue" aria-label="Colour of {{ $area->name }}">@foreach (App\Models\Area::HUES as $hue)<option @selected($hue === (old('form') === "area-{$area->id}" ? old('hue', $area->hue) : $area->hue))>{{ $hue }}</option>@endforeach</select>
                <select class="field" name="hours_set_id" aria-label="Hours of {{ $area->name }}">@foreach ($more['sets'] as $set)<option value="{{ $set->id }}" @selected($set->id === (int) (old('form') === "area-{$area->id}" ? old('hours_set_id', $area->hours_set_id) : $area->hours_set_id))>{{ $set->name }}</option>@endforeach</select>
                <noscript><button class="button">Keep</button></noscript>
                <x-consequence :form="'area-'.$area->id" leave="/settings/areas" /></form>
            <span class="soft area-tasks">{{ $more['tasks'][$area->id] ?? 0 }} open</span>
            <form method="post" action="/settings/areas/{{ $area->id }}">@csrf @method('patch')<button class="button button-bare" name="private" value="{{ $area->private ? 0 : 1 }}" aria-pressed="{{ $area->private ? 'true' : 'false' }}" title="private things are left out of reports">{{ $area->private ? 'private' : 'in reports' }}</button></form>
            <form method="post" action="/settings/areas/{{ $area->id }}">@csrf @method('patch')<button class="button button-bare" name="move" value="up" aria-label="{{ $area->name }} up">↑</button></form>
            <form method="post" action="/settings/areas/{{ $area->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $area->name }} away">×</button></form></div>
    @endforeach
    <form method="post" action="/settings/areas" class="pair" data-clear>@csrf<input class="field line-field" name="name" placeholder="a new area" aria-label="A new area" maxlength="100"><button class="button">Add</button></form>
    <div class="section-head"><h2 id="contexts-title">Contexts</h2><span class="soft">what a task needs: a place, a person, a tool</span></div>
    @error('context')<p class="error" role="alert">{{ $message }}</p>@enderror
    @foreach ($more['contexts'] as $context)<div class="list-row"><span class="grow">{{ $context->name }}</span><form method="post" action="/settings/contexts/{{ $context->id }}">@csrf @method('patch')<button class="button button-bare" name="private" value="{{ $context->private ? 0 : 1 }}" aria-pressed="{{ $context->private ? 'true' : 'false' }}" title="private things are left out of reports">{{ $context->private ? 'private' : 'in reports' }}</button></form><form method="post" action="/settings/contexts/{{ $context->id }}">@csrf @method('patch')<button class="button button-bare" aria-label="{{ $context->name }} up">↑</button></form><form method="post" action="/settings/contexts/{{ $context->id }}">@csrf @method('delete')<button class="button button-bare" aria-label="Take {{ $context->name }} away">×</button></form></div>@endforeach
    <form method="post" action="/settings/contexts" class="pair" data-clear>@csrf<input class="field line-field" name="context" placeholder="phone" aria-label="A new context" maxlength="100"><button class="button">Add</button></form>
    <div class="section-head"><h2 id="groups">Groups</h2><span class="soft">areas and calendars that belong together; <kbd>0</kbd> narrows every screen to one</span></div>
    @foreach ($more['groups'] as $group)
        <form method="post" action="/calendar-groups/{{ $group->id }}" class="group-form" id="group-{{ $group->id }}">@csrf @method('patch')<input type="hidden" name="areas[]" value=""><input type="hidden" name="calendars[]" value="">
            <span class="pair"><input class="field" name="name" value="{{ $group->name }}" maxlength="80" aria-label="Name of the group"><button class="button">Keep</button></span>
            <span class="checks">@foreach ($more['areas'] as $area)<label class="check"><input type="checkbox" name="areas[]" value="{{ $area->id }}" @checked($area->group_id === $group->id)> {{ $area->name }}</label>@endforeach</span>
            @if ($more['calendars']->isNotEmpty())<span class="checks soft">@foreach ($more['calendars'] as $calendar)<label class="check"><input type="checkbox" name="calendars[]" value="{{ $calendar->id }}" @checked($calendar->group_id === $group->id)> {{ $calendar->name }}</label>@endforeach</span>@endif</form>
        <form method="post" action="/calendar-groups/{{ $group->id }}" class="group-away">@csrf @method('delete')<button class="button button-bare">Take {{ $group->name }} away</button></form>
    @endforeach
    <form method="post" action="/calendar-groups" class="pair" data-clear>@csrf<input class="field line-field" name="name" placeholder="a new group, as Work or Home" aria-label="A new group" maxlength="80"><button class="button">Make it</button></form>
</section>
