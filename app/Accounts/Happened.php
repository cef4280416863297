<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;

/** Writes down what happened to an account: for the person to read, and for whoever runs Nekto in the log, without secrets. */
final readonly class Happened
{
    /** Of each account so many are kept; a guesser cannot fill the disk with them. */
    private const KEPT = 500;

    public function __construct(private Request $request) {}

    /** @param  string  $kind  a key of lang/account "happened" */
    public function __invoke(User $user, string $kind, ?string $about = null): void
    {
        $where = $this->where();
        $note = $user->accountNotes()->create(['kind' => $kind, 'about' => $about === null ? null : mb_substr($about, 0, 200), 'at' => now(), ...$where]);
        $user->accountNotes()->where('id', '<=', $note->id - self::KEPT)->whereNotIn('id', $user->accountNotes()->latest('id')->limit(self::KEPT)->select('id'))->delete();
        Log::info("account {$user->id}: {$kind}", ['from' => $where['address'], 'agent' => $where['agent']]);
    }

    /** @return array{agent: string, address: string} */
    public function where(): array
    {
        return ['agent' => mb_substr(mb_scrub((string) $this->request->userAgent()), 0, 300), 'address' => (string) $this->request->ip()];
    }
}
