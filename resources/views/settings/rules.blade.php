<div class="settings-main"><x-rules-of-day :user="$user" :says="$says" at="rules" all /></div>
<div class="settings-side">@include('settings.routines')</div>
