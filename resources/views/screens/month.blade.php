@php use App\Wording\Times; $week = static fn (int $weeks): string => '/month/'.$first->plusDays(7 * $weeks)->asString(); @endphp
<x-layout title="Month" at="horizon">
    <div class="title-row">
        <h1>Five weeks ahead</h1><x-says />
        <span class="soft month-says">{{ __('horizon.month') }}</span>
        <span class="end no-print">
            <a class="button" href="/horizon" data-page-key="v">Curves <kbd>V</kbd></a>
            @unless ($isNow)<a class="button button-bare" href="/month">From now</a>@endunless
            <a class="button" href="{{ $week(-1) }}" data-page-key="[">Earlier <kbd>[</kbd></a><a class="button" href="{{ $week(1) }}" data-page-key="]">Later <kbd>]</kbd></a>
        </span>
    </div>
    <div class="month" style="--columns:{{ implode(' ', array_map(static fn (bool $isWide): string => $isWide ? 'minmax(0,1fr)' : '62px', $wide)) }}">
        @foreach ($weeks as $row)
            <section class="month-week" aria-label="{{ $row->title }}">
                <h2 class="month-name"><a href="/week/{{ $row->first->asString() }}">{{ $row->title }}</a>
                    <small><b @class(['strong', 'coral' => $row->over > 0])>{{ Times::duration($row->planned) }}</b> of {{ Times::duration($row->line) }}</small>
                    <small @class(['coral' => $row->over > 0])>{{ $row->over > 0 ? 'over '.Times::duration($row->over) : 'free '.Times::duration($row->free) }}</small>
                    @if ($row->deep > 0)<small>deep {{ Times::duration($row->deep) }}</small>@endif</h2>
                @foreach ($row->days as $i => $day)<x-month-day :day="$day" :wide="$wide[$i]" :until="$until" />@endforeach
            </section>
        @endforeach
    </div>
    <p class="month-key"><span><i class="key-deep"></i> deep</span><span><i class="key-light"></i> light</span><span><i class="key-pier"></i> meetings</span><span><i class="key-margin"></i> margin</span><span><i class="key-over"></i> over the line</span><span><i class="key-done"></i> worked</span><span><i class="key-due"></i> due</span></p>
</x-layout>
