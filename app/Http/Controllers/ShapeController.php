<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock;
use App\Models\User;
use App\Planning\RowMapper;
use App\Screens\ShapeScreen;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nekto\Core\Time\InvalidTime;
use Nekto\Core\Time\LocalDay;

/** The run sheet of a day. */
final readonly class ShapeController
{
    public function __invoke(Request $request, #[CurrentUser] User $user, ShapeScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();
        try {
            $day = $date === null ? RowMapper::today($user, $now) : LocalDay::fromString($date);
        } catch (InvalidTime) {
            abort(404);
        }
        abort_if(abs($day->number - RowMapper::today($user, $now)->number) > 800, 404);

        return view('screens.shape', $screen->data($user, $day, $now, $request->integer('block') ?: null, $request->boolean('bank'), $request->boolean('propose')));
    }
}
