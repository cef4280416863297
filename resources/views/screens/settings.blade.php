@php use App\Screens\Settings\SettingsSection; @endphp
<x-layout :title="$section->name()" at="settings">
    <div class="title-row"><h1>Settings</h1><x-says /><span class="soft settings-hint">Kept as you go; each change says what it does to the plan, and U takes it back.</span></div>
    <div @class(['settings', 'settings-wide' => ! in_array($section, [SettingsSection::Hours, SettingsSection::Rules], true)])>
        <nav class="settings-nav" aria-label="Settings">
            @foreach (SettingsSection::cases() as $one)<a href="{{ $one->address() }}" @if ($one === $section) aria-current="page" @endif>{{ $one->name() }}</a>@endforeach
        </nav>
        @include("settings.{$section->value}")
    </div>
</x-layout>
