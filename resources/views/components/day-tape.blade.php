{{-- Days one after another; what it is about stands out, all else is pale. On a phone a row a day. --}}
@props(['days', 'label'])
<div @class(['day-tape', 'day-tape-many' => count($days) > 5]) role="group" aria-label="{{ $label }}">
    @foreach ($days as $day)
        <figure @class(['tape-day', 'tape-today' => $day->isToday, 'tape-after-gap' => $day->skipped > 0]) style="--minutes:{{ $day->minutes }}">
            <figcaption>@if ($day->skipped > 0)<span class="soft">{{ trans_choice('{1} a day|[2,*] :count days', $day->skipped) }} on</span> @endif{{ $day->label }}</figcaption>
            <div class="tape" aria-hidden="true">
                <i class="line"></i>
                @foreach ($day->ribbon->open as [$left, $width])<i class="open" style="--l:{{ $left }};--w:{{ $width }}"></i>@endforeach
                @foreach ($day->ribbon->ticks as [$left, $hour])@if ($hour)<i class="rule-half rule-hour" style="--l:{{ $left }}"></i>@endif @endforeach
                @foreach ($day->ribbon->pieces as $piece)
                    <span @class(['piece', 'piece-own' => $piece->kind === 'block' && in_array($piece->id, $day->own, true), 'piece-late' => in_array($piece->id, $day->late, true) && $piece->kind === 'block', 'piece-meeting' => $piece->kind === 'meeting', 'piece-deep' => $piece->deep, 'piece-light' => $piece->kind === 'block' && ! $piece->deep, "piece-{$piece->state}" => $piece->state !== '', "hue-{$piece->hue}" => $piece->hue, "hatch-{$piece->hatching}" => $piece->hatching]) style="--l:{{ $piece->left }};--w:{{ $piece->width }}"></span>
                @endforeach
                @if ($day->slack)<i class="tape-slack" style="--l:{{ $day->slack[0] }};--w:{{ $day->slack[1] - $day->slack[0] }}"></i>@endif
                @if ($day->latest)<span @class(['tape-latest', 'tape-mark-left' => $day->latest[0] > 600]) style="--l:{{ $day->latest[0] }}"><i>latest start</i> <b>{{ $day->latest[1] }}</b></span>@endif
                @foreach ($day->dues as [$left, $words])<span @class(['tape-due', 'tape-mark-left' => $left > 500]) style="--l:{{ $left }}"><i>{{ $words }}</i></span>@endforeach
                @if ($day->isToday && $day->ribbon->nowAt !== null)<span @class(['now', 'now-left' => $day->ribbon->nowLeft]) style="--l:{{ $day->ribbon->nowAt }}"><b>{{ $day->ribbon->nowLabel }}</b></span>@endif
            </div>
            <p class="tape-hours" aria-hidden="true"><span>{{ $day->ribbon->from }}</span><span>{{ $day->ribbon->to }}</span></p>
            <p class="sr-only">@foreach ($day->ribbon->pieces as $piece)@if ($piece->kind === 'block' && in_array($piece->id, $day->own, true)){{ $piece->name }}. @endif @endforeach @foreach ($day->dues as [, $words]){{ $words }}. @endforeach</p>
        </figure>
    @endforeach
</div>
