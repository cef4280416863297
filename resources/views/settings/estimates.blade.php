<section class="settings-main" aria-labelledby="of-estimates">
    <div class="section-head"><h2 id="of-estimates">Estimates</h2></div>
    <x-rule name="estimates" label="The plan lays out" :says="trim($says['pairs'].' '.$says['other'])" at="estimates"><x-set-choice name="estimates" :value="$user->estimates->value" :choices="__('settings.estimates')" /></x-rule>
    <x-rule name="least_piece" label="A block is at least" says="what takes an hour at most stays whole; small tasks go into a batch that you reserve" at="estimates"><x-set-field name="least_piece" :value="$user->least_piece" inputmode="numeric" maxlength="2" unit="min" /></x-rule>
</section>
