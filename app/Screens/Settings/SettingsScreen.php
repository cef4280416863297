<?php

declare(strict_types=1);

namespace App\Screens\Settings;

use App\Rows\Desk;
use App\Rows\WorkTimeLoader;
use App\Screens\Keys;
use App\Time\Weeks;
use App\Wording\Dates;

/** The settings, a section at a time, each rule with what it does today. */
final readonly class SettingsScreen
{
    public function __construct(private Desk $desk, private RulesToday $today, private WorkTimeLoader $times) {}

    /**
     * @param  array{face: string, texts: array<string, string>|null, wholeDay: bool, allDates: bool}  $ask  of the hours
     */
    public function page(SettingsSection $section, array $ask): SettingsPage
    {
        $user = $this->desk->user();
        $hours = $section === SettingsSection::Hours ? HoursFace::of($this->desk, $ask['face'], $ask['texts'], $ask['wholeDay'], $ask['allDates']) : null;
        $says = match ($section) {
            SettingsSection::Hours => $this->today->rules() + $this->today->life() + $this->today->meetings() + $this->today->rhythm(),
            SettingsSection::Rules => $this->today->rules() + $this->today->rhythm(),
            SettingsSection::Meetings => $this->today->meetings(),
            SettingsSection::Life => $this->today->life(),
            SettingsSection::Rhythm => $this->today->rhythm(),
            SettingsSection::Estimates => $this->today->estimates(),
            SettingsSection::Mail => $this->today->mail(),
            SettingsSection::Take => $this->today->take(),
            default => [],
        };

        return new SettingsPage($user, $section, $says, $hours, match ($section) {
            SettingsSection::Hours => ['week' => $hours?->set === null ? null : WeekSum::of($this->times->load($user, Weeks::first($user, $this->desk->today()), 7), $hours->set->id)],
            SettingsSection::Rules => ['week' => null, 'routines' => $user->routines()->get()],
            SettingsSection::Areas => [
                'areas' => $user->areas()->get(), 'sets' => $user->hoursSets()->get(), 'contexts' => $user->contexts()->get(), 'groups' => $user->calendarGroups()->get(), 'calendars' => $user->calendars()->kept()->get(['id', 'user_id', 'name', 'group_id']),
                'tasks' => $user->tasks()->open()->groupBy('area_id')->selectRaw('area_id, count(*) as many')->pluck('many', 'area_id')->all(),
            ],
            SettingsSection::Looks => ['zones' => \DateTimeZone::listIdentifiers(), 'languages' => array_map(static fn (array $one): string => $one[0], Dates::LANGUAGES), 'sample' => $this->desk->today()],
            SettingsSection::Keys => ['keys' => Keys::all()],
            default => [],
        });
    }
}
