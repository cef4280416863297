<section class="settings-main" aria-labelledby="take">
    <div class="section-head"><h2 id="take">Take it all with you</h2></div>
    <div class="rule"><div class="rule-line"><span class="rule-name">Tasks</span><a class="button" href="/gather/files">Files out and in</a></div><p class="rule-says">{{ $says['tasks'] }}; in open formats, and back</p></div>
</section>
