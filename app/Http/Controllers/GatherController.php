<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Capture\CaughtLine;
use App\Clock;
use App\Http\Requests\LinesRequest;
use App\Models\User;
use App\Wording\Gloss;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

/** What has come at the person: typed lines and the inbox. */
final readonly class GatherController
{
    public function index(#[CurrentUser] User $user): View
    {
        return view('screens.gather', ['items' => $user->tasks()->inbox()->with('area')->orderBy('created_at')->orderBy('id')->get()]);
    }

    /** What is understood of the lines so far. */
    public function understand(LinesRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $caught = new CaughtLine($user, Clock::now());
        $gloss = new Gloss($user, Clock::now());

        return response()->json(['lines' => array_map(
            static fn (array $line): array => $gloss->of($caught->understand(...$line)),
            $request->lines(),
        )]);
    }

    public function store(LinesRequest $request, #[CurrentUser] User $user): RedirectResponse
    {
        $area = $user->areas()->firstOrFail();
        $caught = new CaughtLine($user, Clock::now());
        $lines = $request->lines();
        DB::transaction(static function () use ($lines, $caught, $area): void {
            foreach ($lines as [$text, $refused]) {
                $caught->keep($text, $refused, $area);
            }
        });

        return back()->with('status', trans_choice('gather.caught', count($lines), ['title' => $caught->understand(...$lines[0])->title]));
    }
}
