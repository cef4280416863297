<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\ChangeKind;
use App\Edits\CrunchWay;
use App\Http\AskedDay;
use App\Models\User;
use App\Screens\Shape\MorningStep;
use App\Screens\Shape\ShapeAsk;
use App\Screens\Shape\ShapeScreen;
use App\Time\Clock;
use App\Time\Moments;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The run sheet of a day. */
final readonly class ShapeController
{
    public function show(Request $request, #[CurrentUser] User $user, ShapeScreen $screen, ?string $date = null): View
    {
        $now = Clock::now();
        $day = AskedDay::of($user, $date, $now);
        $ids = static fn (string $name): array => array_values(array_map(static fn (mixed $id): int => is_scalar($id) ? (int) $id : 0, array_slice((array) $request->query($name, []), 0, 200)));

        return view('screens.shape', $screen->of($user, $day, $now, new ShapeAsk(
            block: $request->integer('block') ?: null,
            reserve: $request->integer('reserve') ?: null,
            routine: $request->integer('routine') ?: null,
            lunch: $request->boolean('lunch'),
            bank: $request->boolean('bank'),
            propose: $request->boolean('propose'),
            change: $request->enum('change', ChangeKind::class),
            morning: $request->enum('morning', MorningStep::class),
            picks: $ids('picks'),
            keys: $ids('keys'),
            ways: $request->boolean('ways'),
            way: is_string($request->query('way')) ? CrunchWay::read($request->query('way')) : null,
        )));
    }

    /** The morning run is over for today, gone through or not. */
    public function morning(#[CurrentUser] User $user): RedirectResponse
    {
        $user->update(['morning_on' => Moments::today($user, Clock::now())->asString()]);

        return redirect('/shape')->with('status', __('shape.morning.over'));
    }
}
