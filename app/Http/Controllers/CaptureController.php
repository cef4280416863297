<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catch\CaughtLine;
use App\Catch\KeepLines;
use App\Models\CaptureToken;
use App\Models\RevisionCause;
use App\Models\Task;
use App\Models\User;
use App\Time\Clock;
use App\Undo\Journal;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Catches a web page: its title, address and chosen words – by a bookmark for whoever is signed in, by programs with a token. */
final readonly class CaptureController
{
    private const TITLE = 1000;

    private const ADDRESS = 2000;

    private const WORDS = 10_000;

    public function __construct(private Journal $journal, private KeepLines $keep) {}

    /** The small window of the bookmark: what it found, to be looked at and caught by one press. */
    public function show(Request $request): View
    {
        return view('screens.capture', [
            'title' => mb_substr($request->string('title')->trim()->toString(), 0, self::TITLE),
            'address' => mb_substr($request->string('url')->trim()->toString(), 0, self::ADDRESS),
            'words' => mb_substr($request->string('text')->trim()->toString(), 0, self::WORDS),
            'once' => Str::random(32),
        ]);
    }

    public function keep(Request $request, #[CurrentUser] User $user): RedirectResponse
    {
        $task = $this->task($request, $user);

        return $task === null
            ? back()->withInput()->withErrors(['title' => __('gather.empty')])
            : redirect('/capture')->with('caught', $task->title);
    }

    /** For programs. Their token comes as a header or in what is sent, never in the address, which is written into logs. */
    public function store(Request $request): JsonResponse
    {
        $given = $request->bearerToken() ?? $request->post('token');
        $token = is_string($given) ? CaptureToken::query()->where('hash', hash('sha256', $given))->whereNull('revoked_at')->with('user')->first() : null;
        if ($token === null || $token->user->leaves_at !== null) {
            return response()->json(['message' => __('mail.token_unknown')], 401);
        }
        $token->update(['last_used_at' => Clock::now()]);
        $task = $this->task($request, $token->user);

        return $task === null
            ? response()->json(['message' => __('gather.empty')], 422)
            : response()->json(['id' => $task->id, 'title' => $task->title], 201);
    }

    private function task(Request $request, User $user): ?Task
    {
        $title = mb_substr(trim($request->string('title')->toString()), 0, self::TITLE);
        $address = $request->string('url')->trim()->toString();
        $words = mb_substr(trim($request->string('text')->toString()), 0, self::WORDS);
        $line = $title !== '' ? $title : ($words !== '' ? (string) strtok($words, "\n") : $address);
        if ($line === '') {
            return null;
        }
        $made = null;
        $now = Clock::now();
        $this->journal->record($user, RevisionCause::Caught, $now, function () use ($user, $now, $line, $address, $words, &$made): void {
            $made = $this->keep->one($user, (new CaughtLine($user, $now))->understand($line), $now, ['source' => 'link'] + ($words === '' ? [] : ['note' => $words]));
            if (preg_match('/^https?:\/\//i', $address) === 1 && $made->links()->doesntExist()) {
                $made->links()->create(['user_id' => $user->id, 'address' => mb_substr($address, 0, self::ADDRESS)]);
            }
        });

        return $made;
    }
}
