@php
    use App\Wording\Times;
    $address = static fn (int $days): string => '/week/'.$first->plusDays($days)->asString().($asList ? '?face=list' : '');
    $here = $isNow ? '/week' : '/week/'.$first->asString();
@endphp
<x-layout title="{{ $title }}" at="week">
    <div class="title-row week-title">
        <h1>{{ $title }}</h1><x-says />
        <span>planned <b @class(['strong', 'coral' => $planned > $line])>{{ Times::duration($planned) }}</b> of <b class="strong">{{ Times::duration($line) }}</b></span>
        <span>deep <b class="strong">{{ Times::duration($deep) }}</b></span>
        @if ($worked > 0)<span>worked <b class="strong">{{ Times::duration($worked) }}</b></span>@endif
        <span class="end no-print">
            <a class="button" href="{{ $here }}{{ $asList ? '' : '?face=list' }}" data-page-key="v">{{ $asList ? 'Tapes' : 'As a list' }} <kbd>V</kbd></a>
            @unless (end($days)->isPast)<a class="button" href="/week/plan/{{ $first->asString() }}" data-page-key="j">Plan the week <kbd>J</kbd></a>@endunless
            @unless ($asList || end($days)->isPast)<a @class(['button', 'button-over-line' => $isOver]) href="{{ $here }}?balance=1" data-page-key="y">Balance <kbd>Y</kbd></a>@endunless
            @unless ($isNow)<a class="button button-bare" href="/week{{ $asList ? '?face=list' : '' }}">This week</a>@endunless
            <a class="button" href="{{ $address(-7) }}" data-page-key="[">Earlier <kbd>[</kbd></a>
            <a class="button" href="{{ $address(7) }}" data-page-key="]">Later <kbd>]</kbd></a>
        </span>
    </div>
    @if ($balance)<x-balance :balance="$balance" :days="$days" :here="$here" />@endif
    @if ($asList)
        <x-week-list :days="$days" />
    @else
        <div class="week-whole" x-data="weekTapes">
            <div class="week" data-from="{{ $axis->from }}" data-length="{{ $axis->length() }}">
                <div class="week-axis" aria-hidden="true"><div>@foreach ($hours as [$left, $label])<span style="--l:{{ $left }}">{{ $label }}</span>@endforeach</div></div>
                @foreach ($days as $day)<x-week-day :day="$day" :axis="$axis" :top="$top" :balance="$balance" />@endforeach
            </div>
            @if ($planned === 0 && ! end($days)->isPast && ($noPlace->tasks ?? []) === [])<p class="soft week-empty">{{ __('week.empty') }} <a href="/weigh">Weigh</a> · <a href="/week/plan/{{ $first->asString() }}">Plan the week</a> · <a href="/shape">Shape</a></p>@endif
            <p class="soft week-says" data-chosen data-own aria-live="polite"></p>
            @if ($noPlace && $noPlace->tasks !== [])<x-no-place :no-place="$noPlace" />@endif
        </div>
        <x-screen-keys on="week" />
    @endif
</x-layout>
