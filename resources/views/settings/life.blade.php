<div class="settings-main"><x-rules-of-life :user="$user" :says="$says" at="life" all /></div>
