<section class="settings-main" aria-labelledby="keys-title">
    <div class="section-head"><h2 id="keys-title">Keys</h2><span class="soft"><button class="button button-bare" type="button" data-show="keys">all keys <kbd>?</kbd></button></span></div>
    <x-rule name="single_keys" group label="Single keys work without Ctrl or Alt" at="keys" :says="$user->single_keys ? 'off, only arrows, Enter, Esc and Delete work' : 'only arrows, Enter, Esc and Delete work now'" :tries="false"><label class="check"><input type="hidden" name="single_keys" value="0"><input type="checkbox" name="single_keys" value="1" @checked($user->single_keys) aria-label="Single keys"></label></x-rule>
    <dl class="key-list">@foreach ($more['keys'] as $one)<div><dt>@isset ($one['after'])<kbd>{{ $one['after'] }}</kbd> @endisset<kbd>{{ $one['show'] }}</kbd></dt><dd>{{ $one['means'] }}</dd></div>@endforeach</dl>
</section>
