<section class="settings-main" aria-labelledby="mail">
    <div class="section-head"><h2 id="mail">Mail in</h2></div>
    <div class="rule"><div class="rule-line"><span class="rule-name">Mailbox</span><a class="button" href="/gather/mailbox">To the mailbox</a></div><p class="rule-says">{{ $says['waiting'] }}; each becomes a task, waits or is filed</p></div>
    <div class="rule"><div class="rule-line"><span class="rule-name">Keys to catch from elsewhere</span><a class="button" href="/gather/tokens">Keys and addresses</a></div><p class="rule-says">{{ $says['tokens'] }}: a script, a phone or a browser can hand lines in</p></div>
    <div class="rule"><div class="rule-line"><span class="rule-name">Outbox</span><a class="button" href="/outbox">What was sent</a></div></div>
</section>
