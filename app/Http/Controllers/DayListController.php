<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Rows\Picks;
use App\Screens\Shape\DayList;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** A day as a list, for who does not want times. */
final readonly class DayListController
{
    public function __invoke(#[CurrentUser] User $user, string $date): View
    {
        try {
            $day = LocalDay::fromString($date);
        } catch (InvalidTime) {
            abort(404);
        }

        return view('screens.day-list', ['day' => $day, 'list' => DayList::of($user, $day, new Picks($user, Moments::today($user, Clock::now())), Clock::now())]);
    }
}
