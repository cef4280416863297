<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Ledger\By;
use App\Models\User;
use App\Screens\Ledger\EntriesScreen;
use App\Screens\Ledger\LedgerCsv;
use App\Screens\Ledger\LedgerScreen;
use App\Screens\Ledger\Periods;
use App\Time\Clock;
use App\Time\Moments;
use App\Wording\Dates;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;
use Nekto\Core\Ledger\Period;

/** Where time went. */
final readonly class LedgerController
{
    public function show(Request $request, #[CurrentUser] User $user, LedgerScreen $screen): View
    {
        $now = Clock::now();
        [$key, $period] = $this->period($request, $user, $now);

        return view('screens.ledger', $screen->of($user, $key, $period, $this->by($request), $now));
    }

    /** What stands behind one figure. */
    public function entries(Request $request, #[CurrentUser] User $user, EntriesScreen $screen): View
    {
        $now = Clock::now();
        [$key, $period] = $this->period($request, $user, $now);
        $row = $request->query('row');
        $row = is_string($row) && preg_match('#^(?:(?:\d{0,9}|deep|light)(?:/\d{0,9})?|meetings(?:/\d{1,9})?)$#D', $row) === 1 ? $row : null;

        return view('screens.ledger-entries', ['period' => $period, 'key' => $key, 'by' => $this->by($request), 'row' => $row, 'promised' => $request->boolean('promised'), 'span' => Dates::of($user)->span($period->first, $period->last)] + $screen->of($user, $period, $this->by($request), $row, $request->boolean('promised'), $now));
    }

    public function csv(Request $request, #[CurrentUser] User $user, LedgerScreen $screen): Response
    {
        $now = Clock::now();
        [$key, $period] = $this->period($request, $user, $now);

        return response(LedgerCsv::of($screen->of($user, $key, $period, $this->by($request), $now)), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => "attachment; filename=\"ledger-{$period->first->asString()}-{$period->last->asString()}.csv\""]);
    }

    /** @return array{string, Period} */
    private function period(Request $request, User $user, CarbonImmutable $now): array
    {
        [$key, $from, $until] = array_map(static fn (string $name): ?string => is_string($value = $request->query($name)) ? $value : null, ['period', 'from', 'until']);

        return Periods::asked($key, $from, $until, $user, Moments::today($user, $now));
    }

    private function by(Request $request): By
    {
        $by = $request->query('by');

        return is_string($by) ? By::tryFrom($by) ?? By::Area : By::Area;
    }
}
