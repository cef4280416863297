<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SettingsRequest;
use App\Http\RuleChange;
use App\Models\User;
use App\Screens\Settings\SettingsScreen;
use App\Screens\Settings\SettingsSection;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The person's own rules, a section at a time. */
final readonly class SettingsController
{
    public function edit(Request $request, SettingsScreen $screen, SettingsSection $part = SettingsSection::Hours): View
    {
        $proposed = $request->session()->getOldInput('week');
        $mine = $request->session()->getOldInput('form') === 'hours-'.$request->query('set', '');

        return view('screens.settings', $screen->page($part, [
            'face' => (string) $request->query('set', ''),
            'texts' => $mine && is_array($proposed) ? array_map(static fn (mixed $line): string => is_string($line) ? $line : '', $proposed) : null,
            'wholeDay' => $request->query('scale') === 'day',
            'allDates' => $request->boolean('all'),
        ]));
    }

    public function update(SettingsRequest $request, #[CurrentUser] User $user, RuleChange $change): RedirectResponse
    {
        $at = SettingsSection::tryFrom((string) $request->input('at')) ?? SettingsSection::Hours;

        return $change($request, static fn () => $user->update($request->columns()), __('settings.saved'), $at->address().'#rule-'.preg_replace('/[^a-z_]/', '', (string) $request->input('form')));
    }
}
