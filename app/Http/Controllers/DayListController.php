<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AskedDay;
use App\Models\User;
use App\Rows\Picks;
use App\Screens\Shape\DayList;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;

/** A day as a list, for who does not want times. */
final readonly class DayListController
{
    public function __invoke(#[CurrentUser] User $user, string $date): View
    {
        $day = AskedDay::of($user, $date, Clock::now());

        return view('screens.day-list', ['day' => $day, 'list' => DayList::of($user, $day, new Picks($user, Moments::today($user, Clock::now())), Clock::now())]);
    }
}
