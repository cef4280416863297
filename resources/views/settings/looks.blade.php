@php use App\Wording\Dates; use App\Wording\Times; @endphp
<section class="settings-main" aria-labelledby="looks">
    <div class="section-head"><h2 id="looks">Looks</h2></div>
    <x-rule name="theme" label="Light or dark" says="changes at once, in all your windows" at="looks" :tries="false"><x-set-choice name="theme" :value="$user->theme" :choices="['auto' => 'as the system', 'light' => 'light', 'dark' => 'dark']" /></x-rule>
    <div class="section-head"><h2>Language of dates and times</h2></div>
    <x-rule name="dates" label="Dates" :says="'today is '.Dates::of($user)->long($more['sample'], year: true)" at="looks" :tries="false"><x-set-choice name="dates" :value="$user->dates" :choices="$more['languages']" /></x-rule>
    <x-rule name="month_first" label="A date typed as 3/4" :says="'is '.Dates::of($user)->ofLongMonth(Nekto\Core\Time\LocalDay::of(2026, $user->month_first ? 3 : 4, $user->month_first ? 4 : 3))" at="looks" :tries="false"><x-set-choice name="month_first" :value="(int) $user->month_first" :choices="['0' => 'day first', '1' => 'month first']" /></x-rule>
    <x-rule name="twelve_hours" label="Clock" :says="'now it is '.Times::clock($user, $now)" at="looks" :tries="false"><x-set-choice name="twelve_hours" :value="(int) $user->twelve_hours" :choices="['0' => '24 hours, 14:30', '1' => '12 hours, 2:30 pm']" /></x-rule>
    <x-rule name="week_starts" label="A week begins on" says="of tapes, sums and what is left of this week" at="looks" :tries="false"><x-set-choice name="week_starts" :value="$user->week_starts" :choices="[1 => Dates::of($user)->weekday(1), 7 => Dates::of($user)->weekday(7), 6 => Dates::of($user)->weekday(6)]" /></x-rule>
    <x-rule name="zone" label="Time zone" at="looks" says="where you are: local days and hours go by it"><x-set-field name="zone" :value="$user->zone" class="field rule-field rule-long" list="zones" /><datalist id="zones">@foreach ($more['zones'] as $zone)<option value="{{ $zone }}">@endforeach</datalist></x-rule>
</section>
