<?php

declare(strict_types=1);

namespace App\Screens\Settings;

use App\Models\User;
use App\Screens\Page;

/** One section of the settings. */
final readonly class SettingsPage extends Page
{
    /**
     * @param  array<string, string>  $says  what each rule does today, by its name
     * @param  array<string, mixed>  $more  what the section alone needs
     */
    public function __construct(public User $user, public SettingsSection $section, public array $says, public ?HoursFace $hours, public array $more) {}
}
