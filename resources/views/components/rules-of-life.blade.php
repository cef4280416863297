@props(['user', 'says', 'at', 'all' => false])
<section aria-labelledby="rules-of-life">
    <div class="section-head"><h2 id="rules-of-life">When life interferes</h2></div>
    <x-rule name="tempo" label="Replan" :says="$says['tempo']" :at="$at"><x-set-choice name="tempo" :value="$user->tempo" :choices="$all ? __('settings.tempo') : __('settings.tempos')" /></x-rule>
    <x-rule name="carry_picks" label="Picks that were not done" :says="$says['carry']" :at="$at"><x-set-choice name="carry_picks" :value="(int) $user->carry_picks" :choices="['1' => 'go over to the next day', '0' => 'are offered again']" /></x-rule>
    @if ($all)
        <x-rule name="ask_after" label="Ask about an answer after" :says="$says['ask']" :at="$at" :tries="false"><x-set-field name="ask_after" :value="$user->ask_after" inputmode="numeric" maxlength="2" unit="days" /></x-rule>
        <x-rule name="someday_after" label="To someday by itself after" :says="$says['someday']" :at="$at" :tries="false"><x-set-field name="someday_after" :value="$user->someday_after ?? ''" placeholder="never" inputmode="numeric" maxlength="3" unit="days untouched" /></x-rule>
        <x-rule name="mend_asks" label="When the plan needs mending" :says="$says['asks']" :at="$at" :tries="false"><x-set-choice name="mend_asks" :value="(int) $user->mend_asks" :choices="['0' => 'mend it', '1' => 'show me first what would move']" /></x-rule>
        <x-rule name="offer_anew" label="Offer a better plan from" :says="$says['anew']" :at="$at" :tries="false"><x-set-field name="offer_anew" :value="$user->offer_anew" inputmode="numeric" maxlength="4" unit="min" /></x-rule>
    @else
        <x-rule name="estimates" label="Estimates" :at="$at" says="which value the plan lays out"><x-set-choice name="estimates" :value="$user->estimates->value" :choices="__('settings.uses')" /></x-rule>
    @endif
</section>
