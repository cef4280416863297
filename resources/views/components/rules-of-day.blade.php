@props(['user', 'says', 'at', 'all' => false])
@php use App\Wording\Times; $clock = fn (?int $minutes): string => $minutes === null ? '' : Times::ofDay($user, $minutes); @endphp
<section aria-labelledby="rules-of-day">
    <div class="section-head"><h2 id="rules-of-day">Rules of the day</h2><span class="soft">with today as the example</span></div>
    <x-rule name="margin_percent" label="Margin kept free" :says="$says['margin']" :at="$at"><x-set-field name="margin_percent" :value="$user->margin_percent" inputmode="numeric" maxlength="2" unit="%" /></x-rule>
    <x-rule name="deep_limit" label="Deep work at most" :says="$says['deep']" :at="$at"><x-set-field name="deep_limit" :value="$user->deep_limit" inputmode="numeric" maxlength="4" unit="min" /></x-rule>
    <x-rule name="lunch" group label="Lunch" :fields="['lunch_from', 'lunch_to']" :says="$says['lunch']" :at="$at"><x-set-field name="lunch_from" :value="$clock($user->lunch_from)" label="Lunch from" placeholder="none" maxlength="8" /><span>to</span><x-set-field name="lunch_to" :value="$clock($user->lunch_to)" label="Lunch to" placeholder="none" maxlength="8" /></x-rule>
    <x-rule name="keys_most" label="Key tasks at most" :says="$says['keys']" :at="$at"><x-set-field name="keys_most" :value="$user->keys_most" inputmode="numeric" maxlength="1" /></x-rule>
    <x-rule name="least_piece" label="A block is at least" :says="$says['least']" :at="$at"><x-set-field name="least_piece" :value="$user->least_piece" inputmode="numeric" maxlength="2" unit="min" /></x-rule>
    <x-rule name="rhythm" group label="Work, then break" :fields="['rhythm_work', 'rhythm_break']" :says="$says['rhythm']" :at="$at" :tries="false"><x-set-field name="rhythm_work" :value="$user->rhythm_work ?? ''" label="Minutes of work before a break" placeholder="none" inputmode="numeric" maxlength="3" /><span>then</span><x-set-field name="rhythm_break" :value="$user->rhythm_break" label="Minutes of a break" inputmode="numeric" maxlength="3" unit="min" /></x-rule>
    @if ($all)
        <x-rule name="day_begins" label="A day that is laid out begins" :says="$says['begins']" :at="$at"><x-set-choice name="day_begins" :value="$user->day_begins->value" :choices="__('settings.begins')" /></x-rule>
        <x-rule name="parts" group label="Parts of the day" :fields="['morning_until', 'afternoon_until']" :says="$says['parts']" :at="$at"><span>morning to</span><x-set-field name="morning_until" :value="$clock($user->morning_until)" label="The morning ends at" maxlength="8" /><span>afternoon to</span><x-set-field name="afternoon_until" :value="$clock($user->afternoon_until)" label="The afternoon ends at" maxlength="8" /></x-rule>
        <x-rule name="sleep" group label="Sleep" :fields="['sleep_from', 'sleep_to']" :says="$says['sleep']" :at="$at"><x-set-field name="sleep_from" :value="$clock($user->sleep_from)" label="Sleep from" placeholder="not said" maxlength="8" /><span>to</span><x-set-field name="sleep_to" :value="$clock($user->sleep_to)" label="Sleep to" placeholder="not said" maxlength="8" /></x-rule>
    @else
        <x-rule name="buffers" group label="Before and after a meeting" :fields="['buffer_before', 'buffer_after']" :says="$says['buffers']" :at="$at"><x-set-field name="buffer_before" :value="$user->buffer_before" label="Minutes free before a meeting" inputmode="numeric" maxlength="3" /><span>and</span><x-set-field name="buffer_after" :value="$user->buffer_after" label="Minutes free after a meeting" inputmode="numeric" maxlength="3" unit="min" /></x-rule>
    @endif
</section>
