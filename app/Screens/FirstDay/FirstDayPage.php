<?php

declare(strict_types=1);

namespace App\Screens\FirstDay;

use App\Edits\FirstStep;
use App\Models\User;
use App\Screens\Page;

/** The course of a first day, one step open, and the day as it fills. */
final readonly class FirstDayPage extends Page
{
    /**
     * @param  FirstStep  $step  the open one
     * @param  array<string, string>  $states  done, left or ahead, by step
     * @param  array<string, string>  $figures  what each has brought, or how long it takes
     * @param  list<string>  $caught  titles of what was caught, the latest first
     * @param  bool  $reads  a calendar is still being read
     */
    public function __construct(public User $user, public FirstStep $step, public array $states, public array $figures, public Vessel $vessel, public array $caught, public int $lines, public int $unweighed, public int $meetings, public bool $reads, public HoursOffer $hours) {}
}
