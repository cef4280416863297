<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Models\CaptureToken;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Time\Clock;
use App\Undo\Journal;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Catches a web page: its title, address and chosen words, for whoever has a token. */
final readonly class CaptureController
{
    public function __construct(private Journal $journal, private KeepLines $keep) {}

    /** A page that says what was caught, for the bookmarklet. */
    public function show(Request $request): View
    {
        $token = $this->token($request);
        $task = $token === null ? null : $this->task($request, $token);

        return view('screens.captured', ['task' => $task, 'known' => $token !== null]);
    }

    /** The same for programs. */
    public function store(Request $request): JsonResponse
    {
        $token = $this->token($request);
        if ($token === null) {
            return response()->json(['message' => __('mail.token_unknown')], 401);
        }
        $task = $this->task($request, $token);

        return $task === null
            ? response()->json(['message' => __('gather.empty')], 422)
            : response()->json(['id' => $task->id, 'title' => $task->title], 201);
    }

    private function token(Request $request): ?CaptureToken
    {
        $given = $request->bearerToken() ?? $request->string('token')->toString();
        $token = CaptureToken::query()->where('hash', hash('sha256', $given))->whereNull('revoked_at')->with('user')->first();
        $token?->update(['last_used_at' => Clock::now()]);

        return $token;
    }

    private function task(Request $request, CaptureToken $token): ?Task
    {
        $title = mb_substr(trim($request->string('title')->toString()), 0, 1000);
        $address = $request->string('url')->trim()->toString();
        $words = mb_substr(trim($request->string('text')->toString()), 0, 10_000);
        $line = $title !== '' ? $title : ($words !== '' ? (string) strtok($words, "\n") : $address);
        if ($line === '') {
            return null;
        }
        $made = null;
        $now = Clock::now();
        $this->journal->record($token->user, RevisionCause::Caught, $now, function () use ($token, $now, $line, $address, $words, &$made): void {
            $made = $this->keep->one($token->user, (new CaughtLine($token->user, $now))->understand($line), $now, ['source' => 'link'] + ($words === '' ? [] : ['note' => $words]));
            if (preg_match('/^https?:\/\//i', $address) === 1 && $made->links()->doesntExist()) {
                $made->links()->create(['user_id' => $token->user_id, 'address' => mb_substr($address, 0, 2000)]);
            }
        });

        return $made;
    }
}
