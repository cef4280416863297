<section class="settings-main" aria-labelledby="of-account">
    <div class="section-head"><h2 id="of-account">Account</h2><span class="soft">{{ $user->email }}</span></div>
    <div class="rule"><div class="rule-line"><span class="rule-name">Address, password, second factor</span><a class="button" href="/account">Your account</a></div><p class="rule-says">where you are signed in, what happened to the account, leaving</p></div>
</section>
