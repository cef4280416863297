<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Http\Requests\LinesRequest;
use App\Models\RevisionCause;
use App\Models\User;
use App\Screens\Gather\GatherScreen;
use App\Time\Clock;
use App\Undo\Journal;
use App\Wording\Gloss;
use App\Wording\Said;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nekto\Core\Capture\OutlineItem;

/** What has come at the person: typed lines and the inbox. */
final readonly class GatherController
{
    /** Letters of what is shared; more is in the page it came from. */
    private const SHARED = 4000;

    public function index(#[CurrentUser] User $user, GatherScreen $screen): View
    {
        return view('screens.gather', $screen->of($user));
    }

    /** What another application has shared: it stands in the entry, and one press keeps it. Its parts are those of the manifest. */
    public function share(Request $request, #[CurrentUser] User $user, GatherScreen $screen): View
    {
        $parts = array_map(static fn (string $name): string => (string) preg_replace('/\s+/u', ' ', $request->string($name)->trim()->toString()), ['title', 'text', 'url']);
        $words = array_unique(array_filter($parts, static fn (string $part): bool => $part !== ''));

        return view('screens.gather', $screen->of($user))->with('shared', mb_substr(implode(' ', $words), 0, self::SHARED));
    }

    /** What is understood of the lines so far. */
    public function understand(LinesRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $caught = new CaughtLine($user, Clock::now());
        $gloss = new Gloss($user, Clock::now());
        $refused = $request->refused();
        $lines = [];
        $items = $request->items();
        foreach ($items as $item) {
            $lines[] = ['line' => $item->line, 'under' => count($item->under)] + $gloss->of($caught->propose($item->text, $refused[$item->line] ?? []));
        }

        $subtasks = array_merge(...array_map(static fn (OutlineItem $item): array => $item->under, $items));

        return response()->json([
            'lines' => $lines,
            'subtasks' => array_map(static fn (OutlineItem $item): array => ['line' => $item->line] + $gloss->ofSubtask($item->text), $subtasks),
            'summary' => $gloss->summary($lines),
        ]);
    }

    public function store(LinesRequest $request, #[CurrentUser] User $user, Journal $journal, KeepLines $keep, Said $said): RedirectResponse
    {
        $now = Clock::said();
        $caught = new CaughtLine($user, $now);
        $items = $request->items();
        $refused = $request->refused();
        $proposed = $request->proposed();
        $revision = $journal->record($user, RevisionCause::Caught, $now, static function () use ($user, $now, $keep, $caught, $items, $refused, $proposed): void {
            $keep($user, $caught, $items, $refused, $now, proposed: $proposed);
        });
        $first = $caught->understand($items[0]->text, $refused[$items[0]->line] ?? []);

        return back()->with($said->about($revision?->refusing($keep->refused()), trans_choice('gather.caught', count($items), ['title' => $first->title])));
    }
}
