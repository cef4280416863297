<?php

declare(strict_types=1);

namespace App\Screens\Settings;

/** The twelve sections of the settings, in their order. */
enum SettingsSection: string
{
    case Hours = 'hours';
    case Rules = 'rules';
    case Meetings = 'meetings';
    case Life = 'life';
    case Rhythm = 'rhythm';
    case Estimates = 'estimates';
    case Areas = 'areas';
    case Looks = 'looks';
    case Keys = 'keys';
    case Mail = 'mail';
    case Take = 'take';
    case Account = 'account';

    public function name(): string
    {
        return __("settings.sections.{$this->value}");
    }

    public function address(): string
    {
        return $this === self::Hours ? '/settings' : "/settings/{$this->value}"; // one address for one page: what is typed on it is kept by it
    }
}
